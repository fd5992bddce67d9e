import Typography from '@mui/material/Typography';
import { formatText } from '@/core/base/units/formatQuantity';
import type { FrictionPart } from '@/core/physics/transmissions/friction';
import energyBarCss from '@/features/drive/heat/energyBar.module.css';
import { useReader } from '@/ui/reader';

/** Under this share a piece has no room for its name. */
const ROOM = 0.12;

/** What each part takes of the pull that starts the drive, as one bar. */
export function FrictionBar({ parts }: { parts: readonly FrictionPart[] }) {
  const { reader } = useReader();
  const whole = parts.reduce((sum, { startNm }) => sum + Math.max(0, startNm), 0);
  if (!(whole > 0)) return null;
  const share = (value: number) => formatText(value, 'share', reader, 2);
  const pieces = parts.map(({ part, startNm, clear }) => ({
    part,
    clear,
    share: Math.max(0, startNm) / whole,
    said: formatText(startNm, 'torqueNm', reader, 2),
  }));
  return (
    <figure className={energyBarCss.figure} data-testid="friction-bar">
      <figcaption>
        <Typography variant="label" component="span">
          What starting takes, {formatText(whole, 'torqueNm', reader, 2)} at the motor
        </Typography>
      </figcaption>
      <div className={energyBarCss.bar} aria-hidden="true">
        {pieces.map((piece) => (
          <div key={piece.part} className={energyBarCss.piece} style={{ width: `${100 * piece.share}%` }}>
            {piece.share >= ROOM ? (
              <>
                <span className={energyBarCss.name}>{piece.part}</span>
                <span className={energyBarCss.share}>{share(piece.share)}</span>
              </>
            ) : null}
          </div>
        ))}
      </div>
      <Typography variant="small" color="textSecondary">
        {pieces
          .map(
            ({ part, said, share: own, clear }) =>
              `${part} ${said} (${share(own)}${clear ? '' : ', within the error'})`,
          )
          .join(', ')}
      </Typography>
    </figure>
  );
}
