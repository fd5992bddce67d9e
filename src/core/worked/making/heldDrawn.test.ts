import { add, cross, dot, scale, subtract, type Vec3 } from '../../base/vec3';
import { applyPatch, type Patch } from '../../base/patch';
import type { BuildDocument } from '../../car/document/document';
import type { LibraryItem } from '../../car/library/kinds';
import type { PartMade } from '../../car/parts/partMade';
import type { PartPull } from '../../car/parts/parts';
import { TYPICAL_MATERIALS } from '../../car/material/typicalMaterials';
import { hasPlastic } from '../../fixtures/contains';
import { refusalOf } from '../../fixtures/refused';
import { rocker } from '../../fixtures/forcedCorners';
import { sprung } from '../../fixtures/sprungCar';
import { casesOfBuild } from '../parts/casesOfBuild';
import { forceOf } from '../parts/forceOnPart';
import { femCasesOfPart, solidMark } from '../parts/solidOfPart';
import { standardLoads } from '../links/linksOfBuild';
import type { MadePart } from './drawer';
import { drawnOfPart, sectionsOfPart } from './drawnOfPart';
import { heldDrawn } from './heldDrawn';
import { inertiaOf } from './platePulls';

const surface = sprung.brief.surfaces[0]!;
const nylon = { ...TYPICAL_MATERIALS.nylon };
const withParts = (...more: Patch): BuildDocument =>
  applyPatch(sprung, [
    {
      path: ['chassis', 'bodies'],
      value: [
        { id: 'pack', xMm: -140, yMm: 0, zMm: 40, lengthMm: 120, widthMm: 46, heightMm: 25 },
        { id: 'motor', xMm: -210, yMm: 0, zMm: 46, lengthMm: 50, widthMm: 36, heightMm: 36 },
      ],
    },
    // as hard as the landing, so that both try the parts
    { path: ['brief', 'kerbMps'], value: 0.8 },
    ...more,
  ]);
const car = withParts();
const { end: _end, tyreRadiusMm: _radius, ...byRocker } = rocker;
const part = (made: PartMade): MadePart => ({ id: 'p', name: 'Part', kind: 'other', material: nylon, made });
const drawn = (made: PartMade, document = car, library: LibraryItem[] = []) => {
  const found = drawnOfPart(document, library, part(made));
  if (!found.ok) throw new Error(found.missing.join());
  return found.value;
};
const held = (made: PartMade, document = car) =>
  heldDrawn(document, surface, part(made), drawn(made, document));
const cases = (document = car) => {
  const found = casesOfBuild(document, surface);
  if (!found.ok) throw new Error(found.missing.join());
  return found.value;
};
const forces = (pulls: readonly PartPull[], load: string, document = car) =>
  pulls
    .filter((pull) => pull.load === load)
    .map((pull) => ({
      at: scale(add(pull.min, pull.max), 0.5),
      forceN: scale(pull.direction, forceOf(pull, cases(document))!.forceN),
    }));
const sum = (all: readonly { forceN: Vec3 }[]): Vec3 =>
  all.reduce<Vec3>((whole, { forceN }) => add(whole, forceN), [0, 0, 0]);
const size = (v: Vec3) => Math.hypot(...v);

