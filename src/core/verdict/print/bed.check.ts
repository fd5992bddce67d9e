import { finding, working } from '../../base/finding';
import { type Measure, measure } from '../../base/measure';
import type { Vec3 } from '../../base/vec3';
import type { PartLies } from '../../car/parts/parts';
import type { Misfit } from '../../physics/printing/misfit';
import { liesMark } from '../../worked/print/lies';
import { printedParts } from '../../worked/print/log';
import { type Lying, lyingParts, misfitsOf } from '../../worked/print/misfits';
import { defineCheck, type Found, type Proposal } from '../engine/check';

declare module '../../base/finding' {
  interface FindingFacts {
    'print.bed.fits': { parts: number; printers: number; printer: string; withoutMesh: number };
    'print.bed.misfit': { part: string; withoutMesh: number } & Omit<Misfit, 'id'>;
    'remedy.stand': { part: string; size: readonly [Measure, Measure, Measure] };
  }
  interface WorkingFacts {
    'print.bed': { name: string; bedWidthMm: number; bedDepthMm: number; bedHeightMm: number }[];
  }
}

/** Every part fits one of the beds. */
export const bed = defineCheck({
  id: 'print.bed',
  at: { segment: 'print', side: 'tonight' },
  anySurface: true,
  quantity: 'count',
  kind: 'ceiling',
  find: ({ document }): Found => {
    const lying = lyingParts(document);
    const printers = document.print.printers ?? [];
    if (printers.length === 0 || lying.length === 0)
      return {
        missing: [
          ...(printers.length === 0 ? ['print.printers'] : []),
          ...(lying.length === 0 ? ['parts.items:sizes'] : []),
        ],
      };
    const out = misfitsOf(document, lying);
    const withoutMesh = printedParts(document).length - lying.length;
    const first = out[0];
    return {
      ...(first ? { value: out.length } : {}),
      state: first ? 'over' : 'clear',
      finding: first
        ? finding('print.bed.misfit', {
            part: lying.find(({ part }) => part.id === first.id)!.part.name,
            withoutMesh,
            reason: first.reason,
            diagonalFits: first.diagonalFits,
            splitPieces: first.splitPieces,
          })
        : finding('print.bed.fits', {
            parts: lying.length,
            printers: printers.length,
            printer: printers[0]!.name,
            withoutMesh,
          }),
      working: working(
        'print.bed',
        printers.map(({ name, bedWidthMm, bedDepthMm, bedHeightMm }) => ({
          name,
          bedWidthMm,
          bedDepthMm,
          bedHeightMm,
        })),
      ),
    };
  },
  remedies: ({ document }) => {
    const lying = lyingParts(document);
    const out = new Set(misfitsOf(document, lying).map(({ id }) => id));
    return lying.filter(({ part }) => out.has(part.id)).flatMap((one) => turnsFor(one));
  },
  provenBy: { run: 'look', how: 'layOnBed' },
  supports: [],
});

const AXES: readonly { up: Vec3; order: readonly [0 | 1 | 2, 0 | 1 | 2, 0 | 1 | 2] }[] = [
  { up: [1, 0, 0], order: [2, 1, 0] },
  { up: [0, 1, 0], order: [0, 2, 1] },
];

/** The quarter turns of a part that lies along its own axes, with the box that each gives. */
function quarterTurns({ part, lies }: Lying): { up: Vec3; lies: PartLies }[] {
  const mesh = part.mesh!;
  if (mesh.up[0] !== 0 || mesh.up[1] !== 0) return [];
  return AXES.map(({ up, order }) => ({
    up,
    lies: {
      ...lies,
      of: liesMark({ ...mesh, up }),
      sizeMm: order.map((axis) => lies.sizeMm[axis]) as unknown as PartLies['sizeMm'],
    },
  }));
}

function turnsFor(lying: Lying): Proposal[] {
  const { part } = lying;
  const at = (...keys: string[]) => ['parts', 'items', part.id, ...keys];
  return quarterTurns(lying).map(({ up, lies: after }) => {
    const [width, depth, height] = after.sizeMm.map((one) => measure(one, 'lengthMm')) as [
      Measure,
      Measure,
      Measure,
    ];
    return {
      patch: [
        { path: at('mesh', 'up'), value: up },
        { path: at('mesh', 'lies'), value: after },
        ...(part.layers ? [{ path: at('layers'), value: part.layers === 'along' ? 'across' : 'along' }] : []),
      ],
      cost: 1,
      says: finding('remedy.stand', { part: part.name, size: [width, depth, height] }),
    };
  });
}
