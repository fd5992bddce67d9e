'use client';

import Button from '@mui/material/Button';
import { type TrackLine, type TrackSegment, TURNS } from '@/core/car/document/brief';
import { USUAL_STYLE } from '@/core/worked/track/lapDriven';
import { IconAct } from '@/ui/controls/IconAct';
import { Note } from '@/ui/controls/Note';
import fieldsCss from '@/ui/fields.module.css';
import { Row } from '@/ui/layout/Row';
import { QuantitySlider } from '@/ui/QuantitySlider';
import { labelOf } from '@/words/labels/labels';
import { roundTold, TURN_WORDS } from '@/words/driving/lap';
import { workerOf } from '@/workers/clients';
import { newId } from '../../api';
import { DocumentChoice, DocumentField, Group } from '../../fields/fields';
import { TrackPick } from '../../fields/TrackPick';
import { Fields } from '../../frame/Guarded';
import { useBuild } from '../../session/BuildContext';

const SEGMENTS = ['brief', 'track', 'segments'];
const LINE = ['brief', 'track', 'line'];
const STYLE = ['brief', 'track', 'style'];
const MOST_SEGMENTS = 60;
const STRAIGHT = { lengthM: 20 };
/** Half a round of 4 m. */
const BEND = { lengthM: 12.6, radiusM: 4 };

/** The round as it was driven, or segment by segment, and how hard it is driven. */
export function LapBench() {
  const { document, edit, session, closed } = useBuild();
  const { line, style = USUAL_STYLE } = document.brief.track ?? {};
  return (
    <Fields>
      <DrivenRound line={line} />
      {line ? null : <LaidOut />}
      <Group title="The driver">
        <QuantitySlider
          label={labelOf(STYLE).label}
          quantity="share"
          value={style}
          min={0.3}
          max={1}
          step={0.01}
          disabled={closed}
          effect="Less than all of it is a gentler driver, and a longer pack."
          onChange={(value) => edit([{ path: STYLE, value }], STYLE.join('.'))}
          onEnd={() => session.endStep()}
        />
      </Group>
      <Note>Nobody stands inside a bend or at its outside edge. Local rules go first.</Note>
    </Fields>
  );
}

/** A round out of a satellite track, in place of what is laid out. */
function DrivenRound({ line }: { line: TrackLine | undefined }) {
  const { edit, closed } = useBuild();
  return (
    <Group title="Out of a track" aside={line ? roundTold(line) : undefined}>
      <div data-path={LINE.join('.')}>
        <TrackPick
          name={line?.name}
          label="File of a track with the round"
          onTake={async (name, bytes) => {
            const found = await workerOf('field').round(bytes);
            if ('refused' in found) return found.refused;
            edit([{ path: LINE, value: { name, ...found } }]);
            return undefined;
          }}
        />
      </div>
      {line && !closed ? (
        <Button variant="link" onClick={() => edit([{ path: LINE, value: undefined }])}>
          back to a round laid out by hand
        </Button>
      ) : null}
    </Group>
  );
}

/** The round, segment by segment. */
function LaidOut() {
  const { document, edit, closed } = useBuild();
  const segments = document.brief.track?.segments ?? [];
  const add = (like: Omit<TrackSegment, 'id'>) =>
    edit([{ path: SEGMENTS, value: [...segments, { id: newId().slice(0, 8), ...like }] }]);
  return (
    <Group title="The round" aside={`${segments.length} segments`}>
      {segments.map(({ id, radiusM }, index) => (
        <section key={id} className={fieldsCss.supplyitem} aria-label={`Segment ${index + 1}`}>
          <Row sx={{ justifyContent: 'space-between' }}>
            <b>
              {index + 1}. {radiusM === undefined ? 'Straight' : 'Bend'}
            </b>
            <IconAct
              icon="takeOut"
              label={`Take segment ${index + 1} out`}
              disabled={closed}
              onClick={() => edit([{ path: SEGMENTS, value: segments.filter((one) => one.id !== id) }])}
            />
          </Row>
          <DocumentField path={[...SEGMENTS, id, 'lengthM']} />
          {radiusM === undefined ? null : (
            <>
              <DocumentField path={[...SEGMENTS, id, 'radiusM']} />
              <DocumentChoice
                path={[...SEGMENTS, id, 'turn']}
                empty={TURN_WORDS.left}
                options={TURNS.slice(1).map((turn) => [turn, TURN_WORDS[turn]] as const)}
              />
            </>
          )}
          <DocumentField path={[...SEGMENTS, id, 'gradePct']} usual={0} />
        </section>
      ))}
      {closed || segments.length >= MOST_SEGMENTS ? null : (
        <Row sx={{ mt: 1 }} data-path={SEGMENTS.join('.')}>
          <Button onClick={() => add(STRAIGHT)}>Add a straight</Button>
          <Button onClick={() => add(BEND)}>Add a bend</Button>
        </Row>
      )}
    </Group>
  );
}
