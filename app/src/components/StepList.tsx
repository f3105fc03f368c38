import type { DisplayUnits } from '@zt/core/base/units/length';
import { type Phrase, type Quantity, say } from '@zt/core/base/units/phrase';
import { View } from 'react-native';
import { usePalette } from '../theme/palette';
import { Stack } from './ui/Stack';
import { Txt } from './ui/Txt';

export interface ListedStep {
  text: Phrase;
  figure?: Quantity | null;
  hint?: Phrase | null;
}

/** Numbered steps with their figures large at the right. */
export function StepList({ steps, units }: { steps: readonly ListedStep[]; units: DisplayUnits }) {
  const p = usePalette();
  return (
    <View role="list">
      {steps.map((step, i) => (
        <View
          key={say(step.text, units)}
          role="listitem"
          style={{
            flexDirection: 'row',
            gap: 12,
            paddingVertical: 9,
            borderBottomWidth: 1,
            borderColor: p.hairline,
            borderStyle: 'dashed',
          }}
        >
          <View
            style={{
              width: 28,
              height: 28,
              borderRadius: 14,
              borderWidth: 2,
              borderColor: p.chalk,
              alignItems: 'center',
              justifyContent: 'center',
            }}
          >
            <Txt as="label" tone="chalk">
              {String(i + 1)}
            </Txt>
          </View>
          <Stack grow>
            <Txt>{say(step.text, units)}</Txt>
            {step.hint ? (
              <Txt as="small" tone="graphite">
                {say(step.hint, units)}
              </Txt>
            ) : null}
          </Stack>
          {step.figure ? <Txt as="figure">{say([step.figure], units).replace(/ (in|mm)$/, '')}</Txt> : null}
        </View>
      ))}
    </View>
  );
}
