import { formatLength } from '@zt/core/base/units/length';
import type { Reading } from '@zt/core/stages/piece/readings';
import { withRead } from '@zt/core/stages/piece/usual';
import { useEffect, useRef } from 'react';
import { Pressable, type View } from 'react-native';
import { Callout } from '../../components/ui/Callout';
import { LengthField } from '../../components/ui/LengthField';
import { Press } from '../../components/ui/Press';
import { Ruled } from '../../components/ui/Ruled';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { useTicket, useTicketActs, useUnits } from '../../hooks/useTicket';
import { TARGET } from '../../theme/layout';
import { FieldFindings } from '../FieldFindings';

/** A reading still to take is no fault: the row says so itself. */
const QUIET = ['reading-missing'];

/** What is entered for one reading, and how to change it. */
function useReading(reading: Reading) {
  const ticket = useTicket('piece', 'unread');
  const { change } = useTicketActs();
  const { readings, assumed } = ticket.piece;
  const at = `piece.readings.${reading.id}`;
  return {
    at,
    mm: readings[reading.id] ?? null,
    isUsual: assumed.includes(reading.id),
    unread: ticket.unread[at],
    onLength: (mm: number) =>
      change({ stage: 'piece', set: withRead({ readings, assumed }, reading.id, mm) }),
  };
}

interface ReadingRowProps {
  reading: Reading;
  number: number;
  open: boolean;
  /** Opened by Enter on the one before: the keys go on in this field. */
  takesKeys: boolean;
  nextName: string | null;
  onOpen: () => void;
  onNext: () => void;
}

/** One reading of the tape: a line once taken, the whole step while it is being taken. */
export function ReadingRow({ reading, number, open, takesKeys, nextName, onOpen, onNext }: ReadingRowProps) {
  const units = useUnits();
  const { at, mm, isUsual, unread, onLength } = useReading(reading);
  const card = useRef<View>(null);
  useEffect(() => {
    if (open) (card.current as unknown as HTMLElement | null)?.scrollIntoView?.({ block: 'nearest' });
  }, [open]);
  const shown =
    unread ??
    (mm === null
      ? reading.optional
        ? 'left out'
        : 'to measure'
      : `${formatLength(mm, units)}${isUsual ? ' as usual' : ''}`);
  if (!open)
    return (
      <Ruled dashed>
        <Pressable
          role="button"
          aria-label={`${reading.name}: ${shown}`}
          onPress={onOpen}
          style={{ minHeight: TARGET, flexDirection: 'row', alignItems: 'center', gap: 10 }}
        >
          <Txt as="label" tone="graphite">
            {String(number)}
          </Txt>
          <Stack grow>
            <Txt>{reading.name}</Txt>
          </Stack>
          <Txt
            as="figure"
            tone={unread === undefined ? (mm === null || isUsual ? 'graphite' : 'ink') : 'madder'}
            style={mm === null || isUsual ? { fontSize: 16 } : {}}
          >
            {shown}
          </Txt>
        </Pressable>
        <FieldFindings field={reading.id} except={QUIET} />
      </Ruled>
    );
  return (
    <Callout tone="tape" gap={8} ref={card}>
      <Txt as="strong">{reading.how}</Txt>
      <LengthField
        large
        autoFocus={takesKeys}
        label={reading.name}
        at={at}
        mm={mm}
        onLength={onLength}
        onSubmit={onNext}
      />
      <FieldFindings field={reading.id} except={QUIET} />
      {isUsual && mm !== null ? (
        <Press title={`It reads ${formatLength(mm, units)} here too`} onPress={() => onLength(mm)} />
      ) : null}
      {nextName ? <Press kind="main" title={`Next: ${nextName}`} onPress={onNext} /> : null}
    </Callout>
  );
}
