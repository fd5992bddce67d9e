import { loadedKernel } from '@/core/fixtures/kernel';
import { refusalOf } from '@/core/fixtures/refused';
import { toothOf } from '@/core/physics/gears/toothForm';
import { gearOutline } from '@/core/physics/gears/outline';
import { internalOutline } from '@/core/physics/gears/internalOutline';
import type { Point } from '@/core/physics/gears/outlineFiles';
import { ailmentsOf } from '@/core/physics/solid/health';
import { measureMesh } from '@/core/physics/solid/measure';
import { backConeOf, type BevelBodyInput } from '@/core/physics/making/bevelBody';
import { type Body, madeBody } from '@/core/physics/making/body';
import type { Kernel } from '@/core/physics/making/kit/kernel';
import { meshedBody, stepOf } from '@/core/physics/making/kit/meshed';
import { pulleyRadii } from '@/core/physics/making/pulleyBody';

let kit: Kernel;
beforeAll(async () => {
  kit = await loadedKernel();
});

const area = (points: readonly Point[]) =>
  Math.abs(points.slice(1).reduce((sum, [x, y], k) => sum + points[k]![0] * y - x * points[k]![1], 0)) / 2;

/** The body made, its mesh looked at: closed, right way round, as large as its exact solid. */
function made(body: Body) {
  const shape = madeBody(kit, body);
  const mesh = meshedBody(shape);
  const measured = measureMesh(mesh, {});
  expect(ailmentsOf(mesh)).toEqual([]);
  const volume = kit.measureVolume(shape);
  expect(Math.abs(measured.volumeMm3 / volume - 1)).toBeLessThan(1e-3);
  const [low, high] = shape.boundingBox.bounds;
  return { shape, mesh, volume, low, high };
}

const spur = { kind: 'gear', teeth: 24, moduleMm: 1, boreMm: 5, faceWidthMm: 8 } as const;
const sectionOf = (teeth: number, helixDeg = 0) =>
  area(gearOutline({ teeth, moduleMm: 1, boreMm: 5, helixDeg, pointsPerFlank: 60 }).outline);

describe('a gear as a solid', () => {
  it('is its section times its width, less its bore, as wide as its tip circle', () => {
    const { volume, low, high } = made(spur);
    expect(volume).toBeCloseTo((sectionOf(24) - Math.PI * 2.5 ** 2) * 8, 0);
    expect(low[2]).toBeCloseTo(0, 4);
    expect(high[2]).toBeCloseTo(8, 4);
    expect(high[1]).toBeCloseTo(13, 2);
  });

  it.each([
    [25, false],
    [-25, false],
    [25, true],
  ])(
    'keeps that volume with a helix of %d°, double: %s: every section is the same, only turned',
    (helixDeg, double) => {
      const { volume } = made({ ...spur, helixDeg, double });
      expect(volume / ((sectionOf(24, helixDeg) - Math.PI * 2.5 ** 2) * 8)).toBeCloseTo(1, 3);
    },
  );

  /** Where the middle of tooth 0 stands at a height, degrees counter-clockwise seen from above. */
  const turnAt = (mesh: ReturnType<typeof made>['mesh'], height: number, tip: number) => {
    const angles: number[] = [];
    for (let at = 0; at < mesh.vertices.length; at += 3) {
      const [x, y, z] = mesh.vertices.subarray(at, at + 3);
      if (Math.abs(z! - height) < 1e-6 && Math.hypot(x!, y!) > tip - 0.01) angles.push(Math.atan2(-x!, y!));
    }
    const near = angles.filter((angle) => Math.abs(angle) < Math.PI / 24);
    return ((Math.min(...near) + Math.max(...near)) / 2) * (180 / Math.PI);
  };

  it('winds as a right-handed helix does, and back again in a double one', () => {
    const helixDeg = 6;
    const { pitch, tip } = toothOf({ ...spur, helixDeg });
    const lead = (8 * Math.tan((helixDeg * Math.PI) / 180)) / pitch;
    // seen along its axis a right-handed thread that goes away turns clockwise, so upward to us counter-clockwise
    const single = made({ ...spur, helixDeg }).mesh;
    expect(turnAt(single, 0, tip)).toBeCloseTo(0, 2);
    expect(turnAt(single, 8, tip)).toBeCloseTo((lead * 180) / Math.PI, 2);
    expect(turnAt(made({ ...spur, helixDeg, double: true }).mesh, 8, tip)).toBeCloseTo(0, 2);
  });

  it('has its flats, hexagon, hub, set screw and bolt holes by their own volumes', () => {
    const whole = sectionOf(24) * 8;
    const [r, flat] = [2.5, 0.8];
    const half = Math.acos((r - flat) / r);
    const segment = r ** 2 * half - (r - flat) * Math.sqrt(r ** 2 - (r - flat) ** 2);
    expect(made({ ...spur, flatDepthMm: flat }).volume).toBeCloseTo(
      whole - 8 * (Math.PI * r ** 2 - segment),
      0,
    );
    expect(made({ ...spur, hexAcrossFlatsMm: 7 }).volume).toBeCloseTo(whole - (8 * Math.sqrt(3) * 49) / 2, 0);
    const hub = made({ ...spur, hubDiameterMm: 12, hubLengthMm: 14 });
    expect(hub.volume).toBeCloseTo(whole + Math.PI * 36 * 6 - Math.PI * r ** 2 * 14, 0);
    expect(hub.high[2]).toBeCloseTo(14, 4);
    const screwed = made({ ...spur, hubDiameterMm: 12, hubLengthMm: 14, setScrewMm: 2.5 });
    // through the wall from bore to outside: about its length along the middle
    expect((hub.volume - screwed.volume) / (Math.PI * 1.25 ** 2 * 3.5)).toBeCloseTo(1, 1);
    const bolted = made({ ...spur, bolts: 4, boltCircleMm: 15, boltHoleMm: 3 });
    expect(bolted.volume).toBeCloseTo(whole - 8 * Math.PI * (r ** 2 + 4 * 1.5 ** 2), 0);
  });

  it('refuses at the field what does not fit', () => {
    const at = (more: object) => refusalOf(() => madeBody(kit, { ...spur, ...more })).path;
    expect(at({ hubDiameterMm: 22, hubLengthMm: 14 })).toBe('hubDiameterMm');
    expect(at({ hubDiameterMm: 12 })).toBe('hubLengthMm');
    expect(at({ setScrewMm: 3 })).toBe('hubDiameterMm');
    expect(at({ hubDiameterMm: 12, hubLengthMm: 10, setScrewMm: 3 })).toBe('setScrewMm');
    expect(at({ bolts: 4, boltHoleMm: 3 })).toBe('boltCircleMm');
    expect(at({ bolts: 4, boltCircleMm: 21, boltHoleMm: 3 })).toBe('boltCircleMm');
    expect(at({ bolts: 40, boltCircleMm: 15, boltHoleMm: 3 })).toBe('bolts');
    expect(at({ boreMm: 21.2 })).toBe('boreMm');
  });

  it('is written as STEP in millimetres', async () => {
    const text = new TextDecoder().decode(await stepOf(madeBody(kit, spur)));
    expect(text.startsWith('ISO-10303-21;')).toBe(true);
    expect(text).toContain('MANIFOLD_SOLID_BREP');
    expect(text).toMatch(/SI_UNIT\(\.MILLI\.,\.METRE\.\)/);
  });
});

