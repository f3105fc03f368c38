import type { Point } from '@zt/core/base/geometry/point';
import { G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { FONTS } from '../../theme/fonts';
import { usePalette } from '../../theme/palette';
import { useOnSheet } from '../onSheet';
import { isStrip, toPx } from '../view';

// The parts a pattern sheet is drawn with: codes by line style and label first, colour second.

const LABEL_PX = 14;

/** A figure on tape yellow. Centre in px. */
export function FigureTag({
  x,
  y,
  text,
  size = LABEL_PX,
}: {
  x: number;
  y: number;
  text: string;
  size?: number;
}) {
  const palette = usePalette();
  const width = text.length * size * 0.56 + 12;
  return (
    <G>
      <Rect
        x={x - width / 2}
        y={y - size * 0.82}
        width={width}
        height={size * 1.64}
        rx={3}
        fill={palette.tape}
        stroke={palette.onTape}
        strokeWidth={1}
      />
      <SvgText
        x={x}
        y={y + size * 0.36}
        fontSize={size}
        fontFamily={FONTS.bold}
        textAnchor="middle"
        fill={palette.onTape}
      >
        {text}
      </SvgText>
    </G>
  );
}

interface DimensionProps {
  from: Point;
  to: Point;
  /** Null draws the line alone. */
  text: string | null;
  /** Where along the line the figure stands, 0 to 1. */
  at?: number;
  /** Dotted leaders from these points to the line's ends. */
  leaders?: readonly [Point, Point][];
}

/** A thin line with end ticks and its figure on it. Ends in mm. */
export function Dimension({ from, to, text, at = 0.5, leaders = [] }: DimensionProps) {
  const { view, palette } = useOnSheet();
  const [a, b] = [toPx(view, from), toPx(view, to)];
  const length = Math.hypot(b.x - a.x, b.y - a.y);
  if (length < 1) return null;
  const [nx, ny] = [(-(b.y - a.y) / length) * 6, ((b.x - a.x) / length) * 6];
  const mid = { x: a.x + (b.x - a.x) * at, y: a.y + (b.y - a.y) * at };
  return (
    <G>
      {leaders.map(([p, q]) => {
        const [s, e] = [toPx(view, p), toPx(view, q)];
        return (
          <Line
            key={`${s.x} ${s.y} ${e.x} ${e.y}`}
            x1={s.x}
            y1={s.y}
            x2={e.x}
            y2={e.y}
            stroke={palette.ink}
            strokeWidth={1}
            strokeDasharray="2 3"
          />
        );
      })}
      <Line x1={a.x} y1={a.y} x2={b.x} y2={b.y} stroke={palette.ink} strokeWidth={1.4} />
      {[a, b].map((end, i) => (
        <Line
          key={i === 0 ? 'from' : 'to'}
          x1={end.x - nx}
          y1={end.y - ny}
          x2={end.x + nx}
          y2={end.y + ny}
          stroke={palette.ink}
          strokeWidth={1.4}
        />
      ))}
      {text === null || isStrip(view) ? null : <FigureTag x={mid.x} y={mid.y} text={text} />}
    </G>
  );
}

/** The tape itself where it is laid for the reading being taken: a yellow band with its strokes. */
export function TapeLaid({ from, to, text, at = 0.5 }: DimensionProps) {
  const { view, palette } = useOnSheet();
  const [a, b] = [toPx(view, from), toPx(view, to)];
  const length = Math.hypot(b.x - a.x, b.y - a.y);
  if (length < 1) return null;
  const [ux, uy] = [(b.x - a.x) / length, (b.y - a.y) / length];
  const strokes = Array.from({ length: Math.floor(length / 9) }, (_, i) => {
    const [x, y] = [a.x + ux * (i + 1) * 9, a.y + uy * (i + 1) * 9];
    const reach = i % 4 === 3 ? 9 : 5;
    return `M${x + uy * 9} ${y - ux * 9}L${x + uy * (9 - reach)} ${y - ux * (9 - reach)}`;
  });
  const band = { x1: a.x, y1: a.y, x2: b.x, y2: b.y };
  return (
    <G>
      <Line {...band} stroke={palette.onTape} strokeWidth={20} />
      <Line {...band} stroke={palette.tape} strokeWidth={17} />
      <Path d={strokes.join('')} stroke={palette.onTape} strokeWidth={1.2} fill="none" />
      {isStrip(view) ? null : (
        <FigureTag x={a.x + (b.x - a.x) * at} y={a.y + (b.y - a.y) * at} text={text ?? ''} size={22} />
      )}
    </G>
  );
}

/** A hand-chalked cross: two slightly uneven strokes, with its number where it has one. */
export function ChalkCross({ at, number, size: full = 9 }: { at: Point; number?: number; size?: number }) {
  const { view, palette } = useOnSheet();
  const size = isStrip(view) ? full / 2 : full;
  const p = toPx(view, at);
  const stroke = {
    stroke: palette.chalk,
    strokeWidth: isStrip(view) ? 2 : 3,
    strokeLinecap: 'round' as const,
    fill: 'none',
  };
  return (
    <G>
      <Path d={`M${p.x - size} ${p.y + 0.6}Q${p.x} ${p.y - 0.8} ${p.x + size} ${p.y + 0.2}`} {...stroke} />
      <Path d={`M${p.x - 0.4} ${p.y - size}Q${p.x + 0.9} ${p.y} ${p.x + 0.3} ${p.y + size}`} {...stroke} />
      {number === undefined || isStrip(view) ? null : (
        <FigureTag x={p.x + size + 8} y={p.y - size - 3} text={String(number)} size={12} />
      )}
    </G>
  );
}

/** A short zigzag on the very edge that fails, with by how much. */
export function Zigzag({ at, text }: { at: Point; text: string | null }) {
  const { view, palette } = useOnSheet();
  const p = toPx(view, at);
  const width = (text ?? '').length * 8 + 12;
  const x = Math.min(Math.max(p.x, width / 2 + 4), view.width - width / 2 - 4);
  const y = Math.min(Math.max(p.y + 22, 14), view.height - 14);
  return (
    <G>
      <Path
        d={`M${p.x - 16} ${p.y}l5 -7l7 14l7 -14l7 14l6 -7`}
        stroke={palette.madder}
        strokeWidth={2.5}
        fill="none"
      />
      {text === null ? null : (
        <G>
          <Rect x={x - width / 2} y={y - 11} width={width} height={22} rx={3} fill={palette.madder} />
          <SvgText
            x={x}
            y={y + 5}
            fontSize={14}
            fontFamily={FONTS.bold}
            textAnchor="middle"
            fill={palette.panel}
          >
            {text}
          </SvgText>
        </G>
      )}
    </G>
  );
}

const ARROW_PX = 50;

/** Points to the piece's top: an arrow with a notch, on a slip of paper in the sheet's lower corner. */
export function GrainArrow() {
  const { view, palette } = useOnSheet();
  const [x, y] = [24, view.height - 16];
  return (
    <G>
      <Rect
        x={x - 14}
        y={y - ARROW_PX - 7}
        width={28}
        height={ARROW_PX + 14}
        rx={4}
        fill={palette.paper}
        opacity={0.85}
      />
      <Path
        d={`M${x} ${y}v${-ARROW_PX}m-8 11l8 -11l8 11M${x - 7} ${y - ARROW_PX * 0.35}h14`}
        stroke={palette.graphite}
        strokeWidth={1.6}
        fill="none"
      />
    </G>
  );
}

/** Which face of the piece is seen: a slip in the sheet's upper corner. */
export function FaceName({ name }: { name: string }) {
  const { palette } = useOnSheet();
  return (
    <G>
      <Rect x={6} y={6} width={name.length * 8 + 16} height={24} rx={3} fill={palette.paper} opacity={0.9} />
      <SvgText x={14} y={23} fontSize={14} fontFamily={FONTS.bold} fill={palette.graphite}>
        {name}
      </SvgText>
    </G>
  );
}
