import { say } from '@zt/core/base/units/phrase';
import { Disclosure } from '../../components/ui/Disclosure';
import { SidedLengthField } from '../../components/ui/SidedLengthField';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { usePlan, useTicket, useTicketActs, useUnits } from '../../hooks/useTicket';

const FIELDS = [
  { id: 'right', label: 'middle, sideways', sides: ['left', 'right'] },
  { id: 'down', label: 'middle, up or down', sides: ['too high', 'too low'] },
] as const;

/** Of a run: the first piece is measured when it is stitched, and what it is off is carried to the rest. */
export function SampleFields() {
  const { mount: input } = useTicket('mount');
  const plan = usePlan('piece', 'mount');
  const units = useUnits();
  const { change } = useTicketActs();
  if (plan.piece.pieces < 2 || !plan.mount) return null;
  const { sample } = input;
  const carried = plan.mount.reasons.find(({ about }) => about === 'sample');
  return (
    <Disclosure title={`First of ${plan.piece.pieces} pieces`} label="The first piece of the run">
      <Stack gap={6}>
        <Txt as="small">
          Stitch one, lay the tape from its marks to the middle of the design, and say how far it is off.
          Every piece after it is keyed so much the other way.
        </Txt>
        {FIELDS.map(({ id, label, sides }) => (
          <SidedLengthField
            key={id}
            label={label}
            at={`mount.sample.${id}`}
            mm={sample[id] ?? 0}
            sides={sides}
            onLength={(mm) =>
              change({ stage: 'mount', set: { sample: { ...sample, [id]: mm === 0 ? null : mm } } })
            }
          />
        ))}
        {carried ? (
          <Txt as="strong" live testID="carried">
            {say(carried.text, units)}
          </Txt>
        ) : null}
      </Stack>
    </Disclosure>
  );
}
