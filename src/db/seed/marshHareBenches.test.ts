import { balanceOfRun } from '@/core/worked/bench/balanceOfRun';
import { clampedBlows } from '@/core/worked/bench/clampedBlows';
import { crashedParts } from '@/core/worked/bench/crash';
import { constructionsOf } from '@/core/worked/bench/constructions';
import { fitOfSeries } from '@/core/advice/learn/fitOfSeries';
import { isRevealed, seriesOf } from '@/core/advice/learn/series';
import { parse } from '@/core/base/schema/parse';
import { runSheetSchema } from '@/core/car/records/records.schema';
import { DEMO_CAR } from '@/core/physics/instruments/simulated';
import { readLog } from '@/core/physics/logs/logRead';
import { motorOfLog } from '@/core/worked/logs/motorOfLog';
import { seenLog } from '@/core/worked/logs/seenLog';
import { HIDDEN, marshHareBenches } from './marshHareBenches';
import { marshHareLog } from './marshHareLog';
import { trueTopSpeed } from './measuredRuns';
import { marshHareDocuments } from './marshHareRevisions';

const document = marshHareDocuments().D;
const runs = marshHareBenches(document).map((run) => ({ ...run, revisionId: 'd' }));
const of = (kind: string) => runs.filter((run) => run.kind === kind);

describe('the benches of the demo', () => {
  it('are sheets that the door takes', () => {
    for (const { revisionId: _, ...run } of runs) expect(() => parse(runSheetSchema, run)).not.toThrow();
  });

  it('tell the modulus that they hide within two of its errors, and rank the glued tyre first', () => {
    const found = constructionsOf(of('tyreSpin'), 2100);
    if (!found.ok) throw new Error(found.name);
    const [first, second] = found.constructions;
    expect(first!.tyre.name).toBe(document.drive.tyre!.name);
    expect(Math.abs(first!.fitted.modulusMpa! - HIDDEN.modulusMpa)).toBeLessThan(
      2 * first!.fitted.modulusErrorMpa!,
    );
    expect(first!.fitted).toMatchObject({ failures: 0, provenRpm: 9000, provenCount: 1 });
    // softer rubber than is typical grows more
    expect(first!.growth!.measuredPct / first!.growth!.predictedPct).toBeGreaterThan(1.15);
    // at 9000 rpm on the grown tyre: more than the rolling radius at rest would give
    expect(first!.provenMps!).toBeGreaterThan(((9000 * Math.PI) / 30) * 0.042);
    expect(second!.fitted.ways).toEqual({ lifted: 1, tore: 0, 'bond let go': 0 });
    expect(second!.fitted.rankRpm!).toBeLessThan(first!.fitted.rankRpm!);
  });

  it('tell where the wheel is heavy, and that it is well enough', () => {
    const told = balanceOfRun(of('balance')[0]!.report!.balance);
    if (!told?.ok) throw new Error('not told');
    expect(Math.abs(told.value.heavyAngleDeg - HIDDEN.heavyDeg)).toBeLessThan(6);
    expect(Math.abs(told.value.imbalanceGmm - HIDDEN.imbalanceGmm)).toBeLessThan(2 * told.value.errorGmm);
    expect(told.value.residualGmm! / HIDDEN.leftGmm).toBeCloseTo(1, 1);
  });

  it('tell the energies that break half inside their intervals, and that more walls are stronger', () => {
    const told = clampedBlows(document, document.brief.surfaces[0], of('staircase'));
    if (!told?.ok) throw new Error('not told');
    const [stock, walls] = told.result.variants;
    for (const [variant, truth] of [
      [stock!, HIDDEN.bumperJ],
      [walls!, HIDDEN.thickerJ],
    ] as const) {
      expect(variant.crossed).toBe(true);
      expect(truth).toBeGreaterThan(variant.energy50LowJ!);
      expect(truth).toBeLessThan(variant.energy50HighJ!);
    }
    expect(told.result.comparisons[0]!.verdict).toBe('stronger');
    // the car weighs what it weighs: E = m·g·h
    const massKg = (document.chassis.massG! + document.brief.payloadG!) / 1000;
    expect(stock!.equivalentHeightMm).toBeCloseTo((1000 * stock!.energy50J!) / (massKg * 9.81), 6);
  });

  it('tell the gain that is best, inside its interval, and the next worth trying', () => {
    const [series] = of('series');
    const fit = fitOfSeries(seriesOf(series as never))!;
    expect(fit.verdict).toBe('best inside');
    expect(HIDDEN.bestGain).toBeGreaterThan(fit.bestInterval![0]);
    expect(HIDDEN.bestGain).toBeLessThan(fit.bestInterval![1]);
    expect(Math.abs(fit.bestMean! - HIDDEN.bestMps)).toBeLessThan(0.15);
    expect(fit.nextX).toBeGreaterThanOrEqual(20);
    expect(isRevealed(series!)).toBe(true);
    expect(isRevealed({ ...series!, attempts: series!.attempts.slice(1) })).toBe(false);
  });
});

