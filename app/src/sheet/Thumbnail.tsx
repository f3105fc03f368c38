import { boxOf, type Plan } from '@zt/core';
import { View as NativeView } from 'react-native';
import Svg from 'react-native-svg';
import { usePalette } from '../theme/palette';
import { DesignLayer } from './DesignLayer';
import { clothInk, PieceLayer } from './PieceLayer';
import { fitView } from './view';

/** A small drawing of the piece with its design, true to scale. */
export function Thumbnail({ plan, size = 104 }: { plan: Plan; size?: number }) {
  const palette = usePalette();
  const { piece, design, place } = plan;
  const outline = piece.geometry ?? piece.sketch;
  const whole = boxOf(outline.outline);
  const box = piece.kind.worn ? whole : { ...whole, top: Math.max(whole.top, -(whole.right - whole.left)) };
  const view = fitView(box, { width: size, height: size }, 5);
  return (
    <NativeView
      aria-hidden
      style={{
        width: size,
        height: size,
        borderWidth: 1.5,
        borderColor: palette.ink,
        backgroundColor: palette.paper,
        overflow: 'hidden',
      }}
    >
      <Svg width={size} height={size}>
        <PieceLayer piece={piece} outline={outline} view={view} palette={palette} bare />
        {place && design.facts ? (
          <DesignLayer
            facts={design.facts}
            view={view}
            at={place.centre}
            turnDeg={place.turnDeg}
            ink={clothInk(piece.colour)}
          />
        ) : null}
      </Svg>
    </NativeView>
  );
}
