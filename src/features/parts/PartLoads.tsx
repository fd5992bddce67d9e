import TableContainer from '@mui/material/TableContainer';
import tablesCss from '@/ui/controls/tables.module.css';
import Typography from '@mui/material/Typography';
import { Note } from '@/ui/controls/Note';
import Box from '@mui/material/Box';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import { breakWords } from '@/words/checks/parts';
import { loadWords } from '@/words/checks/loads';
import { needNames } from '@/words/needs';
import { useMemo } from 'react';
import type { Part } from '@/core/car/parts/parts';
import { partStrength } from '@/core/worked/parts/partStrength';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { useBuild } from '../session/BuildContext';
import { PartSketch } from './PartSketch';
import type { State } from '@/core/verdict/engine/check';
import { ScrewWays } from './ScrewWays';

/** Every load of one part with what it leaves, also of the build beside it. */
export function PartLoads({ part, state }: { part: Part; state: State }) {
  const { document, surface, ghost } = useBuild();
  const { reader } = useReader();
  const found = useMemo(() => partStrength(document, surface, part), [document, surface, part]);
  const other = useMemo(() => {
    const same = ghost?.document.parts.items.find(({ id }) => id === part.id);
    return ghost && same ? partStrength(ghost.document, surface, same) : undefined;
  }, [ghost, surface, part.id]);
  if (!found.ok)
    return (
      <Note>
        {part.name} needs {needNames(found.missing)}.
      </Note>
    );
  const before = (id: string | undefined) =>
    other?.ok ? other.value.loads.find(({ load }) => load?.id === id)?.margin : undefined;
  return (
    <>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'flex-start', columnGap: 3 }}>
        <PartSketch part={part} worst={found.value.worst} state={state} />
        <TableContainer sx={{ flex: '1 1 400px' }}>
          <Table className={tablesCss.slim} data-testid="part-loads">
            <TableHead>
              <TableRow>
                <TableCell>{part.name} under</TableCell>
                <TableCell align="right">Force</TableCell>
                <TableCell align="right">Breaks at</TableCell>
                <TableCell align="right">Margin</TableCell>
                <TableCell className={tablesCss.minor}>How</TableCell>
                <TableCell align="right" className={tablesCss.minor}>
                  Deflects
                </TableCell>
              </TableRow>
            </TableHead>
            <TableBody>
              {found.value.loads.map((row, index) => (
                <TableRow key={row.load?.id ?? `solid-${index}`}>
                  <TableCell>
                    {row.depth === 'solid' ? <b>{loadWords(row)}, on its mesh</b> : loadWords(row)}
                  </TableCell>
                  <TableCell align="right">{formatText(row.forceN, 'forceN', reader)}</TableCell>
                  <TableCell align="right">{formatText(row.breaksAtN, 'forceN', reader)}</TableCell>
                  <TableCell align="right" data-tone={row.margin < 1 ? 'fails' : undefined}>
                    {formatNumber(row.margin, reader.locale, 3)}
                    {before(row.load?.id) === undefined ? null : (
                      <Typography component="span" color="textSecondary">
                        {' '}
                        ({ghost!.label}: {formatNumber(before(row.load?.id)!, reader.locale, 3)})
                      </Typography>
                    )}
                  </TableCell>
                  <TableCell className={tablesCss.minor}>
                    {breakWords(row.mode, row.screwKind)},{' '}
                    {row.between ? 'between the layers' : 'in the material'}
                  </TableCell>
                  <TableCell align="right" className={tablesCss.minor}>
                    {row.deflectionMm === undefined
                      ? ''
                      : formatText(row.deflectionMm, 'lengthMm', reader, 2)}
                  </TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
        </TableContainer>
      </Box>
      {part.shape?.as === 'boss' ? (
        <ScrewWays
          part={part}
          worst={found.value.loads.find(({ depth }) => depth === 'boss') ?? found.value.worst}
        />
      ) : null}
    </>
  );
}
