import { exchangedBy } from '../fixtures/remedies';
import { applyPatch } from '../base/patch';
import { type BuildDocument, emptyDocument } from '../car/document/document';
import { car, surface } from '../fixtures/car';
import type { Check } from './engine/check';
import { evaluateBuild, evaluateMostUrgent } from './evaluate';
import { byUrgency, DEFAULT_THRESHOLDS, statesOn } from './states';
import { stripeOf } from './stripe';
import { garageCar, garageCarOrAilment } from '../advice/garage';
const check = (document: BuildDocument, id: string): Check =>
  evaluateBuild(document).find((one) => one.id === id)!;
const change = (path: string[], value: unknown) => applyPatch(car, [{ path, value }]);
// held at 0.6 of the wished 8 m/s
const steadily = change(['drive', 'heat'], { duty: 'cruise' });

describe('an overview of a build', () => {
  it('has the states of all checks, and the remedies of the most urgent alone', () => {
    const bad = change(['drive', 'stages', 's', 'pinionTeeth'], 9);
    const [whole, overview] = [evaluateBuild(bad), evaluateMostUrgent(bad)];
    expect(overview.map(({ id, state, value }) => ({ id, state, value }))).toEqual(
      whole.map(({ id, state, value }) => ({ id, state, value })),
    );
    const [urgent] = whole.filter(({ state }) => state !== 'unknown').sort(byUrgency) as [Check];
    expect(overview.filter(({ remedies }) => remedies.length > 0).map(({ id }) => id)).toEqual([urgent.id]);
    expect(overview.find(({ id }) => id === urgent.id)!.remedies).toEqual(urgent.remedies);
  });
});

