import { refusalOf } from '../../fixtures/refused';
import type { AirInput, AirWing } from './definition';
import { airEstimate } from './estimate';

const L = 300;
const plain: AirInput = {
  wheelbaseMm: L,
  body: { shape: 'wedge', frontalAreaM2: 0.03, lengthMm: 400, zMm: 60 },
};
const wing: AirWing = {
  id: 'rear',
  profile: 'cambered',
  spanMm: 200,
  chordMm: 60,
  angleDeg: 4,
  xMm: -340,
  zMm: 140,
};
const withWing = (change: Partial<AirWing> = {}, more: Partial<AirInput> = {}) =>
  airEstimate({ ...plain, wings: [{ ...wing, ...change }], ...more });
const rear = (found: ReturnType<typeof airEstimate>) => found.elements.find(({ id }) => id === 'rear')!;

describe('air.estimate', () => {
  it('of a body is its coefficients times its frontal area, its drag lifting the front by its height', () => {
    const found = airEstimate(plain);
    // a wedge: 0.40 and 0.05 of 0.03 m² at the middle between the axles
    expect(found.cdaM2).toBeCloseTo(0.012, 12);
    expect(found.claFrontM2).toBeCloseTo(0.0015 / 2 - (0.012 * 60) / L, 12);
    expect(found.claRearM2).toBeCloseTo(0.0015 / 2 + (0.012 * 60) / L, 12);
    expect(found.aeroBalance).toBeCloseTo(found.claFrontM2 / 0.0015, 9);
    expect(found.forcesN.drag).toBeCloseTo(0.5 * 1.2 * 15 ** 2 * 0.012, 9);
    expect(found.bands.cdaM2[0]).toBeCloseTo(0.009, 12);
    expect(found.bands.cdaM2[1]).toBeCloseTo(0.0156, 12);
    // both figures of the front by themselves: up by more downforce and by less drag
    const up = Math.hypot((0.2 - 0.05) * 0.03 * 0.5, ((0.4 - 0.3) * 0.03 * 60) / L);
    expect(found.bands.claFrontM2[1]).toBeCloseTo(found.claFrontM2 + up, 12);
    expect(found.notes.map(({ code }) => code)).toEqual(['note.air.noSide']);
    expect('sideForceSlopeM2' in found).toBe(false);
    const own = airEstimate({ ...plain, body: { ...plain.body, dragCoefficient: 0.6 } });
    [own.bands.cdaM2[0], own.cdaM2, own.bands.cdaM2[1]].forEach((area, k) =>
      expect(area).toBeCloseTo([0.9, 1, 1.1][k]! * 0.018, 12),
    );
  });

  it('of a wing follows Helmbold’s slope, its camber, and the drag of its own lift', () => {
    const { liftCoefficient, dragCoefficient, aspectRatio, stalled, reynolds, cdaM2, claM2 } =
      rear(withWing());
    const aspect = 200 / 60;
    const slope = (2 * Math.PI * aspect) / (2 + Math.sqrt(aspect ** 2 + 4));
    const lift = slope * ((4 * Math.PI) / 180 + 0.1);
    expect(aspectRatio).toBeCloseTo(aspect, 12);
    expect(liftCoefficient).toBeCloseTo(lift, 12);
    expect(dragCoefficient).toBeCloseTo(0.035 + lift ** 2 / (Math.PI * 0.9 * aspect), 12);
    expect(stalled).toBe(false);
    expect(reynolds).toBeCloseTo((1.2 * 15 * 0.06) / 1.81e-5, 6);
    expect(claM2).toBeCloseTo(lift * 0.012, 12);
    expect(cdaM2).toBeCloseTo(dragCoefficient! * 0.012, 12);
    // endless wings have the slope of a thin aerofoil
    const endless = rear(withWing({ spanMm: 6e7, angleDeg: 1, camberPct: 0 }));
    expect(endless.liftCoefficient).toBeCloseTo((2 * Math.PI * Math.PI) / 180, 5);
  });

  it('stalls where the profile bears no more, and then drags like a plate', () => {
    const steep = rear(withWing({ angleDeg: 20 }));
    const alpha = (20 * Math.PI) / 180 + 0.1;
    expect(steep).toMatchObject({ stalled: true, liftCoefficient: 1.15 });
    expect(steep.dragCoefficient).toBeCloseTo(0.035 + 1.15 * Math.tan(alpha), 12);
    expect(withWing({ angleDeg: 20 }).findings).toEqual([
      expect.objectContaining({ severity: 'tight', about: 'rear' }),
      expect.objectContaining({ severity: 'note', about: 'rear' }),
    ]);
    const flat = rear(withWing({ profile: 'flatPlate', angleDeg: 5 }));
    expect(flat.dragCoefficient).toBeCloseTo(
      0.03 + flat.liftCoefficient! * Math.tan((5 * Math.PI) / 180),
      12,
    );
    // upside down it lifts, and the least of its area is the most of that
    const lifting = rear(withWing({ angleDeg: -10, camberPct: 0 }));
    expect(lifting.claM2).toBeLessThan(0);
    expect(lifting.bands.claM2[0]).toBeLessThan(lifting.claM2);
    expect(lifting.bands.claM2[1]).toBeGreaterThan(lifting.claM2);
  });

  it('a thick profile bears less in slow air, linearly between 50,000 and 100,000', () => {
    const at = (reynolds: number) =>
      rear(
        withWing(
          { profile: 'thick', angleDeg: 40 },
          { referenceSpeedMps: (reynolds * 1.81e-5) / (1.2 * 0.06) },
        ),
      ).liftCoefficient;
    [20_000, 50_000, 75_000, 100_000, 300_000].forEach((reynolds, k) =>
      expect(at(reynolds)).toBeCloseTo([0.8, 0.8, 1, 1.2, 1.2][k]!, 9),
    );
  });

  it('end plates lengthen a wing, rub, and hold it sideways; the ground helps it at the most', () => {
    const plates = rear(withWing({ endPlateHeightMm: 40 }));
    expect(plates.aspectRatio).toBeCloseTo((200 / 60) * (1 + (1.9 * 40) / 200), 12);
    expect(plates.cdaM2 - plates.dragCoefficient! * 0.012).toBeCloseTo(0.02 * 2 * 0.04 * 0.06, 12);
    const aspect = 40 / 60;
    const slope = (2 * Math.PI * aspect) / (2 + Math.sqrt(aspect ** 2 + 4));
    expect(plates.sideForceSlopeM2).toBeCloseTo(2 * 0.04 * 0.06 * slope, 12);
    const [high, low] = [rear(withWing()), rear(withWing({ zMm: 50 }))];
    expect(low.bands.claM2[1]).toBeCloseTo(1.3 * high.bands.claM2[1], 12);
    expect(low.claM2).toBeCloseTo(high.claM2, 12);
    expect(rear(withWing({ flowShare: 0.5 })).claM2).toBeCloseTo(high.claM2 / 2, 12);
  });

  it('splitter, undertray and scoop press by pressure and by turning the air', () => {
    const found = airEstimate({
      ...plain,
      splitter: { widthMm: 180, lengthMm: 40, xMm: 60 },
      undertray: { widthMm: 150, lengthMm: 250, xMm: -150, diffuserDeg: 12 },
      noseScoop: { areaM2: 0.002, xMm: 40, zMm: 50, turnDeg: 90 },
    });
    const of = (id: string) => found.elements.find((one) => one.id === id)!;
    expect(of('splitter').claM2).toBeCloseTo(0.5 * 0.0072, 12);
    expect(of('splitter').cdaM2).toBeCloseTo(0.1 * 0.5 * 0.0072, 12);
    // ahead of the front axle it presses the front by more than itself
    expect(of('splitter').claFrontM2).toBeCloseTo((0.5 * 0.0072 * 360) / L, 12);
    expect(of('undertray').claM2).toBeCloseTo(0.3 * 0.0375, 12);
    // straight up all that it takes in is drag, what it throws up is thrust downwards
    expect(of('noseScoop').cdaM2).toBeCloseTo(2 * 0.6 * 0.002, 12);
    expect(of('noseScoop').claM2).toBeCloseTo(2 * 0.6 * 0.002 * 0.7, 12);
    expect(found.elements.map(({ id }) => id)).toEqual(['body', 'splitter', 'undertray', 'noseScoop']);
    const sum = (key: 'cdaM2' | 'claFrontM2' | 'claRearM2') =>
      found.elements.reduce((all, one) => all + one[key], 0);
    for (const key of ['cdaM2', 'claFrontM2', 'claRearM2'] as const)
      expect(found[key]).toBeCloseTo(sum(key), 12);
  });

  it('the side force acts where its parts balance, and every part spreads by itself', () => {
    const found = airEstimate({
      ...plain,
      body: { ...plain.body, sideAreaM2: 0.04 },
      fins: [{ id: 'tail', heightMm: 60, chordMm: 80, xMm: -320, zMm: 150, count: 2 }],
    });
    const aspect = (1.5 * 60) / 80;
    const fin = 2 * 0.06 * 0.08 * ((2 * Math.PI * aspect) / (2 + Math.sqrt(aspect ** 2 + 4)));
    const [body, at] = [1.2 * 0.04, -150 + 200 - 0.4 * 400];
    expect(found.sideForceSlopeM2).toBeCloseTo(body + fin, 12);
    expect(found.centreOfPressureXMm).toBeCloseTo((body * at - fin * 320) / (body + fin), 9);
    const centre = (b: number, f: number, x: number) => (b * x - f * 320) / (b + f);
    const mid = centre(body, fin, at);
    const ups = [
      Math.max(centre(0.9 * 0.04, fin, at), centre(1.5 * 0.04, fin, at)) - mid,
      Math.max(centre(body, 0.7 * fin, at), centre(body, 1.15 * fin, at)) - mid,
      centre(body, fin, 50 - 0.3 * 400) - mid,
    ];
    expect(found.bands.centreOfPressureXMm![1]).toBeCloseTo(mid + Math.hypot(...ups), 9);
  });

  it.each([
    ['wings.1.id', { wings: [wing, wing] }],
    ['wings.0.id', { wings: [{ ...wing, id: 'undertray' }] }],
    ['fins.0.id', { wings: [wing], fins: [{ id: 'rear', heightMm: 5, chordMm: 5, xMm: 0, zMm: 0 }] }],
    ['wings.0.camberPct', { wings: [{ ...wing, profile: 'flatPlate' as const, camberPct: 3 }] }],
  ])('names %s', (path, more: Partial<AirInput>) => {
    expect(refusalOf(() => airEstimate({ ...plain, ...more })).path).toBe(path);
  });
});
