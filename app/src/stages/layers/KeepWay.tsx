import { MOST_WAYS } from '@zt/core/model/houseRules';
import { WAY_LETTERS, type WayApplies } from '@zt/core/model/way';
import { appliesInWords, wayFrom } from '@zt/core/stages/layers/ways';
import { useState } from 'react';
import { Disclosure } from '../../components/ui/Disclosure';
import { Press } from '../../components/ui/Press';
import { Stack } from '../../components/ui/Stack';
import { TextField } from '../../components/ui/TextField';
import { Txt } from '../../components/ui/Txt';
import { WayApplyFields } from '../../components/WayApplyFields';
import { newId } from '../../hooks/newId';
import { today } from '../../hooks/today';
import { usePlan, useRules, useTicket } from '../../hooks/useTicket';
import { useShop } from '../../shop/useShop';

/** Keeps the stack as it stands as a way of the shop's own, under a name, with where it applies and why. */
export function KeepWay() {
  const ticket = useTicket('layers');
  const plan = usePlan('layers');
  const rules = useRules();
  const { setRules, rulesSave } = useShop();
  const [name, setName] = useState('');
  const [why, setWhy] = useState('');
  const [own, setOwn] = useState<WayApplies | null>(null);
  const [kept, setKept] = useState('');
  if (!plan.layers) return null;
  const { sheets, likeThis } = plan.layers;
  const applies = own ?? likeThis;
  const keep = () => {
    const way = wayFrom(
      { id: newId(), name: name.trim(), why: why.trim(), since: today() },
      { sheets, choices: ticket.layers.choices },
      applies,
    );
    setRules({ ...rules, ways: [way, ...rules.ways] });
    setKept(way.name);
  };
  const tooLong = (text: string, most: number) =>
    text.trim().length > most ? `At most ${most} letters; ${text.trim().length} are typed.` : null;
  const errors = { name: tooLong(name, WAY_LETTERS.name), why: tooLong(why, WAY_LETTERS.why) };
  const full = rules.ways.length >= MOST_WAYS;
  const isKept = kept === name.trim();
  return (
    <Disclosure title="keep it as a way of ours" label="keep this stack as a way of the shop's own">
      <Stack gap={10}>
        <TextField
          label="Name of the way"
          value={name}
          onText={setName}
          placeholder="sweatshirt"
          error={errors.name}
        />
        <TextField label="Why this way" value={why} onText={setWhy} error={errors.why} />
        <WayApplyFields applies={applies} onApplies={setOwn} />
        <Txt as="small">{`Applies to: ${appliesInWords(applies)}. House rules list it and switch it off.`}</Txt>
        {full ? (
          <Txt
            as="small"
            tone="madder"
          >{`House rules keep ${MOST_WAYS} ways: take one off the list there.`}</Txt>
        ) : null}
        <Press
          title="Keep this way"
          disabled={name.trim() === '' || errors.name !== null || errors.why !== null || full || isKept}
          onPress={keep}
        />
        {kept !== '' && rulesSave === 'saved' ? (
          <Txt as="small" live>{`Our ${kept} way is kept; it is followed wherever it applies.`}</Txt>
        ) : null}
        {kept !== '' && rulesSave === 'failed' ? (
          <>
            <Txt as="small" tone="madder" live>{`Our ${kept} way could not be kept.`}</Txt>
            <Press title="Keep it now" onPress={keep} />
          </>
        ) : null}
      </Stack>
    </Disclosure>
  );
}
