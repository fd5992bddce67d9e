import { car } from '../../../fixtures/car';
import { applyPatch } from '../../../base/patch';
import { type BuildDocument } from '../../../car/document/document';
import { runInputOf } from '../../../worked/motion/runOfBuild';
import { evaluateBuild } from '../../evaluate';

const G = 9.81;
/** Rear-driven on asphalt, in round figures: 60 A at most. */
const rearDriven = applyPatch(car, [
  { path: ['drive', 'drivenAxles'], value: 'rear' },
  { path: ['drive', 'currentLimitA'], value: 60 },
  { path: ['brief', 'place'], value: { lengthM: 60, widthM: 6 } },
]);
const change = (document: BuildDocument, path: string[], value: unknown) =>
  applyPatch(document, [{ path, value }]);
const check = (document: BuildDocument, id: string) => evaluateBuild(document).find((one) => one.id === id);

/** Share of the brake at which rear wheels that brake alone lock, by the balance of forces. */
function rearLocksAt(document: BuildDocument, motorShare: number, speedMps: number): number {
  const input = runInputOf(document, document.brief.surfaces[0]!);
  if (!input.ok) throw new Error(input.missing.join());
  const { car: body, motor, tyre } = input.value;
  const radiusM = tyre.radiusMm / 1000;
  const perAmp = (60 / (2 * Math.PI * motor.kvRpmPerV) / radiusM) * (10 / 0.8);
  const turning = ((motor.rotorInertiaKgM2 ?? 0) * 10 ** 2 + (body.wheelInertiaKgM2 ?? 0)) / radiusM ** 2;
  const lean = body.cgHeightMm / body.wheelbaseMm;
  const resistance = 0.6 * body.cdaM2 * speedMps ** 2 + body.rollingResistance * body.massKg * G;
  // μ·(N_r − h/L·(F + T)) = F of the tyres, whose share of what brakes is that of the mass without what turns
  const tyres = (tyre.mu * ((body.massKg * G) / 2 - lean * resistance)) / (1 + tyre.mu * lean);
  const brakes = (tyres + resistance) * (1 + turning / body.massKg) - resistance;
  return (brakes - perAmp * motor.noLoadCurrentA) / (perAmp * motorShare * 60);
}

describe('the rear under the brake', () => {
  it('locks where its share of the grip ends, by the balance of forces', () => {
    const braked = change(rearDriven, ['drive', 'brakes'], { motorShare: 1 });
    const found = check(braked, 'drive.brake')!;
    expect(found.value).toBeCloseTo(rearLocksAt(braked, 1, 8), 6);
    expect(found.margin).toBeCloseTo(found.value!, 9);
    expect(found.finding!.code).toBe('drive.brake.rear');
    expect(found.state).toBe(found.value! < 1 ? 'over' : found.value! < 1.15 ? 'tight' : 'clear');
  });

  it('is over where little grip is left, and each remedy that is offered holds it', () => {
    const slippery = change(rearDriven, ['brief', 'surfaces'], [{ ...car.brief.surfaces[0]!, mu: 0.2 }]);
    const hard = change(slippery, ['drive', 'brakes'], { motorShare: 1, dragShare: 0.3 });
    const found = check(hard, 'drive.brake')!;
    expect(found.value).toBeCloseTo(rearLocksAt(hard, 1, 8), 6);
    expect(found.state).toBe('over');
    expect(found.remedies.length).toBeGreaterThan(0);
    for (const remedy of found.remedies)
      expect(check(applyPatch(hard, remedy.patch), 'drive.brake')!.state).toBe(remedy.state);
    const [eased] = found.remedies;
    expect(eased!.exchanges.map(({ path }) => path.join('.'))).toContain('drive.brakes.motorShare');
    expect(eased!.state).toBe('clear');
  });

  it('is no matter of a car that brakes at the front, or by both axles as they are loaded', () => {
    for (const [drivenAxles, lock] of [
      ['front', 'front'],
      ['all', 'both'],
    ]) {
      const found = check(
        change(change(rearDriven, ['drive', 'drivenAxles'], drivenAxles), ['drive', 'brakes'], {
          motorShare: 1,
        }),
        'drive.brake',
      )!;
      expect(found).toMatchObject({
        state: 'clear',
        remedies: [],
        finding: { code: 'drive.brake.first', facts: { lock } },
      });
    }
  });

  it('is asked only of a build that says its brakes or its place', () => {
    expect(check(car, 'drive.brake')).toBeUndefined();
    expect(check(change(car, ['drive', 'brakes'], { coastS: 0.2 }), 'drive.brake')).toBeDefined();
    const bare = change(change(rearDriven, ['drive', 'motor'], undefined), ['drive', 'brakes'], {
      motorShare: 1,
    });
    expect(check(bare, 'drive.brake')).toMatchObject({ state: 'unknown', missing: ['drive.motor'] });
  });
});

