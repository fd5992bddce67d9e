import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import type { ChosenMotor } from '../../car/document/drive';
import type { Patch } from '../../base/patch';
import { chargedV, type ChosenBattery } from '../../car/document/power';
import { refusal } from '../../base/errors';
import { gearsAtHand, itemsOf } from '../../car/library/items';
import { type LibraryItem } from '../../car/library/kinds';
import { caseLimitOf } from '../heat/caseLimit';
import { packOfBuild } from '../heat/enduranceOfBuild';
import { thermalOf } from '../heat/thermalOfBuild';
import { exchanged, heavierByG } from '../exchange/exchanged';
import { drivenPack } from '../motion/drivenPack';
import { heldBy, motorLimitsA } from '../motion/runOfBuild';
import type { Assembled } from '../../base/assembled';
import {
  MOST_ROWS,
  planSweep,
  type RatioRange,
  type SweepGoal,
  type SweepRow,
} from '../../physics/search/sweep';
import { towardsRatio } from './teeth';
import { finding } from '../../base/finding';
import { type Measure, measure } from '../../base/measure';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.sweep.tooHeavy': { mass: Measure; budget: Measure };
  }
}

declare module '../../base/errors' {
  interface RefusalFacts {
    'explorer.combinations': { total: number; mostRows: number };
  }
}

export interface ExplorerPlan {
  readonly count: number;
  readonly goal: SweepGoal;
  /** Pairs of motor and pack whose voltage the motor or the controller does not bear. */
  readonly leftOut: number;
  row(index: number): SweepRow;
}

/**
 * Every motor and pack of the library with every ratio of a range on the build's car, with the masses exchanged; pairs that
 * the motor or the controller does not bear are left out and counted.
 *
 * @throws CalcError at `ratios` for an empty range or too many combinations
 */
export function planExplorer(
  document: BuildDocument,
  surface: ChosenSurface,
  library: readonly LibraryItem[],
  ratios: RatioRange,
): Assembled<ExplorerPlan> {
  const assembled = packOfBuild(document, surface);
  if (!assembled.ok) return assembled;
  const {
    thermal: _,
    cycle,
    losses,
    leastCharge,
    cutoffVPerCell: __,
    maxDurationS: ___,
    ...base
  } = assembled.value;
  const { brief, drive, power } = document;
  const [motors, packs] = [itemsOf(library, 'motor'), itemsOf(library, 'battery')];
  if (motors.length === 0 || packs.length === 0)
    return {
      ok: false,
      missing: [motors.length === 0 ? 'drive.motor:inLibrary' : 'power.battery:inLibrary'],
    };
  const count = base.motor.count ?? 1;
  const goal: SweepGoal = {
    ...(brief.targetMps === undefined ? {} : { topSpeedMps: brief.targetMps }),
    ...(brief.distanceM === undefined || brief.timeToDistanceS === undefined
      ? {}
      : { distanceM: brief.distanceM, timeToDistanceS: brief.timeToDistanceS }),
    maxCaseC: caseLimitOf(drive).limitC,
    ...(brief.runTimeMinutes === undefined ? {} : { minDurationS: 60 * brief.runTimeMinutes }),
  };
  const plans = packs.flatMap((pack) => {
    const fitting = motors.filter(
      ({ data }) => chargedV(pack.data.cells) <= Math.min(data.maxV, power.controller!.maxV),
    );
    if (fitting.length === 0) return [];
    return [
      planSweep({
        base,
        ratios,
        cycle,
        losses,
        usableShare: 1 - leastCharge,
        goal,
        motors: fitting.map(({ id, data }) => ({
          id,
          ...motorFigures(data, count),
          thermal: thermalOf(drive, data),
          currentLimitA: motorLimitsA(document, data)[heldBy(document, data)],
          addedKg: (count * (data.massG - drive.motor!.massG)) / 1000,
        })),
        batteries: [
          {
            id: pack.id,
            ...packFigures(drivenPack({ ...power, battery: pack.data })!),
            addedKg: ((power.packs ?? 1) * (pack.data.massG - power.battery!.massG)) / 1000,
          },
        ],
      }),
    ];
  });
  const addedG = ({ motorId, batteryId }: SweepRow) =>
    heavierByG(document, {
      motor: motors.find(({ id }) => id === motorId)!.data,
      battery: packs.find(({ id }) => id === batteryId)!.data,
    });
  const total = plans.reduce((sum, plan) => sum + plan.count, 0);
  if (total > MOST_ROWS)
    throw refusal('ratios.step', 'explorer.combinations', { total, mostRows: MOST_ROWS });
  const fitted = plans.length === 0 ? 0 : total / plans[0]!.ratios;
  return {
    ok: true,
    value: {
      count: total,
      goal,
      leftOut: motors.length * packs.length - fitted,
      row: (index) => {
        let at = index;
        for (const plan of plans) {
          if (at < plan.count) return withinBudget(document, plan.row(at), addedG);
          at -= plan.count;
        }
        throw new RangeError(`there is no combination ${index}`);
      },
    },
  };
}

const motorFigures = (
  { kvRpmPerV, resistanceMilliOhm, noLoadCurrentA, rotorInertiaKgM2 }: Omit<ChosenMotor, 'libraryId'>,
  count: number,
) => ({ kvRpmPerV, resistanceMilliOhm, noLoadCurrentA, rotorInertiaKgM2, count });
const packFigures = ({
  cells,
  parallel,
  cellResistanceMilliOhm,
  capacityMah,
  maxDischargeC,
}: Omit<ChosenBattery, 'libraryId'>) => ({
  cells,
  parallel,
  cellResistanceMilliOhm,
  capacityMah,
  maxDischargeC,
  stateOfCharge: 1,
});

/** The budget of the size class is part of the wish. */
function withinBudget(
  { brief, chassis }: BuildDocument,
  row: SweepRow,
  addedG: (row: SweepRow) => number,
): SweepRow {
  const budget = brief.sizeClass?.massBudgetG;
  if (budget === undefined || chassis.massG === undefined) return row;
  const mass = chassis.massG + (brief.payloadG ?? 0) + addedG(row);
  return mass <= budget
    ? row
    : {
        ...row,
        meetsGoal: false,
        why: [
          ...row.why,
          finding('note.sweep.tooHeavy', { mass: measure(mass, 'massG'), budget: measure(budget, 'massG') }),
        ],
      };
}

/** What puts a combination into the build: motor, pack, the car's mass, and the teeth that come nearest to its ratio. */
export function takeRow(
  document: BuildDocument,
  { motorId, batteryId, ratio }: Pick<SweepRow, 'motorId' | 'batteryId' | 'ratio'>,
  library: readonly LibraryItem[],
): Patch {
  const motor = itemsOf(library, 'motor').find(({ id }) => id === motorId)!;
  const pack = itemsOf(library, 'battery').find(({ id }) => id === batteryId)!;
  return [
    ...exchanged(document, {
      ...(document.drive.motor?.libraryId === motorId
        ? {}
        : { motor: { libraryId: motor.id, ...motor.data } }),
      ...(document.power.battery?.libraryId === batteryId
        ? {}
        : { battery: { libraryId: pack.id, ...pack.data } }),
    }),
    ...towardsRatio(document.drive, ratio, gearsAtHand(library)),
  ];
}
