import type { BuildDocument } from '../../car/document/document';
import { applyPatch } from '../../base/patch';
import type { FailureRecord, RevisionRecord, RunRecord } from '../../car/records/records';
import { printCoverage } from '../../fixtures/coverage';
import { randomFrom } from '../../base/numeric/random';
import { hoursToBelieve, lifeEstimate } from '../../physics/statistics/life';
import { car } from '../../fixtures/car';
import { liesMark } from '../../worked/print/lies';
import { estimateOfPart } from '../../worked/print/printed';
import { TYPICAL_MATERIALS } from '../../car/material/typicalMaterials';
import { evaluateStates } from '../../verdict/evaluate';
import type { BuildOnRecord } from '../../verdict/engine/onRecord';
import { exchanging } from '../../fixtures/remedies';
import { CHECKS, FAMILIES } from '../../verdict/registry';
import { costOf } from './cost';
import { nextChanges } from './nextChanges';
import { BLOWS_TO_BELIEVE, pooledSpread, proofOf, trialOf } from './trial';
import { failuresBehind, weightOf } from './weight';
import { whereFilledIn } from './whereFilledIn';

const short: BuildDocument = applyPatch(car, [{ path: ['drive', 'stages', 's', 'pinionTeeth'], value: 9 }]);
const revision = (document: BuildDocument, id = 'a', parentId?: string): RevisionRecord => ({
  id,
  buildId: 'b',
  letter: id.toUpperCase(),
  document,
  version: 1,
  createdAt: '',
  ...(parentId ? { parentId } : {}),
});
const record = (document: BuildDocument, more: Partial<BuildOnRecord> = {}): BuildOnRecord => ({
  document,
  revisionId: 'a',
  revisions: [revision(document)],
  runs: [],
  failures: [],
  prints: [],
  copies: [],
  ...more,
});
const failure = (more: Partial<FailureRecord> = {}): FailureRecord => ({
  id: 'f',
  revisionId: 'a',
  mode: 'slow',
  partName: 'Car',
  occurredAt: '2026-05-01T10:00:00.000Z',
  ...more,
});
const explained = (cause: string) =>
  failure({ ledger: { verdict: { cause, at: '2026-05-01T11:00:00.000Z' } } });
/** Times over 10 m, so that each speed is 10 over it. */
const timed = (id: string, times: number[]): RunRecord => ({
  id,
  revisionId: 'a',
  kind: 'timedDistance',
  attempts: times.map((timeS, at) => ({ id: `${id}${at}`, timeS })),
  conditions: { surfaceId: 'asphalt', surfaceName: 'Asphalt', distanceM: 10 },
  ranAt: '2026-05-01T10:00:00.000Z',
  document: short,
});

