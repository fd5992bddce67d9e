import { addSentences } from '../findings';
import { addRefusals } from '../refusals/problemOf';
import { LATER_REFUSALS, LATER_SENTENCES } from './sentences';

/** Brings the later words in: for calc and the API, which may say anything, and for what of a page shows them. */
addSentences(LATER_SENTENCES);
addRefusals(LATER_REFUSALS);
