/** A file's text in one of the encodings it may be written in. */
export interface Decoded {
  /** The encoding, for a person. */
  name: string;
  text: string;
}

const OTHERS = [
  ['windows-1252', 'Western European'],
  ['windows-1250', 'Central European'],
  ['macintosh', 'from an older Mac'],
] as const;

/** The encoding that a byte order mark tells; null without one. */
function marked([a, b]: Uint8Array): string | null {
  if (a === 0xff && b === 0xfe) return 'utf-16le';
  return a === 0xfe && b === 0xff ? 'utf-16be' : null;
}

/**
 * The texts a file may hold: one when its bytes say which, several when only a reader can tell. None is guessed: a
 * letter that the encoding does not have never stands as a sign of its own.
 */
export function decoded(bytes: Uint8Array): Decoded[] {
  const mark = marked(bytes);
  if (mark) return [{ name: 'Unicode', text: new TextDecoder(mark).decode(bytes) }];
  try {
    return [{ name: 'Unicode', text: new TextDecoder('utf-8', { fatal: true }).decode(bytes) }];
  } catch {
    const texts = OTHERS.map(([encoding, name]) => ({ name, text: new TextDecoder(encoding).decode(bytes) }));
    return texts.filter(({ text }, i) => texts.findIndex((other) => other.text === text) === i);
  }
}

const ASCII = /^[\u0020-\u007e\s]*$/;

/** A line of a text by which a reader tells the encoding: the first with a letter beyond the common ones. */
export const tellingLine = (text: string): string =>
  text.split(/\r\n|\r|\n/).find((line) => !ASCII.test(line)) ?? '';
