import type { Patch } from '../../base/patch';
import type { QuantityName } from '../../base/units/quantities';
import type { RunKind } from '../../car/records/runKinds';
import type { BuildOnRecord } from './onRecord';
import type { Worked } from '../../worked/worked';
import type { Exchange } from '../../car/document/exchange';
import type { Finding, Working } from '../../base/finding';
import type { Place, Segment } from './segments';

export type State = 'over' | 'tight' | 'unknown' | 'clear';

/** 1 an adjustment, 2 an exchange, 3 a rebuild. */
export type Cost = 1 | 2 | 3;

/** What a domain offers against a bad check; the engine works out what it does. */
export interface Proposal {
  readonly patch: Patch;
  readonly cost: Cost;
  /** Where the exchange of the patch does not say enough. */
  readonly says?: Finding;
}

/** Where a check stands. */
export interface Standing {
  readonly value?: number;
  readonly margin?: number;
  readonly state: State;
}

export interface Remedy extends Standing {
  readonly patch: Patch;
  /** What the patch exchanges, leaf by leaf. */
  readonly exchanges: readonly Exchange[];
  readonly cost: Cost;
  readonly says?: Finding;
}

/** A value that must stay under its limit, over it, or between two. */
export type CheckKind = 'ceiling' | 'floor' | 'band';

export interface Check extends Standing {
  readonly id: string;
  /** Name of the rail, load or part of the document that it is about. */
  readonly named?: string;
  readonly about?: readonly string[];
  readonly segment: Segment;
  readonly side: string;
  readonly quantity: QuantityName;
  readonly kind: CheckKind;
  /** Figure beyond which nobody counts. */
  readonly countedTo?: number;
  readonly limit?: number;
  /** What was found; none where something is missing or the worker still works it out. */
  readonly finding?: Finding;
  /** Surface that it stands for, where it depends on one. */
  readonly surface?: string;
  /** Paths of the document that it waits for. */
  readonly missing: readonly string[];
  readonly working?: Working;
  readonly remedies: readonly Remedy[];
  /** What went wrong inside, where it is a fault of the program and none of the figures. */
  readonly fault?: Error;
}

/** What a check finds: a figure against its limit, a state of its own, or the paths that are missing. */
export type Found =
  | { readonly missing: readonly string[]; readonly finding?: Finding; readonly fault?: Error }
  | {
      /** None where the finding is no matter of more or less. */
      readonly value?: number;
      readonly limit?: number;
      /** Where it is not limit over value, or value over limit. */
      readonly margin?: number;
      /** Where the state does not follow from limit and value. */
      readonly state?: State;
      readonly finding: Finding;
      readonly working?: Working;
    };

/** The run that shows whether a change of this check was right. */
export interface Proof {
  readonly run: RunKind | 'look';
  /** How to drive or look, by the code of its sentence. */
  readonly how: string;
  /** What is read is the check's own figure. */
  readonly figure?: true;
}

/** One check: everything about it but its words. */
export interface CheckRecord {
  readonly id: string;
  /** Name of the rail, load or part of the document that it is about. */
  readonly named?: string;
  /** Components and parts of the car that it judges, as they are called in space. */
  readonly about?: readonly string[];
  /** The side that shows it. */
  readonly at: Place;
  /** Set where it takes longer than a change on screen may. */
  readonly heavy?: true;
  /** Set where the surface makes no difference. */
  readonly anySurface?: true;
  readonly quantity: QuantityName;
  readonly kind: CheckKind;
  /** Figure beyond which nobody counts. */
  readonly countedTo?: number;
  /** Margin under which it is tight; the workshop may set its own. */
  readonly tightUnder?: number;
  /** Whether a build has what it judges; every build where it is left out. */
  applies?(document: Worked['document']): boolean;
  find(subject: Worked): Found;
  remedies?(subject: Worked): Proposal[];
  readonly provenBy: Proof;
  /** Causes of a failure that a small margin speaks for. */
  readonly supports: readonly string[];
}

/** Checks of the things that a build has: its rails, loads, aids and parts; of heavy ones a page has the faces. */
export interface CheckFamily<T extends CheckFace = CheckRecord> {
  /** First part of the ids. */
  readonly family: string;
  readonly heavy?: true;
  of(document: Worked['document']): readonly T[];
  readonly at: Place;
  readonly quantity: QuantityName;
  readonly kind: CheckKind;
  readonly tightUnder?: number;
  readonly provenBy: Proof;
  readonly supports: readonly string[];
}

export const defineCheck = (record: CheckRecord): CheckRecord => record;

/** What a page needs of a heavy check, which the worker works out. */
export type CheckFace = Omit<CheckRecord, 'find' | 'remedies'>;

export const defineFace = (face: CheckFace & { heavy: true }): CheckFace & { heavy: true } => face;

/** What all checks of a family share. */
export type Shared = Omit<CheckFamily, 'of'> & Pick<CheckRecord, 'anySurface'>;

type OfOne = Pick<CheckRecord, 'id' | 'find'> & Partial<CheckRecord>;
type FaceOfOne = Pick<CheckFace, 'id'> & Partial<CheckFace>;

/** A family by what all its checks share, and what each has of its own. */
export const defineFamily = (
  shared: Shared,
  of: (document: Worked['document']) => readonly OfOne[],
): CheckFamily => familyOf(shared, of);

/** What a page needs of a heavy family. */
export const defineFamilyFace = (
  shared: Shared & { heavy: true },
  of: (document: Worked['document']) => readonly FaceOfOne[],
): CheckFamily<CheckFace> => familyOf(shared, of);

function familyOf<T extends FaceOfOne>(
  shared: Shared,
  of: (document: Worked['document']) => readonly T[],
): Omit<CheckFamily, 'of'> & { of(document: Worked['document']): (T & Omit<Shared, 'family'>)[] } {
  const { family: _, ...common } = shared;
  return { ...shared, of: (document) => of(document).map((one) => ({ ...common, ...one })) };
}

/** What a check on the record finds. */
export type RecordFound =
  | { readonly missing: readonly string[] }
  | {
      readonly value?: number;
      readonly limit?: number;
      readonly margin?: number;
      readonly state: State;
      readonly finding: Finding;
    };

/** A check that stands on what was printed, run and broken, rather than on the document alone. */
export interface RecordCheck {
  readonly id: string;
  readonly at: Place;
  readonly quantity: QuantityName;
  readonly kind: CheckKind;
  /** Whether the record has what it judges; every record where it is left out. */
  applies?(record: BuildOnRecord): boolean;
  find(record: BuildOnRecord): RecordFound;
}

export const defineRecordCheck = (record: RecordCheck): RecordCheck => record;

export type Thresholds = Readonly<Record<string, number>>;
