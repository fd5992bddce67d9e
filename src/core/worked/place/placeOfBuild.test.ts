import { applyPatch, type Patch } from '../../base/patch';
import type { BuildDocument } from '../../car/document/document';
import { car } from '../../fixtures/car';
import { crooked } from '../../fixtures/crooked';
import { driveRun } from '../../physics/motion/run';
import { worked } from '../worked';
import { placeOf, type PlaceOfBuild } from './placeOfBuild';

const of = (document: BuildDocument): PlaceOfBuild => {
  const found = placeOf(document, document.brief.surfaces[0]);
  if (!found.ok) throw new Error(found.missing.join());
  return found.value;
};
const put = (document: BuildDocument, ...patch: Patch) => applyPatch(document, patch);
const long = (lengthM: number) => ({ path: ['brief', 'place', 'lengthM'], value: lengthM });

describe('the place of a build', () => {
  it('names what is missing, its own length last', () => {
    expect(placeOf(car, car.brief.surfaces[0])).toEqual({ ok: false, missing: ['brief.place.lengthM'] });
    const without = put(car, { path: ['drive', 'motor'], value: undefined });
    const found = placeOf(without, car.brief.surfaces[0]);
    expect(!found.ok && found.missing).toEqual(
      expect.arrayContaining(['drive.motor', 'brief.place.lengthM']),
    );
  });

  it.each([
    ['straight', car],
    ['crooked', crooked],
  ])('fits exactly into what the pass of a %s car needs', (_, document) => {
    const { neededM } = of(put(document, long(200))).site.rows.at(-1)!;
    expect(of(put(document, long(neededM! + 2 + 1e-6))).site.fits).toBe(true);
    expect(of(put(document, long(neededM! + 2 - 1e-6))).site.fits).toBe(false);
  });

  it('is driven at the wish, or at what the car reaches where the wish is more', () => {
    const top = driveRun(inputOf(car)).topSpeedMps!;
    const slow = put(car, long(200), { path: ['brief', 'targetMps'], value: 0.5 * top });
    expect(of(slow).site.targetMps).toBeCloseTo(0.5 * top, 9);
    const fast = put(car, long(200), { path: ['brief', 'targetMps'], value: 3 * top });
    expect(of(fast).site.targetMps! / top).toBeCloseTo(1, 6);
    expect(of(fast).site.notes.map(({ code }) => code)).toContain('note.site.overTop');
  });

  it('stops shorter with more brake and longer with a slower driver', () => {
    const stop = (key: string, value: number) =>
      of(put(car, long(200), { path: ['drive', 'brakes', key], value })).site.rows[1]!.stopM!;
    const usual = of(put(car, long(200))).site.rows[1]!.stopM!;
    expect(stop('motorShare', 0)).toBeGreaterThan(usual);
    // where all of the grip is in use, more at the front alone only locks it sooner
    expect(stop('mechanicalFrontNm', 0.3)).toBeGreaterThan(usual);
    expect(stop('motorShare', 0.02)).toBeLessThan(stop('motorShare', 0));
    const late = stop('coastS', 1);
    // 0.7 s more with the throttle closed at about the wished speed
    const { speedMps } = of(put(car, long(200))).site.rows[1]!;
    expect(late - usual).toBeGreaterThan(0.4 * speedMps);
    expect(late - usual).toBeLessThan(0.75 * speedMps);
  });

  it('is as wide as the wider track leaves it', () => {
    const wide = put(car, long(200), { path: ['brief', 'place', 'widthM'], value: 5 });
    const { sideSpareM, driftM } = of(wide).site.rows[1]!;
    const { trackFrontMm = 0, trackRearMm = 0 } = car.chassis;
    expect(sideSpareM).toBeCloseTo(2.5 - 0.5 - Math.max(trackFrontMm, trackRearMm) / 2000 - driftM, 9);
  });
});

function inputOf(document: BuildDocument) {
  const input = worked(document, document.brief.surfaces[0]).runInput();
  if (!input.ok) throw new Error(input.missing.join());
  return input.value;
}
