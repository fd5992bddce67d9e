import { normalFrom } from '@/core/base/numeric/random';
import { GRAVITY } from '@/core/base/constants';
import { applyPatch } from '@/core/base/patch';
import type { ChosenSurface } from '@/core/car/document/brief';
import type { BuildDocument } from '@/core/car/document/document';
import type { GripSheet } from '@/core/car/records/gripReport';
import type { RunRecord, RunSheet } from '@/core/car/records/records';
import { coastSpeeds } from '@/core/physics/air/coastModel';
import { weightOf } from '@/core/worked/chassis/weightOfBuild';
import { coastOf, rollingCar, takeDrag } from '@/core/worked/grip/coastOfRuns';
import { tyreName } from '@/core/car/tyres/tyres';
import { gripCarOf, gripTable, takeGrip } from '@/core/worked/grip/gripOfRuns';
import { predictedUndersteer } from '@/core/worked/grip/handlingOfRuns';
import { frictionOfCar } from '@/core/worked/motion/tyreOfRun';

/** Of the true car: grip over the typical figure along, across over along, and how the readings scatter. */
export const TRUE_GRIP = { share: 1, across: 0.93 };
/** What rolls with gears and motor, over the resistance of the ground, and the wind along the place, m/s. */
export const TRUE_COAST = { rolling: 1.25, windMps: 0.8 };
const [SCATTER, ROUND_N] = [0.03, 10];
/** Understeer of the true car beyond the predicted, degrees over m/s², its pull to a side and the slope of the place, m. */
export const TRUE_HANDLING = { moreDegPerMps2: 0.12, biasM: 0.24, siteM: 0.08 };
const [CIRCLE_M, STRAIGHT_M, STEER_SD_DEG, DRIFT_SD_M, OFF_CENTRE_DEG] = [2.5, 20, 0.15, 0.05, 0.4];
const DEG = 180 / Math.PI;
const [COAST_FROM_MPS, COAST_READINGS, COAST_STEP_S, COAST_SD_MPS] = [8.6, 50, 0.1, 0.03];

/** Friction of the true car on a surface, along. */
export const trueFriction = (document: BuildDocument, surface: ChosenSurface): number =>
  TRUE_GRIP.share *
  frictionOfCar(document.drive, { ...surface, lateralGripFactor: 1 }, document.chassis.frontLoadShare ?? 0.5);

function pulls(
  document: BuildDocument,
  surface: ChosenSurface,
  { id, count, seed, across = false }: { id: string; count: number; seed: number; across?: boolean },
): RunSheet {
  const car = gripCarOf(document);
  if (!car.ok) throw new Error(`the demo car cannot be pulled: ${car.missing.join(', ')}`);
  const mu = trueFriction(document, surface) * (across ? TRUE_GRIP.across : 1);
  const normal = normalFrom(seed);
  const grip: GripSheet = {
    method: 'pull',
    tyre: tyreName(document.drive.tyre!),
    pullHeightMm: 25,
    readings: Array.from({ length: count }, (_, k) => ({
      id: `${id}-${k + 1}`,
      value: Math.round(ROUND_N * mu * car.value.massKg * GRAVITY * (1 + SCATTER * normal())) / ROUND_N,
    })),
    ...(across ? { direction: 'lateral' } : {}),
  };
  return {
    id,
    kind: 'grip',
    attempts: [],
    conditions: { surfaceId: surface.id, surfaceName: surface.name, ambientC: 17 },
    report: { grip },
    note: across ? 'Across, hooked to the side of the plate' : 'Wheels held with tape, pulled level',
    ranAt: '2026-05-22T17:20:00.000Z',
    document,
  };
}

/** The car pulled over both grounds on a spring scale, wheels held. */
export function marshHareGrip(document: BuildDocument): RunSheet[] {
  const [grass, gravel] = document.brief.surfaces as [ChosenSurface, ChosenSurface];
  return [
    pulls(document, grass, { id: 'hare-grip-grass', count: 6, seed: 47 }),
    pulls(document, grass, { id: 'hare-grip-grass-across', count: 5, seed: 42, across: true }),
    pulls(document, gravel, { id: 'hare-grip-gravel', count: 6, seed: 43 }),
  ];
}

