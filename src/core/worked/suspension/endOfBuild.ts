import type { BuildDocument } from '../../car/document/document';
import { tyreAt } from '../../car/tyres/tyres';
import type { End } from '../../car/document/suspension';
import { CalcError, type Refused } from '../../base/errors';
import { type Assembled, missingOf } from '../../base/assembled';
import type { Corner } from '../../physics/corner/corner';
import { suspensionSweep, type SuspensionSweepResult } from '../../physics/corner/sweep';
import type { Station } from '@/core/physics/corner/station';

/** The corner of one end of a build, on its tyre. */
export function cornerOf({ suspension, drive }: BuildDocument, end: End): Assembled<Corner> {
  const corner = suspension[end]?.corner;
  const missing = missingOf({ [`suspension.${end}.corner`]: corner, 'drive.tyre': drive.tyre });
  return missing.length > 0
    ? { ok: false, missing }
    : { ok: true, value: { ...corner!, end, tyreRadiusMm: tyreAt(drive, end)!.radiusMm } };
}

export interface EndOfBuild {
  corner: Corner;
  bumpMm: number;
  droopMm: number;
  /** Of the rack to full lock; 0 at an end that does not steer. */
  lockMm: number;
  /** From full droop to full bump, straight ahead. */
  sweep: SuspensionSweepResult;
}

/** Largest angle of a joint. */
export type Articulations = Readonly<Partial<Record<keyof Station['articulationDeg'], number>>>;

export type EndFound =
  | { readonly ok: true; readonly value: EndOfBuild }
  | { readonly ok: false; readonly missing: readonly string[]; readonly refused?: Refused };

const STATIONS = 11;
const known = new WeakMap<BuildDocument, Partial<Record<End, EndFound>>>();

/** One end of a build through its travel, or what is missing, or at which point it makes no corner; worked out once a document. */
export function endOf(document: BuildDocument, end: End): EndFound {
  const own = known.get(document) ?? {};
  known.set(document, own);
  return (own[end] ??= workOut(document, end));
}

function workOut(document: BuildDocument, end: End): EndFound {
  const corner = cornerOf(document, end);
  if (!corner.ok) return corner;
  const { bumpMm, droopMm } = document.suspension[end] ?? {};
  const missing = missingOf({
    [`suspension.${end}.bumpMm`]: bumpMm,
    [`suspension.${end}.droopMm`]: droopMm,
  });
  if (missing.length > 0) return { ok: false, missing };
  try {
    const sweep = suspensionSweep({ ...corner.value, travelMm: travelsOver(droopMm!, bumpMm!, STATIONS) });
    return {
      ok: true,
      value: {
        corner: corner.value,
        bumpMm: bumpMm!,
        droopMm: droopMm!,
        lockMm: end === 'front' && steers(corner.value) ? (document.suspension.steering?.lockMm ?? 0) : 0,
        sweep,
      },
    };
  } catch (error) {
    if (!(error instanceof CalcError)) throw error;
    return {
      ok: false,
      missing: [`suspension.${end}.corner:moves`],
      refused: error.refused,
    };
  }
}

export const steers = (corner: Corner): boolean =>
  corner.kind === 'wishbones' || corner.kingpinLower !== undefined;

const FIELD_STATIONS = 5;
const fields = new WeakMap<EndOfBuild, Articulations>();

/** How far each joint turns at most, anywhere between full droop and full bump and from lock to lock, degrees from static. */
export function articulationsOf(found: EndOfBuild): Articulations {
  const kept = fields.get(found);
  if (kept) return kept;
  const { corner, droopMm, bumpMm, lockMm, sweep } = found;
  const steered =
    lockMm === 0
      ? []
      : suspensionSweep({
          ...corner,
          travelMm: travelsOver(droopMm, bumpMm, FIELD_STATIONS),
          rackMm: [-lockMm, lockMm],
        }).stations;
  const most: Partial<Record<keyof Station['articulationDeg'], number>> = {};
  for (const { articulationDeg } of [...sweep.stations, ...steered])
    for (const [name, deg] of Object.entries(articulationDeg) as [keyof Articulations, number][])
      most[name] = Math.max(most[name] ?? 0, deg);
  fields.set(found, most);
  return most;
}

/** Evenly from full droop to full bump, rest among them. */
export function travelsOver(droopMm: number, bumpMm: number, count: number): number[] {
  const below = Math.max(1, Math.round(((count - 1) * droopMm) / (droopMm + bumpMm)));
  const above = Math.max(1, count - 1 - below);
  return [
    ...Array.from({ length: below }, (_, i) => -droopMm * (1 - i / below)),
    0,
    ...Array.from({ length: above }, (_, i) => (bumpMm * (i + 1)) / above),
  ];
}
