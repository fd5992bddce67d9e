import { applyPatch, type Patch } from '../../base/patch';
import type { BuildDocument } from '../../car/document/document';
import type { Stage } from '../../car/stages/stage';
import { TYPICAL_MATERIALS } from '../../car/material/typicalMaterials';
import { check, geared, settingOf, surface } from '../../fixtures/geared';
import { peakTorques } from '../../worked/drive/peakTorque';

const { steel, nylon, pla } = TYPICAL_MATERIALS;
const withStages = (...stages: Stage[]): BuildDocument => ({
  ...geared,
  brief: { ...geared.brief, dropHeightM: undefined },
  drive: { ...geared.drive, stages },
});
const first = (change: Partial<Stage>): Stage => ({ ...geared.drive.stages[0]!, ...change });
const at = (key: string, value: unknown): Patch => [
  { path: ['drive', 'stages', 's', ...key.split('.')], value },
];
/** Largest torque at the first stage, standing. */
const blockedNm = (document: BuildDocument) => {
  const { input, run } = settingOf(document);
  return peakTorques(document, surface, input, run).blocked.motorNm;
};

describe('a mount between two gears', () => {
  const soft = withStages(
    first({
      mount: { support: 'cantilever', lengthMm: 30, widthMm: 20, thicknessMm: 3, material: pla },
      pinion: { material: steel },
      wheel: { material: nylon },
    }),
  );

  it('opens by its force over its stiffness: a cantilever by hand', () => {
    const found = check(soft, 'gears.opening');
    // k = 3·E·I/L³, I = 20·3³/12 = 45
    const k = (3 * pla.modulusMpa * 45) / 27_000;
    const force = (1000 * blockedNm(soft)) / (0.4 * 15 * Math.cos((20 * Math.PI) / 180));
    const { opens } = (found.finding as { facts: { opens: { value: number } } }).facts;
    // solved at the opened centres: 66 mm and what they open
    const open = Math.acos((66 * Math.cos((20 * Math.PI) / 180)) / (66 + opens.value));
    expect(opens.value).toBeCloseTo((force * Math.sin(open)) / k, 6);
  });

  it('that skips is cured by the thickness that is told, whose cube the stiffness is', () => {
    const thin = applyPatch(soft, at('mount.thicknessMm', 1));
    const found = check(thin, 'gears.opening');
    expect(found).toMatchObject({ state: 'over', finding: { facts: { skips: true } } });
    expect(
      check(applyPatch(thin, at('mount.thicknessMm', 2)), 'gears.opening').margin! / found.margin!,
    ).toBeCloseTo(8, 6);
    const cure = found.remedies.find(({ patch }) => patch[0]!.path.at(-1) === 'thicknessMm')!;
    const cured = check(applyPatch(thin, cure.patch), 'gears.opening');
    expect(cured.state).toBe('clear');
    // no thicker than it needs to be
    expect(cured.margin!).toBeLessThan(3);
  });

  it('is judged where something is said of it, and names what is missing', () => {
    expect(withStages(first({})).drive.stages[0]!.mount).toBeUndefined();
    expect(() => check(withStages(first({})), 'gears.opening').state).toThrow();
    expect(check(applyPatch(soft, at('mount.widthMm', undefined)), 'gears.opening').missing).toEqual([
      'drive.stages.s.mount.widthMm',
    ]);
    const loose = check(applyPatch(soft, at('bearingPlayMm', 2)), 'gears.opening');
    expect(loose).toMatchObject({ state: 'over', finding: { code: 'gears.opening.loose' } });
    expect(check(applyPatch(soft, at('mount', { stiffnessNPerMm: 1e6 })), 'gears.opening').state).toBe(
      'clear',
    );
  });
});

