import { say } from '@zt/core/base/units/phrase';
import type { Part } from '@zt/core/model/ticket/part';
import { sizedTo } from '@zt/core/stages/design/parts/drawnPart';
import { drawingToRead } from '@zt/core/stages/design/readAgain';
import { lazy, Suspense } from 'react';
import { Callout } from '../../components/ui/Callout';
import { LengthField } from '../../components/ui/LengthField';
import { Stack } from '../../components/ui/Stack';
import { Tick } from '../../components/ui/Tick';
import { Txt } from '../../components/ui/Txt';
import { useRules, useTicket, useUnits } from '../../hooks/useTicket';
import { useAppSelector } from '../../store/store';
import { CountSo } from './CountSo';
import { SvgChooser } from './SvgChooser';
import { SIDES, StitchesField } from './TypedFields';
import { useParts } from './useParts';

/** Only where something is drawn is it fetched. */
export const DrawnClothFields = lazy(() =>
  import('./ClothFields').then((own) => ({ default: own.ClothFields })),
);

/** What is to be said of a drawing beyond what was read from it. */
export function DrawnFields({ part, index }: { part: Part; index: number }) {
  return (
    <Stack gap={10}>
      <SvgChooser part={part} />
      <NotReadAgain part={part} />
      <SidesAsDrawn part={part} index={index} />
      <StitchesField part={part} index={index} />
      <CountSo part={part} />
      <Suspense fallback={null}>
        <DrawnClothFields part={part} index={index} />
      </Suspense>
    </Stack>
  );
}

/** Why a drawing could not be read at the size that it lies at. */
function NotReadAgain({ part }: { part: Part }) {
  const { piece } = useTicket('piece');
  const why = useAppSelector((state) => state.editor.unset[part.id]);
  const rules = useRules();
  const units = useUnits();
  const asked = drawingToRead(part, { cloth: piece.colour, rules });
  if (!why || why.of !== asked?.key) return null;
  return (
    <Callout tone="madder" role="status">
      <Txt as="small">{say(why.message, units)}</Txt>
    </Callout>
  );
}

/** How large a drawing is; another width or height scales all of it, and its stitches are worked out anew. */
function SidesAsDrawn({ part, index }: { part: Part; index: number }) {
  const { set } = useParts();
  const scale = part.scalePercent / 100;
  return SIDES.map(({ id, name }) => {
    const asRead = part[id] ?? 0;
    return (
      <LengthField
        key={id}
        label={name}
        at={`design.parts.${index}.${id}`}
        mm={asRead * scale}
        onLength={(mm) => set(part.id, sizedTo(part, id, mm))}
      />
    );
  });
}

/** Letters that somebody else drew: whether there are any, and how high the smallest are. */
export function OthersLetters({ part, index }: { part: Part; index: number }) {
  const { set } = useParts();
  return (
    <Stack gap={4}>
      <Tick
        title="It has lettering"
        on={part.lettering}
        onToggle={(lettering) => set(part.id, { lettering })}
      />
      {part.lettering ? (
        <LengthField
          label="height of the smallest letters"
          at={`design.parts.${index}.letterHeightMm`}
          mm={part.letterHeightMm}
          onLength={(letterHeightMm) => set(part.id, { letterHeightMm })}
          stepper={false}
        />
      ) : null}
    </Stack>
  );
}
