import type { LibraryItem } from '../../car/library/kinds';
import type { Stage } from '../../car/stages/stage';
import { TYPICAL_MATERIALS } from '../../car/material/typicalMaterials';
import { geared, stage as spur } from '../../fixtures/geared';
import type { Body } from '../../physics/making/body';
import { fitted } from '../../physics/making/fittings';
import { sideBySideOnBed } from '../../physics/making/onBed';
import { refusalOf } from '../../fixtures/refused';
import { boundsOf } from '../../physics/solid/measure';
import { circle, extruded } from '../../physics/solid/extrude';
import { meshOf } from '../../physics/solid/shapes';
import { heldPiece } from './heldPiece';
import { piecesOf } from './made';

const nylon = { ...TYPICAL_MATERIALS.nylon };
/** Holes in nylon come out 0.2 mm small at every size, pegs 0.1 mm large. */
const coupon = {
  id: 'coupon',
  kind: 'coupon',
  data: {
    name: 'c',
    printer: 'Home',
    material: nylon.name,
    samples: [3, 5, 10].flatMap((nominalMm) => [
      { id: `h${nominalMm}`, kind: 'hole', nominalMm, measuredMm: nominalMm - 0.2 },
      { id: `p${nominalMm}`, kind: 'peg', nominalMm, measuredMm: nominalMm + 0.1 },
    ]),
    gaps: [],
  },
} as unknown as LibraryItem;

const made = (stage: Partial<Stage>, library: LibraryItem[] = [coupon]) =>
  piecesOf(geared, { ...spur, ...stage } as Stage, library);
const bodyOf = <K extends Body['kind']>(pieces: ReturnType<typeof made>, piece: string, kind: K) => {
  const found = pieces.find((one) => one.piece === piece)!;
  expect(found.missing).toEqual([]);
  expect(found.body!.kind).toBe(kind);
  return found.body as Extract<Body, { kind: K }>;
};

