import { boxOf, centreOf } from '@zt/core/base/geometry/box';
import { type Point, rotate } from '@zt/core/base/geometry/point';
import type { LaidHoop } from '@zt/core/stages/hoop/layHoop';
import { G, Path } from 'react-native-svg';
import { useOnSheet } from '../onSheet';
import { pathPx, toPx } from '../view';

/** Outward direction of the bracket in the hoop frame. */
const BRACKET = {
  left: { x: -1, y: 0 },
  right: { x: 1, y: 0 },
  back: { x: 0, y: -1 },
  front: { x: 0, y: 1 },
};

/** A ring's corners drawn in towards its middle by its wall, along both sides. */
function insetTowards(ring: readonly Point[], middle: Point, wallMm: number): Point[] {
  return ring.map((p) => {
    const reach = Math.hypot(p.x - middle.x, p.y - middle.y);
    const share = (reach - wallMm * Math.SQRT2) / reach;
    return { x: middle.x + (p.x - middle.x) * share, y: middle.y + (p.y - middle.y) * share };
  });
}

const FIELD_DASHES = '10 3 2 3';

/** The stitch field of a laid hoop, dash-dot. */
export function FieldLine({ laid }: { laid: LaidHoop }) {
  const { view, palette } = useOnSheet();
  const { hoop } = laid.verdict;
  const { x, y } = toPx(view, laid.centre);
  const r = (hoop.fieldWidthMm / 2) * view.scale;
  return (
    <Path
      d={
        hoop.round
          ? `M${x - r} ${y}a${r} ${r} 0 1 1 ${2 * r} 0a${r} ${r} 0 1 1 ${-2 * r} 0`
          : pathPx(view, laid.field, true)
      }
      stroke={palette.chalk}
      strokeWidth={1.6}
      strokeDasharray={FIELD_DASHES}
      fill="none"
    />
  );
}

/** The hoop on the piece: ring as a double line, notches, bracket as a tab, field dash-dot. */
export function HoopLayer({ laid }: { laid: LaidHoop }) {
  const { view, palette } = useOnSheet();
  const { hoop } = laid.verdict;
  const middle = centreOf(boxOf(laid.ring));
  const way = rotate(BRACKET[hoop.bracket], laid.onPieceDeg);
  const half = (BRACKET[hoop.bracket].x === 0 ? hoop.ringHeightMm : hoop.ringWidthMm) / 2;
  const tab = [-0.12, 0.12].flatMap((side) =>
    [half, half + 16].map((out) => ({
      x: middle.x + way.x * out - way.y * side * hoop.ringHeightMm,
      y: middle.y + way.y * out + way.x * side * hoop.ringHeightMm,
    })),
  );
  const [a, b, c, d] = tab;
  const inner = insetTowards(laid.ring, middle, hoop.wallMm);
  return (
    <G>
      {a && b && c && d ? (
        <Path
          d={pathPx(view, [a, b, d, c], true)}
          fill={palette.paper}
          stroke={palette.ink}
          strokeWidth={1.6}
        />
      ) : null}
      <Path
        testID="ring"
        d={pathPx(view, laid.ring, true)}
        fill="none"
        stroke={palette.ink}
        strokeWidth={2.4}
        strokeLinejoin="round"
      />
      <Path
        d={pathPx(view, inner, true)}
        fill="none"
        stroke={palette.ink}
        strokeWidth={1}
        strokeLinejoin="round"
      />
      {laid.ring.map((p, i) => {
        const next = laid.ring[(i + 1) % laid.ring.length] ?? p;
        const mid = toPx(view, { x: (p.x + next.x) / 2, y: (p.y + next.y) / 2 });
        return (
          <Path
            key={`${p.x} ${p.y}`}
            d={`M${mid.x - 5} ${mid.y}L${mid.x} ${mid.y - 5}L${mid.x + 5} ${mid.y}L${mid.x} ${mid.y + 5}Z`}
            fill={palette.ink}
          />
        );
      })}
      <FieldLine laid={laid} />
    </G>
  );
}
