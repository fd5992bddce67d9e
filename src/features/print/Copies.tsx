import { dimmedWhen } from '@/ui/layout/dimmedWhen';
import fieldsCss from '@/ui/fields.module.css';
import TableContainer from '@mui/material/TableContainer';
import Typography from '@mui/material/Typography';
import { Row } from '@/ui/layout/Row';
import { Fold } from '@/ui/controls/Fold';
import { Note } from '@/ui/controls/Note';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import Button from '@mui/material/Button';
import { TextInput } from '@/ui/controls/TextInput';
import { useState } from 'react';
import { livesOfCopies } from '@/core/worked/field/lives';
import type { Versioned } from '@/core/car/records/records';
import type { CopyRecord } from '@/core/car/records/prints';
import { formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { When } from '@/ui/When';
import { newId, sentenceOf } from '../api';
import { useBuild } from '../session/BuildContext';
import { saveRecord } from '../session/saveRecord';

/** Every printed copy with its history: when it was made, what was done to it, whether it was given up. */
export function Copies() {
  const { copies, revisions, runs, keepCopy } = useBuild();
  const { reader } = useReader();
  const [chosen, choose] = useState<string>();
  const [said, setSaid] = useState('');
  const [problem, setProblem] = useState<string>();
  if (copies.length === 0) return null;
  const good = copies.filter(({ retiredAt }) => retiredAt === undefined).length;
  const numbers = numbersOf(copies);
  const lives = livesOfCopies(copies, runs);
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
      {problem ? (
        <Note tone="bad" role="alert">
          {problem}
        </Note>
      ) : null}
      <TableContainer>
        <Table size="small" data-testid="copies">
          <TableHead>
            <TableRow>
              <TableCell>Copy</TableCell>
              <TableCell>Made</TableCell>
              <TableCell>Of</TableCell>
              <TableCell align="right">Mass</TableCell>
              <TableCell align="right">Driven</TableCell>
              <TableCell>History</TableCell>
              <TableCell />
            </TableRow>
          </TableHead>
          <TableBody>
            {[...copies]
              .sort((a, b) => a.partName.localeCompare(b.partName) || (a.madeAt < b.madeAt ? -1 : 1))
              .map((copy) => (
                <TableRow key={copy.id} sx={dimmedWhen(Boolean(copy.retiredAt))}>
                  <TableCell>
                    <b>{copy.partName}</b> no. {numbers.get(copy.id)}
                    {copy.how === 'draft' ? ', draft' : ''}
                  </TableCell>
                  <TableCell>
                    <When at={copy.madeAt} />{' '}
                    <Typography component="span" color="textSecondary">
                      {revisions.find(({ id }) => id === copy.revisionId)?.letter}
                    </Typography>
                  </TableCell>
                  <TableCell>{copy.material ?? ''}</TableCell>
                  <TableCell align="right">
                    {copy.massG === undefined ? '' : formatText(copy.massG, 'massG', reader)}
                  </TableCell>
                  <TableCell align="right">
                    {(lives.get(copy.id)?.hours ?? 0) > 0
                      ? formatText(lives.get(copy.id)!.hours, 'hours', reader, 2)
                      : ''}
                  </TableCell>
                  <TableCell data-tone="quiet">
                    {[
                      ...(copy.repairs ?? []).map(({ what }) => what),
                      ...(copy.retiredAt ? [`given up: ${copy.retiredWhy ?? 'no reason given'}`] : []),
                    ].join('; ')}
                  </TableCell>
                  <TableCell sx={{ whiteSpace: 'nowrap' }}>
                    {copy.retiredAt ? (
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
                        aria-label={`What happened to ${copy.partName} no. ${numbers.get(copy.id)}`}
                        onClick={() => choose(chosen === copy.id ? undefined : copy.id)}
                      >
                        note
                      </Button>
                    )}
                  </TableCell>
                </TableRow>
              ))}
          </TableBody>
        </Table>
      </TableContainer>
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
