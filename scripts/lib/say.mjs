/** A failure that is told in one sentence, without a stack. */
export class Sentence extends Error {}

/** Runs a script's main function; whatever goes wrong is said in one line. */
export async function runMain(main) {
  try {
    process.exitCode = (await main()) ?? 0;
  } catch (error) {
    console.error(error instanceof Sentence ? error.message : `Stopped: ${error.message}`);
    process.exitCode = 1;
  }
}
