import { boxOf } from '@zt/core/base/geometry/box';
import type { Applique } from '@zt/core/model/ticket/applique';
import type { Part } from '@zt/core/model/ticket/part';
import { clothShapesOf } from '@zt/core/stages/design/applique/acts';
import { ringsOfPath } from '@zt/core/stages/design/pathData';
import { useMemo } from 'react';
import { Pressable, View } from 'react-native';
import Svg, { G, Path } from 'react-native-svg';
import { Txt } from '../../components/ui/Txt';
import { usePalette } from '../../theme/palette';

const WIDTH = 300;
const MOST_HEIGHT = 200;
const PAD = 6;
/** No shape is a smaller target, px. */
const LEAST_PX = 36;

interface PickerProps {
  part: Part;
  applique: Applique;
  onShape: (shape: number) => void;
}

/** The shapes of a colour to scale: a tap puts one to the cloth, or back to thread. */
export function ShapePicker({ part, applique, onShape }: PickerProps) {
  const p = usePalette();
  const { stop, cloth } = applique;
  const shapes = useMemo(
    () =>
      clothShapesOf(part, stop).map((shape) => {
        const path = part.artwork?.paths[shape];
        const d = path?.whole ?? path?.d ?? '';
        return { shape, d, box: boxOf(ringsOfPath(d).flat()) };
      }),
    [part, stop],
  );
  const all = boxOf(
    shapes.flatMap(({ box }) => [
      { x: box.left, y: box.top },
      { x: box.right, y: box.bottom },
    ]),
  );
  const scale = Math.min(
    (WIDTH - 2 * PAD) / Math.max(1, all.right - all.left),
    (MOST_HEIGHT - 2 * PAD) / Math.max(1, all.bottom - all.top),
  );
  const height = (all.bottom - all.top) * scale + 2 * PAD;
  const isOfCloth = (shape: number): boolean => applique.shapes?.includes(shape) ?? true;
  const count = shapes.filter(({ shape }) => isOfCloth(shape)).length;
  return (
    <View style={{ gap: 4 }}>
      <Txt
        as="small"
        tone="graphite"
      >{`${count} of ${shapes.length} shapes of cloth: tap one to change it`}</Txt>
      <View style={{ width: WIDTH, height }}>
        <Svg width={WIDTH} height={height} aria-hidden>
          <G transform={`translate(${PAD - all.left * scale} ${PAD - all.top * scale}) scale(${scale})`}>
            {shapes.map(({ shape, d }) => (
              <Path
                key={shape}
                d={d}
                fillRule="evenodd"
                fill={isOfCloth(shape) ? cloth.hex : p.panel}
                stroke={p.ink}
                strokeWidth={1.5 / scale}
                strokeDasharray={isOfCloth(shape) ? undefined : [4 / scale, 3 / scale]}
              />
            ))}
          </G>
        </Svg>
        {shapes.map(({ shape, box }, i) => {
          const width = Math.max(LEAST_PX, (box.right - box.left) * scale);
          const high = Math.max(LEAST_PX, (box.bottom - box.top) * scale);
          return (
            <Pressable
              key={shape}
              role="checkbox"
              aria-checked={isOfCloth(shape)}
              aria-label={`Shape ${i + 1} of cloth`}
              onPress={() => onShape(shape)}
              style={{
                position: 'absolute',
                left: PAD + ((box.left + box.right) / 2 - all.left) * scale - width / 2,
                top: PAD + ((box.top + box.bottom) / 2 - all.top) * scale - high / 2,
                width,
                height: high,
              }}
            />
          );
        })}
      </View>
    </View>
  );
}
