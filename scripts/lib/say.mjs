/** A failure that is told in one sentence, without a stack. */
export class Sentence extends Error {}

/** The sentence of a failure that the command itself has told already. */
export const SAID = '';

/** Runs a script's main function; whatever goes wrong is said in one line. */
export async function runMain(main) {
  try {
    process.exitCode = (await main()) ?? 0;
  } catch (error) {
    if (!(error instanceof Sentence)) console.error(`Stopped: ${error.message}`);
    else if (error.message !== SAID) console.error(error.message);
    process.exitCode = 1;
  }
}
