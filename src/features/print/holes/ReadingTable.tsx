import tablesCss from '@/ui/controls/tables.module.css';
import TableContainer from '@mui/material/TableContainer';
import { IconAct } from '@/ui/controls/IconAct';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import type { HolePattern } from '@/core/car/document/print';
import type { SolvedPattern } from '@/core/physics/printing/holes/pattern';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { useBuild } from '../../session/BuildContext';

/** What was read against what fits, the reading that is wrong marked. */
export function ReadingTable({
  pattern: { id, readings },
  solved,
}: {
  pattern: HolePattern;
  solved: SolvedPattern | undefined;
}) {
  const { edit, closed } = useBuild();
  const { reader } = useReader();
  if (readings.length === 0) return null;
  const { residuals = [], suspect = [] } = solved?.result ?? {};
  // one wrong reading pulls at its neighbours: the first alone is named until it is out
  const wrong = (from: string, to: string) => suspect[0]?.from === from && suspect[0].to === to;
  const length = (value: number) => formatText(Number(value.toFixed(2)), 'lengthMm', reader, 6);
  return (
    <TableContainer sx={{ flex: 1, minWidth: 300 }}>
      <Table size="small" className={tablesCss.slim} data-testid="readings">
        <TableHead>
          <TableRow>
            <TableCell>Reading</TableCell>
            <TableCell className={tablesCss.minor}>Jaws</TableCell>
            <TableCell align="right">Read</TableCell>
            <TableCell align="right">Fits</TableCell>
            <TableCell align="right">Off, in its errors</TableCell>
            <TableCell />
          </TableRow>
        </TableHead>
        <TableBody>
          {readings.map((reading, index) => {
            const fit = residuals[index];
            const known =
              fit && fit.from === reading.from && fit.to === reading.to && fit.readMm === reading.valueMm;
            const bad = wrong(reading.from, reading.to);
            return (
              <TableRow key={reading.id} data-wrong={bad}>
                <TableCell>
                  {reading.from} to {reading.to}
                  {bad ? <b> wrong</b> : null}
                </TableCell>
                <TableCell className={tablesCss.minor}>{reading.kind}</TableCell>
                <TableCell align="right">{length(reading.valueMm)}</TableCell>
                <TableCell align="right">{known ? length(fit.fitMm) : ''}</TableCell>
                <TableCell align="right">
                  {known ? formatNumber(fit.offBySigma, reader.locale, 2) : ''}
                </TableCell>
                <TableCell>
                  {closed ? null : (
                    <IconAct
                      icon="takeOut"
                      label={`Take the reading ${reading.from} to ${reading.to} out`}
                      onClick={() =>
                        edit([
                          {
                            path: ['print', 'patterns', id, 'readings'],
                            value: readings.filter((one) => one.id !== reading.id),
                          },
                        ])
                      }
                    />
                  )}
                </TableCell>
              </TableRow>
            );
          })}
        </TableBody>
      </Table>
    </TableContainer>
  );
}
