import fieldsCss from '@/ui/fields.module.css';
import Typography from '@mui/material/Typography';
import { Row } from '@/ui/layout/Row';
import { Fold } from '@/ui/controls/Fold';
import { Note } from '@/ui/controls/Note';
import { Problem } from '@/ui/controls/Problem';
import Button from '@mui/material/Button';
import { TextInput } from '@/ui/controls/TextInput';
import { useState } from 'react';
import { livesOfCopies } from '@/core/worked/field/lives';
import type { Versioned } from '@/core/car/records/records';
import type { CopyRecord } from '@/core/car/records/prints';
import type { LongColumn } from '@/ui/longTable/column';
import { LongTable } from '@/ui/longTable/LongTable';
import { When } from '@/ui/When';
import { newId, sentenceOf } from '../api';
import { useBuild } from '../session/BuildContext';
import { saveRecord } from '../session/saveRecord';

interface LoggedCopy {
  id: string;
  copy: Versioned<CopyRecord>;
  number: number;
  letter: string;
  hours: number | undefined;
}

const nameOf = ({ copy, number }: LoggedCopy) =>
  `${copy.partName} no. ${number}${copy.how === 'draft' ? ', draft' : ''}`;

const COLUMNS: readonly LongColumn<LoggedCopy>[] = [
  {
    field: 'copy',
    name: 'Copy',
    width: 180,
    grows: true,
    value: nameOf,
    show: (row) => <b>{nameOf(row)}</b>,
  },
  {
    field: 'made',
    name: 'Made',
    width: 130,
    date: true,
    value: ({ copy }) => copy.madeAt,
    show: ({ copy, letter }) => (
      <>
        <When at={copy.madeAt} />{' '}
        <Typography component="span" color="textSecondary">
          {letter}
        </Typography>
      </>
    ),
  },
  { field: 'material', name: 'Of', width: 120, value: ({ copy }) => copy.material },
  { field: 'mass', name: 'Mass', width: 90, quantity: 'massG', value: ({ copy }) => copy.massG },
  { field: 'driven', name: 'Driven', width: 90, quantity: 'hours', value: ({ hours }) => hours },
  {
    field: 'history',
    name: 'History',
    width: 180,
    grows: true,
    value: ({ copy }) =>
      [
        ...(copy.repairs ?? []).map(({ what }) => what),
        ...(copy.retiredAt ? [`given up: ${copy.retiredWhy ?? 'no reason given'}`] : []),
      ].join('; '),
  },
];

/** Every printed copy with its history: when it was made, what was done to it, whether it was given up. */
export function Copies() {
  const { copies, revisions, runs, keepCopy } = useBuild();
  const [chosen, choose] = useState<string>();
  const [said, setSaid] = useState('');
  const [problem, setProblem] = useState<string>();
  if (copies.length === 0) return null;
  const good = copies.filter(({ retiredAt }) => retiredAt === undefined).length;
  const numbers = numbersOf(copies);
  const lives = livesOfCopies(copies, runs);
  const rows = [...copies]
    .sort((a, b) => a.partName.localeCompare(b.partName) || (a.madeAt < b.madeAt ? -1 : 1))
    .map((copy): LoggedCopy => ({
      id: copy.id,
      copy,
      number: numbers.get(copy.id)!,
      letter: revisions.find(({ id }) => id === copy.revisionId)?.letter ?? '',
      hours: lives.get(copy.id)?.hours || undefined,
    }));
  const save = async (copy: Versioned<CopyRecord>, changed: CopyRecord) => {
    setProblem(undefined);
    try {
      keepCopy(await saveRecord('copy', copy, changed, copy));
      setSaid('');
      choose(undefined);
    } catch (error) {
      setProblem(sentenceOf(error));
    }
  };
  return (
    <Fold
      title={
        <>
          {copies.length} printed {copies.length === 1 ? 'copy' : 'copies'}, {good} of them good: each with
          its history
        </>
      }
      sx={{ mt: 1.5 }}
    >
      <Problem>{problem}</Problem>
      <LongTable
        label="Printed copies"
        testId="copies"
        rows={rows}
        columns={COLUMNS}
        mark={({ copy }) => (copy.retiredAt ? 'away' : undefined)}
        actsWidth={120}
        acts={({ copy, number }) =>
          copy.retiredAt ? (
            <Button
              variant="link"
              onClick={() => {
                const { retiredAt: _, retiredWhy: __, ...back } = copy;
                void save(copy, back);
              }}
            >
              take it back
            </Button>
          ) : (
            <Button
              variant="link"
              aria-label={`What happened to ${copy.partName} no. ${number}`}
              onClick={() => choose(chosen === copy.id ? undefined : copy.id)}
            >
              note
            </Button>
          )
        }
      />
      {copies
        .filter(({ id }) => id === chosen)
        .map((copy) => (
          <Note key={copy.id} role="group" aria-label="What happened to it" sx={{ maxWidth: 520 }}>
            <div className={fieldsCss.textField}>
              <label htmlFor="copy-said">
                {copy.partName} no. {numbers.get(copy.id)}
              </label>
              <TextInput
                id="copy-said"
                value={said}
                maxLength={300}
                placeholder="e.g. cracked beside the screw"
                onChange={(event) => setSaid(event.target.value)}
              />
            </div>
            <Row sx={{ mt: 0.75 }}>
              <Button
                disabled={said.trim() === ''}
                onClick={() =>
                  void save(copy, {
                    ...copy,
                    repairs: [
                      ...(copy.repairs ?? []),
                      { id: newId(), at: new Date().toISOString(), what: said.trim() },
                    ],
                  })
                }
              >
                Repaired, stays in use
              </Button>
              <Button
                disabled={said.trim() === ''}
                onClick={() =>
                  void save(copy, { ...copy, retiredAt: new Date().toISOString(), retiredWhy: said.trim() })
                }
              >
                Given up
              </Button>
            </Row>
          </Note>
        ))}
    </Fold>
  );
}

/** Copies of a part are numbered as they were made. */
function numbersOf(copies: readonly CopyRecord[]): ReadonlyMap<string, number> {
  const counted = new Map<string, number>();
  return new Map(
    [...copies]
      .sort((a, b) => (a.madeAt < b.madeAt ? -1 : a.madeAt > b.madeAt ? 1 : a.id < b.id ? -1 : 1))
      .map(({ id, partId, partName }) => {
        const key = partId ?? partName;
        counted.set(key, (counted.get(key) ?? 0) + 1);
        return [id, counted.get(key)!];
      }),
  );
}
