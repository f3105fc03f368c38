import { type DisplayUnits, formatLength } from '@zt/core/base/units/length';
import { type Hoop, SIDES } from '@zt/core/model/shelf';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { LengthField } from '../../components/ui/LengthField';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { TARGET } from '../../theme/layout';
import { usePalette } from '../../theme/palette';
import { BOX, drawnSides, RingFigure } from './RingFigure';

/** The lengths of a hoop that can be tapped on its drawing. */
const LENGTHS = {
  fieldWidthMm: 'stitch field, width',
  fieldHeightMm: 'stitch field, height',
  ringWidthMm: 'outer ring, width',
  ringHeightMm: 'outer ring, height',
  wallMm: 'ring, thickness of its wall',
} as const;
type LengthId = keyof typeof LENGTHS;
const TAG_PX = 86;

interface RingEditorProps {
  hoop: Hoop;
  units: DisplayUnits;
  onHoop: (hoop: Hoop) => void;
}

/** A side of the ring to tap, so that the bracket sits there. */
function BracketSides({ hoop, onHoop }: Omit<RingEditorProps, 'units'>) {
  const p = usePalette();
  const { ring } = drawnSides(hoop);
  const sides = {
    left: [-ring.w - 12, 0],
    right: [ring.w + 12, 0],
    back: [0, -ring.h - 12],
    front: [0, ring.h + 12],
  } as const;
  return (
    <View
      role="radiogroup"
      aria-label="Bracket"
      style={{ position: 'absolute', left: 0, top: 0, width: BOX, height: BOX, pointerEvents: 'box-none' }}
    >
      {SIDES.map((side) => {
        const [x, y] = sides[side];
        const on = hoop.bracket === side;
        const [width, height] = y === 0 ? [24, 48] : [48, 24];
        return (
          <Pressable
            key={side}
            role="radio"
            aria-checked={on}
            tabIndex={on ? 0 : -1}
            aria-label={`bracket ${side}`}
            onPress={() => onHoop({ ...hoop, bracket: side })}
            style={{
              position: 'absolute',
              left: BOX / 2 + x - TARGET / 2,
              top: BOX / 2 + y - TARGET / 2,
              width: TARGET,
              height: TARGET,
              alignItems: 'center',
              justifyContent: 'center',
            }}
          >
            <View
              style={{
                width,
                height,
                borderWidth: on ? 2 : 1,
                borderStyle: on ? 'solid' : 'dashed',
                borderColor: on ? p.ink : p.graphite,
                borderRadius: 4,
                backgroundColor: on ? p.tape : 'transparent',
              }}
            />
          </Pressable>
        );
      })}
    </View>
  );
}

/** A figure on the drawing to tap, so that it is the one being changed. */
function LengthTag({
  id,
  at,
  chosen,
  text,
  onPress,
}: {
  id: LengthId;
  at: { x: number; y: number };
  chosen: boolean;
  text: string;
  onPress: () => void;
}) {
  const p = usePalette();
  return (
    <Pressable
      role="button"
      aria-pressed={chosen}
      aria-label={`Change ${LENGTHS[id]}, now ${text}`}
      onPress={onPress}
      style={{
        position: 'absolute',
        left: BOX / 2 + at.x - TAG_PX / 2,
        top: BOX / 2 + at.y - TARGET / 2,
        width: TAG_PX,
        height: TARGET,
        justifyContent: 'center',
      }}
    >
      <View
        style={{
          height: 30,
          alignItems: 'center',
          justifyContent: 'center',
          borderRadius: 4,
          borderWidth: chosen ? 2.5 : 1,
          borderColor: p.onTape,
          backgroundColor: p.tape,
        }}
      >
        <Txt as="label" tone="onTape">
          {text}
        </Txt>
      </View>
    </Pressable>
  );
}

/** The hoop drawn to its own sides. A figure is tapped to change it, a side to put the bracket there. */
export function RingEditor({ hoop, units, onHoop }: RingEditorProps) {
  const p = usePalette();
  const [chosen, choose] = useState<LengthId>('fieldWidthMm');
  const { ring, field } = drawnSides(hoop);
  const tags: Record<LengthId, { x: number; y: number }> = {
    ringWidthMm: { x: 0, y: -ring.h - 34 },
    ringHeightMm: { x: ring.w + 32, y: ring.h - 8 },
    fieldWidthMm: { x: 0, y: -field.h * 0.35 },
    fieldHeightMm: { x: 0, y: field.h * 0.45 },
    wallMm: { x: -ring.w - 26, y: ring.h + 32 },
  };
  const set = (id: LengthId, mm: number) => {
    const both = hoop.round && (id === 'fieldWidthMm' || id === 'fieldHeightMm');
    onHoop(both ? { ...hoop, fieldWidthMm: mm, fieldHeightMm: mm } : { ...hoop, [id]: mm });
  };
  return (
    <Stack gap={8}>
      <Txt as="small">Tap a figure to change it, a side of the ring to put its bracket there.</Txt>
      <View style={{ width: BOX, height: BOX, alignSelf: 'center', backgroundColor: p.paper }}>
        <RingFigure hoop={hoop} />
        <BracketSides hoop={hoop} onHoop={onHoop} />
        {(Object.keys(LENGTHS) as LengthId[]).map((id) => (
          <LengthTag
            key={id}
            id={id}
            at={tags[id]}
            chosen={chosen === id}
            text={formatLength(hoop[id], units)}
            onPress={() => choose(id)}
          />
        ))}
      </View>
      <LengthField
        key={chosen}
        label={LENGTHS[chosen]}
        at={chosen}
        mm={hoop[chosen]}
        onLength={(mm) => set(chosen, mm)}
      />
    </Stack>
  );
}
