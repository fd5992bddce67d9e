import tablesCss from '@/ui/controls/tables.module.css';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableContainer from '@mui/material/TableContainer';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { formatText } from '@/core/base/units/formatQuantity';
import type { NearThings } from '@/core/worked/space/clearanceOfBuild';
import type { CarPose } from '@/core/worked/space/posesOfCar';
import { saidThing } from '@/core/worked/space/said';
import { useReader } from '@/ui/reader';
import { thingWords } from '@/words/checks/things';
import { firstUp } from '@/words/lists';
import { newId } from '../../api';
import { useBuild } from '../../session/BuildContext';

/** What comes near what, the worst first, each with the pose where it does. */
export function NearTable({ near, onPose }: { near: readonly NearThings[]; onPose(pose: CarPose): void }) {
  const { document, edit, closed } = useBuild();
  const { reader } = useReader();
  const mm = (value: number) => formatText(value, 'lengthMm', reader, 2);
  const touching = document.chassis.touching ?? [];
  const setTouching = (value: typeof touching) =>
    edit([{ path: ['chassis', 'touching'], value: value.length > 0 ? value : undefined }]);
  const allow = ({ a, b }: NearThings) =>
    setTouching([...touching, { id: `touch-${newId().slice(0, 8)}`, a: a.id, b: b.id }]);
  const forbid = ({ a, b }: NearThings) =>
    setTouching(
      touching.filter((one) => !((one.a === a.id && one.b === b.id) || (one.a === b.id && one.b === a.id))),
    );
  if (near.length === 0) return null;
  return (
    <TableContainer sx={{ mt: 1.5 }}>
      <Table className={tablesCss.slim} data-testid="near-things">
        <TableHead>
          <TableRow>
            <TableCell>What comes near what</TableCell>
            <TableCell align="right">Apart</TableCell>
            <TableCell align="right">Wanted</TableCell>
            <TableCell>Where</TableCell>
            <TableCell />
          </TableRow>
        </TableHead>
        <TableBody>
          {near
            .filter(({ counts, allowed }) => counts || allowed)
            .map((one) => (
              <TableRow key={`${one.a.id} ${one.b.id}`}>
                <TableCell>
                  {firstUp(thingWords(saidThing(one.a)))}, {one.a.of?.side ?? one.b.of?.side ?? ''}{' '}
                  {thingWords(saidThing(one.b))}
                </TableCell>
                <TableCell align="right" data-tone={!one.allowed && one.marginMm < 0 ? 'fails' : undefined}>
                  {one.contact ? `${mm(Math.max(0, -one.signedMm))} in it` : mm(one.signedMm)}
                </TableCell>
                <TableCell align="right">{one.wantedMm === 0 ? '' : mm(one.wantedMm)}</TableCell>
                <TableCell>
                  {one.moves ? (
                    <Button variant="link" onClick={() => onPose(one.pose)}>
                      {mm(one.pose.travelMm[(one.a.of ?? one.b.of)?.end ?? 'front'])}
                      {one.pose.rackMm === 0 ? '' : ', steered'}
                    </Button>
                  ) : (
                    'as it stands'
                  )}
                </TableCell>
                <TableCell>
                  {closed ? null : (
                    <Button variant="link" onClick={() => (one.allowed ? forbid(one) : allow(one))}>
                      {one.allowed ? 'may touch: take back' : 'may touch'}
                    </Button>
                  )}
                </TableCell>
              </TableRow>
            ))}
        </TableBody>
      </Table>
    </TableContainer>
  );
}
