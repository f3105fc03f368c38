/** Throws where something holds that cannot: a fault of the program, never of what somebody entered. */
export function assert(holds: unknown, what: string): asserts holds {
  if (!holds) throw new Error(`assertion failed: ${what}`);
}
