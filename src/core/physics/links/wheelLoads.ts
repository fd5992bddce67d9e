import type { Vec3 } from '../../base/vec3';
import type { StandardLoads, WheelLoad } from './definition';

/** The usual loads of a wheel whose figures are given, in their order; those of a jammed wheel come apart. */
export function usualLoads({
  staticN,
  mu = 1,
  landingN,
  kerbAheadN,
  kerbSideN,
  corneringN,
  brakingN,
  driveN,
  brakes = 'inboard',
  drive = 'inboard',
}: StandardLoads): WheelLoad[] {
  const of = (
    name: string,
    figure: number | undefined,
    force: (n: number) => Vec3,
    rest: Partial<WheelLoad> = {},
  ): WheelLoad[] => (figure === undefined ? [] : [{ name, forceN: force(figure), ...rest }]);
  return [
    ...of('landing', landingN, (n) => [0, 0, n]),
    ...of('kerbAhead', kerbAheadN, (n) => [-n, 0, staticN], { at: 'hub' }),
    ...of('kerbSide', kerbSideN, (n) => [0, -n, staticN]),
    ...of('cornering', corneringN, (n) => [0, -mu * n, n]),
    ...of('braking', brakingN, (n) => [-mu * n, 0, n], { torque: brakes }),
    ...of('drive', driveN, (n) => [mu * n, 0, n], { torque: drive }),
  ];
}

const MM_PER_M = 1000;

/** Force of a stalled servo, or of its saver before that, along the tie rod, N. */
export function stallN({ servoNm, servoSaverNm = Infinity, servoArmMm }: StandardLoads): number | undefined {
  return servoNm === undefined || servoArmMm === undefined
    ? undefined
    : (MM_PER_M * Math.min(servoNm, servoSaverNm)) / servoArmMm;
}
