import { formatMoney, readMoney } from '@zt/core/base/units/money';
import { breakEven, leftOf, priceCurve, priceFor } from '@zt/core/business/cost/price';
import type { TrueCost } from '@zt/core/business/cost/trueCost';
import { titleOf } from '@zt/core/planner/titleOf';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { Callout } from '../../components/ui/Callout';
import { Press } from '../../components/ui/Press';
import { Screen } from '../../components/ui/Screen';
import { Stack } from '../../components/ui/Stack';
import { TextField } from '../../components/ui/TextField';
import { Txt } from '../../components/ui/Txt';
import { useRules, useTicket, useUnits } from '../../hooks/useTicket';
import { WithTicket } from '../../stages/WithTicket';
import { CheaperWays } from './CheaperWays';
import { CostLines } from './CostLines';
import { CostTape } from './CostTape';
import { QuantityCurve } from './QuantityCurve';
import { type Costed, useCost } from './useCost';

const percentOf = (value: number): string => `${Math.round(value)} %`;

/** What a price leaves, by habit and in truth. */
function WhatIsLeft({
  priceMinor,
  cost,
  money,
}: {
  priceMinor: number;
  cost: TrueCost;
  money: (minor: number) => string;
}) {
  const { blankMinor } = useTicket('blankMinor');
  const left = leftOf(priceMinor, cost, blankMinor ?? 0);
  const from = breakEven(priceMinor, cost);
  const isWhole = cost.unpriced.length === 0;
  const each = (minor: number) => money(minor / cost.pieces);
  return (
    <View style={{ gap: 4 }}>
      <Txt tone="graphite">{`Price minus blank says ${each(left.naiveMinor)} a piece.`}</Txt>
      <Txt as="strong" tone={left.trueMinor < 0 ? 'madder' : 'ink'} testID="left">
        {left.trueMinor < 0
          ? `In truth ${isWhole ? '' : 'at least '}${each(-left.trueMinor)} a piece is put in: ${money(-left.trueMinor)} in all.`
          : `In truth ${isWhole ? '' : 'at most '}${each(left.trueMinor)} a piece is left, ${percentOf(left.marginPercent ?? 0)} of the price: ${money(left.trueMinor)} in all.`}
      </Txt>
      <Txt as="small" tone="graphite">
        {from === null
          ? 'At this price every piece costs more than it brings, however many are made.'
          : from === 1
            ? 'At this price the first piece pays for itself.'
            : `At this price it pays from ${from} pieces on.`}
      </Txt>
    </View>
  );
}

/** A price that is tried: what was typed, else the one that leaves the wanted margin. */
function Prices({ cost }: { cost: TrueCost }) {
  const rules = useRules();
  const money = (minor: number) => formatMoney(minor, cost.currency);
  const wanted = priceFor(cost, cost.pieces, rules);
  const [typed, setTyped] = useState('');
  const read = typed.trim() === '' ? null : readMoney(typed, cost.currency);
  const priceMinor = read?.ok ? read.minor : read ? null : wanted;
  return (
    <Stack gap={10}>
      <View>
        <Txt
          as="figure"
          testID="cost-of-one"
        >{`${cost.unpriced.length > 0 ? 'at least ' : ''}${money(cost.totalMinor / cost.pieces)} a piece`}</Txt>
        <Txt>
          {wanted === null
            ? 'No price leaves a margin of 100 % or more: House rules have the margin that is wanted.'
            : cost.unpriced.length > 0
              ? `No price under ${money(wanted)} leaves the margin wanted.`
              : `A price of ${money(wanted)} leaves the margin wanted.`}
        </Txt>
      </View>
      <CostTape cost={cost} paidMinor={priceMinor === null ? null : priceMinor * cost.pieces} money={money} />
      <TextField
        label={`Try a price for one, ${cost.currency}`}
        value={typed}
        onText={setTyped}
        keyboard="decimal"
        placeholder={wanted === null ? '' : money(wanted)}
        error={read && !read.ok ? read.message : null}
      />
      {priceMinor === null ? null : <WhatIsLeft priceMinor={priceMinor} cost={cost} money={money} />}
      <QuantityCurve points={priceCurve(cost, rules)} own={cost.pieces} money={money} />
    </Stack>
  );
}

function Unpriced({ cost }: { cost: TrueCost }) {
  if (cost.unpriced.length === 0) return null;
  return (
    <Callout tone="madder" gap={4} role="note">
      <Txt as="strong">It costs more than this: not all of it has a price.</Txt>
      <Txt>{`${cost.unpriced.join(', ')}. On the shelf, say what was paid for it; what one bare piece costs stands at Piece.`}</Txt>
    </Callout>
  );
}

function Cost({ costed }: { costed: Costed }) {
  const units = useUnits();
  const { cost, of } = costed;
  const stops = of.plan.findings.filter(({ severity }) => severity === 'stop');
  if (!cost) return <Txt>It can be priced once it is known how it is held and how it is stitched.</Txt>;
  const money = (minor: number) => formatMoney(minor, cost.currency);
  return (
    <>
      {stops.length > 0 ? (
        <Callout tone="madder" role="note">
          <Txt as="strong">As it is planned it cannot be made: what it costs will change.</Txt>
        </Callout>
      ) : null}
      <Unpriced cost={cost} />
      <Prices cost={cost} />
      <CostLines cost={cost} units={units} money={money} />
      <CheaperWays costed={costed} money={money} />
      <Txt as="small" tone="graphite">
        What of it is taxed, and how, is not told here: ask whoever knows it where you live.
      </Txt>
    </>
  );
}

function Price() {
  const ticket = useTicket('id', 'name', 'design', 'piece');
  const costed = useCost();
  const router = useRouter();
  return (
    <Screen
      title="What it costs"
      subtitle={`${titleOf(ticket)}${costed.cost ? `, ${costed.cost.pieces === 1 ? 'one piece' : `${costed.cost.pieces} pieces`}` : ''}`}
      aside={<Press title="Back" onPress={() => router.replace(`/ticket/${ticket.id}/piece`)} />}
    >
      <Cost costed={costed} />
    </Screen>
  );
}

/** What a ticket really costs, line by line, what to ask for it, and what would make it cheaper. */
export function PriceScreen({ id }: { id: string }) {
  return <WithTicket id={id}>{() => <Price />}</WithTicket>;
}