describe('planets', () => {
  const set = (change: Partial<Stage> = {}) =>
    withStages(first({ kind: 'planetary', pinionTeeth: 12, wheelTeeth: 48, planets: 3, ...change }));

  it('go in where sun and ring divide by them', () => {
    // the ring’s tip on the planet’s base point: 24 − √((24·cos 20°)² + (15·sin 20°)²)
    const height = 24 - Math.hypot(24 * Math.cos((20 * Math.PI) / 180), 15 * Math.sin((20 * Math.PI) / 180));
    const dug = check(set(), 'gears.assembly');
    expect(dug.finding).toMatchObject({
      code: 'gears.assembly.involute',
      facts: { limit: { value: expect.closeTo(height, 9) } },
    });
    expect(check(set({ ringAddendum: 0.99 * height }), 'gears.assembly').state).toBe('clear');
    expect(check(applyPatch(set(), dug.remedies[0]!.patch), 'gears.assembly').state).toBe('clear');
    // 60 places: not by 7; and 62 not by 3
    expect(check(set({ wheelTeeth: 50 }), 'gears.assembly').finding).toMatchObject({
      code: 'gears.assembly.uneven',
      facts: { places: 62 },
    });
    // 60/5 goes, but five of 18 teeth touch: 30·sin 36° = 17.6 against 20
    expect(check(set({ planets: 5 }), 'gears.assembly').finding).toMatchObject({
      code: 'gears.assembly.touch',
      facts: { overlap: { value: expect.closeTo((20 - 30 * Math.sin(Math.PI / 5)) * 0.8, 9) } },
    });
    expect(check(set({ wheelTeeth: 47 }), 'gears.assembly').missing).toEqual([
      'drive.stages.s.wheelTeeth:planets',
    ]);
  });

  it('are cured by another number of them, or by the nearest set', () => {
    for (const bad of [set({ wheelTeeth: 50 }), set({ planets: 5 })]) {
      const { remedies } = check(bad, 'gears.assembly');
      expect(remedies.length).toBeGreaterThan(0);
      for (const { patch } of remedies)
        expect(check(applyPatch(bad, patch), 'gears.assembly').state).not.toBe('over');
    }
  });
});

describe('a toothed belt', () => {
  const belt: Stage = {
    id: 's',
    kind: 'belt',
    efficiency: 0.95,
    pinionTeeth: 16,
    wheelTeeth: 64,
    pitchMm: 3,
    beltTeeth: 90,
    faceWidthMm: 9,
    pretensionN: 30,
  };
  const car = withStages(belt);

  it('carries by its pitch and width what its pulley pulls with', () => {
    const found = check(car, 'belt.teeth');
    // d = 3·16/π; 11 N a millimetre, six teeth or more in mesh, standing
    const pull = (2000 * blockedNm(car) * Math.PI) / 48;
    expect(found.value).toBeCloseTo((11 * 9) / pull, 6);
    const wide = check(applyPatch(car, at('faceWidthMm', 18)), 'belt.teeth');
    expect(wide.value).toBeCloseTo(2 * found.value!, 6);
  });

  it('stays in its teeth with the tension that is told', () => {
    const slack = applyPatch(car, at('pretensionN', 2));
    const found = check(slack, 'belt.skip');
    // half the pull for a belt of 61 to 150 teeth
    const pull = (2000 * blockedNm(car) * Math.PI) / 48;
    expect(found).toMatchObject({ state: 'over', value: expect.closeTo(2 / 0.5 / pull, 6) });
    const [cure] = found.remedies;
    expect(check(applyPatch(slack, cure!.patch), 'belt.skip').state).toBe('clear');
  });

  it('is told what it needs, and what does not go', () => {
    expect(check(withStages({ ...belt, pitchMm: 4 }), 'belt.teeth').missing).toEqual([
      'drive.stages.s.pitchMm:known',
    ]);
    expect(check(withStages({ ...belt, beltTeeth: undefined }), 'belt.teeth').missing).toEqual([
      'drive.stages.s.beltTeeth',
    ]);
    expect(check(withStages({ ...belt, beltTeeth: 30 }), 'belt.teeth')).toMatchObject({
      state: 'over',
      finding: { code: 'belt.refused' },
    });
    // by its slot alone it gets the belt nearest to the middle
    const inSlot = withStages({ ...belt, beltTeeth: undefined, slotMinMm: 70, slotMaxMm: 76 });
    expect(check(inSlot, 'belt.teeth').value).toBeCloseTo(check(car, 'belt.teeth').value!, 6);
  });
});