/** The car let roll on the car park beside the meadow, out and back, its speed logged by satellite. */
export function marshHareCoast(document: BuildDocument): RunSheet {
  const [, ground] = document.brief.surfaces as [ChosenSurface, ChosenSurface];
  const weight = weightOf(document);
  if (!weight.ok) throw new Error(`the demo car cannot roll: ${weight.missing.join(', ')}`);
  const rolling = { ...rollingCar(document, weight.value.massG), runs: [] };
  const truth = {
    cdaM2: document.chassis.cdaM2!,
    rollingResistance: TRUE_COAST.rolling * ground.rollingResistance,
    windMps: TRUE_COAST.windMps,
    gradePct: 0,
  };
  const normal = normalFrom(61);
  return {
    id: 'hare-coast',
    kind: 'coastDown',
    attempts: [],
    conditions: { surfaceId: ground.id, surfaceName: ground.name, ambientC: 18 },
    report: {
      coast: {
        rolls: (['out', 'back', 'out', 'back'] as const).map((direction, k) => {
          const times = Array.from({ length: COAST_READINGS }, (_, at) => ({
            tS: at * COAST_STEP_S,
            speedMps: COAST_FROM_MPS,
          }));
          const speeds = coastSpeeds(rolling, { direction, readings: times }, truth, COAST_FROM_MPS);
          return {
            id: `hare-coast-${k + 1}`,
            direction,
            readings: speeds.map((v, at) => ({
              tS: at * COAST_STEP_S,
              speedMps: Math.round(100 * (v + COAST_SD_MPS * normal())) / 100,
            })),
          };
        }),
      },
    },
    note: 'Pinion in mesh, drag brake off',
    ranAt: '2026-05-22T18:05:00.000Z',
    document,
  };
}

/** A build that drives with the drag that it rolled out with. */
export function withDrag(document: BuildDocument, { report, document: rolled }: RunSheet): BuildDocument {
  const found = coastOf(rolled, report!.coast!);
  if (!found.ok) throw new Error(`the demo car does not roll out: ${found.missing.join(', ')}`);
  return applyPatch(document, takeDrag(found.value));
}

/** A build that drives with what was pulled of it. */
export function withGrip(document: BuildDocument, runs: readonly RunSheet[]): BuildDocument {
  const table = gripTable(document, runs as readonly RunRecord[]);
  return table.reduce((before, pair) => applyPatch(before, takeGrip(before, pair)), document);
}

/** Circles at three speeds, and how straight it runs out and back. */
export function marshHareHandling(document: BuildDocument): RunSheet[] {
  const [grass] = document.brief.surfaces as [ChosenSurface];
  const conditions = { surfaceId: grass.id, surfaceName: grass.name, ambientC: 19 };
  const wheelbaseM = document.chassis.wheelbaseMm! / 1000;
  const speeds = [1.6, 2.2, 2.7];
  const predicted = predictedUndersteer(document, grass, speeds[0]!)!;
  const normal = normalFrom(51);
  const K = predicted + TRUE_HANDLING.moreDegPerMps2;
  const round = (value: number, by: number) => Math.round(value * by) / by;
  return [
    {
      id: 'hare-circles',
      kind: 'circle',
      attempts: [],
      conditions,
      report: {
        circle: {
          predictedDegPerMps2: predicted,
          circles: speeds.map((v, k) => ({
            id: `hare-circle-${k + 1}`,
            radiusM: CIRCLE_M,
            lapTimeS: round((2 * Math.PI * CIRCLE_M) / v, 100),
            steerDeg: round(
              (wheelbaseM / CIRCLE_M) * DEG +
                OFF_CENTRE_DEG +
                K * (v ** 2 / CIRCLE_M) +
                STEER_SD_DEG * normal(),
              10,
            ),
          })),
        },
      },
      note: 'String on a peg, three speeds held by the transmitter',
      ranAt: '2026-06-06T16:10:00.000Z',
      document,
    },
    {
      id: 'hare-straight',
      kind: 'straight',
      attempts: [],
      conditions,
      report: {
        straight: {
          distanceM: STRAIGHT_M,
          speedMps: 4,
          drifts: (['out', 'out', 'out', 'back', 'back', 'back'] as const).map((direction, k) => ({
            id: `hare-drift-${k + 1}`,
            direction,
            driftM: round(
              TRUE_HANDLING.biasM +
                (direction === 'out' ? 1 : -1) * TRUE_HANDLING.siteM +
                DRIFT_SD_M * normal(),
              100,
            ),
          })),
        },
      },
      note: 'Trim where it was for the record run',
      ranAt: '2026-06-06T16:40:00.000Z',
      document,
    },
  ];
}
