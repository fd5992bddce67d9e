import { normalFrom, randomFrom } from '../../base/numeric/random';
import { tyreSpin } from '../tyres/tyreSpin';
import { checksumOf } from './checksum';
import { type InstrumentReading, lineOf } from './line';
import { MPS_PER_KNOT } from './nmea';

export interface SimulatedCar {
  /** How fast it passes the gate, and how far its beams stand apart. */
  speedMps: number;
  distanceM: number;
  /** Its wheel on the spin bench, turns a minute at the most. */
  mostRpm: number;
  /** Across that wheel's tyre at its turns, mm. */
  diameterMm(rpm: number): number;
  massG: number;
  /** Of the motor's case after a run, and of the air. */
  hotC: number;
  ambientC: number;
  packV: number;
}

/** A tyre of the demo, softer than is typical of its kind. */
const TYRE = {
  kind: 'hollow rubber',
  radiusMm: 42,
  hold: 'beads',
  rimRadiusMm: 28,
  widthMm: 40,
  hoopModulusMpa: 3.1,
} as const;

const known = new Map<number, number>();
function grown(rpm: number): number {
  const diameterMm = known.get(rpm) ?? tyreSpin({ ...TYRE, rpm }).diameterMm!;
  known.set(rpm, diameterMm);
  return diameterMm;
}

/** The car of the demo, as its builder knows it. */
export const DEMO_CAR: SimulatedCar = {
  speedMps: 8.9,
  distanceM: 20,
  mostRpm: 9000,
  diameterMm: grown,
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

const [EVERY_MS, SATELLITE_EVERY, PASS_EVERY, LOST, GARBAGE, DRIFT] = [250, 4, 28, 0.02, 0.01, 2e-4];
const [TIME_SPREAD, COOLING_S] = [0.015, 240];
/** The wheel is held at so many speeds, so long at each, and then stands as long as all of them. */
const [SPEEDS, HELD_S] = [6, 4];
/** The car's speed while a satellite receiver rides on it: up and down once in so many seconds. */
const ROUND_S = 20;

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
    if (k % SATELLITE_EVERY === 0)
      yield { afterMs: Math.max(0, nowMs - sentMs), line: satelliteLine(car, t) };
    sentMs = Math.max(sentMs, nowMs);
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

/** Turns of a wheel on the bench: up by steps, each of them held, then at rest. */
function heldRpm(mostRpm: number, t: number): number {
  const step = Math.floor(t / HELD_S) % (2 * SPEEDS);
  return step >= SPEEDS ? 0 : (mostRpm * (step + 1)) / SPEEDS;
}

/** What a satellite receiver on the car says once a second, from the hour 12 on. */
function satelliteLine(car: SimulatedCar, t: number): string {
  const knots = ((car.speedMps / MPS_PER_KNOT) * (1 - Math.cos((2 * Math.PI * t) / ROUND_S))) / 2;
  const two = (value: number) => String(Math.floor(value)).padStart(2, '0');
  const clock = `${two(12 + ((t / 3600) % 12))}${two((t / 60) % 60)}${two(t % 60)}`;
  const body = `GPRMC,${clock}.00,A,4807.038,N,01131.000,E,${knots.toFixed(2)},084.4,230394,003.1,W`;
  return `$${body}*${checksumOf(body)}`;
}

function steady(car: SimulatedCar, t: number, noise: () => number): Omit<InstrumentReading, 'ms'>[] {
  const rpm = heldRpm(car.mostRpm, t);
  const round = (value: number, digits: number) => Number(value.toFixed(digits));
  return [
    {
      device: 'bench',
      kind: 'tachometer',
      values: { rpm: Math.max(0, Math.round(rpm * (1 + 0.002 * noise()))) },
    },
    {
      device: 'across',
      kind: 'gauge',
      values: { mm: round(car.diameterMm(rpm) + 0.05 * noise(), 2) },
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
