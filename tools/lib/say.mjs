/** Ends a script with a sentence that says what to do. */
export class Stop extends Error {}

export const say = (text) => process.stdout.write(`${text}\n`);

/** Runs a script; a Stop becomes its sentence and exit code 1, never a stack. */
export async function run(main) {
  try {
    await main();
  } catch (error) {
    if (error instanceof Stop) process.stderr.write(`\n${error.message}\n`);
    else process.stderr.write(`\n${error?.stack ?? error}\n`);
    process.exit(1);
  }
}
