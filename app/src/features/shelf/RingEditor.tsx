import { type DisplayUnits, formatLength, type Hoop, SIDES } from '@zt/core';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import Svg, { G, Line, Path, Rect } from 'react-native-svg';
import { LengthField } from '../../components/ui/LengthField';
import { Txt } from '../../components/ui/Txt';
import { usePalette } from '../../theme/palette';

/** The lengths of a hoop that can be tapped on its drawing. */
const LENGTHS = {
  fieldWidthMm: { label: 'stitch field, width', least: 20 },
  fieldHeightMm: { label: 'stitch field, height', least: 20 },
  ringWidthMm: { label: 'outer ring, width', least: 20 },
  ringHeightMm: { label: 'outer ring, height', least: 20 },
  wallMm: { label: 'ring, thickness of its wall', least: 2 },
} as const;
type LengthId = keyof typeof LENGTHS;

const BOX = 300;
const ROOM = 62;

interface RingEditorProps {
  hoop: Hoop;
  units: DisplayUnits;
  onHoop: (hoop: Hoop) => void;
}

/** The hoop drawn to its own sides. A figure is tapped to change it, a side to put the bracket there. */
export function RingEditor({ hoop, units, onHoop }: RingEditorProps) {
  const p = usePalette();
  const [chosen, choose] = useState<LengthId>('fieldWidthMm');
  const scale = (BOX - 2 * ROOM) / Math.max(hoop.ringWidthMm, hoop.ringHeightMm);
  const half = (mm: number) => (mm * scale) / 2;
  const [rw, rh] = [half(hoop.ringWidthMm), half(hoop.ringHeightMm)];
  const [fw, fh] = [half(hoop.fieldWidthMm), half(hoop.fieldHeightMm)];
  const wall = hoop.wallMm * scale;
  const tags: { id: LengthId; x: number; y: number }[] = [
    { id: 'ringWidthMm', x: 0, y: -rh - 34 },
    { id: 'ringHeightMm', x: rw + 38, y: 0 },
    { id: 'fieldWidthMm', x: 0, y: -fh * 0.35 },
    { id: 'fieldHeightMm', x: 0, y: fh * 0.45 },
    { id: 'wallMm', x: -rw - 26, y: rh + 32 },
  ];
  const sides = {
    left: [-rw - 12, 0],
    right: [rw + 12, 0],
    back: [0, -rh - 12],
    front: [0, rh + 12],
  } as const;
  const set = (id: LengthId, mm: number) => {
    if (mm < LENGTHS[id].least) return;
    const both = hoop.round && (id === 'fieldWidthMm' || id === 'fieldHeightMm');
    onHoop(both ? { ...hoop, fieldWidthMm: mm, fieldHeightMm: mm } : { ...hoop, [id]: mm });
  };
  return (
    <View style={{ gap: 8 }}>
      <Txt as="small">Tap a figure to change it, a side of the ring to put its bracket there.</Txt>
      <View style={{ width: BOX, height: BOX, alignSelf: 'center', backgroundColor: p.paper }}>
        <View role="img" aria-label={`Drawing of ${hoop.name}`}>
          <Svg width={BOX} height={BOX}>
            <G transform={`translate(${BOX / 2} ${BOX / 2})`}>
              <Rect
                x={-rw}
                y={-rh}
                width={2 * rw}
                height={2 * rh}
                rx={hoop.round ? rw : 12}
                fill={p.panel}
                stroke={p.ink}
                strokeWidth={2.4}
              />
              <Rect
                x={-rw + wall}
                y={-rh + wall}
                width={2 * (rw - wall)}
                height={2 * (rh - wall)}
                rx={hoop.round ? rw : 9}
                fill="none"
                stroke={p.ink}
                strokeWidth={1}
              />
              <Rect
                x={-fw}
                y={-fh}
                width={2 * fw}
                height={2 * fh}
                rx={hoop.round ? fw : 1}
                fill="none"
                stroke={p.chalk}
                strokeWidth={1.6}
                strokeDasharray="10 3 2 3"
              />
              <Line x1={-rw} y1={-rh - 18} x2={rw} y2={-rh - 18} stroke={p.ink} strokeWidth={1} />
              <Line x1={rw + 18} y1={-rh} x2={rw + 18} y2={rh} stroke={p.ink} strokeWidth={1} />
              <Path
                d={`M${-rw - 10} ${rh + 24}L${-rw + wall / 2} ${rh - wall / 2}`}
                stroke={p.ink}
                strokeWidth={1}
                strokeDasharray="2 3"
              />
              {hoop.positions.count > 1 ? (
                <Rect
                  x={-fw}
                  y={-fh + hoop.positions.stepMm * scale}
                  width={2 * fw}
                  height={2 * fh}
                  fill="none"
                  stroke={p.chalk}
                  strokeWidth={1}
                  strokeDasharray="2 4"
                />
              ) : null}
            </G>
          </Svg>
        </View>
        <View
          role="radiogroup"
          aria-label="Bracket"
          style={{
            position: 'absolute',
            left: 0,
            top: 0,
            width: BOX,
            height: BOX,
            pointerEvents: 'box-none',
          }}
        >
          {SIDES.map((side) => {
            const [x, y] = sides[side];
            const on = hoop.bracket === side;
            return (
              <Pressable
                key={side}
                role="radio"
                aria-checked={on}
                aria-label={`bracket ${side}`}
                onPress={() => onHoop({ ...hoop, bracket: side })}
                style={{
                  position: 'absolute',
                  left: BOX / 2 + x - (y === 0 ? 12 : 24),
                  top: BOX / 2 + y - (y === 0 ? 24 : 12),
                  width: y === 0 ? 24 : 48,
                  height: y === 0 ? 48 : 24,
                  borderWidth: on ? 2 : 1,
                  borderStyle: on ? 'solid' : 'dashed',
                  borderColor: on ? p.ink : p.graphite,
                  borderRadius: 4,
                  backgroundColor: on ? p.tape : 'transparent',
                }}
              />
            );
          })}
        </View>
        {tags.map(({ id, x, y }) => (
          <Pressable
            key={id}
            role="button"
            aria-pressed={chosen === id}
            aria-label={`Change ${LENGTHS[id].label}, now ${formatLength(hoop[id], units)}`}
            onPress={() => choose(id)}
            style={{
              position: 'absolute',
              left: BOX / 2 + x - 36,
              top: BOX / 2 + y - 15,
              width: 72,
              height: 30,
              alignItems: 'center',
              justifyContent: 'center',
              borderRadius: 4,
              borderWidth: chosen === id ? 2.5 : 1,
              borderColor: p.onTape,
              backgroundColor: p.tape,
            }}
          >
            <Txt as="label" style={{ color: p.onTape }}>
              {formatLength(hoop[id], units)}
            </Txt>
          </Pressable>
        ))}
      </View>
      <LengthField
        key={chosen}
        label={LENGTHS[chosen].label}
        mm={hoop[chosen]}
        units={units}
        onLength={(mm) => set(chosen, mm)}
        onUnread={() => undefined}
      />
    </View>
  );
}
