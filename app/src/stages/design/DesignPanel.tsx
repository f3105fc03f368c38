import { DENSITY_CLASSES, type DesignInput } from '@zt/core';
import { View } from 'react-native';
import { Choice } from '../../components/ui/Choice';
import { LengthField } from '../../components/ui/LengthField';
import { NumberField } from '../../components/ui/NumberField';
import { Stack } from '../../components/ui/Stack';
import { Tick } from '../../components/ui/Tick';
import { Txt } from '../../components/ui/Txt';
import { WordsField } from '../../components/ui/WordsField';
import { Why } from '../../components/Why';
import { usePlan, useTicket, useTicketActs, useUnits } from '../../hooks/useTicket';
import { FieldFindings } from '../FieldFindings';
import { ColourStops } from './ColourStops';
import { ShelfColours } from './ShelfColours';
import { SvgChooser } from './SvgChooser';

const SIDES = [
  { id: 'widthMm', name: 'design width' },
  { id: 'heightMm', name: 'design height' },
] as const;

const LOOKING = [
  { id: 'left', name: 'to the left' },
  { id: 'ahead', name: 'ahead, or none' },
  { id: 'right', name: 'to the right' },
] as const;

/** What goes on the piece: read from a drawing, or typed off the machine's screen. */
export function DesignPanel() {
  const ticket = useTicket('design');
  const plan = usePlan('design');
  const units = useUnits();
  const { change } = useTicketActs();
  const { design } = ticket;
  const set = (next: Partial<DesignInput>) => change({ stage: 'design', set: next });
  const facts = plan.design.facts;
  return (
    <Stack gap={14}>
      <Txt as="heading" level={2}>
        {design.name || 'What goes on it'}
      </Txt>
      {facts ? (
        <View>
          <Txt as="figure">{`${facts.stitches} stitches, ${facts.densityClass}`}</Txt>
          <Why
            about="this density"
            title={`${Math.round(facts.density)} to the cm²: why ${facts.densityClass}?`}
            reasons={plan.design.reasons}
            units={units}
          />
        </View>
      ) : null}
      <SvgChooser />
      <WordsField
        label="Name of the design"
        at="design.name"
        value={design.name}
        onText={(name) => set({ name })}
      />
      {SIDES.map(({ id, name }) => (
        <Stack key={id} gap={4}>
          <LengthField
            label={name}
            at={`design.${id}`}
            mm={design[id]}
            onLength={(mm) => set({ [id]: mm, artwork: null })}
            hint={
              design.artwork
                ? 'From the drawing. Typing a size lets the drawing go; to resize it, use the percentage below.'
                : undefined
            }
          />
          <FieldFindings field={id} />
        </Stack>
      ))}
      <NumberField
        label="stitches"
        at="design.stitches"
        value={design.stitches}
        onNumber={(stitches) => set({ stitches })}
        hint="From the machine's screen. Not known? Say how dense it is."
      />
      <FieldFindings field="stitches" />
      {design.stitches === null ? (
        <Choice
          label="How dense"
          small
          options={DENSITY_CLASSES.map((id) => ({ id, name: id }))}
          chosen={design.densityClass}
          onChoose={(densityClass) => set({ densityClass })}
        />
      ) : null}
      <ColourStops />
      <ShelfColours />
      <Tick title="It has an upright direction" on={design.hasUp} onToggle={(hasUp) => set({ hasUp })} />
      <Choice
        label="A figure in it looks"
        small
        options={LOOKING}
        chosen={design.looks ?? 'ahead'}
        onChoose={(looks) => set({ looks: looks === 'ahead' ? null : looks })}
      />
      <Tick title="It has lettering" on={design.lettering} onToggle={(lettering) => set({ lettering })} />
      {design.lettering ? (
        <LengthField
          label="height of the smallest letters"
          at="design.letterHeightMm"
          mm={design.letterHeightMm}
          onLength={(mm) => set({ letterHeightMm: mm })}
          stepper={false}
        />
      ) : null}
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
