import type { Assembled } from '../../base/assembled';
import { CalcError } from '../../base/errors';
import type { Vec3 } from '../../base/vec3';
import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import { type GroupedJoint, type GroupWay, screwsIn } from '../../car/document/print';
import type { Part } from '../../car/parts/parts';
import type { FastenerShareInput, FastenerShareResult, GroupScrew } from '../../physics/fasteners/definition';
import { fastenerShare } from '../../physics/fasteners/share';
import { casesOfBuild } from './casesOfBuild';
import { CASE_NEEDS, forceOf, type ForceOnPart } from './forceOnPart';
import { hasLayers, strengthOf } from './materialOfBuild';

/** A group of screws under its load. */
export interface JudgedGroup {
  input: FastenerShareInput;
  shared: FastenerShareResult;
  force: ForceOnPart;
}

/** Thickness of a clamped part whose own is not known, mm. */
const USUAL_CLAMPED_MM = 4;

/** Where the screws of a group stand: one in the middle, two on a line, three in a triangle, more in two rows. */
export function patternOf(
  count: number,
  alongMm: number,
  acrossMm: number,
): readonly (readonly [number, number])[] {
  const [x, y] = [alongMm / 2, acrossMm / 2];
  if (count === 1) return [[0, 0]];
  if (count === 2)
    return x > 0
      ? [
          [x, 0],
          [-x, 0],
        ]
      : [
          [0, y],
          [0, -y],
        ];
  if (count === 3)
    return [
      [x, y],
      [x, -y],
      [-x, 0],
    ];
  const left = Math.ceil(count / 2);
  const row = (of: number, side: number) =>
    Array.from({ length: of }, (_, k) => [of === 1 ? 0 : x - (2 * x * k) / (of - 1), side] as const);
  return [...row(left, y), ...row(count - left, -y)];
}

/** How layers lie to a screw: one through a part that lies flat stands across them, one in a boss as the boss says. */
function layersOfScrews({ layers, material, shape }: Part): FastenerShareInput['layers'] {
  if (!material || !hasLayers(material)) return 'alongAxis';
  const across = shape?.as === 'boss' ? layers === 'across' : layers !== 'across';
  return across ? 'acrossAxis' : 'alongAxis';
}

const WAYS: Readonly<Record<GroupWay, Vec3>> = { off: [0, 0, 1], along: [1, 0, 0], across: [0, 1, 0] };

/** What every screw of a joint carries and withstands, or what is missing. */
export function groupOfJoint(
  document: BuildDocument,
  surface: ChosenSurface | undefined,
  joint: GroupedJoint,
): Assembled<JudgedGroup> {
  const { id, group, diameterMm, lengthMm, insertMm, hold = 'screwInPlastic' } = joint;
  const count = screwsIn(joint);
  const at = (key: string) => `print.joints.${id}.${key}`;
  const part = document.parts.items.find((one) => one.id === joint.part);
  const clamped = document.parts.items.find((one) => one.id === joint.to);
  const cases = casesOfBuild(document, surface);
  if (!cases.ok) return cases;
  const force = forceOf(group, cases.value);
  const thicknessMm = clamped?.shape?.heightMm ?? USUAL_CLAMPED_MM;
  const { alongMm = 0, acrossMm = 0, from, overMm = 0, aheadMm = 0 } = group;
  const engagementMm = hold === 'throughBolt' ? undefined : (lengthMm ?? 0) - thicknessMm;
  const missing = [
    ...(part?.material ? [] : [part ? `parts.items.${part.id}.material` : at('part')]),
    ...(diameterMm === undefined ? [at('diameterMm')] : []),
    ...(engagementMm === undefined || engagementMm > 0 ? [] : [at('lengthMm')]),
    ...(count > 1 && alongMm === 0 ? [at('group.alongMm')] : []),
    ...(count > 2 && acrossMm === 0 ? [at('group.acrossMm')] : []),
    ...(force
      ? []
      : [from === 'own' ? at('group.forceN') : from === 'link' ? at('group.link') : CASE_NEEDS[from]]),
  ];
  if (missing.length > 0) return { ok: false, missing };
  const material = part!.material!;
  const way = WAYS[group.way];
  const input: FastenerShareInput = {
    screws: patternOf(count, alongMm, acrossMm).map(([xMm, yMm], k): GroupScrew => ({
      id: String(k + 1),
      xMm,
      yMm,
      diameterMm: diameterMm!,
      kind: hold,
      ...(engagementMm === undefined ? {} : { engagementMm }),
      ...(insertMm === undefined || hold !== 'heatSetInsert' ? {} : { insertDiameterMm: insertMm }),
      ...(insertMm === undefined || hold !== 'nutTrap' ? {} : { nutAcrossFlatsMm: insertMm }),
    })),
    thicknessMm,
    load: {
      forceN: [way[0] * force!.forceN, way[1] * force!.forceN, way[2] * force!.forceN],
      atMm: [aheadMm, 0, overMm],
    },
    material: strengthOf(material),
    layers: layersOfScrews(part!),
    ...(part!.temperatureC === undefined ? {} : { temperatureC: part!.temperatureC }),
  };
  try {
    return { ok: true, value: { input, shared: fastenerShare(input), force: force! } };
  } catch (error) {
    if (!(error instanceof CalcError)) throw error;
    // one screw or one row does not hold what tilts it; a thread that is in no list has no figures
    return {
      ok: false,
      missing: [error.refused.code === 'fastener.tilts' ? at('count:tilts') : at('diameterMm:standard')],
    };
  }
}
