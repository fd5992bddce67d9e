import type { BuildDocument } from '@/core/car/document/document';
import { driveBrake } from '@/core/physics/braking/brake';
import type { SegmentDefinition } from '@/core/physics/laps/definition';
import { driveLap } from '@/core/physics/laps/lap';
import { driveSite } from '@/core/physics/place/site';
import { worked } from '@/core/worked/worked';
import { timed } from './field';

const SEGMENTS = 60;

/** Figures of braking, places and laps. */
export function benchDriving(document: BuildDocument): void {
  const run = worked(document, document.brief.surfaces[0]).runInput();
  if (!run.ok) throw new Error('the demo car is not ready');
  const { throttle: _, distanceM: __, maxTimeS: ___, ...car } = run.value;
  const brake = { motorShare: 0.5, coastS: 0.3 };
  const segments = Array.from({ length: SEGMENTS }, (_, at): SegmentDefinition =>
    at % 2 === 0 ? { lengthM: 5 } : { lengthM: 3, radiusM: 2 + (at % 5) },
  );
  timed('drive.brake to a standstill', () => driveBrake({ ...car, fromMps: 8, brake }));
  timed('drive.site', () => driveSite({ ...run.value, site: { lengthM: 60, widthM: 4 }, brake }));
  timed(`drive.lap of ${SEGMENTS} segments (aim under 20 ms)`, () =>
    driveLap({ ...run.value, track: { segments }, brake, losses: {} }),
  );
}
