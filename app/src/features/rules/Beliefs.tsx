import { QUESTIONS, schoolsOf } from '@zt/core/catalogue/schools';
import { type HouseRules, schoolFor } from '@zt/core/model/houseRules';
import { BELIEFS, type Belief } from '@zt/core/stages/layers/beliefs';
import { answersTo, textOfBelief } from '@zt/core/table/houseRules/search';
import { useState } from 'react';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { TextField } from '../../components/ui/TextField';
import { Txt } from '../../components/ui/Txt';
import { RuleRow } from './RuleRow';

/** A rule: when it speaks, what it concludes, whose school it is, and which tickets on the bench it decides. */
function BeliefRow({
  belief,
  rules,
  decides,
}: {
  belief: Belief;
  rules: HouseRules;
  decides: readonly string[];
}) {
  const { school } = belief;
  const followed = !school || schoolFor(rules, school.question) === school.id;
  const schoolName = school ? schoolsOf(school.question).find(([id]) => id === school.id)?.[1] : null;
  return (
    <RuleRow>
      <Txt as="label" tone="graphite">{`${belief.part}: ${belief.on}`}</Txt>
      <Txt as="strong" tone={followed ? 'ink' : 'graphite'}>
        {belief.concludes}
      </Txt>
      {school ? (
        <Txt as="small" tone="graphite">
          {`${QUESTIONS[school.question].question}: ${schoolName}${followed ? '' : ', not followed here'}`}
        </Txt>
      ) : null}
      {decides.length > 0 ? <Txt as="small">{`Decides: ${decides.join(', ')}`}</Txt> : null}
    </RuleRow>
  );
}

/** Every rule on layers, needle and thread, to be searched. */
export function Beliefs({
  rules,
  decided,
}: {
  rules: HouseRules;
  /** Names of the tickets that each rule decides, by the rule's id. */
  decided: ReadonlyMap<string, readonly string[]>;
}) {
  const [sought, setSought] = useState('');
  const found = BELIEFS.filter((belief) => answersTo(textOfBelief(belief, decided.get(belief.id)), sought));
  return (
    <Stack gap={8}>
      <TextField label="Find a rule" value={sought} onText={setSought} />
      <Txt as="small" tone="graphite" testID="rules-found">
        {`${found.length} of ${BELIEFS.length}. They stand in the order they decide: of those that speak for a part, the first.`}
      </Txt>
      <Row gap={0} columns>
        {found.map((belief) => (
          <BeliefRow key={belief.id} belief={belief} rules={rules} decides={decided.get(belief.id) ?? []} />
        ))}
      </Row>
    </Stack>
  );
}
