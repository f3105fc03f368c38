import type { DisplayUnits } from '@zt/core/base/units/length';
import { say } from '@zt/core/base/units/phrase';
import type { Mend } from '@zt/core/model/finding';
import { View } from 'react-native';
import { usePalette } from '../theme/palette';
import { Press } from './ui/Press';
import { Row } from './ui/Row';
import { Txt } from './ui/Txt';

/** A mend that is on the sheet for trial: what it brings and costs, to take or to leave. */
export function Trial({
  mend,
  units,
  onTake,
  onLeave,
}: {
  mend: Mend;
  units: DisplayUnits;
  onTake: () => void;
  onLeave: () => void;
}) {
  const p = usePalette();
  const label = say(mend.label, units);
  return (
    <View
      role="group"
      aria-label={`Tried out: ${label}`}
      style={{
        borderWidth: 2.5,
        borderColor: p.ink,
        borderRadius: 6,
        backgroundColor: p.panel,
        padding: 10,
        gap: 6,
      }}
    >
      <Txt as="strong">{`On the sheet: ${label}`}</Txt>
      <Txt as="small" tone="moss">
        {say(mend.result, units)}
      </Txt>
      {mend.cost ? <Txt as="small">{`Cost: ${say(mend.cost, units)}`}</Txt> : null}
      <Row>
        <Press kind="main" title="Do it" label={`Do it: ${label}`} onPress={onTake} />
        <Press title="Leave it" onPress={onLeave} />
      </Row>
    </View>
  );
}
