'use client';

import Typography from '@mui/material/Typography';
import { formatText } from '@/core/base/units/formatQuantity';
import { LOSS_NAMES } from '@/core/physics/heat/lossNames';
import type { HeatOfBuild } from '@/core/worked/heat/heatOf';
import { useReader } from '@/ui/reader';
import { LOSS_WORDS } from '@/words/driving/duty';
import energyBarCss from './energyBar.module.css';

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
    .map(({ name, wh }) => ({ name: LOSS_WORDS[name], wh, share: wh / wholeWh }))
    .filter(({ share }) => share >= LEAST)
    .sort((a, b) => b.wh - a.wh);
  const share = (value: number) => formatText(value, 'share', reader, 2);
  return (
    <figure className={energyBarCss.figure} data-testid="energy-bar">
      <figcaption>
        <Typography variant="label" component="span">
          Where the {formatText(wholeWh, 'energyWh', reader, 3)} of a pack go
        </Typography>
      </figcaption>
      <div className={energyBarCss.bar} aria-hidden="true">
        {pieces.map((piece) => (
          <div key={piece.name} className={energyBarCss.piece} style={{ width: `${100 * piece.share}%` }}>
            {piece.share >= ROOM ? (
              <>
                <span className={energyBarCss.name}>{piece.name}</span>
                <span className={energyBarCss.share}>{share(piece.share)}</span>
              </>
            ) : null}
          </div>
        ))}
      </div>
      <Typography variant="small" color="textSecondary">
        {pieces
          .map(
            ({ name, wh, share: part }) =>
              `${name} ${formatText(wh, 'energyWh', reader, 2)} (${share(part)})`,
          )
          .join(', ')}
      </Typography>
    </figure>
  );
}
