import type { DisplayUnits, HouseRules, Machine } from '@zt/core';
import { View } from 'react-native';
import { Choice } from '../../components/ui/Choice';
import { LengthField } from '../../components/ui/LengthField';
import { NumberField } from '../../components/ui/NumberField';
import { TextField } from '../../components/ui/TextField';
import { Tick } from '../../components/ui/Tick';
import { FittedNeedles } from './FittedNeedles';

const BODY = [
  { id: 'right', name: 'on the right' },
  { id: 'back', name: 'at the back' },
] as const;
const TURN_STEPS = [
  { id: '1', name: 'by 1°' },
  { id: '10', name: 'by 10°' },
  { id: '90', name: 'by 90° only' },
] as const;
const NUMBERS = [
  { id: 'needles', label: 'needles', least: 1, most: 20, whole: true },
  { id: 'stitchesPerMinute', label: 'stitches a minute', least: 50, most: 2000, whole: true },
  { id: 'bobbinMetres', label: 'a full bobbin, m', least: 5, most: 500, whole: false },
] as const;

interface MachineFormProps {
  machine: Machine;
  units: DisplayUnits;
  rules: HouseRules;
  onMachine: (machine: Machine) => void;
}

export function MachineForm({ machine, units, rules, onMachine }: MachineFormProps) {
  return (
    <View style={{ gap: 10 }}>
      <TextField
        label="Name"
        value={machine.name}
        onText={(name) => name.trim() !== '' && onMachine({ ...machine, name })}
      />
      {NUMBERS.map(({ id, label, least, most, whole }) => (
        <NumberField
          key={id}
          label={label}
          value={machine[id]}
          least={least}
          most={most}
          whole={whole}
          onNumber={(value) => value !== null && onMachine({ ...machine, [id]: value })}
        />
      ))}
      <FittedNeedles machine={machine} rules={rules} onMachine={onMachine} />
      <LengthField
        label="throat: needle to body"
        mm={machine.throatMm}
        units={units}
        onLength={(mm) => mm >= 50 && onMachine({ ...machine, throatMm: mm })}
        onUnread={() => undefined}
      />
      <Choice
        label="Its body stands"
        small
        options={BODY}
        chosen={machine.bodySide}
        onChoose={(bodySide) => onMachine({ ...machine, bodySide })}
      />
      <Choice
        label="It turns a design"
        small
        options={TURN_STEPS}
        chosen={String(machine.turnStepDeg) as '1' | '10' | '90'}
        onChoose={(id) => onMachine({ ...machine, turnStepDeg: Number(id) as 1 | 10 | 90 })}
      />
      <NumberField
        label="its screen shrinks to, %"
        value={machine.resize.leastPercent}
        least={10}
        most={100}
        onNumber={(leastPercent) =>
          leastPercent !== null && onMachine({ ...machine, resize: { ...machine.resize, leastPercent } })
        }
      />
      <NumberField
        label="its screen enlarges to, %"
        value={machine.resize.mostPercent}
        least={100}
        most={400}
        onNumber={(mostPercent) =>
          mostPercent !== null && onMachine({ ...machine, resize: { ...machine.resize, mostPercent } })
        }
      />
      <Tick
        title="Its screen mirrors a design"
        on={machine.mirrors}
        onToggle={(mirrors) => onMachine({ ...machine, mirrors })}
      />
      <Tick
        title="It tells which hoop is on it"
        on={machine.knowsHoops}
        onToggle={(knowsHoops) => onMachine({ ...machine, knowsHoops })}
      />
      <Tick
        title="It trims jump threads"
        on={machine.trims}
        onToggle={(trims) => onMachine({ ...machine, trims })}
      />
    </View>
  );
}
