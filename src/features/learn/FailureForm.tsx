'use client';

import fieldsCss from '@/ui/fields.module.css';
import Typography from '@mui/material/Typography';
import { Row } from '@/ui/layout/Row';
import { SheetForm } from '@/ui/controls/SheetForm';
import { Select } from '@/ui/controls/Select';
import { TextArea, TextInput } from '@/ui/controls/TextInput';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { RUN_KIND_NAMES } from '@/words/learn/runKinds';
import { useState } from 'react';
import { Controller } from 'react-hook-form';
import { FAILURE_MODES } from '@/core/car/records/failureModes';
import { hoursUntil, livesOfCopies } from '@/core/worked/field/lives';
import { type FailureSheet, type RunSheet } from '@/core/car/records/records';
import { QuantityField } from '@/ui/QuantityField';
import { useReader } from '@/ui/reader';
import { newId } from '../api';
import { useBuild } from '../session/BuildContext';
import type { Waiting, WaitingPhoto } from '../session/outbox';
import { FieldProblem } from '../fields/FieldProblem';
import { Photos } from '../fields/Photos';
import { useSheet } from '../fields/useSheet';
import { enter, useWaiting } from '../session/waiting';
import { copyWords } from './copyWords';
import { ledgerOf, OWN, type Typed, typedOf, WORDS } from './failureSheet';
import { FAILURE_MODE_WORDS } from '@/words/learn/failureModes';

