import tablesCss from '@/ui/controls/tables.module.css';
import TableContainer from '@mui/material/TableContainer';
import Typography from '@mui/material/Typography';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import Button from '@mui/material/Button';
import type { Part } from '@/core/car/parts/parts';
import { BOSS_KINDS, bossCheck } from '@/core/physics/strength/boss';
import { derate } from '@/core/physics/strength/allowable';
import { hasLayers, strengthOf } from '@/core/worked/parts/materialOfBuild';
import type { LoadedPart } from '@/core/worked/parts/loadedPart';
import { SCREW_WORDS } from '@/words/terms';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { useBuild } from '../session/BuildContext';

/** Four ways to hold the same screws side by side under the worst load. */
export function ScrewWays({ part, worst }: { part: Part; worst: LoadedPart }) {
  const { edit, closed } = useBuild();
  const { reader } = useReader();
  const { screwMm, engagementMm, wallMm, screws = 1, screwKind = 'screwInPlastic' } = part.shape!;
  if (!part.material || screwMm === undefined || engagementMm === undefined || wallMm === undefined)
    return null;
  const material = strengthOf(part.material);
  const left = derate(material, part.temperatureC);
  const { kinds, best } = bossCheck({
    screwMm,
    engagementMm,
    wallMm,
    material,
    layers: part.layers === 'across' && hasLayers(part.material) ? 'acrossAxis' : 'alongAxis',
    forceN: worst.forceN / screws,
  });
  return (
    <TableContainer>
      <Table size="small" className={tablesCss.slim} data-testid="screw-ways">
        <TableHead>
          <TableRow>
            <TableCell>
              {screws} screws M{formatNumber(screwMm, reader.locale, 3)} held by
            </TableCell>
            <TableCell align="right">Pull out at</TableCell>
            <TableCell align="right">Margin</TableCell>
            <TableCell />
          </TableRow>
        </TableHead>
        <TableBody>
          {BOSS_KINDS.map((kind) => {
            const found = kinds[kind];
            if (!found) return null;
            return (
              <TableRow key={kind}>
                <TableCell>
                  {kind === screwKind ? <b>{SCREW_WORDS[kind]}, as it is</b> : SCREW_WORDS[kind]}
                  {kind === best ? (
                    <Typography component="span" color="textSecondary" className={tablesCss.minor}>
                      {' '}
                      strongest
                    </Typography>
                  ) : null}
                </TableCell>
                <TableCell align="right">
                  {formatText(found.pullOutN * left * screws, 'forceN', reader)}
                </TableCell>
                <TableCell align="right">{formatNumber(found.margin * left, reader.locale, 3)}</TableCell>
                <TableCell>
                  {kind === screwKind || closed ? null : (
                    <Button
                      variant="text"
                      aria-label={`Take ${SCREW_WORDS[kind]}`}
                      onClick={() =>
                        edit([{ path: ['parts', 'items', part.id, 'shape', 'screwKind'], value: kind }])
                      }
                    >
                      take
                    </Button>
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
