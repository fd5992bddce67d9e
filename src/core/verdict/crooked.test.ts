import { documentSchema } from '../car/document/document.schema';
import type { BuildDocument } from '../car/document/document';
import { applyPatch } from '../base/patch';
import { crooked, PACK_ASIDE_MM } from '../fixtures/crooked';
import { weightOf } from '../worked/chassis/weightOfBuild';
import { worked } from '../worked/worked';
import { evaluateBuild, evaluateStates } from './evaluate';

const ORDER = { clear: 0, unknown: 1, tight: 2, over: 3 } as const;
const bodyAt = (id: string, key: 'yMm', value: number) => ({
  path: ['chassis', 'bodies', id, key],
  value,
});
const weight = (document: BuildDocument) => {
  const found = weightOf(document);
  if (!found.ok) throw new Error(found.missing.join());
  return found.value;
};

describe('a crooked car', () => {
  const checks = evaluateBuild(crooked);

  it('is weighed where its components are', () => {
    const { massG, cgMm, bodies } = weight(crooked);
    const total = bodies.reduce((sum, body) => sum + body.massG, 0);
    expect(massG).toBeCloseTo(total, 9);
    for (const [axis, key] of (['xMm', 'yMm', 'zMm'] as const).entries())
      expect(cgMm[axis]).toBeCloseTo(
        bodies.reduce((sum, body) => sum + body.massG * body[key], 0) / total,
        9,
      );
    // the rear carries more, and the pack draws to its side
    expect(1 + cgMm[0] / 280).toBeLessThan(0.45);
    expect(cgMm[1]).toBeGreaterThan(0);
  });

  it('says of nothing that it is infinite or no number, and faults nowhere', () => {
    expect(checks.filter(({ fault }) => fault)).toEqual([]);
    const worked = checks.filter(({ state }) => state !== 'unknown');
    expect(worked.length).toBeGreaterThan(20);
    for (const { id, value, limit, margin } of worked)
      for (const figure of [value, limit, margin])
        if (figure !== undefined)
          expect({ id, finite: Number.isFinite(figure) }).toEqual({ id, finite: true });
  });

  it('is no other car as its mirror image', () => {
    const mirrored = applyPatch(
      crooked,
      crooked.chassis.bodies!.map(({ id, yMm = 0 }) => bodyAt(id, 'yMm', -yMm)),
    );
    expect(weight(mirrored).cgMm[1]).toBeCloseTo(-weight(crooked).cgMm[1], 12);
    const told = (document: BuildDocument) =>
      evaluateStates(document).map(({ id, state, margin }) => [id, state, margin?.toPrecision(9)]);
    expect(told(mirrored)).toEqual(told(crooked));
  });

  it('tips over the side to which it leans, whatever is moved', () => {
    const middle = applyPatch(crooked, [bodyAt('pack', 'yMm', 0)]);
    const packG = weight(crooked).bodies.find(({ id }) => id === 'pack')!.massG;
    const moved = (packG * PACK_ASIDE_MM) / weight(crooked).massG;
    expect(weight(crooked).cgMm[1] - weight(middle).cgMm[1]).toBeCloseTo(moved, 9);
    const tip = (document: BuildDocument) =>
      evaluateStates(document).find(({ id }) => id === 'chassis.tip')!.value!;
    // (t/2 − |y|)/h, with the pack aside and in the middle
    for (const document of [crooked, middle]) {
      const { cgMm } = weight(document);
      expect(tip(document)).toBeCloseTo((100 - Math.abs(cgMm[1])) / cgMm[2], 6);
    }
  });

  it('multiplies its stages and what they keep', () => {
    const input = worked(crooked, crooked.brief.surfaces[0]).runInput();
    if (!input.ok) throw new Error(input.missing.join());
    expect(input.value.drive.ratio).toBeCloseTo(3 * 3, 12);
    expect(input.value.drive.efficiency).toBeCloseTo(0.95 * 0.93 * 0.96, 12);
  });

  it('is offered nothing that its document would refuse, that exchanges other things than it says, or that leaves it worse', () => {
    const offered = checks.flatMap((check) => check.remedies.map((remedy) => ({ check, remedy })));
    expect(offered.length).toBeGreaterThan(4);
    for (const { check, remedy } of offered) {
      const after = applyPatch(crooked, remedy.patch);
      const { error } = documentSchema.validate(after);
      expect({ id: check.id, error: error?.message }).toEqual({ id: check.id, error: undefined });
      expect(remedy.exchanges.length).toBeGreaterThan(0);
      expect({ id: check.id, worse: ORDER[remedy.state] > ORDER[check.state] }).toEqual({
        id: check.id,
        worse: false,
      });
    }
  });
});
