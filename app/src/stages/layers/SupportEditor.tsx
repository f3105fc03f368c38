import {
  type DisplayUnits,
  HOLDS,
  type LayersInput,
  type LayersPlan,
  type Sheet,
  STABILIZER_IDS,
  STABILIZERS,
  say,
  sheetsInWords,
} from '@zt/core';
import { View } from 'react-native';
import { Offer } from '../../components/Offer';
import { Choice } from '../../components/ui/Choice';
import { Disclosure } from '../../components/ui/Disclosure';
import { Press } from '../../components/ui/Press';
import { TextField } from '../../components/ui/TextField';
import { usePalette } from '../../theme/palette';

interface SupportEditorProps {
  layers: LayersPlan;
  units: DisplayUnits;
  onSupport: (support: LayersInput['support']) => void;
}

/** Overrules the support: another school's stack, or sheet by sheet, and why. */
export function SupportEditor({ layers, units, onSupport }: SupportEditorProps) {
  const _p = usePalette();
  const { sheets, supportWhy: why } = layers;
  const put = (next: Sheet[]) => onSupport({ sheets: next, why });
  const sheetAt = (i: number, next: Partial<Sheet>) =>
    put(sheets.map((sheet, k) => (k === i ? { ...sheet, ...next } : sheet)));
  return (
    <Disclosure title="change it" label="change the support">
      {layers.supportAlternatives.map(({ sheets: other, reason }) => (
        <Offer
          key={say(reason, units)}
          title={sheetsInWords(other)}
          detail={say(reason, units)}
          onTake={() => put(other)}
        />
      ))}
      {sheets.map((sheet, i) => (
        <View key={i} style={{ gap: 6 }}>
          <Choice
            label={`Sheet ${i + 1}, from the cloth down`}
            small
            options={STABILIZER_IDS.map((id) => ({ id, name: STABILIZERS[id].name }))}
            chosen={sheet.stabilizer}
            onChoose={(stabilizer) => sheetAt(i, { stabilizer })}
          />
          <Choice
            label={`How sheet ${i + 1} is held`}
            small
            options={HOLDS.map((id) => ({ id, name: id }))}
            chosen={sheet.hold}
            onChoose={(hold) => sheetAt(i, { hold })}
          />
        </View>
      ))}
      <View style={{ flexDirection: 'row', gap: 8, flexWrap: 'wrap' }}>
        {sheets.length < 3 ? (
          <Press
            title="Add a sheet"
            onPress={() => put([...sheets, { stabilizer: 'tear-away', hold: 'tape' }])}
          />
        ) : null}
        {sheets.length > 0 ? (
          <Press title="Take the lowest away" onPress={() => put(sheets.slice(0, -1))} />
        ) : null}
      </View>
      {layers.supportOverruled ? (
        <>
          <TextField
            label="Why this support (goes into the log)"
            value={why}
            onText={(text) => onSupport({ sheets, why: text })}
          />
          <Press kind="link" title="Support as proposed" onPress={() => onSupport(null)} />
        </>
      ) : null}
    </Disclosure>
  );
}
