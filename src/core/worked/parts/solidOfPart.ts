import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import { markOf, roundedMarkOf } from '../../base/mark';
import type { Part, PartPull } from '../../car/parts/parts';
import type { FemSettings } from '../../physics/fem/definition';
import { type Vec3, scale, unit } from '../../base/vec3';
import { casesOfBuild } from './casesOfBuild';
import { strengthOf } from './materialOfBuild';
import { forceOf } from './forceOnPart';
import { USUAL_LINE_MM } from './partSection';
import type { Assembled } from '../../base/assembled';

/** What a solid analysis of a part is made from, or what is still needed. */
export function femOfPart(
  document: BuildDocument,
  surface: ChosenSurface | undefined,
  { id, mesh, material, perimeters, lineMm = USUAL_LINE_MM, infill = 1, temperatureC }: Part,
): Assembled<FemSettings> {
  const missing = [
    ...(mesh ? [] : [`parts.items.${id}.mesh`]),
    ...(material ? [] : [`parts.items.${id}.material`]),
    ...((mesh?.held ?? []).length > 0 ? [] : [`parts.items.${id}.mesh.held`]),
    ...((mesh?.pulls ?? []).length > 0 ? [] : [`parts.items.${id}.mesh.pulls`]),
  ];
  if (!mesh || !material || missing.length > 0) return { ok: false, missing };
  const cases = casesOfBuild(document, surface);
  if (!cases.ok) return cases;
  const pulls = mesh.pulls!.map((pull) => ({ pull, force: forceOf(pull, cases.value) }));
  if (pulls.some(({ force }) => !force))
    return { ok: false, missing: [`parts.items.${id}.mesh.pulls:force`] };
  return {
    ok: true,
    value: {
      ...(mesh.voxelMm === undefined ? { targetVoxels: USUAL_PART_VOXELS } : { voxelMm: mesh.voxelMm }),
      material: strengthOf(material),
      buildDirection: mesh.up,
      fixed: mesh.held!.map(({ min, max }) => ({ min, max })),
      loads: pulls.map(({ pull: { min, max, direction }, force }) => ({
        min,
        max,
        forceN: scale(unit(direction), force!.forceN) as Vec3,
      })),
      ...(perimeters === undefined || infill >= 1 ? {} : { shell: { wallMm: perimeters * lineMm, infill } }),
      ...(temperatureC === undefined ? {} : { temperatureC }),
    },
  };
}

const USUAL_PART_VOXELS = 20_000;

/** A load case of a solid, and what it is solved from. */
export interface FemCase extends PullCase {
  settings: FemSettings;
}

/** What pulls at once: a case of the build, or all links when the wheel meets something. */
export type PullCase = Pick<PartPull, 'from' | 'end' | 'load'>;

/** Whether two pulls act together. */
export const isSameCase = (a: PullCase, b: PullCase): boolean =>
  a.from === b.from && a.end === b.end && a.load === b.load;

/** The first pull of each case, in the order of the pulls. */
export const firstOfCases = (pulls: readonly PartPull[]): PartPull[] =>
  pulls.filter((pull, at) => pulls.findIndex((one) => isSameCase(one, pull)) === at);

/** The case of a pull, without its force. */
const caseOf = ({ from, end, load }: PartPull): PullCase => ({
  from,
  ...(end === undefined ? {} : { end }),
  ...(load === undefined ? {} : { load }),
});

/** Each load case by itself: what comes from one case pulls at once, what comes from another at another time. */
export function femCasesOfPart(
  document: BuildDocument,
  surface: ChosenSurface | undefined,
  part: Part,
): Assembled<FemCase[]> {
  const all = femOfPart(document, surface, part);
  if (!all.ok) return all;
  const pulls = part.mesh!.pulls!;
  const settings = all.value;
  return {
    ok: true,
    value: firstOfCases(pulls).map((pull) => ({
      ...caseOf(pull),
      settings: { ...settings, loads: settings.loads.filter((_, at) => isSameCase(pulls[at]!, pull)) },
    })),
  };
}

/** A mark of everything a solid analysis depends on. */
export function solidMark(
  document: BuildDocument,
  surface: ChosenSurface | undefined,
  part: Part,
): string | undefined {
  const settings = femOfPart(document, surface, part);
  if (!settings.ok || !part.mesh) return undefined;
  const { hash, unitMm, pulls = [] } = part.mesh;
  const mark = pulls.some(({ from }) => from === 'link') ? roundedMarkOf : markOf;
  return mark({ hash, unitMm, settings: settings.value });
}

/** A mark of what the corners and holes of a part do to it, whatever it is made of. */
export const shapeMark = ({ mesh }: Part): string =>
  markOf({ hash: mesh?.hash, unitMm: mesh?.unitMm, held: mesh?.held, pulls: mesh?.pulls });

export const solidIsCurrent = (
  document: BuildDocument,
  surface: ChosenSurface | undefined,
  part: Part,
): boolean => part.mesh?.solid !== undefined && part.mesh.solid.of === solidMark(document, surface, part);
