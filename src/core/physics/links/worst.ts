import { lengthOf } from '../../base/vec3';
import type { ForcesStation, LinksForcesResult, WorstAt, WorstMember } from './definition';

const NOTHING_N = 1e-9;
/** Figures within this share of each other are one: the first keeps its place. */
const TIE = 1e-9;

const isMore = (value: number, than: number): boolean => value > than + TIE * Math.abs(than);

interface Extreme {
  forceN: number;
  at?: WorstAt;
  station?: number;
}

/** Largest pull and push of every member, with where it was and how long it is there. */
export function worstOf(
  stations: readonly ForcesStation[],
  lengthsAt: (station: number | undefined) => ReadonlyMap<string, number>,
): Record<string, WorstMember> {
  const pulled = new Map<string, Extreme>();
  const pushed = new Map<string, Extreme>();
  eachLoad(stations, ({ members }, at, station) => {
    for (const [member, tensionN] of Object.entries(members)) {
      keep(pulled, member, tensionN, at, station);
      keep(pushed, member, -tensionN, at, station);
    }
  });
  return Object.fromEntries(
    [...pulled].map(([member, pull]): [string, WorstMember] => {
      const push = pushed.get(member)!;
      return [
        member,
        {
          tensionN: pull.forceN,
          ...(pull.at ? { tension: pull.at } : {}),
          compressionN: push.forceN,
          ...(push.at ? { compression: push.at } : {}),
          bucklingLengthMm: lengthsAt(push.station).get(member)!,
        },
      ];
    }),
  );
}

/** Largest force of every joint, with where it was. */
export function worstJointsOf(stations: readonly ForcesStation[]): LinksForcesResult['worstJoints'] {
  const found = new Map<string, Extreme>();
  eachLoad(stations, ({ joints }, at, station) => {
    for (const [joint, force] of Object.entries(joints)) keep(found, joint, lengthOf(force), at, station);
  });
  return Object.fromEntries(
    [...found].flatMap(([joint, { forceN, at }]) => (at ? [[joint, { forceN, ...at }]] : [])),
  );
}

function eachLoad(
  stations: readonly ForcesStation[],
  look: (load: ForcesStation['loads'][number], at: WorstAt, station: number) => void,
): void {
  stations.forEach(({ travelMm, rackMm, loads }, station) => {
    for (const load of loads) look(load, { load: load.name, travelMm, rackMm }, station);
  });
}

function keep(found: Map<string, Extreme>, name: string, forceN: number, at: WorstAt, station: number): void {
  const known = found.get(name) ?? { forceN: 0 };
  found.set(name, forceN > NOTHING_N && isMore(forceN, known.forceN) ? { forceN, at, station } : known);
}
