import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableContainer from '@mui/material/TableContainer';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import type { Edit } from '@/core/base/patch';
import type { QuantityName } from '@/core/base/units/quantities';
import { formatNumber, formatText, formatWithError } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { sayAll } from '@/words/findings';
import type { LogAnswer } from '@/workers/logs';
import { useBuild } from '../../session/BuildContext';

type Measured = {
  label: string;
  quantity: QuantityName;
  value: number;
  error?: number;
  own?: number;
  key?: string;
};

/** The motor as the log tells it beside the build's, to be taken over. */
export function LogMotor({ answer: { motor: found } }: { answer: LogAnswer }) {
  const { document, edit, closed } = useBuild();
  const { reader } = useReader();
  if (!found) return null;
  const own = document.drive.motor;
  const controllerMilliOhm = document.power.controller?.resistanceMilliOhm ?? 0;
  // the log's resistance holds leads and controller, which the build has of their own
  const windingMilliOhm = found.resistanceMilliOhm - controllerMilliOhm;
  const rows: Measured[] = [
    {
      label: 'Turns per volt',
      quantity: 'motorConstant',
      value: found.kvRpmPerV,
      error: found.kvErrorRpmPerV,
      ...(own ? { own: own.kvRpmPerV } : {}),
      key: 'kvRpmPerV',
    },
    ...(windingMilliOhm > 0
      ? [
          {
            label: 'Resistance, without the controller',
            quantity: 'resistanceMilliOhm' as const,
            value: windingMilliOhm,
            error: found.resistanceErrorMilliOhm,
            ...(own ? { own: own.resistanceMilliOhm } : {}),
            key: 'resistanceMilliOhm',
          },
        ]
      : []),
    ...(found.noLoadCurrentA === undefined
      ? []
      : [
          {
            label: `Idling current at ${formatText(found.noLoad!.atRpm, 'rpm', reader, 5)}`,
            quantity: 'currentA' as const,
            value: found.noLoadCurrentA,
            ...(own ? { own: own.noLoadCurrentA } : {}),
            key: 'noLoadCurrentA',
          },
        ]),
    ...(found.inertiaKgM2 === undefined
      ? []
      : [
          {
            label: 'Inertia of all that turned with it',
            quantity: 'inertiaKgM2' as const,
            value: found.inertiaKgM2,
            ...(found.inertiaErrorKgM2 === undefined ? {} : { error: found.inertiaErrorKgM2 }),
          },
        ]),
  ];
  const edits: Edit[] = rows.flatMap(({ key, value }) =>
    key === undefined ? [] : [{ path: ['drive', 'motor', key], value: Number(value.toPrecision(4)) }],
  );
  const { wheel } = found;
  return (
    <TableContainer component="section" sx={{ my: 1.5 }} aria-label="Motor by the log">
      <Table size="small">
        <TableHead>
          <TableRow>
            <TableCell>Motor by the log ({formatNumber(found.rows, reader.locale, 6)} rows)</TableCell>
            <TableCell align="right">Measured</TableCell>
            <TableCell align="right">In the build</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {rows.map(({ label, quantity, value, error, own: known }) => (
            <TableRow key={label}>
              <TableCell>{label}</TableCell>
              <TableCell align="right">
                {error === undefined
                  ? formatText(value, quantity, reader)
                  : formatWithError(value, error, quantity, reader)}
              </TableCell>
              <TableCell align="right">
                {known === undefined ? '' : formatText(known, quantity, reader)}
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
      <Typography sx={{ mt: 1 }}>
        {wheel?.ratio === undefined
          ? ''
          : `Motor turns per wheel turn: ${formatNumber(wheel.ratio, reader.locale, 4)}. `}
        {wheel?.slipPct === undefined
          ? ''
          : `While it drives the tyres slip by ${formatText(wheel.slipPct, 'percent', reader, 2)} on the mean. `}
        {sayAll([...found.findings.map(({ why }) => why), ...found.notes], reader)}
      </Typography>
      {closed || !own || edits.length === 0 ? null : (
        <Button onClick={() => edit(edits)}>Take the motor as measured into the build</Button>
      )}
    </TableContainer>
  );
}
