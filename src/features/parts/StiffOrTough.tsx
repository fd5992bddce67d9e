import tablesCss from '@/ui/controls/tables.module.css';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import TableContainer from '@mui/material/TableContainer';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import Button from '@mui/material/Button';
import { useMemo } from 'react';
import type { Part } from '@/core/car/parts/parts';
import { itemsOf, materialForBuild } from '@/core/car/library/items';
import { hasLayers } from '@/core/worked/parts/materialOfBuild';
import { stiffOrTough } from '@/core/worked/parts/stiffOrTough';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { useBuild } from '../session/BuildContext';

/** One part side by side in the printed materials at hand: what it bears, how far it gives, what it takes before it breaks. */
export function StiffOrTough({ part }: { part: Part }) {
  const { document, surface, library, edit, closed } = useBuild();
  const { reader } = useReader();
  const materials = useMemo(
    () => itemsOf(library, 'material').map(materialForBuild).filter(hasLayers),
    [library],
  );
  const rows = useMemo(
    () => stiffOrTough(document, surface, part, materials),
    [document, surface, part, materials],
  );
  if (rows.length < 2) return null;
  const [least, most] = [
    Math.min(...rows.map(({ deflectionMm = Infinity }) => deflectionMm)),
    Math.max(...rows.map(({ energyJ = 0 }) => energyJ)),
  ];
  const take = (name: string) =>
    edit([
      { path: ['parts', 'items', part.id, 'material'], value: materials.find((one) => one.name === name) },
    ]);
  return (
    <Box component="section" sx={{ mt: 1.75 }} aria-label="Stiff or tough">
      <Typography component="h2" variant="heading">
        Stiff or tough: {part.name.toLowerCase()} in what is at hand
      </Typography>
      <Typography variant="note" color="textSecondary" sx={{ maxWidth: 640 }}>
        A stiff part keeps the wheels where they were drawn and passes a knock on; a tough one bends, takes
        the knock and comes home. The work to break is an upper bound.
      </Typography>
      <TableContainer>
        <Table size="small" className={tablesCss.slim} data-testid="stiff-or-tough">
          <TableHead>
            <TableRow>
              <TableCell>Material</TableCell>
              <TableCell align="right">Margin</TableCell>
              <TableCell align="right">Deflects</TableCell>
              <TableCell align="right">Work to break</TableCell>
              <TableCell />
            </TableRow>
          </TableHead>
          <TableBody>
            {rows.map(({ name, margin, deflectionMm, energyJ, chosen }) => (
              <TableRow key={name}>
                <TableCell>{chosen ? <b>{name}, as it is</b> : name}</TableCell>
                <TableCell align="right" data-tone={margin < 1 ? 'fails' : undefined}>
                  {formatNumber(margin, reader.locale, 3)}
                </TableCell>
                <TableCell align="right">
                  {deflectionMm === undefined ? '' : formatText(deflectionMm, 'lengthMm', reader, 2)}
                  {deflectionMm === least ? (
                    <Typography component="span" color="textSecondary" className={tablesCss.minor}>
                      {' '}
                      stiffest
                    </Typography>
                  ) : null}
                </TableCell>
                <TableCell align="right">
                  {energyJ === undefined ? '' : formatText(energyJ, 'energyJ', reader, 2)}
                  {energyJ !== undefined && energyJ === most ? (
                    <Typography component="span" color="textSecondary" className={tablesCss.minor}>
                      {' '}
                      toughest
                    </Typography>
                  ) : null}
                </TableCell>
                <TableCell>
                  {chosen || closed ? null : (
                    <Button variant="text" aria-label={`Take ${name}`} onClick={() => take(name)}>
                      take
                    </Button>
                  )}
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </TableContainer>
    </Box>
  );
}
