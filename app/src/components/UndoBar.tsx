import { Callout } from './ui/Callout';
import { Press } from './ui/Press';
import { Row } from './ui/Row';
import { Stack } from './ui/Stack';
import { Txt } from './ui/Txt';

interface UndoBarProps {
  /** What was done. */
  text: string;
  onPutBack: () => void;
}

/** Says what was taken away, and puts it back. */
export function UndoBar({ text, onPutBack }: UndoBarProps) {
  return (
    <Callout tone="moss" role="status">
      <Row gap={12} align="middle">
        <Stack grow>
          <Txt>{text}</Txt>
        </Stack>
        <Press title="Put it back" onPress={onPutBack} />
      </Row>
    </Callout>
  );
}
