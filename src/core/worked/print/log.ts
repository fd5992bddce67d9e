import type { BuildDocument } from '../../car/document/document';
import { markOf } from '../../base/mark';
import type { Part } from '../../car/parts/parts';
import type { CopyRecord, CopySheet, PrintRecord, PrintSheet } from '../../car/records/prints';
import { listedAs, quantityOf } from './sources';

/** The copies that a finished print leaves. */
export function copiesOf({ id, how, items, endedAt, queuedAt, massG }: PrintSheet): CopySheet[] {
  const expected = items.reduce((sum, item) => sum + (item.massG ?? 0), 0);
  const weighed =
    massG !== undefined && expected > 0 && items.every((item) => item.massG !== undefined)
      ? massG / expected
      : 1;
  return items.map(({ copyId, massG: own, ...item }) => ({
    id: copyId,
    ...item,
    how,
    madeAt: endedAt ?? queuedAt,
    printId: id,
    ...(own === undefined ? {} : { massG: Number((own * weighed).toPrecision(6)) }),
  }));
}

/** How many copies of a part the car needs, are good, and are on their way. */
export interface Owed {
  part: Part;
  needs: number;
  has: number;
  coming: number;
  owed: number;
}

/** What is due: parts that are printed for this car and of which too few final copies are good and as drawn, or on their way. */
export function owedOf({ document, revisions, prints, copies }: PrintedOnRecord): Owed[] {
  return printedParts(document).map((part) => {
    const needs = quantityOf(document, part);
    const has = copiesAsDrawn(copies, part, revisions).length;
    const coming = prints
      .filter(({ state, how }) => how === 'final' && (state === 'queued' || state === 'printing'))
      .flatMap(({ items, revisionId }) =>
        items.filter(
          (item) => item.partId === part.id && isAsDrawn({ ...item, revisionId }, part, revisions),
        ),
      ).length;
    return { part, needs, has, coming, owed: Math.max(0, needs - has - coming) };
  });
}

/** What a build has printed, and in which revisions. */
export interface PrintedOnRecord {
  document: BuildDocument;
  revisions: readonly { id: string; document: BuildDocument }[];
  prints: readonly PrintRecord[];
  copies: readonly CopyRecord[];
}

/** Mark of all that makes one copy of a part another thing than the next: its mesh, its dimensions, its material and how it is printed. */
export const designMark = ({ mesh, shape, material, layers, perimeters, lineMm, infill }: Part): string =>
  markOf({
    mesh: mesh && { hash: mesh.hash, unitMm: mesh.unitMm, up: mesh.up },
    shape,
    material: material?.name,
    layers,
    perimeters,
    lineMm,
    infill,
  });

/** Whether a copy was printed from the part as it is drawn now; of one that does not say, as its revision has it. */
function isAsDrawn(
  { design, revisionId }: Pick<CopyRecord, 'design' | 'revisionId'>,
  part: Part,
  revisions: PrintedOnRecord['revisions'],
): boolean {
  const made = madeAs({ design, revisionId, partId: part.id }, revisions);
  return made === undefined || made === designMark(part);
}

/** Mark of the drawing that a copy was made from; of one that does not say, as its revision has it. */
export function madeAs(
  { design, revisionId, partId }: Pick<CopyRecord, 'design' | 'revisionId' | 'partId'>,
  revisions: PrintedOnRecord['revisions'],
): string | undefined {
  const then = revisions
    .find(({ id }) => id === revisionId)
    ?.document.parts.items.find(({ id }) => id === partId);
  return design ?? (then && designMark(then));
}

/** Final copies of a part that were not given up and are what it is drawn as now. */
export const copiesAsDrawn = (
  copies: readonly CopyRecord[],
  part: Part,
  revisions: PrintedOnRecord['revisions'],
): CopyRecord[] => goodCopies(copies, part.id).filter((copy) => isAsDrawn(copy, part, revisions));

/** Final copies of a part that were not given up. */
export const goodCopies = (copies: readonly CopyRecord[], partId: string): CopyRecord[] =>
  copies.filter((copy) => copy.partId === partId && copy.how === 'final' && copy.retiredAt === undefined);

export const printedParts = (document: BuildDocument): Part[] =>
  document.parts.items.filter((part) => listedAs(document, part).source === 'printed');
