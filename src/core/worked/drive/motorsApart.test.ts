import { applyPatch, type Patch } from '../../base/patch';
import { car } from '../../fixtures/car';
import { controllersListed, motorPlaces, motorsInAll, motorsListed } from '../../car/document/motors';
import type { FreeMotor } from '../../car/records/report';
import { drivePack } from '../heat/wholePack';
import { packOfBuild } from '../heat/enduranceOfBuild';
import { exchanged } from '../exchange/exchanged';
import { makeList } from '../print/makeList';
import { freeMotors } from '../field/freeMotors';
import { runInputOf } from '../motion/runOfBuild';
import { driveRun } from '../../physics/motion/run';
import { motorPeakA, sharesAtTop } from './motorShares';
import { pivotOf } from './pivotOfBuild';

const grass = car.brief.surfaces[0]!;
const set = (...edits: readonly (readonly [string, unknown])[]): Patch =>
  edits.map(([path, value]) => ({ path: path.split('.'), value }));
const four = applyPatch(
  car,
  set(['drive.drivenAxles', 'all'], ['drive.motorsAt', 'wheel'], ['drive.heat.duty', 'steady']),
);
const kv = car.drive.motor!.kvRpmPerV;
const inputOf = (document = four) => {
  const found = runInputOf(document, grass);
  if (!found.ok) throw new Error(found.missing.join());
  return found.value;
};