describe('what pulls at a drawn part', () => {
  it.each([
    ['a damper', car, 'damperOuter', ['landing', 'kerbAhead']],
    [
      'the pushrod of a rocker',
      withParts({ path: ['suspension', 'front', 'corner'], value: byRocker }),
      'pushrodArm',
      ['landing'],
    ],
  ])('leaves an arm on %s in balance about its hinge, whatever the wheel meets', (_, document, link, met) => {
    const { pulls } = held({ as: 'arm' }, document);
    const { places } = drawn({ as: 'arm' }, document);
    const hinge = scale(add(places.get('front')!.min, places.get('front')!.max), 0.5);
    const loads = new Set(pulls.map(({ load }) => load!));
    expect([...loads]).toEqual(expect.arrayContaining([...met]));
    expect(pulls.some((pull) => pull.link === link)).toBe(true);
    for (const load of loads) {
      const moments = forces(pulls, load, document).map(
        ({ at, forceN }) => cross(subtract(at, hinge), forceN)[0],
      );
      const largest = Math.max(...moments.map(Math.abs));
      expect(Math.abs(moments.reduce((all, one) => all + one, 0))).toBeLessThan(0.01 * largest);
    }
  });

  it('gives an upright all that the ground does to its wheel', () => {
    const { pulls } = held({ as: 'upright' });
    const { rows } = drawn({ as: 'upright' });
    const { landingN, kerbAheadN, staticN } = standardLoads(car, 'front', surface, cases());
    // the wheel stands nearly as at rest: what is lost is a turn of a few degrees
    expect(size(sum(forces(pulls, 'landing')))).toBeCloseTo(landingN!, -1);
    const kerb = sum(forces(pulls, 'kerbAhead'));
    expect(size(kerb) / Math.hypot(kerbAheadN!, staticN)).toBeCloseTo(1, 3);
    // joints hold the wheel against a kerb: forwards in the car
    const forward = rows.map((row) => row[0]) as unknown as Vec3;
    expect(dot(kerb, forward) / kerbAheadN!).toBeGreaterThan(0.95);
  });

  it('sets a plate in motion with all that sits on it: nothing is left over for what holds it', () => {
    const { pulls, held: holds } = held({ as: 'plate' });
    expect(holds.map(({ id }) => id)).toEqual(['pack']);
    const front = pulls.filter(({ end }) => end === 'front');
    const { landingN } = standardLoads(car, 'front', surface, cases());
    for (const load of ['landing', 'kerbAhead']) {
      const all = forces(front, load);
      const largest = Math.max(...all.map(({ forceN }) => size(forceN)));
      expect(largest).toBeGreaterThan(0.2 * landingN!);
      expect(size(sum(all))).toBeLessThan(1e-3 * largest);
      // the screws lie in the plate, the pack's box over its whole footprint: all in its plane
      const turn = all.reduce<Vec3>((whole, { at, forceN }) => add(whole, cross(at, forceN)), [0, 0, 0]);
      expect(size(turn)).toBeLessThan(2e-3 * largest * 250);
    }
  });

  it('takes along by rigid motion: two masses far apart, one pushed', () => {
    const at = (x: number, y: number): Vec3 => [x, y, 0];
    const masses = [
      { id: 'a', massG: 100, at: at(0, 10) },
      { id: 'b', massG: 100, at: at(0, -10) },
      { id: 'c', massG: 100, at: at(300, 10) },
      { id: 'd', massG: 100, at: at(300, -10) },
    ];
    // upwards under the middle of a and b: those two alone are set in motion, c and d are where it would turn about
    const forcesN = inertiaOf(masses, [0, 0, 8], [0, 0, 0], at(0, 0))!;
    const up = forcesN.map(([, , z]) => z);
    [-4, -4, 0, 0].forEach((wanted, k) => expect(up[k]).toBeCloseTo(wanted, 9));
    expect(inertiaOf(masses.slice(0, 2), [0, 0, 8], [0, 0, 0], at(0, 0))).toBeUndefined();
  });

  it('turns a motor’s torque into two forces as far apart as its face’s screws', () => {
    const of = (spacingMm: number) =>
      held({ as: 'motorMount', spacingMm }).pulls.filter(({ from }) => from === 'own');
    const stallNm = cases().input.motorStallNm!;
    for (const spacingMm of [16, 25]) {
      const [left, right] = of(spacingMm);
      expect(left!.forceN).toBeCloseTo((1000 * stallNm) / spacingMm, 6);
      expect(sum([left!, right!].map(({ direction }) => ({ forceN: direction })))).toEqual([0, 0, 0]);
    }
  });

  it('lets the force follow the car: a higher drop pulls harder at the same mesh', () => {
    const { pulls } = held({ as: 'tower' });
    const higher = withParts({ path: ['brief', 'dropHeightM'], value: 0.6 });
    const [low, high] = [car, higher].map((document) => size(sum(forces(pulls, 'landing', document))));
    expect(high! / low!).toBeGreaterThan(1.2);
  });

  it('keeps its solid where another engine differs in the last digit of a force', () => {
    const { held: holds, pulls } = held({ as: 'arm' });
    const mesh = { hash: 'a'.repeat(64), name: 'a.stl', unitMm: 1, up: [0, 0, 1] as const, held: holds };
    const mark = (times: number) =>
      solidMark(car, surface, {
        ...part({ as: 'arm' }),
        mesh: { ...mesh, pulls: pulls.map((pull) => ({ ...pull, share: pull.share! * times })) },
      });
    expect(mark(1 + 1e-12)).toBe(mark(1));
    expect(mark(1.001)).not.toBe(mark(1));
  });

  it('is solved one load after the other', () => {
    const { held: holds, pulls } = held({ as: 'arm' });
    const mesh = {
      hash: 'a'.repeat(64),
      name: 'a.stl',
      unitMm: 1,
      up: [0, 0, 1] as const,
      held: holds,
      pulls,
    };
    const found = femCasesOfPart(car, surface, { ...part({ as: 'arm' }), mesh });
    if (!found.ok) throw new Error(found.missing.join());
    expect(new Set(found.value.map(({ load }) => load)).size).toBe(found.value.length);
    found.value.forEach(({ load, settings }) =>
      expect(settings.loads).toHaveLength(pulls.filter((pull) => pull.load === load).length),
    );
  });

  it('has another mark when a point or a load of the car moves, and the same when nothing of it does', () => {
    const { mark } = held({ as: 'arm' });
    const moved = withParts({ path: ['suspension', 'front', 'corner', 'lowerOuter', '1'], value: 90 });
    expect(held({ as: 'arm' }, moved).mark).not.toBe(mark);
    expect(held({ as: 'arm' }, withParts({ path: ['brief', 'kerbMps'], value: 0.801 })).mark).toBe(mark);
    expect(held({ as: 'arm', wallMm: 4 }).mark).not.toBe(mark);
  });
});

