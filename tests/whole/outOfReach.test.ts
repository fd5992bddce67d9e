import { heatOf } from '@/core/worked/heat/heatOf';
import { worked } from '@/core/worked/worked';
import { marshHareDocuments } from '@/db/seed/marshHareRevisions';

const { D } = marshHareDocuments();
const surface = D.brief.surfaces[0]!;

test('a speed that the car cannot reach is not held over a pack: its mean lies at the top speed that a run finds, and less as the pack empties', () => {
  const driven = heatOf(
    { ...D, drive: { ...D.drive, heat: { ...D.drive.heat, duty: 'cruise', cruiseMps: 80 / 3.6, restS: 0 } } },
    surface,
  );
  if (!driven.ok) throw new Error('the demo car drives');
  const top = worked(D, surface).run()!.topSpeedMps!;
  const mean = driven.value.pack.meanSpeedMps!;
  expect(mean).toBeLessThan(top);
  expect(mean).toBeGreaterThan(0.8 * top);
});
