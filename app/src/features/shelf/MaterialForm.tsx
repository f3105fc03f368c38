import type { DisplayUnits } from '@zt/core/base/units/length';
import { STABILIZERS, TOPPERS } from '@zt/core/catalogue/materials';
import type { Material } from '@zt/core/model/shelf';
import { hundredth } from '../../components/figures';
import { Choice } from '../../components/ui/Choice';
import { LengthField } from '../../components/ui/LengthField';
import { NumberField } from '../../components/ui/NumberField';
import { Stack } from '../../components/ui/Stack';
import { WordsField } from '../../components/ui/WordsField';
import { LooseEditor } from './LooseEditor';
import { PaidFields } from './PaidFields';

/** What a roll can be, in its words. */
export const MATERIAL_TYPES = [
  ...Object.values(STABILIZERS),
  ...Object.values(TOPPERS).filter((t) => t.id !== 'none'),
  { id: 'soft-cover', name: 'Soft cover sheet' },
].map(({ id, name }) => ({ id: id as string, name }));

interface MaterialFormProps {
  material: Material;
  units: DisplayUnits;
  onMaterial: (material: Material) => void;
}

export function MaterialForm({ material, units, onMaterial }: MaterialFormProps) {
  return (
    <Stack gap={10}>
      <WordsField
        label="Name"
        at="name"
        value={material.name}
        onText={(name) => onMaterial({ ...material, name })}
      />
      <Choice
        label="What it is"
        small
        options={MATERIAL_TYPES}
        chosen={material.type}
        onChoose={(type) => onMaterial({ ...material, type })}
      />
      <LengthField
        label="width of the roll"
        at="widthMm"
        mm={material.widthMm}
        onLength={(mm) => onMaterial({ ...material, widthMm: mm })}
      />
      <NumberField
        label="metres left"
        at="metresLeft"
        value={hundredth(material.metresLeft)}
        onNumber={(metresLeft) => onMaterial({ ...material, metresLeft })}
      />
      <LooseEditor
        loose={material.loose}
        units={units}
        onLoose={(loose) => onMaterial({ ...material, loose })}
      />
      <PaidFields
        item={material}
        per={material.widthMm > 0 ? { unit: 'metres', usual: 10 } : { unit: 'sheets', usual: 50 }}
        onItem={onMaterial}
      />
    </Stack>
  );
}
