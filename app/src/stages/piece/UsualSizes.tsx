import { formatLength } from '@zt/core/base/units/length';
import type { Blank } from '@zt/core/model/shelf';
import { blankTaken, type UsualBlank, usualBlanks, usualTaken } from '@zt/core/stages/piece/usual';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { usePlan, useShelf, useTicket, useTicketActs, useUnits } from '../../hooks/useTicket';

/** While nothing is read: a blank that this shop measured before, or a size as it is usually bought. One tap. */
export function UsualSizes() {
  const { piece } = useTicket('piece');
  const { kind, asked, later } = usePlan('piece').piece;
  const shelf = useShelf();
  const units = useUnits();
  const { change } = useTicketActs();
  if (asked.some(({ id }) => piece.readings[id] !== undefined)) return null;
  const first = kind.readings[0];
  const at = (readings: Readonly<Record<string, number>>) =>
    first && readings[first.id] !== undefined ? `, ${formatLength(readings[first.id] ?? 0, units)}` : '';
  const takeOwn = (blank: Blank) => change({ stage: 'piece', set: blankTaken(blank) });
  const takeUsual = (usual: UsualBlank) =>
    change({ stage: 'piece', set: usualTaken(usual, { asked, later }) });
  return (
    <Stack gap={6}>
      <Txt as="label" tone="graphite" style={{ marginTop: 10 }}>
        Or a usual size, read on this piece before you mark
      </Txt>
      <Row wrap gap={6}>
        {shelf.blanks
          .filter((blank) => blank.kind === piece.kind)
          .map((blank) => (
            <Press
              key={blank.id}
              title={`${blank.name}${at(blank.readings)}`}
              onPress={() => takeOwn(blank)}
            />
          ))}
        {usualBlanks(kind).map((usual) => (
          <Press
            key={usual.name}
            title={`${usual.name}${at(usual.readings)}`}
            onPress={() => takeUsual(usual)}
          />
        ))}
      </Row>
    </Stack>
  );
}
