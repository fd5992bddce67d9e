import { applyPatch } from '../../base/patch';
import type { BuildDocument } from '../../car/document/document';
import type { Stage } from '../../car/stages/stage';
import { TYPICAL_MATERIALS } from '../../car/material/typicalMaterials';
import { check, geared, settingOf, surface } from '../../fixtures/geared';
import { toothSettingOf } from '../../verdict/drive/gears/onTeeth';
import { worked } from '../worked';
import { peakTorques } from './peakTorque';
import { teethOf } from './toothOfBuild';

const { steel, nylon } = TYPICAL_MATERIALS;
const behind = (stage: Partial<Stage> & Pick<Stage, 'kind'>): BuildDocument => ({
  ...geared,
  drive: {
    ...geared.drive,
    // a short first stage, so that the car stays as it is geared
    stages: [
      { ...geared.drive.stages[0]!, pinionTeeth: 30, wheelTeeth: 60 },
      { id: 'second', efficiency: 0.9, ...stage },
    ],
  },
});
const bevel: Stage = {
  id: 'second',
  kind: 'bevel',
  efficiency: 0.9,
  pinionTeeth: 15,
  wheelTeeth: 39,
  moduleMm: 1,
  faceWidthMm: 5,
  pinion: { material: steel },
  wheel: { material: nylon },
};
const settingFor = (document: BuildDocument) => {
  const setting = toothSettingOf(worked(document, surface));
  if ('missing' in setting) throw new Error(setting.missing.join());
  return setting;
};
const toothIn = (document: BuildDocument, role: string) =>
  teethOf(settingFor(document)).find(({ stage, role: own }) => stage.id === 'second' && own === role)!;
/** What comes to the second stage from standing: the first doubles it and keeps a fifth. */
const blockedNm = (document: BuildDocument) => {
  const { input, run } = settingOf(document);
  return peakTorques(document, surface, input, run).blocked.motorNm * 2 * 0.8;
};
const noDrop = (document: BuildDocument) =>
  applyPatch(document, [{ path: ['brief', 'dropHeightM'], value: undefined }]);

describe('teeth of a bevel', () => {
  const car = noDrop(behind(bevel));

  it('carry the torque at the middle of the cone: Lewis with the taper by hand', () => {
    const wheel = toothIn(car, 'wheel');
    const nm = blockedNm(car);
    // R = √(15² + 39²)/2 = 20.893; the middle of the face is 2.5 nearer to the apex
    const R = Math.hypot(15, 39) / 2;
    const share = (R - 2.5) / R;
    const force = (2000 * nm) / (15 * share);
    const cone = (1 - 5 / R + 25 / (3 * R * R)) / share ** 2;
    // 39/cos 68.96° = 108.6 virtual teeth: between 0.447 of 100 and 0.460 of 150
    const virtual = (39 * Math.hypot(15, 39)) / 15;
    const Y = 0.447 + (0.013 * (virtual - 100)) / 50;
    expect(wheel.load.by).not.toBe('landing');
    expect(wheel.torqueNm).toBeCloseTo((nm * 39) / 15, 9);
    expect(wheel.bending.bendingStressMpa).toBeCloseTo(
      (force * (1.25 + 5.6e-6 * 25)) / (5 * share * Y * cone),
      9,
    );
    expect(wheel.bending.torqueAtMargin1Nm).toBeCloseTo(wheel.torqueNm * wheel.bending.margin!, 9);
  });

  it('hold twice what they see at the width that is told', () => {
    const at = (faceWidthMm: number) => noDrop(behind({ ...bevel, moduleMm: 2, faceWidthMm }));
    const width = toothIn(at(5), 'wheel').bending.faceWidthForMargin2Mm;
    if (width === undefined) throw new Error('no width');
    expect(toothIn(at(width), 'wheel').bending.margin).toBeCloseTo(2, 6);
  });

  it('are part of what strips first, and a bevel is widened or made larger until it holds', () => {
    const narrow = noDrop(behind({ ...bevel, faceWidthMm: 1.5, pinion: { material: nylon } }));
    const found = check(narrow, 'gears.tooth');
    expect(found).toMatchObject({ state: 'over', finding: { facts: { kind: 'bevel', unjudged: [] } } });
    const width = found.remedies.find(({ patch }) => patch[0]!.path.at(-1) === 'faceWidthMm');
    // never wider than three tenths of the cone
    if (width) expect(width.patch[0]!.value as number).toBeLessThanOrEqual(0.3 * (Math.hypot(15, 39) / 2));
    expect(found.remedies.length).toBeGreaterThan(0);
    for (const { patch } of found.remedies)
      expect(check(applyPatch(narrow, patch), 'gears.tooth').margin!).toBeGreaterThan(found.margin!);
  });

  it('that are not given yet are told, and do not keep the others from being judged', () => {
    const open = noDrop(behind({ ...bevel, moduleMm: undefined }));
    expect(check(open, 'gears.tooth').finding).toMatchObject({
      facts: { kind: 'spur', unjudged: ['bevel'] },
    });
    const alone = applyPatch(open, [{ path: ['drive', 'stages', 's'], value: undefined }]);
    expect(check(alone, 'gears.tooth')).toMatchObject({
      state: 'unknown',
      missing: expect.arrayContaining(['drive.stages.second.moduleMm']),
    });
    const flat = applyPatch(alone, [
      { path: ['drive', 'stages', 'second', 'moduleMm'], value: 1 },
      { path: ['drive', 'stages', 'second', 'faceWidthMm'], value: 21 },
    ]);
    expect(check(flat, 'gears.tooth').missing).toContain('drive.stages.second.faceWidthMm:cone');
  });
});

