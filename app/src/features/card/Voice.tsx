import { View as NativeView } from 'react-native';
import { Row } from '../../components/ui/Row';
import { Txt } from '../../components/ui/Txt';
import { CardPress } from './CardPress';
import { NIGHT, YELLOW } from './dark';
import { type Aloud, PACES } from './useAloud';

/** The voice: on or off, how fast, once more; and why it is silent. */
export function Voice({ aloud }: { aloud: Aloud }) {
  return (
    <NativeView style={{ backgroundColor: NIGHT, paddingHorizontal: 16, gap: 6 }}>
      {aloud.why ? (
        <Txt style={{ color: YELLOW }} live>
          {aloud.why}
        </Txt>
      ) : null}
      {aloud.on ? (
        <Row gap={6} wrap align="middle">
          {PACES.map(({ id, name }) => (
            <CardPress
              key={id}
              title={name}
              label={`Read at a ${name} pace`}
              pressed={aloud.pace === id}
              onPress={() => aloud.setPace(id)}
            />
          ))}
          <CardPress title="again" label="Read it again" onPress={aloud.again} />
        </Row>
      ) : null}
    </NativeView>
  );
}