describe('the log of the demo', () => {
  const { text, log } = marshHareLog(document);
  const read = readLog({ text }, '');

  it('is read with its separator, its decimal mark and every column', () => {
    const { summary } = read;
    expect(summary).toMatchObject({ separator: ';', decimal: ',', rows: log.rows, gaps: 0, badCells: 0 });
    expect(Object.keys(summary.roles).sort()).toEqual(
      ['motorCurrent', 'motorTemperature', 'rpm', 'speed', 'throttle', 'time', 'voltage'].sort(),
    );
    expect(summary.rateHz).toBeCloseTo(50, 0);
    const seen = seenLog(read);
    // it stands for 0.8 s first
    expect(seen.launchS!).toBeGreaterThan(0.7);
    expect(seen.launchS!).toBeLessThan(1.1);
    // and again after the first straight and its coasting, before the second one begins
    expect(seen.standsS!).toBeGreaterThan(5);
    expect(seen.standsS!).toBeLessThan(9);
  });

  it('tells the motor that it hides, two per cent slower and six per cent more resistive than the build says', () => {
    const found = motorOfLog(read, document, { freeSpin: [] })!;
    const own = document.drive.motor!;
    const ohms = own.resistanceMilliOhm * 1.06 + document.power.controller!.resistanceMilliOhm!;
    expect(found.kvRpmPerV / (0.98 * own.kvRpmPerV)).toBeCloseTo(1, 2);
    expect(Math.abs(found.kvRpmPerV - 0.98 * own.kvRpmPerV)).toBeLessThan(
      3 * found.kvErrorRpmPerV + 0.002 * own.kvRpmPerV,
    );
    expect(found.resistanceMilliOhm / ohms).toBeCloseTo(1, 1);
    // 2.5 per cent more turns than the ground takes, on a tyre that grows by less than one
    expect(found.wheel!.slipPct!).toBeGreaterThan(1);
    expect(found.wheel!.slipPct!).toBeLessThan(3.5);
  });
});

describe('a crash of the demo', () => {
  const surface = document.brief.surfaces[0];
  const of = (speedMps: number, broke: readonly string[]) =>
    crashedParts(document, surface, speedMps, {
      side: 'nose',
      damaged: broke.map((partId) => ({ partId, name: partId, mode: 'crack', came: 'first' })),
    });
  const bumper = (parts: ReturnType<typeof of>) => parts.find(({ partId }) => partId === 'bumper')!;

  it('is held against the energy of its own speed: four times the force at twice of it', () => {
    const slow = bumper(of(4, [])).margin!;
    expect(bumper(of(8, [])).margin! / slow).toBeCloseTo(1 / 4, 6);
  });

  it('calls a break expected or surprising by the margin, and sends to look at what was loaded near its end', () => {
    const slow = bumper(of(1, []));
    // margin goes with the square of the speed
    const atOne = Math.sqrt(slow.margin!);
    expect(bumper(of(1.02 * atOne, ['bumper'])).standing).toBe('expected');
    expect(bumper(of(0.98 * atOne, ['bumper'])).standing).toBe('surprising');
    expect(bumper(of(0.98 * atOne, [])).standing).toBe('look');
    expect(bumper(of(0.5 * atOne, [])).standing).toBe('whole');
    // without a speed nothing was to be expected
    const damaged = [{ partId: 'bumper', name: 'b', mode: 'crack', came: 'first' }] as const;
    expect(bumper(crashedParts(document, surface, undefined, { damaged: [...damaged] })).standing).toBe(
      'damaged',
    );
    // hit from behind nothing is predicted of the bumper either
    expect(
      bumper(crashedParts(document, surface, 2 * atOne, { side: 'tail', damaged: [...damaged] })).standing,
    ).toBe('damaged');
  });
});

it('made-up instruments follow the car of the demo', () => {
  expect(DEMO_CAR.massG / document.chassis.massG!).toBeCloseTo(1, 1);
  expect(DEMO_CAR.speedMps / trueTopSpeed(document)).toBeCloseTo(1, 1);
});
