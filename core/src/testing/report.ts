declare const process: { stdout: { write: (text: string) => void } };

/** Prints what a test counted, a line of its own among the runner's. */
export const report = (line: string): void => process.stdout.write(`  ${line}\n`);
