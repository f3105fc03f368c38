import { STAGES, type Stage, type StageState } from '@zt/core';
import { useEffect, useRef } from 'react';
import { Pressable, ScrollView, useWindowDimensions, View } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import { Txt } from '../components/ui/Txt';
import { useWide } from '../theme/layout';
import { type Palette, usePalette } from '../theme/palette';

interface TapeProps {
  stage: Stage;
  states: readonly StageState[];
  onStage: (stage: Stage) => void;
}

const INCH_PX = 88;
const HEIGHT_PX = 62;
export const STAGE_NAMES: Record<Stage, string> = {
  piece: 'Piece',
  design: 'Design',
  place: 'Place',
  hoop: 'Hoop',
  layers: 'Layers',
  mount: 'Mount',
  stitch: 'Stitch',
  finish: 'Finish',
  log: 'Log',
};

function ticks(width: number): string {
  return Array.from({ length: 8 }, (_, i) => `M${(i * width) / 8} 0v${i === 0 ? 16 : i === 4 ? 11 : 6}`).join(
    '',
  );
}

const TROUBLE_WORDS = {
  stop: 'has a stop',
  next: 'still to do',
  warn: 'has a warning',
  none: null,
} as const;

const STATE_WORDS = (state: StageState) =>
  [
    state.settled ? 'settled' : null,
    TROUBLE_WORDS[state.trouble ?? 'none'],
    state.blocked ? 'waits for earlier stages' : null,
  ]
    .filter(Boolean)
    .join(', ');

function Sign({ state, ink, p }: { state: StageState; ink: string; p: Palette }) {
  const trouble = state.trouble ? (
    <Path d="M0 8l4 -6l5 9l5 -9l5 9l4 -6" stroke={ink} strokeWidth={2.2} fill="none" />
  ) : null;
  const settled = <Path d="M4 6l5 5l9 -10" stroke={ink} strokeWidth={2.2} fill="none" />;
  return (
    <Svg width={23} height={12}>
      {trouble ??
        (state.settled ? (
          settled
        ) : (
          <Path
            d="M10 6a2 2 0 1 0 4 0a2 2 0 1 0 -4 0"
            fill={state.blocked ? 'none' : ink}
            stroke={ink}
            strokeWidth={1}
            opacity={ink === p.tape ? 1 : 0.6}
          />
        ))}
    </Svg>
  );
}

/** The measuring tape: the stages as its inches in the order of work. */
export function Tape({ stage, states, onStage }: TapeProps) {
  const p = usePalette();
  const wide = useWide();
  const { width } = useWindowDimensions();
  const scroll = useRef<ScrollView>(null);
  const inch = wide ? width / STAGES.length : INCH_PX;
  const index = STAGES.indexOf(stage);
  useEffect(() => {
    if (!wide) scroll.current?.scrollTo({ x: (index + 0.5) * INCH_PX - width / 2, animated: false });
  }, [index, wide, width]);
  return (
    <View
      role="navigation"
      aria-label="Stages"
      style={{
        backgroundColor: p.tape,
        borderTopWidth: 1.5,
        borderBottomWidth: wide ? 1.5 : 0,
        borderColor: p.ink,
      }}
    >
      <ScrollView
        ref={scroll}
        horizontal
        showsHorizontalScrollIndicator={false}
        contentContainerStyle={{ flexGrow: 1 }}
      >
        {states.map((state, i) => {
          const on = state.stage === stage;
          const ink = on ? p.tape : p.onTape;
          return (
            <Pressable
              key={state.stage}
              role="link"
              aria-current={on ? 'step' : undefined}
              aria-label={[`${i + 1} ${STAGE_NAMES[state.stage]}`, STATE_WORDS(state)]
                .filter(Boolean)
                .join(': ')}
              onPress={() => onStage(state.stage)}
              style={{
                width: inch,
                height: HEIGHT_PX,
                alignItems: 'center',
                backgroundColor: on ? DARK_INCH : 'transparent',
              }}
            >
              <Svg width={inch} height={17} style={{ position: 'absolute', top: 0, left: 0 }}>
                <Path d={ticks(inch)} stroke={ink} strokeWidth={1.4} />
              </Svg>
              <View style={{ marginTop: 20 }}>
                <Txt as="heading" style={{ color: on ? '#FFFEF8' : p.onTape, fontSize: 17, lineHeight: 21 }}>
                  {STAGE_NAMES[state.stage]}
                </Txt>
              </View>
              <Sign state={state} ink={ink} p={p} />
            </Pressable>
          );
        })}
      </ScrollView>
    </View>
  );
}

/** The current inch, inked in by day and by night. */
const DARK_INCH = '#1F2B3A';
