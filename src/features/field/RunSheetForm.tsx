'use client';

import fieldsCss from '@/ui/fields.module.css';
import Box from '@mui/material/Box';
import { Row } from '@/ui/layout/Row';
import Typography from '@mui/material/Typography';
import { Select } from '@/ui/controls/Select';
import { Note } from '@/ui/controls/Note';
import { Problem } from '@/ui/controls/Problem';
import { Fold } from '@/ui/controls/Fold';
import { TextArea } from '@/ui/controls/TextInput';
import Button from '@mui/material/Button';
import { MISSING_WORDS, RUN_KIND_NAMES } from '@/words/learn/runKinds';
import { useId, useState } from 'react';
import {
  isRepeatedKind,
  isTimedKind,
  RUN_KIND_RECORDS,
  RUN_KINDS,
  type RunKind,
} from '@/core/car/records/runKinds';
import type { RunReport } from '@/core/car/records/report';
import { QuantityField } from '@/ui/QuantityField';
import { useBuild } from '../session/BuildContext';
import type { Waiting, WaitingPhoto } from '../session/outbox';
import { enter } from '../session/waiting';
import { crashStory } from '@/words/bench/crashWords';
import { failuresOfCrash } from '@/core/worked/bench/crash';
import { RanAtField } from './RanAt';
import { ConditionReadings } from './instruments/ConditionReadings';
import { OnTheCar } from './OnTheCar';
import { usualCopies } from './onTheCar';
import { Photos } from '../fields/Photos';
import { conditionsOf, missingOf, type Sheet } from './sheet';
import { asRun, runOfSheet } from './runOfSheet';
import { ReportBody } from './sheets/ReportBody';
import { TimedBody } from './sheets/TimedBody';
import { Settings } from './RunSettings';

interface RunSheetFormProps {
  sheet: Sheet;
  photos: readonly WaitingPhoto[];
  track: Blob | undefined;
  onChange(sheet: Sheet): void;
  onFiles(files: { photos?: WaitingPhoto[]; track?: Blob }): void;
  onEntered(): void;
  /** The run that is changed, where it was entered before and not taken. */
  entered?: Waiting | undefined;
  /** Kinds of run that the side is for; all where not given. */
  kinds?: readonly RunKind[];
}

