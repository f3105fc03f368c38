import { boxOf, inflate } from '@zt/core/base/geometry/box';
import type { Point } from '@zt/core/base/geometry/point';
import { formatLength } from '@zt/core/base/units/length';
import { say } from '@zt/core/base/units/phrase';
import type { LaidHoop } from '@zt/core/stages/hoop/layHoop';
import { G, Path } from 'react-native-svg';
import { usePlan, useUnits } from '../../hooks/useTicket';
import { HoopLayer } from '../../sheet/layers/HoopLayer';
import { FigureTag } from '../../sheet/layers/marks';
import { useOnSheet } from '../../sheet/onSheet';
import { TicketSheet } from '../../sheet/TicketSheet';
import { pathPx, toPx } from '../../sheet/view';
import { useRingDrag } from './useRingDrag';

/** The fields of a split design's parts, the one in hand drawn strong, and the crosses that join them. */
function SplitLayer({ laid }: { laid: LaidHoop }) {
  const { view, palette } = useOnSheet();
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

/** The hoop with the room that the design's centre may lie in; ahead of the plan, mm, while it is in the hand. */
function RingInField({ laid, ahead }: { laid: LaidHoop; ahead: Point }) {
  const { view, palette } = useOnSheet();
  return (
    <G transform={`translate(${ahead.x * view.scale} ${ahead.y * view.scale})`}>
      <HoopLayer laid={laid} />
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
    </G>
  );
}

function SplitAndName({ laid, named }: { laid: LaidHoop; named: boolean }) {
  const { view } = useOnSheet();
  const foot = toPx(view, { x: laid.centre.x, y: boxOf(laid.field).bottom });
  return (
    <G>
      <SplitLayer laid={laid} />
      {named && !laid.split ? (
        <FigureTag x={foot.x} y={foot.y + 13} text={laid.verdict.hoop.name} size={13} />
      ) : null}
    </G>
  );
}

/** The hoop where it lies on the piece; it is taken by its ring, the design by itself. */
export function HoopDrawing() {
  const plan = usePlan('hoop', 'place', 'findings');
  const units = useUnits();
  const grip = useRingDrag();
  const laid = plan.hoop?.laid;
  if (!laid || !plan.place) return null;
  const worst = plan.findings.find((f) => f.stage === 'hoop' && f.severity === 'stop');
  const { hoop } = laid.verdict;
  const fields = laid.split?.fields.flat() ?? [];
  return (
    <TicketSheet
      focus={inflate(boxOf([...laid.ring, ...plan.place.footprint, ...fields]), 34)}
      draggable
      grip={grip}
      description={`${hoop.name} on the piece, ${plan.hoop?.method}; its field is ${formatLength(hoop.fieldWidthMm, units)} by ${formatLength(hoop.fieldHeightMm, units)}. ${say(laid.verdict.line, units)}`}
      under={<RingInField laid={laid} ahead={grip.ahead} />}
      over={<SplitAndName laid={laid} named={!worst} />}
    />
  );
}
