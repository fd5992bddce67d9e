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
    <section aria-label="Holes to draw" style={{ marginTop: 12 }}>
      <p className="cap">
        <span>Draw its holes so</span>
      </p>
      <ul style={{ fontSize: 13.5 }} data-testid="holes-to-draw">
        {drawn.map(({ joint, sizes, coupon }) => (
          <li key={joint.id}>
            <b>{joint.name}</b>
            {(joint.count ?? 1) > 1 ? `, ${joint.count} in the car` : ''}:{' '}
            {sizes
              .map(({ called, drawMm }) => `${called} ${formatText(drawMm, 'lengthMm', reader, 4)}`)
              .join(', ')}{' '}
            <span className="quiet">
              {coupon
                ? `by the test piece of ${inSentence(coupon.material)}`
                : 'not corrected by a test piece yet'}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
