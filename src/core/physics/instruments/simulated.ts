import { normalFrom, randomFrom } from '../../base/numeric/random';
import { type InstrumentReading, lineOf } from './line';

export interface SimulatedCar {
  /** How fast it passes the gate, and how far its beams stand apart. */
  speedMps: number;
  distanceM: number;
  /** Its wheel on the spin bench, turns a minute at the most. */
  mostRpm: number;
  massG: number;
  /** Of the motor's case after a run, and of the air. */
  hotC: number;
  ambientC: number;
  packV: number;
}

/** The car of the demo, as its builder knows it. */
export const DEMO_CAR: SimulatedCar = {
  speedMps: 8.9,
  distanceM: 20,
  mostRpm: 9000,
  massG: 1550,
  hotC: 60,
  ambientC: 18,
  packV: 8.3,
};

/** A line, and when it is sent after the one before, ms of the devices' own time. */
export interface SentLine {
  afterMs: number;
  line: string;
}

const [EVERY_MS, PASS_EVERY, LOST, GARBAGE, DRIFT] = [250, 28, 0.02, 0.01, 2e-4];
const [TIME_SPREAD, SPIN_S, COOLING_S] = [0.015, 40, 240];

/**
 * Made-up instruments that follow a car: a light gate that it passes again and again, a wheel that is spun up, a scale, a case
 * that cools, a meter and a gyro, with noise, lines that are lost or garbled and a clock that drifts; the same of one seed.
 * A beam that is broken is never lost, so that each pass can be timed.
 */
export function* simulatedLines(seed: number, car: SimulatedCar): Generator<SentLine, never> {
  const noise = normalFrom(seed);
  const random = randomFrom(seed + 1);
  let sentMs = 0;
  const clock = (ms: number) => ms * (1 + DRIFT);
  const send = (reading: Omit<InstrumentReading, 'ms'>, atMs: number): SentLine => {
    const afterMs = Math.max(0, atMs - sentMs);
    sentMs = Math.max(sentMs, atMs);
    return { afterMs, line: lineOf({ ...reading, ms: clock(atMs) }) };
  };
  for (let k = 1; ; k++) {
    const nowMs = k * EVERY_MS;
    const t = nowMs / 1000;
    for (const reading of steady(car, t, noise)) {
      const fate = random();
      if (fate < LOST) continue;
      const sent = send(reading, nowMs);
      yield fate < LOST + GARBAGE ? { ...sent, line: `~${sent.line.slice(5)}` } : sent;
    }
    if (k % PASS_EVERY === 0) {
      const passMs = (1000 * car.distanceM) / (car.speedMps * (1 + TIME_SPREAD * noise()));
      for (const [beam, atMs] of [
        [1, nowMs],
        [2, nowMs + passMs],
      ] as const)
        for (const broken of [1, 0])
          yield send({ device: 'gate-1', kind: 'gate', values: { beam, broken } }, atMs + 20 * (1 - broken));
    }
  }
}

function steady(car: SimulatedCar, t: number, noise: () => number): Omit<InstrumentReading, 'ms'>[] {
  const spun = Math.min(1, (t % (2 * SPIN_S)) / SPIN_S);
  const round = (value: number, digits: number) => Number(value.toFixed(digits));
  return [
    {
      device: 'bench',
      kind: 'tachometer',
      values: { rpm: Math.max(0, Math.round(car.mostRpm * spun * (1 + 0.002 * noise()))) },
    },
    { device: 'scale', kind: 'scale', values: { g: round(car.massG + 0.3 * noise(), 1) } },
    {
      device: 'probe',
      kind: 'thermometer',
      values: {
        c: round(car.ambientC + (car.hotC - car.ambientC) * Math.exp(-t / COOLING_S) + 0.2 * noise(), 1),
      },
    },
    {
      device: 'meter',
      kind: 'meter',
      values: { v: round(car.packV + 0.01 * noise(), 3), a: round(Math.max(0, 4 + 0.2 * noise()), 2) },
    },
    { device: 'gyro', kind: 'gyro', values: { dps: round(3 * noise(), 2) } },
  ];
}
