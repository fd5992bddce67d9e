import { exchanging } from '../../fixtures/remedies';
import type { BuildDocument } from '../../car/document/document';
import { applyPatch, type Patch } from '../../base/patch';
import { evaluateBuild } from '../../verdict/evaluate';
import { resistanceN, createPlant, tractionN } from '../../physics/motion/plant';
import { runInputOf } from '../motion/runOfBuild';
import { car } from '../../fixtures/car';
import { airOf } from '../../physics/motion/air';
import { bodiesOf, REST } from './bodiesOfBuild';
import { moved } from '../../verdict/chassis/onStanding';
import { chassisWhatIfs } from '../../advice/whatIfs';
import { weightOf, type WeightOfBuild } from './weightOfBuild';

const weight = (document: BuildDocument): WeightOfBuild => {
  const found = weightOf(document);
  if (!found.ok) throw new Error(found.missing.join());
  return found.value;
};
const built = (patch: Patch) => applyPatch(car, patch);
const placed = built(moved(car, 'pack', { xMm: -140, yMm: 0, zMm: 30 }));
const check = (document: BuildDocument, id: string) => evaluateBuild(document).find((one) => one.id === id)!;

describe('the components of a build', () => {
  it('appear by themselves and weigh what the scale says with the payload, the rest being the frame', () => {
    const bodies = bodiesOf(car);
    expect(bodies.map(({ id }) => id)).toEqual([
      'wheel-fl',
      'wheel-fr',
      'wheel-rl',
      'wheel-rr',
      'motor',
      'pack',
      'controller',
      'payload',
      REST,
    ]);
    expect(bodies.reduce((sum, { massG }) => sum + massG, 0)).toBeCloseTo(1600 + 300, 9);
    expect(bodies.find(({ id }) => id === 'wheel-rl')).toMatchObject({
      xMm: -280,
      yMm: 100,
      zMm: 42,
      sprung: false,
      fixed: true,
    });
    expect(bodies.find(({ id }) => id === 'motor')!.sizeMm).toEqual([52.5, 36, 36]);
    expect(bodiesOf(applyPatch(car, [{ path: ['chassis', 'wheelbaseMm'], value: undefined }]))).toEqual([]);
  });

  it('count a printed part with its mass, and not what is weighed already', () => {
    const listed = built([
      {
        path: ['parts', 'items'],
        value: [
          { id: 'plate', name: 'Plate', kind: 'chassis', massG: 150 },
          { id: 'm', name: 'Motor', kind: 'motor', massG: 170 },
          { id: 'link', name: 'Link', kind: 'link' },
        ],
      },
    ]);
    const bodies = bodiesOf(listed);
    expect(bodies.filter(({ id }) => id.startsWith('part-'))).toEqual([
      expect.objectContaining({ id: 'part-plate', massG: 150, sprung: true }),
    ]);
    const restOf = (all: typeof bodies) => all.find(({ id }) => id === REST)!.massG;
    expect(restOf(bodies)).toBeCloseTo(restOf(bodiesOf(car)) - 150, 9);
  });

  it('in the wheels are unsprung, one to each driven wheel', () => {
    const inWheels = bodiesOf(
      built([
        { path: ['drive', 'motorsAt'], value: 'wheel' },
        { path: ['drive', 'mounting'], value: 'wheel' },
      ]),
    ).filter(({ id }) => id.startsWith('motor'));
    expect(inWheels).toHaveLength(4);
    expect(inWheels.every(({ sprung }) => !sprung)).toBe(true);
  });

  it('leave the scale’s figures alone until one is placed, then speak for themselves', () => {
    expect(weight(car)).toMatchObject({ cgMm: [-140, 0, 60], massG: 1900 });
    expect(weight(car).balance).toBeUndefined();
    expect(weight(placed).balance).toBeDefined();
  });

  it('move the centre of gravity by their share of the mass', () => {
    const shifted = applyPatch(placed, moved(placed, 'pack', { xMm: -100, yMm: 10, zMm: 30 }));
    const share = car.power.battery!.massG / 1900;
    const [before, after] = [weight(placed).cgMm, weight(shifted).cgMm];
    expect(after[0] - before[0]).toBeCloseTo(40 * share, 9);
    expect(after[1] - before[1]).toBeCloseTo(10 * share, 9);
  });
});

