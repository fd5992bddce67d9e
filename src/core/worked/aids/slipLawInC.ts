import type { TractionInput } from '../../physics/aids/slipDefinition';
import { CLOSED_US, OPEN_US, USUAL_FRAME_MS } from '../../physics/aids/tractionAssist';
import { float, inComment } from './gyroLawInC';

const MS = 1000;

/** How a car whose every wheel is driven is followed; one with a free wheel is read off it. */
const FOLLOWS = (mostAccelMps2: number, frameMs: number) => ({
  constants: `#define SLIP_GAIN_OF_SPEED ${float((mostAccelMps2 * frameMs) / MS)} /* m/s a frame that the car is taken to gain at most */\n`,
  state: 'static float slip_car = 0.0f;\n\nvoid slip_stands(void) { slip_car = 0.0f; }\n',
  says: ' * No wheel runs free: the car is taken to gain what its wheels do, but no more than\n * SLIP_GAIN_OF_SPEED a frame. Call slip_stands whenever the car stands, or what it is\n * taken for runs away.\n',
  takes: 'float driven',
  known: 'driven >= 0.0f',
  car: `  slip_car += SLIP_GAIN_OF_SPEED;
  if (driven >= 0.0f && driven < slip_car) slip_car = driven;
`,
  speed: 'slip_car',
});
const READS = {
  constants: '',
  state: '',
  says: '',
  takes: 'float driven, float free_wheel',
  known: 'driven >= 0.0f && free_wheel >= 0.0f',
  car: '',
  speed: 'free_wheel',
};

/** The simulated slip control of the throttle as a small C file for a microcontroller; pulses in µs, speeds in m/s. */
export function slipLawInC(title: string, { controller, car }: TractionInput): string {
  const { targetSlipPct, gainUsPerPct, frameMs = USUAL_FRAME_MS, releaseUsPerMs, mostAccelMps2 } = controller;
  const by =
    car.drivenAxles === 'all' && mostAccelMps2 !== undefined ? FOLLOWS(mostAccelMps2, frameMs) : READS;
  const release =
    releaseUsPerMs === undefined
      ? ''
      : `
  if (pulse > slip_last + SLIP_RELEASE) pulse = slip_last + SLIP_RELEASE;`;
  return `/*
 * ${inComment(title)}: throttle held back by slip, made from the law that was simulated.
 *
 * Speeds of the tread in m/s from the last two edges of the magnets, below 0 as long
 * as there are none. Call slip_throttle every SLIP_FRAME_MS; send the least of what
 * it returns and what the driver asks for.
${by.says} * First with the wheels off the ground, and with the sensor unplugged: the throttle
 * must stay the driver's then.
 */
#define SLIP_FRAME_MS ${float(frameMs)}
#define SLIP_TARGET ${float(targetSlipPct)} /* per cent */
#define SLIP_GAIN ${float(gainUsPerPct)} /* us a per cent over the target */
#define SLIP_OPEN ${float(OPEN_US)} /* us */
#define SLIP_CLOSED ${float(CLOSED_US)} /* us */
#define SLIP_LEAST_SPEED 0.5f /* m/s under which slip is told against this */
${by.constants}${releaseUsPerMs === undefined ? '' : `#define SLIP_RELEASE ${float(releaseUsPerMs * frameMs)} /* us a frame that it comes back by */\n`}
static float slip_last = SLIP_OPEN;
${by.state}
float slip_throttle(${by.takes}) {
  float pulse = SLIP_OPEN;
  float over = 0.0f;

${by.car}  if (SLIP_TARGET < 100.0f && ${by.known}) {
    float against = ${by.speed} > SLIP_LEAST_SPEED ? ${by.speed} : SLIP_LEAST_SPEED;
    over = 100.0f * (driven - ${by.speed}) / against - SLIP_TARGET;
  }
  if (over > 0.0f) pulse = SLIP_OPEN - SLIP_GAIN * over;
  if (pulse < SLIP_CLOSED) pulse = SLIP_CLOSED;${release}
  slip_last = pulse;
  return pulse;
}
`;
}