describe('the pieces of a stage as they are drawn', () => {
  it('give the bore what its fit asks and what the printer takes away, a hexagon too', () => {
    const pieces = made({
      wheel: { material: nylon, boreMm: 8, boreFit: 'running', bolts: 3, boltCircleMm: 60, boltHoleMm: 3 },
    });
    // steel has no test piece: 3.17 + 0.05
    expect(bodyOf(pieces, 'pinion', 'gear').boreMm).toBeCloseTo(3.22, 9);
    const wheel = bodyOf(pieces, 'wheel', 'gear');
    expect(wheel.boreMm).toBeCloseTo(8 + 0.2 + 0.2, 6);
    expect(wheel.boltHoleMm).toBeCloseTo(3.2, 6);
    expect(pieces[1]!.bore).toMatchObject({ fit: 'running', corrected: true });
    expect(pieces[0]!.bore).toMatchObject({ fit: 'snug', corrected: false });
    const hex = bodyOf(
      made({ wheel: { material: nylon, hexAcrossFlatsMm: 9, boreFit: 'press' } }),
      'wheel',
      'gear',
    );
    expect(hex.hexAcrossFlatsMm).toBeCloseTo(9 - 0.05 + 0.2, 6);
  });

  it('leave the teeth of a spur pair full, as its shafts stand apart by the play, and thin those that cannot', () => {
    const wheel = { material: nylon, boreMm: 8 };
    const pair = made({ backlashMm: 0.2, helixDeg: 15, doubleHelix: true, wheel });
    expect(bodyOf(pair, 'pinion', 'gear')).toMatchObject({ backlashMm: 0, helixDeg: 15, double: true });
    expect(bodyOf(pair, 'wheel', 'gear')).toMatchObject({ backlashMm: 0, helixDeg: -15, double: true });
    const bevel = made({
      kind: 'bevel',
      pinionTeeth: 15,
      wheelTeeth: 39,
      moduleMm: 1,
      backlashMm: 0.2,
      wheel,
    });
    expect(bodyOf(bevel, 'wheel', 'bevel').backlashMm).toBeCloseTo(0.2 / Math.cos(Math.PI / 9), 9);
  });

  it('say what is missing by its field', () => {
    const [pinion, wheel] = made({ pinion: {}, faceWidthMm: undefined });
    expect(pinion!.missing).toEqual(['drive.stages.s.faceWidthMm', 'drive.stages.s.pinion.boreMm']);
    expect(wheel!.missing).toEqual(['drive.stages.s.faceWidthMm', 'drive.stages.s.wheel.boreMm']);
    expect(made({ kind: 'chain' })).toEqual([]);
  });

  const set: Partial<Stage> = {
    kind: 'planetary',
    pinionTeeth: 12,
    wheelTeeth: 48,
    planets: 4,
    pinion: { boreMm: 5 },
    planet: { material: nylon, boreMm: 4 },
    carrier: { boreMm: 5 },
    wheel: { material: nylon },
  };
  it('make a whole planetary set: pins that the planets run on, on the circle that the teeth ask for', () => {
    const pieces = made(set);
    expect(pieces.map(({ piece, copies }) => [piece, copies])).toEqual([
      ['pinion', 1],
      ['planet', 4],
      ['wheel', 1],
      ['carrier', 1],
    ]);
    const carrier = bodyOf(pieces, 'carrier', 'carrier');
    // (12 + 18)/2 teeth of 0.8; pegs come out 0.1 mm large
    expect(carrier.centreDistanceMm).toBeCloseTo(12, 9);
    expect(carrier.pinMm).toBeCloseTo(3.9, 6);
    expect(carrier.boreMm).toBeCloseTo(5.25, 6);
    expect(bodyOf(pieces, 'planet', 'gear').boreMm).toBeCloseTo(4.4, 6);
    const ring = bodyOf(pieces, 'wheel', 'ring');
    // root 48/2 + 1.25 modules and two more behind it
    expect(ring.outsideMm).toBeCloseTo(2 * 0.8 * 27.25, 9);
    expect(made({ ...set, pinionTeeth: 13 })[1]!.missing).toEqual(['drive.stages.s.wheelTeeth:planets']);
  });

  it('pull with the force of the mesh: on every piece it turns back into the torque it came from', () => {
    const turning = (stage: Partial<Stage>, piece: string, torqueNm: number) => {
      const whole = { ...spur, ...stage } as Stage;
      const found = made(stage).find((one) => one.piece === piece)!;
      return heldPiece(whole, found.piece, found.body!, torqueNm).pulls[0]!.forceN!;
    };
    const wheel = { material: nylon, boreMm: 8 };
    // 1 Nm on a pitch radius of 6 mm; ten times that on ten times the radius
    expect(turning({ wheel }, 'pinion', 1)).toBeCloseTo(1000 / 6, 6);
    expect(turning({ wheel }, 'wheel', 1)).toBeCloseTo(1000 / 6, 6);
    // four planets share with 1.32: sun radius 4.8 mm, ring radius 19.2 mm with 4 Nm, carrier pins at 12 mm
    const mesh = ((1.32 / 4) * 1000) / 4.8;
    for (const piece of ['pinion', 'planet', 'wheel']) expect(turning(set, piece, 1)).toBeCloseTo(mesh, 6);
    expect(turning(set, 'carrier', 1)).toBeCloseTo(2 * mesh, 6);
  });

  it('are held and pulled inside their own body', () => {
    const whole = { ...spur, ...set } as Stage;
    for (const { piece, body } of made(set)) {
      const { held, pulls } = heldPiece(whole, piece, body!, undefined);
      expect(pulls).toEqual([]);
      for (const { min, max } of held)
        for (const axis of [0, 1, 2]) expect(max[axis]!).toBeGreaterThan(min[axis]!);
    }
    expect(heldPiece(whole, 'wheel', made(set)[2]!.body!, 1).held).toHaveLength(4);
  });
});

describe('a seat', () => {
  it('puts bolt holes on their circle, the first on +y', () => {
    const { bolts } = fitted({ boreMm: 5, bolts: 4, boltCircleMm: 20, boltHoleMm: 3 }, 8, 14);
    const middles = bolts.map((hole) => {
      const points = hole.flatMap(({ points }) => points);
      return [0, 1].map((axis) => points.reduce((sum, p) => sum + p[axis]!, 0) / points.length);
    });
    expect(middles[0]![1]).toBeGreaterThan(9.9);
    expect(Math.hypot(...(middles[1] as [number, number]))).toBeCloseTo(10, 0);
  });
  it('wants all three figures of the bolts', () => {
    expect(refusalOf(() => fitted({ boreMm: 5, bolts: 4 }, 8, 14))).toMatchObject({
      path: 'boltCircleMm',
      code: 'making.incomplete',
    });
  });
});

it('lays pieces side by side on the bed without touching', () => {
  const disc = meshOf(extruded(circle(0, 0, 30, 48), [], 2, 5));
  const laid = sideBySideOnBed([disc, disc, disc, disc]).map(boundsOf);
  for (const { min } of laid) expect(min[2]).toBeCloseTo(0, 9);
  for (const [k, one] of laid.entries())
    for (const other of laid.slice(k + 1))
      expect(
        [0, 1].some(
          (axis) => other.min[axis]! >= one.max[axis]! + 4.9 || one.min[axis]! >= other.max[axis]! + 4.9,
        ),
      ).toBe(true);
  // three discs of 60 mm fit into a row of 180 only with a gap less
  expect(laid[2]!.min[1]).toBeGreaterThan(laid[0]!.max[1]);
});
