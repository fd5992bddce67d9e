import type { BuildDocument } from '../../car/document/document';
import type { Part } from '../../car/parts/parts';
import { evaluateBuild } from '../../verdict/evaluate';
import { applyPatch, type Patch } from '../../base/patch';
import { GRAVITY } from '../../base/constants';
import { casesOfBuild } from './casesOfBuild';
import { keptOf, sectionOfShape } from './partSection';
import { partStrength } from './partStrength';
import { TYPICAL_MATERIALS } from '../../car/material/typicalMaterials';
import { grass, landing, ONE_WHEEL_N, arm, withParts, strength } from '../../fixtures/landingArm';

test('the load cases come from the build', () => {
  const found = casesOfBuild(landing, grass);
  if (!found.ok) throw new Error(found.missing.join());
  const { cases, input } = found.value;
  expect(cases.landingOneWheel!.forceN).toBeCloseTo(ONE_WHEEL_N, 9);
  expect(cases.curbStrike!.forceN).toBeCloseTo(((1.9 / 2) * 4) / 0.01, 9);
  expect(
    input.wheelLoadsN.fl + input.wheelLoadsN.fr + input.wheelLoadsN.rl + input.wheelLoadsN.rr,
  ).toBeCloseTo(1.9 * GRAVITY, 9);
  expect(cases.noseCrash!.forceN).toBeCloseTo((1.9 * 64) / 0.015, 6);
});

test('the driveshaft’s case is what holds the motors that turn one axle', () => {
  const stallNm = (patch: Patch) => {
    const found = casesOfBuild(applyPatch(landing, patch), grass);
    if (!found.ok) throw new Error(found.missing.join());
    return found.value.input.motorStallNm!;
  };
  const { kvRpmPerV, noLoadCurrentA, resistanceMilliOhm } = landing.drive.motor!;
  const nmPerA = 60 / (2 * Math.PI * kvRpmPerV);
  const limit = landing.power.controller!.currentLimitA;
  expect(stallNm([])).toBeCloseTo((limit - noLoadCurrentA) * nmPerA, 9);
  expect(stallNm([{ path: ['drive', 'currentLimitA'], value: 20 }])).toBeCloseTo(
    (20 - noLoadCurrentA) * nmPerA,
    9,
  );
  // a motor more is a controller more, unless one drives both
  const two: Patch = [{ path: ['drive', 'motorCount'], value: 2 }];
  expect(stallNm(two)).toBeCloseTo(2 * (limit - noLoadCurrentA) * nmPerA, 9);
  expect(stallNm([...two, { path: ['power', 'motorsPerController'], value: 2 }])).toBeCloseTo(
    (limit - 2 * noLoadCurrentA) * nmPerA,
    9,
  );
  expect(stallNm([{ path: ['drive', 'clutchNm'], value: 0.05 }])).toBeCloseTo(0.05, 9);
  // a controller that does not limit lets through what the windings do: no more than pack volts over the winding alone
  const free = stallNm([{ path: ['power', 'controller', 'limitsCurrent'], value: false }]);
  const most = (8.4 / (resistanceMilliOhm / 1000)) * nmPerA;
  expect(free).toBeGreaterThan(stallNm([]));
  expect(free).toBeLessThan(most);
});

test('an arm across its layers breaks by bending between them at S·w·h²/(6·l)', () => {
  const { worst } = strength(arm);
  expect(worst.breaksAtN).toBeCloseTo((27 * 20 * 64) / 6 / 40, 9);
  expect(worst.margin).toBeCloseTo(worst.breaksAtN / ONE_WHEEL_N, 9);
  expect(worst.between).toBe(true);
  expect(strength({ ...arm, layers: 'along' }).worst.breaksAtN).toBeCloseTo((45 * 20 * 64) / 6 / 40, 9);
});

test('a load sideways bends it against its width, and the weaker load stands first', () => {
  const found = strength({
    ...arm,
    layers: 'along',
    loads: [
      { id: 'k', from: 'curbStrike', share: 0.5, bends: 'sideways' },
      { id: 'a', from: 'landingOneWheel' },
    ],
  });
  const kerb = found.loads.find(({ load }) => load?.id === 'k')!;
  expect(kerb.forceN).toBeCloseTo(190, 9);
  expect(kerb.breaksAtN).toBeCloseTo((45 * 8 * 400) / 6 / 40, 9);
  expect(found.worst.load?.id).toBe('a');
});

test('warmth, infill and perimeters weaken it as the materials say', () => {
  const base = strength({ ...arm, layers: 'along' }).worst.breaksAtN;
  expect(strength({ ...arm, layers: 'along', temperatureC: 47.5 }).worst.breaksAtN / base).toBeCloseTo(
    0.5,
    9,
  );
  // 2 lines of 0.5 mm leave a core of 18 × 6 in 20 × 8, which counts with 0.2^1.5: walls far from the middle keep most
  const kept = 1 - ((1 - 0.2 ** 1.5) * 18 * 6 ** 3) / (20 * 8 ** 3);
  const filled = { ...arm, layers: 'along' as const, perimeters: 2, lineMm: 0.5, infill: 0.2 };
  expect(strength(filled).worst.breaksAtN / base).toBeCloseTo(kept, 9);
  expect(
    strength(filled).worst.deflectionMm! / strength({ ...arm, layers: 'along' }).worst.deflectionMm!,
  ).toBeCloseTo(1 / kept, 9);
  // a core that walls fill is solid
  expect(strength({ ...filled, perimeters: 8 }).worst.breaksAtN).toBeCloseTo(base, 9);
});

