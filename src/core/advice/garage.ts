import { type BuildDocument, emptyDocument } from '../car/document/document';
import type { NextStep } from './steps/definition';
import { worked } from '../worked/worked';
import { meanOfRuns } from '../worked/field/measured';
import type { RevisionRecord, WholeBuild } from '../car/records/records';
import type { Check, Thresholds } from '../verdict/engine/check';
import { evaluateMostUrgent } from '../verdict/evaluate';
import { byUrgency } from '../verdict/states';
import { firstStep } from './steps/nextChanges';
import type { BuildOnRecord } from '../verdict/engine/onRecord';
import { checksOnRecord } from '../verdict/record';
import { CalcError, type Refused } from '../base/errors';

/** One build as the garage shows it. */
export interface GarageCar {
  readonly id: string;
  readonly name: string;
  readonly revision: Pick<RevisionRecord, 'letter'>;
  readonly revisions: number;
  readonly document: BuildDocument;
  readonly predictedMps?: number;
  readonly surface?: string;
  readonly measured?: { speedMps: number; errorMps: number; letter: string };
  readonly tightest?: Check;
  readonly next: NextAtAGlance;
  /** Why nothing could be worked out of it. */
  readonly ails?: Refused | string;
}

/** The same of a build that may be so odd, or so damaged, that nothing can be worked out of it: it is told, and the others stand. */
export function garageCarOrAilment(whole: WholeBuild, thresholds: Thresholds): GarageCar {
  try {
    return garageCar(whole, thresholds);
  } catch (error) {
    return ailing(whole, error);
  }
}

/** A build of which nothing could be worked out, and why. */
export function ailing(
  { build, revisions }: Pick<WholeBuild, 'build' | 'revisions'>,
  error: unknown,
): GarageCar {
  return {
    id: build.id,
    name: build.name,
    revision: { letter: revisions.at(-1)?.letter ?? 'A' },
    revisions: revisions.length,
    document: emptyDocument(),
    ails: error instanceof CalcError ? error.refused : (error as Error).message,
    next: { ails: true },
  };
}

/** What the garage says of a build: its last revision, what it should do, what it did, and what to do next. */
export function garageCar(
  { build, revisions, runs, failures, prints, copies }: WholeBuild,
  thresholds: Thresholds,
): GarageCar {
  const last = revisions.at(-1)!;
  const { document } = last;
  const surface = document.brief.surfaces[0];
  const subject = worked(document, surface);
  const [input, predictedMps] = [subject.runInput(), subject.run()?.topSpeedMps];
  const tested = [...revisions]
    .reverse()
    .find(({ id }) => runs.some((run) => run.revisionId === id && run.kind === 'timedDistance'));
  const measured = tested
    ? meanOfRuns(
        runs.filter(({ revisionId }) => revisionId === tested.id),
        'timedDistance',
      )
    : undefined;
  const record = { document, revisionId: last.id, revisions, runs, failures, prints, copies };
  const checks = [...evaluateMostUrgent(document, thresholds), ...checksOnRecord(record)];
  const judged = checks.filter(({ state }) => state !== 'unknown').sort(byUrgency);
  return {
    id: build.id,
    name: build.name,
    revision: { letter: last.letter },
    revisions: revisions.length,
    document,
    ...(predictedMps === undefined ? {} : { predictedMps }),
    ...(surface ? { surface: surface.name } : {}),
    ...(measured && tested
      ? { measured: { speedMps: measured.mean, errorMps: measured.error, letter: tested.letter } }
      : {}),
    ...(judged[0] ? { tightest: judged[0] } : {}),
    next: nextStep(record, checks, input.ok ? [] : input.missing),
  };
}

/** What to do next with a build at a glance. */
export type NextAtAGlance =
  | { readonly fillIn: readonly string[] }
  | { readonly step: Pick<NextStep, 'title' | 'remedy' | 'check'> }
  | { readonly ails: true }
  | { readonly clear: true };

function nextStep(
  record: BuildOnRecord,
  checks: readonly Check[],
  missing: readonly string[],
): NextAtAGlance {
  if (missing.length > 0) return { fillIn: missing };
  const step = firstStep(record, checks);
  if (!step) return { clear: true };
  const { title, remedy, check } = step;
  return {
    step: { ...(title ? { title } : {}), ...(remedy ? { remedy } : {}), ...(check ? { check } : {}) },
  };
}
