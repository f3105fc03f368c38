import type { Reading } from '@zt/core';
import { useState } from 'react';
import { View } from 'react-native';
import { Txt } from '../../components/ui/Txt';
import { usePlan, useReading, useTicketActs } from '../../hooks/useTicket';
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
  const [byKeys, setByKeys] = useState(false);
  const index = asked.findIndex((r) => r.id === at);
  const open = (id: string | null, keys = false) => {
    setByKeys(keys);
    setReading(id);
  };
  const first = asked.filter((r) => !later.includes(r));
  const next = asked[index + 1];
  // Nothing more is asked for: on to the next stage, unless somebody likes to go on.
  const isAsked = asked.slice(index + 1).some((r) => !r.optional && !later.includes(r));
  const rowOf = (reading: Reading) => (
    <ReadingRow
      key={reading.id}
      reading={reading}
      number={asked.indexOf(reading) + 1}
      open={reading.id === at}
      takesKeys={byKeys}
      nextName={isAsked ? (next?.name ?? null) : null}
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