describe('the next change', () => {
  const list = nextChanges(record(short));
  const pinion = list.steps.find(({ remedy }) => remedy && exchanging('pinionTeeth')(remedy))!;

  it('offers the longer gear to a car geared too short, and says what it does by the checks of the changed build', () => {
    const after = evaluateStates(applyPatch(short, pinion.patch!)).find(({ id }) => id === 'drive.speed')!;
    expect(pinion.figures.find(({ id }) => id === 'drive.speed')!.after).toBe(after.value);
    expect(pinion.betters.map(({ id }) => id)).toContain('drive.speed');
    expect(pinion.trial).toMatchObject({ run: 'timedDistance', expected: { after: after.value } });
  });

  it('puts first what takes most off in an hour, and nothing that takes nothing off', () => {
    const worth = list.steps.map(({ relief, hours }) => relief / hours);
    expect(worth).toEqual([...worth].sort((a, b) => b - a));
    for (const { relief } of list.steps) expect(relief).toBeGreaterThan(0);
  });

  it('weighs a check again for each failure that it explains, until a fix in its line has held', () => {
    const worse = nextChanges(record(short, { failures: [explained('ratioTooShort')] })).steps.find(
      ({ id }) => id === pinion.id,
    )!;
    expect(worse.relief).toBeGreaterThan(1.5 * pinion.relief);
    expect(worse.why).toEqual([{ code: 'step.brokeBefore', facts: { parts: ['Car'] } }]);
    const fixed = { ...explained('ratioTooShort'), fix: 'longer', fixRevisionId: 'b' };
    const after = nextChanges(
      record(short, {
        revisionId: 'b',
        revisions: [revision(short), revision(short, 'b', 'a')],
        failures: [fixed],
      }),
    ).steps.find(({ id }) => id === pinion.id)!;
    expect(after.relief).toBeCloseTo(pinion.relief, 12);
  });

  it('takes a fix for lost where the present revision does not come from the one that carries it', () => {
    const fixed = { ...explained('ratioTooShort'), fix: 'longer', fixRevisionId: 'b' };
    const branched = record(short, {
      revisionId: 'c',
      revisions: [revision(short), revision(short, 'b', 'a'), revision(short, 'c', 'a')],
      failures: [fixed],
    });
    const steps = nextChanges(branched).steps;
    expect(steps.find(({ id }) => id === 'again:f')).toMatchObject({
      kind: 'find',
      why: [{ facts: { held: { lost: { in: 'C', from: 'B' } } } }],
    });
  });

  it('looks at an earlier revision as it stood: what came after it does not bear on it, and its failures are still coming', () => {
    const mended = { ...explained('ratioTooShort'), fix: 'longer', fixRevisionId: 'b' };
    const later = failure({ id: 'later', revisionId: 'b', mode: 'overheat' });
    const whole = record(short, {
      revisions: [revision(short), revision(car, 'b', 'a')],
      failures: [mended, later],
    });
    const seen = nextChanges(whole).steps;
    expect(seen.map(({ id }) => id)).not.toContain('find:later');
    // nor is it driven or printed any more
    expect(seen.filter(({ id }) => /^(owed|print|prove|worn):/.test(id))).toEqual([]);
    expect(seen.find(({ id }) => id === pinion.id)!.relief).toBeGreaterThan(1.5 * pinion.relief);
  });

  it('sends to the page on which a figure is filled in', () => {
    expect(whereFilledIn('chassis.massG')).toBe('chassis');
    expect(whereFilledIn('chassis.cgHeightMm')).toBe('chassis');
    expect(whereFilledIn('brief.targetMps')).toBe('brief');
    expect(whereFilledIn('suspension.front.corner:moves')).toBe('suspension');
  });

  it('says to find out first where a failure is not explained', () => {
    const found = nextChanges(record(car, { failures: [failure({ mode: 'overheat', partName: 'Motor' })] }));
    expect(found.measureFirst).toBe(true);
    expect(found.steps[0]).toMatchObject({ id: 'find:f', kind: 'find', failureId: 'f' });
    expect(found.steps[0]!.why.at(-1)).toMatchObject({
      code: 'step.lookFirst',
      facts: { ask: expect.stringMatching(/\?$/) },
    });
  });

  it('says to measure first where the runs do not lie in their band', () => {
    const prediction = { timeS: 1, timeErrorS: 0.02, speedMps: 10, speedErrorMps: 0.2, massKg: 2 };
    const off = nextChanges(record(car, { runs: [{ ...timed('r', [1.5, 1.51, 1.49]), prediction }] }));
    expect(off.steps.map(({ id }) => id)).toContain('measure:band');
    const inside = nextChanges(record(car, { runs: [{ ...timed('r', [1.01, 1, 0.99]), prediction }] }));
    expect(inside.steps.map(({ id }) => id)).not.toContain('measure:band');
  });

  it('says to work the runs back where the wish is missed inside the band', () => {
    // 10 m in 1.28 s are 7.8 m/s against a wish of 8, predicted 7.95 ± 0.2
    const prediction = { timeS: 1.258, timeErrorS: 0.03, speedMps: 7.95, speedErrorMps: 0.2, massKg: 2 };
    const run = { ...timed('r', [1.28, 1.281, 1.279, 1.28, 1.2805]), prediction };
    const exact = {
      ...run,
      attempts: run.attempts.map(({ id, timeS }) => ({
        id,
        frames: Math.round(timeS! * 10_000),
        captureFps: 10_000,
      })),
      conditions: { ...run.conditions, distanceErrorM: 0.001 },
    };
    // one run may have had a bad day; three alike had none
    const days = ['r', 's', 't'].map((id) => ({ ...exact, id }));
    const alone = nextChanges(record(car, { runs: [exact] })).steps.map(({ id }) => id);
    expect(alone).toContain('measure:goal');
    const ids = nextChanges(record(car, { runs: days })).steps.map(({ id }) => id);
    expect(ids).toContain('measure:missed');
    expect(ids).not.toContain('measure:band');
  });

  it('asks an unfinished build for the figures that most checks wait for', () => {
    const { steps } = nextChanges(record(applyPatch(car, [{ path: ['drive', 'motor'], value: undefined }])));
    expect(steps[0]).toMatchObject({
      kind: 'measure',
      title: { code: 'step.fillIn', facts: { need: 'drive.motor' } },
    });
  });
});

