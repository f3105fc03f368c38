import type { Fabric } from '@zt/core/model/ticket/piece';
import { View } from 'react-native';
import { Choice } from '../../components/ui/Choice';
import { NumberField } from '../../components/ui/NumberField';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { Tick } from '../../components/ui/Tick';

const NUMBERS = [
  { id: 'weightGsm', label: 'weight, g/m²' },
  { id: 'stretchPercent', label: 'stretch, %' },
  { id: 'thicknessMm', label: 'thickness, mm' },
  { id: 'pileMm', label: 'pile height, mm' },
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
  /** The path of the cloth in what is saved, with its dot. */
  at: string;
  onChange: (changes: Partial<Fabric>) => void;
}

/** What a cloth is like, as far as embroidery asks. */
export function FabricFields({ fabric, at, onChange: set }: FabricFieldsProps) {
  return (
    <Stack gap={8}>
      <Row wrap>
        {NUMBERS.map(({ id, label }) => (
          <View key={id} style={{ flexBasis: 130, flexGrow: 1 }}>
            <NumberField
              label={label}
              at={`${at}${id}`}
              value={fabric[id]}
              onNumber={(value) => set({ [id]: value })}
            />
          </View>
        ))}
      </Row>
      <Choice label="Iron" small options={IRONS} chosen={fabric.iron} onChoose={(iron) => set({ iron })} />
      {FLAGS.map(({ id, label }) => (
        <Tick key={id} title={label} on={fabric[id]} onToggle={(on) => set({ [id]: on })} />
      ))}
    </Stack>
  );
}
