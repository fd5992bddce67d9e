import type { UncertainFigure } from './uncertain';
import type { BuildDocument } from '../document/document';
import type { CopyRecord, PrintRecord } from './prints';
import type { FailureLedger } from './failureLedger';
import type { KeptTrack, Photo, RunReport } from './report';
import { isRepeatedKind, isTimedKind, type RepeatedKind, type RunKind, type TimedKind } from './runKinds';

/** What the model expects of a run under its conditions; errors are one standard deviation. */
export interface RunPrediction {
  /** Over the measured distance. */
  timeS: number;
  timeErrorS: number;
  /** Mean over the measured distance. */
  speedMps: number;
  speedErrorMps: number;
  topSpeedMps?: number;
  massKg: number;
  /** Whose spread makes most of the error. */
  mostFrom?: UncertainFigure;
}

/** How one attempt was timed; one of the three ways. */
export interface Attempt {
  id: string;
  timeS?: number;
  frames?: number;
  captureFps?: number;
  clipTimeS?: number;
  slowdown?: number;
  /** Of a settings series: the value that was set. */
  setting?: number;
}

/** Something that was set for a run, with a name that runs are compared by. */
export interface RunSetting {
  name: string;
  value: number;
  unit?: string;
}

/** Markers in a line that a run weaves through. */
export interface Gates {
  /** From marker to marker. */
  spacingM: number;
  /** Of the car's middle from the line where it passes a marker. */
  offsetM: number;
}

/** Under what a run was driven. */
export interface Conditions {
  /** Of the document as it was run. */
  surfaceId?: string;
  surfaceName?: string;
  distanceM?: number;
  distanceErrorM?: number;
  /** Driven before the first mark of a timed distance. */
  runUpM?: number;
  gates?: Gates;
  ambientC?: number;
  packVBefore?: number;
  packVAfter?: number;
  /** On top of the car and its payload. */
  extraMassG?: number;
  settings?: RunSetting[];
}

/** Under what passages over a distance were driven. */
export type TimedConditions = Conditions &
  Required<Pick<Conditions, 'surfaceId' | 'surfaceName' | 'distanceM'>>;

/** What a run sheet sends; the id is made where the run is logged, so that sending it twice makes one. */
export interface RunSheet {
  id: string;
  kind: RunKind;
  attempts: Attempt[];
  conditions: Conditions;
  drivenMinutes?: number;
  note?: string;
  report?: RunReport;
  /** Printed copies that were on the car. */
  copies?: string[];
  photos?: Photo[];
  track?: KeptTrack;
  /** ISO 8601. */
  ranAt: string;
  /** The build as it was run. */
  document: BuildDocument;
}

/** A run whose attempts are passages over a distance. */
export type TimedRun<R extends Pick<RunSheet, 'kind' | 'conditions'> = RunRecord> = R & {
  kind: TimedKind;
  conditions: TimedConditions;
};

export const isTimed = <R extends Pick<RunSheet, 'kind' | 'conditions'>>(run: R): run is TimedRun<R> =>
  isTimedKind(run.kind) &&
  run.conditions.distanceM !== undefined &&
  run.conditions.surfaceId !== undefined &&
  run.conditions.surfaceName !== undefined;

/** A timed run whose attempts have a mean. */
export const isRepeated = <R extends Pick<RunSheet, 'kind' | 'conditions'>>(
  run: R,
): run is TimedRun<R> & { kind: RepeatedKind } => isTimed(run) && isRepeatedKind(run.kind);

export interface RunRecord extends RunSheet {
  revisionId: string;
  /** Made when it was logged, for its conditions; none where the build was not ready for one. */
  prediction?: RunPrediction;
}

export interface FailureSheet {
  id: string;
  mode: string;
  partId?: string;
  partName: string;
  runId?: string;
  /** Driven by the part until then. */
  hours?: number;
  story?: string;
  /** ISO 8601. */
  occurredAt: string;
  /** What was done about it, and the revision that carries it. */
  fix?: string;
  fixRevisionId?: string;
  ledger?: FailureLedger;
}

export interface FailureRecord extends FailureSheet {
  revisionId: string;
}

export interface RevisionRecord {
  id: string;
  buildId: string;
  letter: string;
  parentId?: string;
  /** Why it was opened. */
  why?: string;
  /** What it should do. */
  expected?: string;
  /** What its runs and failures taught, in the builder's words. */
  learned?: string;
  /** When it was closed by hand, ISO 8601; one that another stands on is closed without it. */
  closedAt?: string;
  document: BuildDocument;
  version: number;
  createdAt: string;
}

/** Where a copied build came from. */
export interface Origin {
  /** As it is called there. */
  name: string;
  /** Where it was shown by a link. */
  workshop?: string;
  /** When it was copied, ISO 8601. */
  at: string;
}

export interface BuildRecord {
  id: string;
  name: string;
  createdAt: string;
  origin?: Origin;
}

/** A build with everything that hangs on it. */
export interface WholeBuild {
  build: BuildRecord;
  revisions: RevisionRecord[];
  runs: RunRecord[];
  failures: FailureRecord[];
  prints: PrintRecord[];
  copies: CopyRecord[];
}

/** A record as a workshop holds it: its version goes up with each change, and a change names the one that it was made to. */
export type Versioned<T> = T & { version: number };

/** A whole build as a workshop holds it. */
export interface KeptBuild extends WholeBuild {
  failures: Versioned<FailureRecord>[];
  prints: Versioned<PrintRecord>[];
  copies: Versioned<CopyRecord>[];
}
