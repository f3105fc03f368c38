import { STAGES, type Stage } from '@zt/core/model/stages';
import type { StageState } from '@zt/core/planner/stageStates';
import { useEffect, useRef } from 'react';
import { Pressable, ScrollView, useWindowDimensions, View } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import { Txt } from '../components/ui/Txt';
import { useLow, useWide } from '../theme/layout';
import { type Palette, usePalette } from '../theme/palette';

interface TapeProps {
  stage: Stage;
  states: readonly StageState[];
  onStage: (stage: Stage) => void;
}

/** An inch of the tape on a phone: as wide as a finger, and all nine in sight at once. */
const INCH_PX = 44;
const HEIGHT_PX = 62;
const LOW_PX = 44;
const NAMED_PX = 76;
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
  const low = useLow();
  const { width } = useWindowDimensions();
  const height = low ? LOW_PX : HEIGHT_PX;
  const scroll = useRef<ScrollView>(null);
  const inch = Math.max(INCH_PX, width / STAGES.length);
  /** Whether every name has room; else each has its first letters, and the current one its name. */
  const named = inch >= NAMED_PX;
  const index = STAGES.indexOf(stage);
  useEffect(() => {
    scroll.current?.scrollTo({ x: (index + 0.5) * inch - width / 2, animated: false });
  }, [index, inch, width]);
  return (
    <View
      role="navigation"
      testID="tape"
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
                height,
                alignItems: 'center',
                backgroundColor: on ? DARK_INCH : 'transparent',
              }}
            >
              <Svg width={inch} height={17} style={{ position: 'absolute', top: 0, left: 0 }}>
                <Path d={ticks(inch)} stroke={ink} strokeWidth={1.4} />
              </Svg>
              <View style={{ marginTop: low ? 8 : 20 }}>
                <Txt
                  as="heading"
                  lines={1}
                  style={{
                    color: on ? '#FFFEF8' : p.onTape,
                    fontSize: on && !named ? 13 : 17,
                    lineHeight: 21,
                  }}
                >
                  {named || on ? STAGE_NAMES[state.stage] : STAGE_NAMES[state.stage].slice(0, 2)}
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
