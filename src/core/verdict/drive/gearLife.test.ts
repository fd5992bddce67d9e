import { exchanging } from '../../fixtures/remedies';
import type { BuildDocument } from '../../car/document/document';
import { applyPatch } from '../../base/patch';
import type { Check } from '../engine/check';
import { evaluateBuild } from '../evaluate';
import { worked } from '../../worked/worked';
import { car } from '../../fixtures/car';
import { tyreSeat } from '../../physics/tyres/tyreSeat';
import { tyreSpin } from '../../physics/tyres/tyreSpin';
import { kerbStrikeN, landingOneWheelN } from '../../physics/strength/landing';
import { TYPICAL_MATERIALS } from '../../car/material/typicalMaterials';
import { caseLimitOf } from '../../worked/heat/enduranceOfBuild';
import { pinionHeld } from '../../worked/drive/jointOfBuild';
import { peakTorques } from '../../worked/drive/peakTorque';
import { frictionOf } from '../../worked/motion/runOfBuild';
import { shaftsOf } from '../../worked/drive/shaftOfBuild';
import { teethOf } from '../../worked/drive/toothOfBuild';
import { toothSettingOf } from './gears/onTeeth';
import { tyreOfBuild } from '../../worked/drive/tyreOfBuild';

const stage = {
  id: 's',
  kind: 'spur' as const,
  pinionTeeth: 15,
  wheelTeeth: 150,
  efficiency: 0.8,
  moduleMm: 0.8,
  faceWidthMm: 6,
  pinion: { boreMm: 3.17, flatDepthMm: 0.4, material: { ...TYPICAL_MATERIALS.steel } },
  wheel: { material: { ...TYPICAL_MATERIALS.nylon } },
};
const geared: BuildDocument = {
  ...car,
  brief: { ...car.brief, dropHeightM: 0.3, kerbMps: 2 },
  suspension: { stopMm: 20, kerbStopMm: 10 },
  drive: { ...car.drive, stages: [stage], heat: { pinionJoint: 'screw' } },
};
const surface = geared.brief.surfaces[0]!;
const settingOf = (document: BuildDocument) => {
  const subject = worked(document, surface);
  const input = subject.runInput();
  if (!input.ok) throw new Error(input.missing.join());
  return { document, surface, input: input.value, run: subject.run()! };
};
const peaksOf = (document: BuildDocument) => {
  const { input, run } = settingOf(document);
  return peakTorques(document, surface, input, run);
};
const check = (document: BuildDocument, id: string): Check =>
  evaluateBuild(document).find((one) => one.id === id)!;
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
    // nobody counts beyond 200 h
    expect(wear.value).toBe(200);
    expect(
      check(applyPatch(geared, [{ path: ['drive', 'gearHours'], value: 20 }]), 'gears.wear').margin!,
    ).toBeCloseTo(wear.margin! / 2, 9);
  });
});

describe('joints', () => {
  it('stand side by side: a set screw by friction, a flat by its chord, glue by its shear at the temperature', () => {
    const held = Object.fromEntries(pinionHeld(stage, 50, 0.1).map((one) => [one.kind, one]));
    expect(held.screw).toMatchObject({ result: { torqueNm: expect.closeTo(0.15 * 500 * 0.00317, 9) } });
    const chord = 2 * Math.sqrt(0.4 * (3.17 - 0.4));
    expect(held.flat).toMatchObject({
      result: {
        torqueNm: expect.closeTo((((300 * (500 - 50)) / (500 - 23)) * 6 * (chord ** 2 / 12)) / 1000, 6),
      },
    });
    expect(held.cyanoacrylate).toMatchObject({
      result: {
        torqueNm: expect.closeTo((((7 * 30) / 57) * Math.PI * 3.17 * 6 * (3.17 / 2)) / 1000, 9),
        margin: expect.any(Number),
      },
    });
    expect(
      pinionHeld({ ...stage, pinion: { boreMm: 3.17 } }, 50, 0.1).find(({ kind }) => kind === 'flat'),
    ).toEqual({ kind: 'flat', needs: 'depth of the flat' });
  });

  it('that are too weak offer what holds, and a glue on a hot shaft lets go', () => {
    const glued = check(
      applyPatch(geared, [
        { path: ['drive', 'heat', 'pinionJoint'], value: 'hotGlue' },
        { path: ['drive', 'heat', 'ambientC'], value: 55 },
      ]),
      'joint.pinion',
    );
    expect(glued).toMatchObject({
      state: 'over',
      value: 0,
      finding: { code: 'joint.pinion.soft', facts: { softens: { value: 60 } } },
    });
    expect(glued.remedies.length).toBeGreaterThan(0);
    for (const { state } of glued.remedies) expect(state).not.toBe('over');
  });

  it('stand on the motor’s shaft whatever the first stage is: a bevel’s pinion is held like a spur’s', () => {
    const bevel = {
      id: 'b',
      kind: 'bevel' as const,
      pinionTeeth: 15,
      wheelTeeth: 39,
      efficiency: 0.93,
      faceWidthMm: 7,
      pinion: { boreMm: 5 },
    };
    const ahead = applyPatch(geared, [{ path: ['drive', 'stages'], value: [bevel, stage] }]);
    const found = check(ahead, 'joint.pinion');
    // a set screw on 5 mm, not the spur’s 3.17 mm
    expect(found.value).toBeCloseTo(0.15 * 500 * 0.005, 9);
    expect(check(ahead, 'gears.tooth').finding).toMatchObject({ facts: { unjudged: ['bevel'] } });
    expect(check(geared, 'gears.tooth').finding).toMatchObject({ facts: { unjudged: [] } });
  });

  it('by its own hub soften with the pinion’s material', () => {
    const drive = (pinionJoint: 'flat' | 'printed') => ({
      ...geared.drive,
      heat: { pinionJoint },
      stages: [{ ...stage, pinion: { material: { ...TYPICAL_MATERIALS.petg } } }],
    });
    expect(caseLimitOf(drive('flat')).limitC).toBe(72);
    expect(caseLimitOf({ ...drive('printed'), stages: [] }).limitC).toBe(60);
  });
});

