import { type ChoicePart, type ChosenPart, type DisplayUnits, say } from '@zt/core';
import { View } from 'react-native';
import { Offer } from '../../components/Offer';
import { Disclosure } from '../../components/ui/Disclosure';
import { Press } from '../../components/ui/Press';
import { Txt } from '../../components/ui/Txt';
import { WordsField } from '../../components/ui/WordsField';
import { Why } from '../../components/Why';
import { usePalette } from '../../theme/palette';

const PART_NAMES: Record<ChoicePart, string> = {
  topper: 'Topper',
  needle: 'Needle',
  thread: 'Thread',
  bobbin: 'Bobbin',
  cover: 'Cover',
  trim: 'Trim',
};

interface PartRowProps {
  chosen: ChosenPart;
  units: DisplayUnits;
  /** Null goes back to the proposal. */
  onChoose: (choice: string | null, why: string) => void;
}

/** One part of the stack: what it is, why, and what else it could be. */
export function PartRow({ chosen, units, onChoose }: PartRowProps) {
  const p = usePalette();
  const name = PART_NAMES[chosen.part];
  return (
    <View style={{ borderBottomWidth: 1, borderColor: p.hairline }}>
      <View style={{ flexDirection: 'row', gap: 10, alignItems: 'baseline' }}>
        <View style={{ width: 70 }}>
          <Txt as="label" tone="graphite">
            {name}
          </Txt>
        </View>
        <View style={{ flex: 1 }}>
          <Txt as="strong">{`${chosen.choice.name}${chosen.overruled ? ' · your choice' : ''}`}</Txt>
          <Txt as="small" tone="graphite">
            {chosen.overruled && chosen.why ? chosen.why : say(chosen.reason.text, units)}
          </Txt>
        </View>
      </View>
      <View style={{ flexDirection: 'row', gap: 16, flexWrap: 'wrap' }}>
        <Why about={name.toLowerCase()} reasons={[chosen.reason]} units={units} />
        <Disclosure
          title={chosen.alternatives.length === 1 ? '1 other' : `${chosen.alternatives.length} others`}
          label={`another ${name.toLowerCase()}`}
        >
          {chosen.alternatives.map(({ choice, reason }) => (
            <Offer
              key={choice.id}
              title={choice.name}
              detail={say(reason, units)}
              onTake={() => onChoose(choice.id, chosen.why)}
            />
          ))}
          {chosen.overruled ? (
            <>
              <WordsField
                at={`layers.choices.${chosen.part}.why`}
                label={`Why this ${name.toLowerCase()} (goes into the log)`}
                value={chosen.why}
                onText={(why) => onChoose(chosen.choice.id, why)}
              />
              <Press kind="link" title={`${name} as proposed`} onPress={() => onChoose(null, '')} />
            </>
          ) : null}
        </Disclosure>
      </View>
    </View>
  );
}
