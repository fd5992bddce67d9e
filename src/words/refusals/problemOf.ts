import type { Problem, RefusalCode, Refused } from '@/core/base/errors';
import type { Reader } from '@/core/base/units/formatQuantity';
import { PLAIN_READER } from '@/core/base/units/plain';
import { written } from '../write';
import type { Said } from './refusals';
import {
  ROTATION_REFUSALS,
  TRACE_REFUSALS,
  BUDGET_REFUSALS,
  BRAKE_REFUSALS,
  ENDURANCE_REFUSALS,
  SITE_REFUSALS,
  LAP_REFUSALS,
  STABILITY_REFUSALS,
  GEAR_MESH_REFUSALS,
  JOINT_REFUSALS,
  SERVO_REFUSALS,
  YAW_REFUSALS,
  TRACTION_REFUSALS,
  DRIVE_SWEEP_REFUSALS,
  OUTLINE_REFUSALS,
  HEAT_REFUSALS,
  EXPLORER_REFUSALS,
} from './drive';
import {
  KEEPABLE_REFUSALS,
  DOCUMENT_REFUSALS,
  BASE64_REFUSALS,
  BUILD_FILE_REFUSALS,
  REQUEST_REFUSALS,
  IMPORT_REFUSALS,
  CALC_REFUSALS,
} from './input';
import { SCHEMA_REFUSALS } from './schema';
import {
  COUPON_REFUSALS,
  DIAGNOSE_REFUSALS,
  HOLES_REFUSALS,
  TRACK_REFUSALS,
  MAKE_LIST_REFUSALS,
} from './shop';
import {
  SECTION_REFUSALS,
  IMPACT_REFUSALS,
  SPRING_REFUSALS,
  BEAM_REFUSALS,
  PRINTED_SECTION_REFUSALS,
} from './strength';
import {
  CORNER_REFUSALS,
  RIDE_REFUSALS,
  STEERING_REFUSALS,
  BETTER_REFUSALS,
  POINTS_REFUSALS,
} from './suspension';

import {
  BEARINGS_REFUSALS,
  BELT_REFUSALS,
  BEVEL_REFUSALS,
  CHAIN_REFUSALS,
  FRICTION_REFUSALS,
  GEAR_SEARCH_REFUSALS,
  HELICAL_REFUSALS,
  PLANETARY_REFUSALS,
  OPENING_REFUSALS,
} from './transmissions';
import type { LATER_REFUSALS } from '../later/sentences';

/** The words of every refusal; a code without any does not compile. */
const REFUSALS = {
  ...ROTATION_REFUSALS,
  ...TRACE_REFUSALS,
  ...BUDGET_REFUSALS,
  ...BRAKE_REFUSALS,
  ...ENDURANCE_REFUSALS,
  ...SITE_REFUSALS,
  ...LAP_REFUSALS,
  ...STABILITY_REFUSALS,
  ...GEAR_MESH_REFUSALS,
  ...BEARINGS_REFUSALS,
  ...BELT_REFUSALS,
  ...BEVEL_REFUSALS,
  ...CHAIN_REFUSALS,
  ...FRICTION_REFUSALS,
  ...HELICAL_REFUSALS,
  ...PLANETARY_REFUSALS,
  ...GEAR_SEARCH_REFUSALS,
  ...OPENING_REFUSALS,
  ...JOINT_REFUSALS,
  ...SERVO_REFUSALS,
  ...YAW_REFUSALS,
  ...TRACTION_REFUSALS,
  ...DRIVE_SWEEP_REFUSALS,
  ...OUTLINE_REFUSALS,
  ...HEAT_REFUSALS,
  ...EXPLORER_REFUSALS,
  ...KEEPABLE_REFUSALS,
  ...DOCUMENT_REFUSALS,
  ...BASE64_REFUSALS,
  ...BUILD_FILE_REFUSALS,
  ...REQUEST_REFUSALS,
  ...IMPORT_REFUSALS,
  ...CALC_REFUSALS,
  ...SCHEMA_REFUSALS,
  ...COUPON_REFUSALS,
  ...DIAGNOSE_REFUSALS,
  ...HOLES_REFUSALS,
  ...TRACK_REFUSALS,
  ...MAKE_LIST_REFUSALS,
  ...SECTION_REFUSALS,
  ...IMPACT_REFUSALS,
  ...SPRING_REFUSALS,
  ...BEAM_REFUSALS,
  ...PRINTED_SECTION_REFUSALS,
  ...CORNER_REFUSALS,
  ...RIDE_REFUSALS,
  ...STEERING_REFUSALS,
  ...BETTER_REFUSALS,
  ...POINTS_REFUSALS,
} satisfies { readonly [C in Exclude<RefusalCode, keyof typeof LATER_REFUSALS>]: unknown };

type Words = (given: unknown) => Said;
const known = new Map<string, Words>(Object.entries(REFUSALS) as [string, Words][]);

/** Words of refusals that came later. */
export function addRefusals(more: Readonly<Partial<Record<RefusalCode, unknown>>>): void {
  for (const [code, words] of Object.entries(more)) known.set(code, words as Words);
}

/** A refusal in the reader's units. */
export function problemOf({ path, code, given }: Refused, reader: Reader): Problem {
  const [message, remedy] = saidOf(
    code,
    written(given, reader, ({ code: inside }) => inside),
  );
  return { path, message, ...(remedy === undefined ? {} : { remedy }) };
}

/** The same from facts that are written already. */
export const saidOf = (code: RefusalCode, given: unknown): Said => known.get(code)!(given);

/** The message alone, of a refusal whose facts are written already. */
export const messageOf = ({ code, given }: { code: RefusalCode; given: unknown }): string =>
  saidOf(code, given)[0];

/** For calc, the API and every text that is not written for one reader: without the spaces of print. */
export function plainProblemOf(refused: Refused): Problem {
  const { path, message, remedy } = problemOf(refused, PLAIN_READER);
  const plain = (text: string) => text.replace(/[\u00a0\u202f\u2009]/g, ' ');
  return { path, message: plain(message), ...(remedy === undefined ? {} : { remedy: plain(remedy) }) };
}

/** What is wrong and what to do about it, to be read behind the field's name. */
export function refusalText(refused: Refused, reader: Reader): string {
  const { message, remedy } = problemOf(refused, reader);
  return remedy === undefined ? message : `${message}: ${remedy}`;
}
