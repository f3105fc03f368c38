import { type DisplayUnits, formatLength } from '@zt/core/base/units/length';
import { say } from '@zt/core/base/units/phrase';
import type { CutSource, SheetToCut } from '@zt/core/business/cutPlan/cutPlan';
import { alike, numbersInWords, sayCuts, saySource } from '@zt/core/business/cutPlan/sayCuts';
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { G, Line, Rect, Text } from 'react-native-svg';
import { Disclosure } from '../../components/ui/Disclosure';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { FONTS } from '../../theme/fonts';
import { usePalette } from '../../theme/palette';

interface SourceProps {
  source: CutSource;
  pieces: readonly SheetToCut[];
  units: DisplayUnits;
}

/** Everything is drawn to one scale: a width of so much, or of the widest there is, fills the page. */
const WIDE_MM = 500;
/** A letter of the small words is about so wide. */
const LETTER_PX = 6.4;

/** A sheet or a length of roll to scale, each piece with its number and its sides. */
function Drawn({ source, pieces, units, widthPx }: SourceProps & { widthPx: number }) {
  const p = usePalette();
  const { lengthMm, acrossMm } = source;
  // A roll is drawn with its length down the page, as it is pulled off.
  const isUpright = lengthMm > acrossMm;
  const [wide, high] = isUpright ? [acrossMm, lengthMm] : [lengthMm, acrossMm];
  const scale = widthPx / Math.max(WIDE_MM, wide);
  const numberOf = new Map(pieces.map(({ id, no }) => [id, no]));
  const said = `${source.placed.length} pieces on ${formatLength(lengthMm, units)} by ${formatLength(acrossMm, units)}`;
  return (
    <View role="img" aria-label={said}>
      <Svg width={wide * scale + 2} height={high * scale + 2}>
        <Rect
          x={1}
          y={1}
          width={wide * scale}
          height={high * scale}
          fill={p.shade}
          stroke={p.ink}
          strokeWidth={2}
        />
        {source.placed.map(({ id, at }) => {
          const box = isUpright
            ? { x: at.top, y: at.left, w: at.bottom - at.top, h: at.right - at.left }
            : { x: at.left, y: at.top, w: at.right - at.left, h: at.bottom - at.top };
          const [x, y, w, h] = [box.x, box.y, box.w, box.h].map((mm) => mm * scale) as [
            number,
            number,
            number,
            number,
          ];
          const sides = `${formatLength(box.w, units)} × ${formatLength(box.h, units)}`;
          const hasSides = w >= sides.length * LETTER_PX && h >= 44;
          return (
            <G key={id}>
              <Rect
                x={x + 1}
                y={y + 1}
                width={w}
                height={h}
                fill={p.panel}
                stroke={p.ink}
                strokeWidth={1.2}
              />
              <Text
                x={x + w / 2}
                y={y + h / 2 + (hasSides ? 2 : 6)}
                fontFamily={FONTS.bold}
                fontSize={Math.max(11, Math.min(20, w / 2.4))}
                textAnchor="middle"
                fill={p.ink}
              >
                {numberOf.get(id) ?? ''}
              </Text>
              {hasSides ? (
                <Text
                  x={x + w / 2}
                  y={y + h / 2 + 19}
                  fontFamily={FONTS.plain}
                  fontSize={12}
                  textAnchor="middle"
                  fill={p.graphite}
                >
                  {sides}
                </Text>
              ) : null}
            </G>
          );
        })}
        {source.cuts
          .filter(({ of, way, atMm }) => source.sheet === null && way === 'across' && atMm === of.right)
          .map(({ atMm }) => (
            <Line
              key={atMm}
              {...(isUpright
                ? { x1: 0, x2: wide * scale, y1: atMm * scale + 1, y2: atMm * scale + 1 }
                : { y1: 0, y2: high * scale, x1: atMm * scale + 1, x2: atMm * scale + 1 })}
              stroke={p.madder}
              strokeWidth={2}
              strokeDasharray="7 4"
            />
          ))}
      </Svg>
    </View>
  );
}

/** One sheet or roll of a cut plan: drawn, whom its pieces are for, its cuts in their order, and what is kept. */
export function SourceDrawing({ source, pieces, units }: SourceProps) {
  const [widthPx, setWidth] = useState(0);
  const own = pieces.filter(({ id }) => source.placed.some((one) => one.id === id));
  return (
    <View
      onLayout={({ nativeEvent }) => setWidth(Math.min(640, nativeEvent.layout.width - 4))}
      testID="cut-source"
    >
      <Stack gap={6}>
        <Txt as="strong">{say(saySource(source), units)}</Txt>
        {widthPx > 0 ? <Drawn {...{ source, pieces: own, units, widthPx }} /> : null}
        {alike(own).map(({ nos, piece }) => (
          <Txt key={piece.id} as="small">
            {`No. ${numbersInWords(nos)}: ${piece.title}`}
          </Txt>
        ))}
        {source.offcuts.length > 0 ? (
          <Txt as="small" tone="moss">
            {`Keep: ${source.offcuts.map(({ widthMm, heightMm }) => `${formatLength(widthMm, units)} × ${formatLength(heightMm, units)}`).join('; ')}`}
          </Txt>
        ) : null}
        <Disclosure
          title={`Cut by cut: ${source.cuts.length}`}
          label={`Cut by cut, ${source.material.name}, no. ${numbersInWords(own.map(({ no }) => no))}`}
        >
          <Stack gap={2}>
            {sayCuts(source).map((words, i) => (
              <Txt key={i} as="small">{`${i + 1}. ${say(words, units)}`}</Txt>
            ))}
          </Stack>
        </Disclosure>
      </Stack>
    </View>
  );
}
