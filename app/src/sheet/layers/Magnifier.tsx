import type { Point } from '@zt/core/base/geometry/point';
import { ClipPath, Defs, G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { FONTS } from '../../theme/fonts';
import { usePalette } from '../../theme/palette';
import { useOnSheet } from '../onSheet';
import { toPx } from '../view';

const LARGEST_PX = 132;
const PX_PER_MM = 7;
const MARGIN_PX = 10;
const WORDS_PX = 24;

/** Lines of a grid at every so many mm round a point, within the glass, as path data about its middle. */
function gridAbout(at: Point, everyMm: number, edge: number): string {
  const half = edge / PX_PER_MM;
  const along = (value: number) => {
    const first = Math.ceil((value - half) / everyMm);
    const count = Math.floor((value + half) / everyMm) - first + 1;
    return Array.from({ length: count }, (_, i) => ((first + i) * everyMm - value) * PX_PER_MM);
  };
  return [
    ...along(at.x).map((x) => `M${x.toFixed(1)} ${-edge}V${edge}`),
    ...along(at.y).map((y) => `M${-edge} ${y.toFixed(1)}H${edge}`),
  ].join('');
}

/**
 * What is under the finger, seven pixels to the millimetre, in the corner that the finger is not in: a grid of
 * millimetres counted from the drawing's origin, the point in its middle, and in words where it lies.
 */
export function Magnifier({ at, words }: { at: Point; words: string }) {
  const { view } = useOnSheet();
  const p = usePalette();
  const finger = toPx(view, at);
  const size = Math.min(LARGEST_PX, view.height - 2 * MARGIN_PX);
  const left = finger.x > view.width / 2 ? MARGIN_PX : view.width - size - MARGIN_PX;
  const edge = size / 2;
  const middle = { x: left + edge, y: MARGIN_PX + edge };
  return (
    <G x={middle.x} y={middle.y}>
      <Defs>
        <ClipPath id="glass">
          <Rect x={-edge} y={-edge} width={size} height={size} rx={8} />
        </ClipPath>
      </Defs>
      <G clipPath="url(#glass)">
        <Rect x={-edge} y={-edge} width={size} height={size} fill={p.panel} />
        <Path d={gridAbout(at, 1, edge)} stroke={p.grid} strokeWidth={1} />
        <Path d={gridAbout(at, 5, edge)} stroke={p.hairline} strokeWidth={1.2} />
        <Path d={gridAbout(at, 10, edge)} stroke={p.graphite} strokeWidth={1.4} />
        <Line x1={-18} y1={0} x2={18} y2={0} stroke={p.chalk} strokeWidth={2.5} />
        <Line x1={0} y1={-18} x2={0} y2={18} stroke={p.chalk} strokeWidth={2.5} />
        <Rect x={-edge} y={edge - WORDS_PX} width={size} height={WORDS_PX} fill={p.tape} />
        <SvgText
          y={edge - 7}
          fontSize={Math.min(13, (size - 8) / (words.length * 0.57))}
          fontFamily={FONTS.bold}
          textAnchor="middle"
          fill={p.onTape}
          testID="magnified"
        >
          {words}
        </SvgText>
      </G>
      <Rect
        x={-edge}
        y={-edge}
        width={size}
        height={size}
        rx={8}
        fill="none"
        stroke={p.ink}
        strokeWidth={2}
      />
    </G>
  );
}
