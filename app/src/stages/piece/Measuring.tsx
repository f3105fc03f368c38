import { useState } from 'react';
import { View } from 'react-native';
import { usePlan, useReading, useTicketActs } from '../../hooks/useTicket';
import { ReadingRow } from './ReadingRow';

/** Measuring as guided work: one reading at a time, the sheet shows where its tape goes, Enter or a tap goes on. */
export function Measuring() {
  const plan = usePlan('piece');
  const at = useReading();
  const { setReading } = useTicketActs();
  const { asked } = plan.piece;
  const [byKeys, setByKeys] = useState(false);
  const index = asked.findIndex((r) => r.id === at);
  const open = (id: string | null, keys = false) => {
    setByKeys(keys);
    setReading(id);
  };
  const next = asked[index + 1];
  return (
    <View>
      {asked.map((reading, i) => (
        <ReadingRow
          key={reading.id}
          reading={reading}
          number={i + 1}
          open={reading.id === at}
          takesKeys={byKeys}
          nextName={next?.name ?? null}
          onOpen={() => open(reading.id)}
          onNext={() => open(next?.id ?? null, true)}
        />
      ))}
    </View>
  );
}
