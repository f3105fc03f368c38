const NO_BREAK = '\u00a0';

/** A sentence whose figures stay on one line with their units: "13/16 in", "2 1/8 in", "40 mm". */
export const unbroken = (text: string): string =>
  text.replace(/(?<=\d) (?=\d+\/\d|(?:in|mm|cm|m|min|g|kg)\b)/g, NO_BREAK);
