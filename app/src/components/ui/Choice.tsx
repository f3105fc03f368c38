import { Chip } from './Chip';
import { Row } from './Row';
import { Stack } from './Stack';
import { Txt } from './Txt';

interface ChoiceProps<T extends string> {
  label: string;
  options: readonly { id: T; name: string; detail?: string }[];
  chosen: T | null;
  onChoose: (id: T) => void;
  /** Hide the label where the place already says it. */
  quiet?: boolean;
  small?: boolean;
}

/** One of a few, all in sight. */
export function Choice<T extends string>({
  label,
  options,
  chosen,
  onChoose,
  quiet = false,
  small = false,
}: ChoiceProps<T>) {
  const tabbed = options.find(({ id }) => id === chosen) ?? options[0];
  return (
    <Stack gap={6}>
      {quiet ? null : (
        <Txt as="label" tone="graphite">
          {label}
        </Txt>
      )}
      <Row gap={6} wrap role="radiogroup" aria-label={label}>
        {options.map(({ id, name, detail }) => (
          <Chip
            key={id}
            role="radio"
            name={name}
            detail={detail}
            on={id === chosen}
            small={small}
            tabbed={id === tabbed?.id}
            onPress={() => onChoose(id)}
          />
        ))}
      </Row>
    </Stack>
  );
}
