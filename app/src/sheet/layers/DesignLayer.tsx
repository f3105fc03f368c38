import type { Point } from '@zt/core/base/geometry/point';
import type { DesignFacts } from '@zt/core/stages/design/designFacts';
import type { Drawing } from '@zt/core/stages/design/parts/mergedDrawing';
import { isSeenOn } from '@zt/core/stock/fromShelf';
import { memo } from 'react';
import { G, Path, Rect } from 'react-native-svg';
import { useRules } from '../../hooks/useTicket';
import { useOnSheet } from '../onSheet';
import { pathPx, transformAt } from '../view';

interface DesignLayerProps {
  facts: DesignFacts;
  at: Point;
  turnDeg: number;
  /** Outline of the footprint in mm, drawn while dragging. */
  box?: readonly Point[] | null;
  /** Colour stops after this many are drawn faintly, for the order of stitching. */
  stops?: number;
  mirror?: boolean;
  ink: string;
  /** The colour it lies on: thread near it gets a fine contour, so that it can be seen. */
  ground?: string;
}

/** The line about what would not be seen on its ground; nothing where it is seen. */
export type Contour = (hex: string) => { stroke?: string; strokeWidth?: number };
const CONTOUR_PX = 1.1;

const FAINT = 0.14;

interface ShapesProps {
  paths: Drawing['paths'];
  hexOf: (stop: number) => string;
  /** Stops from this one on are drawn faintly. */
  shown?: number;
  contour: Contour;
}

/** Shapes in the colours of their thread or their cloth, in their own frame. */
export function Shapes({ paths, hexOf, shown = Infinity, contour }: ShapesProps) {
  return paths.map(({ d, stop, strokeMm, clothHex }, i) => {
    const opacity = stop < shown ? 1 : FAINT;
    const hex = clothHex ?? hexOf(stop);
    const key = `${i} ${stop}`;
    return strokeMm === null ? (
      <Path key={key} d={d} fill={hex} fillRule="evenodd" opacity={opacity} {...contour(hex)} />
    ) : (
      <Path
        key={key}
        d={d}
        fill="none"
        opacity={opacity}
        stroke={hex}
        strokeWidth={strokeMm}
        strokeLinecap="round"
        strokeLinejoin="round"
      />
    );
  });
}

/** A design without a drawing: its box in its first colour, with a bar at the top so that up is seen. */
function PlainDesign({ facts, ink, contour }: { facts: DesignFacts; ink: string; contour: Contour }) {
  const { widthMm: w, heightMm: h } = facts;
  const hex = facts.stops[0]?.hex ?? ink;
  return (
    <G>
      <Rect x={-w / 2} y={-h / 2} width={w} height={h} rx={3} fill={hex} opacity={0.85} {...contour(hex)} />
      {facts.stops.slice(1, 6).map((stop, i) => (
        <Rect
          key={`${stop.hex} ${stop.name} ${stop.stitches}`}
          x={-w * 0.3}
          y={-h * 0.3 + i * h * 0.14}
          width={w * 0.6}
          height={h * 0.08}
          fill={stop.hex}
          {...contour(stop.hex)}
        />
      ))}
      {facts.hasUp ? (
        <Path
          d={`M${-w * 0.08} ${h * 0.3}L0 ${h * 0.16}L${w * 0.08} ${h * 0.3}`}
          stroke="#FFFFFF"
          strokeWidth={Math.max(1, w * 0.02)}
          fill="none"
        />
      ) : null}
    </G>
  );
}

/** The design in its thread colours at its true size and turn. */
export const DesignLayer = memo(function DesignLayer({
  facts,
  at,
  turnDeg,
  box,
  stops,
  mirror,
  ink,
  ground,
}: DesignLayerProps) {
  const { view } = useOnSheet();
  const rules = useRules();
  const transform = `${transformAt(view, at, turnDeg)}${mirror ? ' scale(-1 1)' : ''}`;
  const shown = stops ?? facts.stops.length;
  const contourAt =
    (pxPerUnit: number): Contour =>
    (hex) =>
      ground !== undefined && !isSeenOn(ground, hex, rules)
        ? { stroke: ink, strokeWidth: CONTOUR_PX / pxPerUnit }
        : {};
  return (
    <G>
      <G transform={transform}>
        {facts.artwork ? (
          <G transform={`scale(${facts.scale})`}>
            <Shapes
              paths={facts.artwork.paths}
              hexOf={(stop) => facts.stops[stop]?.hex ?? ink}
              shown={shown}
              contour={contourAt(view.scale * facts.scale)}
            />
          </G>
        ) : (
          <PlainDesign facts={facts} ink={ink} contour={contourAt(view.scale)} />
        )}
      </G>
      {box ? (
        <Path d={pathPx(view, box, true)} stroke={ink} strokeWidth={1} strokeDasharray="6 4" fill="none" />
      ) : null}
    </G>
  );
});
