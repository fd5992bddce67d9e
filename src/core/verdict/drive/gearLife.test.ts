import { exchanging } from '../../fixtures/remedies';
import type { BuildDocument } from '../../car/document/document';
import { applyPatch } from '../../base/patch';
import { worked } from '../../worked/worked';
import { kerbStrikeN, landingOneWheelN } from '../../physics/strength/landing';
import { TYPICAL_MATERIALS } from '../../car/material/typicalMaterials';
import { peakTorques } from '../../worked/drive/peakTorque';
import { frictionOf } from '../../worked/motion/tyreOfRun';
import { teethOf } from '../../worked/drive/toothOfBuild';
import { toothSettingOf } from './gears/onTeeth';
import { geared, surface, settingOf, check } from '../../fixtures/geared';

const peaksOf = (document: BuildDocument) => {
  const { input, run } = settingOf(document);
  return peakTorques(document, surface, input, run);
};

const mu = frictionOf(surface, geared.drive.tyre!);

const KT = 60 / (2 * Math.PI * 3000);

describe('knocks', () => {
  it('land with twice the energy’s mean force on one wheel of two, and meet kerbs with half the car', () => {
    // ½·F·s = m·g·(h + s) for the whole car
    expect(landingOneWheelN(2, 0.3, 0.02)).toBeCloseTo((2 * 2 * 9.81 * 0.32) / 0.02 / 2, 9);
    expect(kerbStrikeN(2, 3, 0.01)).toBeCloseTo((1 * 9) / 0.01, 9);
  });
});

describe('peak torque at the motor', () => {
  const { massG, radiusMm } = geared.drive.tyre!;
  const rotor = geared.drive.motor!.rotorInertiaKgM2;
  // four wheels of 0.75·m·r² against one rotor behind 10 : 1
  const wheels = 4 * 0.75 * (massG / 1000) * (radiusMm / 1000) ** 2;
  const share = wheels / (wheels + rotor * 100);
  // all wheels driven: μ·m·g at the tread, back through 10 : 1 at 80 %
  const grip = (mu * 1.9 * 9.81 * 0.042) / 8;
  const amps = geared.power.controller!.currentLimitA;
  const landingWheelNm = ((1.9 * 9.81 * 0.32) / 0.02) * mu * 0.042;

  it('spins the wheels up with what it has over their grip, and the rotor keeps its share', () => {
    const { candidates, blocked } = peaksOf(geared);
    expect(candidates.grip).toBeCloseTo(grip, 6);
    expect(candidates.currentLimit).toBeCloseTo((amps - 2) * KT, 9);
    expect(candidates.stall).toBeGreaterThan(candidates.currentLimit!);
    const spinUp = grip + ((amps - 2) * KT - grip) * share;
    expect(blocked).toEqual({ by: 'spinUp', motorNm: expect.closeTo(spinUp, 6), motorRpm: 0 });
    // a heavy rotor keeps nearly all of it, one without inertia nothing
    const withRotor = (rotorInertiaKgM2: number) =>
      peaksOf(applyPatch(geared, [{ path: ['drive', 'motor', 'rotorInertiaKgM2'], value: rotorInertiaKgM2 }]))
        .blocked.motorNm;
    expect(withRotor(1)).toBeCloseTo(grip, 4);
    expect(withRotor(0)).toBeCloseTo((amps - 2) * KT, 9);
  });

  it('is held by a clutch, and is the limit’s own where the tyres hold', () => {
    expect(peaksOf(applyPatch(geared, [{ path: ['drive', 'clutchNm'], value: 0.02 }])).blocked).toMatchObject(
      { by: 'clutch', motorNm: 0.02 },
    );
    expect(
      peaksOf(applyPatch(geared, [{ path: ['drive', 'currentLimitA'], value: 6 }])).blocked,
    ).toMatchObject({ by: 'currentLimit', motorNm: expect.closeTo(4 * KT, 9) });
  });

  it('brings of a landing what the rotor resists, and a clutch holds it', () => {
    const { landing, landingWheelNm: found } = peaksOf(geared);
    expect(found).toBeCloseTo(landingWheelNm, 9);
    expect(landing).toMatchObject({
      by: 'landing',
      motorNm: expect.closeTo((landingWheelNm / 10) * (1 - share), 9),
    });
    expect(peaksOf(applyPatch(geared, [{ path: ['drive', 'clutchNm'], value: 0.02 }])).landing).toMatchObject(
      { by: 'clutch', motorNm: 0.02 },
    );
    expect(
      peaksOf(applyPatch(geared, [{ path: ['brief', 'dropHeightM'], value: undefined }])).landing,
    ).toBeUndefined();
  });

  it('of a landing with an open differential is the one of a locked axle: each wheel and the rotor by Newton', () => {
    // wheels 1 (lands) and 2 (free) of one axle, carrier torque T split in halves, rotor at the carrier:
    // J·α₁ = T/2 − T_L, J·α₂ = T/2, J_R·(α₁ + α₂)/2 = −T
    const one = wheels / 4;
    const [J, R, TL] = [one, rotor * 100, landingWheelNm];
    const carrier = (TL * R) / (2 * J + R);
    const [a1, a2] = [(carrier / 2 - TL) / J, carrier / 2 / J];
    expect((R * (a1 + a2)) / 2).toBeCloseTo(-carrier, 9);
    const rearDriven = applyPatch(geared, [{ path: ['drive', 'drivenAxles'], value: 'rear' }]);
    expect(peaksOf(rearDriven).landing!.motorNm).toBeCloseTo(carrier / 10, 9);
  });

  it('is shared by motors that turn one gear', () => {
    const twin = applyPatch(geared, [{ path: ['drive', 'motorCount'], value: 2 }]);
    const twice = wheels / (wheels + 2 * rotor * 100);
    expect(peaksOf(twin).landing!.motorNm).toBeCloseTo(((landingWheelNm / 10) * (1 - twice)) / 2, 9);
    expect(peaksOf(twin).candidates.grip).toBeCloseTo(grip / 2, 9);
  });
});

