import type { DisplayUnits } from '@zt/core/base/units/length';
import { HOOP_PRESETS, hoopOf } from '@zt/core/catalogue/presets';
import type { Hoop, Machine } from '@zt/core/model/shelf';
import { HOOP_KINDS } from '@zt/core/stages/hoop/kinds/index';
import { whyHoopCannotBe } from '@zt/core/stages/hoop/whyHoopCannotBe';
import { Choice } from '../../components/ui/Choice';
import { LengthField } from '../../components/ui/LengthField';
import { NumberField } from '../../components/ui/NumberField';
import { Stack } from '../../components/ui/Stack';
import { Tick } from '../../components/ui/Tick';
import { Txt } from '../../components/ui/Txt';
import { WordsField } from '../../components/ui/WordsField';
import { RingEditor } from './RingEditor';

interface HoopFormProps {
  hoop: Hoop;
  machines: readonly Machine[];
  units: DisplayUnits;
  onHoop: (hoop: Hoop) => void;
}

const PRESETS = HOOP_PRESETS.map((preset, i) => ({
  id: String(i),
  name: preset.round ? `round ${preset.field[0]}` : `${preset.field[0]} × ${preset.field[1]}`,
}));
const presetOf = (hoop: Hoop): string | null => {
  const at = HOOP_PRESETS.findIndex(
    ({ field, round }) =>
      field[0] === hoop.fieldWidthMm && field[1] === hoop.fieldHeightMm && (round ?? false) === hoop.round,
  );
  return at < 0 ? null : String(at);
};

/** One hoop: a usual size to start from, its ring to tap, and what it takes. */
export function HoopForm({ hoop, machines, units, onHoop }: HoopFormProps) {
  const toggle = (id: string, on: boolean) =>
    onHoop({ ...hoop, machineIds: on ? [...hoop.machineIds, id] : hoop.machineIds.filter((m) => m !== id) });
  const startFrom = (at: string) => {
    const preset = HOOP_PRESETS[Number(at)];
    if (preset) onHoop({ ...hoopOf(preset, hoop.id, hoop.machineIds), bracket: hoop.bracket });
  };
  const { positions } = hoop;
  const wrong = whyHoopCannotBe(hoop);
  return (
    <Stack gap={10}>
      <WordsField label="Name" at="name" value={hoop.name} onText={(name) => onHoop({ ...hoop, name })} />
      <Choice
        label="Start from a usual size, mm"
        small
        options={PRESETS}
        chosen={presetOf(hoop)}
        onChoose={startFrom}
      />
      <RingEditor hoop={hoop} units={units} onHoop={onHoop} />
      {wrong ? (
        <Txt as="strong" tone="madder" live>
          {wrong}
        </Txt>
      ) : null}
      <Choice
        label="Kind"
        small
        options={HOOP_KINDS.map(({ id }) => ({ id, name: id }))}
        chosen={hoop.kind}
        onChoose={(kind) => onHoop({ ...hoop, kind })}
      />
      <Tick title="Round field" on={hoop.round} onToggle={(round) => onHoop({ ...hoop, round })} />
      <Tick
        title="It may lie a quarter turn round on the piece"
        on={hoop.mayTurn}
        onToggle={(mayTurn) => onHoop({ ...hoop, mayTurn })}
      />
      <LengthField
        label="thickest stack it closes on"
        at="closesOnMm"
        mm={hoop.closesOnMm}
        onLength={(mm) => onHoop({ ...hoop, closesOnMm: mm })}
        hint={
          hoop.closesOnMm === null ? 'Empty: what its kind usually closes on, by the house rules.' : undefined
        }
        stepper={false}
      />
      <NumberField
        label="places it is latched in, along its height"
        at="positions.count"
        value={positions.count}
        onNumber={(count) =>
          onHoop({
            ...hoop,
            positions: { count, stepMm: positions.stepMm || Math.min(400, hoop.fieldHeightMm / 2) },
          })
        }
      />
      {positions.count > 1 ? (
        <LengthField
          label="from one place to the next"
          at="positions.stepMm"
          mm={positions.stepMm}
          onLength={(stepMm) => onHoop({ ...hoop, positions: { ...positions, stepMm } })}
          hint="The field drawn is that of one place."
        />
      ) : null}
      {machines.map(({ id, name }) => (
        <Tick
          key={id}
          title={`Goes on: ${name}`}
          on={hoop.machineIds.includes(id)}
          onToggle={(on) => toggle(id, on)}
        />
      ))}
    </Stack>
  );
}