describe('motors of their own', () => {
  it('stand at each axle, each side or each driven wheel', () => {
    const at = (motorsAt: string, drivenAxles = 'all') =>
      applyPatch(car, set(['drive.motorsAt', motorsAt], ['drive.drivenAxles', drivenAxles])).drive;
    expect(motorPlaces(at('side'))).toEqual(['left', 'right']);
    expect(motorPlaces(at('wheel', 'rear'))).toEqual(['rearLeft', 'rearRight']);
    expect(['car', 'axle', 'side', 'wheel'].map((one) => motorsInAll(at(one)))).toEqual([1, 2, 2, 4]);
  });

  it('move the run as their figures do: one that is 8 % slower takes two of a hundred off the constant', () => {
    const weak = applyPatch(four, set(['drive.ownMotors', [{ id: 'rearLeft', kvRpmPerV: 0.92 * kv }]]));
    // (3/K + 1/0.92K)/(3/K² + 1/(0.92K)²) = (3 + 1.0870)/(3 + 1.1815) of K
    expect(inputOf(weak).motor.kvRpmPerV / kv).toBeCloseTo(4.087 / 4.1815, 4);
    expect(inputOf(applyPatch(four, set(['drive.ownMotors', [{ id: 'left', kvRpmPerV: 1 }]]))).motor).toEqual(
      inputOf().motor,
    );
    const shares = sharesAtTop(weak, grass);
    expect(shares.map(({ place }) => place)).toEqual(['frontLeft', 'frontRight', 'rearLeft', 'rearRight']);
    const [one, , slow] = shares;
    expect(slow!.amps).toBeLessThan(one!.amps);
    expect(one!.heatShare).toBeGreaterThan(1);
    expect(sharesAtTop(four, grass)).toEqual([]);
  });

  it('list and weigh a controller of another kind apart from the others', () => {
    const other = applyPatch(
      four,
      set([
        'drive.ownMotors',
        [{ id: 'rearLeft', controllerName: 'Small spare', controllerMassG: 20 }, { id: 'rearRight' }],
      ]),
    );
    const usual = car.power.controller!;
    expect(controllersListed(four)).toEqual([
      { place: 'frontLeft', name: usual.name, massG: usual.massG, count: 4 },
    ]);
    expect(controllersListed(other).map(({ name, massG, count }) => [name, massG, count])).toEqual([
      [usual.name, usual.massG, 3],
      ['Small spare', 20, 1],
    ]);
    expect(makeList(other).filter(({ id }) => id.startsWith('controller'))).toMatchObject([
      { id: 'controller', quantity: 3 },
      { id: 'controller.rearLeft', quantity: 1, massG: 20 },
    ]);
    // one that feeds all four is of no place
    const shared = applyPatch(other, set(['power.motorsPerController', 4]));
    expect(controllersListed(shared)).toMatchObject([{ name: usual.name, count: 1 }]);
  });

  it('ask of their wires what the hardest of them draws', () => {
    const { resistanceMilliOhm } = car.drive.motor!;
    const esc = car.power.controller!.resistanceMilliOhm;
    const strong = applyPatch(
      four,
      set(['drive.ownMotors', [{ id: 'rearLeft', resistanceMilliOhm: resistanceMilliOhm / 2 }]]),
    );
    const peakOf = (document: typeof four) => {
      const input = inputOf(document);
      const run = driveRun(input);
      return { hardest: motorPeakA(document, input, run), alike: run.peakMotorCurrentA };
    };
    expect(peakOf(four).hardest).toBe(peakOf(four).alike);
    // at a standstill the currents of one throttle go with one over the loop
    const { hardest, alike } = peakOf(strong);
    const [usual, low] = [1 / (resistanceMilliOhm + esc), 1 / (resistanceMilliOhm / 2 + esc)];
    expect(hardest / alike).toBeCloseTo((4 * low) / (3 * usual + low), 2);
    const held = applyPatch(strong, set(['drive.ownMotors.rearLeft.controllerLimitA', 12]));
    expect(peakOf(held).hardest).toBeLessThan(hardest);
  });

  it('lose what was measured of them when another kind of motor is chosen, unless they are named', () => {
    const own = applyPatch(
      four,
      set([
        'drive.ownMotors',
        [
          { id: 'rearLeft', kvRpmPerV: 0.9 * kv, controllerLimitA: 40 },
          { id: 'rearRight', name: 'Spare', kvRpmPerV: 1000 },
        ],
      ]),
    );
    const motor = { ...car.drive.motor!, name: 'Another', kvRpmPerV: 5000 };
    expect(applyPatch(own, exchanged(own, { motor })).drive.ownMotors).toEqual([
      { id: 'rearLeft', controllerLimitA: 40 },
      { id: 'rearRight', name: 'Spare', kvRpmPerV: 1000 },
    ]);
  });

  it('have controllers of their own: one with half the resistance and a quarter of the limit, by hand', () => {
    const { controller } = car.power;
    const own = applyPatch(
      four,
      set(['drive.ownMotors', [{ id: 'rearLeft', controllerLimitA: controller!.currentLimitA / 4 }]]),
    );
    // three whole limits and a quarter, over four; the motors are alike
    expect(inputOf(own).esc.currentLimitA / inputOf().esc.currentLimitA).toBeCloseTo(3.25 / 4, 9);
    const soft = applyPatch(four, set(['drive.ownMotors', [{ id: 'rearLeft', controllerMilliOhm: 40 }]]));
    const each = car.drive.motor!.resistanceMilliOhm + controller!.resistanceMilliOhm;
    const loop = 4 / (3 / each + 1 / (car.drive.motor!.resistanceMilliOhm + 40));
    expect(inputOf(soft).motor.resistanceMilliOhm).toBeCloseTo(loop - controller!.resistanceMilliOhm, 6);
  });

  it('are listed by what they are: three of one kind and a heavier one of another name', () => {
    const mixed = applyPatch(four, set(['drive.ownMotors', [{ id: 'rearLeft', name: 'Spare', massG: 210 }]]));
    const motors = motorsListed(mixed.drive).map(({ motor, count }) => [motor.name, motor.massG, count]);
    const { name, massG } = car.drive.motor!;
    expect(motors).toEqual([
      [name, massG, 3],
      ['Spare', 210, 1],
    ]);
  });

  it('heat the one that carries most, which is not the weak one', () => {
    const peak = (document: typeof four) => {
      const found = packOfBuild(document, grass);
      if (!found.ok) throw new Error(found.missing.join());
      return { peakC: drivePack(found.value).peakCaseC, hottest: found.value.hottest };
    };
    const weak = applyPatch(four, set(['drive.ownMotors', [{ id: 'frontRight', kvRpmPerV: 0.94 * kv }]]));
    expect(peak(four).hottest).toBeUndefined();
    expect(peak(weak).hottest!.place).not.toBe('frontRight');
    expect(peak(weak).hottest!.heatShare).toBeGreaterThan(1);
    expect(peak(weak).peakC).toBeGreaterThan(peak(four).peakC);
  });
});

