import { applyPatch, type Patch } from '../../base/patch';
import type { BuildDocument } from '../../car/document/document';
import { parseDocument } from '../../car/document/document.schema';
import { whole } from '../../fixtures/suspended';
import { evaluateBuild } from '../../verdict/evaluate';
import { clearanceOf } from './clearanceOfBuild';
import { type TrainThing, trainOfCar } from '../train/trainOfCar';

const L = whole.chassis.wheelbaseMm!;
/** A motor that lies along the car, its gear on a shaft to bevels at both axles 56 mm over the ground. */
const along = (...more: Patch): BuildDocument =>
  parseDocument(
    applyPatch(whole, [
      { path: ['drive', 'drivenAxles'], value: 'all' },
      { path: ['suspension', 'front', 'shaftInnerZMm'], value: 56 },
      { path: ['suspension', 'rear', 'shaftInnerZMm'], value: 56 },
      {
        path: ['drive', 'stages'],
        value: [
          {
            id: 'a',
            kind: 'spur',
            pinionTeeth: 13,
            wheelTeeth: 71,
            efficiency: 0.95,
            moduleMm: 0.8,
            faceWidthMm: 6,
            at: { xMm: -240 },
          },
          {
            id: 'b',
            kind: 'bevel',
            pinionTeeth: 15,
            wheelTeeth: 39,
            efficiency: 0.93,
            moduleMm: 1,
            faceWidthMm: 6,
          },
        ],
      },
      {
        path: ['drive', 'shafts'],
        value: [{ id: 's', kind: 'long', diameterMm: 6, spanMm: 200, behind: 'a' }],
      },
      {
        path: ['chassis', 'bodies'],
        value: [{ id: 'motor', xMm: -200, yMm: -30, zMm: 46, lengthMm: 52, widthMm: 36, heightMm: 36 }],
      },
      ...more,
    ]),
  );
const thing = (document: BuildDocument, id: string): TrainThing =>
  trainOfCar(document).things.find((one) => one.id === id)!;
const near = (found: readonly number[], wanted: readonly number[], digits = 9) =>
  found.forEach((one, at) => expect(one).toBeCloseTo(wanted[at]!, digits));
const judged = (document: BuildDocument, id: string) => evaluateBuild(document).find((one) => one.id === id)!;

describe('gears and shafts in space', () => {
  const car = along();
  it('put a pinion on the motor’s line in the plane of its wheel, which stands where it was said', () => {
    const wheel = thing(car, 'train.a.wheel');
    near(wheel.gear!.centreMm, [-240, 0, 56]);
    // m (z + 2)/2
    expect(wheel.gear!.tipMm).toBeCloseTo((0.8 * 73) / 2, 9);
    near(thing(car, 'train.a.pinion').gear!.centreMm, [-240, -30, 46]);
  });
  it('stand bevels as far from where their lines meet as the other is large, less half a face', () => {
    const cone = Math.hypot(15, 39);
    const ahead = 39 / 2 - (6 * 39) / cone / 2;
    const aside = 15 / 2 - (6 * 15) / cone / 2;
    near(thing(car, 'train.b.pinion.rear').gear!.centreMm, [-L + ahead, 0, 56]);
    near(thing(car, 'train.b.wheel.rear').gear!.centreMm, [-L, aside, 56]);
    near(thing(car, 'train.b.pinion.front').gear!.centreMm, [-ahead, 0, 56]);
    // a shaft from bevel to bevel, as thick as it was said
    const { fromMm, toMm, radiusMm } = thing(car, 'train.shaft.a').shaft!;
    near([...fromMm, ...toMm, radiusMm], [-L + ahead, 0, 56, -ahead, 0, 56, 3]);
    const other = along({
      path: ['drive', 'stages', 'b', 'rear'],
      value: { pinion: 'behind', ring: 'right' },
    });
    near(thing(other, 'train.b.pinion.rear').gear!.centreMm, [-L - ahead, 0, 56]);
    near(thing(other, 'train.b.wheel.rear').gear!.centreMm, [-L, -aside, 56]);
  });
  it('turn as the teeth say', () => {
    expect(thing(car, 'train.b.wheel.rear').axis.turns).toBe(1);
    expect(thing(car, 'train.a.wheel').axis.turns).toBeCloseTo(39 / 15, 12);
    expect(thing(car, 'train.a.pinion').axis.turns).toBeCloseTo((-71 / 13) * (39 / 15), 12);
  });
  it('are drawn with the teeth of one in the gaps of the other', () => {
    const { phaseRad } = thing(car, 'train.a.pinion').gear!;
    // places of teeth along the pitch line, in pitches from the line of middles, which goes to y −30 and z −10
    const towards = Math.atan2(-10, -30);
    const ofWheel = -(towards * 71) / (2 * Math.PI);
    const ofPinion = -((phaseRad! - (towards + Math.PI)) * 13) / (2 * Math.PI);
    const apart = ofWheel - ofPinion;
    expect(Math.abs(apart - Math.floor(apart) - 0.5)).toBeLessThan(1e-9);
  });
  it('follow a motor that lies across, geared straight to its axle, and one that lies the wrong way not at all', () => {
    const across: Patch = [
      { path: ['drive', 'drivenAxles'], value: 'rear' },
      {
        path: ['drive', 'stages'],
        value: [
          {
            id: 'a',
            kind: 'spur',
            pinionTeeth: 20,
            wheelTeeth: 60,
            efficiency: 0.9,
            moduleMm: 1,
            at: { yMm: 12 },
          },
        ],
      },
    ];
    const turned = along(...across, { path: ['chassis', 'bodies', 'motor', 'widthMm'], value: 70 });
    near(thing(turned, 'train.a.wheel').gear!.centreMm, [-L, 12, 56]);
    near(thing(turned, 'train.a.pinion').gear!.centreMm, [-200, 12, 46]);
    const wrong = along(...across);
    expect(trainOfCar(wrong).things.map(({ id }) => id)).toEqual(['train.a.wheel']);
    expect(judged(wrong, 'fit.train')).toMatchObject({ state: 'unknown', missing: ['chassis.bodies:motor'] });
  });
  it('of two driven axles teeth beside each other turn the nearer one', () => {
    const both = along(
      {
        path: ['drive', 'stages'],
        value: [
          {
            id: 'a',
            kind: 'spur',
            pinionTeeth: 20,
            wheelTeeth: 60,
            efficiency: 0.9,
            moduleMm: 1,
            at: { yMm: 0 },
          },
        ],
      },
      { path: ['chassis', 'bodies', 'motor', 'widthMm'], value: 70 },
    );
    const { things, meshes } = trainOfCar(both);
    expect(things.map(({ id }) => id).sort()).toEqual([
      'train.a.pinion.rear',
      'train.a.wheel.rear',
      'train.shaft.motor',
    ]);
    expect(meshes[0]!.driven.atMm[0]).toBeCloseTo(-L, 9);
  });
  it('are nothing without teeth, without a motor on the car, and without places', () => {
    expect(trainOfCar(along({ path: ['drive', 'motorsAt'], value: 'wheel' })).things).toEqual([]);
    expect(
      thing(along({ path: ['drive', 'stages', 'a', 'moduleMm'], value: undefined }), 'train.a.wheel'),
    ).toBeUndefined();
    const nowhere = along({ path: ['drive', 'stages', 'a', 'at'], value: undefined });
    expect(
      trainOfCar(nowhere)
        .things.map(({ id }) => id)
        .filter((id) => id.startsWith('train.b.pinion')),
    ).toEqual([]);
  });
});

