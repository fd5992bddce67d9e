import TableContainer from '@mui/material/TableContainer';
import Typography from '@mui/material/Typography';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import type { BuildDocument } from '@/core/car/document/document';
import type { drawnJoints } from '@/core/worked/print/joints';
import { formatText } from '@/core/base/units/formatQuantity';
import { inSentence } from '@/core/base/units/words';
import { useReader } from '@/ui/reader';

/** The size to draw for every hole, seat and gap of the build's joints. */
export function DrawnSizes({
  drawn,
  document,
}: {
  drawn: ReturnType<typeof drawnJoints>;
  document: BuildDocument;
}) {
  const { reader } = useReader();
  const length = (value: number) => formatText(value, 'lengthMm', reader, 4);
  const nameOf = (id: string | undefined) =>
    document.parts.items.find((part) => part.id === id)?.name ?? 'the car';
  return (
    <TableContainer>
      <Table size="small" data-testid="drawn-sizes" sx={{ mt: 1.25 }}>
        <TableHead>
          <TableRow>
            <TableCell>Joint</TableCell>
            <TableCell>What</TableCell>
            <TableCell align="right">Draw it</TableCell>
            <TableCell align="right">Should be</TableCell>
            <TableCell>In</TableCell>
            <TableCell>By</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {drawn.flatMap(({ joint, sizes, missing, coupon }) => [
            ...sizes.map(({ kind, called, targetMm, drawMm, errorMm }, index) => (
              <TableRow key={`${joint.id}${called}`}>
                <TableCell>{index === 0 ? <b>{joint.name}</b> : ''}</TableCell>
                <TableCell>{called}</TableCell>
                <TableCell align="right">
                  <b>{length(drawMm)}</b>
                  {errorMm === undefined ? (
                    ''
                  ) : (
                    <Typography component="span" color="textSecondary">
                      {' '}
                      ± {formatText(errorMm, 'lengthMm', reader, 1)}
                    </Typography>
                  )}
                </TableCell>
                <TableCell align="right">{length(targetMm)}</TableCell>
                <TableCell>{index === 0 ? nameOf(joint.part) : ''}</TableCell>
                <TableCell data-tone="quiet">
                  {kind === 'gap'
                    ? coupon
                      ? 'the gaps of the test piece'
                      : 'a usual gap; print the test piece'
                    : coupon
                      ? `test piece, ${inSentence(coupon.material)}`
                      : 'not corrected: no test piece of its material'}
                </TableCell>
              </TableRow>
            )),
            ...(missing.length > 0
              ? [
                  <TableRow key={`${joint.id}missing`}>
                    <TableCell>{sizes.length === 0 ? <b>{joint.name}</b> : ''}</TableCell>
                    <TableCell data-tone="quiet" colSpan={5}>
                      Needs {missing.join(', ')}.
                    </TableCell>
                  </TableRow>,
                ]
              : []),
          ])}
        </TableBody>
      </Table>
    </TableContainer>
  );
}
