import { type Box, boxOf, inflate } from '@zt/core/base/geometry/box';
import { type Point, rotate } from '@zt/core/base/geometry/point';
import { formatFigure, formatLength } from '@zt/core/base/units/length';
import type { Part } from '@zt/core/model/ticket/part';
import type { DesignFacts } from '@zt/core/stages/design/designFacts';
import { drawnPart } from '@zt/core/stages/design/parts/drawnPart';
import { largestIn } from '@zt/core/stages/hoop/largestIn';
import type { LaidHoop } from '@zt/core/stages/hoop/layHoop';
import { Circle, G, Path } from 'react-native-svg';
import { usePlan, useUnits } from '../../hooks/useTicket';
import { FieldLine } from '../../sheet/layers/HoopLayer';
import { ChalkCross, Dimension } from '../../sheet/layers/marks';
import { PieceLayer } from '../../sheet/layers/PieceLayer';
import { OnCloth, useOnSheet } from '../../sheet/onSheet';
import { Sheet } from '../../sheet/Sheet';
import { isStrip, pathPx, toPx } from '../../sheet/view';
import { type OnTable, onSheet, tableOf } from './onTable';
import { PartLayer } from './PartLayer';
import { HANDLE_PX, handlesOf, usePartDrag } from './usePartDrag';
import { usePartKeys } from './usePartKeys';
import { useParts } from './useParts';

/** The arranging table: the parts of the design where they lie, on the piece and in the hoop that is chosen. */
export function DesignDrawing() {
  const { design } = usePlan('design');
  return design.facts ? <Table facts={design.facts} /> : null;
}

function Table({ facts }: { facts: DesignFacts }) {
  const plan = usePlan('piece', 'design', 'place', 'hoop');
  const units = useUnits();
  const resting = tableOf(plan);
  const { inHand, ...drag } = usePartDrag(resting);
  const own = useParts();
  usePartKeys();
  const table = inHand?.table ?? resting;
  const parts = inHand?.parts ?? own.parts;
  const laid = plan.place ? (plan.hoop?.laid ?? null) : null;
  const hull = facts.hull.map((p) => onHull(table, facts, p));
  const box = boxOf(hull);
  const shown = boxOf([...hull, ...(laid?.field ?? [])]);
  const gap = Math.max(facts.widthMm, facts.heightMm) * 0.12;
  const most = largestIn(laid, facts);
  const chosen = parts.filter(({ id }) => own.ids.includes(id));
  return (
    <Sheet
      focus={inflate(laid ? shown : box, gap * 1.6)}
      description={described(facts, parts, { laid, most }, (mm) => formatLength(mm, units))}
      {...drag}
      still={inHand !== null}
    >
      {plan.place && plan.piece.geometry ? (
        <PieceLayer piece={plan.piece} outline={plan.piece.geometry} bare />
      ) : null}
      <OnCloth colour={plan.place ? plan.piece.colour : '#FAFAF7'}>
        {laid ? <FieldLine laid={laid} /> : null}
        {most ? <Largest most={most} table={table} facts={facts} /> : null}
        {parts.map((part) => (
          <PartLayer key={part.id} part={part} table={table} ground={plan.piece.colour} />
        ))}
        <Chosen
          parts={chosen}
          table={table}
          withHandles={parts.length > 1 || chosen.some(({ letters }) => letters)}
        />
        {inHand ? null : <Figures box={box} gap={gap} facts={facts} />}
      </OnCloth>
    </Sheet>
  );
}

/** A point of the planned hull, which is about its own centre, on the sheet. */
function onHull(table: OnTable, { centre, scale }: DesignFacts, p: Point): Point {
  const turned = rotate(p, table.turnDeg);
  const middle = onSheet({ ...table, scale }, centre);
  return { x: middle.x + turned.x, y: middle.y + turned.y };
}

