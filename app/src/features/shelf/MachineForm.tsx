import type { HouseRules } from '@zt/core/model/houseRules';
import type { Machine } from '@zt/core/model/shelf';
import { Choice } from '../../components/ui/Choice';
import { LengthField } from '../../components/ui/LengthField';
import { NumberField } from '../../components/ui/NumberField';
import { Stack } from '../../components/ui/Stack';
import { Tick } from '../../components/ui/Tick';
import { WordsField } from '../../components/ui/WordsField';
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
  { id: 'needles', label: 'needles' },
  { id: 'stitchesPerMinute', label: 'stitches a minute' },
  { id: 'bobbinMetres', label: 'a full bobbin, m' },
] as const;

interface MachineFormProps {
  machine: Machine;
  rules: HouseRules;
  onMachine: (machine: Machine) => void;
}

export function MachineForm({ machine, rules, onMachine }: MachineFormProps) {
  return (
    <Stack gap={10}>
      <WordsField
        label="Name"
        at="name"
        value={machine.name}
        onText={(name) => onMachine({ ...machine, name })}
      />
      {NUMBERS.map(({ id, label }) => (
        <NumberField
          key={id}
          label={label}
          at={id}
          value={machine[id]}
          onNumber={(value) => onMachine({ ...machine, [id]: value })}
        />
      ))}
      <NumberField
        label="left on the bobbin in it, m"
        at="bobbinLeftM"
        value={machine.bobbinLeftM}
        onNumber={(bobbinLeftM) => onMachine({ ...machine, bobbinLeftM })}
        hint="As the last piece left it. Empty: a full one."
      />
      <FittedNeedles machine={machine} rules={rules} onMachine={onMachine} />
      <LengthField
        label="throat: needle to body"
        at="throatMm"
        mm={machine.throatMm}
        onLength={(mm) => onMachine({ ...machine, throatMm: mm })}
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
        at="resize.leastPercent"
        value={machine.resize.leastPercent}
        onNumber={(leastPercent) => onMachine({ ...machine, resize: { ...machine.resize, leastPercent } })}
      />
      <NumberField
        label="its screen enlarges to, %"
        at="resize.mostPercent"
        value={machine.resize.mostPercent}
        onNumber={(mostPercent) => onMachine({ ...machine, resize: { ...machine.resize, mostPercent } })}
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
    </Stack>
  );
}
