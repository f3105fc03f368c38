import type { Part } from '@zt/core/model/ticket/part';
import { arranged } from '@zt/core/stages/design/elements';
import { seenShapes } from '@zt/core/stages/design/parts/mergedDrawing';
import { isSeenOn } from '@zt/core/stock/fromShelf';
import { memo, useMemo } from 'react';
import { G, Rect } from 'react-native-svg';
import { useRules } from '../../hooks/useTicket';
import { type Contour, Shapes } from '../../sheet/layers/DesignLayer';
import { useOnSheet } from '../../sheet/onSheet';
import { transformAt } from '../../sheet/view';
import { type OnTable, onSheet } from './onTable';

interface PartLayerProps {
  part: Part;
  table: OnTable;
  /** The colour of the cloth: thread near it gets a fine contour. */
  ground: string;
}

const CONTOUR_PX = 1.1;

/** What a part is made of, in its own frame: drawn anew only when that changes, and not while it is moved. */
const PartShapes = memo(function PartShapes({ part, contour }: { part: PartDrawn; contour: Contour }) {
  const { artwork, colours, widthMm, heightMm } = part;
  const hexOf = (stop: number) => colours[stop]?.hex ?? colours[0]?.hex ?? '#59626E';
  if (artwork)
    return (
      <Shapes
        paths={seenShapes(part, arranged(artwork, part.elementMoves).paths)}
        hexOf={hexOf}
        contour={contour}
      />
    );
  const [w, h] = [widthMm ?? 0, heightMm ?? 0];
  return (
    <Rect
      x={-w / 2}
      y={-h / 2}
      width={w}
      height={h}
      rx={3}
      fill={hexOf(0)}
      opacity={0.85}
      {...contour(hexOf(0))}
    />
  );
}, isSameDrawn);

type PartDrawn = Pick<Part, 'artwork' | 'appliques' | 'colours' | 'widthMm' | 'heightMm' | 'elementMoves'>;

function isSameDrawn(
  { part: a, contour }: { part: PartDrawn; contour: Contour },
  { part: b, contour: other }: { part: PartDrawn; contour: Contour },
): boolean {
  return (
    contour === other &&
    a.artwork === b.artwork &&
    a.appliques === b.appliques &&
    a.colours === b.colours &&
    a.widthMm === b.widthMm &&
    a.heightMm === b.heightMm &&
    a.elementMoves === b.elementMoves
  );
}

/** A part where it lies on the sheet. */
export function PartLayer({ part, table, ground }: PartLayerProps) {
  const { view } = useOnSheet();
  const scale = (table.scale * part.scalePercent) / 100;
  const contour = useContour(ground, view.scale * scale);
  const pose = transformAt(view, onSheet(table, part.at), table.turnDeg + part.turnDeg, scale);
  return (
    <G transform={part.mirrored ? `${pose} scale(-1 1)` : pose}>
      <PartShapes part={part} contour={contour} />
    </G>
  );
}

/** The line about thread that would not be seen; the same function while it draws the same. */
function useContour(ground: string, pxPerMm: number): Contour {
  const rules = useRules();
  const { palette } = useOnSheet();
  return useMemo(
    () => (hex) =>
      isSeenOn(ground, hex, rules) ? {} : { stroke: palette.ink, strokeWidth: CONTOUR_PX / pxPerMm },
    [ground, pxPerMm, rules, palette.ink],
  );
}