function described(
  facts: DesignFacts,
  parts: readonly Part[],
  { laid, most }: { laid: LaidHoop | null; most: ReturnType<typeof largestIn> },
  length: (mm: number) => string,
): string {
  const size = `The design, ${length(facts.widthMm)} wide and ${length(facts.heightMm)} high, in ${facts.stops.length} colour stops.`;
  const made = parts.length > 1 ? ` ${parts.length} parts.` : '';
  const hoop = laid ? ` ${laid.verdict.hoop.name} lies on it.` : '';
  const room = most
    ? ` In it the design can be ${length(most.widthMm)} wide and ${length(most.heightMm)} high.`
    : '';
  return `${size}${made}${hoop}${room}`;
}

function Figures({ box, gap, facts }: { box: Box; gap: number; facts: DesignFacts }) {
  const units = useUnits();
  const { view } = useOnSheet();
  if (isStrip(view)) return null;
  const [width, height] = [box.right - box.left, box.bottom - box.top];
  return (
    <G>
      <ChalkCross at={{ x: (box.left + box.right) / 2, y: (box.top + box.bottom) / 2 }} />
      <Dimension
        from={{ x: box.left, y: box.bottom + gap }}
        to={{ x: box.right, y: box.bottom + gap }}
        text={formatFigure(Math.abs(width - facts.widthMm) < 0.01 ? facts.widthMm : width, units)}
      />
      <Dimension
        from={{ x: box.left - gap, y: box.top }}
        to={{ x: box.left - gap, y: box.bottom }}
        text={formatFigure(Math.abs(height - facts.heightMm) < 0.01 ? facts.heightMm : height, units)}
      />
    </G>
  );
}

/** How large the design could be in this hoop, about its own middle. */
function Largest({
  most,
  table,
  facts,
}: {
  most: { widthMm: number; heightMm: number };
  table: OnTable;
  facts: DesignFacts;
}) {
  const { view, palette } = useOnSheet();
  const [w, h] = [most.widthMm / 2, most.heightMm / 2];
  const corners = [
    { x: -w, y: -h },
    { x: w, y: -h },
    { x: w, y: h },
    { x: -w, y: h },
  ].map((p) => onHull(table, facts, p));
  return (
    <Path
      d={pathPx(view, corners, true)}
      fill="none"
      stroke={palette.graphite}
      strokeWidth={1}
      strokeDasharray="3 5"
    />
  );
}

/** What is chosen: its outline, and the handles that turn and scale it. */
function Chosen({ parts, table, withHandles }: { parts: Part[]; table: OnTable; withHandles: boolean }) {
  const { view, palette } = useOnSheet();
  if (parts.length === 0) return null;
  const handles = handlesOf(parts, table, 1 / view.scale);
  return (
    <G>
      {parts.map((part) => (
        <Path
          key={part.id}
          d={pathPx(
            view,
            (drawnPart(part)?.hull ?? []).map((p) => onSheet(table, p)),
            true,
          )}
          stroke={palette.ink}
          strokeWidth={1.2}
          strokeDasharray="6 4"
          fill="none"
        />
      ))}
      {withHandles && !isStrip(view) ? (
        <G testID="handles">
          <Handle at={toPx(view, handles.turn)} sign={TURN_SIGN} />
          <Handle at={toPx(view, handles.scale)} sign={SCALE_SIGN} />
        </G>
      ) : null}
    </G>
  );
}

/** An arrow round, and one both ways, about their own middle, px. */
const TURN_SIGN = 'M-8 3A8.5 8.5 0 1 1 3 8M8 8H2V2';
const SCALE_SIGN = 'M-7 -1V-7H-1M7 1V7H1M-7 -7L7 7';

function Handle({ at, sign }: { at: Point; sign: string }) {
  const { palette } = useOnSheet();
  return (
    <G transform={`translate(${at.x} ${at.y})`}>
      <Circle r={HANDLE_PX / 2 - 3} fill={palette.paper} stroke={palette.ink} strokeWidth={1.5} />
      <Path d={sign} fill="none" stroke={palette.ink} strokeWidth={2} strokeLinecap="round" />
    </G>
  );
}
