import { type Fabric, fabricOf } from '@zt/core';
import { View } from 'react-native';
import { Choice } from '../../components/ui/Choice';
import { NumberField } from '../../components/ui/NumberField';
import { Tick } from '../../components/ui/Tick';
import { useOpenTicket } from '../../hooks/useTicket';

const NUMBERS = [
  { id: 'weightGsm', label: 'weight, g/m²', least: 1, most: 2000 },
  { id: 'stretchPercent', label: 'stretch, %', least: 0, most: 200 },
  { id: 'thicknessMm', label: 'thickness, mm', least: 0.05, most: 20 },
  { id: 'pileMm', label: 'pile height, mm', least: 0, most: 30 },
] as const;

const FLAGS = [
  { id: 'mayGetWet', label: 'May get wet' },
  { id: 'ringMarks', label: 'A hoop ring marks it' },
  { id: 'seeThrough', label: 'A backing would show through' },
] as const;

const IRONS = [
  { id: 'yes', name: 'takes the iron' },
  { id: 'low', name: 'low heat' },
  { id: 'no', name: 'no iron' },
] as const;

/** What this very cloth is like, where it differs from the library's. */
export function FabricFields() {
  const { ticket, change } = useOpenTicket();
  const fabric = fabricOf(ticket.piece);
  const set = (changes: Partial<Fabric>, gesture?: string) =>
    change(
      { stage: 'piece', set: { fabricChanges: { ...ticket.piece.fabricChanges, ...changes } } },
      gesture,
    );
  return (
    <View style={{ gap: 8 }}>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        {NUMBERS.map(({ id, label, least, most }) => (
          <View key={id} style={{ flexBasis: 130, flexGrow: 1 }}>
            <NumberField
              label={label}
              value={fabric[id]}
              least={least}
              most={most}
              onNumber={(value) => value !== null && set({ [id]: value }, `fabric ${id}`)}
            />
          </View>
        ))}
      </View>
      <Choice label="Iron" small options={IRONS} chosen={fabric.iron} onChoose={(iron) => set({ iron })} />
      {FLAGS.map(({ id, label }) => (
        <Tick key={id} title={label} on={fabric[id]} onToggle={(on) => set({ [id]: on })} />
      ))}
    </View>
  );
}
