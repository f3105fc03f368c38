import type { FaultId } from '@zt/core/model/faults';
import type { ReactElement } from 'react';
import Svg, { Circle, Ellipse, G, Line, Path, Rect } from 'react-native-svg';
import { type Palette, usePalette } from '../theme/palette';

const SIDE = 64;
type Ink = Pick<Palette, 'ink' | 'madder' | 'graphite' | 'panel'>;

/** A stitched leaf, as it should lie. */
const LEAF = 'M14 40C18 20 38 14 50 18C50 36 36 50 14 40Z';
const rows = (from: number, to: number, step: number): string =>
  Array.from({ length: Math.floor((to - from) / step) + 1 }, (_, i) => `M${from + i * step} 14V50`).join('');

const Leaf = ({ ink, fill }: { ink: string; fill?: string }) => (
  <Path d={LEAF} fill={fill ?? ink} fillOpacity={0.25} stroke={ink} strokeWidth={2} />
);

/** What goes wrong, drawn on a sample: the trouble in madder over a leaf in ink. */
const DRAWN: Record<FaultId, (p: Ink) => ReactElement> = {
  puckering: (p) => (
    <G>
      <Leaf ink={p.ink} />
      <Path
        d="M8 48C14 44 14 38 8 34M24 56C26 50 32 50 34 56M48 46C54 42 60 46 58 52M54 12C50 8 44 8 42 12M12 18C18 18 20 12 16 8"
        stroke={p.madder}
        strokeWidth={2.5}
        fill="none"
      />
    </G>
  ),
  gaps: (p) => (
    <G>
      <Path d={LEAF} fill={p.ink} fillOpacity={0.25} />
      <Path d={LEAF} fill="none" stroke={p.madder} strokeWidth={2.5} transform="translate(6 5)" />
    </G>
  ),
  sinking: (p) => (
    <G>
      <Leaf ink={p.graphite} />
      <Path
        d="M14 22q3 -6 6 0t6 0t6 0t6 0t6 0M14 34q3 -6 6 0t6 0t6 0t6 0t6 0M14 46q3 -6 6 0t6 0t6 0t6 0t6 0"
        stroke={p.madder}
        strokeWidth={2}
        fill="none"
      />
    </G>
  ),
  'show-through': (p) => (
    <G>
      <Path d={LEAF} fill="none" stroke={p.ink} strokeWidth={2} />
      <Path d={rows(18, 46, 7)} stroke={p.ink} strokeWidth={2} />
      <Path d={rows(21, 43, 7)} stroke={p.madder} strokeWidth={1.5} />
    </G>
  ),
  'off-place': (p) => (
    <G>
      <Path d="M32 8V56M8 32H56" stroke={p.graphite} strokeWidth={1.5} strokeDasharray="4 4" />
      <G transform="rotate(18 32 32) translate(7 6)">
        <Path d={LEAF} fill={p.madder} fillOpacity={0.25} stroke={p.madder} strokeWidth={2} />
      </G>
    </G>
  ),
  'ring-marks': (p) => (
    <G>
      <Leaf ink={p.ink} />
      <Rect
        x={6}
        y={6}
        width={52}
        height={52}
        rx={12}
        fill="none"
        stroke={p.madder}
        strokeWidth={4}
        opacity={0.7}
      />
    </G>
  ),
  'needle-break': (p) => (
    <G>
      <Path d="M29 6h6v18l-3 5l-3 -2z" fill={p.ink} />
      <Path d="M27 34l5 -2l2 3l-4 20l-3 -2z" fill={p.madder} transform="rotate(20 30 44)" />
    </G>
  ),
  'bobbin-tension': (p) => (
    <G>
      <Path d="M6 32H58" stroke={p.graphite} strokeWidth={3} />
      <Path d="M8 22q6 12 12 0t12 0t12 0t12 0" stroke={p.ink} strokeWidth={2.5} fill="none" />
      <Path
        d="M12 34q5 18 10 0M30 34q5 18 10 0M46 34q5 18 10 0"
        stroke={p.madder}
        strokeWidth={2.5}
        fill="none"
      />
    </G>
  ),
  'sewn-shut': (p) => (
    <G>
      <Path d="M8 18H56M8 46H56" stroke={p.ink} strokeWidth={3} />
      <Path d="M16 18L24 46L32 18L40 46L48 18" stroke={p.madder} strokeWidth={2.5} fill="none" />
    </G>
  ),
  'backing-edge': (p) => (
    <G>
      <Path
        d="M6 46C12 10 44 4 60 14C60 40 38 62 6 46Z"
        fill="none"
        stroke={p.madder}
        strokeWidth={2.5}
        strokeDasharray="6 4"
      />
      <Leaf ink={p.ink} />
    </G>
  ),
  scratchy: (p) => (
    <G>
      <Ellipse cx={32} cy={32} rx={22} ry={18} fill="none" stroke={p.ink} strokeWidth={2} />
      <Path
        d="M18 26l4 -6l2 7l5 -6l2 7l5 -6l2 7l5 -6l2 6M20 40l4 -6l2 7l5 -6l2 7l5 -6l2 7"
        stroke={p.madder}
        strokeWidth={2}
        fill="none"
      />
    </G>
  ),
  nests: (p) => (
    <G>
      <Line x1={8} y1={20} x2={56} y2={20} stroke={p.ink} strokeWidth={2.5} />
      {[0, 40, 80, 120].map((turn) => (
        <Ellipse
          key={turn}
          cx={32}
          cy={40}
          rx={16}
          ry={7}
          fill="none"
          stroke={p.madder}
          strokeWidth={2}
          transform={`rotate(${turn} 32 40)`}
        />
      ))}
      <Circle cx={32} cy={40} r={3} fill={p.madder} />
    </G>
  ),
};

/** A fault as it looks on the cloth. */
export function FaultPicture({ id }: { id: FaultId }) {
  const p = usePalette();
  return (
    <Svg width={SIDE} height={SIDE} viewBox="0 0 64 64" aria-hidden>
      <Rect x={1} y={1} width={62} height={62} rx={4} fill={p.panel} stroke={p.hairline} strokeWidth={1.5} />
      {DRAWN[id](p)}
    </Svg>
  );
}
