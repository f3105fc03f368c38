import { type DisplayUnits, say } from '@zt/core';
import type { DayNote } from '@zt/core/uses/day/dayPlan';
import { Link } from 'expo-router';
import { Callout } from '../components/ui/Callout';
import { Press } from '../components/ui/Press';
import { Row } from '../components/ui/Row';
import { Txt } from '../components/ui/Txt';

interface DayNotesProps {
  notes: readonly DayNote[];
  units: DisplayUnits;
  onLater: (ticketId: string) => void;
}

/** What is to be known of a plan: what is late, what stays in its hoop overnight, what is not planned. */
export function DayNotes({ notes, units, onLater }: DayNotesProps) {
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
      {code === 'overnight' && ticketId ? (
        <Row wrap>
          <Press kind="link" title="Let it wait for another day" onPress={() => onLater(ticketId)} />
        </Row>
      ) : null}
    </Callout>
  ));
}
