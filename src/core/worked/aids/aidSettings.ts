import {
  type SlipAid,
  USUAL_HOLD,
  USUAL_SLIP_AID,
  USUAL_YAW_AID,
  type YawAid,
} from '../../car/document/aids';
import type { BuildDocument } from '../../car/document/document';

/** One figure of a setting, named as a run and a controller's code name it. */
export interface Setting {
  name: string;
  value: number;
  unit: string;
}

const YAW: readonly (readonly [keyof YawAid, string, string])[] = [
  ['gain', 'gyro gain', 'deg per deg/s'],
  ['deadbandDegPerS', 'gyro dead band', 'deg/s'],
  ['maxCorrectionDeg', 'gyro most correction', 'deg'],
  ['sampleMs', 'gyro sample', 'ms'],
  ['lowpassMs', 'gyro filter', 'ms'],
  ['servoLagMs', 'servo lag', 'ms'],
  ['servoRateDegPerS', 'servo speed at the wheels', 'deg/s'],
  ['maxSteerDeg', 'steering to either side', 'deg'],
];
const HOLD: typeof YAW = [
  ['fullSteerDegPerS', 'gyro rate at full steering', 'deg/s'],
  ['catchUpMs', 'gyro catches up in', 'ms'],
];
const SLIP: readonly (readonly [keyof SlipAid, string, string])[] = [
  ['targetSlipPct', 'slip target', '%'],
  ['gainUsPerPct', 'slip gain', 'us per %'],
  ['frameMs', 'slip frame', 'ms'],
  ['releaseUsPerMs', 'slip release', 'us per ms'],
  ['magnets', 'slip magnets', 'a wheel'],
  ['falsePulseRate', 'slip false pulses', 'share'],
  ['mostAccelMps2', 'slip most gain of speed', 'm/s2'],
];

function listed<T extends object>(aid: T, rows: readonly (readonly [keyof T, string, string])[]): Setting[] {
  return rows.flatMap(([key, name, unit]) =>
    aid[key] === undefined ? [] : [{ name, value: aid[key] as number, unit }],
  );
}

/** Of one that damps without the figures by which it would hold. */
export const yawSettings = (aid: YawAid): Setting[] =>
  listed({ ...USUAL_YAW_AID, ...USUAL_HOLD, ...aid }, aid.mode === 'hold' ? [...YAW, ...HOLD] : YAW);
export const slipSettings = (aid: SlipAid): Setting[] => listed({ ...USUAL_SLIP_AID, ...aid }, SLIP);

/** Settings of the aids that a build has. */
export function aidSettings({ suspension: { aids } }: BuildDocument): Setting[] {
  return [
    ...(aids?.yaw?.gain === undefined ? [] : yawSettings(aids.yaw)),
    ...(aids?.traction?.targetSlipPct === undefined ? [] : slipSettings(aids.traction)),
  ];
}

const constantOf = (name: string) => name.toUpperCase().replace(/[^A-Z0-9]+/g, '_');

/** Settings as constants to paste into a controller's code, each with its unit. */
export function constantsText(title: string, settings: readonly Setting[]): string {
  const width = Math.max(...settings.map(({ name }) => constantOf(name).length));
  return [
    `# ${title}`,
    ...settings.map(({ name, value, unit }) => `${constantOf(name).padEnd(width)} = ${value}  # ${unit}`),
    '',
  ].join('\n');
}
