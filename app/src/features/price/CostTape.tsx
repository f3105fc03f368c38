import { COST_SORTS, type CostSort, SORT_OF } from '@zt/core/business/cost/costLine';
import type { TrueCost } from '@zt/core/business/cost/trueCost';
import { View } from 'react-native';
import Svg, { G, Line, Rect } from 'react-native-svg';
import { Txt } from '../../components/ui/Txt';
import { type Palette, usePalette } from '../../theme/palette';

const HEIGHT = 66;
const BAND = 34;
const SIDE = 1000;

const WORDS: Record<CostSort, string> = {
  goods: 'what goes into it',
  wear: 'wear',
  work: 'hands and machine',
  shared: 'spoilt and overhead',
};
export const colourOf = (sort: CostSort, p: Palette): string =>
  ({ goods: p.chalk, wear: p.graphite, work: p.tape, shared: p.madder })[sort];

interface CostTapeProps {
  cost: TrueCost;
  /** What is paid for the whole run; null where no price is known. */
  paidMinor: number | null;
  money: (minor: number) => string;
}

/** The price of a run as a length of tape: what each sort of cost takes off it, and what is left at its end. */
export function CostTape({ cost, paidMinor, money }: CostTapeProps) {
  const p = usePalette();
  const whole = Math.max(cost.totalMinor, paidMinor ?? 0, 1);
  const at = (minor: number) => (minor / whole) * SIDE;
  const sums = COST_SORTS.map((group) => ({
    group,
    minor: cost.lines.reduce((sum, { id, minor }) => sum + (SORT_OF[id] === group ? minor : 0), 0),
  }));
  let from = 0;
  const parts = sums.map(({ group, minor }) => {
    const start = from;
    from += minor;
    return { group, minor, start };
  });
  const left = paidMinor === null ? null : paidMinor - cost.totalMinor;
  const said = [
    ...sums.map(({ group, minor }) => `${WORDS[group]} ${money(minor)}`),
    ...(left === null ? [] : [`${left < 0 ? 'missing' : 'left'} ${money(Math.abs(left))}`]),
  ].join(', ');
  return (
    <View role="img" aria-label={`The tape of the price: ${said}`} style={{ gap: 6 }}>
      <Svg width="100%" height={HEIGHT} viewBox={`0 0 ${SIDE} ${HEIGHT}`} preserveAspectRatio="none">
        <Rect x={0} y={8} width={SIDE} height={BAND} fill={p.panel} stroke={p.ink} strokeWidth={1.5} />
        {parts.map(({ group, minor, start }) => (
          <G key={group}>
            <Rect x={at(start)} y={8} width={at(minor)} height={BAND} fill={colourOf(group, p)} />
            <Line
              x1={at(start + minor)}
              x2={at(start + minor)}
              y1={4}
              y2={8 + BAND}
              stroke={p.ink}
              strokeWidth={1.5}
            />
          </G>
        ))}
        {Array.from({ length: 21 }, (_, i) => (
          <Line
            key={i}
            x1={(i * SIDE) / 20}
            x2={(i * SIDE) / 20}
            y1={8 + BAND}
            y2={8 + BAND + (i % 5 === 0 ? 12 : 7)}
            stroke={p.ink}
            strokeWidth={1.2}
          />
        ))}
        {paidMinor !== null && paidMinor < cost.totalMinor ? (
          <Line x1={at(paidMinor)} x2={at(paidMinor)} y1={0} y2={HEIGHT - 8} stroke={p.ink} strokeWidth={5} />
        ) : null}
      </Svg>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 14, rowGap: 4 }}>
        {sums.map(({ group, minor }) => (
          <View key={group} style={{ flexDirection: 'row', alignItems: 'center', gap: 6 }}>
            <View
              style={{
                width: 12,
                height: 12,
                backgroundColor: colourOf(group, p),
                borderWidth: 1,
                borderColor: p.ink,
              }}
            />
            <Txt as="small">{`${WORDS[group]} ${money(minor)}`}</Txt>
          </View>
        ))}
        {left === null ? null : (
          <Txt as="small" tone={left < 0 ? 'madder' : 'moss'}>
            {left < 0 ? `${money(-left)} missing at the end of the tape` : `${money(left)} left`}
          </Txt>
        )}
      </View>
    </View>
  );
}