test('a hole takes its width of a plate that bends over it, its cube of one that bends sideways, and its width in shear', () => {
  const plate = { ...arm, layers: 'along' as const, shape: { ...arm.shape!, holeMm: 5 } };
  // 5 of 20 mm
  expect(strength(plate).worst.breaksAtN).toBeCloseTo((45 * 15 * 64) / 6 / 40, 9);
  const sideways = strength({
    ...plate,
    loads: [{ id: 'k', from: 'curbStrike', share: 0.5, bends: 'sideways' }],
  });
  expect(sideways.worst.breaksAtN).toBeCloseTo(((45 * 8 * 400) / 6 / 40) * (1 - 1 / 64), 9);
  const short = { ...plate, shape: { ...plate.shape, lengthMm: 2 } };
  const drilled = strength(short).worst;
  expect(drilled.mode).toBe('sheared');
  expect(
    drilled.breaksAtN / strength({ ...short, shape: { ...short.shape, holeMm: 0.001 } }).worst.breaksAtN,
  ).toBeCloseTo(0.75, 3);
});

test('a short flanged plate is sheared off in its flanges, by the moment of what lies beyond over what is there', () => {
  const short: Part = {
    ...arm,
    layers: 'along',
    shape: {
      as: 'beam',
      profile: 'flanged',
      support: 'cantilever',
      lengthMm: 0.5,
      widthMm: 40,
      heightMm: 3,
      wallMm: 3,
      flangeMm: 15,
    },
  };
  // a lying plate of 40 × 3 with two flanges of 3 × 12 on it: neutral axis 4.3125 mm over its foot
  const neutral = (120 * 1.5 + 72 * 9) / 192;
  const inertia =
    (40 * 3 ** 3) / 12 + 120 * (neutral - 1.5) ** 2 + (6 * 12 ** 3) / 12 + 72 * (9 - neutral) ** 2;
  const peak = (6 * (15 - neutral) ** 2) / 2 / (inertia * 6);
  const { mode, breaksAtN } = strength(short).worst;
  expect(mode).toBe('sheared');
  expect(breaksAtN).toBeCloseTo(arm.material!.interlayerShearMpa! / peak, 6);
});

test('a load that comes again leaves a tenth less for every tenfold, and a hole and layers across it less than that', () => {
  const often = (part: Part, times: number) =>
    strength({ ...part, loads: [{ ...part.loads![0]!, times }] }).worst;
  const along = { ...arm, layers: 'along' as const };
  const once = strength(along).worst;
  expect(often(along, 1)).toEqual({ ...once, load: { ...once.load, times: 1 } });
  const tired = often(along, 1000);
  expect(tired.margin / once.margin).toBeCloseTo(0.7, 9);
  expect(tired.breaksAtN / once.breaksAtN).toBeCloseTo(0.7, 9);
  expect(tired.tired).toMatchObject({
    times: 1000,
    low: expect.closeTo(0.58, 9),
    high: expect.closeTo(0.79, 9),
  });
  // half of the way to a million: the root of 1.2 for grooves between layers
  expect(often(arm, 1000).margin / strength(arm).worst.margin).toBeCloseTo(0.7 / Math.sqrt(1.2), 9);
  // a hole of a quarter: 1 + ½·(2 + 0.75³ − 1) in what stretches by 12 %
  const drilled = { ...along, shape: { ...along.shape!, holeMm: 5 } };
  expect(often(drilled, 1000).margin / strength(drilled).worst.margin).toBeCloseTo(
    0.7 / Math.sqrt(1 + 0.5 * (1 + 0.75 ** 3)),
    9,
  );
});

test('flanges along a plate bend it as the channel that it becomes', () => {
  const found = sectionOfShape({
    as: 'beam',
    profile: 'flanged',
    widthMm: 60,
    heightMm: 3,
    wallMm: 2,
    flangeMm: 10,
  });
  if (!('section' in found)) throw new Error(found.join());
  expect(found.upright).toBe('y');
  expect(found.coreOf(0.5)).toEqual({ shape: 'channel', widthMm: 9, heightMm: 59, webMm: 2, flangeMm: 1 });
  const plate = { ...arm, layers: 'along' as const, shape: { ...arm.shape!, widthMm: 60, heightMm: 3 } };
  const flanged = {
    ...plate,
    shape: { ...plate.shape, profile: 'flanged' as const, wallMm: 2, flangeMm: 10 },
  };
  // two rectangles and a plate about their common centroid, the far fibre on top
  const [plateArea, flangeArea] = [60 * 3, 2 * 2 * 7];
  const centre = (plateArea * 1.5 + flangeArea * 6.5) / (plateArea + flangeArea);
  const i =
    (60 * 27) / 12 + plateArea * (centre - 1.5) ** 2 + (4 * 343) / 12 + flangeArea * (6.5 - centre) ** 2;
  expect(strength(flanged).worst.breaksAtN).toBeCloseTo((45 * i) / (10 - centre) / 40, 6);
});