describe('a part from the document', () => {
  it('draws holes by the test piece of its material', () => {
    const coupon = {
      id: 'coupon',
      kind: 'coupon',
      data: {
        name: 'c',
        printer: 'Home',
        material: nylon.name,
        samples: [3, 5, 10].map((nominalMm) => ({
          id: `h${nominalMm}`,
          kind: 'hole',
          nominalMm,
          measuredMm: nominalMm - 0.4,
        })),
        gaps: [],
      },
    } as unknown as LibraryItem;
    const at: Vec3 = [5 + 1.7, 0, 2];
    const lever: PartMade = { as: 'lever', lengthMm: 30, boreMm: 10, thicknessMm: 4 };
    // a bore of 10 snug is 10.05 wide; 0.4 smaller from the printer, it is drawn 10.45
    expect(hasPlastic(drawn(lever).drawing, [5.1, 0, 2])).toBe(true);
    expect(hasPlastic(drawn(lever, car, [coupon]).drawing, [5.1, 0, 2])).toBe(false);
    expect(hasPlastic(drawn(lever, car, [coupon]).drawing, at)).toBe(true);
  });

  it('puts the plate’s holes under the bulkheads’ screws and its edge beyond everything', () => {
    const { places, drawing } = drawn({ as: 'plate' });
    const bulkhead = drawn({ as: 'bulkhead' });
    expect([...places.keys()].filter((id) => id.startsWith('front-lowerFront'))).toHaveLength(2);
    const left = places.get('front-lowerFront-left')!;
    const side = (left.min[1] + left.max[1]) / 2;
    // the bulkhead lies on its face: the car's y is its x, its screws run up from below
    expect(hasPlastic(bulkhead.drawing, [side, 3, 6])).toBe(false);
    expect(hasPlastic(bulkhead.drawing, [side + 3, 3, 6])).toBe(true);
    expect(hasPlastic(drawing, [-140, 0, 2])).toBe(true);
  });

  it('comes in as many pieces as are asked for', () => {
    const found = sectionsOfPart(car, [], part({ as: 'plate', sections: 3 }));
    expect(found.ok && found.value).toHaveLength(3);
  });

  it('names what the document does not know, and the dimension that leaves no plastic', () => {
    const { suspension: _, ...rest } = car;
    const bare = { ...rest, suspension: {} } as BuildDocument;
    expect(drawnOfPart(bare, [], part({ as: 'arm' }))).toEqual({
      ok: false,
      missing: ['suspension.front.corner'],
    });
    expect(drawnOfPart(car, [], part({ as: 'lever' }))).toEqual({
      ok: false,
      missing: ['parts.items.p.made.lengthMm'],
    });
    expect(refusalOf(() => drawn({ as: 'lever', lengthMm: 3 }))).toMatchObject({ path: 'lengthMm' });
  });
});