describe('motors on the bench', () => {
  const volts = 8;
  const { resistanceMilliOhm, noLoadCurrentA } = car.drive.motor!;
  const rpm = kv * (volts - (noLoadCurrentA * resistanceMilliOhm) / 1000);
  const bench = (motors: FreeMotor[]) =>
    freeMotors({ document: four, conditions: { packVBefore: volts }, report: { motors } });
  const good = { rpm, currentA: noLoadCurrentA };

  it('are what their figures say, or stand out by revolutions and current', () => {
    const one = (motor: Omit<FreeMotor, 'id'>) =>
      bench([
        { id: 'frontLeft', ...good },
        { id: 'frontRight', ...good },
        { id: 'rearLeft', ...motor },
        { id: 'rearRight', ...good },
      ]);
    const states = (motor: Omit<FreeMotor, 'id'>) => one(motor).map(({ is }) => is);
    expect(states({ rpm: 0.9 * rpm, currentA: 1.6 * noLoadCurrentA })[2]).toBe('drags');
    expect(states({ rpm: 0.93 * rpm, currentA: noLoadCurrentA })).toEqual([
      'alike',
      'alike',
      'slower',
      'alike',
    ]);
    expect(states({ rpm: 1.08 * rpm, currentA: 1.5 * noLoadCurrentA })[2]).toBe('weakMagnets');
    const [fine, , slow] = one({ rpm: 0.93 * rpm, currentA: noLoadCurrentA });
    expect(fine!.kvRpmPerV).toBeCloseTo(kv, 6);
    expect(slow!.kvRpmPerV / kv).toBeCloseTo(0.93, 6);
    expect(slow!.rpmOver).toBeCloseTo(-0.07, 6);
  });

  it('are held against each other where all are off alike, as by a pack that sags', () => {
    const low = { rpm: 0.95 * rpm, currentA: noLoadCurrentA };
    const all = (['frontLeft', 'frontRight', 'rearLeft', 'rearRight'] as const).map((id) => ({ id, ...low }));
    expect(bench(all).map(({ is }) => is)).toEqual(['alike', 'alike', 'alike', 'alike']);
    expect(bench(all.slice(0, 1))[0]!.is).toBe('slower');
  });
});

describe('turning by driving the sides apart', () => {
  const skid = applyPatch(
    four,
    set(['drive.steering', 'skid'], ['chassis.trackFrontMm', 220], ['chassis.trackRearMm', 220]),
  );

  it('goes as fast as the motors’ force holds the scrubbing, found by hand', () => {
    const found = pivotOf(skid, grass);
    if (!found.ok) throw new Error(found.missing.join());
    const { scrubN, treadMps, yawDegPerS, forces } = found.value;
    const { car: body, tyre } = inputOf(skid);
    const diagonal = Math.hypot(220, body.wheelbaseMm);
    const weight = body.massKg * 9.81;
    const byHand = (tyre.mu * weight * body.wheelbaseMm) / diagonal + body.rollingResistance * weight;
    expect(scrubN).toBeCloseTo(byHand, 6);
    expect(treadMps).toBeGreaterThan(0);
    const next = forces.speedMps.findIndex((speed) => speed >= treadMps!);
    expect(forces.driveN[next]!).toBeLessThanOrEqual(scrubN + 1e-9);
    expect(forces.driveN[next - 1]!).toBeGreaterThanOrEqual(scrubN - 1e-9);
    // Wong: ω = 2·B·v/(B² + L²)
    expect(yawDegPerS).toBeCloseTo((((2 * 0.22 * treadMps!) / (diagonal / 1000) ** 2) * 180) / Math.PI, 6);
  });

  it('does not turn where the motors are too weak, and is asked of no car that steers', () => {
    const weak = applyPatch(skid, set(['drive.currentLimitA', 2]));
    const found = pivotOf(weak, grass);
    expect(found.ok && found.value.treadMps).toBeUndefined();
    expect(pivotOf(four, grass)).toEqual({ ok: false, missing: ['drive.steering'] });
  });
});
