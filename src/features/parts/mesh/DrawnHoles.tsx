import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Part } from '@/core/car/parts/parts';
import { drawnJoints } from '@/core/worked/print/joints';
import { formatText } from '@/core/base/units/formatQuantity';
import { inSentence } from '@/core/base/units/words';
import { useReader } from '@/ui/reader';
import { useBuild } from '../../session/BuildContext';

/** Sizes to draw for the holes, seats and captive joints of a part, as its printer makes them. */
export function DrawnHoles({ part }: { part: Part }) {
  const { document, library } = useBuild();
  const { reader } = useReader();
  const drawn = drawnJoints(document, library).filter(
    ({ joint, sizes }) => joint.part === part.id && sizes.length > 0,
  );
  if (drawn.length === 0) return null;
  return (
    <Box component="section" sx={{ mt: 1.5 }} aria-label="Holes to draw">
      <Typography component="p" variant="label">
        <span>Draw its holes so</span>
      </Typography>
      <Typography component="ul" variant="note" data-testid="holes-to-draw">
        {drawn.map(({ joint, sizes, coupon }) => (
          <li key={joint.id}>
            <b>{joint.name}</b>
            {(joint.count ?? 1) > 1 ? `, ${joint.count} in the car` : ''}:{' '}
            {sizes
              .map(({ called, drawMm }) => `${called} ${formatText(drawMm, 'lengthMm', reader, 4)}`)
              .join(', ')}{' '}
            <Typography component="span" color="textSecondary">
              {coupon
                ? `by the test piece of ${inSentence(coupon.material)}`
                : 'not corrected by a test piece yet'}
            </Typography>
          </li>
        ))}
      </Typography>
    </Box>
  );
}
