import { expose } from 'comlink';
import type { BuildDocument } from '@/core/car/document/document';
import type { Thresholds } from '@/core/verdict/engine/check';
import { type Effects, effectsBetween } from '@/core/advice/effects/effects';
import { evaluateMostUrgent } from '@/core/verdict/evaluate';
import type { NextList } from '@/core/advice/steps/definition';
import type { PrinterTimes } from '@/core/worked/print/printerTimes';
import { nextChanges } from '@/core/advice/steps/nextChanges';
import type { BuildOnRecord } from '@/core/verdict/engine/onRecord';
import type { FailureRecord, RevisionRecord, RunRecord } from '@/core/car/records/records';
import { type DiagnosisScore, scoreOf } from '@/core/advice/learn/score';
import { diagnosisMargins } from '@/core/advice/learn/margins';
import { type Refusal, told } from './refusal';

/** Of each revision once; those that are asked for again while the page is open are not worked out again. */
const known = new Map<string, Record<string, number>>();

function marginsFor(document: BuildDocument, thresholds: Thresholds): Record<string, number> {
  const key = JSON.stringify([document, thresholds]);
  const found = known.get(key) ?? diagnosisMargins(document, evaluateMostUrgent(document, thresholds));
  known.set(key, found);
  return found;
}

const api = {
  /** Margins of a build as a diagnosis asks for them. */
  margins: (document: BuildDocument, thresholds: Thresholds): { margins: Record<string, number> } | Refusal =>
    told(() => ({ margins: marginsFor(document, thresholds) })),

  /** How often a verdict had been among the first suspects. */
  score: (
    failures: FailureRecord[],
    revisions: RevisionRecord[],
    runs: RunRecord[],
    thresholds: Thresholds,
  ): DiagnosisScore | Refusal =>
    told(() =>
      scoreOf(failures, revisions, runs, (id) =>
        marginsFor(revisions.find((one) => one.id === id)!.document, thresholds),
      ),
    ),

  /** What each change between two builds does, and all of them together. */
  effects: (before: BuildDocument, after: BuildDocument, thresholds: Thresholds): Effects | Refusal =>
    told(() => effectsBetween(before, after, thresholds)),

  /** What to do next, the most worth an hour first. */
  next: (record: BuildOnRecord, thresholds: Thresholds, times: PrinterTimes): NextList | Refusal =>
    told(() => nextChanges(record, thresholds, times)),
};

export type LearnWorker = typeof api;

expose(api);
