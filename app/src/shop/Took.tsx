import { say } from '@zt/core/base/units/phrase';
import type { ShelfUse } from '@zt/core/model/shelfUse';
import { usesInWords } from '@zt/core/records/logbook/useInWords';
import { Stack } from '../components/ui/Stack';
import { Txt } from '../components/ui/Txt';
import { useShop } from './useShop';

/** What a piece took off the shelf, item by item. */
export function Took({ uses }: { uses: readonly ShelfUse[] }) {
  const { units } = useShop();
  if (uses.length === 0) return null;
  return (
    <Stack testID="took" gap={2}>
      <Txt as="heading" level={2}>
        Taken off the shelf
      </Txt>
      {usesInWords(uses).map((line, i) => (
        <Txt key={i} as="small">
          {say(line, units)}
        </Txt>
      ))}
    </Stack>
  );
}