/** Notes what broke: part, way, run, hours and the story. */
export function FailureForm({
  onDone,
  entered,
}: {
  onDone(): void;
  /** The failure that is changed, where it was entered before and not taken. */ entered?: Waiting;
}) {
  const given = entered?.sheet as FailureSheet | undefined;
  const { document, revisions, runs, copies, revision, build } = useBuild();
  const waiting = useWaiting();
  const { reader } = useReader();
  const [id] = useState(() => given?.id ?? newId());
  const [occurredAt] = useState(() => given?.occurredAt ?? new Date().toISOString());
  const [photos, setPhotos] = useState<WaitingPhoto[]>(entered?.photos ?? []);
  const [problem, setProblem] = useState<string>();
  const nameOf = (values: Typed) =>
    document.parts.items.find((item) => item.id === values.partId)?.name ?? values.partName.trim();
  const sheetOf = (values: Typed): FailureSheet => {
    const { hours } = values;
    const said = ledgerOf(values, copyId);
    return {
      id,
      mode: values.mode,
      partName: nameOf(values),
      occurredAt,
      ...(document.parts.items.some((item) => item.id === values.partId) ? { partId: values.partId } : {}),
      ...(values.runId === '' ? {} : { runId: values.runId }),
      ...(hours === undefined && !lived ? {} : { hours: hours ?? Number(lived!.toFixed(2)) }),
      ...(values.story.trim() === '' ? {} : { story: values.story.trim() }),
      ...(Object.keys(said).length > 0 ? { ledger: said } : {}),
    };
  };
  const { control, handleSubmit, watch, formState, forget } = useSheet<Typed>({
    schema: () => import('@/core/car/records/records.schema').then((found) => found.newFailureSchema),
    empty: typedOf(given),
    toSend: (values) => sheetOf(values),
    words: WORDS,
    ...(entered ? {} : { keptAs: `failure:${revision.id}` }),
  });
  const typed = watch();
  const { partId, mode, runId } = typed;
  const own = [
    ...runs.filter((run) => run.revisionId === revision.id),
    ...waiting
      .filter(({ kind, revisionId }) => kind === 'run' && revisionId === revision.id)
      .map(({ sheet }) => sheet as RunSheet),
  ];
  const part = document.parts.items.find((item) => item.id === partId);
  const prints = part ? copies.filter((copy) => copy.partId === part.id) : [];
  const lives = livesOfCopies(copies, runs);
  // of the run where it was one copy alone, else the builder says which
  const ran = prints.filter((copy) => own.find((run) => run.id === runId)?.copies?.includes(copy.id));
  const copyId = typed.ledger.copyId ?? (ran.length === 1 ? ran[0]!.id : '');
  const byRuns = hoursUntil(
    { revisionId: revision.id, occurredAt, ...(part ? { partId: part.id } : {}) },
    revisions,
    runs,
  );
  const lived = lives.get(copyId)?.hours ?? byRuns.part;
  const day = new Intl.DateTimeFormat(reader.locale, { dateStyle: 'medium', timeZone: 'UTC' });

  async function send(values: Typed) {
    const sheet = sheetOf(values);
    try {
      await enter({
        id,
        kind: 'failure',
        revisionId: revision.id,
        letter: revision.letter,
        buildId: build.id,
        at: sheet.occurredAt,
        sheet,
        photos,
      });
      forget();
      onDone();
    } catch (error) {
      setProblem(
        `Not kept: this browser gives no room for it (${(error as Error).message}). Leave the page open.`,
      );
    }
  }

  const wrong = (at: 'partName' | 'mode') => {
    const message = formState.errors[at]?.message;
    return {
      message: message === undefined ? undefined : String(message),
      told:
        message === undefined ? {} : { 'aria-invalid': true, 'aria-describedby': `failure-${at}-problem` },
    };
  };
  return (
    <SheetForm label="Note a failure" onSubmit={(event) => void handleSubmit(send)(event)}>
      <div className={fieldsCss.field}>
        <label htmlFor="failure-part">Part</label>
        <Controller
          name="partId"
          control={control}
          render={({ field }) => (
            <Select id="failure-part" {...field}>
              <option value="">not in the list</option>
              {document.parts.items.map((item) => (
                <option key={item.id} value={item.id}>
                  {item.name}
                </option>
              ))}
            </Select>
          )}
        />
      </div>
      {partId === '' ? (
        <div className={fieldsCss.textField}>
          <label htmlFor="failure-name">Its name</label>
          <Controller
            name="partName"
            control={control}
            render={({ field }) => (
              <TextInput
                id="failure-name"
                maxLength={80}
                placeholder="e.g. Main gear"
                {...wrong('partName').told}
                {...field}
              />
            )}
          />
        </div>
      ) : null}
      <FieldProblem id="failure-partName-problem">{wrong('partName').message}</FieldProblem>
      <div className={fieldsCss.field}>
        <label htmlFor="failure-mode">What happened</label>
        <Controller
          name="mode"
          control={control}
          render={({ field }) => (
            <Select id="failure-mode" {...wrong('mode').told} {...field}>
              <option value="">choose</option>
              {FAILURE_MODES.map((one) => (
                <option key={one} value={one} title={FAILURE_MODE_WORDS[one].means}>
                  {FAILURE_MODE_WORDS[one].name}
                </option>
              ))}
            </Select>
          )}
        />
      </div>
      <FieldProblem id="failure-mode-problem">{wrong('mode').message}</FieldProblem>
      {mode === OWN ? (
        <div className={fieldsCss.textField}>
          <label htmlFor="failure-words">In your words</label>
          <Controller
            name="ledger.modeWords"
            control={control}
            render={({ field }) => (
              <TextInput id="failure-words" maxLength={80} placeholder="e.g. belt frayed" {...field} />
            )}
          />
        </div>
      ) : null}
      <div className={fieldsCss.field}>
        <label htmlFor="failure-run">In which run</label>
        <Controller
          name="runId"
          control={control}
          render={({ field }) => (
            <Select id="failure-run" {...field}>
              <option value="">none of them</option>
              {own.map((run) => (
                <option key={run.id} value={run.id}>
                  {RUN_KIND_NAMES[run.kind]}, {day.format(new Date(run.ranAt))}
                </option>
              ))}
            </Select>
          )}
        />
      </div>
      {prints.length > 0 ? (
        <div className={fieldsCss.field}>
          <label htmlFor="failure-copy">Which copy</label>
          <Controller
            name="ledger.copyId"
            control={control}
            render={({ field }) => (
              <Select id="failure-copy" {...field} value={copyId}>
                <option value="">not known</option>
                {prints.map(({ id: copy, repairs = [] }, at) => (
                  <option key={copy} value={copy}>
                    {copyWords(at + 1, lives.get(copy)?.hours ?? 0, reader, repairs)}
                  </option>
                ))}
              </Select>
            )}
          />
        </div>
      ) : null}
      <Controller
        name="hours"
        control={control}
        render={({ field }) => (
          <QuantityField
            label="Hours on the part"
            quantity="hours"
            value={field.value}
            onChange={field.onChange}
            limits={{ from: 0, to: 100_000 }}
            example={lived ? Number(lived.toFixed(2)) : 1.4}
          />
        )}
      />
      <Controller
        name="ledger.lostMinutes"
        control={control}
        render={({ field }) => (
          <QuantityField
            label="Until it ran again"
            quantity="minutes"
            value={field.value}
            onChange={field.onChange}
            limits={{ from: 0, to: 100_000 }}
            example={35}
          />
        )}
      />
      <Box sx={{ py: 1 }}>
        <Controller
          name="story"
          control={control}
          render={({ field: { ref: _, ...field } }) => (
            <TextArea
              aria-label="What you saw"
              rows={3}
              maxLength={4000}
              placeholder="What you were doing, what you heard, where it broke"
              {...field}
            />
          )}
        />
      </Box>
      <Photos photos={photos} of="the failure" onChange={setPhotos} />
      {problem ? (
        <Typography color="error" sx={{ p: '4px 0' }} role="alert">
          {problem}
        </Typography>
      ) : null}
      <Row sx={{ mt: 1 }}>
        <Button variant="contained" type="submit">
          Save the failure
        </Button>
        <Button
          onClick={() => {
            forget();
            onDone();
          }}
        >
          Cancel
        </Button>
      </Row>
    </SheetForm>
  );
}