describe('the chassis checks', () => {
  it('know a car that rolls over, and lower or widen it until it slides', () => {
    const tall = applyPatch(placed, [
      {
        path: ['chassis', 'bodies'],
        value: [
          { id: 'pack', zMm: 60 },
          { id: 'payload', zMm: 320 },
          { id: REST, zMm: 110 },
        ],
      },
      { path: ['chassis', 'trackFrontMm'], value: 170 },
      { path: ['chassis', 'trackRearMm'], value: 170 },
    ]);
    const tip = check(tall, 'chassis.tip');
    expect(tip).toMatchObject({ state: 'over', finding: { code: 'chassis.tip.rolls' } });
    // half of 170 mm over the height, against the grip
    expect(tip.value).toBeCloseTo((85 - Math.abs(weight(tall).cgMm[1])) / weight(tall).cgMm[2], 9);
    const wider = tip.remedies.find(exchanging('trackFrontMm'))!;
    expect(check(applyPatch(tall, wider.patch), 'chassis.tip').margin!).toBeGreaterThan(tip.margin!);
    expect(tip.remedies.some(exchanging('bodies'))).toBe(true);
  });

  it('find weight to one side, and where to put it', () => {
    const lopsided = applyPatch(placed, moved(placed, 'payload', { xMm: -140, yMm: 60, zMm: 80 }));
    const side = check(lopsided, 'chassis.side');
    expect(side.state).not.toBe('clear');
    expect(side.remedies.length).toBeGreaterThan(0);
    expect(check(applyPatch(lopsided, side.remedies[0]!.patch), 'chassis.side')).toMatchObject({
      state: 'clear',
      value: expect.closeTo(0.5, 2),
    });
  });

  it('hold the lift of the front against the launch', () => {
    const lift = check(placed, 'chassis.lift');
    const [x, , z] = weight(placed).cgMm;
    expect(
      [(9.81 * (280 + x)) / z, (9.81 * -x) / z].some((lifts) => Math.abs(lifts - lift.value!) < 1e-9),
    ).toBe(true);
  });
});

describe('what-ifs', () => {
  it('move weight as far as they say, each on its own', () => {
    const tried = chassisWhatIfs(placed, car.brief.surfaces[0]!);
    const [forward, back] = ['pack-forward', 'pack-back'].map(
      (id) => tried.find((one) => one.id === id)!.standing.weight.cgMm[0],
    );
    expect(forward! - back!).toBeCloseTo((40 * car.power.battery!.massG) / 1900, 9);
    expect(tried.find(({ id }) => id === 'wider')!.standing.stability.staticStabilityFactor).toBeGreaterThan(
      tried.find(({ id }) => id === 'pack-back')!.standing.stability.staticStabilityFactor,
    );
  });

  it('start from the car as it is, by the scale’s figures too: what one way betters, the other worsens', () => {
    const tried = chassisWhatIfs(car, car.brief.surfaces[0]!);
    const after = (id: string) => weight(applyPatch(car, tried.find((one) => one.id === id)!.patch)).cgMm;
    // 1.9 kg on 280 mm, half of it in front, 60 mm high: the pack takes its share of 20 mm along, the controller of 10 mm down
    const [pack, controller] = [car.power.battery!.massG / 1900, car.power.controller!.massG / 1900];
    expect(after('pack-forward')[0]).toBeCloseTo(-140 + 20 * pack, 3);
    expect(after('pack-back')[0]).toBeCloseTo(-140 - 20 * pack, 3);
    expect(after('controller-lower')[2]).toBeCloseTo(60 - 10 * controller, 3);
    const lifts = (id: string) => tried.find((one) => one.id === id)!.standing.stability.frontLiftsAtMps2;
    // g · distance ahead of the rear axle over the height
    expect(lifts('pack-forward')).toBeCloseTo((9.81 * (140 + 20 * pack)) / 60, 3);
    expect(lifts('pack-back')).toBeCloseTo((9.81 * (140 - 20 * pack)) / 60, 3);
  });
});

describe('air', () => {
  it('outruns grip where both are equal, and not at all with downforce enough', () => {
    const input = runInputOf(car, car.brief.surfaces[0]!);
    if (!input.ok) throw new Error();
    const { outrunMps } = airOf(input.value);
    const plant = createPlant(input.value);
    expect(tractionN(plant, outrunMps!)).toBeCloseTo(resistanceN(plant, outrunMps!), 6);
    expect(
      airOf({ ...input.value, car: { ...input.value.car, claFrontM2: 0.3, claRearM2: 0.3 } }).outrunMps,
    ).toBeUndefined();
  });
});