describe('checks, by hand', () => {
  it('brief.mass counts the payload: 2000 / 1900', () =>
    expect(check(car, 'brief.mass')).toMatchObject({
      value: 1900,
      limit: 2000,
      state: 'clear',
      margin: 2000 / 1900,
    }));

  it('brief.charge: four fifths of 38 Wh over the mean power and half an ampere beside, while the drive is not chosen', () => {
    // 4.8 m/s: drag 0.6·0.03·23.04 = 0.41472 N, rolling 0.02·1.9·9.81 = 0.37278 N; 0.7875 N · 4.8 m/s / (0.8 · 0.75) = 6.3 W
    const found = check(change(['power', 'controller'], undefined), 'brief.charge');
    expect(found.value).toBeCloseTo((60 * 0.8 * 38) / ((0.7875 * 4.8) / 0.6 + 0.5 * 7.6), 1);
  });

  it('brief.charge: four fifths of the charge over what a held speed and everything else draw', () => {
    // 0.7875 N of road and 0.03·18.639 N of driveline · 42 mm/(10 · 0.8) = 7.07 mNm · 314.16 rad/s per V + 2 A = 4.221 A;
    // E = 4.8·10/0.042/314.16 V and 20 % · 0.7875/17.71 of slip; the diodes (1 − 0.483) · 0.7 V; half an ampere beside
    const volts = 2 * 3.916;
    const watts =
      4.221 * (3.638 * (1 + (0.2 * 0.7875) / 17.71) + 4.221 * 0.024) + 0.517 * 4.221 * 0.7 + 0.5 * volts;
    const found = check(steadily, 'brief.charge');
    expect(Math.abs(found.value! / ((60 * 0.8 * 5 * volts) / watts) - 1)).toBeLessThan(0.01);
    // and laps on the same pack end far sooner
    expect(check(car, 'brief.charge').value!).toBeLessThan(0.75 * found.value!);
  });

  it('drive.moves: the lower of motor and tyres against rolling and grade', () => {
    const found = check(change(['brief', 'gradePct'], 10), 'drive.moves');
    const angle = Math.atan(0.1);
    expect(found.limit).toBeCloseTo(1.9 * 9.81 * (0.02 * Math.cos(angle) + Math.sin(angle)), 9);
    expect(found.value).toBeCloseTo(0.95 * 1.9 * 9.81 * Math.cos(angle), 9);
  });

  it('drive.grip at the wished speed', () =>
    expect(check(car, 'drive.grip').margin).toBeCloseTo(
      (0.95 * 18.639) / (0.6 * 0.03 * 64 + 0.02 * 18.639),
      6,
    ));

  it('power.controller: the root mean square of the duty, at a steady cruise the current that holds it', () => {
    // at 0.6 of 8 m/s: ½ρ·CdA·v² and rolling on 18.639 N, through the motor constant
    const torque = ((0.6 * 0.03 * 4.8 ** 2 + (0.02 + 0.03) * 18.639) * 0.042) / (10 * 0.8);
    const held = (torque * 3000 * 2 * Math.PI) / 60 + 2;
    expect(check(steadily, 'power.controller').value!).toBeCloseTo(held, 3);
    expect(check(car, 'power.controller').value!).toBeGreaterThan(2 * held);
  });

  it('power.volts takes the weaker of motor and controller, and is never tight', () => {
    expect(check(car, 'power.volts')).toMatchObject({ value: 8.4, limit: 8.5, state: 'clear' });
    expect(check(change(['power', 'battery', 'cells'], 3), 'power.volts')).toMatchObject({
      state: 'over',
      remedies: [{ state: 'clear', exchanges: [{ from: 3, to: 2 }, { to: 176.7 }, { to: 1511.7 }] }],
    });
  });

  it('power.volts lets three cells of 4.2 V on 12.6 V', () => {
    const three = applyPatch(car, [
      { path: ['power', 'battery', 'cells'], value: 3 },
      { path: ['drive', 'motor', 'maxV'], value: 12.6 },
    ]);
    expect(check(three, 'power.volts')).toMatchObject({ value: 12.6, limit: 12.6, state: 'clear' });
  });

  it('power.pack and power.sag see the same peak through the pack', () => {
    const pack = check(car, 'power.pack');
    expect(pack.limit).toBe(200);
    const sagging = check(change(['power', 'battery', 'cellResistanceMilliOhm'], 40), 'power.sag');
    expect(sagging.value!).toBeLessThan(check(car, 'power.sag').value!);
    expect(check(car, 'power.sag').value!).toBeLessThan(3.77);
  });

  it('drive.ratio: short, by the no-load speed alone, missed at 9 teeth and met at 15', () => {
    // 8.4 V · 3000 rpm/V on 42 mm: 11.08 m/s at 15 teeth, 6.65 m/s at 9, against a wish of 8
    expect(check(car, 'drive.ratio')).toMatchObject({
      state: 'clear',
      finding: { facts: { by: 'meets' } },
    });
    const short = check(change(['drive', 'stages', 's', 'pinionTeeth'], 9), 'drive.ratio');
    expect(short).toMatchObject({ state: 'over', finding: { facts: { by: 'missed', way: 'longer' } } });
    expect(short.remedies.map(exchangedBy).sort()).toEqual([
      [9, 11],
      [9, 13],
      [9, 15],
    ]);
  });

  it('drive.ratio: offers no way against the wish, nor a gear for what the tyres cannot do', () => {
    // 13.3 m/s of no-load speed at 18 teeth against a wish of 8: no longer gear, however fast the car would be with one
    const fast = check(change(['drive', 'stages', 's', 'pinionTeeth'], 18), 'drive.ratio');
    expect(fast).toMatchObject({ state: 'clear', remedies: [] });
    // 11 teeth give 8.13 m/s without load: a tenth shorter, 7.39, cannot meet the wish
    expect(check(change(['drive', 'stages', 's', 'pinionTeeth'], 11), 'drive.ratio')).toMatchObject({
      finding: { facts: { by: 'nearEnd', way: 'longer' } },
    });
    const slippery = applyPatch(car, [{ path: ['brief', 'surfaces', 'asphalt', 'mu'], value: 0.01 }]);
    expect(check(slippery, 'drive.ratio')).toMatchObject({
      state: 'clear',
      finding: { facts: { by: 'tyresAtRest' } },
      remedies: [],
    });
  });

  it.each([
    // winding that leaves the motor at a share of its no-load speed: (1 − share)·8.4 V over the current that holds it, less 7.2 mΩ
    [0.7, 565.4],
    [0.52, 1112.7],
    [0.45, 1370.7],
  ])(
    'drive.ratio: no verdict on the share alone, %d of the no-load speed with %d mΩ',
    (share, resistanceMilliOhm) => {
      // held against a wish that all of them meet, and cooled until none is hot
      const found = check(
        applyPatch(car, [
          { path: ['drive', 'motor', 'resistanceMilliOhm'], value: resistanceMilliOhm },
          { path: ['brief', 'targetMps'], value: 3 },
          {
            path: ['drive', 'heat'],
            value: { duty: 'cruise', cruiseMps: 1, ambientC: -40, housing: 'heatsink' },
          },
        ]),
        'drive.ratio',
      );
      expect(found.value).toBeCloseTo(share, 3);
      expect(found).toMatchObject({ state: 'clear', finding: { facts: { by: 'meets' } } });
    },
  );

  it('drive.ratio: over and long where the motor stalls', () => {
    const stalled = applyPatch(car, [
      { path: ['drive', 'stages', 's', 'wheelTeeth'], value: 15 },
      { path: ['drive', 'motor', 'resistanceMilliOhm'], value: 5000 },
    ]);
    expect(check(stalled, 'drive.ratio')).toMatchObject({ state: 'over', value: 0 });
    expect(check(stalled, 'drive.moves').state).toBe('over');
  });
});

