import { refusalOf } from '../../../fixtures/refused';
import { randomFrom } from '../../../base/numeric/random';
import type { SteadyInput } from './definition';
import { handlingSteady } from './steady';

const [G, DEG] = [9.81, 180 / Math.PI];
/** 2 kg on 300 mm without air; stiffnesses over the load that differ, none of them falling with it. */
const car = (front = 8, rear = 10): SteadyInput => ({
  massKg: 2,
  yawInertiaKgM2: 0.03,
  wheelbaseMm: 300,
  frontLoadShare: 0.45,
  cgHeightMm: 40,
  drivenAxles: 'rear',
  tyres: {
    front: { corneringPerRad: front, mu: 0.9, loadFalloff: 0, muFalloff: 0 },
    rear: { corneringPerRad: rear, mu: 0.9, loadFalloff: 0, muFalloff: 0 },
  },
  speedMps: 10,
});

/** What is left of a small yaw rate after a time: the two equations by short explicit steps of the forces themselves. */
function leftOf(
  input: SteadyInput,
  { front, rear }: { front: number; rear: number },
  seconds: number,
  side = { slope: 0, aheadM: 0 },
): number {
  const [m, I, L, v] = [input.massKg, input.yawInertiaKgM2, input.wheelbaseMm / 1000, input.speedMps];
  const [a, b] = [(1 - input.frontLoadShare) * L, input.frontLoadShare * L];
  let [slide, yaw] = [0, 1];
  const h = 2e-5;
  for (let t = 0; t < seconds; t += h) {
    const forceFront = (-front * (slide + a * yaw)) / v;
    const forceRear = (-rear * (slide - b * yaw)) / v;
    const forceAir = (-side.slope * slide) / v;
    const dSlide = (forceFront + forceRear + forceAir) / m - v * yaw;
    yaw += (h * (a * forceFront - b * forceRear + side.aheadM * forceAir)) / I;
    slide += h * dSlide;
  }
  return Math.hypot(yaw, slide / 0.1);
}

