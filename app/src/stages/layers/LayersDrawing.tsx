import { lightnessOf } from '@zt/core/base/colour/colour';
import type { Sheet } from '@zt/core/model/ticket/layers';
import type { StackLayer } from '@zt/core/stages/layers/planLayers';
import { type ReactNode, useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { usePlan } from '../../hooks/useTicket';
import { FONTS } from '../../theme/fonts';
import { type Palette, usePalette } from '../../theme/palette';

interface Band {
  layer: StackLayer;
  /** Its words, broken into lines that the drawing holds. */
  lines: string[];
  y: number;
  height: number;
}

const RING_PX = 30;
const NAME_PX = 24;
const LINE_PX = 16;
/** Width of a letter of the small words, near enough to break lines by. */
const LETTER_PX = 6.6;
const WORDS_FROM_PX = 48;

/** The words stand clear of the marks that are drawn on a layer's top. */
const WORDS_OFF_PX = 13;

/** Words broken into lines of at most so many letters. */
function brokenAt(text: string, most: number): string[] {
  const lines = [''];
  for (const word of text.split(' ')) {
    const last = lines[lines.length - 1] ?? '';
    if (last !== '' && last.length + 1 + word.length > most) lines.push(word);
    else lines[lines.length - 1] = last === '' ? word : `${last} ${word}`;
  }
  return lines;
}

const wordsOf = (layer: StackLayer): string => `${layer.note}${layer.onShelf ? '' : ' · not on the shelf'}`;

function bandsOf(stack: readonly StackLayer[], { width, height }: { width: number; height: number }): Band[] {
  const most = Math.max(20, Math.floor((width - WORDS_FROM_PX - RING_PX - 16) / LETTER_PX));
  const lines = stack.map((layer) => brokenAt(wordsOf(layer), most));
  const spaces = lines.map((own) => NAME_PX + own.length * LINE_PX + WORDS_OFF_PX);
  const usual = stack.map((l) => (l.role === 'cloth' ? 30 : l.role === 'topper' ? 10 : 15));
  const sum = usual.reduce((a, b) => a + b, 0);
  const words = spaces.reduce((a, b) => a + b, 0);
  const grow = Math.min(3, Math.max(0.6, (height - 60 - words) / sum));
  const heights = usual.map((h) => h * grow);
  let y = Math.max(6, (height - heights.reduce((a, b) => a + b, words)) / 2);
  return stack.map((layer, i) => {
    const space = spaces[i] ?? 0;
    const band = { layer, lines: lines[i] ?? [], y: y + space, height: heights[i] ?? 15 };
    y += band.height + space;
    return band;
  });
}

/** The texture that tells a layer in greyscale: loops on cloth, slants on film, dots on sheets. */
function texture({ layer, y, height }: Band, from: number, to: number): string {
  if (layer.role === 'cloth')
    return Array.from(
      { length: Math.floor((to - from) / 9) },
      (_, i) => `M${from + 4 + i * 9} ${y + height}v${-height}`,
    ).join('');
  if (layer.role === 'topper')
    return Array.from(
      { length: Math.floor((to - from) / 16) },
      (_, i) => `M${from + i * 16} ${y + height}l10 ${-height}`,
    ).join('');
  return Array.from(
    { length: Math.floor((to - from) / 12) },
    (_, i) => `M${from + 6 + i * 12} ${y + height / 2}h3`,
  ).join('');
}

type Mark = (along: (step: number) => number[], y: number, p: Palette) => ReactNode;

const line = (d: string[], stroke: string, strokeWidth: number) => (
  <Path d={d.join('')} stroke={stroke} strokeWidth={strokeWidth} fill="none" />
);

/** What bonds a sheet to what lies on it: a wave where it is fused, dots of spray, teeth of a sticky sheet. */
const BONDS: Partial<Record<Sheet['bond'], Mark>> = {
  fused: (along, y, p) =>
    line(
      along(16).map((x) => `M${x - 8} ${y - 1}q4 -4 8 0t8 0`),
      p.madder,
      1.6,
    ),
  sprayed: (along, y, p) => along(9).map((x) => <Circle key={x} cx={x} cy={y - 3} r={1.6} fill={p.ink} />),
  sticky: (along, y, p) =>
    line(
      along(10).map((x) => `M${x - 3} ${y}l3 -5l3 5`),
      p.ink,
      1.2,
    ),
};

/** What fastens a sheet: long stitches of a basting box, pins with their heads outwards, tape over its ends. */
const FASTENINGS: Partial<Record<Sheet['fastening'], Mark>> = {
  'basting box': (along, y, p) =>
    line(
      along(22).map((x) => `M${x - 5} ${y - 8}v12`),
      p.chalk,
      2,
    ),
  pins: (along, y, p) => {
    const [first = 0, last = 0] = [along(20)[0], along(20).at(-1)];
    return [first, last].map((x, i) => (
      <G key={i === 0 ? 'left' : 'right'}>
        <Line x1={x} x2={x + (i === 0 ? 34 : -34)} y1={y - 9} y2={y + 3} stroke={p.ink} strokeWidth={1.6} />
        <Circle cx={x} cy={y - 9} r={3.4} fill={p.ink} />
      </G>
    ));
  },
  tape: (along, y, p) => {
    const [first = 0, last = 0] = [along(20)[0], along(20).at(-1)];
    return [first, last].map((x) => (
      <Rect
        key={x}
        x={x - 16}
        y={y - 3}
        width={32}
        height={7}
        fill={p.tape}
        stroke={p.ink}
        strokeWidth={0.8}
      />
    ));
  },
};

function Layer({
  band,
  width,
  cloth,
  palette: p,
}: {
  band: Band;
  width: number;
  cloth: string;
  palette: Palette;
}) {
  const { layer, y, height } = band;
  const reach = layer.clamped || layer.role === 'cloth' ? 26 : 74;
  const [from, to] = [reach, width - reach];
  const wordsFrom = y - WORDS_OFF_PX - (band.lines.length - 1) * LINE_PX;
  const along = (step: number) =>
    Array.from({ length: Math.max(0, Math.floor((to - from) / step)) }, (_, i) => from + step / 2 + i * step);
  const fill = layer.role === 'cloth' ? cloth : layer.role === 'topper' ? p.panel : p.shade;
  const ink = layer.role === 'cloth' && lightnessOf(cloth) < 52 ? p.panel : p.ink;
  return (
    <G>
      <SvgText x={WORDS_FROM_PX} y={wordsFrom - 16} fontSize={15} fontFamily={FONTS.bold} fill={p.ink}>
        {layer.name}
      </SvgText>
      {band.lines.map((text, i) => (
        <SvgText
          key={text}
          x={WORDS_FROM_PX}
          y={wordsFrom + i * LINE_PX}
          fontSize={13}
          fontFamily={FONTS.plain}
          fill={p.graphite}
        >
          {text}
        </SvgText>
      ))}
      <Rect
        x={from}
        y={y}
        width={Math.max(0, to - from)}
        height={height}
        rx={2}
        fill={fill}
        stroke={p.ink}
        strokeWidth={1.8}
        strokeDasharray={layer.role === 'topper' ? '5 3' : undefined}
      />
      <Path d={texture(band, from, to)} stroke={ink} strokeWidth={0.8} opacity={0.7} fill="none" />
      {layer.sheet ? BONDS[layer.sheet.bond]?.(along, y, p) : null}
      {layer.sheet ? FASTENINGS[layer.sheet.fastening]?.(along, y, p) : null}
    </G>
  );
}

/** The stack cut through, as it lies in the hoop. */
export function LayersDrawing() {
  const { layers } = usePlan('layers');
  return layers ? <StackDrawing stack={layers.stack} /> : null;
}

/** Layers cut through: what the ring clamps reaches under it. */
export function StackDrawing({ stack }: { stack: readonly StackLayer[] }) {
  const plan = usePlan('piece');
  const p = usePalette();
  const [size, setSize] = useState({ width: 0, height: 0 });
  const bands = bandsOf(stack, size);
  const clamped = bands.filter((b) => b.layer.clamped);
  const [top, foot] = [
    Math.min(...clamped.map((b) => b.y)) - 14,
    Math.max(...clamped.map((b) => b.y + b.height)) + 14,
  ];
  const description = `From the top: ${stack.map((l) => `${l.name}, ${l.note}${l.role === 'cloth' && l.clamped ? ', in the ring' : ''}`).join('; ')}.`;
  return (
    <View
      testID="sheet"
      role="img"
      aria-label={description}
      style={{ flex: 1, backgroundColor: p.paper }}
      onLayout={({ nativeEvent: { layout } }) => setSize({ width: layout.width, height: layout.height })}
    >
      {size.width > 0 ? (
        <Svg width={size.width} height={size.height}>
          {bands.map((band) => (
            <Layer
              key={`${band.layer.name} ${band.y}`}
              band={band}
              width={size.width}
              cloth={plan.piece.colour}
              palette={p}
            />
          ))}
          {clamped.length > 0
            ? [12, size.width - 12 - RING_PX].map((x) => (
                <G key={x}>
                  <Rect
                    x={x}
                    y={top}
                    width={RING_PX}
                    height={foot - top}
                    rx={5}
                    fill="none"
                    stroke={p.ink}
                    strokeWidth={2.4}
                  />
                  <Line x1={x + 7} x2={x + 7} y1={top + 4} y2={foot - 4} stroke={p.ink} strokeWidth={1} />
                </G>
              ))
            : null}
        </Svg>
      ) : null}
    </View>
  );
}
