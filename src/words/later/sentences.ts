import { BENCH_NOTES } from './benchNotes';
import { BENCH_REFUSALS } from './benchRefusals';

/** Words of findings and refusals that no page of a build shows at first, so that none of them fetches these. */
export const LATER_SENTENCES = BENCH_NOTES;
export const LATER_REFUSALS = BENCH_REFUSALS;
