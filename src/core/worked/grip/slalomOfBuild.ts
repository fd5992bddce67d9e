import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import type { Gates } from '../../car/records/records';
import { type Slalom, slalom } from '../../physics/handling/slalom';
import { balanceAt } from '../../physics/handling/steady/balance';
import { setupOf } from '../../physics/handling/steady/setup';
import { maxSteerOf, servoRateOf } from '../aids/yawOfBuild';
import { steadyInputOf } from '../stability/steadyOfBuild';

/** A build through gates at the speed that its grip, its steering and its motor allow; undefined where it is incomplete. */
export function slalomOfBuild(
  document: BuildDocument,
  surface: ChosenSurface,
  { spacingM, offsetM }: Gates,
  mostMps: number,
): Slalom | undefined {
  const still = steadyInputOf(document, surface, { speedMps: 1 });
  if (!still.ok) return undefined;
  const at = (speedMps: number) => balanceAt(setupOf({ ...still.value, speedMps }), speedMps);
  const { understeerDegPerMps2 } = at(Math.min(1, mostMps));
  const [maxSteerDeg, steerRateDegPerS] = [maxSteerOf(document), servoRateOf(document)];
  return slalom({
    spacingM,
    offsetM,
    wheelbaseMm: still.value.wheelbaseMm,
    ...(understeerDegPerMps2 === undefined ? {} : { understeerDegPerMps2 }),
    lateralMps2At: (speed) => at(speed).maxLateralMps2,
    ...(maxSteerDeg === undefined ? {} : { maxSteerDeg }),
    ...(steerRateDegPerS === undefined ? {} : { steerRateDegPerS }),
    mostMps,
  });
}