describe('what weighs', () => {
  it('a check by its state, how far it is over and the failures behind it', () => {
    expect(weightOf({ id: 'gears.tooth', state: 'over', margin: 0.75 }, [])).toBe(1.25);
    expect(weightOf({ id: 'gears.tooth', state: 'over', margin: 0.75 }, [explained('faceTooNarrow')])).toBe(
      2.5,
    );
    expect(weightOf({ id: 'gears.tooth', state: 'clear', margin: 3 }, [explained('faceTooNarrow')])).toBe(0);
  });

  it('of a part only its own failures', () => {
    const split = { ...explained('layersAcrossLoad'), partId: 'carrier' };
    expect(failuresBehind({ id: 'parts.carrier' }, [split])).toHaveLength(1);
    expect(failuresBehind({ id: 'parts.arm' }, [split])).toHaveLength(0);
    expect(failuresBehind({ id: 'power.load:servo' }, [explained('servoVoltsLow')])).toHaveLength(1);
  });
});

describe('how many runs show it', () => {
  it('eleven blows: 0.8 to the 11th is 0.086, to the 10th 0.107', () => expect(BLOWS_TO_BELIEVE).toBe(11));

  it('of a standing start is the standing start, and no rule names a check that does not exist', () => {
    const checks = evaluateStates(
      applyPatch(car, [
        { path: ['parts', 'items', 'arm'], value: { id: 'arm', name: 'Arm', kind: 'arm' } },
        { path: ['suspension', 'aids'], value: { yaw: { gain: 0.05 } } },
      ]),
    );
    for (const id of ['drive.time', 'drive.moves'])
      expect(
        trialOf(
          checks.find((one) => one.id === id)!,
          {},
          [],
        ).run,
      ).toBe('launch');
    const time = checks.find(({ id }) => id === 'drive.time')!;
    expect(trialOf(time, { value: time.value! - 0.3 }, [])).toMatchObject({
      quantity: 'timeS',
      expected: { before: time.value!, after: time.value! - 0.3 },
    });
    for (const { id, provenBy } of CHECKS) expect(proofOf(id)).toBe(provenBy);
    expect(proofOf('parts.arm')).toBe(FAMILIES.find(({ family }) => family === 'parts')!.provenBy);
  });

  it('as many hours as the test of two rates needs: table values of F at 90 %, and the bound of a known mean', () => {
    // F(2, 2) = 9.00, F(2, 4) = 4.32, F(2, 20) = 2.59
    expect(hoursToBelieve(3)).toBeCloseTo(27, 6);
    expect(hoursToBelieve(6, 2) / 3).toBeCloseTo(4.32, 2);
    expect(hoursToBelieve(30, 10) / 3).toBeCloseTo(2.59, 2);
    const many = hoursToBelieve(3e6, 1e6);
    expect(lifeEstimate({ exposureHours: many, failures: 0 }).lowerHours).toBeCloseTo(3, 4);
  });

  it.each([1, 2, 4])(
    'believes a fix that changes nothing in one case of ten, after %s lives: seeded, within three standard errors',
    (lives) => {
      const random = randomFrom(3117);
      const life = () => -Math.log(1 - random());
      const tries = 20_000;
      let believed = 0;
      for (let k = 0; k < tries; k++) {
        const lived = Array.from({ length: lives }, life).reduce((a, b) => a + b);
        if (life() > hoursToBelieve(lived, lives)) believed++;
      }
      printCoverage(`a fix that changes nothing, after ${lives} lives: believed in ${believed / tries}`);
      expect(Math.abs(believed / tries - 0.1)).toBeLessThan(3 * Math.sqrt((0.1 * 0.9) / tries));
    },
  );

  it('pools the spread of attempts within runs, by hand', () => {
    // 10, 5 m/s and 4, 2 m/s: sample variances 12.5 and 2, a degree of freedom each; the gap between the runs does not count
    expect(pooledSpread([timed('a', [1, 2]), timed('b', [2.5, 5]), timed('c', [1])])).toBeCloseTo(
      Math.sqrt(7.25),
      12,
    );
    expect(pooledSpread([timed('c', [1])])).toBeUndefined();
  });

  it('asks for more runs the smaller the difference, by the square', () => {
    const speed = evaluateStates(short).find(({ id }) => id === 'drive.speed')!;
    const runs = [timed('a', [1, 1.1, 0.9, 1.05, 0.95])];
    const [small, large] = [0.2, 0.4].map(
      (more) => trialOf(speed, { value: speed.value! + more }, runs).runs!,
    ) as [number, number];
    expect(small / large).toBeGreaterThan(3.5);
    expect(small / large).toBeLessThan(4.1);
  });
});

