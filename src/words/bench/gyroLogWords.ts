import type { GyroLogResult, Peak } from '@/core/physics/aids/gyro/definition';

/** What turns at the frequency that shakes a gyro. */
export const PEAK_WORDS: Readonly<Record<Peak['source'], string>> = {
  motor: 'the motor',
  motor2: 'twice the motor',
  wheel: 'the wheels',
  wheel2: 'twice the wheels',
  unknown: 'of what is not known',
};

export const SIGN_WORDS: Readonly<Record<NonNullable<GyroLogResult['sign']>, string>> = {
  right: 'Turned to the left it reads positive: its direction is right.',
  reversed: 'Turned to the left it reads negative: reverse it, it would steer into the skid.',
  unclear: 'The turn by hand does not stand out of its noise: turn it faster.',
};
