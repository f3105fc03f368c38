import { type Machine, needleCare, numberFor, say } from '@zt/core';
import { useState } from 'react';
import { View } from 'react-native';
import { oneDigit } from '../../components/figures';
import { UndoBar } from '../../components/UndoBar';
import { Disclosure } from '../../components/ui/Disclosure';
import { Press } from '../../components/ui/Press';
import { Txt } from '../../components/ui/Txt';
import { useOpenTicket } from '../../hooks/useTicket';
import { usePutItemMutation } from '../../services/api';

/** How long the needle has stitched, when to change it, and how, safely. */
export function NeedleCare({ machine }: { machine: Machine }) {
  const { rules, plan, units } = useOpenTicket();
  const care = needleCare(rules);
  const [put] = usePutItemMutation({ fixedCacheKey: 'shelf' });
  const [before, setBefore] = useState<Machine | null>(null);
  const most = numberFor(rules, 'needleHours');
  const needle = plan.layers?.parts.needle.choice.name;
  const changed = () => {
    setBefore(machine);
    const item: Machine = { ...machine, needleHours: 0 };
    void put({ noun: 'machines', item });
  };
  const putBack = () => {
    if (before) void put({ noun: 'machines', item: before });
    setBefore(null);
  };
  return (
    <View style={{ gap: 4 }}>
      <Txt testID="needle-hours">
        {`Needle of ${machine.name}: ${oneDigit(machine.needleHours)} of ${oneDigit(most)} hours.`}
      </Txt>
      {before ? <UndoBar text="A new needle counts from 0." onPutBack={putBack} /> : null}
      <Disclosure title="Change the needle" label="Changing the needle">
        <Txt as="small">{say(care.when, units)}</Txt>
        {care.steps.map((step, i) => (
          <Txt key={i} as="small">{`${i + 1}. ${say(step, units)}`}</Txt>
        ))}
        <Txt as="small" tone="madder">
          {say(care.afterStrike, units)}
        </Txt>
        <Press
          title={`A new ${needle ?? ''} needle is in`.replace('  ', ' ')}
          label="A new needle is in"
          onPress={changed}
        />
      </Disclosure>
    </View>
  );
}
