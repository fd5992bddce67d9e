import { type Drive, drivenOf, stagesTo } from '../../car/document/drive';
import type { Stage } from '../../car/stages/stage';
import { USUAL_AMBIENT_C } from '../../car/document/heat';

/**
 * First guess of how warm a gear runs: the motor's own pinion as its case, the gear that it meets halfway between case and
 * air, later ones as the air. Measured ones go before it.
 *
 * @returns pinion and wheel, °C
 */
export function gearTemperatures(drive: Drive, stage: Stage, caseC: number): [pinion: number, wheel: number] {
  const air = drive.heat?.ambientC ?? USUAL_AMBIENT_C;
  const first = stagesTo(drive, stage.on ?? drivenOf(drive)[0]!)[0];
  return first?.id === stage.id ? [caseC, (caseC + air) / 2] : [air, air];
}
