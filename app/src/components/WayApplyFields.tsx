import { DENSITY_CLASSES } from '@zt/core/model/ticket/part';
import { CLOTH_TRAITS, USE_TRAITS, type WayApplies } from '@zt/core/model/way';
import { Choice } from './ui/Choice';
import { Some } from './ui/Some';
import { Stack } from './ui/Stack';

const METHODS = [
  { id: 'either', name: 'either' },
  { id: 'hooped', name: 'hooped' },
  { id: 'floated', name: 'floated' },
] as const;

/** Where a way of the shop's own applies: nothing chosen is anything. */
export function WayApplyFields({
  applies,
  onApplies,
}: {
  applies: WayApplies;
  onApplies: (applies: WayApplies) => void;
}) {
  const set = (next: Partial<WayApplies>) => onApplies({ ...applies, ...next });
  return (
    <Stack gap={8}>
      <Some
        label="On which cloth"
        options={CLOTH_TRAITS}
        chosen={applies.cloths}
        onChoose={(cloths) => set({ cloths })}
      />
      <Some label="For what" options={USE_TRAITS} chosen={applies.uses} onChoose={(uses) => set({ uses })} />
      <Some
        label="Under which designs"
        options={DENSITY_CLASSES}
        chosen={applies.densities}
        onChoose={(densities) => set({ densities })}
      />
      <Choice
        label="Hooped or floated"
        small
        options={METHODS}
        chosen={applies.method ?? 'either'}
        onChoose={(method) => set({ method: method === 'either' ? null : method })}
      />
      <Choice
        label="Only for letters of one colour"
        small
        options={[
          { id: 'no', name: 'no' },
          { id: 'yes', name: 'yes' },
        ]}
        chosen={applies.plainLettering ? 'yes' : 'no'}
        onChoose={(id) => set({ plainLettering: id === 'yes' })}
      />
    </Stack>
  );
}
