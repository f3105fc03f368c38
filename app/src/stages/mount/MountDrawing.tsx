import { type Box, boxOf, inflate } from '@zt/core/base/geometry/box';
import { add, ORIGIN, type Point, rotate } from '@zt/core/base/geometry/point';
import { formatLength } from '@zt/core/base/units/length';
import type { MarkFound, MountInput } from '@zt/core/model/ticket/mount';
import type { LaidHoop } from '@zt/core/stages/hoop/layHoop';
import { inHoopFrame } from '@zt/core/stages/hoop/ring';
import { obstacleOutline } from '@zt/core/stages/mount/obstacles';
import type { MountPlan } from '@zt/core/stages/mount/planMount';
import { useRef, useState } from 'react';
import { G, Line, Path } from 'react-native-svg';
import { useFollowing } from '../../hooks/useFollowing';
import { usePlan, useReading, useTicket, useTicketActs, useUnits } from '../../hooks/useTicket';
import { DesignLayer } from '../../sheet/layers/DesignLayer';
import { HoopLayer } from '../../sheet/layers/HoopLayer';
import { Magnifier } from '../../sheet/layers/Magnifier';
import { ChalkCross, FigureTag } from '../../sheet/layers/marks';
import { OnCloth, useOnSheet } from '../../sheet/onSheet';
import { Sheet } from '../../sheet/Sheet';
import { pathPx, toPx } from '../../sheet/view';
import { gestureEnded } from '../../store/editor';
import { useAppDispatch } from '../../store/store';
import { usePalette } from '../../theme/palette';
import { BODY_MM, MachineBlock, TopArrow } from './MachineBlock';
import { halfMm, lieWords, markToTap, tenthMm, withReading } from './readings';

const SPREAD_MM = 144;

/** Room round the ring while marks are read off it, mm. */
const READ_MM = 30;

/** What must be in sight: the machine with what lies on it; while marks are read, the ring alone. */
function focusOf(
  hoop: { ringWidthMm: number; ringHeightMm: number },
  mount: MountPlan,
  isRead: boolean,
): Box {
  const ring = boxOf([
    { x: -hoop.ringWidthMm / 2, y: -hoop.ringHeightMm / 2 },
    { x: hoop.ringWidthMm / 2, y: hoop.ringHeightMm / 2 },
  ]);
  if (isRead) return inflate(ring, READ_MM);
  const throat = mount.machine?.throatMm ?? 200;
  const spread = inflate(ring, SPREAD_MM * 0.5);
  return mount.machine?.bodySide === 'back'
    ? { ...spread, top: Math.min(spread.top, -throat - BODY_MM * 0.6) }
    : { ...spread, right: Math.max(spread.right, throat + BODY_MM) };
}

type Moved = Pick<MountInput, 'readings' | 'obstacles'>;

/** Marks read off the hoop, and what lies on it, can be dragged to where they are. */
function useHoopDrag() {
  const ticket = useTicket('mount');
  const reading = useReading();
  const { change, setReading } = useTicketActs();
  const dispatch = useAppDispatch();
  const start = useRef<Moved | null>(null);
  const held = useRef<{ list: 'readings' | 'obstacles'; index: number } | null>(null);
  /** Where the hand has them, whether or not the plan has followed. */
  const [inHand, setInHand] = useState<Partial<Moved> | null>(null);
  const following = useFollowing((set: Partial<Moved>) =>
    change({ stage: 'mount', set }, 'dragged on the hoop'),
  );
  const { readings, obstacles } = ticket.mount;
  const holds = (at: Point, tolerance: number) => {
    const all = [
      ...readings.map((r, index) => ({
        list: 'readings' as const,
        index,
        off: Math.hypot(r.x - at.x, r.y - at.y),
      })),
      ...obstacles.map((o, index) => ({
        list: 'obstacles' as const,
        index,
        off: Math.hypot(o.x - at.x, o.y - at.y),
      })),
    ].sort((a, b) => a.off - b.off);
    const [nearest] = all;
    held.current = nearest && nearest.off <= tolerance * 2 ? nearest : null;
    return held.current !== null;
  };
  const onDrag = (by: Point) => {
    const grip = held.current;
    start.current ??= { readings, obstacles };
    if (!grip) return;
    const moved = <T extends Point>(items: readonly T[]): T[] =>
      items.map((r, i) => (i === grip.index ? { ...r, x: halfMm(r.x + by.x), y: halfMm(r.y + by.y) } : r));
    const set =
      grip.list === 'readings'
        ? { readings: moved(start.current.readings) }
        : { obstacles: moved(start.current.obstacles) };
    setInHand(set);
    following.soon(set);
  };
  const onDragEnd = () => {
    following.end();
    start.current = null;
    setInHand(null);
    dispatch(gestureEnded());
  };
  const mark = markToTap(reading);
  const onTap = (at: Point) => {
    if (!mark) return;
    const found: MarkFound = { mark, x: tenthMm(at.x), y: tenthMm(at.y) };
    change({ stage: 'mount', set: { readings: withReading(readings, found) } });
    setReading(null);
  };
  const shown = { readings, obstacles, ...inHand };
  const grip = held.current;
  const inGlass = inHand && grip ? (shown[grip.list][grip.index] ?? null) : null;
  return { ...shown, inGlass, isHeld: inHand !== null, gestures: { holds, onDrag, onDragEnd, onTap } };
}

