import { Press } from '../components/ui/Press';
import { Stack } from '../components/ui/Stack';
import { Txt } from '../components/ui/Txt';
import { type Decoded, tellingLine } from '../services/decoded';

/** Which encoding a file is in, told by a line of it in each. */
export function WhichReads({
  texts,
  onText,
}: {
  texts: readonly Decoded[];
  onText: (text: Decoded) => void;
}) {
  return (
    <Stack gap={6} role="group" aria-label="Which of these reads right?">
      <Txt as="strong">Which of these reads right?</Txt>
      {texts.map((text) => (
        <Press
          key={text.name}
          title={tellingLine(text.text).slice(0, 60)}
          label={`${tellingLine(text.text).slice(0, 60)}: ${text.name}`}
          onPress={() => onText(text)}
        />
      ))}
    </Stack>
  );
}
