import type { Act, Deed, Hooping, Phase } from '../../model/deed';

/** The first time that the piece is in the hoop, with the first copy in it. */
export const FIRST: Hooping = { number: 1, copies: [1], part: null };

/** A deed in a phase of the job, for the first copy in the first hooping unless it is said otherwise. */
export const actOf = <D extends Deed>(
  phase: Phase,
  id: string,
  deed: D,
  { hooping = FIRST, copy = 1 }: { hooping?: Hooping; copy?: number } = {},
): Act<D> => ({ id, phase, hooping, copy, deed });
