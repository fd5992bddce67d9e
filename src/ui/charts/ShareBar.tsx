import Typography from '@mui/material/Typography';
import { formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import shareBarCss from './shareBar.module.css';

export interface SharePiece {
  name: string;
  /** Of the whole bar. */
  share: number;
  /** Its own amount, as it is told under the bar. */
  said: string;
}

/** A whole as one bar of its parts, and the same in words under it. */
export function ShareBar({
  caption,
  pieces,
  room,
  testId,
}: {
  caption: string;
  pieces: readonly SharePiece[];
  /** Share under which a piece has no room for its name. */
  room: number;
  testId: string;
}) {
  const { reader } = useReader();
  const share = (value: number) => formatText(value, 'share', reader, 2);
  return (
    <figure className={shareBarCss.figure} data-testid={testId}>
      <figcaption>
        <Typography variant="label" component="span">
          {caption}
        </Typography>
      </figcaption>
      <div className={shareBarCss.bar} aria-hidden="true">
        {pieces.map((piece) => (
          <div key={piece.name} className={shareBarCss.piece} style={{ width: `${100 * piece.share}%` }}>
            {piece.share >= room ? (
              <>
                <span className={shareBarCss.name}>{piece.name}</span>
                <span className={shareBarCss.share}>{share(piece.share)}</span>
              </>
            ) : null}
          </div>
        ))}
      </div>
      <Typography variant="small" color="textSecondary">
        {pieces.map(({ name, said, share: part }) => `${name} ${said} (${share(part)})`).join(', ')}
      </Typography>
    </figure>
  );
}
