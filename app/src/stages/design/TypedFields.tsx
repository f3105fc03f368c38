import { nameOfColour } from '@zt/core/base/colour/colour';
import { DENSITY_CLASSES, type Part } from '@zt/core/model/ticket/part';
import { Choice } from '../../components/ui/Choice';
import { LengthField } from '../../components/ui/LengthField';
import { NumberField } from '../../components/ui/NumberField';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { FieldFindings } from '../FieldFindings';
import { useParts } from './useParts';

export const SIDES = [
  { id: 'widthMm', name: 'design width' },
  { id: 'heightMm', name: 'design height' },
] as const;

const NEW_COLOUR = '#E0B33A';

/** A plain size as the machine's screen gives it, with its stitches and how many colours it has. */
export function TypedFields({ part, index }: { part: Part; index: number }) {
  const { set } = useParts();
  const at = (field: string) => `design.parts.${index}.${field}`;
  const put = (change: Partial<Part>) => set(part.id, change);
  const { colours } = part;
  return (
    <Stack gap={10}>
      {SIDES.map(({ id, name }) => (
        <Stack key={id} gap={4}>
          <LengthField label={name} at={at(id)} mm={part[id]} onLength={(mm) => put({ [id]: mm })} />
          <FieldFindings field={`parts.${index}.${id}`} />
        </Stack>
      ))}
      <StitchesField part={part} index={index} />
      <Row>
        <Press
          title="Add a colour"
          onPress={() =>
            put({
              colours: [...colours, { hex: NEW_COLOUR, name: nameOfColour(NEW_COLOUR), stitches: null }],
            })
          }
        />
        {colours.length > 1 ? (
          <Press title="Take the last away" onPress={() => put({ colours: colours.slice(0, -1) })} />
        ) : null}
      </Row>
    </Stack>
  );
}

/** How many stitches a part has, or how dense it is. */
export function StitchesField({ part, index }: { part: Part; index: number }) {
  const { set } = useParts();
  return (
    <Stack gap={4}>
      <NumberField
        label="stitches"
        at={`design.parts.${index}.stitches`}
        value={part.stitches}
        onNumber={(stitches) => set(part.id, { stitches })}
        hint="From the machine's screen. Not known? Say how dense it is."
      />
      <FieldFindings field={`parts.${index}.stitches`} />
      {part.stitches === null ? (
        <Choice
          label="How dense"
          small
          options={DENSITY_CLASSES.map((id) => ({ id, name: id }))}
          chosen={part.densityClass}
          onChoose={(densityClass) => set(part.id, { densityClass })}
        />
      ) : null}
    </Stack>
  );
}
