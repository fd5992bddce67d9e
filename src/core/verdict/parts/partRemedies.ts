import { PART_KIND_RECORDS } from '../../car/parts/partKinds';
import type { Part } from '../../car/parts/parts';
import type { Proposal } from '../engine/check';
import { heightForMargin2 } from '../../physics/strength/beam';
import { bossCheck } from '../../physics/strength/boss';
import { hasLayers, strengthOf } from '../../worked/parts/materialOfBuild';
import type { LoadedPart } from '@/core/worked/parts/loadedPart';
import { TYPICAL_MATERIALS, type TypicalMaterialId } from '../../car/material/typicalMaterials';

/** Materials that are proposed in place of another, from the easy to the far. */
const TRIED: readonly TypicalMaterialId[] = ['petg', 'nylon', 'polycarbonate', 'nylonCarbon', 'aluminium'];
const [STEP_MM, THICKER] = [0.5, 1.3];
const FLANGE = { height: 3, thickness: 2.4 };
const MORE_PERIMETERS = 2;
const ROUNDER = 3;
const WANTED_MARGIN = 2;
const DEEPER = 1.5;
/** A part is made no thicker than this many times: then it is another part. */
const MOST_TIMES = 4;

/** What would help a part: turned on the bed, thicker, flanged, of another material, filled, or its screws held otherwise. */
export function partRemedies(part: Part, worst: LoadedPart): Proposal[] {
  const { id, shape, layers, material, perimeters, infill = 1 } = part;
  if (!material) return [];
  const at = (...keys: string[]) => ['parts', 'items', id, ...keys];
  const turned: Proposal[] =
    layers === 'across' && hasLayers(material)
      ? [
          {
            patch: [{ path: at('layers'), value: 'along' }],
            cost: 1,
          },
        ]
      : [];
  const filled: Proposal[] =
    perimeters !== undefined && infill < 1
      ? [
          {
            patch: [{ path: at('perimeters'), value: perimeters + MORE_PERIMETERS }],
            cost: 1,
          },
          { patch: [{ path: at('infill'), value: 1 }], cost: 1 },
        ]
      : [];
  const others: Proposal[] = TRIED.filter(
    (one) =>
      TYPICAL_MATERIALS[one].name !== material.name &&
      TYPICAL_MATERIALS[one].inPlaneStrengthMpa > material.inPlaneStrengthMpa,
  ).map((one) => ({
    patch: [{ path: at('material'), value: { libraryId: `material-${one}`, ...TYPICAL_MATERIALS[one] } }],
    cost: one === 'aluminium' ? 3 : 2,
  }));
  if (!shape || worst.depth === 'solid') return [...filled, ...others];
  if (shape.as === 'boss') return [...held(part, worst, at), ...filled, ...others];
  return [
    ...turned,
    ...rounder(part, at),
    ...turnedAndThicker(part, worst, turned, at),
    ...thicker(part, worst, at),
    ...filled,
    ...others,
  ];
}

type At = (...keys: string[]) => string[];

/** Three times the fillet, where it grows out of a wider body. */
function rounder({ shape }: Part, at: At): Proposal[] {
  const { rootMm, filletMm } = shape!;
  if (rootMm === undefined || filletMm === undefined) return [];
  return [
    {
      patch: [{ path: at('shape', 'filletMm'), value: Number((ROUNDER * filletMm).toPrecision(3)) }],
      cost: 1,
    },
  ];
}

/** Where turning alone is not enough: the height that bears the load twice over with the layers along it. */
function turnedAndThicker(
  { shape, material }: Part,
  worst: LoadedPart,
  turned: readonly Proposal[],
  at: At,
): Proposal[] {
  const { heightMm } = shape!;
  if (turned.length === 0 || heightMm === undefined || worst.load?.bends === 'sideways') return [];
  const { inPlaneStrengthMpa, interlayerStrengthMpa = inPlaneStrengthMpa } = material!;
  const along = (worst.margin * inPlaneStrengthMpa) / interlayerStrengthMpa;
  const next = Math.ceil((heightMm * Math.sqrt(WANTED_MARGIN / along)) / STEP_MM) * STEP_MM;
  return next <= heightMm || next > MOST_TIMES * heightMm
    ? []
    : [
        {
          patch: [...turned[0]!.patch, { path: at('shape', 'heightMm'), value: next }],
          cost: 1,
        },
      ];
}

function thicker({ kind, shape }: Part, worst: LoadedPart, at: At): Proposal[] {
  const { heightMm, profile, as } = shape!;
  if (heightMm === undefined) return [];
  const wanted =
    as === 'beam' && worst.upright && profile !== 'flanged'
      ? heightForMargin2(worst.upright.beam) * Math.sqrt(worst.upright.raised)
      : heightMm * THICKER;
  const next = Math.ceil(wanted / STEP_MM) * STEP_MM;
  const sideways = worst.load?.bends === 'sideways' && shape!.widthMm !== undefined;
  const sound = sideways || next <= MOST_TIMES * heightMm;
  const wide = sideways ? Math.ceil((shape!.widthMm! * THICKER) / STEP_MM) * STEP_MM : 0;
  return [
    ...(sideways
      ? [{ patch: [{ path: at('shape', 'widthMm'), value: wide }], cost: 2 as const }]
      : sound
        ? [{ patch: [{ path: at('shape', 'heightMm'), value: next }], cost: 2 as const }]
        : []),
    ...(profile === 'plate' && as === 'beam' && PART_KIND_RECORDS[kind].plate
      ? [
          {
            patch: [
              { path: at('shape', 'profile'), value: 'flanged' },
              { path: at('shape', 'wallMm'), value: FLANGE.thickness },
              { path: at('shape', 'flangeMm'), value: heightMm * FLANGE.height },
            ],
            cost: 2 as const,
          },
        ]
      : []),
  ];
}

function held({ shape, material, layers }: Part, worst: LoadedPart, at: At): Proposal[] {
  const { screwMm, engagementMm, wallMm, screws = 1, screwKind = 'screwInPlastic' } = shape!;
  if (screwMm === undefined || engagementMm === undefined || wallMm === undefined) return [];
  const { best } = bossCheck({
    screwMm,
    engagementMm,
    wallMm,
    material: strengthOf(material!),
    layers: layers === 'across' ? 'acrossAxis' : 'alongAxis',
    forceN: worst.forceN / screws,
  });
  return [
    ...(best === screwKind
      ? []
      : [
          {
            patch: [{ path: at('shape', 'screwKind'), value: best }],
            cost: 2 as const,
          },
        ]),
    {
      patch: [{ path: at('shape', 'screws'), value: screws + 1 }],
      cost: 2,
    },
    {
      patch: [{ path: at('shape', 'engagementMm'), value: engagementMm * DEEPER }],
      cost: 2,
    },
  ];
}