describe('where gears stand', () => {
  // centres apart: half of 0.8·(13 + 71)
  const mesh = 33.6;
  it('is held against the distance at which their teeth meet, and the motor is moved to it', () => {
    const off = Math.hypot(30, 10) - mesh;
    const check = judged(along(), 'fit.train');
    expect(check.value).toBeCloseTo(-off, 9);
    expect(check).toMatchObject({
      state: 'over',
      finding: { facts: { stage: 1, motor: true, too: 'near' } },
    });
    const cured = applyPatch(along(), check.remedies[0]!.patch);
    const { yMm, zMm } = cured.chassis.bodies![0]!;
    expect(Math.hypot(yMm!, zMm! - 56)).toBeCloseTo(mesh, 1);
    expect(judged(cured, 'fit.train').state).toBe('clear');
    const right = along({ path: ['chassis', 'bodies', 'motor', 'yMm'], value: -Math.sqrt(mesh ** 2 - 100) });
    expect(judged(right, 'fit.train')).toMatchObject({
      state: 'clear',
      finding: { facts: { too: 'right' } },
    });
  });
  it('leaves nothing in the way of what turns, and counts the lowest tooth over the ground', () => {
    const bodies = (box: Record<string, number>, height = 56) =>
      along(
        ...(['front', 'rear'] as const).map((end) => ({
          path: ['suspension', end, 'shaftInnerZMm'],
          value: height,
        })),
        {
          path: ['chassis', 'bodies', 'box'],
          value: { id: 'box', name: 'Receiver', massG: 9, lengthMm: 30, widthMm: 20, heightMm: 12, ...box },
        },
      );
    const pair = (document: BuildDocument) => {
      const found = clearanceOf(document);
      if (!found.ok) throw new Error(found.missing.join());
      return found.value.near.find(
        ({ a, b }) => [a.id, b.id].includes('box') && [a.id, b.id].includes('train.shaft.a'),
      );
    };
    // 6 mm of box and 3 mm of shaft of 10 mm between the middles
    expect(pair(bodies({ xMm: -120, yMm: 0, zMm: 66 }))).toMatchObject({
      counts: true,
      moves: true,
      wantedMm: 1.5,
    });
    expect(pair(bodies({ xMm: -120, yMm: 0, zMm: 66 }))!.signedMm).toBeCloseTo(1, 3);
    expect(pair(bodies({ xMm: -120, yMm: 0, zMm: 76 }))).toBeUndefined();
    const found = clearanceOf(bodies({ xMm: -120, yMm: 0, zMm: 66 }, 32));
    if (!found.ok) throw new Error(found.missing.join());
    expect(found.value.ground!.clearanceMm).toBeCloseTo(32 - (0.8 * 73) / 2, 1);
  });
});
