import type { BuildDocument } from '../../car/document/document';
import type { End } from '../../car/document/suspension';
import type { Vec3 } from '../../base/vec3';
import type { Corner } from '../../physics/corner/corner';
import { linkageOf } from '../../physics/corner/linkage';
import { slopesAt, suspensionSweep } from '../../physics/corner/sweep';
import type { Station } from '@/core/physics/corner/station';
import { endOf, type EndOfBuild } from './endOfBuild';
import { rideOf } from './rideOfBuild';

/** Where the springs hold one end. */
export interface RestOfEnd {
  /** Of the wheel from where it is drawn, up positive, mm; 0 while springs or mass are not known. */
  travelMm: number;
  /** Whether springs and mass say so. */
  sprung: boolean;
  station: Station;
  /** Toe over travel there, degrees a millimetre. */
  bumpSteerDegPerMm: number;
  /** The same corner with its points and angles at rest, standing on the ground. */
  corner: Corner;
}

const known = new WeakMap<EndOfBuild, RestOfEnd>();

/**
 * The pose in which the springs hold an end: sag from full droop, between the stops and as far as the linkage reaches. Everything
 * that is read at rest is read there.
 */
export function restOf(document: BuildDocument, end: End): RestOfEnd | undefined {
  const found = endOf(document, end);
  if (!found.ok) return undefined;
  const kept = known.get(found.value);
  if (kept) return kept;
  const rest = workOut(document, end, found.value);
  known.set(found.value, rest);
  return rest;
}

function workOut(
  document: BuildDocument,
  end: End,
  { corner, bumpMm, droopMm, sweep }: EndOfBuild,
): RestOfEnd {
  const ride = rideOf(document, end);
  const asked = ride.ok ? Math.min(bumpMm, ride.value.ride.sagMm - droopMm) : 0;
  const reached = sweep.stations.map(({ travelMm }) => travelMm);
  const travelMm = Math.min(Math.max(asked, Math.min(...reached)), Math.max(...reached));
  const drawn = sweep.stations.find((station) => station.travelMm === 0)!;
  const station =
    travelMm === 0 ? drawn : (suspensionSweep({ ...corner, travelMm: [travelMm] }).stations[0] ?? drawn);
  return {
    travelMm: station.travelMm,
    sprung: ride.ok,
    station,
    bumpSteerDegPerMm:
      station.travelMm === 0
        ? sweep.bumpSteerDegPerMm
        : slopesAt(linkageOf(corner), station.travelMm).bumpSteerDegPerMm,
    corner: standing(corner, station),
  };
}

/** A corner drawn anew where a station has it, the ground under its wheel. */
function standing(drawn: Corner, { points, travelMm, camberDeg, toeDeg }: Station): Corner {
  if (travelMm === 0) return drawn;
  // what springs it is no part of what stands
  const { damper: _, rocker: __, ...corner } = drawn;
  const { contact: ___, ...own } = points;
  const lowered = Object.fromEntries(
    Object.entries(own).map(([name, [x, y, z]]) => [name, [x, y, z - travelMm] satisfies Vec3]),
  );
  return { ...corner, ...lowered, staticCamberDeg: camberDeg, staticToeDeg: toeDeg } as Corner;
}
