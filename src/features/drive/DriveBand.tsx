'use client';

import { DIMMED } from '@/ui/theme/tokens';
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
    <p style={{ opacity: found.stale ? DIMMED : 1, marginTop: 4 }} data-testid="band">
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
      .{largest.length > 0 ? <span className="quiet"> {firstUp(largest.join(', '))}.</span> : null}
      {calibration ? (
        <span className="quiet">
          {' '}
          Calibrated on {calibration.runs} runs of revision {calibration.letter}.
        </span>
      ) : (
        <span className="quiet"> Your own runs narrow it.</span>
      )}
    </p>
  );
}
