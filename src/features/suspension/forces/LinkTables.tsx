import tablesCss from '@/ui/controls/tables.module.css';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableContainer from '@mui/material/TableContainer';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import type { End } from '@/core/car/document/suspension';
import { lengthOf } from '@/core/base/vec3';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import type { LoadForces, WorstAt } from '@/core/physics/links/definition';
import type { HardestForce } from '@/core/worked/links/linksOfBuild';
import { judgedLink } from '@/core/worked/parts/heldLinks';
import { useReader } from '@/ui/reader';
import { LINK_TERMS, MOUNT_TERMS, WHEEL_LOAD_TERMS } from '@/words/checks/links';
import { firstUp } from '@/words/lists';
import { useBuild } from '../../session/BuildContext';

/** What every member and joint carries at the hardest, and what is left of what it withstands. */
export function LinkTable({
  end,
  hardest,
  onChoose,
}: {
  end: End;
  hardest: ReadonlyMap<string, HardestForce>;
  onChoose(link: string): void;
}) {
  const { document, surface } = useBuild();
  const { reader } = useReader();
  const held = new Map((document.suspension[end]?.held ?? []).map((one) => [one.id, one]));
  const n = (forceN: number) => (forceN < 1e-6 ? '' : formatText(forceN, 'forceN', reader, 3));
  const where = (at: WorstAt | undefined) =>
    at
      ? `${WHEEL_LOAD_TERMS[at.load] ?? at.load}, at ${formatText(at.travelMm, 'lengthMm', reader, 2)}${at.rackMm === 0 ? '' : ', steered'}`
      : '';
  return (
    <TableContainer>
      <Table className={tablesCss.slim} data-testid="link-forces">
        <TableHead>
          <TableRow>
            <TableCell>Link or joint</TableCell>
            <TableCell align="right">Pulled, or in all</TableCell>
            <TableCell align="right">Pushed</TableCell>
            <TableCell className={tablesCss.minor}>Hardest by</TableCell>
            <TableCell align="right">Withstands</TableCell>
            <TableCell align="right">Margin</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {[...hardest].map(([link, { pullN, pull, pushN = 0, push }]) => {
            const own = held.get(link);
            const judged = own ? judgedLink(document, end, surface, own) : undefined;
            return (
              <TableRow key={link}>
                <TableCell>
                  <Button variant="link" onClick={() => onChoose(link)}>
                    {firstUp(LINK_TERMS[link] ?? link)}
                  </Button>
                </TableCell>
                <TableCell align="right">{n(pullN)}</TableCell>
                <TableCell align="right">{n(pushN)}</TableCell>
                <TableCell className={tablesCss.minor}>{where(pushN > pullN ? push : pull)}</TableCell>
                <TableCell align="right">{judged?.ok ? n(judged.value.holdsN) : ''}</TableCell>
                <TableCell
                  align="right"
                  data-tone={judged?.ok && judged.value.margin < 1 ? 'fails' : undefined}
                >
                  {judged?.ok ? formatNumber(judged.value.margin, reader.locale, 2) : ''}
                </TableCell>
              </TableRow>
            );
          })}
        </TableBody>
      </Table>
    </TableContainer>
  );
}

/** What the chassis is pushed with at each of its points, to be carried by its plate. */
export function MountTable({ load }: { load: LoadForces }) {
  const { reader } = useReader();
  const n = (value: number) => formatNumber(value, reader.locale, 3);
  return (
    <TableContainer>
      <Table className={tablesCss.slim} data-testid="mount-forces">
        <TableHead>
          <TableRow>
            <TableCell>On the chassis, N</TableCell>
            <TableCell align="right">forwards</TableCell>
            <TableCell align="right">to the left</TableCell>
            <TableCell align="right">up</TableCell>
            <TableCell align="right">in all</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {Object.entries(load.chassis).map(([point, force]) => (
            <TableRow key={point}>
              <TableCell>{firstUp(MOUNT_TERMS[point] ?? point)}</TableCell>
              {force.map((value, axis) => (
                <TableCell key={axis} align="right">
                  {n(Math.abs(value) < 1e-6 ? 0 : value)}
                </TableCell>
              ))}
              <TableCell align="right">{n(lengthOf(force))}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </TableContainer>
  );
}
