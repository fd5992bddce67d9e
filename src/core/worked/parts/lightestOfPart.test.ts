import { applyPatch } from '../../base/patch';
import { TYPICAL_MATERIALS } from '../../car/material/typicalMaterials';
import { arm, grass, landing, withParts } from '../../fixtures/landingArm';
import { becoming, lightestOfPart } from './lightestOfPart';
import { partStrength } from './partStrength';

const materials = [TYPICAL_MATERIALS.petg, TYPICAL_MATERIALS.nylon];
const ask = { marginWanted: 2, widthMostMm: 24, heightMostMm: 24 };
const loaded = {
  ...arm,
  loads: [
    { id: 'a', from: 'own' as const, forceN: 60 },
    { id: 'b', from: 'own' as const, forceN: 25, bends: 'sideways' as const },
  ],
};

describe('the lightest of a part', () => {
  it('holds every load of the part as wanted once it is taken, and no lighter one is left beside it', () => {
    const document = withParts(loaded);
    const found = lightestOfPart(document, grass, loaded, materials, ask);
    if (!found.ok) throw new Error(found.missing.join());
    const { best, alternatives = [], enough } = found.value;
    expect(enough).toBeGreaterThan(0);
    for (const one of alternatives) {
      expect(one.massG).toBeGreaterThanOrEqual(best!.massG);
      const taken = applyPatch(document, becoming(loaded, one, materials));
      const strength = partStrength(taken, grass, taken.parts.items[0]!);
      if (!strength.ok) throw new Error(strength.missing.join());
      // both loads bend it apart, each alone
      for (const { margin } of strength.value.loads) expect(margin).toBeGreaterThanOrEqual(2 * 0.999);
    }
  });

  it('takes the loads of the build, and says what they wait for', () => {
    const found = lightestOfPart(withParts(arm), grass, arm, materials, {
      ...ask,
      widthMostMm: 60,
      heightMostMm: 60,
    });
    expect(found.ok && found.value.best!.limitedBy.case).toBe('a');
    const waiting = { ...arm, loads: [{ id: 'k', from: 'curbStrike' as const }] };
    const bare = { ...landing, brief: { ...landing.brief, kerbMps: undefined } };
    expect(lightestOfPart(bare as never, grass, waiting, materials, ask)).toEqual({
      ok: false,
      missing: ['brief.kerbMps'],
    });
    expect(lightestOfPart(landing, grass, { ...arm, loads: [] }, materials, ask)).toMatchObject({
      ok: false,
    });
  });

  it('names what comes nearest where no size is enough', () => {
    const found = lightestOfPart(withParts(arm), grass, arm, materials, {
      ...ask,
      widthMostMm: 6,
      heightMostMm: 6,
    });
    expect(found.ok && found.value.best).toBeUndefined();
    expect(found.ok && found.value.closest!.limitedBy.ratio).toBeLessThan(1);
  });
});