describe('shafts', () => {
  const steel = { ...TYPICAL_MATERIALS.hardSteel };
  const withShafts = applyPatch(geared, [
    {
      path: ['drive', 'shafts'],
      value: [
        { id: 'a', kind: 'axle', diameterMm: 5, material: steel, overhangMm: 10 },
        { id: 'l', kind: 'long', diameterMm: 3, material: steel, spanMm: 200, behind: 's' },
      ],
    },
  ]);

  it('bend by the harder of landing and kerb, and whip four times as late in two halves', () => {
    const [axle, long] = shaftsOf(settingOf(withShafts));
    // landing 298 N against a kerb of 0.95 kg · 4/0.01 m = 380 N
    expect(axle).toMatchObject({ bentBy: 'kerb', forceN: expect.closeTo(380, 9) });
    expect(axle!.result.bendingStressMpa).toBeCloseTo((32 * 380 * 10) / (Math.PI * 125), 6);
    expect(long!.result.whirlRpm).toBeCloseTo(
      30 * Math.PI * Math.sqrt((207e9 * 0.003 ** 2) / 16 / (7850 * 0.2 ** 4)),
      3,
    );
    expect(long!.other).toEqual({
      halves: true,
      whirlMargin: expect.closeTo(4 * long!.result.whirlMargin!, 9),
    });
  });

  it('are cured by a bearing in the middle', () => {
    const long = applyPatch(withShafts, [{ path: ['drive', 'shafts', 'l', 'spanMm'], value: 700 }]);
    const before = check(long, 'shaft.whirl');
    expect(before.state).toBe('over');
    const halves = before.remedies.find(exchanging('halves'))!;
    expect(check(applyPatch(long, halves.patch), 'shaft.whirl').margin!).toBeCloseTo(4 * before.margin!, 6);
  });
});

describe('a tyre on its rim', () => {
  it('lets go of its bead where a free ring of the bead’s size has grown to the seat', () => {
    const { letsGoRpm } = tyreSeat({
      kind: 'solid rubber',
      by: 'bead',
      radiusMm: 42,
      rimRadiusMm: 28,
      rpm: 2000,
      stretch: 0.04,
    });
    expect(tyreSpin({ kind: 'solid rubber', radiusMm: 28 / 1.04, rpm: letsGoRpm }).radiusMm).toBeCloseTo(
      28,
      6,
    );
  });

  it('pulls on its glue with all of its own weight in gees', () => {
    const { pullNPerMm, letsGoRpm, margin } = tyreSeat({
      kind: 'foam',
      by: 'glue',
      radiusMm: 40,
      rimRadiusMm: 25,
      rpm: 3000,
      tyreMassG: 20,
      peelNPerMm: 3,
    });
    const pull = 0.02 * (100 * Math.PI) ** 2 * 0.04;
    expect(pullNPerMm! * 2 * 2 * Math.PI * 25).toBeCloseTo(pull, 9);
    expect(margin).toBeCloseTo(3 / pullNPerMm!, 9);
    expect(letsGoRpm).toBeCloseTo(3000 * Math.sqrt(margin!), 6);
  });

  it('makes the car faster by growing where the motor has speed left, and is checked in the air', () => {
    const { input, run } = settingOf(geared);
    const { rolling, inAir } = tyreOfBuild(geared, input, run.noLoadSpeedMps)!;
    expect(rolling!.grownMps).toBeGreaterThan(rolling!.stiffMps);
    expect(rolling!.grownMps / rolling!.stiffMps).toBeLessThanOrEqual(
      1 + rolling!.spin.growthPct! / 100 + 1e-6,
    );
    expect(check(geared, 'tyre.burst').value).toBeCloseTo(inAir.margin!, 9);
    const foam = check(
      applyPatch(geared, [
        { path: ['drive', 'tyre', 'ring'], value: 'foam' },
        { path: ['drive', 'stages', 's', 'wheelTeeth'], value: 40 },
      ]),
      'tyre.burst',
    );
    expect(foam.state).toBe('over');
    expect(foam.remedies[0]!.state).not.toBe('over');
  });
});
