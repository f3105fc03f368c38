/** A text of at most so many letters, its end left out where it is longer. */
export const shortened = (text: string, most: number): string =>
  text.length > most ? `${text.slice(0, most)}…` : text;
