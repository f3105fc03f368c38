import { boxOf, heightOf, widthOf } from '@zt/core/base/geometry/box';
import type { Plan } from '@zt/core/planner/planned';
import { View as NativeView } from 'react-native';
import Svg from 'react-native-svg';
import { usePalette } from '../theme/palette';
import { Copies } from './layers/Copies';
import { PieceLayer } from './layers/PieceLayer';
import { InView } from './onSheet';
import { fitView } from './view';

/** Of a piece longer than this many times its width, only the lower end is seen. */
const LONG = 1.7;

/** A small drawing of the piece with its design, true to scale. */
export function Thumbnail({ plan, size = 104 }: { plan: Plan; size?: number }) {
  const palette = usePalette();
  const { piece } = plan;
  const outline = piece.geometry ?? piece.sketch;
  const whole = boxOf(outline.outline);
  const long = heightOf(whole) > LONG * widthOf(whole);
  const box = long ? { ...whole, top: whole.bottom - 1.15 * widthOf(whole) } : whole;
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
        <InView view={view} palette={palette}>
          <PieceLayer piece={piece} outline={outline} bare />
          <Copies plan={plan} />
        </InView>
      </Svg>
    </NativeView>
  );
}