test('a tube is as solid as its wall', () => {
  const found = sectionOfShape({ as: 'column', profile: 'tube', heightMm: 12, wallMm: 3 });
  if (!('section' in found)) throw new Error(found.join());
  expect(found.section).toEqual({ shape: 'tube', diameterMm: 12, boreMm: 6 });
  // lines of 0.5 mm leave a core between radii of 4 and 5 mm in a wall from 3 to 6 mm
  const lost = 1 - 0.5 ** 1.5;
  const kept = keptOf({ perimeters: 2, lineMm: 0.5, infill: 0.5 }, found);
  expect(kept.upright).toBeCloseTo(1 - (lost * (5 ** 4 - 4 ** 4)) / (6 ** 4 - 3 ** 4), 12);
  expect(kept.area).toBeCloseTo(1 - (lost * (5 ** 2 - 4 ** 2)) / (6 ** 2 - 3 ** 2), 12);
  expect(sectionOfShape({ as: 'column', profile: 'tube', heightMm: 12, wallMm: 6 })).toEqual([
    'wallMm:tooThick',
  ]);
});

test('screws share the load and pull out of the layers', () => {
  const mount: Part = {
    id: 'mount',
    name: 'Mount',
    kind: 'motorMount',
    material: { ...TYPICAL_MATERIALS.abs },
    layers: 'across',
    shape: { as: 'boss', screwMm: 3, engagementMm: 8, wallMm: 3, screws: 2 },
    loads: [{ id: 'o', from: 'own', forceN: 400 }],
  };
  const { worst } = strength(mount);
  expect(worst.breaksAtN).toBeCloseTo(2 * 16 * Math.PI * 3 * 8, 6);
  expect(
    strength({ ...mount, shape: { ...mount.shape!, screwKind: 'nutTrap' } }).worst.breaksAtN,
  ).toBeCloseTo(2 * ((Math.sqrt(3) / 2) * 5.5 ** 2 - (Math.PI / 4) * 9) * 38, 6);
});

test('a link buckles at Euler’s force', () => {
  const link: Part = {
    id: 'l',
    name: 'Link',
    kind: 'link',
    material: { ...TYPICAL_MATERIALS.pla },
    layers: 'along',
    shape: { as: 'column', profile: 'round', heightMm: 4, lengthMm: 120, ends: 'pinned' },
    loads: [{ id: 'o', from: 'own', forceN: 20 }],
  };
  expect(strength(link).worst.breaksAtN).toBeCloseTo(
    (Math.PI ** 2 * 3000 * (Math.PI * 256)) / 64 / 120 ** 2,
    6,
  );
});

test('what is missing is named', () => {
  const missing = (part: Part) => {
    const found = partStrength(withParts(part), grass, part);
    return found.ok ? [] : found.missing;
  };
  expect(missing({ id: 'p', name: 'P', kind: 'arm' })).toEqual([
    'parts.items.p.material',
    'parts.items.p.shape',
    'parts.items.p.loads',
  ]);
  expect(missing({ ...arm, layers: undefined })).toEqual(['parts.items.arm.layers']);
  expect(missing({ ...arm, shape: { as: 'beam' } })).toEqual([
    'parts.items.arm.shape.lengthMm',
    'parts.items.arm.shape.profile',
  ]);
  expect(missing({ ...arm, loads: [{ id: 't', from: 'tieRod' }] })).toEqual(['power.loads:steeringServo']);
});

describe('the checks', () => {
  const checks = (document: BuildDocument) =>
    evaluateBuild(document).filter(({ segment }) => segment === 'parts');

  it('name the case and the layers, and each remedy does what it says', () => {
    const thin = { ...arm, shape: { ...arm.shape!, heightMm: 5 } };
    const [check] = checks(withParts(thin));
    expect(check).toMatchObject({ id: 'parts.arm', state: 'over', segment: 'parts' });
    expect(check!.limit).toBeCloseTo(205, 0);
    expect(check!.finding).toMatchObject({ facts: { from: 'landingOneWheel', between: true } });
    expect(check!.remedies.length).toBeGreaterThan(1);
    for (const remedy of check!.remedies) {
      const [after] = checks(applyPatch(withParts(thin), remedy.patch));
      expect(after!.margin!).toBeGreaterThan(check!.margin!);
      expect(remedy.margin).toBe(after!.margin);
    }
  });

  it('leave parts that carry nothing alone', () => {
    expect(
      checks(withParts({ id: 's', name: 'Servo', kind: 'servo' }, { id: 'g', name: 'Gear', kind: 'gear' })),
    ).toEqual([]);
  });
});
