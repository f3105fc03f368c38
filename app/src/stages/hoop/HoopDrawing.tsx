import { boxOf, centreOf, formatLength, inflate, type LaidHoop, type Point, rotate, say } from '@zt/core';
import { G, Path } from 'react-native-svg';
import { useOpenTicket } from '../../hooks/useTicket';
import { FigureTag } from '../../sheet/marks';
import { TicketSheet } from '../../sheet/TicketSheet';
import { pathPx, toPx, type View } from '../../sheet/view';
import type { Palette } from '../../theme/palette';
import { PlaceDrawing } from '../place/PlaceDrawing';
import { useRingDrag } from './useRingDrag';

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

/** The hoop on the piece: ring as a double line, notches, bracket as a tab, field dash-dot. */
export function HoopOutline({ laid, view, palette }: { laid: LaidHoop; view: View; palette: Palette }) {
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
  const centre = toPx(view, laid.centre);
  const round = hoop.round ? { r: (hoop.fieldWidthMm / 2) * view.scale } : null;
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
      {round ? (
        <Path
          d={`M${centre.x - round.r} ${centre.y}a${round.r} ${round.r} 0 1 1 ${2 * round.r} 0a${round.r} ${round.r} 0 1 1 ${-2 * round.r} 0`}
          stroke={palette.chalk}
          strokeWidth={1.6}
          strokeDasharray="10 3 2 3"
          fill="none"
        />
      ) : (
        <Path
          d={pathPx(view, laid.field, true)}
          stroke={palette.chalk}
          strokeWidth={1.6}
          strokeDasharray="10 3 2 3"
          fill="none"
        />
      )}
    </G>
  );
}

/** The fields of a split design's parts, the one in hand drawn strong, and the crosses that join them. */
function SplitLayer({ laid, view, palette }: { laid: LaidHoop; view: View; palette: Palette }) {
  const { split } = laid;
  if (!split) return null;
  return (
    <G>
      {split.fields.map((field, i) => {
        const box = boxOf(field);
        const label = toPx(view, { x: i % 2 === 0 ? box.left : box.right, y: box.top });
        const shared = split.fields.length > 1;
        return (
          <G key={i}>
            <Path
              d={pathPx(view, field, true)}
              fill="none"
              stroke={palette.chalk}
              strokeWidth={i === split.index ? 2.6 : 1.2}
              strokeDasharray="10 3 2 3"
            />
            {shared ? (
              <FigureTag
                x={label.x + (i % 2 === 0 ? 14 : -14)}
                y={label.y + 16}
                text={String(i + 1)}
                palette={palette}
                size={15}
              />
            ) : null}
          </G>
        );
      })}
      {split.crosses.map((cross) => {
        const { x, y } = toPx(view, cross);
        return (
          <Path
            key={`${cross.x} ${cross.y}`}
            d={`M${x - 8} ${y}H${x + 8}M${x} ${y - 8}V${y + 8}M${x - 5} ${y}a5 5 0 1 0 10 0a5 5 0 1 0 -10 0`}
            stroke={palette.madder}
            strokeWidth={1.8}
            fill="none"
          />
        );
      })}
    </G>
  );
}

/** The hoop where it lies on the piece; it is taken by its ring, the design by itself. */
export function HoopDrawing() {
  const { plan, units } = useOpenTicket();
  const grip = useRingDrag();
  const laid = plan.hoop?.laid;
  if (!laid || !plan.place) return <PlaceDrawing />;
  const worst = plan.findings.find((f) => f.stage === 'hoop' && f.severity === 'stop');
  const { hoop } = laid.verdict;
  const fields = laid.split?.fields.flat() ?? [];
  return (
    <TicketSheet
      focus={inflate(boxOf([...laid.ring, ...plan.place.footprint, ...fields]), 34)}
      draggable
      grip={grip}
      description={`${hoop.name} on the piece, ${plan.hoop?.method}; its field is ${formatLength(hoop.fieldWidthMm, units)} by ${formatLength(hoop.fieldHeightMm, units)}. ${say(laid.verdict.line, units)}`}
      under={(view, palette) => (
        <>
          <HoopOutline laid={laid} view={view} palette={palette} />
          {laid.split ? null : (
            <Path
              d={pathPx(view, laid.allowed, true)}
              fill={palette.tape}
              opacity={0.35}
              stroke={palette.ink}
              strokeWidth={1}
              strokeDasharray="2 3"
            />
          )}
        </>
      )}
      over={(view, palette) => {
        const top = toPx(view, { x: laid.centre.x, y: boxOf(laid.field).bottom });
        return (
          <>
            <SplitLayer laid={laid} view={view} palette={palette} />
            {worst || laid.split ? null : (
              <FigureTag x={top.x} y={top.y + 13} text={hoop.name} palette={palette} size={13} />
            )}
          </>
        );
      }}
    />
  );
}
