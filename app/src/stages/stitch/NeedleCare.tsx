import { type Machine, numberFor } from '@zt/core';
import { useState } from 'react';
import { View } from 'react-native';
import { UndoBar } from '../../components/UndoBar';
import { Disclosure } from '../../components/ui/Disclosure';
import { Press } from '../../components/ui/Press';
import { Txt } from '../../components/ui/Txt';
import { useOpenTicket } from '../../hooks/useTicket';
import { usePutItemMutation } from '../../services/api';

const oneDigit = (value: number) => String(Math.round(value * 10) / 10);

const STEPS = [
  'Power off, or locked as its manual says, before a hand goes near the needle.',
  'Loosen the clamp, take the old needle out, put the new one in as far as it goes: its flat as the manual shows.',
  'Turn the wheel by hand once: it must clear plate and foot.',
] as const;

/** How long the needle has stitched, when to change it, and how, safely. */
export function NeedleCare({ machine }: { machine: Machine }) {
  const { rules, plan } = useOpenTicket();
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
        <Txt as="small">
          {`After ${oneDigit(most)} hours, after any strike, when a ball of adhesive comes back after it was wiped off, when thread frays or it thuds.`}
        </Txt>
        {STEPS.map((step, i) => (
          <Txt key={step} as="small">{`${i + 1}. ${step}`}</Txt>
        ))}
        <Txt as="small" tone="madder">
          After a strike: glasses on, power off, and find every piece of the needle before you go on.
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