/** What lies on the hoop, the path the foot sweeps, and where it comes nearest. */
function TraceLayer({ mount, obstacles }: { mount: MountPlan; obstacles: MountInput['obstacles'] }) {
  const { view, palette: p } = useOnSheet();
  const units = useUnits();
  const { trace } = mount;
  const [nearest] = trace.clearances;
  const [a, b] = (nearest?.on ?? []).map((q) => toPx(view, q));
  const near = nearest !== undefined && (nearest.name !== 'ring' || nearest.mm < trace.leastMm);
  return (
    <G>
      {obstacles.length > 0 ? (
        <Path
          d={pathPx(view, trace.path, true)}
          fill="none"
          stroke={p.graphite}
          opacity={0.25}
          strokeWidth={2 * trace.footMm * view.scale}
          strokeLinejoin="round"
        />
      ) : null}
      {obstacles.map((obstacle, i) => (
        <Path
          key={i}
          d={pathPx(view, obstacleOutline(obstacle), true)}
          fill={p.panel}
          stroke={p.onTape}
          strokeWidth={1.6}
        />
      ))}
      {near && a && b ? (
        <G>
          <Line
            x1={a.x}
            y1={a.y}
            x2={b.x}
            y2={b.y}
            stroke={nearest.mm < 0 ? p.madder : p.ink}
            strokeWidth={2.5}
          />
          <FigureTag
            x={Math.min(b.x + 34, view.width - 40)}
            y={b.y - 16}
            text={`${nearest.mm < 0 ? '−' : ''}${formatLength(Math.abs(nearest.mm), units)}`}
            size={13}
          />
        </G>
      ) : null}
    </G>
  );
}

/** The hoop as it lies on the machine: its own frame, the field's centre in the middle. */
function inOwnFrame(laid: LaidHoop): LaidHoop {
  const own = (points: readonly Point[]) => points.map((p) => inHoopFrame(p, laid));
  return { ...laid, ring: own(laid.ring), field: own(laid.field), centre: { x: 0, y: 0 }, onPieceDeg: 0 };
}

/** The machine from above with the piece lying on it as it must, or as it was found to lie. */
export function MountDrawing() {
  const ticket = useTicket('mount');
  const plan = usePlan('mount', 'hoop', 'design', 'piece');
  const drag = useHoopDrag();
  const palette = usePalette();
  const units = useUnits();
  const { mount, hoop, design, piece } = plan;
  const laid = hoop?.laid;
  if (!mount || !laid || !design.facts || !piece.geometry) return null;
  const { facts } = design;
  const found = mount.crooked?.lie.ok ? mount.crooked.lie : null;
  const outline = found
    ? piece.geometry.outline.map((p) => add(rotate(p, found.turnDeg), found.shift))
    : piece.geometry.outline.map((p) => inHoopFrame(p, laid));
  return (
    <Sheet
      focus={focusOf(laid.verdict.hoop, mount, drag.readings.length > 0)}
      room={12}
      still={drag.isHeld}
      {...drag.gestures}
      description={`The machine from above. The top of the piece points ${mount.chosen.topPoints}. Turn the design ${mount.keys.turnDeg} degrees.`}
    >
      <Outline points={outline} colour={piece.colour} />
      <OnCloth colour={piece.colour}>
        <HoopLayer laid={inOwnFrame(laid)} />
      </OnCloth>
      <DesignLayer
        facts={facts}
        at={mount.designAt}
        turnDeg={mount.keys.turnDeg}
        mirror={ticket.mount.mirror}
        ink={palette.ink}
        ground={piece.colour}
      />
      <MachineBlock mount={mount} />
      <OnCloth colour={piece.colour}>
        <TopArrow laid={laid} />
      </OnCloth>
      <TraceLayer mount={mount} obstacles={drag.obstacles} />
      <OnCloth colour={piece.colour}>
        {drag.readings.map((r, i) => (
          <G key={r.mark} testID={`read ${r.mark}`}>
            <ChalkCross at={r} number={i + 1} size={10} />
          </G>
        ))}
      </OnCloth>
      <NeedleCross />
      {drag.inGlass ? <Magnifier at={drag.inGlass} words={lieWords(drag.inGlass, units)} /> : null}
    </Sheet>
  );
}

/** The piece's outline as it lies on the machine. */
function Outline({ points, colour }: { points: readonly Point[]; colour: string }) {
  const { view, palette } = useOnSheet();
  return (
    <Path
      d={pathPx(view, points, true)}
      fill={colour}
      stroke={palette.ink}
      strokeWidth={2}
      strokeLinejoin="round"
    />
  );
}

/** Where the needle stands: the middle of the field. */
function NeedleCross() {
  const { view, palette } = useOnSheet();
  const { x, y } = toPx(view, ORIGIN);
  const arm = 14 * view.scale;
  return (
    <G>
      <Line x1={x - arm} y1={y} x2={x + arm} y2={y} stroke={palette.madder} strokeWidth={1.6} />
      <Line x1={x} y1={y - arm} x2={x} y2={y + arm} stroke={palette.madder} strokeWidth={1.6} />
    </G>
  );
}
