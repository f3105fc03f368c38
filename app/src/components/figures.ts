/** Figures that have no place in a phrase: one digit after the point, and metres off a roll to the centimetre. */
export const oneDigit = (value: number): string => String(Math.round(value * 10) / 10);
export const metres = (m: number): string => `${Math.round(m * 100) / 100} m`;
