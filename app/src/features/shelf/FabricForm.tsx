import type { Shelf } from '@zt/core/model/shelf';
import { STRUCTURES } from '@zt/core/model/ticket/piece';
import { Choice } from '../../components/ui/Choice';
import { Stack } from '../../components/ui/Stack';
import { WordsField } from '../../components/ui/WordsField';
import { FabricFields } from '../../stages/piece/FabricFields';

type OwnFabric = Shelf['fabrics'][number];
const SURFACES = (['smooth', 'textured'] as const).map((id) => ({ id, name: id }));

export function FabricForm({
  fabric,
  onFabric,
}: {
  fabric: OwnFabric;
  onFabric: (fabric: OwnFabric) => void;
}) {
  return (
    <Stack gap={10}>
      <WordsField
        label="Name"
        at="name"
        value={fabric.name}
        onText={(name) => onFabric({ ...fabric, name })}
      />
      <Choice
        label="Structure"
        small
        options={STRUCTURES.map((id) => ({ id, name: id }))}
        chosen={fabric.structure}
        onChoose={(structure) => onFabric({ ...fabric, structure })}
      />
      <Choice
        label="Surface"
        small
        options={SURFACES}
        chosen={fabric.surface}
        onChoose={(surface) => onFabric({ ...fabric, surface })}
      />
      <FabricFields fabric={fabric} at="" onChange={(changes) => onFabric({ ...fabric, ...changes })} />
    </Stack>
  );
}
