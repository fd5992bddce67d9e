import { expose } from 'comlink';
import type { HolesInput, PlateFile } from '@/core/print/holes/definition';
import { type SolvedPattern, solvedPattern } from '@/core/print/holes/pattern';
import { holesSolve } from '@/core/print/holes/solve';
import { type Refusal, told } from './refusal';

const api = {
  solve: (input: HolesInput): SolvedPattern | Refusal => told(() => solvedPattern(input)),
  plate: (input: HolesInput, file: PlateFile): { text: string } | Refusal => told(() => ({ text: holesSolve({ ...input, files: [file] }).files![file]! })),
};

export type PrintWorker = typeof api;

expose(api);
