import type { DisplayUnits } from '@zt/core/base/units/length';
import { type Phrase, say } from '@zt/core/base/units/phrase';
import { View } from 'react-native';
import { Press } from './ui/Press';
import { Stack } from './ui/Stack';
import { Tick } from './ui/Tick';
import { Txt } from './ui/Txt';

interface TickListProps {
  items: readonly { id: string; text: Phrase; caution: Phrase | null }[];
  /** The ids of those that are done. */
  done: readonly string[];
  onDone: (done: string[]) => void;
  units: DisplayUnits;
  /** The order matters: each bears its number. */
  numbered?: boolean;
}

/** What is to be done and ticked off, each with its caution where the hazard is. */
export function TickList({ items, done, onDone, units, numbered = false }: TickListProps) {
  const toggle = (id: string, on: boolean) =>
    onDone([...done.filter((other) => other !== id), ...(on ? [id] : [])]);
  const open = items.filter(({ id }) => !done.includes(id));
  return (
    <>
      <View role="list">
        {items.map(({ id, text, caution }, i) => (
          <View key={id} role="listitem">
            <Tick
              title={`${numbered ? `${i + 1}. ` : ''}${say(text, units)}`}
              on={done.includes(id)}
              onToggle={(on) => toggle(id, on)}
            />
            {caution ? (
              <Stack indent>
                <Txt as="small" tone="madder">
                  {say(caution, units)}
                </Txt>
              </Stack>
            ) : null}
          </View>
        ))}
      </View>
      {open.length > 1 ? (
        <Press
          title={`All ${open.length} are done`}
          label={`All ${open.length} that are left are done`}
          onPress={() => onDone([...done, ...open.map(({ id }) => id)])}
        />
      ) : null}
    </>
  );
}
