import { imageSize } from 'image-size';
import { KEPT_PHOTO, MOST_OF_A_FILE } from '../../model/photo';

/** A picture file as it says of itself, before it is decoded. */
export interface Looked {
  type: 'jpeg' | 'png' | 'webp';
  /** As it is stored, before it is turned. */
  widthPx: number;
  heightPx: number;
  /** How it is to be turned (Exif, 1 to 8); 1 where it says nothing. */
  orientation: number;
}
export type Look = { ok: true; is: Looked } | { ok: false; why: string };

const no = (why: string): Look => ({ ok: false, why });
const startsWith = (bytes: Uint8Array, ...values: number[]): boolean =>
  values.every((v, i) => bytes[i] === v);
const textAt = (bytes: Uint8Array, at: number, length: number): string =>
  String.fromCharCode(...bytes.subarray(at, at + length));
const numberAt = (bytes: Uint8Array, at: number): number =>
  ((bytes[at] ?? 0) << 24) |
  ((bytes[at + 1] ?? 0) << 16) |
  ((bytes[at + 2] ?? 0) << 8) |
  (bytes[at + 3] ?? 0);

/** A piece of a JPEG before its picture begins: which, where its content begins, and how long that is. */
interface Segment {
  marker: number;
  at: number;
  length: number;
}
const [START_OF_SCAN, END] = [0xda, 0xd9];

/** The pieces of a JPEG up to its picture; null where they do not follow one another. */
export function jpegSegments(bytes: Uint8Array): Segment[] | null {
  const segments: Segment[] = [];
  let at = 2;
  while (at + 4 <= bytes.length) {
    if (bytes[at] !== 0xff) return null;
    const marker = bytes[at + 1] as number;
    if (marker === 0xff) {
      at += 1;
      continue;
    }
    const length = ((bytes[at + 2] as number) << 8) | (bytes[at + 3] as number);
    if (length < 2 || at + 2 + length > bytes.length) return null;
    segments.push({ marker, at: at + 4, length: length - 2 });
    if (marker === START_OF_SCAN) return segments;
    at += 2 + length;
  }
  return null;
}

/** Whether a JPEG ends as one does; a few odd bytes may follow. */
function jpegEnds(bytes: Uint8Array): boolean {
  for (let at = bytes.length - 2; at >= Math.max(2, bytes.length - 4096); at -= 1)
    if (bytes[at] === 0xff && bytes[at + 1] === END) return true;
  return false;
}

/** The chunks of a PNG by name; null where it breaks off. */
function pngChunks(bytes: Uint8Array): string[] | null {
  const names: string[] = [];
  let at = 8;
  while (at + 12 <= bytes.length) {
    const length = numberAt(bytes, at) >>> 0;
    const name = textAt(bytes, at + 4, 4);
    if (at + 12 + length > bytes.length) return null;
    names.push(name);
    if (name === 'IEND') return names;
    at += 12 + length;
  }
  return null;
}

const TORN = 'The file breaks off: it was not copied whole. Take it once more.';
const MOVING = 'It is a moving picture: take one that stands still.';

/** What is wrong with the file of a type, before anything of it is decoded; null where nothing is. */
function whyNot(type: string | undefined, bytes: Uint8Array): string | null {
  if (type === 'gif') return MOVING;
  if (type === 'jpg') return jpegSegments(bytes) && jpegEnds(bytes) ? null : TORN;
  if (type === 'png') {
    const chunks = pngChunks(bytes);
    if (!chunks) return TORN;
    return chunks.includes('acTL') ? MOVING : null;
  }
  if (type === 'webp') {
    const size = (bytes[4] ?? 0) | ((bytes[5] ?? 0) << 8) | ((bytes[6] ?? 0) << 16) | ((bytes[7] ?? 0) << 24);
    if (size + 8 > bytes.length) return TORN;
    return textAt(bytes, 12, 4) === 'VP8X' && ((bytes[20] ?? 0) & 2) !== 0 ? MOVING : null;
  }
  return 'It is no picture that can be kept: take a JPEG, PNG or WebP.';
}

const isPicture = (bytes: Uint8Array): boolean =>
  startsWith(bytes, 0xff, 0xd8, 0xff) ||
  startsWith(bytes, 0x89, 0x50, 0x4e, 0x47) ||
  textAt(bytes, 0, 4) === 'GIF8' ||
  (textAt(bytes, 0, 4) === 'RIFF' && textAt(bytes, 8, 4) === 'WEBP');

/**
 * Looks at a file that is to be a photo by its bytes, whatever it is called: its type, size in px, and how it is to be
 * turned. Refused in words where it is no picture, breaks off, moves, or is too large; nothing of it is decoded.
 */
export function lookAtPhoto(bytes: Uint8Array): Look {
  if (bytes.length > MOST_OF_A_FILE.bytes)
    return no(`It is larger than ${MOST_OF_A_FILE.bytes / 1_000_000} MB: take a smaller one.`);
  if (!isPicture(bytes)) return no('It is no picture, whatever it is called: take a JPEG, PNG or WebP.');
  let said: ReturnType<typeof imageSize>;
  try {
    said = imageSize(bytes);
  } catch {
    return no(TORN);
  }
  const { type, width, height, orientation = 1 } = said;
  const why = whyNot(type, bytes);
  if (why) return no(why);
  if (width * height > MOST_OF_A_FILE.points)
    return no(`It has more than ${MOST_OF_A_FILE.points / 1_000_000} million points: take a smaller one.`);
  if (width < 1 || height < 1) return no(TORN);
  const known = type === 'jpg' ? 'jpeg' : (type as Looked['type']);
  return { ok: true, is: { type: known, widthPx: width, heightPx: height, orientation } };
}

/** Pieces of a JPEG that say nothing of where, when or with what it was taken: its frame, and how its colours are meant. */
const [FRAME, COLOURS, ADOBE, COMMENT] = [0xe0, 0xe2, 0xee, 0xfe];
const PROFILE = 'ICC_PROFILE';

/** Whether a JPEG says more than how it looks: place, device, time, words. One that cannot be read may. */
export function saysMore(bytes: Uint8Array): boolean {
  const segments = jpegSegments(bytes);
  if (!segments) return true;
  return segments.some(({ marker, at }) => {
    if (marker === COLOURS) return textAt(bytes, at, PROFILE.length) !== PROFILE;
    const isApp = marker >= 0xe0 && marker <= 0xef;
    return marker === COMMENT || (isApp && marker !== FRAME && marker !== ADOBE);
  });
}

/** Why a photo cannot be kept as it is; null where it can: a whole JPEG, small enough, that says nothing but how it looks. */
export function whyNotKept(bytes: Uint8Array): string | null {
  if (bytes.length > KEPT_PHOTO.bytes) return 'The photo is too large to be kept.';
  const look = lookAtPhoto(bytes);
  if (!look.ok) return look.why;
  if (look.is.type !== 'jpeg') return 'Photos are kept as JPEG.';
  if (Math.max(look.is.widthPx, look.is.heightPx) > KEPT_PHOTO.px)
    return 'The photo is too large to be kept.';
  return saysMore(bytes) ? 'The photo says where or with what it was taken: that is not kept.' : null;
}
