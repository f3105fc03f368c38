import { type Machine, SUPPLIES, SUPPLY_TYPES, type Supply } from '@zt/core';
import { View } from 'react-native';
import { Choice } from '../../components/ui/Choice';
import { NumberField } from '../../components/ui/NumberField';
import { TextField } from '../../components/ui/TextField';

const TYPES = SUPPLY_TYPES.map((id) => ({ id, name: SUPPLIES[id].name }));
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
    <View style={{ gap: 10 }}>
      <TextField
        label="Name"
        value={supply.name}
        onText={(text) => text.trim() !== '' && onSupply({ ...supply, name: text })}
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
        value={supply.left}
        most={10_000}
        onNumber={(left) => left !== null && onSupply({ ...supply, left })}
      />
      <Choice
        label="For"
        small
        options={[{ id: EVERY, name: EVERY }, ...machines.map(({ id, name: its }) => ({ id, name: its }))]}
        chosen={supply.machineId ?? EVERY}
        onChoose={(id) => onSupply({ ...supply, machineId: id === EVERY ? null : id })}
      />
    </View>
  );
}
