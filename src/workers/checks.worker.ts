import { expose } from 'comlink';
import { evaluateBuild } from '@/core/verdict/evaluate';

const api = { evaluateBuild };

export type ChecksWorker = typeof api;

expose(api);
