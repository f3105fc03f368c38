import { type Machine, NEEDLES, needlesOf, withNeedle } from '@zt/core';
import { View } from 'react-native';
import { Choice } from '../../components/ui/Choice';
import { Disclosure } from '../../components/ui/Disclosure';
import { NumberField } from '../../components/ui/NumberField';

const TYPES = Object.values(NEEDLES).map(({ id, name }) => ({ id, name }));

/** What is in each needle of a machine, and for how long it has stitched. */
export function FittedNeedles({
  machine,
  onMachine,
}: {
  machine: Machine;
  onMachine: (machine: Machine) => void;
}) {
  return needlesOf(machine).map((needle, i) => {
    const which = machine.needles === 1 ? 'the needle' : `needle ${i + 1}`;
    return (
      <View key={i}>
        <NumberField
          label={`hours on ${which}`}
          value={needle.hours}
          most={1000}
          onNumber={(hours) => hours !== null && onMachine(withNeedle(machine, i, { ...needle, hours }))}
        />
        <Disclosure
          title={needle.type ? NEEDLES[needle.type].name : 'not said which'}
          label={`which needle is in ${which}`}
        >
          <Choice
            label={`What ${which} is`}
            small
            options={TYPES}
            chosen={needle.type}
            onChoose={(type) => onMachine(withNeedle(machine, i, { ...needle, type }))}
          />
        </Disclosure>
      </View>
    );
  });
}
