import type { Finding, FindingCode } from '@/core/base/finding';
import type { Reader } from '@/core/base/units/formatQuantity';
import { BRIEF_SENTENCES, REMEDY_SENTENCES } from './checks/brief';
import { AID_SENTENCES, CHASSIS_SENTENCES, FIT_SENTENCES, SUSPENSION_SENTENCES } from './checks/chassis';
import {
  BELT_SENTENCES,
  DRIVE_SENTENCES,
  GEAR_SENTENCES,
  JOINT_SENTENCES,
  SHAFT_SENTENCES,
  BENCH_SENTENCES,
  TYRE_SENTENCES,
} from './checks/drive';
import { FIELD_SENTENCES, LEARN_SENTENCES } from './checks/field';
import { FASTENER_SENTENCES } from './checks/fasteners';
import { LINK_SENTENCES } from './checks/links';
import { PART_SENTENCES, PRINT_SENTENCES } from './checks/parts';
import { POWER_SENTENCES } from './checks/power';
import { STEP_SENTENCES, TRIAL_SENTENCES } from './checks/steps';
import { CAR_NOTES } from './notes/car';
import { DRIVE_NOTES } from './notes/drive';
import { PARTS_NOTES } from './notes/parts';
import { RECORD_NOTES } from './notes/record';
import type { LATER_SENTENCES } from './later/sentences';
import { ORIENT_SENTENCES } from './orient';
import { type Sentences, written } from './write';
import { messageOf } from './refusals/problemOf';

const CHECK_SENTENCES: Sentences<'check'> = {
  'check.refused': ({ refused }) =>
    `These figures do not go together${refused ? `: ${messageOf(refused)}` : ''}.`,
};

/** The sentence of every finding; a code without one does not compile. */
const SENTENCES = {
  ...CHECK_SENTENCES,
  ...BRIEF_SENTENCES,
  ...REMEDY_SENTENCES,
  ...DRIVE_SENTENCES,
  ...GEAR_SENTENCES,
  ...BELT_SENTENCES,
  ...JOINT_SENTENCES,
  ...SHAFT_SENTENCES,
  ...BENCH_SENTENCES,
  ...TYRE_SENTENCES,
  ...POWER_SENTENCES,
  ...CHASSIS_SENTENCES,
  ...SUSPENSION_SENTENCES,
  ...FIT_SENTENCES,
  ...AID_SENTENCES,
  ...FASTENER_SENTENCES,
  ...PART_SENTENCES,
  ...LINK_SENTENCES,
  ...PRINT_SENTENCES,
  ...ORIENT_SENTENCES,
  ...FIELD_SENTENCES,
  ...LEARN_SENTENCES,
  ...STEP_SENTENCES,
  ...TRIAL_SENTENCES,
  ...DRIVE_NOTES,
  ...CAR_NOTES,
  ...PARTS_NOTES,
  ...RECORD_NOTES,
} satisfies { readonly [C in Exclude<FindingCode, keyof typeof LATER_SENTENCES>]: unknown };

type Sentence = (facts: unknown, reader: Reader) => string;
const said = new Map<string, Sentence>(Object.entries(SENTENCES) as [string, Sentence][]);

/** Sentences that came later. */
export function addSentences(more: Readonly<Partial<Record<FindingCode, unknown>>>): void {
  for (const [code, sentence] of Object.entries(more)) said.set(code, sentence as Sentence);
}

/** Findings one after the other. */
export const sayAll = (findings: readonly Finding[], reader: Reader): string =>
  findings.map((one) => say(one, reader)).join(' ');

/** A finding as a sentence in the reader's units. */
export function say({ code, facts }: Finding, reader: Reader): string {
  const sentence = said.get(code)!;
  return sentence(
    written(facts, reader, (inside) => say(inside, reader)),
    reader,
  );
}
