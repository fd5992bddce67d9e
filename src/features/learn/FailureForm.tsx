'use client';

import { SheetForm } from '@/ui/controls/SheetForm';
import { Select } from '@/ui/controls/Select';
import { TextArea, TextInput } from '@/ui/controls/TextInput';
import Button from '@mui/material/Button';
import { RUN_KIND_NAMES } from '@/words/learn/runKinds';
import { useState } from 'react';
import type { FailureLedger } from '@/core/car/records/failureLedger';
import { FAILURE_MODES } from '@/core/car/records/failureModes';
import { hoursUntil, livesOfCopies } from '@/core/worked/field/lives';
import { type FailureSheet, type RunSheet } from '@/core/car/records/records';
import { QuantityField } from '@/ui/QuantityField';
import { useReader } from '@/ui/reader';
import { newId } from '../api';
import { useBuild } from '../session/BuildContext';
import type { Waiting, WaitingPhoto } from '../session/outbox';
import { Photos } from '../fields/Photos';
import { enter, useWaiting } from '../session/waiting';
import { copyWords } from './copyWords';
import { FAILURE_MODE_WORDS } from '@/words/learn/failureModes';

/** The kind that none of the others is. */
const OWN = 'own';

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
  const [partId, setPartId] = useState(given?.partId ?? '');
  const [partName, setPartName] = useState(given?.partName ?? '');
  const [mode, setMode] = useState(given?.mode ?? '');
  const [runId, setRunId] = useState(given?.runId ?? '');
  const [hours, setHours] = useState(given?.hours);
  const [story, setStory] = useState(given?.story ?? '');
  const [chosenCopy, chooseCopy] = useState(given?.ledger?.copyId);
  const [modeWords, setModeWords] = useState(given?.ledger?.modeWords ?? '');
  const [lostMinutes, setLost] = useState(given?.ledger?.lostMinutes);
  const [photos, setPhotos] = useState<WaitingPhoto[]>(entered?.photos ?? []);
  const [problem, setProblem] = useState<string>();
  const own = [
    ...runs.filter((run) => run.revisionId === revision.id),
    ...waiting
      .filter(({ kind, revisionId }) => kind === 'run' && revisionId === revision.id)
      .map(({ sheet }) => sheet as RunSheet),
  ];
  const part = document.parts.items.find((item) => item.id === partId);
  const name = part?.name ?? partName.trim();
  const prints = part ? copies.filter((copy) => copy.partId === part.id) : [];
  const lives = livesOfCopies(copies, runs);
  // of the run where it was one copy alone, else the builder says which
  const ran = prints.filter((copy) => own.find((run) => run.id === runId)?.copies?.includes(copy.id));
  const copyId = chosenCopy ?? (ran.length === 1 ? ran[0]!.id : '');
  const [occurredAt] = useState(() => given?.occurredAt ?? new Date().toISOString());
  const byRuns = hoursUntil(
    { revisionId: revision.id, occurredAt, ...(part ? { partId: part.id } : {}) },
    revisions,
    runs,
  );
  const lived = lives.get(copyId)?.hours ?? byRuns.part;
  const day = new Intl.DateTimeFormat(reader.locale, { dateStyle: 'medium', timeZone: 'UTC' });

  async function send() {
    if (name === '') return setProblem('Which part? Choose one from the list or type its name.');
    if (mode === '')
      return setProblem('How did it fail? Choose the nearest; "Something else" is one of them.');
    const ledger: FailureLedger = {
      ...(mode === OWN && modeWords.trim() !== '' ? { modeWords: modeWords.trim() } : {}),
      ...(lostMinutes === undefined ? {} : { lostMinutes }),
      ...(copyId === '' ? {} : { copyId }),
    };
    try {
      const sheet: FailureSheet = {
        id,
        mode,
        partName: name,
        occurredAt,
        ...(part ? { partId: part.id } : {}),
        ...(runId === '' ? {} : { runId }),
        ...(hours === undefined && !lived ? {} : { hours: hours ?? Number(lived!.toFixed(2)) }),
        ...(story.trim() === '' ? {} : { story: story.trim() }),
        ...(Object.keys(ledger).length > 0 ? { ledger } : {}),
      };
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
      onDone();
    } catch (error) {
      setProblem(
        `Not kept: this browser gives no room for it (${(error as Error).message}). Leave the page open.`,
      );
    }
  }

  return (
    <SheetForm label="Note a failure" onSubmit={() => void send()}>
      <div className="field">
        <label htmlFor="failure-part">Part</label>
        <Select id="failure-part" value={partId} onChange={(event) => setPartId(event.target.value)}>
          <option value="">not in the list</option>
          {document.parts.items.map((item) => (
            <option key={item.id} value={item.id}>
              {item.name}
            </option>
          ))}
        </Select>
      </div>
      {partId === '' ? (
        <div className="field text">
          <label htmlFor="failure-name">Its name</label>
          <TextInput
            id="failure-name"
            value={partName}
            maxLength={80}
            placeholder="e.g. Main gear"
            onChange={(event) => setPartName(event.target.value)}
          />
        </div>
      ) : null}
      <div className="field">
        <label htmlFor="failure-mode">What happened</label>
        <Select id="failure-mode" value={mode} onChange={(event) => setMode(event.target.value)}>
          <option value="">choose</option>
          {FAILURE_MODES.map((one) => (
            <option key={one} value={one} title={FAILURE_MODE_WORDS[one].means}>
              {FAILURE_MODE_WORDS[one].name}
            </option>
          ))}
        </Select>
      </div>
      {mode === OWN ? (
        <div className="field text">
          <label htmlFor="failure-words">In your words</label>
          <TextInput
            id="failure-words"
            value={modeWords}
            maxLength={80}
            placeholder="e.g. belt frayed"
            onChange={(event) => setModeWords(event.target.value)}
          />
        </div>
      ) : null}
      <div className="field">
        <label htmlFor="failure-run">In which run</label>
        <Select id="failure-run" value={runId} onChange={(event) => setRunId(event.target.value)}>
          <option value="">none of them</option>
          {own.map((run) => (
            <option key={run.id} value={run.id}>
              {RUN_KIND_NAMES[run.kind]}, {day.format(new Date(run.ranAt))}
            </option>
          ))}
        </Select>
      </div>
      {prints.length > 0 ? (
        <div className="field">
          <label htmlFor="failure-copy">Which copy</label>
          <Select id="failure-copy" value={copyId} onChange={(event) => chooseCopy(event.target.value)}>
            <option value="">not known</option>
            {prints.map(({ id: copy, repairs = [] }, at) => (
              <option key={copy} value={copy}>
                {copyWords(at + 1, lives.get(copy)?.hours ?? 0, reader, repairs)}
              </option>
            ))}
          </Select>
        </div>
      ) : null}
      <QuantityField
        label="Hours on the part"
        quantity="hours"
        value={hours}
        onChange={setHours}
        limits={{ from: 0, to: 100_000 }}
        example={lived ? Number(lived.toFixed(2)) : 1.4}
      />
      <QuantityField
        label="Until it ran again"
        quantity="minutes"
        value={lostMinutes}
        onChange={setLost}
        limits={{ from: 0, to: 100_000 }}
        example={35}
      />
      <div className="field text">
        <TextArea
          aria-label="What you saw"
          rows={3}
          maxLength={4000}
          placeholder="What you were doing, what you heard, where it broke"
          value={story}
          onChange={(event) => setStory(event.target.value)}
        />
      </div>
      <Photos photos={photos} of="the failure" onChange={setPhotos} />
      {problem ? (
        <p role="alert" style={{ color: 'var(--rust)', padding: '4px 0' }}>
          {problem}
        </p>
      ) : null}
      <div className="row" style={{ marginTop: 8 }}>
        <Button variant="contained" type="submit">
          Save the failure
        </Button>
        <Button onClick={onDone}>Cancel</Button>
      </div>
    </SheetForm>
  );
}
