import { boxOf, centreOf, formatFigure, type SizeRow } from '@zt/core';
import { View as NativeView } from 'react-native';
import Svg from 'react-native-svg';
import { useOpenTicket } from '../../hooks/useTicket';
import { Copies } from '../../sheet/Copies';
import { Dimension } from '../../sheet/marks';
import { PieceLayer, paletteOnCloth } from '../../sheet/PieceLayer';
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
  const { units } = useOpenTicket();
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
  const onCloth = paletteOnCloth(palette, piece.colour);
  return (
    <NativeView aria-hidden style={{ width, height }}>
      <Svg width={width} height={height}>
        <PieceLayer piece={piece} outline={outline} view={view} palette={palette} />
        <Copies plan={row.plan} view={view} />
        {place && width >= FIGURES_FROM_PX ? (
          <Dimension
            view={view}
            palette={onCloth}
            from={{ x: boxOf(place.footprint).right + 22 / scale, y: place.depthFrom.y }}
            to={{ x: boxOf(place.footprint).right + 22 / scale, y: place.centre.y }}
            text={formatFigure(place.depthMm, units)}
          />
        ) : null}
      </Svg>
    </NativeView>
  );
}
