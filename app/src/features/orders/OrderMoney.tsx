import { formatMoney } from '@zt/core/base/units/money';
import { isWholeCost, leftOfOrder, type OrderCost } from '@zt/core/business/cost/orderCost';
import type { Order } from '@zt/core/model/order';
import { View } from 'react-native';
import { Callout } from '../../components/ui/Callout';
import { Disclosure } from '../../components/ui/Disclosure';
import { FileLink } from '../../components/ui/FileLink';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { orderPaper, useOrderCostQuery } from '../../services/ordersApi';

/** A quote or a receipt, for either paper. */
function Papers({ id, kind, name }: { id: string; kind: 'quote' | 'receipt'; name: string }) {
  return (
    <>
      <FileLink href={orderPaper(id, kind)} name={`${name} as PDF`} fileName={`${kind}.pdf`} />
      <FileLink href={orderPaper(id, kind, 'a5')} name={`${name} for A5`} fileName={`${kind}-a5.pdf`} />
    </>
  );
}

/** What a promised price leaves, by habit and in truth. */
function Left({ cost, promisedMinor }: { cost: OrderCost; promisedMinor: number }) {
  const money = (minor: number) => formatMoney(minor, cost.currency);
  const { naiveMinor, trueMinor, marginPercent } = leftOfOrder(promisedMinor, cost);
  const isWhole = isWholeCost(cost);
  const share = marginPercent === null ? '' : `, ${Math.round(marginPercent)} % of the price`;
  return (
    <>
      <Txt tone="graphite">{`Price minus blanks says ${money(naiveMinor)}.`}</Txt>
      <Txt as="strong" tone={trueMinor < 0 ? 'madder' : 'ink'} testID="order-left">
        {trueMinor < 0
          ? `In truth ${isWhole ? '' : 'at least '}${money(-trueMinor)} is put in.`
          : `In truth ${isWhole ? '' : 'at most '}${money(trueMinor)} is left${share}.`}
      </Txt>
    </>
  );
}

/** What an order costs, what was promised for it, and its papers. */
export function OrderMoney({ order, onPrice }: { order: Order; onPrice: (minor: number) => void }) {
  const { currentData: cost, isError } = useOrderCostQuery(order.id);
  if (isError)
    return (
      <Txt tone="graphite">What it costs is worked out at the shop’s computer, and it does not answer.</Txt>
    );
  if (!cost || cost.tickets.length === 0) return null;
  const money = (minor: number) => formatMoney(minor, cost.currency);
  const unplanned = cost.tickets.filter(({ totalMinor }) => totalMinor === null);
  const isWhole = isWholeCost(cost);
  return (
    <Stack gap={8}>
      <Txt as="heading" level={2}>
        {`It costs ${isWhole ? '' : 'at least '}${money(cost.totalMinor)}`}
      </Txt>
      {unplanned.length > 0 ? (
        <Callout tone="madder" role="note">
          <Txt>{`Not planned so far that they can be costed: ${unplanned.map(({ name }) => name || 'a piece').join(', ')}.`}</Txt>
        </Callout>
      ) : null}
      {cost.unpriced.length > 0 ? (
        <Callout tone="madder" role="note">
          <Txt>{`Without a price, and not counted: ${cost.unpriced.join(', ')}.`}</Txt>
        </Callout>
      ) : null}
      {order.promisedMinor === null ? null : <Left cost={cost} promisedMinor={order.promisedMinor} />}
      {isWhole && cost.wantedMinor !== null && cost.wantedMinor !== order.promisedMinor ? (
        <Row wrap align="middle">
          <Press
            title={`Promise ${money(cost.wantedMinor)}`}
            label={`Promise ${money(cost.wantedMinor)}, which leaves the margin wanted`}
            onPress={() => onPrice(cost.wantedMinor ?? 0)}
          />
          <Txt as="small">leaves the margin wanted</Txt>
        </Row>
      ) : null}
      <Disclosure title="line by line" label="The order line by line">
        {cost.lines.map(({ id, name, minor }) => (
          <Row key={id} spread>
            <Txt as="small">{name}</Txt>
            <Txt as="small">{money(minor)}</Txt>
          </Row>
        ))}
        <Row spread>
          <Txt as="strong">In all</Txt>
          <Txt as="strong">{money(cost.totalMinor)}</Txt>
        </Row>
        <Txt
          as="small"
          tone="graphite"
        >{`${money(cost.lowMinor)} to ${money(cost.highMinor)}, by how many are spoilt.`}</Txt>
      </Disclosure>
      {order.promisedMinor === null ? null : (
        <View>
          <Row wrap>
            <Papers id={order.id} kind="quote" name="Quote" />
            {order.state === 'paid' ? <Papers id={order.id} kind="receipt" name="Receipt" /> : null}
          </Row>
          <Txt as="small" tone="graphite">
            Under the shop’s own heading, from House rules. Of taxes it says nothing: ask whoever knows them
            where you live.
          </Txt>
        </View>
      )}
    </Stack>
  );
}
