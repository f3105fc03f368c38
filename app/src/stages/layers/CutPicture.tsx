import type { CutFrom } from '@zt/core';
import Svg, { Line, Rect } from 'react-native-svg';
import { usePalette } from '../../theme/palette';

const WIDTH = 112;
const MOST_HEIGHT = 84;
const PAD = 3;

/** A strip of the roll, its width upright, or the sheet that is cut; mm. */
function sourceOf({ sheet, metres, material }: CutFrom): { widthMm: number; heightMm: number } {
  return sheet ?? { widthMm: metres * 1000, heightMm: material.widthMm };
}

/** Where the pieces lie on it, mm from its corner: rows along a roll, or the corner of a sheet. */
function piecesOf({ sheet, lies, count, perRow }: CutFrom) {
  const [along, across] = sheet ? [lies.widthMm, lies.heightMm] : [lies.heightMm, lies.widthMm];
  return Array.from({ length: count }, (_, i) => ({
    x: Math.floor(i / perRow) * along,
    y: (i % perRow) * across,
    width: along,
    height: across,
  }));
}

/** Millimetres to pixels at which the largest of some cuts fits its picture: all are drawn at it. */
export const cutScale = (cuts: readonly CutFrom[]): number =>
  Math.min(
    ...cuts.map((cut) => {
      const { widthMm, heightMm } = sourceOf(cut);
      return Math.min((WIDTH - 2 * PAD) / widthMm, (MOST_HEIGHT - 2 * PAD) / heightMm);
    }),
  );

/** The pieces on what they are cut from, to one scale: a sheet whole, of a roll the length that is taken. */
export function CutPicture({ cut, scale }: { cut: CutFrom; scale: number }) {
  const p = usePalette();
  const { widthMm, heightMm } = sourceOf(cut);
  const [width, height] = [widthMm * scale, heightMm * scale];
  return (
    <Svg width={WIDTH} height={height + 2 * PAD} aria-hidden>
      <Rect
        x={PAD}
        y={PAD}
        width={width}
        height={height}
        fill="none"
        stroke={p.ink}
        strokeWidth={1}
        strokeDasharray="3 2"
      />
      {cut.sheet ? null : (
        <>
          <Line x1={PAD} y1={PAD} x2={WIDTH} y2={PAD} stroke={p.ink} strokeWidth={1.5} />
          <Line x1={PAD} y1={height + PAD} x2={WIDTH} y2={height + PAD} stroke={p.ink} strokeWidth={1.5} />
        </>
      )}
      {piecesOf(cut).map(({ x, y, width: w, height: h }, i) => (
        <Rect
          key={i}
          x={PAD + x * scale}
          y={PAD + y * scale}
          width={w * scale}
          height={h * scale}
          fill={p.shade}
          stroke={p.ink}
          strokeWidth={2}
        />
      ))}
    </Svg>
  );
}
