import type { BuildDocument } from '@/core/car/document/document';
import type { KeptLog } from '@/core/car/records/benchReport';
import { RAD_PER_S_PER_RPM } from '@/core/base/constants';
import { interpolate } from '@/core/base/numeric/interpolate';
import { normalFrom } from '@/core/base/numeric/random';
import { readLog } from '@/core/physics/logs/logRead';
import { driveRun } from '@/core/physics/motion/run';
import { factorAt } from '@/core/physics/motion/plant';
import { packOfBuild } from '@/core/worked/heat/enduranceOfBuild';
import { drivePack } from '@/core/worked/heat/wholePack';
import { runInputOf } from '@/core/worked/motion/runOfBuild';
import { trueCar } from './measuredRuns';

export const MARSH_HARE_LOG = {
  id: 'mh-d-log-1',
  kind: 'log',
  ranAt: '2026-05-24T15:10:00.000Z',
  note: 'Straights between two rows, the recorder of the controller on board.',
} as const;

const [HZ, STAND_S, COAST_S, DISTANCE_M, RUNS] = [50, 0.8, 1.6, 30, 8];
const THROTTLES = [0.95, 0.7, 0.85, 0.55, 0.92, 0.65, 0.9, 0.75];
/** Of tyres that drive, share. */
const SLIP = 0.025;
const ERROR = { volts: 0.01, amps: 0.05, rpm: 8, speed: 0.03 };

/** A recorder's text of eight straights of the car as it truly is: volts, motor current, turns, duty, speed and case. */
export function marshHareLog(document: BuildDocument): { text: string; log: Omit<KeptLog, 'hash'> } {
  const car = trueCar(document);
  const surface = car.brief.surfaces[0]!;
  const input = runInputOf(car, surface, { distanceM: DISTANCE_M });
  const pack = packOfBuild(car, surface);
  if (!input.ok || !pack.ok) throw new Error('the demo car cannot be driven');
  const { series: heat } = drivePack(pack.value);
  const caseAt = heat.tS.map((t, k) => [t, heat.caseC[k]!] as const);
  const { motor, esc, tyre, drive } = input.value;
  const ohm = (motor.resistanceMilliOhm + (esc.resistanceMilliOhm ?? 0)) / 1000;
  const error = normalFrom(52);
  const rows = [
    'Time [ms];Voltage [V];Motor current [A];Motor RPM [rpm];Duty [%];Speed [km/h];Motor temp [°C]',
  ];
  let clock = 0;
  const comma = (value: number, digits: number) => value.toFixed(digits).replace('.', ',');
  const note = (volts: number, amps: number, rpm: number, duty: number, mps: number) => {
    const cells = [
      String(Math.round(clock * 1000)),
      comma(volts + ERROR.volts * error(), 3),
      comma(Math.max(0, amps + (amps > 0 ? ERROR.amps * error() : 0)), 2),
      String(Math.max(0, Math.round(rpm + (rpm > 0 ? ERROR.rpm * error() : 0)))),
      comma(100 * duty, 1),
      comma(Math.max(0, 3.6 * (mps + (mps > 0 ? ERROR.speed * error() : 0))), 2),
      comma(interpolate(caseAt, clock), 1),
    ];
    rows.push(cells.join(';'));
    clock += 1 / HZ;
  };
  for (let run = 0; run < RUNS; run++) {
    const { series } = driveRun({ ...input.value, throttle: THROTTLES[run]!, maxTimeS: 12 });
    const at = (values: readonly number[], t: number) =>
      interpolate(
        series.tS.map((one, k) => [one, values[k]!] as const),
        t,
      );
    const resting = series.batteryVoltageV[0]! + 0.05;
    for (let k = 0; k < STAND_S * HZ; k++) note(resting, 0, 0, 0, 0);
    const end = series.tS.at(-1)!;
    for (let t = 0; t < end; t += 1 / HZ) {
      const [mps, amps, volts] = [
        at(series.speedMps, t),
        at(series.motorCurrentA, t),
        at(series.batteryVoltageV, t),
      ];
      const radiusM = ((tyre.grown ? factorAt(tyre.grown, mps) : 1) * tyre.radiusMm) / 1000;
      const rpm = ((mps * (1 + SLIP)) / radiusM / RAD_PER_S_PER_RPM) * drive.ratio;
      note(volts, amps, rpm, Math.min(1, (rpm / motor.kvRpmPerV + amps * ohm) / volts), mps);
    }
    const last = at(series.speedMps, end);
    for (let k = 0; k < COAST_S * HZ; k++) {
      const mps = last * Math.max(0, 1 - k / (COAST_S * HZ));
      note(resting, 0, (mps / (tyre.radiusMm / 1000) / RAD_PER_S_PER_RPM) * drive.ratio, 0, mps);
    }
  }
  const text = rows.join('\n');
  const { rows: count, durationS } = readLog({ text }, '').summary;
  return { text, log: { name: 'straights.csv', rows: count, durationS } };
}
