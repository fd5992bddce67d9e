'use client';

import TableContainer from '@mui/material/TableContainer';
import { TakeOrCompare } from '../frame/TakeOrCompare';
import TableCell from '@mui/material/TableCell';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableBody from '@mui/material/TableBody';
import { applyPatch } from '@/core/base/patch';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { rideOf, type RideOfBuild } from '@/core/worked/suspension/rideOfBuild';
import type { SpringChoice, SpringChoiceId } from '@/core/worked/suspension/springChoices';
import { useReader } from '@/ui/reader';
import { useBuild } from '../session/BuildContext';

export const USUAL_SAG_PCT = 30;

/** The spring by the sag aimed at, by the height it lands from, and as it is; each worked out again. */
export function SpringChoices({
  end,
  found,
  choices,
}: {
  end: 'front' | 'rear';
  found: RideOfBuild;
  choices: readonly SpringChoice[];
}) {
  const { document } = useBuild();
  const { reader } = useReader();
  const { input } = found;
  const { dropHeightM } = document.brief;
  const text: Readonly<Record<SpringChoiceId, string>> = {
    asItIs: 'As it is',
    sag: `By the sag aimed at, ${formatText(input.targetSagPct ?? USUAL_SAG_PCT, 'percent', reader, 2)}`,
    drop: `By the height it lands from, ${dropHeightM === undefined ? '' : formatText(dropHeightM, 'distanceM', reader, 2)}`,
    damper: 'Damper for 0.6 of critical',
  };
  const cells = ({ ride: one, input: given }: RideOfBuild, maxDropM: number | undefined) => (
    <>
      <TableCell align="right">{formatText(given.springRateNPerMm, 'rateNPerMm', reader)}</TableCell>
      <TableCell align="right">
        {given.damperNsPerM === undefined ? '' : formatText(given.damperNsPerM, 'damperNsPerM', reader)}
      </TableCell>
      <TableCell align="right">{formatText(one.sagPct, 'percent', reader, 2)}</TableCell>
      <TableCell align="right">{formatText(one.rideHz, 'frequencyHz', reader, 2)}</TableCell>
      <TableCell align="right">
        {one.dampingRatio === undefined ? '' : formatNumber(one.dampingRatio, reader.locale, 2)}
      </TableCell>
      <TableCell align="right">
        {maxDropM === undefined ? '' : formatText(maxDropM, 'distanceM', reader, 2)}
      </TableCell>
    </>
  );
  return (
    <TableContainer component="section" sx={{ mt: 1.25 }} aria-label="Choose the spring">
      <Table size="small">
        <TableHead>
          <TableRow>
            <TableCell>Choose the spring</TableCell>
            <TableCell align="right">Spring</TableCell>
            <TableCell align="right">Damper</TableCell>
            <TableCell align="right">Sag</TableCell>
            <TableCell align="right">Swings at</TableCell>
            <TableCell align="right">Of critical</TableCell>
            <TableCell align="right">Lands from</TableCell>
            <TableCell />
          </TableRow>
        </TableHead>
        <TableBody>
          <TableRow>
            <TableCell>
              <b>As it is</b>
            </TableCell>
            {cells(found, choices.find(({ id }) => id === 'asItIs')?.maxDropM)}
            <TableCell />
          </TableRow>
          {choices
            .filter(({ id }) => id !== 'asItIs')
            .map(({ id, patch, maxDropM }) => {
              const then = rideOf(applyPatch(document, patch), end);
              return then.ok ? (
                <TableRow key={id} data-choice={id}>
                  <TableCell>{text[id]}</TableCell>
                  {cells(then.value, maxDropM)}
                  <TableCell sx={{ whiteSpace: 'nowrap' }}>
                    <TakeOrCompare text={text[id]} patch={patch} />
                  </TableCell>
                </TableRow>
              ) : null;
            })}
        </TableBody>
      </Table>
    </TableContainer>
  );
}
