import { boxOf, formatLength, grown, type LaidHoop, say, turn } from '@zt/core';
import { G, Path } from 'react-native-svg';
import { useOpenTicket } from '../../hooks/useTicket';
import { FigureTag } from '../../sheet/marks';
import { TicketSheet } from '../../sheet/TicketSheet';
import { pathPx, toPx, type View } from '../../sheet/view';
import type { Palette } from '../../theme/palette';
import { PlaceDrawing } from '../place/PlaceDrawing';

/** Outward direction of the bracket in the hoop frame. */
const BRACKET = {
  left: { x: -1, y: 0 },
  right: { x: 1, y: 0 },
  back: { x: 0, y: -1 },
  front: { x: 0, y: 1 },
};

/** The hoop on the piece: ring as a double line, notches, bracket as a tab, field dash-dot. */
export function HoopOutline({ laid, view, palette }: { laid: LaidHoop; view: View; palette: Palette }) {
  const { hoop } = laid.verdict;
  const way = turn(BRACKET[hoop.bracket], laid.onPieceDeg);
  const half = (BRACKET[hoop.bracket].x === 0 ? hoop.ringHeightMm : hoop.ringWidthMm) / 2;
  const tab = [-0.12, 0.12].flatMap((side) =>
    [half, half + 16].map((out) => ({
      x: laid.centre.x + way.x * out - way.y * side * hoop.ringHeightMm,
      y: laid.centre.y + way.y * out + way.x * side * hoop.ringHeightMm,
    })),
  );
  const [a, b, c, d] = tab;
  const centre = toPx(view, laid.centre);
  const inner = laid.ring.map((p) => {
    const q = toPx(view, p);
    const reach = Math.hypot(q.x - centre.x, q.y - centre.y);
    return {
      x: centre.x + ((q.x - centre.x) * (reach - 7)) / reach,
      y: centre.y + ((q.y - centre.y) * (reach - 7)) / reach,
    };
  });
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
        d={pathPx(view, laid.ring, true)}
        fill="none"
        stroke={palette.ink}
        strokeWidth={2.4}
        strokeLinejoin="round"
      />
      <Path
        d={`M${inner.map((p) => `${p.x.toFixed(1)} ${p.y.toFixed(1)}`).join('L')}Z`}
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

/** The hoop where it lies on the piece. */
export function HoopDrawing() {
  const { plan, units } = useOpenTicket();
  const laid = plan.hoop?.laid;
  if (!laid || !plan.place) return <PlaceDrawing />;
  const worst = plan.findings.find((f) => f.stage === 'hoop' && f.severity === 'stop');
  const { hoop } = laid.verdict;
  return (
    <TicketSheet
      focus={grown(boxOf([...laid.ring, ...plan.place.footprint]), 34)}
      draggable
      description={`${hoop.name} on the piece, ${plan.hoop?.method}; its field is ${formatLength(hoop.fieldWidthMm, units)} by ${formatLength(hoop.fieldHeightMm, units)}. ${say(laid.verdict.line, units)}`}
      under={(view, palette) => (
        <>
          <HoopOutline laid={laid} view={view} palette={palette} />
          <Path
            d={pathPx(view, laid.allowed, true)}
            fill={palette.tape}
            opacity={0.35}
            stroke={palette.ink}
            strokeWidth={1}
            strokeDasharray="2 3"
          />
        </>
      )}
      over={(view, palette) => {
        const top = toPx(view, { x: laid.centre.x, y: boxOf(laid.field).bottom });
        return worst ? null : (
          <FigureTag x={top.x} y={top.y + 13} text={hoop.name} palette={palette} size={13} />
        );
      }}
    />
  );
}
