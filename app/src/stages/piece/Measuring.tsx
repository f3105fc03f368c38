import type { Reading } from '@zt/core/stages/piece/readings';
import { isRead } from '@zt/core/stages/piece/usual';
import { useState } from 'react';
import { View } from 'react-native';
import { Txt } from '../../components/ui/Txt';
import { usePlan, useReading, useTicket, useTicketActs } from '../../hooks/useTicket';
import { FieldFindings } from '../FieldFindings';
import { ReadingRow } from './ReadingRow';
import { UsualSizes } from './UsualSizes';

/**
 * Measuring as guided work: one reading at a time, the sheet shows where its tape goes, Enter or a tap goes on. What
 * the marks do without comes last.
 */
export function Measuring() {
  const plan = usePlan('piece');
  const at = useReading();
  const { setReading } = useTicketActs();
  const { asked, later } = plan.piece;
  const ticket = useTicket('piece');
  const [byKeys, setByKeys] = useState(false);
  const open = (id: string | null, keys = false) => {
    setByKeys(keys);
    setReading(id);
  };
  const first = asked.filter((r) => !later.includes(r));
  // Enter goes on to what is still to be measured; what may be left out is opened by whoever likes to.
  const next = [...first, ...later].find((r) => r.id !== at && !r.optional && !isRead(ticket.piece, r.id));
  // Nothing more is asked for: on to the next stage, unless somebody likes to go on.
  const isAsked = next !== undefined && !later.includes(next);
  const rowOf = (reading: Reading) => (
    <ReadingRow
      key={reading.id}
      reading={reading}
      number={asked.indexOf(reading) + 1}
      open={reading.id === at}
      takesKeys={byKeys}
      nextName={isAsked ? next.name : null}
      onOpen={() => open(reading.id)}
      onNext={() => open(next?.id ?? null, true)}
    />
  );
  return (
    <View>
      {first.slice(0, 1).map(rowOf)}
      <FieldFindings field="assumed" />
      <UsualSizes />
      {first.slice(1).map(rowOf)}
      {later.length > 0 ? (
        <Txt as="label" tone="graphite" style={{ marginTop: 14 }}>
          These can wait until the ring closes
        </Txt>
      ) : null}
      {later.map(rowOf)}
      <FieldFindings field="later" />
    </View>
  );
}
