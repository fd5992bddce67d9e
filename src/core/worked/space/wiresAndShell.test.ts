import { applyPatch, type Patch } from '../../base/patch';
import type { BuildDocument } from '../../car/document/document';
import { whole } from '../../fixtures/suspended';
import { evaluateBuild } from '../../verdict/evaluate';
import { clearanceOf } from './clearanceOfBuild';
import { shellOfCar } from './shellOfCar';
import { leadsAcrossMm, wiresOfCar } from './wiresOfCar';

const body = (id: string, xMm: number, yMm: number, zMm: number, size = 20) => ({
  id,
  xMm,
  yMm,
  zMm,
  lengthMm: size,
  widthMm: size,
  heightMm: size,
});
/** Pack, controller and motor in a line along the car; nothing but the front corners moves. */
const inLine = (...more: Patch): BuildDocument =>
  applyPatch(whole, [
    {
      path: ['chassis', 'bodies'],
      value: [body('pack', -80, 0, 60), body('controller', -140, 0, 60), body('motor', -220, 0, 60)],
    },
    { path: ['suspension', 'rear'], value: undefined },
    ...more,
  ]);
const near = (document: BuildDocument) => {
  const found = clearanceOf(document);
  if (!found.ok) throw new Error(found.missing.join());
  return found.value.near;
};
const pair = (document: BuildDocument, a: string, b: string) =>
  near(document).find((one) => [one.a.id, one.b.id].includes(a) && [one.a.id, one.b.id].includes(b));

describe('wires of a car', () => {
  it('go straight from the face of one component to that of the next, as thick as their copper', () => {
    const runs = wiresOfCar(inLine());
    expect(runs.map(({ id }) => id)).toEqual(['controller', 'motor']);
    expect(runs[0]!.forms).toEqual([
      {
        kind: 'capsule',
        fromMm: [-90, 0, 60],
        toMm: [-130, 0, 60],
        radiusMm: leadsAcrossMm(4) / 2,
      },
    ]);
    // 4 mm² at a fill of 0.6 is a round of 2.91 mm; two of them with 0.7 mm of silicone round each
    expect(leadsAcrossMm(4)).toBeCloseTo(2 * (2.913 + 1.4), 2);
    const led = inLine({ path: ['chassis', 'ways'], value: [{ id: 'motor', xMm: -180, yMm: 60, zMm: 60 }] });
    const way = wiresOfCar(led)[1]!.forms;
    expect(way).toHaveLength(2);
    expect(way[0]).toMatchObject({ toMm: [-180, 60, 60] });
    // half of a place is none
    expect(
      wiresOfCar(inLine({ path: ['chassis', 'ways'], value: [{ id: 'motor', xMm: -180 }] }))[1]!.forms,
    ).toHaveLength(1);
  });

  it('may lie on what they join and on what stands still and cold, and want five millimetres from what is hot', () => {
    // the pack's wire beside a motor that stands 3 mm from it: half of 20, and half of the leads
    const beside = inLine({
      path: ['chassis', 'bodies', 'motor'],
      value: body('motor', -110, 10 + leadsAcrossMm(4) / 2 + 3, 60),
    });
    const found = pair(beside, 'wire-controller', 'motor')!;
    expect(found.signedMm).toBeCloseTo(3, 6);
    expect(found).toMatchObject({ wantedMm: 5, counts: true, moves: false });
    expect(pair(beside, 'wire-controller', 'pack')).toBeUndefined();
    const check = evaluateBuild(beside).find(({ id }) => id === 'fit.clearance')!;
    expect(check.state).not.toBe('clear');
    const cured = applyPatch(beside, [
      { path: ['chassis', 'ways'], value: [{ id: 'controller', xMm: -110, yMm: -40, zMm: 60 }] },
    ]);
    expect(pair(cured, 'wire-controller', 'motor')?.counts ?? false).toBe(false);
  });

  it('want three millimetres from a wheel that moves, as the pack does', () => {
    const led = inLine({
      path: ['chassis', 'ways'],
      value: [{ id: 'controller', xMm: 0, yMm: 100, zMm: 98 }],
    });
    expect(pair(led, 'wire-controller', 'front.left.wheel')!.wantedMm).toBeGreaterThanOrEqual(3);
    const pack = inLine({ path: ['chassis', 'bodies', 'pack'], value: body('pack', 0, 100, 110) });
    expect(pair(pack, 'pack', 'front.left.wheel')!.wantedMm).toBeGreaterThanOrEqual(3);
  });
});

describe('a body shell', () => {
  const shell = { lengthMm: 400, widthMm: 260, heightMm: 90, zMm: 20, archMm: 50 };
  const sides = (archMm: number) =>
    shellOfCar(inLine({ path: ['chassis', 'shell'], value: { ...shell, archMm } })).slice(3);
  const area = (archMm: number) =>
    sides(archMm).reduce((sum, form) => sum + (form.kind === 'box' ? form.sizeMm[0] * form.sizeMm[2] : 0), 0);

  it('is a roof, a nose, a tail and two sides, with the segments of its round openings cut out', () => {
    // sides alone: 400 by 90, twice
    expect(area(0)).toBeCloseTo(2 * 400 * 90, 6);
    // an opening of radius 50 about an axle 40 over the ground, above an edge at 20: the half disc, and 20 mm of its width under it
    const opening = (Math.PI * 50 ** 2) / 2 + 2 * 50 * 20;
    const lost = area(0) - area(50);
    expect(lost / (4 * opening)).toBeGreaterThan(0.85);
    // strips leave a little more than the circle, never less
    expect(lost).toBeLessThan(4 * opening);
    expect(shellOfCar(inLine({ path: ['chassis', 'shell'], value: { lengthMm: 400 } }))).toEqual([]);
  });

  it('meets the tyre that has no opening, and leaves it free behind a large one', () => {
    const over = (archMm: number) =>
      pair(
        inLine({ path: ['chassis', 'shell'], value: { ...shell, widthMm: 205, heightMm: 110, archMm } }),
        'shell',
        'front.left.wheel',
      );
    expect(over(0)!.contact).toBe(true);
    expect(over(75)?.contact ?? false).toBe(false);
  });
});
