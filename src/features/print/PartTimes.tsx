import Typography from '@mui/material/Typography';
import TableContainer from '@mui/material/TableContainer';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import { durationText } from '@/core/base/units/duration';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import type { PlannedPart } from './usePlates';

/** Every printed part, the longest first: what a draft and a final copy take, and what strength a draft gives away. */
export function PartTimes({
  parts,
  problems,
  limitMinutes,
}: {
  parts: readonly PlannedPart[];
  problems: ReadonlyMap<string, string>;
  limitMinutes: number;
}) {
  const { reader } = useReader();
  if (parts.length === 0) return null;
  const sorted = [...parts].sort((a, b) => (b.times.final?.timeS ?? -1) - (a.times.final?.timeS ?? -1));
  const mass = (value: number | undefined) => (value === undefined ? '' : formatText(value, 'massG', reader));
  const margin = (value: number | undefined) =>
    value === undefined ? '' : formatNumber(value, reader.locale, 3);
  return (
    <>
      <Typography variant="label" sx={{ mt: 2.25 }}>
        <span>One copy of each part: a draft to hold against the car, and the final print</span>
      </Typography>
      <TableContainer>
        <Table size="small" data-testid="part-times">
          <TableHead>
            <TableRow>
              <TableCell rowSpan={2}>Part</TableCell>
              <TableCell align="right" colSpan={2}>
                Time
              </TableCell>
              <TableCell align="right" colSpan={2}>
                Plastic
              </TableCell>
              <TableCell align="right">Cost</TableCell>
              <TableCell align="right" colSpan={2}>
                Strength, times its load
              </TableCell>
              <TableCell align="right" rowSpan={2}>
                Height
              </TableCell>
            </TableRow>
            <TableRow>
              {['draft', 'final', 'draft', 'final', 'final', 'draft', 'final'].map((how, at) => (
                <TableCell align="right" key={at}>
                  {how}
                </TableCell>
              ))}
            </TableRow>
          </TableHead>
          <TableBody>
            {sorted.map(({ part, times: { draft, final }, margins, missing }) => (
              <TableRow key={part.id}>
                <TableCell>
                  <b>{part.name}</b>
                </TableCell>
                {final && draft ? (
                  <>
                    <TableCell align="right">{durationText(draft.timeS)}</TableCell>
                    <TableCell align="right">
                      <b>{durationText(final.timeS)}</b>
                      {final.timeS > limitMinutes * 60 ? (
                        <span title="longer than the workshop's limit"> ▲</span>
                      ) : null}
                    </TableCell>
                    <TableCell align="right">{mass(draft.massG)}</TableCell>
                    <TableCell align="right">{mass(final.massG)}</TableCell>
                    <TableCell align="right">
                      {final.cost === undefined ? 'no price' : formatText(final.cost, 'price', reader)}
                    </TableCell>
                    <TableCell align="right">{margin(margins.draft)}</TableCell>
                    <TableCell align="right">{margin(margins.final)}</TableCell>
                    <TableCell align="right">
                      {formatText(part.mesh!.lies!.sizeMm[2], 'lengthMm', reader)}
                    </TableCell>
                  </>
                ) : (
                  <TableCell data-tone="quiet" colSpan={8}>
                    {problems.get(part.id) ??
                      `Needs ${missing.join(', ')}${missing.includes('a mesh') ? ': drop its file on the Parts page, under its own mesh' : ''}.`}
                  </TableCell>
                )}
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </TableContainer>
      <Typography variant="note" color="textSecondary" sx={{ mt: 0.5 }}>
        ▲ takes longer than {limitMinutes} min, the limit of this workshop: print a spare before it breaks.
      </Typography>
    </>
  );
}