/** A run sheet: each kind asks only what it needs; saved it waits on this device until the workshop has it. */
export function RunSheetForm({
  sheet,
  photos,
  track,
  onChange,
  onFiles,
  onEntered,
  entered,
  kinds = RUN_KINDS,
}: RunSheetFormProps) {
  const surfaceField = useId();
  const { document, surface: pageSurface, revision, build, session, copies, runs } = useBuild();
  const [problem, setProblem] = useState<string>();
  const [sending, setSending] = useState(false);
  const surfaces = document.brief.surfaces;
  const surface = surfaces.find(({ id }) => id === sheet.surfaceId) ?? pageSurface;
  const conditions = conditionsOf(sheet, surface);
  const [earlier, setEarlier] = useState(false);
  const missing = missingOf(sheet, surface);
  const set = (change: Partial<Sheet>) => onChange({ ...sheet, ...change });
  const report = (change: Partial<RunReport>) =>
    set({
      report: Object.fromEntries(
        Object.entries({ ...sheet.report, ...change }).filter(([, value]) => value !== undefined),
      ),
    });
  const number = (key: keyof Sheet, more: object = {}) => ({
    value: sheet[key] as number | undefined,
    onChange: (value: number | undefined) => set({ [key]: value }),
    ...more,
  });
  const timed = isTimedKind(sheet.kind);

  async function save() {
    if (missing || !conditions) return;
    setSending(true);
    setProblem(undefined);
    try {
      await session.flush();
      const onCar = sheet.copies ?? usualCopies(document, copies, runs);
      const run = runOfSheet(sheet, conditions, onCar, asRun(entered, document, sheet.ranAt));
      await enter({
        id: run.id,
        kind: 'run',
        revisionId: revision.id,
        letter: revision.letter,
        buildId: build.id,
        at: run.ranAt,
        sheet: run,
        photos: [...photos],
        ...((sheet.kind === 'track' || sheet.kind === 'log') && track ? { track } : {}),
      });
      for (const failure of failuresOfCrash(run, crashStory(run.report?.hit)))
        await enter({
          id: failure.id,
          kind: 'failure',
          revisionId: revision.id,
          letter: revision.letter,
          buildId: build.id,
          at: failure.occurredAt,
          sheet: failure,
          photos: [],
        });
      onEntered();
    } catch (error) {
      setProblem(
        `Not kept: this browser gives no room for it (${(error as Error).message}). Leave the page open.`,
      );
    } finally {
      setSending(false);
    }
  }

  return (
    <section aria-label="Run sheet" id="run">
      <Typography variant="title">
        {RUN_KIND_NAMES[sheet.kind]}
        {timed ? `, attempt ${sheet.attempts.length + 1}` : ''}
      </Typography>
      {kinds.length > 1 ? (
        <Box className={fieldsCss.pick} sx={{ m: '8px 0' }}>
          <Select
            look="large"
            aria-label="Kind of run"
            value={sheet.kind}
            onChange={(event) =>
              set({ kind: event.target.value as RunKind, attempts: [], report: {}, track: undefined })
            }
          >
            {kinds.map((kind) => (
              <option key={kind} value={kind}>
                {RUN_KIND_NAMES[kind]}
              </option>
            ))}
          </Select>
        </Box>
      ) : null}
      {!RUN_KIND_RECORDS[sheet.kind].bench ? (
        surfaces.length === 0 ? (
          <Note tone="bad">
            The brief names no surface yet: choose one there first, so that the run has a prediction.
          </Note>
        ) : (
          <div className={fieldsCss.field}>
            <label htmlFor={surfaceField}>Surface</label>
            <Select
              id={surfaceField}
              value={surface?.id}
              onChange={(event) => set({ surfaceId: event.target.value })}
            >
              {surfaces.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </Select>
          </div>
        )
      ) : null}
      {timed ? (
        <TimedBody sheet={sheet} conditions={conditions} onChange={onChange} />
      ) : (
        <ReportBody
          sheet={sheet}
          conditions={conditions}
          onReport={report}
          onTrack={(found, file) => {
            set({ track: found });
            onFiles({ track: file });
          }}
          onLog={(log, file) => {
            report({ log });
            if (file) onFiles({ track: file });
          }}
        />
      )}

      <Fold title="Conditions" open={timed && sheet.attempts.length > 0}>
        {earlier || sheet.ranAt !== undefined ? (
          <RanAtField value={sheet.ranAt} onChange={(ranAt) => set({ ranAt })} />
        ) : (
          <Button variant="link" onClick={() => setEarlier(true)}>
            It was driven earlier
          </Button>
        )}
        <QuantityField
          label="Air"
          quantity="temperatureC"
          limits={{ from: -50, to: 400 }}
          example={15}
          {...number('ambientC')}
        />
        <QuantityField
          label="Pack before"
          quantity="voltageV"
          limits={{ above: 0, to: 1000 }}
          example={8.3}
          {...number('packVBefore')}
        />
        <QuantityField
          label="Pack after"
          quantity="voltageV"
          limits={{ above: 0, to: 1000 }}
          example={8}
          {...number('packVAfter')}
        />
        <ConditionReadings onTake={(condition, value) => set({ [condition]: value })} />
        <QuantityField
          label="Extra weight on the car"
          quantity="massG"
          limits={{ from: -100_000, to: 100_000 }}
          example={0}
          {...number('extraMassG')}
        />
        <QuantityField
          label="Driven in all"
          quantity="minutes"
          limits={{ from: 0, to: 10_000 }}
          example={6}
          {...number('drivenMinutes')}
        />
        {timed ? (
          <QuantityField
            label="Distance, ±"
            quantity="distanceM"
            limits={{ from: 0 }}
            example={0.02}
            {...number('distanceErrorM')}
          />
        ) : null}
        <Settings sheet={sheet} onChange={(settings) => set({ settings })} />
        <div className={fieldsCss.textField}>
          <TextArea
            aria-label="Note"
            rows={2}
            maxLength={2000}
            placeholder="What you saw, heard and felt"
            value={sheet.note}
            onChange={(event) => set({ note: event.target.value })}
          />
        </div>
      </Fold>
      <OnTheCar chosen={sheet.copies} onChange={(chosen) => set({ copies: chosen })} />
      <Photos photos={photos} onChange={(next) => onFiles({ photos: next })} />
      <Problem>{problem}</Problem>
      <Row sx={{ mt: 1.25 }}>
        <Button
          variant="contained"
          size="large"
          disabled={sending || missing !== undefined}
          onClick={() => void save()}
        >
          {sending
            ? 'Saving'
            : timed
              ? `Save the run (${sheet.attempts.length} attempt${sheet.attempts.length === 1 ? '' : 's'})`
              : 'Save the run'}
        </Button>
        <Typography component="span" color="textSecondary">
          {missing && !timed
            ? `It still needs ${MISSING_WORDS[missing]}.`
            : isRepeatedKind(sheet.kind) && sheet.attempts.length > 0 && sheet.attempts.length < 3
              ? 'Three attempts show a spread.'
              : ''}
        </Typography>
      </Row>
      <Typography variant="small" color="textSecondary" sx={{ mt: 1.25 }}>
        Closed ground, nobody in the car&rsquo;s path, a spotter for fast runs. Local rules go first.
      </Typography>
    </section>
  );
}
