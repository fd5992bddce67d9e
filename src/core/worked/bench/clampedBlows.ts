import { CalcError, type Refused } from '../../base/errors';
import { GRAVITY } from '../../base/constants';
import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import type { ClampedBlow, MeasuredBlows } from '../../car/records/benchReport';
import type { RunRecord } from '../../car/records/records';
import { impactStaircase, type StaircaseResult } from '../../physics/bench/staircase';
import { blowEnergyJ } from '../../physics/bench/blow';
import { massWithPayloadKg } from '../motion/runOfBuild';
import { energyToBreakJ } from '../parts/stiffOrTough';
import { partStrength } from '../parts/partStrength';

/** Blows on one variant in the order in which they fell, J. */
export interface VariantBlows {
  name: string;
  partId?: string;
  blows: { energyJ: number; broke: boolean; bentMm?: number }[];
}

export type BlowsTold =
  | { ok: true; result: StaircaseResult; variants: VariantBlows[]; predictedOf?: string }
  | { ok: false; refused: Refused; name: string };

type OfRun = Pick<RunRecord, 'id' | 'report'>;

/** Every variant that was clamped and hit, sessions of one name pooled; nothing where none was. */
export function clampedBlows(
  document: BuildDocument,
  surface: ChosenSurface | undefined,
  runs: readonly OfRun[],
): BlowsTold | undefined {
  const pooled = new Map<string, { partId?: string; blows: ClampedBlow[] }>();
  for (const { id, report } of runs)
    for (const { name, partId, blows } of report?.blows?.variants ?? []) {
      const known = pooled.get(name);
      const own = blows.map((blow) => ({ ...blow, ...copyOf(blow, id) }));
      pooled.set(name, {
        ...((partId ?? known?.partId) ? { partId: partId ?? known!.partId! } : {}),
        blows: [...(known?.blows ?? []), ...own],
      });
    }
  const hit = [...pooled].filter(([, { blows }]) => blows.length > 0);
  if (hit.length === 0) return undefined;
  const massShare = runs.findLast(({ report }) => report?.blows?.massShare)?.report?.blows?.massShare;
  const carMassKg = massWithPayloadKg(document);
  const predicted = predictedFor(document, surface, hit[0]![1].partId);
  try {
    const result = impactStaircase({
      variants: hit.map(([name, { blows }]) => ({ id: name, blows })),
      ...(carMassKg === undefined ? {} : { carMassKg }),
      ...(massShare === undefined ? {} : { massShare }),
      ...(predicted ? { predicted: { energyJ: predicted.energyJ } } : {}),
    });
    return {
      ok: true,
      result,
      variants: hit.map(([name, { partId, blows }]) => ({
        name,
        ...(partId === undefined ? {} : { partId }),
        blows: blows.map((blow) => ({
          energyJ: blowEnergyJ(blow, 'blow'),
          broke: blow.broke,
          ...(blow.bentMm === undefined ? {} : { bentMm: blow.bentMm }),
        })),
      })),
      ...(predicted ? { predictedOf: predicted.name } : {}),
    };
  } catch (error) {
    if (!(error instanceof CalcError)) throw error;
    return { ok: false, refused: error.refused, name: hit[Number(error.path.split('.')[1])]?.[0] ?? '' };
  }
}

/** A copy is the same over all sessions where it has a mark of its own, else within its session. */
const copyOf = ({ part, copyId }: ClampedBlow, runId: string) =>
  copyId !== undefined ? { part: copyId } : part === undefined ? {} : { part: `${runId} ${part}` };

/** Work that bends the part of the document until it breaks under its worst load. */
function predictedFor(
  document: BuildDocument,
  surface: ChosenSurface | undefined,
  partId: string | undefined,
): { energyJ: number; name: string } | undefined {
  const part = document.parts.items.find(({ id }) => id === partId);
  if (!part?.material) return undefined;
  const found = partStrength(document, surface, part);
  if (!found.ok) return undefined;
  const energyJ = energyToBreakJ(found.value.worst, part.material, part.layers === 'across');
  return energyJ === undefined ? undefined : { energyJ, name: part.name };
}

/** The height, mm, or the angle from hanging, degrees, that gives a blow its energy; nothing where no swing reaches it. */
export function settingFor(
  { way = 'drop', dropMassKg, hammerKg, armMm }: MeasuredBlows,
  energyJ: number,
): number | undefined {
  if (way === 'energy') return energyJ;
  if (way === 'drop') return dropMassKg === undefined ? undefined : (1000 * energyJ) / (dropMassKg * GRAVITY);
  if (hammerKg === undefined || armMm === undefined) return undefined;
  const cosine = 1 - energyJ / (hammerKg * GRAVITY * (armMm / 1000));
  return cosine < -1 ? undefined : (Math.acos(cosine) * 180) / Math.PI;
}

/** A blow by what was set: height, angle or energy; nothing while the way lacks its mass or arm. */
export function blowOf(
  { way = 'drop', dropMassKg, hammerKg, armMm }: MeasuredBlows,
  setting: number,
): Pick<ClampedBlow, 'energyJ' | 'dropMassKg' | 'heightMm' | 'hammerKg' | 'armMm' | 'angleDeg'> | undefined {
  if (way === 'energy') return { energyJ: setting };
  if (way === 'drop') return dropMassKg === undefined ? undefined : { dropMassKg, heightMm: setting };
  return hammerKg === undefined || armMm === undefined ? undefined : { hammerKg, armMm, angleDeg: setting };
}
