'use client';

import { dimmedWhen } from '@/ui/layout/dimmedWhen';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ChosenSurface } from '@/core/car/document/brief';
import type { Band } from '@/core/worked/field/band';
import { formatQuantity, formatText } from '@/core/base/units/formatQuantity';
import type { QuantityName } from '@/core/base/units/quantities';
import { useReader } from '@/ui/reader';
import { bandSources } from '@/words/learn/calibration';
import { firstUp } from '@/words/lists';
import { useBuild } from '../session/BuildContext';
import { workerOf } from '@/workers/clients';
import { useWorked } from '../session/useWorked';

/** Between which top speed and time lie in nine of ten cars built as this one. */
export function DriveBand({ surface }: { surface: ChosenSurface }) {
  const { document } = useBuild();
  const { reader } = useReader();
  const found = useWorked(() => workerOf('field').band(document, surface.id), [document, surface.id]);
  const band = found.value?.band;
  if (!band) return <p>&nbsp;</p>;
  const between = ({ low, high }: Band, quantity: QuantityName) =>
    `${formatQuantity(low, quantity, reader, 3).number} to ${formatText(high, quantity, reader, 3)}`;
  const { topSpeedMps: speed, timeToDistanceS: time } = band;
  const { distanceM, calibration } = document.brief;
  const largest = bandSources(speed?.mostFrom, time?.mostFrom);
  return (
    <Box component="p" sx={{ ...dimmedWhen(found.stale), mt: 0.5 }} data-testid="band">
      {speed ? (
        <>
          Nine of ten cars built like this reach <b>{between(speed, 'speedMps')}</b>
        </>
      ) : null}
      {time && distanceM !== undefined ? (
        <>
          {speed ? ' and cover' : 'Nine of ten cars built like this cover'}{' '}
          {formatText(distanceM, 'distanceM', reader)} in {between(time, 'timeS')}
        </>
      ) : null}
      .
      {largest.length > 0 ? (
        <Typography component="span" color="textSecondary">
          {' '}
          {firstUp(largest.join(', '))}.
        </Typography>
      ) : null}
      {calibration ? (
        <Typography component="span" color="textSecondary">
          {' '}
          Calibrated on {calibration.runs} runs of revision {calibration.letter}.
        </Typography>
      ) : (
        <Typography component="span" color="textSecondary">
          {' '}
          Your own runs narrow it.
        </Typography>
      )}
    </Box>
  );
}
