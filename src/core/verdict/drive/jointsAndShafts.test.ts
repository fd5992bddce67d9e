import { exchanging } from '../../fixtures/remedies';
import { applyPatch } from '../../base/patch';
import { TYPICAL_MATERIALS } from '../../car/material/typicalMaterials';
import { caseLimitOf } from '../../worked/heat/caseLimit';
import { pinionHeld } from '../../worked/drive/jointOfBuild';
import { shaftsOf } from '../../worked/drive/shaftOfBuild';
import { stage, geared, settingOf, check } from '../../fixtures/geared';

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
