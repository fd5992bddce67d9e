'use client';

import learnCss from '@/features/learn/learn.module.css';
import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import { Row } from '@/ui/layout/Row';
import { IconAct } from '@/ui/controls/IconAct';
import Button from '@mui/material/Button';
import { TextInput } from '@/ui/controls/TextInput';
import { Select } from '@/ui/controls/Select';
import { Toggle, Toggles } from '@/ui/controls/Toggle';
import { RUN_KIND_NAMES } from '@/words/learn/runKinds';
import { useSearchParams } from 'next/navigation';
import { useState } from 'react';
import { failedHow, failureStands } from '@/words/learn/failureModes';
import { type FailureRecord, type Versioned } from '@/core/car/records/records';
import { formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { When } from '@/ui/When';
import { fixHeld, hoursUntil } from '@/core/worked/field/lives';
import { heldWords } from '@/words/learn/life';
import { isOpen } from '@/core/car/records/openFailure';
import { sentenceOf } from '../api';
import { Working } from '../session/access';
import { useBuild } from '../session/BuildContext';
import { saveRecord } from '../session/saveRecord';
import { AddPhoto, FailurePhotos } from './FailurePhotos';
import { Diagnosis } from './Diagnosis';
import { FailureTable } from './FailureTable';
import { deleteUndoably } from '../session/deleting';

/** Of many failures the last are shown; the others on demand. */
const MOST = 40;

/** Every failure of the build, the newest first, open or with its fix; or in a table to sort and filter. */
export function FailureList() {
  const { failures } = useBuild();
  const [all, setAll] = useState(false);
  const [inTable, setInTable] = useState(false);
  const [opened, setOpened] = useState<string>();
  const sorted = [...failures].sort((a, b) => (a.occurredAt < b.occurredAt ? 1 : -1));
  if (sorted.length === 0)
    return (
      <Typography color="textSecondary">
        Nothing has failed yet. When it does, note the part and what you saw while it is fresh.
      </Typography>
    );
  const listed = opened ? sorted.filter(({ id }) => id === opened) : sorted.slice(0, all ? undefined : MOST);
  return (
    <div data-testid="failures">
      <Row sx={{ justifyContent: 'flex-end' }}>
        <Toggles label="Failures as">
          <Toggle size="small" pressed={!inTable} onPress={() => setInTable(false)}>
            One by one
          </Toggle>
          <Toggle
            size="small"
            pressed={inTable}
            onPress={() => {
              setInTable(true);
              setOpened(undefined);
            }}
          >
            Table
          </Toggle>
        </Toggles>
      </Row>
      {inTable ? <FailureTable onOpen={setOpened} /> : null}
      {(inTable && !opened ? [] : listed).map((failure) => (
        <FailureRow key={failure.id} failure={failure} />
      ))}
      {sorted.length > MOST && !all && !inTable ? (
        <Button variant="link" onClick={() => setAll(true)}>
          All {sorted.length} failures
        </Button>
      ) : null}
    </div>
  );
}

function FailureRow({ failure }: { failure: Versioned<FailureRecord> }) {
  const { revisions, runs, failures, dropFailure, keepFailure } = useBuild();
  const { reader } = useReader();
  const [problem, setProblem] = useState<string>();
  const [fixing, setFixing] = useState(false);
  const [why, setWhy] = useState(useSearchParams().get('failure') === failure.id);
  const held = fixHeld(failure, revisions, runs, failures);
  const letter = revisions.find(({ id }) => id === failure.revisionId)?.letter ?? '?';
  const run = runs.find(({ id }) => id === failure.runId);
  const carriedBy = revisions.find(({ id }) => id === failure.fixRevisionId)?.letter;
  const driven = hoursUntil(failure, revisions, runs).revision;
  const details = [
    failure.hours === undefined ? '' : `after ${formatText(failure.hours, 'hours', reader)} on the part`,
    driven > 0 ? `${formatText(driven, 'hours', reader, 2)} into ${letter}` : '',
    run ? `in ${RUN_KIND_NAMES[run.kind].toLowerCase()}` : '',
  ]
    .filter(Boolean)
    .join(', ');
  const drop = async () => {
    try {
      await deleteUndoably(
        `/api/failures/${failure.id}`,
        `Failure of ${failure.partName} deleted, with its diagnosis.`,
        () => dropFailure(failure.id),
        keepFailure,
      );
    } catch (error) {
      setProblem(sentenceOf(error));
    }
  };
  return (
    <article className={learnCss.fail} aria-label={`${failure.partName}, ${failedHow(failure)}`}>
      <span className={learnCss.where}>{letter}</span>
      <div>
        <FailurePhotos failure={failure} />
        <h3>
          {failure.partName}: {failedHow(failure).toLowerCase()}
        </h3>
        <Typography variant="note" color="textSecondary">
          <When at={failure.occurredAt} />
          {details ? `, ${details}` : ''}
        </Typography>
        {failure.story ? (
          <Box component="p" sx={{ maxWidth: 640 }}>
            {failure.story}
          </Box>
        ) : null}
        <Row className={learnCss.acts}>
          <Button variant="link" aria-expanded={why} onClick={() => setWhy(!why)}>
            {why
              ? 'close the diagnosis'
              : failure.ledger?.verdict
                ? 'why it failed'
                : 'find out why it failed'}
          </Button>
          <Working>
            {failure.fix ? null : (
              <Button variant="link" aria-expanded={fixing} onClick={() => setFixing(!fixing)}>
                say what was done about it
              </Button>
            )}
            <AddPhoto failure={failure} />
          </Working>
        </Row>
        {why ? <Diagnosis failure={failure} /> : null}
        {held ? (
          <Typography variant="note" color="textSecondary">
            The fix{' '}
            {held.again > 0 ? (
              <Typography variant="strong" color="error">
                did not hold
              </Typography>
            ) : (
              'so far'
            )}
            : {heldWords(held, reader)}.
          </Typography>
        ) : null}
        {failure.fix ? (
          <p>
            <b>
              Fix
              {carriedBy
                ? ` in ${carriedBy}`
                : failure.fixRevisionId
                  ? ' in a revision that was deleted'
                  : ''}
              :
            </b>{' '}
            {failure.fix}
          </p>
        ) : fixing ? (
          <FixForm failure={failure} />
        ) : null}
        {problem ? (
          <Typography color="error" role="alert">
            {problem}
          </Typography>
        ) : null}
      </div>
      <Box component="span" sx={{ textAlign: 'right' }}>
        <Typography variant="strong" color={isOpen(failure) ? 'error' : 'success'}>
          {failureStands(failure)}
        </Typography>
        <Working>
          <IconAct
            icon="remove"
            label={`Delete the failure of ${failure.partName}`}
            onClick={() => void drop()}
          />
        </Working>{' '}
      </Box>
    </article>
  );
}

function FixForm({ failure }: { failure: Versioned<FailureRecord> }) {
  const { revisions, keepFailure } = useBuild();
  const [fix, setFix] = useState('');
  const [revisionId, setRevisionId] = useState(revisions.at(-1)!.id);
  const [problem, setProblem] = useState<string>();
  const save = async () => {
    try {
      keepFailure(
        await saveRecord(
          'failure',
          failure,
          { ...failure, fix: fix.trim(), fixRevisionId: revisionId },
          failure,
        ),
      );
    } catch (error) {
      setProblem(sentenceOf(error));
    }
  };
  return (
    <Row
      as="form"
      sx={{ mt: 0.5 }}
      onSubmit={(event) => {
        event.preventDefault();
        if (fix.trim() !== '') void save();
      }}
    >
      <TextInput
        boxed
        sx={{ flex: 1 }}
        aria-label="What was done"
        placeholder="e.g. face doubled to 12 mm"
        value={fix}
        maxLength={2000}
        onChange={(event) => setFix(event.target.value)}
      />
      <Select
        aria-label="Revision that carries it"
        value={revisionId}
        onChange={(event) => setRevisionId(event.target.value)}
      >
        {revisions.map(({ id, letter }) => (
          <option key={id} value={id}>
            in {letter}
          </option>
        ))}
      </Select>
      <Button type="submit" disabled={fix.trim() === ''}>
        Save the fix
      </Button>
      {problem ? (
        <Typography component="span" color="error" role="alert">
          {problem}
        </Typography>
      ) : null}
    </Row>
  );
}
