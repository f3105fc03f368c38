import { useRouter } from 'expo-router';
import { useState } from 'react';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Screen } from '../../components/ui/Screen';
import { Stack } from '../../components/ui/Stack';
import { Tick } from '../../components/ui/Tick';
import { Txt } from '../../components/ui/Txt';
import { lettersAct, setLettersAct } from '../../everyone/keys';

type Keys = readonly [string, string][];

const ALWAYS: Keys = [
  ['Tab', 'to the next thing; to the sheet and to the tape too'],
  [
    'arrows',
    'on the sheet, in Place and Hoop: nudge the design 1 mm (Shift: 5 mm); in Design the chosen parts',
  ],
  ['[ and ]', 'there: turn it 1° (Shift: 15°)'],
  ['Delete', 'on the sheet, in Design: take the chosen parts away'],
  ['1 to 9', 'on the sheet or the tape: go to a stage'],
  ['+ − 0', 'on the sheet: nearer, farther, all of it'],
  ['space', 'press what has the ring; at the table: the next step'],
  ['arrows', 'among answers: the next one'],
  ['Page Down, Page Up', 'at the table: the next step, the one before'],
  ['Ctrl Z', 'undo (Shift: redo)'],
];
const LETTERS: Keys = [
  ['u', 'inches or millimetres'],
  ['/', 'find a ticket'],
  ['n', 'start a piece'],
  ['?', 'this list'],
];

const KeyRows = ({ keys }: { keys: Keys }) =>
  keys.map(([key, does]) => (
    <Row key={does} gap={16}>
      <Stack width={90}>
        <Txt as="strong">{key}</Txt>
      </Stack>
      <Stack grow>
        <Txt>{does}</Txt>
      </Stack>
    </Row>
  ));

/** What the keyboard does, and the switch for keys of one letter. */
export function KeysScreen() {
  const router = useRouter();
  const [act, setAct] = useState(lettersAct);
  const turn = (on: boolean) => {
    setLettersAct(on);
    setAct(on);
  };
  return (
    <Screen
      title="Keys"
      aside={
        <Press title="Back" onPress={() => (router.canGoBack() ? router.back() : router.replace('/'))} />
      }
    >
      <KeyRows keys={ALWAYS} />
      <Tick title="Letters do something by themselves on this device" on={act} onToggle={turn} />
      <KeyRows keys={LETTERS} />
    </Screen>
  );
}
