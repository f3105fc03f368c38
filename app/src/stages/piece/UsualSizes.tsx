import { type Blank, formatLength } from '@zt/core';
import { type UsualBlank, usualBlanks } from '@zt/core/stages/piece/usual';
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
  const takeOwn = ({ readings, fabricId, fabricChanges, colour }: Blank) =>
    change({ stage: 'piece', set: { readings, fabricId, fabricChanges, colour, assumed: [] } });
  // What can wait follows from these in proportion.
  const takeUsual = ({ readings }: UsualBlank) => {
    const first = asked.filter((reading) => !reading.optional && !later.includes(reading));
    const taken = first.map(({ id, typicalMm }): [string, number] => [id, readings[id] ?? typicalMm]);
    change({
      stage: 'piece',
      set: { readings: Object.fromEntries(taken), assumed: taken.map(([id]) => id) },
    });
  };
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
