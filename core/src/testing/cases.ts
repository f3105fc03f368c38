/** Whether what enumerates goes through all of its cases, as `npm run test:long` does. */
export const LONG = process.env.LONG === '1';

/** So many cases of an enumeration: all of them in the long run, a few in every run. */
export const casesOf = (all: number, few: number): number => (LONG ? all : few);

/** The things an enumeration goes through: all of them in the long run, in every run one of so many, spread over them. */
export const someOf = <T>(things: readonly T[], oneOf: number): readonly T[] =>
  LONG ? things : things.filter((_, i) => i % oneOf === 0);
