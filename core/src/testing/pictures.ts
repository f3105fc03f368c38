import { createCanvas } from '@napi-rs/canvas';

/** A picture of which one can see how it lies: its top left quarter is red, the rest blue. */
export function drawn(widthPx: number, heightPx: number, type: 'jpeg' | 'png' | 'webp'): Uint8Array {
  const canvas = createCanvas(widthPx, heightPx);
  const context = canvas.getContext('2d');
  context.fillStyle = '#2040C0';
  context.fillRect(0, 0, widthPx, heightPx);
  context.fillStyle = '#C02020';
  context.fillRect(0, 0, widthPx / 2, heightPx / 2);
  return new Uint8Array(canvas.toBuffer(`image/${type}` as 'image/png'));
}

const ascii = (text: string): number[] => Array.from(text, (letter) => letter.charCodeAt(0));
const word = (n: number): number[] => [n & 0xff, (n >> 8) & 0xff];
const long = (n: number): number[] => [...word(n & 0xffff), ...word(n >>> 16)];

/** What a camera writes into a JPEG: how it is to be turned, what it was taken with, and where. Little-endian TIFF. */
function exif(orientation: number): number[] {
  const entry = (tag: number, type: number, count: number, value: number): number[] => [
    ...word(tag),
    ...word(type),
    ...long(count),
    ...long(value),
  ];
  const maker = ascii('Camera 1\0');
  // IFD0 begins at 8 with 3 entries; the maker's name and the place follow it.
  const makerAt = 8 + 2 + 3 * 12 + 4;
  const placeAt = makerAt + maker.length + 1;
  const tiff = [
    ...ascii('II'),
    ...word(42),
    ...long(8),
    ...word(3),
    ...entry(0x010f, 2, maker.length, makerAt),
    ...entry(0x0112, 3, 1, orientation),
    ...entry(0x8825, 4, 1, placeAt),
    ...long(0),
    ...maker,
    0,
    ...word(1),
    ...entry(0x0001, 2, 2, 0x4e),
    ...long(0),
  ];
  return [...ascii('Exif\0\0'), ...tiff];
}

/** A JPEG as a camera writes it, with place and device in it. */
export function asTaken(jpeg: Uint8Array, orientation: number): Uint8Array {
  const body = exif(orientation);
  const length = body.length + 2;
  return new Uint8Array([
    ...jpeg.subarray(0, 2),
    0xff,
    0xe1,
    length >> 8,
    length & 0xff,
    ...body,
    ...jpeg.subarray(2),
  ]);
}
