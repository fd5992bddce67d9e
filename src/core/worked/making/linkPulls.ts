import type { Assembled } from '../../base/assembled';
import { add, lengthOf, scale, turnBack, type Motion, STILL, type Vec3 } from '../../base/vec3';
import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import type { End } from '../../car/document/suspension';
import type { ForcesStation, LoadForces } from '../../physics/links/definition';
import { type HardestForce, hardestForces, hardestUnder, linksOfBuild } from '../links/linksOfBuild';
import { casesOfBuild } from '../parts/casesOfBuild';
import { cornerOf } from '../suspension/endOfBuild';
import { posedCorner } from '../suspension/posedCorner';

/** A force of one thing that the wheel meets, in the car's axes as the part lies at rest. */
export interface LinkPull {
  place: string;
  end: End;
  link: string;
  load: string;
  /** Of what the link carries under this load. */
  share: number;
  /** The link's under this load over the hardest that it ever carries. */
  ofHardest: number;
  forceN: Vec3;
}

/** What of the forces acts at which place of a part, as names of joints, mounts or members. */
export type ForcesAt = (forces: LoadForces) => readonly { place: string; link: string; forceN: Vec3 }[];

const NOTHING_N = 1e-6;

/**
 * What links do to a part, one thing that the wheel meets after the other, each where it pulls the hardest.
 *
 * @param body the part moves with, as the corner's bodies are called; a part of the chassis stays
 */
export function linkPulls(
  document: BuildDocument,
  end: End,
  surface: ChosenSurface | undefined,
  body: string | undefined,
  at: ForcesAt,
  only?: ReadonlySet<string>,
): Assembled<LinkPull[]> {
  const cases = casesOfBuild(document, surface);
  const corner = cornerOf(document, end);
  if (!cases.ok) return cases;
  if (!corner.ok) return corner;
  const found = linksOfBuild(document, end, surface!, cases.value);
  if (!found.ok) return found;
  const hardest = hardestForces(found.value);
  const names = found.value.stations[0]?.loads.map(({ name }) => name) ?? [];
  const asked = names.filter((name) => !only || only.has(name));
  return {
    ok: true,
    value: asked.flatMap((load): LinkPull[] => {
      const worst = hardestStation(found.value.stations, load, at);
      if (!worst) return [];
      const motion: Motion =
        body === undefined
          ? STILL
          : (posedCorner(corner.value, worst.station.travelMm, worst.station.rackMm).get(body) ?? STILL);
      return worst.forces.flatMap(({ place, link, forceN }): LinkPull[] => {
        const underLoadN = hardestUnder(found.value, link, load);
        const ofHardest = underLoadN / carriedN(hardest.get(link));
        return underLoadN > NOTHING_N && lengthOf(forceN) > NOTHING_N
          ? [
              {
                place,
                end,
                link,
                load,
                share: lengthOf(forceN) / underLoadN,
                ofHardest,
                forceN: turnBack(motion, forceN),
              },
            ]
          : [];
      });
    }),
  };
}

const carriedN = (one: HardestForce | undefined): number => (one ? Math.max(one.pullN, one.pushN ?? 0) : 0);

function hardestStation(stations: readonly ForcesStation[], load: string, at: ForcesAt) {
  let best: { station: ForcesStation; forces: ReturnType<ForcesAt>; sizeN: number } | undefined;
  for (const station of stations) {
    const forces = at(station.loads.find(({ name }) => name === load)!);
    const sizeN = forces.reduce((sum, { forceN }) => sum + lengthOf(forceN), 0);
    if (!best || sizeN > best.sizeN) best = { station, forces, sizeN };
  }
  return best;
}

/** The force that all forces on the chassis make together, and their moment about a place. */
export function wrenchOf(
  forces: Readonly<Record<string, Vec3>>,
  pointOf: (name: string) => Vec3 | undefined,
  about: Vec3,
): { forceN: Vec3; momentNmm: Vec3 } {
  return Object.entries(forces).reduce<{ forceN: Vec3; momentNmm: Vec3 }>(
    (sum, [name, force]) => {
      const point = pointOf(name);
      if (!point) return sum;
      const [x, y, z] = [point[0] - about[0], point[1] - about[1], point[2] - about[2]];
      return {
        forceN: add(sum.forceN, force),
        momentNmm: add(sum.momentNmm, [
          y * force[2] - z * force[1],
          z * force[0] - x * force[2],
          x * force[1] - y * force[0],
        ]),
      };
    },
    { forceN: [0, 0, 0], momentNmm: [0, 0, 0] },
  );
}

export const opposite = (force: Vec3): Vec3 => scale(force, -1);
