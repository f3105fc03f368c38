import type { DayPlan, MachineOn } from '@zt/core/business/day/dayPlan';
import { useRef, useState } from 'react';
import { View } from 'react-native';
import { Txt } from '../components/ui/Txt';
import { usePalette } from '../theme/palette';
import type { Scale } from './scale';
import { usePieceDrag } from './usePieceDrag';

export const MACHINE = 52;
const LEAST_FOR_NAME_PX = 70;

/** A piece on its machine without a break. */
interface Span {
  work: number;
  fromMs: number;
  toMs: number;
  on: MachineOn[];
}

/** Stretches of one machine on one day, piece by piece. */
function spansOf(on: readonly MachineOn[], { fromMs, toMs }: Scale): Span[] {
  const spans: Span[] = [];
  for (const one of on.filter((stretch) => stretch.toMs > fromMs && stretch.fromMs < toMs)) {
    const last = spans.at(-1);
    if (last?.work === one.work && one.fromMs - last.toMs < 60_000) {
      last.toMs = one.toMs;
      last.on.push(one);
    } else spans.push({ work: one.work, fromMs: one.fromMs, toMs: one.toMs, on: [one] });
  }
  return spans;
}

interface PieceProps {
  plan: DayPlan;
  span: Span;
  scale: Scale;
  isChosen: boolean;
  isPinned: boolean;
  onChoose: () => void;
  /** Let go with its middle at a time. */
  onDrop: (atMs: number) => void;
}

function PieceOnTape({ plan, span, scale, isChosen, isPinned, onChoose, onDrop }: PieceProps) {
  const p = usePalette();
  const ref = useRef<View>(null);
  const [byPx, setBy] = useState(0);
  const left = scale.x(span.fromMs);
  const width = Math.max(4, scale.x(span.toMs) - left);
  const piece = plan.works[span.work];
  const called = width < LEAST_FOR_NAME_PX ? '' : ` ${piece?.label || piece?.title}`;
  const label = `${isPinned ? '⚲ ' : ''}${piece?.no ?? ''}${called}`;
  usePieceDrag(ref, {
    onDrag: setBy,
    onTap: onChoose,
    onDrop: (by) => {
      setBy(0);
      const perPx = (scale.toMs - scale.fromMs) / scale.widthPx;
      onDrop((span.fromMs + span.toMs) / 2 + by * perPx);
    },
  });
  return (
    <View
      ref={ref}
      testID={`on-machine-${piece?.no}`}
      style={{
        position: 'absolute',
        left: left + byPx,
        top: 0,
        width,
        height: MACHINE - 2,
        borderWidth: isChosen ? 3 : 1.5,
        borderColor: p.ink,
        backgroundColor: p.tape,
        overflow: 'hidden',
        zIndex: byPx === 0 ? 0 : 1,
        opacity: byPx === 0 ? 1 : 0.85,
        cursor: 'grab' as 'auto',
      }}
    >
      {span.on.map(({ fromMs, toMs, by }) =>
        by === 'machine' ? (
          <View
            key={fromMs}
            style={{
              position: 'absolute',
              top: 0,
              bottom: 0,
              left: scale.x(fromMs) - left,
              width: scale.x(toMs) - scale.x(fromMs),
              backgroundColor: p.chalk,
            }}
          />
        ) : null,
      )}
      <View style={{ position: 'absolute', left: 1, right: 0, bottom: 2 }}>
        <View
          style={{
            alignSelf: 'flex-start',
            backgroundColor: p.panel,
            paddingHorizontal: 2,
            maxWidth: '100%',
          }}
        >
          <Txt as="label" lines={1}>
            {label}
          </Txt>
        </View>
      </View>
    </View>
  );
}

interface MachineTapeProps {
  plan: DayPlan;
  on: readonly MachineOn[];
  scale: Scale;
  pinned: readonly string[];
  chosen: number | null;
  onChoose: (work: number) => void;
  onDrop: (work: number, atMs: number) => void;
}

/** What a machine stitches, piece after piece: where it works by itself, and where hands are at it. Pieces are dragged along it. */
export function MachineTape({ plan, on, scale, pinned, chosen, onChoose, onDrop }: MachineTapeProps) {
  const p = usePalette();
  return (
    <View style={{ width: scale.widthPx, height: MACHINE, backgroundColor: p.shade }}>
      {spansOf(on, scale).map((span) => (
        <PieceOnTape
          key={`${span.work} ${span.fromMs}`}
          {...{ plan, span, scale }}
          isChosen={span.work === chosen}
          isPinned={pinned.includes(plan.works[span.work]?.id ?? '')}
          onChoose={() => onChoose(span.work)}
          onDrop={(atMs) => onDrop(span.work, atMs)}
        />
      ))}
    </View>
  );
}
