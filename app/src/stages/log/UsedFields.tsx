import { say } from '@zt/core/base/units/phrase';
import { BOBBINS, NEEDLES, TOPPERS } from '@zt/core/catalogue/materials';
import type { LogInput, Used } from '@zt/core/model/ticket/log';
import { sidesInWords } from '@zt/core/stages/hoop/sides';
import type { Keys } from '@zt/core/stages/mount/keys';
import { SheetFields } from '../../components/SheetFields';
import { Choice } from '../../components/ui/Choice';
import { NumberField } from '../../components/ui/NumberField';
import { Press } from '../../components/ui/Press';
import { SidedLengthField } from '../../components/ui/SidedLengthField';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { usePlan, useShelf, useTicket, useTicketActs, useUnits } from '../../hooks/useTicket';

const METHODS = [
  { id: 'hooped', name: 'hooped' },
  { id: 'floated', name: 'floated' },
  { id: 'partly', name: 'partly' },
] as const;
const named = (choices: Record<string, { name: string }>) =>
  Object.entries(choices).map(([id, { name }]) => ({ id, name }));
/** What of the layers may have been another than planned. */
const PARTS = [
  { id: 'topper', label: 'Topper', choices: named(TOPPERS) },
  { id: 'needle', label: 'Needle', choices: named(NEEDLES) },
  { id: 'bobbin', label: 'Bobbin', choices: named(BOBBINS) },
] as const;

/** What was really used; each starts as planned. */
export function UsedFields() {
  const ticket = useTicket('log');
  const plan = usePlan('hoop', 'layers', 'mount');
  const shelf = useShelf();
  const { change } = useTicketActs();
  const { hoop, layers, mount } = plan;
  if (!hoop || !layers) return null;
  const { used } = ticket.log;
  const sheets = used.sheets ?? layers.sheets;
  const set = (next: Partial<LogInput['used']>) =>
    change({ stage: 'log', set: { used: { ...used, ...next } } });
  return (
    <Stack gap={10}>
      <Choice
        label="Hooped or floated"
        small
        options={METHODS}
        chosen={used.method ?? hoop.method}
        onChoose={(method) => set({ method })}
      />
      <Choice
        label="Hoop"
        small
        options={shelf.hoops.map(({ id, name }) => ({ id, name }))}
        chosen={used.hoopId ?? hoop.laid?.verdict.hoop.id ?? null}
        onChoose={(hoopId) => set({ hoopId })}
      />
      {PARTS.map(({ id, label, choices }) => (
        <Choice
          key={id}
          label={label}
          small
          options={choices}
          chosen={used[id] ?? layers.parts[id].choice.id}
          onChoose={(choice) => set({ [id]: choice })}
        />
      ))}
      {mount ? (
        <KeyedFields keys={mount.keys} keyed={used.keyed} onKeyed={(keyed) => set({ keyed })} />
      ) : null}
      {sheets.map((sheet, i) => (
        <SheetFields
          key={i}
          sheet={sheet}
          number={i + 1}
          onSheet={(next) => set({ sheets: sheets.map((s, k) => (k === i ? next : s)) })}
        />
      ))}
    </Stack>
  );
}

interface KeyedFieldsProps {
  keys: Keys;
  keyed: Used['keyed'];
  onKeyed: (keyed: Used['keyed']) => void;
}

/** What was keyed at the machine, where it was not what was planned. */
function KeyedFields({ keys, keyed, onKeyed }: KeyedFieldsProps) {
  const units = useUnits();
  if (!keyed)
    return (
      <Stack>
        <Txt as="small">{`Keyed as planned: turn ${keys.turnDeg}°, move ${say(sidesInWords(keys.move, 'nothing'), units)}.`}</Txt>
        <Press
          kind="link"
          title="something else was keyed"
          onPress={() => onKeyed({ turnDeg: keys.turnDeg, x: keys.move.x, y: keys.move.y })}
        />
      </Stack>
    );
  return (
    <Stack gap={6}>
      <NumberField
        label="turn that was keyed, °"
        at="log.used.keyed.turnDeg"
        value={keyed.turnDeg}
        onNumber={(turnDeg) => onKeyed({ ...keyed, turnDeg })}
      />
      <SidedLengthField
        label="moved sideways"
        at="log.used.keyed.x"
        mm={keyed.x}
        sides={['left', 'right']}
        onLength={(x) => onKeyed({ ...keyed, x })}
      />
      <SidedLengthField
        label="moved to or from you"
        at="log.used.keyed.y"
        mm={keyed.y}
        sides={['away', 'towards you']}
        onLength={(y) => onKeyed({ ...keyed, y })}
      />
      <Press kind="link" title="keyed as planned" onPress={() => onKeyed(null)} />
    </Stack>
  );
}