describe('teeth of a planetary stage', () => {
  const set: Stage = {
    id: 'second',
    kind: 'planetary',
    efficiency: 0.9,
    pinionTeeth: 12,
    wheelTeeth: 48,
    planets: 3,
    moduleMm: 0.8,
    faceWidthMm: 8,
    pinion: { material: steel },
    planet: { material: nylon },
    wheel: { material: nylon },
  };

  it('share the torque over the planets, which are bent both ways', () => {
    const car = noDrop(behind(set));
    const nm = blockedNm(car);
    const planet = toothIn(car, 'planet');
    // 1.23 of a third at the sun’s pitch circle of 9.6 mm, on 18 teeth
    const force = (1.23 * 2000 * nm) / (3 * 9.6);
    expect(planet.teeth).toBe(18);
    expect(planet.bending.bendingStressMpa).toBeCloseTo(force / (8 * 0.8 * 0.309), 9);
    const ring = toothIn(car, 'wheel');
    expect(planet.bending.allowableMpa / ring.bending.allowableMpa).toBeCloseTo(0.7, 9);
    expect(ring.torqueNm).toBeCloseTo(4 * nm, 9);
  });

  it('need a number of planets, and a ring that leaves whole ones', () => {
    const missing = (change: Partial<Stage>) => {
      const car = behind({ ...set, ...change });
      const alone = applyPatch(car, [{ path: ['drive', 'stages', 's'], value: undefined }]);
      return check(alone, 'gears.tooth').missing ?? [];
    };
    expect(missing({ planets: undefined })).toContain('drive.stages.second.planets');
    expect(missing({ wheelTeeth: 47 })).toContain('drive.stages.second.wheelTeeth:planets');
    expect(missing({ planet: {} })).toContain('drive.stages.second.planet.material');
  });
});

it('slanted and inner teeth are judged by their own models', () => {
  const spur = { ...bevel, kind: 'spur' as const };
  const straight = toothIn(noDrop(behind(spur)), 'wheel').bending.bendingStressMpa;
  // 25 degrees: 5·sin 25°/π = 0.673 of an overlap, force over a pitch circle larger by 1/cos, Y of 39/cos³ = 52.4 teeth
  const slanted = toothIn(noDrop(behind({ ...spur, helixDeg: 25 })), 'wheel').bending;
  const [cos, Y39, Y52] = [Math.cos((25 * Math.PI) / 180), 0.384 + 0.013 / 5, 0.409 + (0.013 * 2.39) / 10];
  const helix = 1 - (((5 * Math.sin((25 * Math.PI) / 180)) / Math.PI) * 25) / 120;
  expect(slanted.bendingStressMpa / straight).toBeCloseTo((cos * helix * Y39) / Y52, 3);
  // the inner tooth as a rack’s
  const inner = toothIn(noDrop(behind({ ...spur, kind: 'internal' })), 'wheel').bending;
  expect(inner.bendingStressMpa / straight).toBeCloseTo(Y39 / 0.472, 9);
});
