'use client';

import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { type TrackSegment, TURNS } from '@/core/car/document/brief';
import { USUAL_STYLE } from '@/core/worked/track/lapDriven';
import { IconAct } from '@/ui/controls/IconAct';
import { Note } from '@/ui/controls/Note';
import fieldsCss from '@/ui/fields.module.css';
import { Row } from '@/ui/layout/Row';
import { TURN_WORDS } from '@/words/driving/lap';
import { newId } from '../../api';
import { DocumentChoice, DocumentField, Group } from '../../fields/fields';
import { Fields } from '../../frame/Guarded';
import { useBuild } from '../../session/BuildContext';

const SEGMENTS = ['brief', 'track', 'segments'];
const MOST_SEGMENTS = 60;
const STRAIGHT = { lengthM: 20 };
/** Half a round of 4 m. */
const BEND = { lengthM: 12.6, radiusM: 4 };

/** The round, segment by segment, and how hard it is driven. */
export function LapBench() {
  const { document, edit, closed } = useBuild();
  const segments = document.brief.track?.segments ?? [];
  const add = (like: Omit<TrackSegment, 'id'>) =>
    edit([{ path: SEGMENTS, value: [...segments, { id: newId().slice(0, 8), ...like }] }]);
  return (
    <Fields>
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
      <Group title="The driver">
        <DocumentField path={['brief', 'track', 'style']} usual={USUAL_STYLE} />
        <Typography variant="small" color="textSecondary" sx={{ mt: 0.75 }}>
          Less than all of it is a gentler driver, and a longer pack.
        </Typography>
      </Group>
      <Note>Nobody stands inside a bend or at its outside edge. Local rules go first.</Note>
    </Fields>
  );
}
