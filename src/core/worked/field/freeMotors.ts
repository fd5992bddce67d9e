import type { BuildDocument } from '../../car/document/document';
import { type MotorPlace } from '../../car/document/drive';
import { motorAt } from '../../car/document/motors';
import { chargedV } from '../../car/document/power';
import type { RunRecord } from '../../car/records/records';
import { foundFree, freeRpm } from '../motion/motorsOfBuild';

/** What a bench spin says of one motor. */
export interface FreeMotorFound {
  place: MotorPlace;
  kvRpmPerV: number;
  noLoadCurrentA: number;
  /** Revolutions over those that its figures expect, share. */
  rpmOver: number;
  /** Current over that of its figures, share. */
  currentOver: number;
  /** What stands out of it against the others, or against its figures where it is alone. */
  is: FreeMotorState;
}

export const FREE_MOTOR_STATES = ['alike', 'drags', 'slower', 'weakMagnets'] as const;
export type FreeMotorState = (typeof FREE_MOTOR_STATES)[number];

/** Motors of one make differ by so much in revolutions, and in what they idle with; by judgement. */
const [ALIKE_RPM, ALIKE_AMPS] = [0.03, 0.25];

/**
 * Constants of the motors that a bench run spun free, and which of them stands out: slower with more current drags, slower with
 * the same is wound otherwise, faster with more current has lost magnetism.
 *
 * @see the linear DC-motor equations: n = kv·(V − I_0·R), I_0 = drag·kv
 */
export function freeMotors({
  document,
  report,
  conditions,
}: Pick<RunRecord, 'document' | 'report' | 'conditions'>): FreeMotorFound[] {
  const { drive, power } = document as BuildDocument;
  const cells = power.battery?.cells;
  const volts = conditions.packVBefore ?? (cells === undefined ? undefined : chargedV(cells));
  if (volts === undefined || !drive.motor) return [];
  const found = (report?.motors ?? []).flatMap(({ id: place, rpm, currentA }) => {
    const motor = motorAt(drive, place)!;
    return [
      {
        place,
        ...foundFree(motor, { rpm, currentA, volts }),
        rpmOver: rpm / freeRpm(motor, volts) - 1,
        currentOver: motor.noLoadCurrentA > 0 ? currentA / motor.noLoadCurrentA - 1 : 0,
      },
    ];
  });
  const several = found.length > 2;
  const usual = (of: 'rpmOver' | 'currentOver') => (several ? median(found.map((one) => one[of])) : 0);
  const [rpm, amps] = [usual('rpmOver'), usual('currentOver')];
  return found.map((one) => ({ ...one, is: stateOf(one.rpmOver - rpm, one.currentOver - amps) }));
}

function stateOf(faster: number, more: number): FreeMotorState {
  if (faster < -ALIKE_RPM) return more > ALIKE_AMPS ? 'drags' : 'slower';
  return faster > ALIKE_RPM && more > ALIKE_AMPS ? 'weakMagnets' : more > 2 * ALIKE_AMPS ? 'drags' : 'alike';
}

function median(values: readonly number[]): number {
  const sorted = values.toSorted((a, b) => a - b);
  const middle = (sorted.length - 1) / 2;
  return (sorted[Math.floor(middle)]! + sorted[Math.ceil(middle)]!) / 2;
}
