import { expose } from 'comlink';
import type { BuildDocument } from '@/core/build/document';
import type { Thresholds } from '@/core/checks/check';
import { overlookBuild } from '@/core/checks/evaluate';
import { diagnosisMargins } from '@/core/field/diagnosis/margins';
import { type Refusal, told } from './refusal';

const api = {
  /** Margins of a build as a diagnosis asks for them. */
  margins: (document: BuildDocument, thresholds: Thresholds): { margins: Record<string, number> } | Refusal => told(() => ({ margins: diagnosisMargins(document, overlookBuild(document, thresholds)) })),
};

export type LearnWorker = typeof api;

expose(api);
