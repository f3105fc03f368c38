import type { DesignFacts, Point } from '@zt/core';
import { memo } from 'react';
import { G, Path, Rect } from 'react-native-svg';
import { pathPx, transformAt, type View } from './view';

interface DesignLayerProps {
  facts: DesignFacts;
  view: View;
  at: Point;
  turnDeg: number;
  /** Outline of the footprint in mm, drawn while dragging. */
  box?: readonly Point[] | null;
  /** Colour stops after this many are drawn faintly, for the order of stitching. */
  stops?: number;
  mirror?: boolean;
  ink: string;
}

/** A design without a drawing: its box in its first colour, with a bar at the top so that up is seen. */
function PlainDesign({ facts, ink }: { facts: DesignFacts; ink: string }) {
  const { widthMm: w, heightMm: h } = facts;
  const hex = facts.stops[0]?.hex ?? ink;
  return (
    <G>
      <Rect x={-w / 2} y={-h / 2} width={w} height={h} rx={3} fill={hex} opacity={0.85} />
      {facts.stops.slice(1, 6).map((stop, i) => (
        <Rect
          key={`${stop.hex} ${stop.name} ${stop.stitches}`}
          x={-w * 0.3}
          y={-h * 0.3 + i * h * 0.14}
          width={w * 0.6}
          height={h * 0.08}
          fill={stop.hex}
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
  view,
  at,
  turnDeg,
  box,
  stops,
  mirror,
  ink,
}: DesignLayerProps) {
  const transform = `${transformAt(view, at, turnDeg)}${mirror ? ' scale(-1 1)' : ''}`;
  const shown = stops ?? facts.stops.length;
  return (
    <G>
      <G transform={transform}>
        {facts.artwork ? (
          <G transform={`scale(${facts.scale})`}>
            {facts.artwork.paths.map(({ d, stop, strokeMm }, i) => {
              const opacity = stop < shown ? 1 : 0.14;
              const hex = facts.stops[stop]?.hex ?? ink;
              const key = `${i} ${stop}`;
              return strokeMm === null ? (
                <Path key={key} d={d} fill={hex} fillRule="evenodd" opacity={opacity} />
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
            })}
          </G>
        ) : (
          <PlainDesign facts={facts} ink={ink} />
        )}
      </G>
      {box ? (
        <Path d={pathPx(view, box, true)} stroke={ink} strokeWidth={1} strokeDasharray="6 4" fill="none" />
      ) : null}
    </G>
  );
});
