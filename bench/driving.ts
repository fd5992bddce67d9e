import type { BuildDocument } from '@/core/car/document/document';
import { driveBrake } from '@/core/physics/braking/brake';
import { driveEndurance } from '@/core/physics/heat/endurance';
import type { SegmentDefinition } from '@/core/physics/laps/definition';
import { driveLap } from '@/core/physics/laps/lap';
import { gearSearch } from '@/core/physics/transmissions/gearSearch';
import { driveSite } from '@/core/physics/place/site';
import { standstillOfBuild } from '@/core/worked/heat/heldOfBuild';
import { packOfBuild } from '@/core/worked/heat/enduranceOfBuild';
import { worked } from '@/core/worked/worked';

const SEGMENTS = 60;
const HALF_HOUR_S = 1800;
const WARM_UP = 20;
const ROUNDS = 11;

/** Median of warm calls, as a figure and as so many runs of the bare loop. */
function warm(name: string, bareMs: number, run: () => void): void {
  for (let round = 0; round < WARM_UP; round++) run();
  const times = Array.from({ length: ROUNDS }, () => {
    const start = performance.now();
    run();
    return performance.now() - start;
  }).sort((a, b) => a - b);
  const ms = times[ROUNDS >> 1]!;
  console.log(`${name}: ${ms.toFixed(1)} ms, ${(ms / bareMs).toFixed(0)} bare loops`);
}

/** Figures of standstill, braking, places, laps and packs driven as they are driven. */
export function benchDriving(document: BuildDocument, bareMs: number): void {
  const surface = document.brief.surfaces[0]!;
  const run = worked(document, surface).runInput();
  const pack = packOfBuild(document, surface);
  if (!run.ok || !pack.ok) throw new Error('the demo car is not ready');
  const { throttle: _, distanceM: __, maxTimeS: ___, ...car } = run.value;
  const brake = { motorShare: 0.5, coastS: 0.3 };
  const segments = Array.from({ length: SEGMENTS }, (_, at): SegmentDefinition =>
    at % 2 === 0 ? { lengthM: 5 } : { lengthM: 3, radiusM: 2 + (at % 5) },
  );
  const endless = { ...pack.value.battery, capacityMah: 50_000 };
  warm('drive.standstill with its curve (aim under 10 ms)', bareMs, () =>
    standstillOfBuild(document, surface),
  );
  warm('drive.brake to a standstill', bareMs, () => driveBrake({ ...car, fromMps: 8, brake }));
  warm('drive.site', bareMs, () => driveSite({ ...run.value, site: { lengthM: 60, widthM: 4 }, brake }));
  warm(`drive.lap of ${SEGMENTS} segments (aim under 20 ms)`, bareMs, () =>
    driveLap({ ...run.value, track: { segments }, brake, losses: {} }),
  );
  const teeth = (from: number, count: number) => Array.from({ length: count }, (_, k) => from + k);
  const stage = { pinions: teeth(10, 15), wheels: teeth(30, 94) };
  warm('gear.search of 2,000,000 combinations (aim under 2 s)', bareMs, () =>
    gearSearch({ wantedRatio: 14, stages: [stage, stage] }),
  );
  warm('drive.endurance of half an hour on a trace (aim under 150 ms)', bareMs, () =>
    driveEndurance({
      ...pack.value,
      battery: endless,
      cycle: { style: 'fieldBashing' },
      maxDurationS: HALF_HOUR_S,
    }),
  );
}