describe('teeth', () => {
  const teeth = (document: BuildDocument) => {
    const setting = toothSettingOf(worked(document, surface));
    if ('missing' in setting) throw new Error(setting.missing.join());
    return teethOf(setting);
  };

  it('see the landing at the pitch circle: Lewis by hand on the wheel', () => {
    const high = applyPatch(geared, [{ path: ['brief', 'dropHeightM'], value: 1 }]);
    const wheel = teeth(high).find(({ role }) => role === 'wheel')!;
    const { massG, radiusMm } = geared.drive.tyre!;
    const wheels = 3 * (massG / 1000) * (radiusMm / 1000) ** 2;
    const rotor = geared.drive.motor!.rotorInertiaKgM2 * 100;
    const wheelNm = ((1.9 * 9.81 * 1.02) / 0.02) * mu * 0.042 * (rotor / (wheels + rotor));
    expect(wheel.load.by).toBe('landing');
    expect(wheel.torqueNm).toBeCloseTo(wheelNm, 9);
    // W = 2·T/d, d = 0.8·150 mm; σ = W/(6 · 0.8 · 0.46) at a standstill, a peak already
    expect(wheel.bending.bendingStressMpa).toBeCloseTo((2000 * wheelNm) / 120 / (6 * 0.8 * 0.46), 6);
    expect(wheel.temperatureC).toBeGreaterThan(25);
    expect(wheel.bending.margin).toBeCloseTo(
      (55 * (110 - wheel.temperatureC)) / (110 - 23) / wheel.bending.bendingStressMpa,
      6,
    );
  });

  it('hold twice as much at twice the width, which the remedy knows', () => {
    const weak = applyPatch(geared, [
      { path: ['brief', 'dropHeightM'], value: 0.05 },
      { path: ['drive', 'stages', 's', 'faceWidthMm'], value: 2 },
    ]);
    const before = check(weak, 'gears.tooth');
    const doubled = check(
      applyPatch(weak, [{ path: ['drive', 'stages', 's', 'faceWidthMm'], value: 4 }]),
      'gears.tooth',
    );
    expect(doubled.margin!).toBeCloseTo(2 * before.margin!, 6);
    const wider = before.remedies.find(exchanging('faceWidthMm'))!;
    expect(wider.state).toBe('clear');
    expect(check(applyPatch(weak, wider.patch), 'gears.tooth').state).toBe('clear');
  });

  it('without their materials say what is missing, and a soft one is over', () => {
    expect(
      check(
        applyPatch(geared, [{ path: ['drive', 'stages', 's', 'wheel'], value: undefined }]),
        'gears.tooth',
      ),
    ).toMatchObject({ state: 'unknown', missing: ['drive.stages.s.wheel.material'] });
    expect(
      check(applyPatch(geared, [{ path: ['drive', 'stages', 's', 'pinionTeeth'], value: 9 }]), 'gears.tooth'),
    ).toMatchObject({ state: 'unknown', missing: ['drive.stages.s.pinionTeeth:tooFew'] });
    const soft = check(
      applyPatch(geared, [
        {
          path: ['drive', 'stages', 's', 'pinion', 'material'],
          value: { ...TYPICAL_MATERIALS.pla, softeningC: 24 },
        },
      ]),
      'gears.tooth',
    );
    expect(soft).toMatchObject({ state: 'over', finding: { code: 'gears.tooth.soft' } });
  });

  it('wear in proportion to the hours wanted', () => {
    const wear = check(geared, 'gears.wear');
    expect(wear.margin!).toBeGreaterThan(20);
    // nobody counts beyond 200 h, unless more are wanted
    expect(wear).toMatchObject({
      countedTo: 200,
      finding: { facts: { hours: { value: 200 }, beyond: true } },
    });
    const patient = check(
      applyPatch(geared, [{ path: ['drive', 'gearHours'], value: wear.value! + 50 }]),
      'gears.wear',
    );
    expect(patient).toMatchObject({
      state: 'over',
      finding: { facts: { hours: { value: expect.closeTo(wear.value!, 6) }, beyond: false } },
    });
    expect(
      check(applyPatch(geared, [{ path: ['drive', 'gearHours'], value: 20 }]), 'gears.wear').margin!,
    ).toBeCloseTo(wear.margin! / 2, 9);
  });
});
