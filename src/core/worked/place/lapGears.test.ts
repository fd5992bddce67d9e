import { applyPatch } from '../../base/patch';
import { car } from '../../fixtures/car';
import { lapGears } from './lapGears';
import { lapOf } from './lapOfBuild';

const asphalt = car.brief.surfaces[0]!;
const onTrack = (segments: object[]) => applyPatch(car, [{ path: ['brief', 'track'], value: { segments } }]);
const round = onTrack([
  { id: 'a', lengthM: 60 },
  { id: 'b', lengthM: 12, radiusM: 4 },
  { id: 'c', lengthM: 60 },
  { id: 'd', lengthM: 12, radiusM: 4 },
]);

describe('the gear for a lap', () => {
  it('is the fastest of all pinions, each as the lap page shows it once it is on the car', () => {
    const found = lapGears(round, asphalt);
    if (!found.ok) throw new Error(found.missing.join());
    const { gears, present, best } = found.value;
    const shown = (patch: (typeof present)['patch']) => {
      const lap = lapOf(applyPatch(round, patch), asphalt);
      return lap.ok ? lap.value.lap.lapTimeS! : NaN;
    };
    expect(present.ratio).toBeCloseTo(10, 9);
    expect(present.lapTimeS).toBeCloseTo(shown([]), 9);
    expect(best!.lapTimeS).toBeLessThan(present.lapTimeS!);
    expect(best!.lapTimeS! - Math.min(...gears.map(({ lapTimeS }) => lapTimeS ?? Infinity))).toBeLessThan(
      0.002,
    );
    // what turns with the motor weighs more with a shorter gear; the lap page says the same
    expect(shown(best!.patch)).toBeCloseTo(best!.lapTimeS!, 9);
    expect(gears.map(({ ratio }) => ratio)).toEqual(gears.map(({ ratio }) => ratio).sort((a, b) => a - b));
    // a round of long straights wants a longer gear than one of tight bends
    const tight = lapGears(
      onTrack([
        { id: 'a', lengthM: 4 },
        { id: 'b', lengthM: 6.283, radiusM: 1 },
      ]),
      asphalt,
    );
    expect(tight.ok && tight.value.best!.ratio).toBeGreaterThan(best!.ratio);
  });

  it('is the one on the car where grip alone sets the pace', () => {
    const found = lapGears(onTrack([{ id: 'a', lengthM: 31.416, radiusM: 5 }]), {
      ...asphalt,
      mu: 0.2,
    });
    expect(found.ok && found.value.best!.isPresent).toBe(true);
  });

  it('is a plain ratio where no stage has teeth, and waits for track and gear', () => {
    const plain = applyPatch(round, [
      { path: ['drive', 'stages'], value: [{ id: 's', kind: 'belt', ratio: 10, efficiency: 0.8 }] },
    ]);
    const found = lapGears(plain, asphalt);
    expect(found.ok && found.value.gears).toHaveLength(15);
    expect(found.ok && found.value.best!.ratio).toBeLessThan(10);
    expect(lapGears(car, asphalt)).toEqual({ ok: false, missing: ['brief.track.segments'] });
    expect(lapGears(round, undefined)).toEqual({ ok: false, missing: ['brief.surfaces'] });
  });
});
