import { sheetsInWords } from '@zt/core/catalogue/materials';
import { CHOICE_PARTS, type ChoicePart, type LayersInput, withChoice } from '@zt/core/model/ticket/layers';
import { lazy, Suspense } from 'react';
import { Disclosures } from '../../components/ui/Disclosures';
import { Ruled } from '../../components/ui/Ruled';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { Why } from '../../components/Why';
import { usePlan, useTicket, useTicketActs, useUnits } from '../../hooks/useTicket';
import { LatePastPieces } from '../LatePastPieces';
import { CutList } from './CutList';
import { PartRow } from './PartRow';
import { RiskStrip } from './RiskStrip';
import { SupportEditor } from './SupportEditor';

/** Fetched once Layers are shown: it brings the fields of a way along. */
const KeepWay = lazy(() => import('./KeepWay').then((own) => ({ default: own.KeepWay })));

/** What supports it, what lies on top, which needle and thread; each with its reason, each to be overruled. */
export function LayersPanel() {
  const ticket = useTicket('layers');
  const plan = usePlan('layers');
  const units = useUnits();
  const { change } = useTicketActs();
  const { layers } = plan;
  if (!layers) return null;
  const set = (next: Partial<LayersInput>, gesture?: string) =>
    change({ stage: 'layers', set: next }, gesture);
  const choose = (part: ChoicePart, choice: string | null, why: string) => {
    set({ choices: withChoice(ticket.layers.choices, part, choice, why) }, `layers ${part}`);
  };
  return (
    <Stack gap={12}>
      <Ruled room={8}>
        <Txt
          as="heading"
          level={2}
        >{`Support: ${layers.sheets.length} ${layers.sheets.length === 1 ? 'sheet' : 'sheets'}${layers.supportOverruled ? ', your choice' : ''}`}</Txt>
        <Txt as="strong">{sheetsInWords(layers.sheets)}</Txt>
        {layers.supportOverruled && layers.supportWhy ? (
          <Txt as="small">{`Because: ${layers.supportWhy}`}</Txt>
        ) : null}
        <Disclosures>
          <Why about="this support" reasons={[layers.supportReason]} units={units} />
          <SupportEditor
            layers={layers}
            units={units}
            onSupport={(support) => set({ support }, 'layers support')}
          />
          <Suspense fallback={null}>
            <KeepWay />
          </Suspense>
        </Disclosures>
        <LatePastPieces on="layers" />
      </Ruled>
      {CHOICE_PARTS.map((part) => (
        <PartRow
          key={part}
          chosen={layers.parts[part]}
          units={units}
          onChoose={(choice, why) => choose(part, choice, why)}
        />
      ))}
      <CutList />
      <RiskStrip risks={layers.risks} />
    </Stack>
  );
}