describe('a ring with inner teeth', () => {
  const ring = { kind: 'ring', teeth: 42, moduleMm: 1, faceWidthMm: 6, outsideMm: 50 } as const;
  it('is its disc less its opening and its bolts', () => {
    const opening = area(internalOutline({ teeth: 42, moduleMm: 1, pointsPerFlank: 60 }));
    const { volume, high } = made({ ...ring, bolts: 6, boltCircleMm: 47.3, boltHoleMm: 1.2 });
    expect(volume / ((Math.PI * (25 ** 2 - 6 * 0.6 ** 2) - opening) * 6)).toBeCloseTo(1, 3);
    expect(high[0]).toBeCloseTo(25, 4);
  });
  it('refuses a rim that is too thin', () => {
    expect(refusalOf(() => madeBody(kit, { ...ring, outsideMm: 45 })).path).toBe('outsideMm');
  });
});

describe('a straight bevel', () => {
  const pair = { kind: 'bevel', pinionTeeth: 14, wheelTeeth: 36, moduleMm: 1, faceWidthMm: 6 } as const;
  const body = (gear: BevelBodyInput['gear']) =>
    ({ ...pair, pressureAngleDeg: 20, pinionShift: 0, gear, boreMm: 4 }) as const;

  /** Sections at every depth are alike, cut off at the tip's radius: summed from the outline, not from the solid. */
  function summed(gear: BevelBodyInput['gear']): number {
    const { contour, ends, laid, teeth } = backConeOf(body(gear));
    const points = contour.flatMap(({ points }, k) => (k === 0 ? points : points.slice(1))).map(laid);
    const steps = 400;
    const sectionAt = (depth: number) => {
      let sum = 0;
      for (let k = 1; k < points.length; k++) {
        const [a, b] = [points[k - 1]!, points[k]!];
        const radius = (p: typeof a) => Math.min(ends.tipMm, (p.radius * depth) / p.depth);
        sum += (radius(a) * radius(b) * Math.sin(b.angle - a.angle)) / 2;
      }
      return teeth * sum;
    };
    const height = ends.farMm - ends.nearMm;
    let volume = 0;
    for (let k = 0; k < steps; k++)
      volume += (sectionAt(ends.nearMm + (height * (k + 0.5)) / steps) * height) / steps;
    return volume - Math.PI * 4 * height;
  }

  it.each(['pinion', 'wheel'] as const)(
    '%s: is the sum of its sections and no wider than its tip',
    (gear) => {
      const { volume, low, high } = made(body(gear));
      expect(volume / summed(gear)).toBeCloseTo(1, 2);
      const { ends, cone } = backConeOf(body(gear));
      expect(2 * ends.tipMm).toBeCloseTo(cone.tipDiameterMm, 9);
      expect(high[0] - low[0]).toBeLessThanOrEqual(cone.tipDiameterMm + 0.02);
      expect(low[2]).toBeCloseTo(0, 4);
    },
  );

  it('keeps at least its face width along the cone, and lies with the large end down', () => {
    const { mesh } = made(body('pinion'));
    const { ends, coneDistanceMm, cone } = backConeOf(body('pinion'));
    const along = (ends.farMm - ends.nearMm) / Math.cos((cone.coneAngleDeg * Math.PI) / 180);
    expect(along).toBeGreaterThanOrEqual(6);
    expect(coneDistanceMm).toBeCloseTo(Math.hypot(14, 36) / 2, 9);
    const reach = (z: number) => {
      let most = 0;
      for (let at = 0; at < mesh.vertices.length; at += 3)
        if (Math.abs(mesh.vertices[at + 2]! - z) < 1e-6)
          most = Math.max(most, Math.hypot(mesh.vertices[at]!, mesh.vertices[at + 1]!));
      return most;
    };
    expect(reach(0)).toBeCloseTo(ends.tipMm, 2);
    // all cones meet in the apex: radii are in the ratio of the depths
    const tipShare = Math.tan((cone.tipConeDeg * Math.PI) / 180);
    expect(reach(ends.farMm - ends.nearMm)).toBeCloseTo(ends.nearMm * tipShare, 2);
  });
});

