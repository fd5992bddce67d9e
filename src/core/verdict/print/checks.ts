import type { BuildDocument } from '../../car/document/document';
import type { Part, PartLies } from '../../car/document/parts';
import type { CheckDefinition, Proposal } from '../engine/check';
import { liesMark, liesOf } from '../../worked/print/lies';
import { plain } from '../../base/units/plain';
import type { Vec3 } from '../../base/vec3';
import { misfitsOnBeds } from '../../worked/print/beds';
import { makeList, totalsOf } from '../../worked/print/makeList';
import type { Misfit } from '../../physics/printing/plates';
import { printedParts } from '../../worked/print/log';

interface Lying {
  part: Part;
  lies: PartLies;
}

const lyingParts = (document: BuildDocument): Lying[] =>
  printedParts(document).flatMap((part) => {
    const lies = liesOf(part.mesh);
    return lies ? [{ part, lies }] : [];
  });

/** Printed parts that fit none of the build's beds as they lie. */
export function misfitsOf(document: BuildDocument, lying: readonly Lying[] = lyingParts(document)): Misfit[] {
  const printers = document.print.printers ?? [];
  if (printers.length === 0 || lying.length === 0) return [];
  return misfitsOnBeds(
    printers,
    lying.map(({ part, lies }) => ({ id: part.id, sizeMm: lies.sizeMm })),
  );
}

/** What would do for a part that fits no bed, in words. */
export function misfitWords({ reason, diagonalFits, splitPieces }: Misfit): string {
  const why = {
    tooTall: 'is higher than the printer reaches',
    mayNotTurn: 'would fit if it might be turned',
    tooLarge: 'is larger than the bed',
  }[reason];
  const what = diagonalFits
    ? ': lay it aslant, corner to corner'
    : splitPieces > 1
      ? `: split it into ${splitPieces}, or lay it another way up`
      : ': lay it another way up';
  return `${why}${what}`;
}

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

function turnsFor(document: BuildDocument, { part, lies }: Lying): Proposal[] {
  return quarterTurns({ part, lies }).map(({ up, lies: after }) => ({
    text: `Stand ${part.name.toLowerCase()} up: ${after.sizeMm.map((one) => plain(one)).join(' × ')} mm as it lies`,
    patch: [
      { path: ['parts', 'items', part.id, 'mesh', 'up'], value: up },
      { path: ['parts', 'items', part.id, 'mesh', 'lies'], value: after },
      ...(part.layers
        ? [
            {
              path: ['parts', 'items', part.id, 'layers'],
              value: part.layers === 'along' ? 'across' : 'along',
            },
          ]
        : []),
    ],
    cost: 1,
  }));
}

const bed: CheckDefinition = {
  id: 'print.bed',
  segment: 'print',
  title: 'Every part fits a bed',
  short: 'bed',
  anySurface: true,
  quantity: 'count',
  kind: 'ceiling',
  evaluate: ({ document }) => {
    const lying = lyingParts(document);
    const printers = document.print.printers ?? [];
    if (printers.length === 0 || lying.length === 0)
      return {
        missing: [
          ...(printers.length === 0 ? ['printer'] : []),
          ...(lying.length === 0 ? ['part sizes'] : []),
        ],
      };
    const out = misfitsOf(document, lying);
    const nameOf = (id: string) => lying.find(({ part }) => part.id === id)!.part.name;
    const unknown = printedParts(document).length - lying.length;
    const rest = unknown > 0 ? ` ${unknown} more ${unknown === 1 ? 'has' : 'have'} no mesh yet.` : '';
    return {
      ...(out.length > 0 ? { value: out.length } : {}),
      state: out.length > 0 ? 'over' : 'clear',
      why:
        out.length === 0
          ? `${lying.length} parts with a mesh lie on ${printers.length === 1 ? printers[0]!.name.toLowerCase() : `one of ${printers.length} beds`}.${rest}`
          : `${nameOf(out[0]!.id)} ${misfitWords(out[0]!)}.${rest}`,
      working: printers.map((one) => ({
        label: one.name,
        formula: `bed ${plain(one.bedWidthMm)} × ${plain(one.bedDepthMm)} mm, ${plain(one.bedHeightMm)} mm high`,
        source: 'Packing by maximal rectangles, Jylänki 2010',
      })),
    };
  },
  propose: ({ document }) => {
    const lying = lyingParts(document);
    const out = new Set(misfitsOf(document, lying).map(({ id }) => id));
    return lying.filter(({ part }) => out.has(part.id)).flatMap((one) => turnsFor(document, one));
  },
};

const cost: CheckDefinition = {
  id: 'brief.cost',
  segment: 'brief',
  title: 'Cost against the budget',
  short: 'cost',
  anySurface: true,
  quantity: 'price',
  kind: 'ceiling',
  tightUnder: 1.05,
  evaluate: ({ document }) => {
    const { budget } = document.brief;
    const lines = makeList(document);
    const { price, unpriced } = totalsOf(lines);
    const priced = lines.length - unpriced;
    if (budget === undefined || priced === 0)
      return {
        missing: [
          ...(budget === undefined ? ['budget'] : []),
          ...(priced === 0 ? ['a price in the make-or-buy list'] : []),
        ],
      };
    return {
      value: price,
      limit: budget,
      why:
        unpriced > 0
          ? `${unpriced} of ${lines.length} lines of the make-or-buy list have no price yet, so it will be more.`
          : `All ${lines.length} lines of the make-or-buy list have a price.`,
      working: [...lines]
        .filter(({ price: one = 0, quantity }) => one * quantity > 0)
        .sort((a, b) => b.price! * b.quantity - a.price! * a.quantity)
        .slice(0, 5)
        .map(({ name, price: one, quantity }) => ({
          label: name,
          formula: `${quantity} × ${plain(one!, 4)}`,
          value: one! * quantity,
          quantity: 'price' as const,
        })),
    };
  },
  propose: ({ document }) => {
    const dear = makeList(document)
      .filter(({ price = 0, quantity, source }) => price * quantity > 0 && source === 'bought')
      .sort((a, b) => b.price! * b.quantity - a.price! * a.quantity)[0];
    return dear
      ? [
          {
            text: `Salvage ${dear.name.toLowerCase()} from an old car`,
            patch: [
              { path: ['print', 'list', dear.id], value: { ...dear.said, source: 'salvaged', price: 0 } },
            ],
            cost: 2,
          },
        ]
      : [];
  },
};

export const printChecks: readonly CheckDefinition[] = [cost, bed];
