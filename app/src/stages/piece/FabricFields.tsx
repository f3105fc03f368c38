import type { Fabric } from '@zt/core';
import { View } from 'react-native';
import { Choice } from '../../components/ui/Choice';
import { NumberField } from '../../components/ui/NumberField';
import { Tick } from '../../components/ui/Tick';

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

interface FabricFieldsProps {
  fabric: Fabric;
  onChange: (changes: Partial<Fabric>, gesture?: string) => void;
}

/** What a cloth is like, as far as embroidery asks. */
export function FabricFields({ fabric, onChange: set }: FabricFieldsProps) {
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
