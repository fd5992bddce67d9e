import '@/words/later/bringIn';
import { inThread, endThreads } from '@/app/api/threads';
import { CalcError } from '@/core/base/errors';
import { operations } from '@/core/operations';
import { DoorError } from '@/db/errors';
import { plainProblemOf } from '@/words/refusals/problemOf';
import { drawnFrom } from '../whole/fuzz/fromSchema';

/** Inputs of each operation; `FUZZ=2000` draws more. */
const CASES = Math.min(1000, Number(process.env.FUZZ ?? 12));
const [LONGEST_MS, MOST_LONG] = [2500, 1];

afterAll(endThreads);

/** What is wrong with the answer to an input; nothing where it is figures, a refusal in sound words, or takes too long to be asked. */
async function faultOf(name: string, input: unknown): Promise<string | 'long' | undefined> {
  try {
    JSON.parse(await inThread('operation', { name, input }, LONGEST_MS));
    return undefined;
  } catch (error) {
    if (error instanceof DoorError && error.code === 'tooLong') return 'long';
    if (!(error instanceof CalcError)) return String((error as Error).stack ?? error).slice(0, 400);
    // a figure that is none was worked out
    if (error.refused.code === 'request.figure') return JSON.stringify(error.refused);
    const { message, remedy = '' } = plainProblemOf(error.refused);
    return message.length > 3 && !/undefined|NaN|\[object/.test(`${message} ${remedy}`)
      ? undefined
      : JSON.stringify([error.refused.path, message, remedy]);
  }
}

it('every operation answers with figures or refuses by field, whatever its schema lets in', async () => {
  const faults: unknown[] = [];
  let answered = 0;
  for (const [name, { schema }] of Object.entries(operations)) {
    let long = 0;
    for (let seed = 1; seed <= CASES && long < MOST_LONG; seed++) {
      const input = drawnFrom(schema, seed);
      const fault = await faultOf(name, input);
      if (fault === 'long') long++;
      else if (fault !== undefined) faults.push([name, seed, fault, JSON.stringify(input).slice(0, 600)]);
      else answered++;
    }
  }
  expect(faults).toEqual([]);
  expect(answered).toBeGreaterThan(Object.keys(operations).length);
}, 600_000);
