import { KNOWN_WAYS } from '@zt/core/catalogue/knownWays';
import { sheetsInWords, TOPPERS } from '@zt/core/catalogue/materials';
import { type HouseRules, MOST_WAYS } from '@zt/core/model/houseRules';
import type { Way } from '@zt/core/model/way';
import { appliesInWords, wayTitle } from '@zt/core/stages/layers/ways';
import { useState } from 'react';
import { Offer } from '../../components/Offer';
import { Choice } from '../../components/ui/Choice';
import { Disclosure } from '../../components/ui/Disclosure';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { today } from '../../hooks/today';
import { RuleRow } from './RuleRow';

const FOLLOWED = [
  { id: 'on', name: 'followed' },
  { id: 'off', name: 'not now' },
] as const;

const stackWords = ({ sheets, choices }: Pick<Way, 'sheets' | 'choices'>): string => {
  const topper = choices.topper ? `; on top: ${TOPPERS[choices.topper.choice].name}` : '';
  return `${sheetsInWords(sheets)}${topper}`;
};

interface WaysProps {
  rules: HouseRules;
  /** Names of the tickets that each way decides, by its id. */
  decided: ReadonlyMap<string, readonly string[]>;
  /** Follows other rules, and tells what changes on the bench. */
  onRules: (rules: HouseRules) => void;
}

/** Ways of the shop's own: each counts as a school, is switched here, and says which tickets it decides. */
export function Ways({ rules, decided, onRules }: WaysProps) {
  const [removed, setRemoved] = useState<Way | null>(null);
  const put = (ways: Way[]) => onRules({ ...rules, ways });
  const others = KNOWN_WAYS.filter(({ id }) => !rules.ways.some((way) => way.id === id));
  return (
    <Stack gap={8}>
      <Txt as="heading" level={2}>
        Ways of our own
      </Txt>
      <Txt as="small" tone="graphite">
        {rules.ways.length === 0
          ? 'A whole stack that never gives trouble, kept from a ticket’s Layers or taken from below. It is proposed wherever it applies.'
          : 'Proposed wherever they apply, the first before the others; never where their stack must not be.'}
      </Txt>
      <Row gap={0} columns>
        {rules.ways.map((way) => {
          const tickets = decided.get(way.id) ?? [];
          return (
            <RuleRow key={way.id}>
              <Txt as="strong">{wayTitle(way)}</Txt>
              <Txt as="small" tone="graphite">
                {appliesInWords(way.applies)}
              </Txt>
              <Txt as="small">{stackWords(way)}</Txt>
              {way.why ? <Txt as="small" tone="graphite">{`Because: ${way.why}`}</Txt> : null}
              {tickets.length > 0 ? (
                <Txt as="small">{`Decides ${tickets.length}: ${tickets.join(', ')}`}</Txt>
              ) : null}
              <Choice
                label={`Our ${way.name} way`}
                quiet
                small
                options={FOLLOWED}
                chosen={way.on ? 'on' : 'off'}
                onChoose={(id) =>
                  put(rules.ways.map((other) => (other === way ? { ...way, on: id === 'on' } : other)))
                }
              />
              <Press
                kind="link"
                title="take it off the list"
                label={`Our ${way.name} way: take it off the list`}
                onPress={() => {
                  setRemoved(way);
                  put(rules.ways.filter((other) => other !== way));
                }}
              />
            </RuleRow>
          );
        })}
      </Row>
      {removed ? (
        <Press
          title={`Put our ${removed.name} way back`}
          onPress={() => {
            put([removed, ...rules.ways]);
            setRemoved(null);
          }}
        />
      ) : null}
      {others.length > 0 && rules.ways.length < MOST_WAYS ? (
        <Disclosure title={`Ways other shops hold: ${others.length} to take on`}>
          <Stack gap={6}>
            {others.map((way) => (
              <Offer
                key={way.id}
                title={`The ${way.name} way: ${appliesInWords(way.applies)}`}
                detail={`${stackWords(way)}. ${way.why}`}
                onTake={() => put([{ ...way, since: today(), on: true }, ...rules.ways])}
              />
            ))}
          </Stack>
        </Disclosure>
      ) : null}
    </Stack>
  );
}
