import type { ChosenMotor } from '../../car/document/drive';

/** Round figures, as a motor is sold: rpm/V. */
const KV_STEP = 50;

/**
 * The same motor wound for another constant: turns go with 1/kv, so the resistance with 1/kv² (as much copper in the same
 * slots), the no-load current with kv (the same idling torque), and the voltage that it bears with 1/kv (the same speed).
 *
 * @see Hanselman, Brushless Permanent Magnet Motor Design, ch. 4 (turns and winding resistance)
 */
export function rewound(motor: ChosenMotor, factor: number): ChosenMotor {
  const { libraryId: _, ...figures } = motor;
  const kvRpmPerV = Math.max(KV_STEP, Math.round((motor.kvRpmPerV * factor) / KV_STEP) * KV_STEP);
  const change = kvRpmPerV / motor.kvRpmPerV;
  const rounded = (value: number) => Number(value.toPrecision(3));
  return {
    ...figures,
    name: `${motor.name.replace(/, wound for .*$/, '')}, wound for ${kvRpmPerV} rpm/V`.slice(-80),
    kvRpmPerV,
    resistanceMilliOhm: rounded(motor.resistanceMilliOhm / change ** 2),
    noLoadCurrentA: rounded(motor.noLoadCurrentA * change),
    maxV: rounded(motor.maxV / change),
  };
}
