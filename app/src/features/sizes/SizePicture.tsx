import { boxOf, centreOf } from '@zt/core/base/geometry/box';
import { formatFigure } from '@zt/core/base/units/length';
import type { SizeRow } from '@zt/core/table/sizes/sizeRun';
import { View as NativeView } from 'react-native';
import Svg from 'react-native-svg';
import { useUnits } from '../../hooks/useTicket';
import { Copies } from '../../sheet/layers/Copies';
import { Dimension } from '../../sheet/layers/marks';
import { PieceLayer } from '../../sheet/layers/PieceLayer';
import { InView, OnCloth } from '../../sheet/onSheet';
import type { View } from '../../sheet/view';
import { usePalette } from '../../theme/palette';

interface SizePictureProps {
  row: SizeRow;
  /** The one scale of all sizes, px to the mm. */
  scale: number;
  width: number;
  height: number;
}

/** Narrower than this a figure would cover the design. */
const FIGURES_FROM_PX = 160;

/** One size with its design, at the scale of all the others, hung from their common top. */
export function SizePicture({ row, scale, width, height }: SizePictureProps) {
  const units = useUnits();
  const palette = usePalette();
  const { piece, place } = row.plan;
  const outline = piece.geometry ?? piece.sketch;
  const box = boxOf(outline.outline);
  const view: View = {
    scale,
    width,
    height,
    origin: { x: centreOf(box).x - width / 2 / scale, y: box.top - 6 / scale },
  };
  return (
    <NativeView aria-hidden style={{ width, height }}>
      <Svg width={width} height={height}>
        <InView view={view} palette={palette}>
          <PieceLayer piece={piece} outline={outline} />
          <Copies plan={row.plan} />
          {place && width >= FIGURES_FROM_PX ? (
            <OnCloth colour={piece.colour}>
              <Dimension
                from={{ x: boxOf(place.footprint).right + 22 / scale, y: place.depthFrom.y }}
                to={{ x: boxOf(place.footprint).right + 22 / scale, y: place.centre.y }}
                text={formatFigure(place.depthMm, units)}
              />
            </OnCloth>
          ) : null}
        </InView>
      </Svg>
    </NativeView>
  );
}
