import type { DisplayUnits } from '@zt/core/base/units/length';
import { say } from '@zt/core/base/units/phrase';
import type { DayNote } from '@zt/core/business/day/dayPlan';
import { Link } from 'expo-router';
import { Callout } from '../components/ui/Callout';
import { Txt } from '../components/ui/Txt';

interface DayNotesProps {
  notes: readonly DayNote[];
  units: DisplayUnits;
}

/** What is to be known of a plan: what is late, what stays in its hoop overnight, what is not planned. */
export function DayNotes({ notes, units }: DayNotesProps) {
  return notes.map(({ code, severity, text, ticketId }, i) => (
    <Callout
      key={`${code} ${ticketId ?? i}`}
      tone={severity === 'note' ? 'graphite' : 'madder'}
      role="note"
      grave={severity === 'stop'}
    >
      <Txt>{say(text, units)}</Txt>
      {code === 'shut' ? (
        <Link href="/rules">
          <Txt as="label" tone="chalk">
            Opening hours
          </Txt>
        </Link>
      ) : null}
    </Callout>
  ));
}
