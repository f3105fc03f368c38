import { numberFor } from '@zt/core/catalogue/houseNumber';
import { NEEDLES } from '@zt/core/catalogue/materials';
import { STITCH_NUMBERS } from '@zt/core/catalogue/numbers/stitch';
import type { HouseRules } from '@zt/core/model/houseRules';
import type { Machine } from '@zt/core/model/shelf';
import type { NeedleId } from '@zt/core/model/ticket/layers';
import { needlesOf, withNeedle } from '@zt/core/stock/supplies';
import { useState } from 'react';
import { NeedleRack } from '../../components/NeedleRack';
import { Choice } from '../../components/ui/Choice';
import { Disclosure } from '../../components/ui/Disclosure';
import { NumberField } from '../../components/ui/NumberField';
import { Stack } from '../../components/ui/Stack';

const TYPES = (Object.keys(NEEDLES) as NeedleId[]).map((id) => ({ id, name: NEEDLES[id].name }));

interface FittedNeedlesProps {
  machine: Machine;
  rules: HouseRules;
  onMachine: (machine: Machine) => void;
}

/** What is in each needle of a machine, and for how long it has stitched; of many, one at a time. */
export function FittedNeedles({ machine, rules, onMachine }: FittedNeedlesProps) {
  const [picked, setPicked] = useState(0);
  const needles = needlesOf(machine);
  const at = Math.min(picked, needles.length - 1);
  const needle = needles[at] ?? { type: null, hours: 0 };
  const which = needles.length === 1 ? 'the needle' : `needle ${at + 1}`;
  return (
    <Stack gap={8}>
      {needles.length > 1 ? (
        <NeedleRack
          needles={needles}
          mostHours={numberFor(rules, STITCH_NUMBERS.needleHours)}
          chosen={at}
          onChoose={setPicked}
        />
      ) : null}
      <NumberField
        key={at}
        label={`hours on ${which}`}
        at={`fitted.${at}.hours`}
        value={needle.hours}
        onNumber={(hours) => onMachine(withNeedle(machine, at, { ...needle, hours }))}
      />
      <Disclosure
        title={`in it: ${needle.type ? NEEDLES[needle.type].name : 'not said which'}`}
        label={`which needle is in ${which}`}
      >
        <Choice
          label={`What ${which} is`}
          small
          options={TYPES}
          chosen={needle.type}
          onChoose={(type) => onMachine(withNeedle(machine, at, { ...needle, type }))}
        />
      </Disclosure>
    </Stack>
  );
}
