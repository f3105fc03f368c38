import { say } from '@zt/core/base/units/phrase';
import type { Off } from '@zt/core/model/ticket/log';
import type { LogPlan } from '@zt/core/stages/log/planLog';
import { offInWords } from '@zt/core/stages/log/planLog';
import { SidedLengthField } from '../../components/ui/SidedLengthField';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { useUnits } from '../../hooks/useTicket';

interface OffFieldsProps {
  /** The path of these fields in what is saved. */
  at: string;
  off: Off;
  by: LogPlan['off'];
  onOff: (off: Off) => void;
}

/** Where the stitched design lies against its marks, by the tape: how far off, and how far turned. */
export function OffFields({ at, off, by, onOff }: OffFieldsProps) {
  const units = useUnits();
  const words = offInWords(by);
  const fields = [
    { id: 'right', label: 'middle, sideways', sides: ['left', 'right'] },
    { id: 'down', label: 'middle, up or down', sides: ['too high', 'too low'] },
    { id: 'endDown', label: 'right end, up or down', sides: ['too high', 'too low'] },
  ] as const;
  return (
    <Stack gap={6}>
      <Txt as="label" tone="graphite">
        Off its place, by the tape from the marks
      </Txt>
      {fields.map(({ id, label, sides }) => (
        <SidedLengthField
          key={id}
          label={label}
          at={`${at}.${id}`}
          mm={off[id] ?? 0}
          sides={sides}
          onLength={(mm) => onOff({ ...off, [id]: mm })}
        />
      ))}
      {words ? (
        <Txt live testID="off-by">
          {`It lies ${say(words, units)}.`}
        </Txt>
      ) : null}
    </Stack>
  );
}
