import { applyPatch, type Patch } from '../base/patch';
import { whole } from '../fixtures/suspended';
import { offsetsApart, stepPictures } from '../worked/space/apart';
import { thingsOf } from '../worked/space/thingsOfCar';
import type { Check } from './engine/check';
import { evaluateBuild } from './evaluate';
import { carMarks } from './carMarks';

const change: Patch = [
  {
    path: ['parts', 'items'],
    value: [
      { id: 'plate', name: 'Plate', kind: 'chassis', massG: 90 },
      { id: 'arm', name: 'Arm', kind: 'arm', made: { as: 'arm', end: 'front' } },
      { id: 'knuckle', name: 'Knuckle', kind: 'knuckle' },
      { id: 'tower', name: 'Tower', kind: 'shockTower' },
    ],
  },
  {
    path: ['chassis', 'bodies'],
    value: [
      { id: 'part-plate', xMm: -140, yMm: 0, zMm: 20 },
      { id: 'motor', xMm: -200, yMm: 0, zMm: 46 },
    ],
  },
  {
    path: ['suspension', 'front', 'held'],
    value: [
      { id: 'tie', pullN: 50, pushN: 40 },
      { id: 'damper', pullN: 100, pushN: 5 },
    ],
  },
  {
    path: ['print', 'joints'],
    value: [
      { id: 'towers', name: 'Tower', kind: 'screw', part: 'plate', to: 'tower', diameterMm: 3 },
      { id: 'hinge', name: 'Hinge', kind: 'pin', part: 'plate', to: 'arm', diameterMm: 3 },
      { id: 'ball', name: 'Ball', kind: 'pin', part: 'arm', to: 'knuckle', diameterMm: 3 },
    ],
  },
];
const document = applyPatch(whole, change);
const things = thingsOf(document);
const record = { document, revisions: [], runs: [], failures: [], copies: [] };

describe('marks of the things of a car', () => {
  const checks = evaluateBuild(document);
  const marks = carMarks(record, things, checks);
  const idOf = (thing: string) => marks.get(thing)!.check?.id;

  it('are of the check that judges a thing the hardest, on both sides of the car', () => {
    expect(idOf('front.left.tie')).toBe('links.front.tie');
    expect(idOf('front.right.tie')).toBe('links.front.tie');
    expect(idOf('front.left.damper')).toBe('links.front.damper');
    expect(idOf('rear.left.damper')).toBeUndefined();
    const motor = checks
      .filter(({ id, margin }) => ['drive.winding', 'drive.heat'].includes(id) && margin !== undefined)
      .sort((a, b) => a.margin! - b.margin!)[0] as Check;
    expect(idOf('motor')).toBe(motor?.id);
  });

  it('have the mass of a component, failures of the part and of what it is, and the hours of the copy that ran longest', () => {
    const at = '2026-05-01T10:00:00.000Z';
    const copy = (id: string, more = {}) => ({ id, partId: 'arm', partName: 'Arm', madeAt: at, ...more });
    const run = (id: string, minutes: number, copies: string[]) => ({ id, drivenMinutes: minutes, copies });
    const told = carMarks(
      {
        ...record,
        failures: [
          { id: 'f', partId: 'arm', partName: 'Arm' },
          { id: 'g', partId: 'knuckle', partName: 'Knuckle' },
        ],
        copies: [copy('old', { retiredAt: at }), copy('worn'), copy('new')],
        runs: [run('1', 300, ['old']), run('2', 90, ['worn']), run('3', 30, ['worn', 'new'])],
      } as unknown as Parameters<typeof carMarks>[0],
      things,
      checks,
    );
    expect(told.get('part-plate')!.massG).toBe(90);
    expect(told.get('rear.left.wheel')!.massG).toBe(document.drive.tyre!.massG);
    expect(told.get('front.left.upright')!.massG).toBe(40);
    expect(told.get('front.left.lower')).toMatchObject({ failures: 1, hours: 2 });
    expect(told.get('rear.left.lower')).toEqual({ failures: 0 });
    expect(told.get('front.right.upright')!.failures).toBe(1);
    expect(told.get('rear.right.upright')).toEqual({ massG: 40, failures: 0 });
  });
});

describe('a car taken apart', () => {
  it('goes outwards to both sides alike, its lowest component staying where it is', () => {
    const off = offsetsApart(things);
    for (const { id, of } of things) {
      if (of?.side !== 'left') continue;
      const [x, y, z] = off.get(id)!;
      expect(y).toBeGreaterThan(0);
      expect(off.get(id.replace('left', 'right'))).toEqual([x, -y, z]);
    }
    expect(off.get('part-plate')).toEqual([0, 0, 0]);
    expect(off.get('motor')![2]).toBeGreaterThan(0);
  });

  it('comes together step by step: what a step joins, and what is not on the car yet', () => {
    const steps = stepPictures(document, things);
    // the outermost joint first
    expect(steps.map(({ id }) => id)).toEqual(['ball', 'towers', 'hinge']);
    const [ball, towers, hinge] = steps;
    expect([...ball!.now].sort()).toEqual([
      'front.left.lower',
      'front.left.upright',
      'front.right.lower',
      'front.right.upright',
    ]);
    expect(ball!.later.has('part-plate')).toBe(true);
    expect(towers!.later.has('part-plate')).toBe(false);
    expect(hinge!.now.has('part-plate')).toBe(true);
    // of no joint: after all of them
    expect(hinge!.later.has('motor')).toBe(true);
  });
});
