import { say } from '@zt/core/base/units/phrase';
import { leftOfEarned, marginOf, sayEarned, sayWeeks } from '@zt/core/business/weeks/weeks';
import { numberFor } from '@zt/core/catalogue/houseNumber';
import { MONEY_NUMBERS } from '@zt/core/catalogue/numbers/money';
import type { ChangedNumber, Earned } from '@zt/core/model/weeks';
import { HOUSE_NUMBERS } from '@zt/core/table/houseRules/numbers';
import { type Href, Link, useRouter } from 'expo-router';
import { useState } from 'react';
import { AmongPlaces } from '../../components/AmongPlaces';
import { Choice } from '../../components/ui/Choice';
import { FileLink } from '../../components/ui/FileLink';
import { NotYet } from '../../components/ui/NotYet';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Screen } from '../../components/ui/Screen';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { useWeeksQuery } from '../../services/weeksApi';
import { useShop } from '../../shop/useShop';
import { WeekBars } from './WeekBars';

const SPANS = [
  { id: '6', name: '6 weeks' },
  { id: '12', name: '12 weeks' },
  { id: '26', name: '26 weeks' },
  { id: '52', name: 'a year' },
] as const;
type Span = (typeof SPANS)[number]['id'];

const whole = (figure: number): string => String(Math.round(figure));
const inPercent = (figure: number): string => `${figure.toFixed(0)} %`;
const inMinutes = (figure: number): string => `${figure.toFixed(0)} min`;

function EarnedLine({ earned }: { earned: Earned }) {
  const { rules } = useShop();
  const isLoss = (leftOfEarned(earned) ?? 0) < 0;
  return (
    <Link href={`/orders/${earned.id}` as Href} style={{ minHeight: 44 }}>
      <Txt as="strong">{earned.name}</Txt>
      <Txt tone={isLoss ? 'madder' : 'ink'}>{`: ${say(sayEarned(earned, rules.currency), rules.units)}`}</Txt>
    </Link>
  );
}

function NumberLine({ number: { id, times, value } }: { number: ChangedNumber }) {
  const known = HOUSE_NUMBERS.find((one) => one.id === id);
  const is = value === null ? 'as usual again' : `now ${value}, usually ${known?.value ?? 'not there'}`;
  return <Txt>{`${known?.name ?? id}: ${times} ${times === 1 ? 'time' : 'times'}, ${is}`}</Txt>;
}

/** How the shop does, week by week: what was made, how long it took, what was earned, and what it changed its mind on. */
export function WeeksScreen() {
  const router = useRouter();
  const { rules } = useShop();
  const [span, setSpan] = useState<Span>('12');
  const { data, isError } = useWeeksQuery(Number(span), { refetchOnMountOrArgChange: true });
  const wanted = numberFor(rules, MONEY_NUMBERS.marginPercent);
  return (
    <AmongPlaces>
      <Screen
        title="How the shop does"
        subtitle="Week by week"
        isHere={data !== undefined || isError}
        aside={<Press title="Back" onPress={() => router.replace('/orders')} />}
      >
        {isError ? (
          <Txt tone="madder" live>
            The logbook and the order book are with the shop’s computer, and it does not answer. Nothing is
            lost.
          </Txt>
        ) : null}
        <Choice label="How far back" quiet small options={SPANS} chosen={span} onChoose={setSpan} />
        {data || isError ? null : <NotYet />}
        {data ? (
          <>
            <Txt testID="in-short">{say(sayWeeks(data.weeks), rules.units)}</Txt>
            <WeekBars
              title="Pieces"
              weeks={data.weeks}
              say={whole}
              bars={[
                { name: 'well made', tone: 'moss', of: (week) => week.pieces - week.spoilt },
                { name: 'spoilt', tone: 'madder', of: (week) => week.spoilt },
              ]}
            />
            <WeekBars
              title="Minutes at the machine"
              weeks={data.weeks}
              say={inMinutes}
              bars={[
                { name: 'planned', tone: 'chalk', of: (week) => (week.timed ? week.plannedMinutes : null) },
                { name: 'taken', tone: 'tape', of: (week) => (week.timed ? week.wasMinutes : null) },
              ]}
            />
            <WeekBars
              title="Margin"
              weeks={data.weeks}
              say={inPercent}
              bars={[
                {
                  name: 'left of what was promised',
                  tone: 'chalk',
                  of: (week) => marginOf(week.countedMinor, week.costMinor),
                },
              ]}
              aim={{ name: 'wanted', at: wanted }}
            />
            <Stack gap={2}>
              <Txt as="heading" level={2}>
                What earned, and what cost
              </Txt>
              {data.earned.length === 0 ? <Txt>No order was handed over in these weeks.</Txt> : null}
              {data.earned.map((earned) => (
                <EarnedLine key={earned.id} earned={earned} />
              ))}
            </Stack>
            <Stack gap={2}>
              <Txt as="heading" level={2}>
                Numbers that were changed most
              </Txt>
              {data.numbers.length === 0 ? <Txt>None of the house’s numbers was changed.</Txt> : null}
              {data.numbers.slice(0, 12).map((number) => (
                <NumberLine key={number.id} number={number} />
              ))}
            </Stack>
            <Row wrap>
              <FileLink href={`/api/weeks/weeks.csv?weeks=${span}`} name="The weeks as a table (CSV)" />
            </Row>
          </>
        ) : null}
      </Screen>
    </AmongPlaces>
  );
}
