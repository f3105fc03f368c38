/** Why the program cannot work with what it was given, in a sentence for the person who started it. */
export class Unusable extends Error {}

/** Says why in one line and ends with a code that tells scripts it failed; anything else is a fault of the program. */
export function endSaying(error: unknown): never {
  if (!(error instanceof Unusable)) throw error;
  process.stderr.write(`${error.message}\n`);
  process.exit(2);
}