describe('what a change costs', () => {
  const mesh = { hash: 'h', name: 'arm.stl', unitMm: 1, up: [0, 0, 1] as const };
  const arm = {
    id: 'arm',
    name: 'Arm',
    kind: 'arm' as const,
    material: TYPICAL_MATERIALS.nylon,
    shape: { as: 'beam' as const, heightMm: 5, widthMm: 10 },
    mesh: {
      ...mesh,
      lies: {
        of: '',
        volumeMm3: 8000,
        areaMm2: 4000,
        horizontalAreaMm2: 2000,
        sizeMm: [80, 10, 10] as const,
      },
    },
  };
  const printed = { ...arm, mesh: { ...arm.mesh, lies: { ...arm.mesh.lies, of: liesMark(arm.mesh) } } };
  const document: BuildDocument = {
    ...car,
    parts: { items: [printed] },
    print: {
      printers: [
        {
          id: 'p',
          name: 'P',
          bedWidthMm: 200,
          bedDepthMm: 200,
          bedHeightMm: 200,
          speedMmps: 60,
          maxFlowMm3ps: 10,
        },
      ],
      list: [{ id: 'part.arm', quantity: 2 }],
    },
  };

  it('printing each copy, thicker by a fifth a fifth longer', () => {
    const one = estimateOfPart(document, document.parts.items[0]!, 'final');
    if (!one.ok) throw new Error(one.missing.join());
    const cost = costOf(document, [{ path: ['parts', 'items', 'arm', 'shape', 'heightMm'], value: 6 }], 1);
    expect(cost.printS).toBeCloseTo(2 * 1.2 * one.value.timeS, 9);
    expect(cost.money).toBeCloseTo(2 * 1.2 * one.value.cost!, 9);
    expect(cost.benchMinutes).toBe(15);
  });

  it('no printing for a metal part and for what a shop sells; its price where the list knows it', () => {
    const metal = {
      name: 'Metal',
      densityGPerCm3: 2.8,
      modulusMpa: 70_000,
      inPlaneStrengthMpa: 250,
      softeningC: 150,
    };
    expect(costOf(document, [{ path: ['parts', 'items', 'arm', 'material'], value: metal }], 3)).toEqual({
      benchMinutes: 180,
      priceUnknown: true,
    });
    const priced = applyPatch(document, [{ path: ['print', 'list', 'motor', 'price'], value: 30 }]);
    expect(costOf(priced, [{ path: ['drive', 'motor', 'kv'], value: 2000 }], 2)).toEqual({
      benchMinutes: 60,
      money: 30,
    });
  });
});
