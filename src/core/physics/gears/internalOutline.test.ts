import { gearPlanetary } from '../planetary/planetary';
import { internalOutline } from './internalOutline';
import { gearOutline } from './outline';
import type { Point } from './outlineFiles';

const ring = internalOutline({ teeth: 48, moduleMm: 1, pointsPerFlank: 40 });
const radiusOf = ([x, y]: Point) => Math.hypot(x, y);

describe('the contour of a ring with inner teeth', () => {
  it('lies between tip and root, is closed, and has spaces of half a pitch on the pitch circle', () => {
    const radii = ring.map(radiusOf);
    expect(Math.min(...radii)).toBeCloseTo(23, 9);
    expect(Math.max(...radii)).toBeCloseTo(25.25, 9);
    expect(ring.at(-1)).toEqual(ring[0]);
    // where the first space’s right flank crosses the pitch circle
    const first = ring.slice(40, 80);
    const at = first.reduce((a, b) => (Math.abs(radiusOf(b) - 24) < Math.abs(radiusOf(a) - 24) ? b : a));
    expect(2 * 24 * Math.atan2(at[0], at[1])).toBeCloseTo(Math.PI / 2, 1);
  });

  it('has involute flanks: the normal of each touches the base circle', () => {
    const base = 24 * Math.cos((20 * Math.PI) / 180);
    const flank = ring.slice(0, 40);
    for (let k = 2; k < 38; k++) {
      const [before, here, after] = [flank[k - 1]!, flank[k]!, flank[k + 1]!];
      const along = [after[0] - before[0], after[1] - before[1]] as const;
      // distance of the origin from the normal through the point
      const off = Math.abs(along[0] * here[0] + along[1] * here[1]) / Math.hypot(...along);
      expect(off).toBeCloseTo(base, 1);
      expect(Math.abs(off - base)).toBeLessThan(0.12);
    }
  });

  /** How deep the planet’s contour lies in the plastic of the ring at most, over the turns of one tooth, mm. */
  function overlap(planetTeeth: number, ringTeeth: number, addendum: number): number {
    const planet = gearOutline({ teeth: planetTeeth, moduleMm: 1, boreMm: 2, pointsPerFlank: 30 }).outline;
    const centre = (ringTeeth - planetTeeth) / 2;
    const pitch = ringTeeth / 2;
    const cos = Math.cos((20 * Math.PI) / 180);
    const inv = (radius: number) => {
      const a = Math.acos(Math.min(1, (pitch * cos) / Math.max(radius, pitch * cos)));
      return Math.tan(a) - a;
    };
    const at20 = Math.tan((20 * Math.PI) / 180) - (20 * Math.PI) / 180;
    let deepest = 0;
    for (let step = 0; step < 24; step++) {
      const turn = (2 * Math.PI * step) / (24 * planetTeeth);
      const ringTurn = (turn * planetTeeth) / ringTeeth;
      for (const [x, y] of planet) {
        const angle = Math.atan2(x, y) + turn;
        const r = Math.hypot(x, y);
        const [px, py] = [r * Math.sin(angle), r * Math.cos(angle) + centre];
        const radius = Math.hypot(px, py);
        if (radius < pitch - addendum) continue;
        const away = Math.atan2(px, py) - ringTurn;
        const spacing = (2 * Math.PI) / ringTeeth;
        const off = Math.abs(away - spacing * Math.round(away / spacing));
        deepest = Math.max(deepest, (off - (Math.PI / (2 * ringTeeth) + at20 - inv(radius))) * radius);
      }
    }
    return deepest;
  }

  it.each([
    [24, 72, 'goes'],
    [36, 60, 'goes'],
    [36, 46, 'goes'],
    [36, 42, 'tips'],
    [36, 40, 'tips'],
    [12, 36, 'involute'],
  ] as const)('takes %i teeth in a ring of %i as the set says: %s', (planetTeeth, ringTeeth, what) => {
    // a stepped planet on a sun as large as the centres need
    const set = gearPlanetary({
      sunTeeth: 12,
      planetTeeth: 12,
      ringPlanetTeeth: planetTeeth,
      ringModuleMm: 24 / (ringTeeth - planetTeeth),
      ringTeeth,
      planets: 1,
      moduleMm: 1,
      held: 'ring',
      driving: 'sun',
    });
    expect([set.tipInterference, set.involuteInterference]).toEqual([what === 'tips', what === 'involute']);
    const deep = overlap(planetTeeth, ringTeeth, 1);
    // straight pieces between the points of a contour cut it by some hundredths
    if (what === 'goes') expect(deep).toBeLessThan(0.025);
    else expect(deep).toBeGreaterThan(0.05);
  });
});
