import { heightOf, widthOf } from '@zt/core/base/geometry/box';
import { type CutFrom, layoutOf } from '@zt/core/ledger/rolls/cutting';
import Svg, { Line, Rect } from 'react-native-svg';
import { usePalette } from '../../theme/palette';

const WIDTH = 112;
const MOST_HEIGHT = 84;
const PAD = 3;

/** Millimetres to pixels at which the largest of some cuts fits its picture: all are drawn at it. */
export const cutScale = (cuts: readonly CutFrom[]): number =>
  Math.min(
    ...cuts.map((cut) => {
      const { widthMm, heightMm } = layoutOf(cut).source;
      return Math.min((WIDTH - 2 * PAD) / widthMm, (MOST_HEIGHT - 2 * PAD) / heightMm);
    }),
  );

/** The pieces on what they are cut from, to one scale: a sheet whole, of a roll the length that is taken. */
export function CutPicture({ cut, scale }: { cut: CutFrom; scale: number }) {
  const p = usePalette();
  const { source, pieces } = layoutOf(cut);
  const [width, height] = [source.widthMm * scale, source.heightMm * scale];
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
      {pieces.map((piece, i) => (
        <Rect
          key={i}
          x={PAD + piece.left * scale}
          y={PAD + piece.top * scale}
          width={widthOf(piece) * scale}
          height={heightOf(piece) * scale}
          fill={p.shade}
          stroke={p.ink}
          strokeWidth={2}
        />
      ))}
    </Svg>
  );
}
