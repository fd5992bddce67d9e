import learnCss from '@/features/learn/learn.module.css';
import fieldsCss from '@/ui/fields.module.css';
import { Row } from '@/ui/layout/Row';
import Typography from '@mui/material/Typography';
import Chip from '@mui/material/Chip';
import { TextInput } from '@/ui/controls/TextInput';
import { Fold } from '@/ui/controls/Fold';
import { Select } from '@/ui/controls/Select';
import { Tick } from '@/ui/controls/Tick';
import { useState } from 'react';
import { TABLES } from '@/core/physics/diagnosis/tables';
import type { FailureLedger } from '@/core/car/records/failureLedger';
import { livesOfCopies } from '@/core/worked/field/lives';
import type { FailureRecord } from '@/core/car/records/records';
import type { CopyRecord } from '@/core/car/records/prints';
import { QuantityField } from '@/ui/QuantityField';
import { useReader } from '@/ui/reader';
import { useBuild } from '../session/BuildContext';
import { copyWords } from './copyWords';

/** Clues that a builder forgets to say and that separate most. */
const FIRST = [
  'onlyUnderLoad',
  'onlyWhenHot',
  'onlyAtLowCharge',
  'onlyOnFloor',
  'onStand',
  'fromFirstRun',
  'slowlyWorse',
  'intermittent',
] as const;

interface FactsProps {
  failure: FailureRecord;
  copies: readonly CopyRecord[];
  onChange(change: Partial<FailureLedger>): void;
}

/** What is known about a failure: clues, what it was like, what had happened to the part before. */
export function Facts({ failure, copies, onChange }: FactsProps) {
  const { runs } = useBuild();
  const { reader } = useReader();
  const lives = livesOfCopies(copies, runs);
  const { ledger = {} } = failure;
  const clues = ledger.clues ?? [];
  const [asked, setAsked] = useState('');
  const toggle = (clue: string) =>
    onChange({ clues: clues.includes(clue) ? clues.filter((one) => one !== clue) : [...clues, clue] });
  const own = copies.filter(({ partId }) => partId !== undefined && partId === failure.partId);
  const found =
    asked.trim() === ''
      ? []
      : Object.entries(TABLES.clues)
          .filter(
            ([id, { means }]) =>
              !clues.includes(id) && means.toLowerCase().includes(asked.trim().toLowerCase()),
          )
          .slice(0, 8);
  const chip = (clue: string) => (
    <Chip
      key={clue}
      aria-pressed={clues.includes(clue)}
      onClick={() => toggle(clue)}
      label={TABLES.clues[clue]?.means ?? `${clue} (not known here)`}
    />
  );
  const changes = ledger.changesSinceGood ?? [];
  return (
    <section aria-label="What is known">
      <div className={learnCss.chips} data-testid="clues">
        {[...clues, ...FIRST.filter((one) => !clues.includes(one))].map(chip)}
      </div>
      <TextInput
        boxed
        sx={{ width: '100%', maxWidth: 420 }}
        aria-label="Look for a clue"
        placeholder="more clues: type what you saw, e.g. smell, flat, teeth"
        value={asked}
        onChange={(event) => setAsked(event.target.value)}
      />
      {found.length > 0 ? <div className={learnCss.chips}>{found.map(([id]) => chip(id))}</div> : null}
      <Fold title="What it was like, and what had happened before">
        {own.length > 0 ? (
          <div className={fieldsCss.field}>
            <label htmlFor={`copy-${failure.id}`}>Which copy</label>
            <Select
              id={`copy-${failure.id}`}
              value={ledger.copyId ?? ''}
              onChange={(event) =>
                onChange({ copyId: event.target.value === '' ? undefined : event.target.value })
              }
            >
              <option value="">not known</option>
              {own.map(({ id, repairs = [] }, at) => (
                <option key={id} value={id}>
                  {copyWords(at + 1, lives.get(id)?.hours ?? 0, reader, repairs)}
                </option>
              ))}
            </Select>
          </div>
        ) : null}
        <QuantityField
          label="Charge left"
          quantity="share"
          limits={{ from: 0, to: 1 }}
          value={ledger.stateOfCharge}
          onChange={(value) => onChange({ stateOfCharge: value })}
        />
        <QuantityField
          label="Motor’s case"
          quantity="temperatureC"
          limits={{ from: -50, to: 400 }}
          value={ledger.motorCaseC}
          onChange={(value) => onChange({ motorCaseC: value })}
        />
        <QuantityField
          label="The blow came at"
          quantity="speedMps"
          limits={{ from: 0, to: 150 }}
          value={ledger.impactMps}
          onChange={(value) => onChange({ impactMps: value })}
        />
        <QuantityField
          label="Until it ran again"
          quantity="minutes"
          limits={{ from: 0, to: 100_000 }}
          value={ledger.lostMinutes}
          onChange={(value) => onChange({ lostMinutes: value })}
        />
        <Row sx={{ m: '6px 0' }}>
          <label>
            <Tick
              checked={ledger.wet === true}
              onChange={(event) => onChange({ wet: event.target.checked ? true : undefined })}
            />{' '}
            it was wet
          </label>
          <label>
            <Tick
              checked={ledger.repaired === true}
              onChange={(event) => onChange({ repaired: event.target.checked ? true : undefined })}
            />{' '}
            the part had been repaired
          </label>
          <label>
            <Tick
              checked={ledger.crackedBefore === true}
              onChange={(event) => onChange({ crackedBefore: event.target.checked ? true : undefined })}
            />{' '}
            it had been cracked before
          </label>
        </Row>
        <Typography component="p" variant="label">
          Changed since it was last good
        </Typography>
        <div className={learnCss.chips}>
          {Object.entries(TABLES.changes).map(([id, { means }]) => (
            <Chip
              key={id}
              aria-pressed={changes.includes(id)}
              onClick={() =>
                onChange({
                  changesSinceGood: changes.includes(id)
                    ? changes.filter((one) => one !== id)
                    : [...changes, id],
                })
              }
              label={means}
            />
          ))}
        </div>
      </Fold>
    </section>
  );
}