describe('the engine', () => {
  it('names what is missing and works nothing out of an empty build', () => {
    const checks = evaluateBuild(emptyDocument());
    expect(new Set(checks.map(({ state }) => state))).toEqual(new Set(['unknown']));
    expect(
      check(applyPatch(car, [{ path: ['drive', 'tyre'], value: undefined }]), 'drive.speed').missing,
    ).toEqual(['drive.tyre']);
  });

  it('stands for the worst surface and names it', () => {
    const both = { ...car, brief: { ...car.brief, surfaces: [surface('asphalt'), surface('sand')] } };
    expect(check(both, 'drive.grip').surface).toBe('Sand');
    expect(check(both, 'brief.mass').surface).toBeUndefined();
    expect(statesOn(both, both.brief.surfaces[0]).find(({ id }) => id === 'drive.grip')!.surface).toBe(
      'Asphalt, dry',
    );
  });

  it('offers at most three remedies, each of which helps when it is applied', () => {
    const slow = change(['drive', 'stages', 's', 'pinionTeeth'], 9);
    const { remedies, margin } = check(slow, 'drive.speed');
    expect(remedies.length).toBeGreaterThan(0);
    expect(remedies.length).toBeLessThanOrEqual(3);
    for (const { patch, margin: promised } of remedies) {
      const after = check(applyPatch(slow, patch), 'drive.speed');
      expect(after.margin!).toBeGreaterThan(margin!);
      expect(promised).toBe(after.margin);
    }
  });

  it('takes the margins of the workshop', () => {
    expect(DEFAULT_THRESHOLDS['brief.mass']).toBe(1.05);
    expect(evaluateBuild(car, { 'brief.mass': 1.2 }).find(({ id }) => id === 'brief.mass')!.state).toBe(
      'tight',
    );
  });

  it('orders over, tight, unknown, clear, and within a state the smaller margin', () => {
    const one = (state: Check['state'], margin: number) => ({ ...check(car, 'brief.mass'), state, margin });
    const sorted = [
      one('clear', 2),
      one('unknown', 1),
      one('tight', 1.1),
      one('over', 0.9),
      one('over', 0.5),
      one('tight', 1.02),
    ].sort(byUrgency);
    expect(sorted.map(({ state, margin }) => `${state} ${margin}`)).toEqual([
      'over 0.5',
      'over 0.9',
      'tight 1.02',
      'tight 1.1',
      'unknown 1',
      'clear 2',
    ]);
  });

  it('gives the stripe nine states, with what the empty ones need', () => {
    const states = stripeOf(evaluateBuild(car));
    expect(states).toHaveLength(9);
    expect(states.find(({ segment }) => segment === 'suspension')).toMatchObject({
      state: 'unknown',
      needs: expect.arrayContaining(['suspension.front.corner', 'power.loads:steeringServo']),
    });
    expect(states.find(({ segment }) => segment === 'parts')).toMatchObject({
      state: 'unknown',
      needs: ['parts.items:loads'],
    });
    expect(states.find(({ segment }) => segment === 'power')!.check).toBeDefined();
  });

  it('tells the garage what ails a build that cannot be worked out, and which it is', () => {
    const broken = { ...car, brief: undefined } as unknown as BuildDocument;
    const whole = {
      build: { id: 'b', name: 'B', createdAt: '' },
      revisions: [{ id: 'r', buildId: 'b', letter: 'C', document: broken, version: 1, createdAt: '' }],
      runs: [],
      failures: [],
      prints: [],
      copies: [],
    };
    expect(garageCarOrAilment(whole, {})).toMatchObject({
      id: 'b',
      name: 'B',
      revision: { letter: 'C' },
      ails: expect.stringContaining('surfaces'),
    });
  });

  it('tells the garage what to do next', () => {
    const tamed = change(['drive', 'currentLimitA'], 72);
    const revision = {
      id: 'r',
      buildId: 'b',
      letter: 'A',
      document: tamed,
      version: 1,
      createdAt: '2026-01-01T00:00:00.000Z',
    };
    const whole = {
      build: { id: 'b', name: 'B', createdAt: '' },
      revisions: [revision],
      runs: [],
      failures: [],
      prints: [],
      copies: [],
    };
    expect(garageCar(whole, {}).next).toEqual({
      step: { title: { code: 'step.driveOwed', facts: { kind: 'timedDistance' } } },
    });
    expect(
      garageCar({ ...whole, revisions: [{ ...revision, document: emptyDocument() }] }, {}).next,
    ).toMatchObject({ fillIn: expect.arrayContaining(['brief.surfaces']) });
    expect(
      garageCar(
        {
          ...whole,
          revisions: [
            {
              ...revision,
              document: applyPatch(tamed, [{ path: ['power', 'battery', 'cells'], value: 3 }]),
            },
          ],
        },
        {},
      ).next,
    ).toMatchObject({
      step: {
        check: { id: 'power.volts', state: 'over' },
        remedy: { exchanges: [{ from: 3, to: 2 }, {}, {}] },
      },
    });
  });
});
