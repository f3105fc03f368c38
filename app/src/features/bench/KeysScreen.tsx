import { useRouter } from 'expo-router';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Screen } from '../../components/ui/Screen';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';

const KEYS: readonly [string, string][] = [
  ['arrows', 'nudge the design 1 mm (Shift: 5 mm), in Place and Hoop'],
  ['[ and ]', 'turn the design 1° (Shift: 15°)'],
  ['1 to 9', 'go to a stage'],
  ['u', 'inches or millimetres'],
  ['Ctrl Z', 'undo (Shift: redo)'],
  ['space', 'next card, at the table'],
  ['/', 'find a ticket'],
  ['n', 'start a piece'],
  ['?', 'this list'],
];

/** What the keyboard does. */
export function KeysScreen() {
  const router = useRouter();
  return (
    <Screen
      title="Keys"
      aside={
        <Press title="Back" onPress={() => (router.canGoBack() ? router.back() : router.replace('/'))} />
      }
    >
      {KEYS.map(([key, does]) => (
        <Row key={key} gap={16}>
          <Stack width={90}>
            <Txt as="strong">{key}</Txt>
          </Stack>
          <Stack grow>
            <Txt>{does}</Txt>
          </Stack>
        </Row>
      ))}
    </Screen>
  );
}