describe('the place', () => {
  /** No air, no idle current, flat on the ground, and so much of drive and brake that the tyres set launch and stop: bodies under one force. */
  const plain = [
    { path: ['drive', 'motor', 'noLoadCurrentA'], value: 0 },
    { path: ['drive', 'motor', 'resistanceMilliOhm'], value: 5 },
    {
      path: ['drive', 'brakes'],
      value: { motorShare: 0, coastS: 0, mechanicalFrontNm: 5, mechanicalRearNm: 5 },
    },
    { path: ['chassis', 'cgHeightMm'], value: 1e-6 },
    { path: ['chassis', 'cdaM2'], value: 1e-9 },
    { path: ['brief', 'surfaces'], value: [{ ...car.brief.surfaces[0]!, mu: 0.2, rollingResistance: 0 }] },
    { path: ['brief', 'targetMps'], value: 4 },
  ];
  const onIce = applyPatch(car, plain);
  const v = 0.99 * 4;

  it('is held against run-up, stretch and stop', () => {
    const found = check(change(onIce, ['brief', 'place'], { lengthM: 30 }), 'drive.place')!;
    expect(found.value).toBe(28);
    // rotating parts slow a launch and a stop that the tyres set by nothing
    expect(found.limit! / (10 + v ** 2 / (0.2 * G))).toBeCloseTo(1, 2);
    expect(found.state).toBe('clear');
  });

  it('is too short with what it allows, and each remedy cures it', () => {
    const short = change(onIce, ['brief', 'place'], { lengthM: 17 });
    const found = check(short, 'drive.place')!;
    expect(found.state).toBe('over');
    const allowed = found.finding!.facts as { allowed: { value: number } };
    expect(allowed.allowed.value / Math.sqrt(5 * 0.2 * G)).toBeCloseTo(1, 2);
    expect(found.remedies.map(({ patch }) => patch[0]!.path.join('.')).sort()).toEqual([
      'brief.place.lengthM',
      'brief.targetMps',
    ]);
    for (const remedy of found.remedies) {
      expect(remedy.state).toBe('clear');
      expect(check(applyPatch(short, remedy.patch), 'drive.place')!.state).toBe('clear');
    }
  });

  it('says that margins leave nothing, that a car never stops, and that it cannot move', () => {
    const code = (document: BuildDocument) => check(document, 'drive.place')!.finding?.code;
    const at = (place: object) => change(onIce, ['brief', 'place'], { lengthM: 40, ...place });
    expect(code(at({ marginStartM: 30, marginEndM: 10 }))).toBe('drive.place.margins');
    expect(code(change(at({}), ['drive', 'brakes'], { motorShare: 0 }))).toBe('drive.place.rollsOn');
    expect(code(applyPatch(at({}), [{ path: ['drive', 'currentLimitA'], value: 0 }]))).toBe(
      'drive.place.stands',
    );
    expect(check(onIce, 'drive.place')).toBeUndefined();
  });
});