describe('a toothed pulley', () => {
  const pulley = {
    kind: 'pulley',
    teeth: 20,
    pitchMm: 5,
    profile: 'trapezoidal',
    widthMm: 9,
    boreMm: 6,
  } as const;
  it('is its outside circle less straight grooves, upon its flange', () => {
    const { volume, high } = made(pulley);
    const { outside, flange, groove } = pulleyRadii(pulley);
    expect(2 * outside).toBeCloseTo(100 / Math.PI - 1, 9);
    const mean = groove.widthMm - groove.depthMm * Math.tan((20 * Math.PI) / 180);
    const edge = Math.asin(groove.widthMm / (2 * outside));
    const cap = outside ** 2 * (edge - Math.sin(edge) * Math.cos(edge));
    // the groove is as deep below the outside circle as the belt's tooth needs: its corners lie on that circle
    const lost = outside * (1 - Math.cos(edge));
    const section = Math.PI * outside ** 2 - 20 * (mean * groove.depthMm + cap - lost * groove.widthMm);
    const bore = Math.PI * 9 * 11.5;
    expect(volume / (section * 10 + Math.PI * flange ** 2 * 1.5 - bore)).toBeCloseTo(1, 2);
    expect(high[2]).toBeCloseTo(11.5, 4);
  });
  it('has round grooves for a belt with round teeth, and a flange of its own that sits on the hub', () => {
    const round = {
      ...pulley,
      pitchMm: 3,
      profile: 'curvilinear',
      boreMm: 3,
      hubDiameterMm: 9,
      hubLengthMm: 16,
    } as const;
    made(round);
    const { flange } = pulleyRadii(round);
    const ring = made({ ...round, kind: 'flange' });
    expect(ring.volume).toBeCloseTo(Math.PI * (flange ** 2 - 4.6 ** 2) * 1.5, 1);
  });
  it('refuses a pitch whose teeth are not known', () => {
    expect(refusalOf(() => madeBody(kit, { ...pulley, pitchMm: 4 })).path).toBe('pitchMm');
  });
});

describe('a carrier', () => {
  it('is its plate, pins and hub, standing on the hub', () => {
    const carrier = { kind: 'carrier', planets: 3, centreDistanceMm: 14, pinMm: 4, pinLengthMm: 9 } as const;
    const { volume, high } = made({
      ...carrier,
      thicknessMm: 4,
      boreMm: 5,
      hubDiameterMm: 12,
      hubLengthMm: 10,
    });
    const plate = Math.PI * 18 ** 2 * 4;
    expect(volume).toBeCloseTo(plate + 3 * Math.PI * 4 * 9 + Math.PI * 36 * 6 - Math.PI * 6.25 * 10, 1);
    expect(high[2]).toBeCloseTo(19, 4);
  });
});
