'use client';

import { formatText } from '@/core/base/units/formatQuantity';
import { LOSS_NAMES } from '@/core/physics/heat/lossNames';
import type { HeatOfBuild } from '@/core/worked/heat/heatOf';
import { ShareBar } from '@/ui/charts/ShareBar';
import { useReader } from '@/ui/reader';
import { LOSS_WORDS } from '@/words/driving/duty';

/** Under this share a piece has no room for its name. */
const ROOM = 0.09;
/** Under this share it is told with the others. */
const LEAST = 0.005;

/** Where the energy of the pack goes, as one bar. */
export function EnergyBar({ pack }: Pick<HeatOfBuild, 'pack'>) {
  const { reader } = useReader();
  const { lossesWh } = pack;
  if (!lossesWh) return null;
  const spent = LOSS_NAMES.map((name) => ({ name, wh: Math.max(0, lossesWh[name]) }));
  const wholeWh = spent.reduce((sum, { wh }) => sum + wh, 0);
  if (!(wholeWh > 0)) return null;
  const pieces = spent
    .map(({ name, wh }) => ({
      name: LOSS_WORDS[name],
      wh,
      share: wh / wholeWh,
      said: formatText(wh, 'energyWh', reader, 2),
    }))
    .filter(({ share }) => share >= LEAST)
    .sort((a, b) => b.wh - a.wh);
  return (
    <ShareBar
      caption={`Where the ${formatText(wholeWh, 'energyWh', reader, 3)} of a pack go`}
      testId="energy-bar"
      room={ROOM}
      pieces={pieces}
    />
  );
}
