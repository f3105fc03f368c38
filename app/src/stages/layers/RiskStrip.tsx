import type { RiskBar } from '@zt/core/stages/layers/risk';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { Meter } from '../../components/ui/Meter';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { usePalette } from '../../theme/palette';

function Bar({ bar, open, onPress }: { bar: RiskBar; open: boolean; onPress: () => void }) {
  const p = usePalette();
  const { level } = bar;
  const points = Math.round(bar.points);
  return (
    <View>
      <Pressable
        role="button"
        aria-expanded={open}
        aria-label={`${bar.risk}: ${level}, ${points} of 100`}
        onPress={onPress}
        style={{ flexDirection: 'row', alignItems: 'center', gap: 8, minHeight: 44 }}
      >
        <Stack width={104}>
          <Txt as="label">{bar.risk}</Txt>
        </Stack>
        <Meter
          value={bar.points}
          most={100}
          colour={level === 'high' ? p.madder : level === 'some' ? p.tape : p.moss}
          height={16}
        />
        <Stack width={74}>
          <Txt as="small">{`${level}, ${points}`}</Txt>
        </Stack>
      </Pressable>
      {open ? (
        <View style={{ paddingLeft: 12, paddingBottom: 8, gap: 2 }}>
          {bar.parts.length === 0 ? <Txt as="small">Nothing adds to it here.</Txt> : null}
          {bar.parts.map((part) => (
            <Txt key={part.weight} as="small">
              {`${part.points > 0 ? '+' : '−'}${Math.abs(Math.round(part.points))}  ${part.reason}`}
            </Txt>
          ))}
        </View>
      ) : null}
    </View>
  );
}

/** What may go wrong with the stack as it stands, each bar opening into what makes it up. */
export function RiskStrip({ risks }: { risks: readonly RiskBar[] }) {
  const [open, setOpen] = useState<string | null>(null);
  return (
    <View role="group" aria-label="Risks of this stack">
      <Txt as="heading" level={2}>
        What it risks
      </Txt>
      <Txt as="small" tone="graphite">
        Points of 100 by the shop’s model, to compare stacks by; tap one for its sum.
      </Txt>
      {risks.map((bar) => (
        <Bar
          key={bar.risk}
          bar={bar}
          open={open === bar.risk}
          onPress={() => setOpen(open === bar.risk ? null : bar.risk)}
        />
      ))}
    </View>
  );
}
