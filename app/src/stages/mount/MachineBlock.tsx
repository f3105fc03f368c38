import type { Box } from '@zt/core/base/geometry/box';
import { rotate } from '@zt/core/base/geometry/point';
import type { LaidHoop } from '@zt/core/stages/hoop/layHoop';
import type { MountPlan } from '@zt/core/stages/mount/planMount';
import { G, Path, Rect, Text as SvgText } from 'react-native-svg';
import { FigureTag } from '../../sheet/layers/marks';
import { useOnSheet } from '../../sheet/onSheet';
import { toPx } from '../../sheet/view';
import { FONTS } from '../../theme/fonts';

/** How deep the machine's body is drawn. */
export const BODY_MM = 90;

/** The machine from above, beyond its throat: a plain block with its arm over the needle. */
export function MachineBlock({ mount }: { mount: MountPlan }) {
  const { view, palette: p } = useOnSheet();
  const throat = mount.machine?.throatMm ?? 200;
  const back = mount.machine?.bodySide === 'back';
  const body: Box = back
    ? { left: -120, right: 120, top: -throat - BODY_MM, bottom: -throat }
    : { left: throat, right: throat + BODY_MM, top: -150, bottom: 130 };
  const arm: Box = back
    ? { left: -26, right: 26, top: -throat, bottom: -20 }
    : { left: 20, right: throat, top: -26, bottom: 26 };
  const rect = (box: Box) => {
    const [a, b] = [toPx(view, { x: box.left, y: box.top }), toPx(view, { x: box.right, y: box.bottom })];
    return { x: a.x, y: a.y, width: b.x - a.x, height: b.y - a.y };
  };
  const label = toPx(view, back ? { x: 0, y: -throat - BODY_MM / 2 } : { x: throat + BODY_MM / 2, y: 0 });
  return (
    <G>
      <Rect
        {...rect(arm)}
        rx={8}
        fill={p.graphite}
        opacity={0.28}
        stroke={p.ink}
        strokeWidth={1.4}
        strokeDasharray="7 4"
      />
      <Rect {...rect(body)} rx={8} fill={p.shade} stroke={p.ink} strokeWidth={2} />
      <SvgText
        x={label.x}
        y={label.y + 5}
        fontSize={14}
        fontFamily={FONTS.bold}
        textAnchor="middle"
        fill={p.ink}
        transform={back ? undefined : `rotate(-90 ${label.x} ${label.y})`}
      >
        machine
      </SvgText>
    </G>
  );
}

/** Arrow to the piece's top, from the hoop's middle outwards. */
/** Room that its word takes at the side of the sheet, px. */
const TOP_PX = 22;

export function TopArrow({ laid }: { laid: LaidHoop }) {
  const { view, palette: p } = useOnSheet();
  const way = rotate({ x: 0, y: -1 }, -laid.onPieceDeg);
  const from = Math.max(laid.verdict.hoop.ringWidthMm, laid.verdict.hoop.ringHeightMm) / 2 + 4;
  const [a, b] = [from, from + 34].map((r) => toPx(view, { x: way.x * r, y: way.y * r }));
  if (!a || !b) return null;
  const side = { x: -way.y, y: way.x };
  const head = [1, -1]
    .map((s) => `M${b.x} ${b.y}L${b.x - way.x * 12 + side.x * 8 * s} ${b.y - way.y * 12 + side.y * 8 * s}`)
    .join('');
  return (
    <G>
      <Path d={`M${a.x} ${a.y}L${b.x} ${b.y}${head}`} stroke={p.chalk} strokeWidth={4} fill="none" />
      <FigureTag
        x={Math.min(Math.max(b.x + way.x * 22 + (way.y !== 0 ? 30 : 0), TOP_PX), view.width - TOP_PX)}
        y={b.y + way.y * 16}
        text="top"
      />
    </G>
  );
}
