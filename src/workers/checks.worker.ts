import { expose } from 'comlink';
import { evaluateBuild } from '@/core/checks/evaluate';

const api = { evaluateBuild };

export type ChecksWorker = typeof api;

expose(api);
