import { type Machine, SUPPLY_TYPES, type Supply } from '@zt/core/model/shelf';
import { SUPPLIES } from '@zt/core/stock/supplies';
import { hundredth } from '../../components/figures';
import { Choice } from '../../components/ui/Choice';
import { NumberField } from '../../components/ui/NumberField';
import { Stack } from '../../components/ui/Stack';
import { WordsField } from '../../components/ui/WordsField';
import { PaidFields } from './PaidFields';

const TYPES = SUPPLY_TYPES.map((id) => ({ id, name: SUPPLIES[id].name }));
/** So many of it are usually bought at once, by what it is counted in. */
const USUALLY_BOUGHT = { needles: 5, bobbins: 100, cans: 1, m: 20 } as const;
const EVERY = 'every machine';

interface SupplyFormProps {
  supply: Supply;
  machines: readonly Machine[];
  onSupply: (supply: Supply) => void;
}

/** What is counted as it is used up: what it is, how much is left, and for which machine. */
export function SupplyForm({ supply, machines, onSupply }: SupplyFormProps) {
  const { name, unit } = SUPPLIES[supply.type];
  const unnamed = supply.name === name;
  return (
    <Stack gap={10}>
      <WordsField
        label="Name"
        at="name"
        value={supply.name}
        onText={(text) => onSupply({ ...supply, name: text })}
      />
      <Choice
        label="What it is"
        small
        options={TYPES}
        chosen={supply.type}
        onChoose={(type) => onSupply({ ...supply, type, name: unnamed ? SUPPLIES[type].name : supply.name })}
      />
      <NumberField
        label={`${unit === 'm' ? 'metres' : unit} left`}
        at="left"
        value={hundredth(supply.left)}
        onNumber={(left) => onSupply({ ...supply, left })}
      />
      <Choice
        label="For"
        small
        options={[{ id: EVERY, name: EVERY }, ...machines.map(({ id, name: its }) => ({ id, name: its }))]}
        chosen={supply.machineId ?? EVERY}
        onChoose={(id) => onSupply({ ...supply, machineId: id === EVERY ? null : id })}
      />
      <PaidFields
        item={supply}
        per={{ unit: unit === 'm' ? 'metres' : unit, usual: USUALLY_BOUGHT[unit] }}
        onItem={onSupply}
      />
    </Stack>
  );
}
