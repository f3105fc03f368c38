import type { DisplayUnits } from '@zt/core/base/units/length';
import { say } from '@zt/core/base/units/phrase';
import { sheetsInWords } from '@zt/core/catalogue/materials';
import { type LayersInput, MOST_SHEETS, type Sheet } from '@zt/core/model/ticket/layers';
import { FURTHER_SHEET } from '@zt/core/stages/layers/placing';
import type { LayersPlan } from '@zt/core/stages/layers/planLayers';
import { Offer } from '../../components/Offer';
import { SheetFields } from '../../components/SheetFields';
import { Disclosure } from '../../components/ui/Disclosure';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { WordsField } from '../../components/ui/WordsField';

interface SupportEditorProps {
  layers: LayersPlan;
  units: DisplayUnits;
  onSupport: (support: LayersInput['support']) => void;
}

/** Overrules the support: another school's stack, or sheet by sheet, and why. */
export function SupportEditor({ layers, units, onSupport }: SupportEditorProps) {
  const { sheets, supportWhy: why } = layers;
  const put = (next: Sheet[]) => onSupport({ sheets: next, why });
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
        <SheetFields
          key={i}
          sheet={sheet}
          number={i + 1}
          onSheet={(next) => put(sheets.map((other, k) => (k === i ? next : other)))}
        />
      ))}
      <Row wrap>
        {sheets.length < MOST_SHEETS ? (
          <Press title="Add a sheet" onPress={() => put([...sheets, FURTHER_SHEET])} />
        ) : null}
        {sheets.length > 0 ? (
          <Press title="Take the lowest away" onPress={() => put(sheets.slice(0, -1))} />
        ) : null}
      </Row>
      {layers.supportOverruled ? (
        <>
          <WordsField
            at="layers.support.why"
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
