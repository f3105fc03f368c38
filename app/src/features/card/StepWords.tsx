import { say } from '@zt/core/base/units/phrase';
import { isRead, withRead } from '@zt/core/stages/piece/usual';
import type { Step } from '@zt/core/table/deck/step';
import type { ReactNode } from 'react';
import { View as NativeView } from 'react-native';
import { KeyRow } from '../../components/KeyRow';
import { LengthField } from '../../components/ui/LengthField';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { unbroken } from '../../components/unbroken';
import { usePlan, useTicket, useTicketActs, useUnits } from '../../hooks/useTicket';
import { WayRoundChoice } from '../../stages/mount/WayRoundChoice';
import { MethodChoice } from '../../stages/place/MethodChoice';
import { usePalette } from '../../theme/palette';
import { GREY, LAMP, YELLOW } from './dark';

/** The reading of a step, to be taken there. */
function ReadingField({ id, name, onNext }: { id: string; name: string; onNext: () => void }) {
  const ticket = useTicket('piece');
  const { change } = useTicketActs();
  const p = usePalette();
  const { readings, assumed } = ticket.piece;
  return (
    <NativeView style={{ backgroundColor: p.panel, padding: 12, borderRadius: 6 }}>
      <LengthField
        large
        label={name}
        at={`piece.readings.${id}`}
        mm={isRead(ticket.piece, id) ? (readings[id] ?? null) : null}
        onLength={(mm) => change({ stage: 'piece', set: withRead({ readings, assumed }, id, mm) })}
        onSubmit={onNext}
      />
    </NativeView>
  );
}

/** The keys of the machine for a copy, on paper. */
function KeysOfStep({ copy }: { copy: number }) {
  const { mount } = usePlan('mount');
  const units = useUnits();
  const p = usePalette();
  const shown =
    copy === 1
      ? mount && { keys: mount.keys, order: mount.keyOrder }
      : mount?.copies.find(({ number }) => number === copy);
  return shown ? (
    <NativeView style={{ backgroundColor: p.panel, padding: 12, borderRadius: 6 }}>
      <KeyRow keys={shown.keys} order={shown.order} units={units} />
    </NativeView>
  ) : null;
}

const CHOICES: Record<NonNullable<Step['choice']>, () => ReactNode> = {
  method: MethodChoice,
  'way round': WayRoundChoice,
};

/** What is chosen in a step, on paper. */
function ChoiceOfStep({ choice }: { choice: NonNullable<Step['choice']> }) {
  const p = usePalette();
  const Chosen = CHOICES[choice];
  return (
    <NativeView
      style={{ backgroundColor: p.panel, padding: 12, borderRadius: 6 }}
      // Choosing does not go on.
      {...{ onClick: (event: Event) => event.stopPropagation() }}
    >
      <Chosen />
    </NativeView>
  );
}

/** What a step says, readable at arm’s length. */
export function StepWords({ step, done, onNext }: { step: Step; done: boolean; onNext: () => void }) {
  const units = useUnits();
  return (
    <Stack gap={10}>
      <Txt as="step" style={{ color: LAMP }} live testID="card-text">
        {unbroken(say(step.text, units))}
      </Txt>
      {step.figure && step.reading === null ? (
        <Txt as="huge" style={{ color: YELLOW }} testID="card-figure">
          {say([step.figure], units)}
        </Txt>
      ) : null}
      {step.reading !== null ? (
        <ReadingField key={step.id} id={step.reading} name={say(step.hint ?? [], units)} onNext={onNext} />
      ) : null}
      {step.keys === null ? null : <KeysOfStep copy={step.keys} />}
      {step.choice ? <ChoiceOfStep choice={step.choice} /> : null}
      {step.hint && step.reading === null ? (
        <Txt as="aside" style={{ color: LAMP }}>
          {unbroken(say(step.hint, units))}
        </Txt>
      ) : null}
      {step.caution ? (
        <Txt as="aside" style={{ color: YELLOW }}>
          {unbroken(say(step.caution, units))}
        </Txt>
      ) : null}
      {done ? (
        <Txt style={{ color: GREY }} testID="card-done">
          ✓ done
        </Txt>
      ) : null}
    </Stack>
  );
}
