import type { DisplayUnits } from '@zt/core/base/units/length';
import { say } from '@zt/core/base/units/phrase';
import { type CostLine, SORT_OF } from '@zt/core/business/cost/costLine';
import type { TrueCost } from '@zt/core/business/cost/trueCost';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { usePalette } from '../../theme/palette';
import { colourOf } from './CostTape';

interface LineProps {
  line: CostLine;
  units: DisplayUnits;
  amount: string;
}

function Line({ line, units, amount }: LineProps) {
  const p = usePalette();
  const [open, setOpen] = useState(false);
  const isUnpriced = line.unpriced.length > 0;
  const shown = isUnpriced && line.minor === 0 ? 'not priced' : amount;
  return (
    <View style={{ borderBottomWidth: 1, borderColor: p.hairline }}>
      <Pressable
        role="button"
        aria-expanded={open}
        aria-label={`${line.name}: ${shown}`}
        onPress={() => setOpen(!open)}
        style={{ flexDirection: 'row', alignItems: 'center', gap: 10, minHeight: 44 }}
      >
        <View style={{ width: 8, height: 28, backgroundColor: colourOf(SORT_OF[line.id], p) }} />
        <Stack grow>
          <Txt as="label">{line.name}</Txt>
          {isUnpriced && line.minor > 0 ? (
            <Txt as="small" tone="madder">
              not all of it is priced
            </Txt>
          ) : null}
        </Stack>
        <Txt as="strong" tone={isUnpriced ? 'madder' : 'ink'}>
          {shown}
        </Txt>
      </Pressable>
      {open ? (
        <View style={{ paddingLeft: 18, paddingBottom: 10, gap: 2 }}>
          {line.sum.map((part) => (
            <Txt key={say(part, units)} as="small">
              {say(part, units)}
            </Txt>
          ))}
        </View>
      ) : null}
    </View>
  );
}

interface CostLinesProps {
  cost: TrueCost;
  units: DisplayUnits;
  money: (minor: number) => string;
}

/** Every line of a cost, each opening into the sum it is; what they add up to stands below. */
export function CostLines({ cost, units, money }: CostLinesProps) {
  return (
    <View role="group" aria-label="Line by line">
      <Txt
        as="heading"
        level={2}
      >{`Line by line, for ${cost.pieces === 1 ? 'the piece' : `all ${cost.pieces}`}`}</Txt>
      <Txt as="small" tone="graphite">
        Tap a line for its sum. Each is rounded to the smallest coin; the total is what they add up to.
      </Txt>
      {cost.lines.map((line) => (
        <Line key={line.id} line={line} units={units} amount={money(line.minor)} />
      ))}
      <View style={{ flexDirection: 'row', minHeight: 48, alignItems: 'center' }}>
        <Stack grow>
          <Txt as="strong">{cost.unpriced.length > 0 ? 'In all, at least' : 'In all'}</Txt>
        </Stack>
        <Txt as="figure" testID="total">
          {money(cost.totalMinor)}
        </Txt>
      </View>
      {cost.lowMinor === cost.highMinor ? null : (
        <Txt
          as="small"
          tone="graphite"
        >{`${money(cost.lowMinor)} to ${money(cost.highMinor)}, by how many are spoilt.`}</Txt>
      )}
    </View>
  );
}
