import { boxOf } from '@zt/core/base/geometry/box';
import type { PieceOutline } from '@zt/core/stages/piece/geometry';
import type { PiecePlan } from '@zt/core/stages/piece/planPiece';
import { memo } from 'react';
import { ClipPath, Defs, G, Line, Path } from 'react-native-svg';
import { useDrawingId } from '../../hooks/useDrawingId';
import { paletteOnCloth, useOnSheet } from '../onSheet';
import { pathPx, toPx } from '../view';

interface PieceLayerProps {
  piece: PiecePlan;
  outline: PieceOutline;
  /** Without its centre lines, where it is a small picture. */
  bare?: boolean;
}

const HAIRLINE_GAP_PX = 7;
/** The wearer's line runs straight through the landmark. */
const STRAIGHT = { offset: 0, slope: 0 };

/** Diagonal hairlines over an area. */
function Hairlines({
  d,
  box,
  ink,
}: {
  d: string;
  box: { left: number; top: number; right: number; bottom: number };
  ink: string;
}) {
  const id = useDrawingId('hatch');
  const lines = [];
  const height = box.bottom - box.top;
  for (let x = box.left - height; x < box.right; x += HAIRLINE_GAP_PX)
    lines.push(`M${x} ${box.bottom}L${x + height} ${box.top}`);
  return (
    <G>
      <Defs>
        <ClipPath id={id}>
          <Path d={d} />
        </ClipPath>
      </Defs>
      <Path
        d={lines.join('')}
        stroke={ink}
        strokeWidth={0.6}
        opacity={0.55}
        clipPath={`url(#${id})`}
        fill="none"
      />
    </G>
  );
}

/** The bare piece: outline on its own cloth colour, seams dashed, no-go areas hatched, its centre lines. */
export const PieceLayer = memo(function PieceLayer({ piece, outline, bare = false }: PieceLayerProps) {
  const { view, palette } = useOnSheet();
  const { ink, chalk } = paletteOnCloth(palette, piece.colour);
  const { centreLine } = piece;
  const lineAt = (line: { offset: number; slope: number }, y: number) =>
    toPx(view, { x: line.offset + line.slope * y, y });
  const [from, to] = [outline.centreFrom, outline.centreTo];
  const [usedTop, usedFoot] = [lineAt(centreLine.used, from), lineAt(centreLine.used, to)];
  const { wearers, seams, grain } = {
    wearers: STRAIGHT,
    seams: centreLine.seams,
    grain: centreLine.grain ?? null,
  };
  const others = [wearers, seams, grain].filter(
    (line) =>
      line !== null && (line.offset !== centreLine.used.offset || line.slope !== centreLine.used.slope),
  ) as (typeof STRAIGHT)[];
  return (
    <G>
      <Path
        d={pathPx(view, outline.outline, true)}
        fill={piece.colour}
        stroke={palette.ink}
        strokeWidth={2}
        strokeLinejoin="round"
      />
      {outline.noGo.map(({ id, area }) => {
        const px = area.map((p) => toPx(view, p));
        return <Hairlines key={id} d={pathPx(view, area, true)} box={boxOf(px)} ink={ink} />;
      })}
      {outline.seams.map(({ id, line }) => (
        <Path
          key={id}
          d={pathPx(view, line, false)}
          stroke={ink}
          strokeWidth={1}
          strokeDasharray="4 3"
          fill="none"
        />
      ))}
      {(outline.folds ?? []).map(({ id, line }) => (
        <Path
          key={id}
          d={pathPx(view, line, false)}
          stroke={ink}
          strokeWidth={1}
          strokeDasharray="2 3"
          fill="none"
        />
      ))}
      {bare ? null : (
        <Line
          x1={usedTop.x}
          y1={usedTop.y}
          x2={usedFoot.x}
          y2={usedFoot.y}
          stroke={chalk}
          strokeWidth={1.6}
          strokeDasharray="14 4 2 4"
        />
      )}
      {centreLine.uneven && !bare
        ? others.map((line) => {
            const [top, foot] = [lineAt(line, from), lineAt(line, to)];
            return (
              <Line
                key={`${line.offset} ${line.slope}`}
                x1={top.x}
                y1={top.y}
                x2={foot.x}
                y2={foot.y}
                stroke={palette.madder}
                strokeWidth={1.4}
                strokeDasharray={line === grain ? '8 5' : '3 5'}
              />
            );
          })
        : null}
    </G>
  );
});
