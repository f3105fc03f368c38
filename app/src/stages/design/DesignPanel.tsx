import type { DesignInput } from '@zt/core/model/ticket/design';
import { isBlank } from '@zt/core/stages/design/parts/acts';
import { largestIn } from '@zt/core/stages/hoop/largestIn';
import { View } from 'react-native';
import { sides } from '../../components/figures';
import { Choice } from '../../components/ui/Choice';
import { NumberField } from '../../components/ui/NumberField';
import { Stack } from '../../components/ui/Stack';
import { Tick } from '../../components/ui/Tick';
import { Txt } from '../../components/ui/Txt';
import { WordsField } from '../../components/ui/WordsField';
import { Why } from '../../components/Why';
import { usePlan, useTicket, useTicketActs, useUnits } from '../../hooks/useTicket';
import { Arrange } from './Arrange';
import { ColourStops } from './ColourStops';
import { DrawnFields, OthersLetters } from './DrawnFields';
import { LettersFields } from './LettersFields';
import { NamesInHand } from './NamesPress';
import { OwnThreads } from './OwnThreads';
import { PartsList } from './PartsList';
import { ShelfColours } from './ShelfColours';
import { TypedFields } from './TypedFields';
import { useParts } from './useParts';

const LOOKING = [
  { id: 'left', name: 'to the left' },
  { id: 'ahead', name: 'ahead, or none' },
  { id: 'right', name: 'to the right' },
] as const;

/** What is said of the chosen part, by what it is. */
function PartFields() {
  const { parts, only } = useParts();
  const { design } = useTicket('design');
  if (!only) return null;
  const index = parts.indexOf(only);
  // Of names what all of them have: each says its own on a page of its own.
  const { letters } = design.parts[index] ?? only;
  if (letters)
    return <LettersFields key={only.id} part={design.parts[index] ?? only} letters={letters} index={index} />;
  return only.artwork ? (
    <DrawnFields key={only.id} part={only} index={index} />
  ) : (
    <TypedFields key={only.id} part={only} index={index} />
  );
}

/** What it is as a whole, before its colours. */
function Answer() {
  const { design, hoop } = usePlan('design', 'hoop');
  const { facts, reasons } = design;
  const units = useUnits();
  if (!facts) return null;
  const laid = hoop?.laid ?? null;
  const most = largestIn(laid, facts);
  return (
    <View>
      <Txt as="figure">{`${facts.stitches} stitches, ${facts.densityClass}`}</Txt>
      <Txt as="small" tone="graphite">
        {[sides(facts, units), most ? `in ${laid?.verdict.hoop.name} at most ${sides(most, units)}` : '']
          .filter(Boolean)
          .join('; ')}
      </Txt>
      <Why
        about="this density"
        title={`${Math.round(facts.density)} to the cm²: why ${facts.densityClass}?`}
        reasons={reasons}
        units={units}
      />
    </View>
  );
}

/** What goes on the piece: composed of letters, drawings, and sizes typed off the machine's screen. */
export function DesignPanel() {
  const { design } = useTicket('design');
  const { change } = useTicketActs();
  const { parts, only } = useParts();
  const set = (next: Partial<DesignInput>) => change({ stage: 'design', set: next });
  const isBare = parts.every(isBlank);
  return (
    <Stack gap={14}>
      <Txt as="heading" level={2}>
        {design.name || 'What goes on it'}
      </Txt>
      <Answer />
      <NamesInHand />
      <PartsList />
      <PartFields />
      {only && parts.length > 1 ? <OwnThreads key={only.id} part={only} /> : null}
      {isBare ? null : <Arrange />}
      <ColourStops />
      <ShelfColours />
      <WordsField
        label="Name of the design"
        at="design.name"
        value={design.name}
        onText={(name) => set({ name })}
      />
      {only && !only.letters ? <OthersLetters part={only} index={parts.indexOf(only)} /> : null}
      <Tick title="It has an upright direction" on={design.hasUp} onToggle={(hasUp) => set({ hasUp })} />
      <Choice
        label="A figure in it looks"
        small
        options={LOOKING}
        chosen={design.looks ?? 'ahead'}
        onChoose={(looks) => set({ looks: looks === 'ahead' ? null : looks })}
      />
      <NumberField
        label="resized on the machine, %"
        at="design.scalePercent"
        value={design.scalePercent}
        onNumber={(scalePercent) => set({ scalePercent })}
        hint="100 is as it was made. The machine keeps the stitches."
      />
    </Stack>
  );
}
