import type { Thread } from '@zt/core/model/shelf';
import { hundredth } from '../../components/figures';
import { Choice } from '../../components/ui/Choice';
import { NumberField } from '../../components/ui/NumberField';
import { Stack } from '../../components/ui/Stack';
import { WordsField } from '../../components/ui/WordsField';
import { ColourField } from '../../stages/piece/ColourField';
import { PaidFields } from './PaidFields';

const WEIGHTS = [
  { id: '40', name: '40 wt' },
  { id: '60', name: '60 wt' },
] as const;
const FIBRES = (['polyester', 'rayon', 'cotton', 'metallic'] as const).map((id) => ({ id, name: id }));

export function ThreadForm({ thread, onThread }: { thread: Thread; onThread: (thread: Thread) => void }) {
  return (
    <Stack gap={10}>
      <WordsField
        label="Name"
        at="name"
        value={thread.name}
        onText={(name) => onThread({ ...thread, name })}
      />
      <ColourField label="Colour" hex={thread.hex} onHex={(hex) => onThread({ ...thread, hex })} />
      <Choice
        label="Weight"
        small
        options={WEIGHTS}
        chosen={String(thread.weight) as '40' | '60'}
        onChoose={(id) => onThread({ ...thread, weight: id === '40' ? 40 : 60 })}
      />
      <Choice
        label="Fibre"
        small
        options={FIBRES}
        chosen={thread.fibre}
        onChoose={(fibre) => onThread({ ...thread, fibre })}
      />
      <NumberField
        label="metres left"
        hint={thread.metresLeft === null ? 'Empty: not counted, and never called nearly gone.' : undefined}
        at="metresLeft"
        value={thread.metresLeft === null ? null : hundredth(thread.metresLeft)}
        onNumber={(metresLeft) => onThread({ ...thread, metresLeft })}
      />
      <PaidFields item={thread} per={{ unit: 'metres', usual: 1000 }} onItem={onThread} />
    </Stack>
  );
}
