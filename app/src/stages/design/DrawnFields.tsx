import type { Part } from '@zt/core';
import { LengthField } from '../../components/ui/LengthField';
import { Stack } from '../../components/ui/Stack';
import { Tick } from '../../components/ui/Tick';
import { SvgChooser } from './SvgChooser';
import { StitchesField } from './TypedFields';
import { useParts } from './useParts';

/** What is to be said of a drawing beyond what was read from it. */
export function DrawnFields({ part, index }: { part: Part; index: number }) {
  return (
    <Stack gap={10}>
      <SvgChooser part={part} />
      <StitchesField part={part} index={index} />
    </Stack>
  );
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
