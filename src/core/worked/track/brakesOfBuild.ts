import type { BuildDocument } from '../../car/document/document';
import type { BrakeDefinition } from '../../physics/braking/definition';

/** A motor brake as controllers come set, where the build does not say its own. */
export const USUAL_MOTOR_SHARE = 0.5;
export const USUAL_COAST_S = 0.3;

/** The brakes of a build, a pack of which has room for nothing: all of it goes into heat. */
export const brakesOf = ({ drive }: Pick<BuildDocument, 'drive'>): BrakeDefinition => ({
  coastS: USUAL_COAST_S,
  ...drive.brakes,
  motorShare: drive.brakes?.motorShare ?? USUAL_MOTOR_SHARE,
});
