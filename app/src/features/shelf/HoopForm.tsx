import { type DisplayUnits, HOOP_KINDS, type Hoop, type Machine, SIDES } from '@zt/core';
import { View } from 'react-native';
import { Choice } from '../../components/ui/Choice';
import { LengthField } from '../../components/ui/LengthField';
import { TextField } from '../../components/ui/TextField';
import { Tick } from '../../components/ui/Tick';

const LENGTHS = [
  { id: 'fieldWidthMm', label: 'stitch field, width' },
  { id: 'fieldHeightMm', label: 'stitch field, height' },
  { id: 'ringWidthMm', label: 'outer ring, width' },
  { id: 'ringHeightMm', label: 'outer ring, height' },
] as const;

interface HoopFormProps {
  hoop: Hoop;
  machines: readonly Machine[];
  units: DisplayUnits;
  onHoop: (hoop: Hoop) => void;
}

export function HoopForm({ hoop, machines, units, onHoop }: HoopFormProps) {
  const toggle = (id: string, on: boolean) =>
    onHoop({ ...hoop, machineIds: on ? [...hoop.machineIds, id] : hoop.machineIds.filter((m) => m !== id) });
  return (
    <View style={{ gap: 10 }}>
      <TextField
        label="Name"
        value={hoop.name}
        onText={(name) => name.trim() !== '' && onHoop({ ...hoop, name })}
      />
      {LENGTHS.map(({ id, label }) => (
        <LengthField
          key={id}
          label={label}
          mm={hoop[id]}
          units={units}
          onLength={(mm) => mm >= 20 && onHoop({ ...hoop, [id]: mm })}
          onUnread={() => undefined}
        />
      ))}
      <Choice
        label="Kind"
        small
        options={HOOP_KINDS.map((id) => ({ id, name: id }))}
        chosen={hoop.kind}
        onChoose={(kind) => onHoop({ ...hoop, kind })}
      />
      <Choice
        label="Bracket"
        small
        options={SIDES.map((id) => ({ id, name: id }))}
        chosen={hoop.bracket}
        onChoose={(bracket) => onHoop({ ...hoop, bracket })}
      />
      <Tick title="Round field" on={hoop.round} onToggle={(round) => onHoop({ ...hoop, round })} />
      {machines.map(({ id, name }) => (
        <Tick
          key={id}
          title={`Goes on: ${name}`}
          on={hoop.machineIds.includes(id)}
          onToggle={(on) => toggle(id, on)}
        />
      ))}
    </View>
  );
}
