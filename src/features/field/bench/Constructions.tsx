import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableContainer from '@mui/material/TableContainer';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import type { Edit } from '@/core/base/patch';
import { tyreAt, tyreKeys } from '@/core/car/tyres/tyres';
import type { Construction } from '@/core/worked/bench/constructions';
import { formatNumber, formatText, formatWithError } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { useBuild } from '../../session/BuildContext';

const round = (rpm: number) => Math.round(rpm / 10) * 10;

/** Constructions that were spun, the one that stands the most first, and what the build takes of each. */
export function Constructions({
  constructions,
  wishRpm,
}: {
  constructions: readonly Construction[];
  wishRpm: number | undefined;
}) {
  const { reader } = useReader();
  const rpm = (value: number | undefined) =>
    value === undefined ? '' : formatText(round(value), 'rpm', reader, 5);
  const share = (value: number) => formatText(value, 'share', reader, 2);
  return (
    <TableContainer component="section" sx={{ my: 1.5 }} aria-label="Constructions by what they stand">
      <Table size="small">
        <TableHead>
          <TableRow>
            <TableCell>Construction</TableCell>
            <TableCell align="right">Grew, × typical</TableCell>
            <TableCell align="right">Modulus</TableCell>
            <TableCell align="right">Proven at</TableCell>
            <TableCell align="right">Half fail at</TableCell>
            <TableCell align="right">99 in 100 hold</TableCell>
            <TableCell align="right">Chance at {rpm(wishRpm)}</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {constructions.map((one) => {
            const { tyre, fitted, growth, provenMps } = one;
            const chance = fitted.chanceHolds ?? fitted.chanceHoldsOver;
            return (
              <TableRow key={tyre.name}>
                <TableCell>
                  {tyre.name} <TakeIn one={one} />
                </TableCell>
                <TableCell align="right">
                  {growth ? formatNumber(growth.measuredPct / growth.predictedPct, reader.locale, 2) : ''}
                </TableCell>
                <TableCell align="right">
                  {fitted.modulusMpa === undefined
                    ? fitted.modulusOverMpa === undefined
                      ? ''
                      : `over ${formatText(fitted.modulusOverMpa, 'stressMpa', reader, 2)}`
                    : fitted.modulusErrorMpa === undefined
                      ? formatText(fitted.modulusMpa, 'stressMpa', reader, 2)
                      : formatWithError(fitted.modulusMpa, fitted.modulusErrorMpa, 'stressMpa', reader)}
                </TableCell>
                <TableCell align="right">
                  {rpm(fitted.provenRpm)}
                  {fitted.provenCount ? ` (${fitted.provenCount})` : ''}
                  {provenMps === undefined ? '' : `, ${formatText(provenMps, 'speedMps', reader)}`}
                </TableCell>
                <TableCell align="right">
                  {fitted.medianRpm === undefined
                    ? ''
                    : `${fitted.scatterAssumed ? 'about ' : ''}${rpm(fitted.medianRpm)}`}
                </TableCell>
                <TableCell align="right">{rpm(fitted.lowRpm)}</TableCell>
                <TableCell align="right">
                  {chance === undefined
                    ? ''
                    : `${fitted.chanceHolds === undefined ? 'over ' : ''}${share(chance)}`}
                </TableCell>
              </TableRow>
            );
          })}
        </TableBody>
      </Table>
    </TableContainer>
  );
}

/** The build takes kind, hold, modulus and proven speed of a construction; its run and its burst check follow. */
function TakeIn({ one: { tyre, fitted } }: { one: Construction }) {
  const { document, edit, closed } = useBuild();
  const keys = tyreKeys(document.drive, tyre.axle);
  const own = tyreAt(document.drive, tyre.axle);
  const held = document.drive[keys.hold] ?? {};
  const wanted = {
    ...tyre.hold,
    ...(fitted.modulusMpa === undefined ? {} : { hoopModulusMpa: Number(fitted.modulusMpa.toPrecision(3)) }),
    ...(fitted.provenRpm === undefined ? {} : { provenRpm: fitted.provenRpm }),
  };
  const edits: Edit[] = [
    ...(own?.ring === tyre.kind ? [] : [{ path: ['drive', keys.tyre, 'ring'], value: tyre.kind }]),
    ...(JSON.stringify(sorted(wanted)) === JSON.stringify(sorted(held))
      ? []
      : [{ path: ['drive', keys.hold], value: wanted }]),
  ];
  if (closed || !own || (fitted.modulusMpa === undefined && fitted.provenRpm === undefined)) return null;
  return edits.length === 0 ? (
    <Typography component="span" color="textSecondary">
      in the build
    </Typography>
  ) : (
    <Button variant="link" onClick={() => edit(edits)}>
      Take it in
    </Button>
  );
}

const sorted = (one: object) => Object.entries(one).sort(([a], [b]) => (a < b ? -1 : 1));
