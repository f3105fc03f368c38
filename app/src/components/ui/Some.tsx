import { Chip } from './Chip';
import { Row } from './Row';
import { Stack } from './Stack';
import { Txt } from './Txt';

interface SomeProps<T extends string> {
  label: string;
  options: readonly T[];
  chosen: readonly T[];
  onChoose: (chosen: T[]) => void;
}

/** Any of a few, all in sight; none chosen stands for any. */
export function Some<T extends string>({ label, options, chosen, onChoose }: SomeProps<T>) {
  return (
    <Stack gap={6}>
      <Txt as="label" tone="graphite">
        {chosen.length === 0 ? `${label}: any` : label}
      </Txt>
      <Row gap={6} wrap role="group" aria-label={label}>
        {options.map((id) => {
          const on = chosen.includes(id);
          const next = on ? chosen.filter((other) => other !== id) : [...chosen, id];
          return <Chip key={id} role="checkbox" name={id} on={on} small onPress={() => onChoose(next)} />;
        })}
      </Row>
    </Stack>
  );
}