describe('handling.steady', () => {
  it('understeers by the difference of load over stiffness, and turns as Gillespie says', () => {
    const found = handlingSteady(car());
    const K = (1 / 8 - 1 / 10) / G;
    expect(found.understeerDegPerMps2).toBeCloseTo(K * DEG, 12);
    expect(found.understeerDegPerGee).toBeCloseTo((1 / 8 - 1 / 10) * DEG, 10);
    expect(found.characteristicSpeedMps).toBeCloseTo(Math.sqrt(0.3 / K), 9);
    expect(found.criticalSpeedMps).toBeUndefined();
    expect(found.yawGainPerS).toBeCloseTo(10 / (0.3 + K * 100), 10);
    expect(found.axleLoadsN.front).toBeCloseTo(2 * G * 0.45, 12);
    expect(found.axleLimitsMps2.front).toBeCloseTo(0.9 * G, 12);
    expect(found).toMatchObject({ stable: true, letsGoFirst: 'both', findings: [] });
    // at the characteristic speed half the yaw rate of a neutral car is left
    const there = handlingSteady({ ...car(), speedMps: found.characteristicSpeedMps! });
    expect(there.yawGainPerS).toBeCloseTo(found.characteristicSpeedMps! / 0.3 / 2, 8);
  });

  it('an oversteering car is steady to its critical speed and no farther', () => {
    const loose = handlingSteady(car(10, 8));
    const critical = Math.sqrt(0.3 / ((1 / 8 - 1 / 10) / G));
    expect(loose.criticalSpeedMps).toBeCloseTo(critical, 9);
    expect(loose.lowestUnstableMps).toBeCloseTo(critical, 9);
    expect(loose.findings.map(({ severity, about }) => [severity, about])).toEqual([['tight', 'stability']]);
    const fast = handlingSteady({ ...car(10, 8), speedMps: 1.2 * critical });
    expect(fast.stable).toBe(false);
    expect(fast.findings[0]).toMatchObject({ severity: 'over', about: 'stability' });
    expect(fast.doublingTimeS).toBeGreaterThan(0);
    expect(fast.timeConstantS).toBeUndefined();
  });

  it('a neutral car with its mass in the middle loses slide and yaw each by itself', () => {
    const even = { ...car(9, 9), frontLoadShare: 0.5 };
    const C = 9 * G; // of one axle, half of 2 kg on it
    const [slide, yaw] = [(2 * C) / (2 * 10), (2 * 0.15 ** 2 * C) / (0.03 * 10)];
    const found = handlingSteady(even);
    expect(found.timeConstantS).toBeCloseTo(1 / Math.min(slide, yaw), 10);
    expect(found.naturalHz).toBeCloseTo(Math.sqrt(slide * yaw) / (2 * Math.PI), 10);
    expect(found.dampingRatio).toBeCloseTo((slide + yaw) / (2 * Math.sqrt(slide * yaw)), 10);
    expect(found.staticMargin).toBeCloseTo(0, 12);
    expect(found.understeerDegPerMps2).toBeCloseTo(0, 12);
  });

  it('dies away or grows as the forces themselves do, wind from the side in it', () => {
    const random = randomFrom(11);
    let grown = 0;
    for (let k = 0; k < 12; k++) {
      const input: SteadyInput = {
        ...car(6 + 6 * random(), 6 + 6 * random()),
        speedMps: 8 + 20 * random(),
        air: { sideForceSlopeM2: 0.08 * random(), centreOfPressureXMm: -250 + 200 * random() },
      };
      const found = handlingSteady(input);
      const q = 0.6 * input.speedMps ** 2;
      const side = {
        slope: q * input.air!.sideForceSlopeM2!,
        aheadM: input.air!.centreOfPressureXMm! / 1000 + 0.55 * 0.3,
      };
      const tau = found.stable ? found.timeConstantS! : found.doublingTimeS! / Math.LN2;
      const [soon, late] = [6, 8].map((times) => leftOf(input, found.corneringNPerRad, times * tau, side));
      if (!found.stable) grown++;
      // two time constants later; a car that swings is caught at any point of its swing
      if (found.dampingRatio === undefined || found.dampingRatio > 1)
        expect(Math.abs(Math.log(late! / soon!))).toBeCloseTo(2, 1);
      else expect(late! < soon!).toBe(found.stable);
    }
    expect(grown).toBeGreaterThan(0);
  });

  it('drive along leaves less across, by the ellipse, and decides which end slides first', () => {
    const accel = 4;
    const found = handlingSteady({ ...car(), accelMps2: accel });
    const rear = 2 * G * 0.55 + (2 * accel * 0.04) / 0.3;
    expect(found.axleLoadsN.rear).toBeCloseTo(rear, 12);
    const use = (2 * accel) / (0.9 * rear);
    expect(found.gripUseShare).toEqual({ front: 0, rear: expect.closeTo(use, 12) });
    expect(found.corneringNPerRad.rear).toBeCloseTo(10 * rear * Math.sqrt(1 - use ** 2), 10);
    expect(found.letsGoFirst).toBe('rear');
    const braked = handlingSteady({ ...car(), accelMps2: -4, brakeFrontShare: 1 });
    expect(braked.longitudinalN.front).toBeCloseTo(-8, 12);
    expect(braked.longitudinalN.rear).toBeCloseTo(0, 12);
    expect(braked.letsGoFirst).toBe('front');
    const spun = handlingSteady({ ...car(), accelMps2: 9 });
    expect(spun.gripUseShare.rear).toBe(1);
    expect(spun.findings.map(({ about }) => about)).toContain('rear');
  });

  it('a load over the one it was measured at is worth less', () => {
    const base = car();
    const tyres = { ...base.tyres, front: { corneringPerRad: 8, mu: 0.9, loadFalloff: 0.2, muFalloff: 0.1 } };
    const pressed = handlingSteady({ ...base, tyres, air: { claFrontM2: 0.03 } });
    const still = 2 * G * 0.45;
    const load = still + 0.6 * 100 * 0.03;
    expect(pressed.corneringNPerRad.front).toBeCloseTo(8 * load * (1 - 0.2 * (load / still - 1)), 10);
    expect(pressed.axleLimitsMps2.front).toBeCloseTo(
      (0.9 * load * (1 - 0.1 * (load / still - 1))) / (2 * 0.45),
      10,
    );
  });

  it('finds the speed at which lift has taken half of the rear, and that the car has been loose before', () => {
    const lifted = { ...car(9, 9), air: { claRearM2: -0.02 } };
    const found = handlingSteady(lifted);
    expect(found.rearLightMps).toBeCloseTo(Math.sqrt((0.5 * 2 * G * 0.55) / (0.6 * 0.02)), 10);
    expect(found.frontLightMps).toBeUndefined();
    const there = handlingSteady({ ...lifted, speedMps: found.lowestUnstableMps! * 1.0001 });
    expect(there.stable).toBe(false);
    expect(handlingSteady({ ...lifted, speedMps: found.lowestUnstableMps! * 0.9999 }).stable).toBe(true);
    expect(handlingSteady({ ...lifted, accelMps2: -60 }).rearLightMps).toBe(0);
  });

  it('a single change does what the changed car does', () => {
    const base: SteadyInput = {
      ...car(),
      air: { cdaM2: 0.03, claRearM2: 0.004 },
      rearWing: { xMm: -330, zMm: 120, claPerDegM2: 0.0008, cdaPerDegM2: 0.0003 },
    };
    const { front, rear } = base.tyres;
    const fixed = {
      front: { ...front, referenceLoadN: 2 * G * 0.45 },
      rear: { ...rear, referenceLoadN: 2 * G * 0.55 },
    };
    const [down, drag] = [0.0008 * 5, 0.0003 * 5];
    const same: [string, SteadyInput][] = [
      ['soft front', { ...base, tyres: { rear, front: { ...front, corneringPerRad: 8 * 0.9, mu: 0.81 } } }],
      ['forward', { ...base, frontLoadShare: 0.45 + 20 / 300, tyres: fixed }],
      [
        'wing',
        {
          ...base,
          air: {
            cdaM2: 0.03 + drag,
            claFrontM2: (down * (-330 + 300) - drag * 120) / 300,
            claRearM2: 0.004 + (drag * 120 + down * 330) / 300,
          },
        },
      ],
    ];
    const { changes, ...as } = handlingSteady({
      ...base,
      changes: [
        { id: 'soft front', frontTyreFactor: 0.9 },
        { id: 'forward', weightShiftMm: 20 },
        { id: 'wing', rearWingDeg: 5 },
      ],
    });
    same.forEach(([id, input], k) => {
      const direct = handlingSteady(input);
      expect(changes[k]!.id).toBe(id);
      expect(changes[k]!.understeerDegPerMps2).toBeCloseTo(direct.understeerDegPerMps2!, 10);
      expect(changes[k]!.understeerChangeDegPerMps2).toBeCloseTo(
        direct.understeerDegPerMps2! - as.understeerDegPerMps2!,
        10,
      );
      expect(changes[k]!.dampingRatio).toBeCloseTo(direct.dampingRatio!, 10);
      expect(changes[k]!.maxLateralMps2).toBeCloseTo(direct.maxLateralMps2, 10);
    });
  });

  it('the sweep ends at its last speed and agrees with single speeds', () => {
    const { sweep } = handlingSteady({ ...car(10, 8), sweep: { fromMps: 2, toMps: 9, stepMps: 3 } });
    expect(sweep!.map(({ speedMps }) => speedMps)).toEqual([2, 5, 8, 9]);
    const one = handlingSteady({ ...car(10, 8), speedMps: 8 });
    expect(sweep![2]).toMatchObject({
      timeConstantS: one.timeConstantS,
      criticalSpeedMps: one.criticalSpeedMps,
      frontLoadN: one.axleLoadsN.front,
    });
  });

  it.each<[string, Partial<SteadyInput>]>([
    ['driveFrontShare', { driveFrontShare: 0.4 }],
    ['air.centreOfPressureXMm', { air: { sideForceSlopeM2: 0.1 } }],
    ['sweep.toMps', { sweep: { fromMps: 5, toMps: 4, stepMps: 1 } }],
    ['changes.0.rearTyreFactor', { changes: [{ id: 'two', rearTyreFactor: 1.1, weightShiftMm: 3 }] }],
    ['changes.0.frontTyreFactor', { changes: [{ id: 'none' }] }],
    ['changes.1.id', { changes: [1, 1].map(() => ({ id: 'a', rearTyreFactor: 1.1 })) }],
    ['changes.0.weightShiftMm', { changes: [{ id: 'a', weightShiftMm: 400 }] }],
    ['rearWing', { changes: [{ id: 'a', rearWingDeg: 4 }] }],
  ])('refuses at %s', (path, change) => {
    expect(refusalOf(() => handlingSteady({ ...car(), ...change })).path).toBe(path);
  });
});
