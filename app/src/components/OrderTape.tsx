import { ORDER_STATES, type OrderState } from '@zt/core/model/order';
import { View } from 'react-native';
import { usePalette } from '../theme/palette';
import { Txt } from './ui/Txt';

/** How far an order is, as a length of tape pulled out: its states are the marks. */
export function OrderTape({ state }: { state: OrderState }) {
  const p = usePalette();
  const at = ORDER_STATES.indexOf(state);
  return (
    <View role="img" aria-label={`${state}: ${at + 1} of ${ORDER_STATES.length}`} style={{ gap: 2 }}>
      <View style={{ flexDirection: 'row', height: 16, borderWidth: 1.5, borderColor: p.ink }}>
        {ORDER_STATES.map((one, i) => (
          <View
            key={one}
            style={{
              flex: 1,
              backgroundColor: i <= at ? p.tape : p.panel,
              borderRightWidth: i < ORDER_STATES.length - 1 ? 1.5 : 0,
              borderColor: p.ink,
            }}
          />
        ))}
      </View>
      <Txt as="label">{state}</Txt>
    </View>
  );
}
