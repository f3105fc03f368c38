import {
  type DisplayUnits,
  HOLDS,
  type LayersInput,
  type LayersPlan,
  type Sheet,
  STABILIZER_IDS,
  STABILIZERS,
  say,
} from '@zt/core';
import { Pressable, View } from 'react-native';
import { Choice } from '../../components/ui/Choice';
import { Disclosure } from '../../components/ui/Disclosure';
import { Press } from '../../components/ui/Press';
import { TextField } from '../../components/ui/TextField';
import { Txt } from '../../components/ui/Txt';
import { usePalette } from '../../theme/palette';

interface SupportEditorProps {
  layers: LayersPlan;
  units: DisplayUnits;
  onSupport: (support: LayersInput['support']) => void;
}

const sheetsText = (sheets: readonly Sheet[]) =>
  sheets.map((s) => STABILIZERS[s.stabilizer].name).join(' + ') || 'Nothing underneath';

/** Overrules the support: another school's stack, or sheet by sheet, and why. */
export function SupportEditor({ layers, units, onSupport }: SupportEditorProps) {
  const p = usePalette();
  const { sheets, supportWhy: why } = layers;
  const put = (next: Sheet[]) => onSupport({ sheets: next, why });
  const sheetAt = (i: number, next: Partial<Sheet>) =>
    put(sheets.map((sheet, k) => (k === i ? { ...sheet, ...next } : sheet)));
  return (
    <Disclosure title="change it" label="change the support">
      {layers.supportAlternatives.map((alternative) => (
        <Pressable
          key={say(alternative.reason, units)}
          role="button"
          aria-label={`${sheetsText(alternative.sheets)}: ${say(alternative.reason, units)}`}
          onPress={() => put(alternative.sheets)}
          style={{
            minHeight: 48,
            borderWidth: 1.5,
            borderColor: p.ink,
            borderRadius: 6,
            paddingHorizontal: 12,
            paddingVertical: 6,
            backgroundColor: p.panel,
          }}
        >
          <Txt as="strong">{sheetsText(alternative.sheets)}</Txt>
          <Txt as="small" tone="graphite">
            {say(alternative.reason, units)}
          </Txt>
        </Pressable>
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
