import { bisectBoundary } from '../../base/numeric/boundary';
import type { YawInput } from './yawDefinition';
import { bicycleOf, linearRows } from './yawMotion';

type Matrix = readonly (readonly number[])[];

const MOST_GAIN = 200;
const LEAST_GAIN = 1e-4;
const GRID = 90;

const product = (a: Matrix, b: Matrix): number[][] =>
  a.map((row) =>
    b[0]!.map((_, column) => row.reduce((sum, value, index) => sum + value * b[index]![column]!, 0)),
  );

/** e^M by squaring a Taylor series. Source: Golub and Van Loan, Matrix Computations, ch. 9. */
function exponential(matrix: Matrix): number[][] {
  const size = matrix.length;
  const norm = Math.max(...matrix.map((row) => row.reduce((sum, value) => sum + Math.abs(value), 0)));
  const halvings = Math.max(0, Math.ceil(Math.log2(norm / 0.25 || 1)));
  const small = matrix.map((row) => row.map((value) => value / 2 ** halvings));
  let term: number[][] = small.map((_, i) => small.map((__, j) => (i === j ? 1 : 0)));
  let sum = term;
  for (let order = 1; order <= 12; order++) {
    term = product(term, small).map((row) => row.map((value) => value / order));
    sum = sum.map((row, i) => row.map((value, j) => value + term[i]![j]!));
  }
  for (let time = 0; time < halvings; time++) sum = product(sum, sum);
  return sum.slice(0, size);
}

/** Coefficients of det(λ − M), highest power first. Source: Faddeev and LeVerrier. */
function characteristic(matrix: Matrix): number[] {
  const size = matrix.length;
  const coefficients = [1];
  let held: number[][] = matrix.map((_, i) => matrix.map((__, j) => (i === j ? 1 : 0)));
  for (let order = 1; order <= size; order++) {
    const next = product(matrix, held);
    const c = -next.reduce((sum, row, index) => sum + row[index]!, 0) / order;
    coefficients.push(c);
    held = next.map((row, i) => row.map((value, j) => value + (i === j ? c : 0)));
  }
  return coefficients;
}

/** All roots inside the unit circle. Source: Schur and Cohn (Åström and Wittenmark, Computer-Controlled Systems, ch. 3). */
function insideCircle(coefficients: readonly number[]): boolean {
  let p = [...coefficients];
  while (p.length > 1) {
    const [first, last] = [p[0]!, p.at(-1)!];
    if (Math.abs(last) >= Math.abs(first)) return false;
    const ratio = last / first;
    p = p.slice(0, -1).map((value, index) => value - ratio * p[p.length - 1 - index]!);
  }
  return true;
}

/** Whether the sampled and held loop without limits and dead band dies away at a gain. */
export function loopIsStable(input: YawInput): (gain: number) => boolean {
  const rows = linearRows(bicycleOf(input));
  const { lagS } = input.servo;
  const { sampleS, lowpassS = 0 } = input.gyro;
  const filter = lowpassS > 0 ? 1 - Math.exp(-sampleS / lowpassS) : 1;
  const { holds } = input.gyro;
  const share = holds ? sampleS / holds.catchUpS : 0;
  // slide, yaw, steering and the command that is held over a sample
  const held =
    lagS > 0
      ? [
          [...rows[0], 0],
          [...rows[1], 0],
          [0, 0, -1 / lagS, 1 / lagS],
          [0, 0, 0, 0],
        ]
      : [
          [rows[0][0], rows[0][1], 0, rows[0][2]],
          [rows[1][0], rows[1][1], 0, rows[1][2]],
          [0, 0, 0, 0],
          [0, 0, 0, 0],
        ];
  const step = exponential(held.map((row) => row.map((value) => value * sampleS)));
  const loop = (gain: number): Matrix => {
    // the filtered rate is read first, then its command is held: u = −gain·((1 − κ)·y + κ·r), and what is held of it
    const read = [0, filter, 0, 1 - filter, 0];
    const command = read.map((value, column) => -gain * ((1 + share) * value + (column === 4 ? 1 : 0)));
    const moved = [0, 1, 2].map((row) =>
      [0, 1, 2, 3, 4].map(
        (column) => (column < 3 ? step[row]![column]! : 0) + step[row]![3]! * command[column]!,
      ),
    );
    // without lag the steering is the command itself and holds nothing of its own
    if (lagS === 0) moved[2] = [0, 0, 0, 0, 0];
    const kept = read.map((value, column) => share * value + (column === 4 ? 1 : 0));
    const whole = [...moved, read, kept];
    return holds ? whole : whole.slice(0, 4).map((row) => row.slice(0, 4));
  };
  // the gain enters by one column times one row, so the polynomial is a straight line in it
  const [none, one] = [characteristic(loop(0)), characteristic(loop(1))];
  return (gain) => insideCircle(none.map((value, index) => value + gain * (one[index]! - value)));
}

/** Gains of the first stable stretch from 0 to 200. */
export interface StableGains {
  /** 0 for a car that is steady without a gyro. */
  from: number;
  /** Left out where 200 still is stable. */
  to?: number;
}

/** The stable range of gains, both ends by bisection; undefined where none is stable. */
export function stableGains(input: YawInput): StableGains | undefined {
  const stable = loopIsStable(input);
  const grid = [
    0,
    ...Array.from(
      { length: GRID + 1 },
      (_, index) => LEAST_GAIN * (MOST_GAIN / LEAST_GAIN) ** (index / GRID),
    ),
  ];
  const states = grid.map(stable);
  const first = states.indexOf(true);
  if (first < 0) return undefined;
  const end = states.indexOf(false, first);
  return {
    from: first === 0 ? 0 : bisectBoundary((gain) => !stable(gain), grid[first - 1]!, grid[first]!),
    ...(end < 0 ? {} : { to: bisectBoundary(stable, grid[end - 1]!, grid[end]!) }),
  };
}

/** Upper end of the stable range of gains; undefined where none is stable or all up to 200 are. */
export const criticalGain = (input: YawInput): number | undefined => stableGains(input)?.to;
