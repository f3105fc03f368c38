/** So many entries stand side by side. */
export const MOST_COMPARED = 4;
