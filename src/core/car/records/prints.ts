export const PRINT_HOWS = ['draft', 'final'] as const;
export type PrintHow = (typeof PRINT_HOWS)[number];

export const PRINT_STATES = ['queued', 'printing', 'finished', 'failed'] as const;
export type PrintState = (typeof PRINT_STATES)[number];

/** One copy that comes off a plate; its id is made where the print is queued. */
export interface PrintItem {
  copyId: string;
  /** Mark of the part as it was drawn then. */
  design?: string;
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
  /** Mark of the part as it was drawn then. */
  design?: string;
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
