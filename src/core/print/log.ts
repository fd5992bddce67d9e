import type { BuildDocument } from '../build/document';
import type { Part } from '../build/parts';
import { printCalibrate, type CalibrateResult } from './calibrate';
import type { PrintHow } from './printed';
import { listedAs, quantityOf } from './sources';

export const PRINT_STATES = ['queued', 'printing', 'finished', 'failed'] as const;
export type PrintState = (typeof PRINT_STATES)[number];

/** One copy that comes off a plate; its id is made where the print is queued. */
export interface PrintItem {
  copyId: string;
  partId?: string;
  partName: string;
  material?: string;
  massG?: number;
}

/** One plate in the queue or in the log. */
export interface PrintSheet {
  id: string;
  state: PrintState;
  how: PrintHow;
  printer: string;
  items: PrintItem[];
  /** At a calibration of 1. */
  estimateS?: number;
  /** ISO 8601. */
  queuedAt: string;
  startedAt?: string;
  endedAt?: string;
  actualS?: number;
  /** Weighed, of the whole plate. */
  massG?: number;
  /** Why it failed. */
  why?: string;
}

export interface PrintRecord extends PrintSheet {
  revisionId: string;
}

/** Where a copy is measured for wear; a bore grows, the others shrink. */
export const WEAR_PLACES = ['tooth', 'pin', 'bore'] as const;
export type WearPlace = (typeof WEAR_PLACES)[number];

/** A caliper held to a copy after so many hours. */
export interface WearReading {
  id: string;
  at: string;
  of: WearPlace;
  valueMm: number;
  hours: number;
  /** At which it is spent, where the builder says so. */
  limitMm?: number;
}

/** One physical copy of a part with what became of it. */
export interface CopySheet {
  id: string;
  partId?: string;
  partName: string;
  how: PrintHow;
  material?: string;
  massG?: number;
  /** ISO 8601. */
  madeAt: string;
  printId?: string;
  /** Glued, filed, cracked before: what was done to it. */
  repairs?: { id: string; at: string; what: string }[];
  readings?: WearReading[];
  retiredAt?: string;
  retiredWhy?: string;
}

export interface CopyRecord extends CopySheet {
  revisionId: string;
}

/** The copies that a finished print leaves. */
export function copiesOf({ id, revisionId, how, items, endedAt, queuedAt, massG }: PrintRecord): CopyRecord[] {
  const expected = items.reduce((sum, item) => sum + (item.massG ?? 0), 0);
  const weighed = massG !== undefined && expected > 0 && items.every((item) => item.massG !== undefined) ? massG / expected : 1;
  return items.map(({ copyId, massG: own, ...item }) => ({ id: copyId, ...item, revisionId, how, madeAt: endedAt ?? queuedAt, printId: id, ...(own === undefined ? {} : { massG: Number((own * weighed).toPrecision(6)) }) }));
}

/** What the finished prints of one printer say of the estimate; none while there are none. */
export function calibrationOf(prints: readonly PrintSheet[], printer: string): (CalibrateResult & { n: number }) | undefined {
  const done = prints.flatMap(({ state, printer: on, estimateS, actualS }) => (state === 'finished' && on === printer && estimateS !== undefined && actualS !== undefined ? [{ estimateS, actualS }] : []));
  return done.length === 0 ? undefined : { ...printCalibrate({ prints: done }), n: done.length };
}

/** What the workshop's prints say of the first printer of a build; those of the build itself as they stand now. */
export function calibrationOfBuild({ print }: Pick<BuildDocument, 'print'>, prints: readonly PrintSheet[], finished: readonly PrintSheet[]): ReturnType<typeof calibrationOf> {
  const printer = print.printers?.[0];
  const known = new Set(prints.map(({ id }) => id));
  return printer && calibrationOf([...prints, ...finished.filter(({ id }) => !known.has(id))], printer.name);
}

/** How many copies of a part the car needs, are good, and are on their way. */
export interface Owed {
  part: Part;
  needs: number;
  has: number;
  coming: number;
  owed: number;
}

/** What is due: parts that are printed for this car and of which too few final copies are good or on their way. */
export function owedOf(document: BuildDocument, prints: readonly PrintRecord[], copies: readonly CopyRecord[]): Owed[] {
  return printedParts(document).map((part) => {
    const needs = quantityOf(document, part);
    const has = goodCopies(copies, part.id).length;
    const coming = prints.filter(({ state, how }) => how === 'final' && (state === 'queued' || state === 'printing')).flatMap(({ items }) => items).filter(({ partId }) => partId === part.id).length;
    return { part, needs, has, coming, owed: Math.max(0, needs - has - coming) };
  });
}

/** Final copies of a part that were not given up. */
export const goodCopies = (copies: readonly CopyRecord[], partId: string): CopyRecord[] => copies.filter((copy) => copy.partId === partId && copy.how === 'final' && copy.retiredAt === undefined);

export const printedParts = (document: BuildDocument): Part[] => document.parts.items.filter((part) => listedAs(document, part).source === 'printed');

