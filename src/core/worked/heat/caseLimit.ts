import { type Drive, motorStage } from '../../car/document/drive';
import { JOINT_SOFTENS_C, MOUNT_SOFTENS_C } from '../../car/document/heat';

/** Where a motor's own magnets and bearings have had enough, when no plastic holds it, °C. */
export const MOTOR_CASE_C = 100;

export interface CaseLimit {
  limitC: number;
  /** What is at its limit first: the pinion on its shaft, its glue, the mount, or the motor itself. */
  of: 'pinion' | 'glue' | 'mount' | 'motor';
}

/** What softens first, and where; the motor itself where no plastic holds it. */
export function caseLimitOf(drive: Drive): CaseLimit {
  const { heat = {} } = drive;
  const ownHub = heat.pinionJoint === 'printed' || heat.pinionJoint === 'flat';
  const limits: CaseLimit[] = [
    { limitC: pinionSoftensC(drive) ?? Infinity, of: ownHub ? 'pinion' : 'glue' },
    { limitC: (heat.mountMaterial && MOUNT_SOFTENS_C[heat.mountMaterial]) ?? Infinity, of: 'mount' },
    { limitC: MOTOR_CASE_C, of: 'motor' },
  ];
  return limits.reduce((a, b) => (b.limitC < a.limitC ? b : a));
}

/** A glue by its kind; a pinion that holds by its own hub by its material, where that is said. */
function pinionSoftensC(drive: Drive): number | undefined {
  const joint = drive.heat?.pinionJoint;
  const material = motorStage({ drive })?.pinion?.material;
  if ((joint === 'printed' || joint === 'flat') && material) return material.softeningC;
  return joint && JOINT_SOFTENS_C[joint];
}
