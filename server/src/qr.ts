import QRCode from 'qrcode';

/** The squares of a QR code, row by row. */
export function squaresOf(text: string): boolean[][] {
  const { size, data } = QRCode.create(text, { errorCorrectionLevel: 'M' }).modules;
  return Array.from({ length: size }, (_, y) =>
    Array.from({ length: size }, (__, x) => data[y * size + x] === 1),
  );
}
