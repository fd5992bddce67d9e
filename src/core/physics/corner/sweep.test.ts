import fc from 'fast-check';
import { refusalOf } from '../../fixtures/refused';
import { distance, type Vec3 } from '../../base/vec3';
import type { WishboneCorner } from './corner';
import { type SweepInput } from './sweep';
import { sweep, flat, spatial, hinged } from '../../fixtures/corners';

const unequal: WishboneCorner = {
  ...flat,
  upperFront: [20, 45, 62],
  upperRear: [-20, 45, 62],
  lowerOuter: [0, 92, 22],
  upperOuter: [0, 86, 68],
  tieInner: [-25, 30, 25],
  tieOuter: [-25, 92, 22],
};

const range = { from: -8, to: 8, step: 1 };

describe('suspension.sweep', () => {
  it('keeps the camber and the toe of equal parallel arms', () => {
    const { stations, bumpSteerDegPerMm, camberGainDegPerMm } = sweep({ ...flat, travelMm: range });
    expect(stations).toHaveLength(17);
    for (const { camberDeg, toeDeg } of stations) {
      expect(camberDeg).toBeCloseTo(0, 9);
      expect(toeDeg).toBeCloseTo(0, 9);
    }
    expect(bumpSteerDegPerMm).toBeCloseTo(0, 9);
    expect(camberGainDegPerMm).toBeCloseTo(0, 9);
    // a parallelogram of 60 mm carries the wheel on a circle
    const up = stations.at(-1)!;
    expect(up.trackChangeMm).toBeCloseTo(Math.sqrt(60 ** 2 - 8 ** 2) - 60, 9);
    expect(up.rollCentreMm).toBeCloseTo((up.points.contact[1] * -8) / Math.sqrt(60 ** 2 - 8 ** 2), 2);
  });

  it('agrees with the planar four-bar, worked out by two circles in the front view', () => {
    const { stations } = sweep({ ...unequal, travelMm: range });
    const rest = Math.atan2(86 - 92, 68 - 22);
    for (const { points, camberDeg } of stations) {
      const [, ly, lz] = points.lowerOuter!;
      expect(Math.hypot(ly - 30, lz - 25)).toBeCloseTo(Math.hypot(62, 3), 9);
      // upper ball: circle about (45, 62) and circle about the lower ball, the upper one of the two
      const [r1, r2] = [Math.hypot(86 - 45, 68 - 62), Math.hypot(6, 46)];
      const [dy, dz] = [ly - 45, lz - 62];
      const d = Math.hypot(dy, dz);
      const a = (r1 ** 2 - r2 ** 2 + d ** 2) / (2 * d);
      const h = Math.sqrt(r1 ** 2 - a ** 2);
      const upper = [45 + (a * dy) / d - (h * dz) / d, 62 + (a * dz) / d + (h * dy) / d] as const;
      expect(points.upperOuter![1]).toBeCloseTo(upper[0], 8);
      expect(points.upperOuter![2]).toBeCloseTo(upper[1], 8);
      const lean = Math.atan2(upper[0] - ly, upper[1] - lz) - rest;
      expect(camberDeg).toBeCloseTo((lean * 180) / Math.PI, 8);
    }
  });

  it('has its roll centre where the instant centre says', () => {
    const [{ rollCentreMm, points }] = sweep({ ...unequal, travelMm: [0] }).stations as [
      ReturnType<typeof sweep>['stations'][number],
    ];
    const line = (a: readonly [number, number], b: readonly [number, number]) => ({
      m: (b[1] - a[1]) / (b[0] - a[0]),
      c: a[1] - (a[0] * (b[1] - a[1])) / (b[0] - a[0]),
    });
    const [lower, upper] = [line([30, 25], [92, 22]), line([45, 62], [86, 68])];
    const y = (upper.c - lower.c) / (lower.m - upper.m);
    const z = lower.m * y + lower.c;
    const [, cy, cz] = points.contact;
    expect(rollCentreMm).toBeCloseTo((cy * (z - cz)) / (cy - y), 3);
  });

  it('keeps every link’s length over travel and rack, for any points nearby', () => {
    const shift = fc.double({ min: -3, max: 3, noNaN: true });
    const moved = (p: Vec3, [a, b, c]: readonly number[]): Vec3 => [p[0] + a!, p[1] + b!, p[2] + c!];
    fc.assert(
      fc.property(fc.array(fc.tuple(shift, shift, shift), { minLength: 5, maxLength: 5 }), (by) => {
        const corner: WishboneCorner = {
          ...spatial,
          lowerOuter: moved(spatial.lowerOuter, by[0]!),
          upperOuter: moved(spatial.upperOuter, by[1]!),
          tieOuter: moved(spatial.tieOuter, by[2]!),
          upperFront: moved(spatial.upperFront, by[3]!),
          tieInner: moved(spatial.tieInner, by[4]!),
        };
        const { stations } = sweep({ ...corner, travelMm: [-6, 0, 7], rackMm: [-2, 0, 2] });
        expect(stations).toHaveLength(9);
        for (const { points, travelMm } of stations) {
          for (const [a, b] of [
            ['lowerFront', 'lowerOuter'],
            ['lowerRear', 'lowerOuter'],
            ['upperFront', 'upperOuter'],
            ['upperRear', 'upperOuter'],
            ['lowerOuter', 'upperOuter'],
            ['tieOuter', 'upperOuter'],
            ['tieOuter', 'lowerOuter'],
            ['wheelCentre', 'tieOuter'],
          ] as const)
            expect(distance(points[a]!, points[b]!)).toBeCloseTo(distance(corner[a], corner[b]), 9);
          expect(distance(points.tieInner!, points.tieOuter!)).toBeCloseTo(
            distance(corner.tieInner, corner.tieOuter),
            9,
          );
          expect(points.wheelCentre![2] - corner.wheelCentre[2]).toBeCloseTo(travelMm, 9);
        }
      }),
      { numRuns: 30, endOnFailure: true },
    );
  });

  it('turns hinge pins as one: link, outer hinge and knuckle keep their lengths', () => {
    const { stations } = sweep({ ...hinged, travelMm: [-6, 0, 7], rackMm: [-2, 0, 2] });
    expect(stations).toHaveLength(9);
    for (const { points } of stations) {
      for (const [a, b] of [
        ['lowerFront', 'outerFront'],
        ['lowerRear', 'outerRear'],
        ['outerFront', 'upperOuter'],
        ['upperInner', 'upperOuter'],
        ['kingpinLower', 'outerRear'],
        ['kingpinUpper', 'tieOuter'],
        ['kingpinLower', 'wheelCentre'],
      ] as const)
        expect(distance(points[a]!, points[b]!)).toBeCloseTo(distance(hinged[a]!, hinged[b]!), 9);
      expect(distance(points.tieInner!, points.tieOuter!)).toBeCloseTo(
        distance(hinged.tieInner!, hinged.tieOuter!),
        9,
      );
    }
    const { kingpinLower: _l, kingpinUpper: _u, tieInner: _i, tieOuter: _o, ...unsteered } = hinged;
    const plain = sweep({ ...unsteered, travelMm: [0, 4] });
    expect(plain.stations[1]).not.toHaveProperty('casterDeg');
    expect(plain.notes).toHaveLength(1);
  });

  it('reads caster, kingpin, scrub and trail off the points by hand', () => {
    // axis from (2, 90, 20) to (−4, 84, 70): leans back 6 and in 6 over 50 mm
    const corner: WishboneCorner = {
      ...flat,
      lowerOuter: [2, 90, 20],
      upperOuter: [-4, 84, 70],
      wheelCentre: [0, 106, 42],
    };
    const [station] = sweep({ ...corner, travelMm: [0] }).stations;
    const deg = (Math.atan2(6, 50) * 180) / Math.PI;
    expect(station).toMatchObject({ casterDeg: expect.closeTo(deg, 9), kingpinDeg: expect.closeTo(deg, 9) });
    // at the ground, 20 mm under the lower ball: 2.4 mm further ahead and out
    expect(station!.trailMm).toBeCloseTo(4.4, 9);
    expect(station!.scrubRadiusMm).toBeCloseTo(106 - 92.4, 9);
  });

  it('steers left with one rack and right with the other', () => {
    const [right, straight, left] = sweep({ ...spatial, travelMm: [0], rackMm: [-2, 0, 2] }).stations.map(
      ({ steerDeg }) => steerDeg,
    );
    expect(straight).toBeCloseTo(0, 9);
    expect(right! * left!).toBeLessThan(0);
    // the rod stands behind the axle: moved to the left it turns the wheel's front to the right
    expect(left!).toBeLessThan(0);
  });

  it('ends where parallel arms stand upright, at their length, up and down, and folds over no further', () => {
    // 60 mm long: the linkage is flat there, and beyond the wheel could only turn over
    const { stations, findings } = sweep({ ...flat, travelMm: [-65, -61, -59.9, 59.9, 61, 65] });
    expect(stations.map(({ travelMm }) => travelMm)).toEqual([-59.9, 59.9]);
    // an upright on parallel arms never leans
    for (const { camberDeg } of stations) expect(camberDeg).toBeCloseTo(0, 6);
    const stops = findings.filter(({ about }) => about === 'travelMm');
    expect(stops.map(({ travelMm }) => Math.abs(travelMm!))).toEqual(
      [60, 60, 60, 60].map((mm) => expect.closeTo(mm, 1)),
    );
  });

  it('ends where a pushrod stands in line with its rocker, by their lengths', () => {
    // the rod from 40 mm out on an arm about (30, 25); the rocker’s arm of 20 mm about (10, 85)
    const rocker = {
      pivot: [0, 10, 85] as Vec3,
      axis: [1, 0, 0] as Vec3,
      pushrodArm: [0, 70, 25] as Vec3,
      pushrodArmOn: 'lower' as const,
      pushrodRocker: [0, 30, 85] as Vec3,
      damperRocker: [0, 10, 105] as Vec3,
      damperChassis: [0, -30, 105] as Vec3,
    };
    const corner = { ...flat, rocker };
    const { stations, findings } = sweep({ ...corner, travelMm: { from: -50, to: 0, step: 1 } });
    const stops = findings.filter(({ about }) => about === 'travelMm');
    const last = stops[0]!.travelMm!;
    for (const { travelMm } of stops) expect(travelMm).toBe(last);
    const lowest = Math.min(...stations.map(({ travelMm }) => travelMm));
    expect(lowest - last).toBeLessThan(1);
    expect(lowest).toBeGreaterThan(-50);
    // there the rod’s end is as far from the pivot as rod and rocker arm together
    const near = sweep({ ...corner, travelMm: [last + 0.01] }).stations[0]!;
    const angle = Math.asin((near.points.lowerOuter![2] - 25) / 60);
    const end = [30 + 40 * Math.cos(angle), 25 + 40 * Math.sin(angle)] as const;
    expect(Math.hypot(end[0] - 10, end[1] - 85) / (Math.hypot(40, 60) + 20)).toBeCloseTo(1, 2);
  });

  it('has the damper’s motion ratio of its own lengths, through a rocker too', () => {
    const damper = { inner: [0, 35, 80] as Vec3, outer: [0, 70, 24] as Vec3, on: 'lower' as const };
    const lengthAt = (travelMm: number, more: Partial<WishboneCorner>) =>
      sweep({ ...spatial, ...more, travelMm: [travelMm] }).stations[0]!;
    const rocker = {
      pivot: [0, 30, 75] as Vec3,
      axis: [1, 0, 0] as Vec3,
      pushrodArm: [0, 75, 24] as Vec3,
      pushrodArmOn: 'lower' as const,
      pushrodRocker: [0, 45, 72] as Vec3,
      damperRocker: [0, 30, 92] as Vec3,
      damperChassis: [0, -10, 92] as Vec3,
    };
    for (const more of [{ damper }, { rocker }]) {
      const [a, b] = [lengthAt(2.9, more), lengthAt(3.1, more)];
      expect(lengthAt(3, more).motionRatio).toBeCloseTo((a.damperLengthMm! - b.damperLengthMm!) / 0.2, 4);
    }
  });

  it('stops where the linkage locks, and says where', () => {
    const { stations, findings } = sweep({ ...flat, travelMm: [-70, -40, 0, 40, 70] });
    // the wheel cannot rise further than its arms are long
    expect(stations.map(({ travelMm }) => travelMm)).toEqual([-40, 0, 40]);
    const stops = findings.filter(({ about }) => about === 'travelMm');
    expect(stops).toHaveLength(2);
    for (const { travelMm } of stops) expect(Math.abs(travelMm!)).toBeCloseTo(60, 1);
    const limited = sweep({ ...unequal, travelMm: range, jointLimitDeg: 5 }).findings.find(
      ({ about }) => about === 'lower',
    );
    expect(limited).toMatchObject({
      severity: 'over',
      why: { code: 'note.linkage.joint', facts: { limit: { value: 5 } } },
    });
  });

  it('names a tie rod that steers with the bumps, and a tyre that floats', () => {
    const { findings, bumpSteerDegPerMm } = sweep({
      ...flat,
      tieInner: [-25, 30, 60],
      wheelCentre: [0, 105, 45],
      travelMm: [0],
    });
    expect(Math.abs(bumpSteerDegPerMm)).toBeGreaterThan(0.05);
    expect(findings.map(({ about }) => about)).toEqual(['wheelCentre', 'bumpSteerDegPerMm']);
  });

  it('refuses points that make no corner, each by its name', () => {
    const pathOf = (corner: object) =>
      refusalOf(() => sweep({ ...corner, travelMm: [0] } as unknown as SweepInput));
    expect(pathOf({ ...flat, lowerRear: flat.lowerFront }).path).toBe('lowerFront');
    expect(pathOf({ ...flat, upperRear: flat.upperFront })).toMatchObject({
      path: 'upperFront',
      given: { ends: 'upperHinge' },
    });
    expect(pathOf({ ...flat, lowerOuter: [0, 30, 25] }).path).toBe('lowerOuter');
    expect(pathOf({ ...hinged, tieOuter: undefined }).path).toBe('tieOuter');
    expect(pathOf({ ...hinged, lowerOuter: [0, 0, 0] }).path).toBe('lowerOuter');
    expect(pathOf({ ...flat, damper: { inner: [0, 0, 0], outer: [0, 60, 25], on: 'carrier' } }).path).toBe(
      'damper.on',
    );
    // the rod in line with the steering axis cannot steer
    expect(pathOf({ ...flat, tieInner: [0, 30, 45], tieOuter: [0, 90, 45] }).path).toBe('');
  });
});
