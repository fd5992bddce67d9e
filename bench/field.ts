import { impactStaircase } from '@/core/physics/bench/staircase';
import { readLog } from '@/core/physics/logs/logRead';
import { motorOfLog } from '@/core/worked/logs/motorOfLog';
import { seenLog } from '@/core/worked/logs/seenLog';
import { calibrateRuns } from '@/core/worked/field/calibrate';
import { nominalRun } from '@/core/worked/field/predictRun';
import type { RunRecord, TimedConditions } from '@/core/car/records/records';
import { gpxSpeed } from '@/core/physics/timing/track/gpxSpeed';
import { printPlates } from '@/core/physics/printing/plates';
import type { BuildDocument } from '@/core/car/document/document';

const [POINTS, RUNS, PARTS] = [100_000, 20, 60];

/** The second call, in milliseconds. */
export const timed = (name: string, run: () => void) => {
  run();
  const start = performance.now();
  run();
  console.log(`${name}: ${(performance.now() - start).toFixed(0)} ms`);
};

const ROWS = 200_000;

const logText = (): string =>
  [
    'Time [ms];Voltage [V];Motor current [A];RPM [rpm];Duty [%];Speed [km/h]',
    ...Array.from({ length: ROWS }, (_, k) => {
      const amps = 8 + 6 * Math.sin(k / 900);
      return `${k * 20};${(8 - 0.01 * amps).toFixed(2)};${amps.toFixed(2)};${Math.round(14_000 - 90 * amps)};95.0;${(28 + Math.sin(k / 500)).toFixed(2)}`;
    }),
  ].join('\n');

const blows = (count: number) =>
  Array.from({ length: count }, (_, k) => ({ energyJ: 2 + ((k * 7) % 11) / 10, broke: (k * 5) % 11 > 5 }));

/** Figures of the field and the print page: a long track, a calibration on many runs, a full queue of parts. */
export function benchField(document: BuildDocument): void {
  const track = `<gpx><trk><trkseg>${Array.from({ length: POINTS }, (_, at) => `<trkpt lat="${(31 + at * 1e-6).toFixed(7)}" lon="-41"><time>${new Date(Date.UTC(2026, 4, 1) + 100 * at).toISOString()}</time></trkpt>`).join('')}</trkseg></trk></gpx>`;
  timed(`track of ${POINTS} points`, () => gpxSpeed({ gpx: track }));
  const surface = document.brief.surfaces[0]!;
  const runs = Array.from({ length: RUNS }, (_, at): RunRecord => {
    const conditions: TimedConditions = {
      surfaceId: surface.id,
      surfaceName: surface.name,
      distanceM: 5 + at,
      runUpM: at % 2 === 0 ? 30 : 5,
      packVBefore: 8.3 - 0.06 * at,
      extraMassG: 100 * (at % 5),
    };
    const kind = at % 3 === 0 ? 'launch' : 'timedDistance';
    const timeS = nominalRun(document, kind, conditions)!.timeS * (1 + 0.03 * Math.sin(7 * at));
    return {
      id: `${at}`,
      revisionId: 'r',
      kind,
      ranAt: '',
      document,
      conditions,
      attempts: [{ id: 'a', frames: Math.round(timeS * 240), captureFps: 240 }],
    };
  });
  timed(`calibration on ${RUNS} runs`, () => calibrateRuns(runs));
  const log = logText();
  timed(`log of ${ROWS} rows, read and thinned`, () => seenLog(readLog({ text: log }, '')));
  const read = readLog({ text: log }, '');
  timed('motor by that log', () => motorOfLog(read, document, { freeSpin: [] }));
  timed('staircase of 60 blows', () => impactStaircase({ variants: [{ id: 'a', blows: blows(60) }] }));
  const parts = Array.from({ length: PARTS }, (_, at) => ({
    id: `p${at}`,
    sizeMm: [20 + ((at * 37) % 90), 15 + ((at * 53) % 70), 10] as const,
  }));
  timed(`${PARTS} parts on beds`, () => printPlates({ bedMm: [220, 220], heightMm: 250, parts }));
}
