import { GRAVITY } from '../../base/constants';
import { type GyroLaw, gyroLawOf } from '../../physics/aids/gyroLaw';
import type { YawInput } from '../../physics/aids/yawDefinition';

const DEG = 180 / Math.PI;
const MS = 1000;

/** A number as C reads it as a float. */
export const float = (value: number) => {
  const text = Number(value.toPrecision(7)).toString();
  return `${/[.e]/.test(text) ? text : `${text}.0`}f`;
};

/** A title without the end of a comment in it, in plain letters. */
export const inComment = (title: string) => title.replace(/\*\//g, '').replace(/[^\x20-\x7e]/g, '');

/** What only a law that damps has: the driver's own turn is taken from the speed, so that it is not fought. */
const DAMPS = {
  constants: ({ wheelbaseM, mu }: GyroLaw) => `#define CAR_WHEELBASE ${float(wheelbaseM)} /* m */
#define CAR_GRIP ${float(mu * GRAVITY * DEG)} /* most lateral acceleration, as degrees a second times m/s */
`,
  wanted: `  float wanted = 0.0f;
  float error;
  float over;

  /* what the driver asks for, as far as the ground can answer */
  if (speed > 0.0f) wanted = gyro_limited(speed * driver / CAR_WHEELBASE, CAR_GRIP / speed);
`,
};

/** What only a law that holds a yaw rate has: the rate that the steering asks for, and a memory of what is left of the error. */
const HOLDS = {
  constants: ({
    fullRate,
    share,
  }: NonNullable<
    GyroLaw['holds']
  >) => `#define GYRO_FULL_RATE ${float(fullRate * DEG)} /* degrees a second that full steering asks for */
#define GYRO_SHARE ${float(share)} /* of an error, kept at every sample */
`,
  wanted: `  float wanted = gyro_limited(driver, GYRO_MAX_STEER) / GYRO_MAX_STEER * GYRO_FULL_RATE;
  float error;
  float over;

  (void)speed; /* a rate is held at any speed */
`,
  remembered: `  gyro_held = gyro_limited(gyro_held - GYRO_GAIN * GYRO_SHARE * over, GYRO_MOST_CORRECTION);
`,
};

/**
 * The simulated law of a gyro as a small C file for a microcontroller: the same filter, dead band and limits, in degrees.
 *
 * @param title of the build
 */
export function gyroLawInC(title: string, input: YawInput): string {
  const law = gyroLawOf(input);
  const name = inComment(title);
  return `/*
 * ${name}: gyro on the steering, made from the law that was simulated.
 *
 * Angles in degrees, rates in degrees a second, to the left positive; speed in m/s.
 * Call gyro_steer every GYRO_SAMPLE_MS with what the gyro reads, less its bias,
 * with the angle that the driver asks for, and the speed (0 if it is not known).
 * First with the wheels off the ground: turned to the left by hand, the wheels steer right.
 */
#include <math.h>

#define GYRO_SAMPLE_MS ${float(input.gyro.sampleS * MS)}
#define GYRO_GAIN ${float(law.gain)} /* degrees of steering a degree a second */
#define GYRO_DEAD_BAND ${float(law.deadband * DEG)} /* degrees a second */
#define GYRO_MOST_CORRECTION ${float(law.mostCorrection * DEG)} /* degrees */
#define GYRO_MAX_STEER ${float(law.maxSteer * DEG)} /* degrees */
#define GYRO_FILTER ${float(law.filter)} /* share of the new reading */
${law.holds ? HOLDS.constants(law.holds) : ''}${law.holds ? '' : DAMPS.constants(law)}
static float gyro_filtered = 0.0f;
${law.holds ? 'static float gyro_held = 0.0f;\n' : ''}
static float gyro_limited(float value, float most) {
  return value > most ? most : value < -most ? -most : value;
}

float gyro_steer(float rate, float driver, float speed) {
${law.holds ? HOLDS.wanted : DAMPS.wanted}
  gyro_filtered += GYRO_FILTER * (rate - gyro_filtered);
  error = gyro_filtered - wanted;
  over = fabsf(error) <= GYRO_DEAD_BAND ? 0.0f : error - copysignf(GYRO_DEAD_BAND, error);
${law.holds ? HOLDS.remembered : ''}  return gyro_limited(driver + gyro_limited(${law.holds ? 'gyro_held - GYRO_GAIN * over' : '-GYRO_GAIN * over'}, GYRO_MOST_CORRECTION), GYRO_MAX_STEER);
}
`;
}
