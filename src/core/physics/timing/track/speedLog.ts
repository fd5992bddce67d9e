import Papa from 'papaparse';
import { refusal } from '../../../base/errors';
import type { DrivenTrace } from './drivenTrace';

declare module '../../../base/errors' {
  interface RefusalFacts {
    'track.clock': { line: number; before: string; time: string };
    'track.speed': { line: number; speed: string };
  }
}

const PATH = 'gpx';
const [LEAST_STEP_S, MOST_STEPS] = [0.5, 600];
/** A longer silence is a break that takes no time, s. */
const BREAK_S = 5;
const MPS_PER: Readonly<Record<string, number>> = {
  speed: 1,
  speed_mps: 1,
  speed_kmh: 1 / 3.6,
  speed_mph: 0.44704,
};
const TIMES: Readonly<Record<string, number>> = { time: 1, time_s: 1, time_ms: 0.001 };

/**
 * A log of speeds without positions as what a pack is driven with: mean speeds of equal steps, so that the way stays what it
 * was; bends are not in it. Columns time, time_s or time_ms, and speed or speed_mps, speed_kmh, speed_mph.
 *
 * @returns undefined for a text that is no such log
 * @throws CalcError at `gpx` where the clock goes back, at a speed that is none, and where nothing moves
 */
export function speedLog(text: string): DrivenTrace | undefined {
  const { data, meta } = Papa.parse<string[]>(text.replace(/^\uFEFF/, '').trim(), { skipEmptyLines: true });
  const head = (data[0] ?? []).map((name) => name.trim().toLowerCase());
  const column = (units: Readonly<Record<string, number>>) =>
    head.findIndex((name) => Object.hasOwn(units, name));
  const [timeAt, speedAt] = [column(TIMES), column(MPS_PER)];
  if (timeAt < 0 || speedAt < 0 || head.includes('lat')) return undefined;
  const [second, metre] = [TIMES[head[timeAt]!]!, MPS_PER[head[speedAt]!]!];
  const number = (said: string | undefined) =>
    said === undefined || said.trim() === ''
      ? NaN
      : Number(meta.delimiter === ',' ? said : said.replace(',', '.'));
  const tS: number[] = [];
  const wayM: number[] = [];
  let before: { t: number; v: number; said: string } | undefined;
  data.slice(1).forEach((row, index) => {
    const line = index + 2;
    const said = (row[timeAt] ?? '').trim();
    const [t, v] = [second * number(row[timeAt]), metre * number(row[speedAt])];
    if (!Number.isFinite(t)) throw refusal(PATH, 'track.time', { line, time: said.slice(0, 40), in: 'csv' });
    if (!(v >= 0 && v <= 150))
      throw refusal(PATH, 'track.speed', { line, speed: String(row[speedAt]).slice(0, 20) });
    if (before && t < before.t) throw refusal(PATH, 'track.clock', { line, before: before.said, time: said });
    if (!before) {
      tS.push(0);
      wayM.push(0);
    } else if (t > before.t) {
      const stepS = t - before.t > BREAK_S ? 0 : t - before.t;
      if (stepS > 0) {
        tS.push(tS.at(-1)! + stepS);
        wayM.push(wayM.at(-1)! + (stepS * (v + before.v)) / 2);
      }
    }
    before = { t, v, said };
  });
  const lengthS = tS.at(-1) ?? 0;
  if (!(lengthS > 0) || wayM.at(-1) === 0) throw refusal(PATH, 'track.standsStill');
  const stepS = Math.max(LEAST_STEP_S, lengthS / MOST_STEPS);
  const steps = Math.max(1, Math.round(lengthS / stepS));
  const way = wayAt(tS, wayM);
  const speedMps = Array.from({ length: steps + 1 }, (_, k) => {
    const t = k * stepS;
    const [from, to] = [Math.max(0, t - stepS / 2), Math.min(lengthS, t + stepS / 2)];
    return to > from ? Math.round((1000 * (way(to) - way(from))) / (to - from)) / 1000 : 0;
  });
  return { stepS, speedMps, lateralMps2: speedMps.map(() => 0) };
}

function wayAt(tS: readonly number[], wayM: readonly number[]) {
  return (t: number): number => {
    let [low, high] = [0, tS.length - 1];
    while (high - low > 1) {
      const middle = (low + high) >> 1;
      if (tS[middle]! <= t) low = middle;
      else high = middle;
    }
    const share = (t - tS[low]!) / (tS[high]! - tS[low]!);
    return wayM[low]! + Math.min(1, Math.max(0, share)) * (wayM[high]! - wayM[low]!);
  };
}
