import { STABILIZERS } from '@zt/core/catalogue/materials';
import { BONDS, FASTENINGS, type Sheet, STABILIZER_IDS, WHERES } from '@zt/core/model/ticket/layers';
import { Choice } from './ui/Choice';
import { Stack } from './ui/Stack';

const STABILIZER_OPTIONS = STABILIZER_IDS.map((id) => ({ id, name: STABILIZERS[id].name }));
const same = <T extends string>(ids: readonly T[]) => ids.map((id) => ({ id, name: id }));

interface SheetFieldsProps {
  sheet: Sheet;
  /** Its place in the stack, from 1 at the cloth. */
  number: number;
  onSheet: (sheet: Sheet) => void;
}

/** One sheet: what it is, where it is, what bonds it, what fastens it. Three answers, each of its own. */
export function SheetFields({ sheet, number, onSheet }: SheetFieldsProps) {
  const set = (next: Partial<Sheet>) => onSheet({ ...sheet, ...next });
  return (
    <Stack gap={6}>
      <Choice
        label={`Sheet ${number}, from the cloth down`}
        small
        options={STABILIZER_OPTIONS}
        chosen={sheet.stabilizer}
        onChoose={(stabilizer) => set({ stabilizer })}
      />
      <Choice
        label={`Where sheet ${number} is`}
        small
        options={same(WHERES)}
        chosen={sheet.where}
        onChoose={(where) => set({ where })}
      />
      <Choice
        label={`What bonds sheet ${number} to the cloth`}
        small
        options={same(BONDS)}
        chosen={sheet.bond}
        onChoose={(bond) => set({ bond })}
      />
      <Choice
        label={`What fastens sheet ${number}`}
        small
        options={same(FASTENINGS)}
        chosen={sheet.fastening}
        onChoose={(fastening) => set({ fastening })}
      />
    </Stack>
  );
}
