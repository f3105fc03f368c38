import type { Size } from '@zt/core/model/ticket/piece';
import { View } from 'react-native';
import { Disclosure } from '../../components/ui/Disclosure';
import { LengthField } from '../../components/ui/LengthField';
import { NumberField } from '../../components/ui/NumberField';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { WordsField } from '../../components/ui/WordsField';
import { usePlan, useShelf, useTicket, useTicketActs } from '../../hooks/useTicket';

/** The sizes of the order: from blanks on the shelf, or by their width alone, the rest in proportion. */
export function SizeFields() {
  const ticket = useTicket('piece');
  const plan = usePlan('piece');
  const shelf = useShelf();
  const { change } = useTicketActs();
  const { sizes, kind } = ticket.piece;
  const { asked } = plan.piece;
  const width = asked[0];
  const set = (next: Size[]) => change({ stage: 'piece', set: { sizes: next } });
  const put = (i: number, size: Size) => set(sizes.map((old, k) => (k === i ? size : old)));
  const blanks = shelf.blanks.filter((b) => b.kind === kind && !sizes.some((s) => s.name === b.name));
  const own = width ? (ticket.piece.readings[width.id] ?? width.typicalMm) : 0;
  const add = () =>
    set([
      ...sizes,
      { name: `size ${sizes.length + 1}`, count: 1, readings: width ? { [width.id]: own } : {} },
    ]);
  return (
    <Stack gap={10}>
      {blanks.length > 0 ? (
        <Row wrap>
          {blanks.map((b) => (
            <Press
              key={b.id}
              title={`+ ${b.name}`}
              label={`Add ${b.name}`}
              onPress={() => set([...sizes, { name: b.name, count: 1, readings: b.readings }])}
            />
          ))}
          {blanks.length > 1 ? (
            <Press
              title={`+ all ${blanks.length}`}
              label="Add all blanks"
              onPress={() =>
                set([...sizes, ...blanks.map((b) => ({ name: b.name, count: 1, readings: b.readings }))])
              }
            />
          ) : null}
        </Row>
      ) : null}
      {sizes.map((size, i) => (
        <Stack key={i} gap={4}>
          <Row>
            <WordsField
              grow
              label={`Size ${i + 1}`}
              at={`piece.sizes.${i}.name`}
              value={size.name}
              onText={(name) => put(i, { ...size, name })}
            />
            {width ? (
              <Stack grow>
                <LengthField
                  label={`${width.name}, size ${i + 1}`}
                  at={`piece.sizes.${i}.readings.${width.id}`}
                  mm={size.readings[width.id] ?? null}
                  onLength={(mm) => put(i, { ...size, readings: { ...size.readings, [width.id]: mm } })}
                  stepper={false}
                />
              </Stack>
            ) : null}
          </Row>
          <NumberField
            label={`How many, size ${i + 1}`}
            at={`piece.sizes.${i}.count`}
            value={size.count}
            onNumber={(count) => put(i, { ...size, count })}
          />
          <Disclosure title="Its other readings" label={`Other readings of ${size.name}`}>
            {asked.slice(1).map((reading) => (
              <View key={reading.id}>
                <LengthField
                  label={`${reading.name}, size ${i + 1}`}
                  at={`piece.sizes.${i}.readings.${reading.id}`}
                  mm={size.readings[reading.id] ?? null}
                  hint={size.readings[reading.id] === undefined ? 'in proportion to the width' : reading.how}
                  onLength={(mm) => put(i, { ...size, readings: { ...size.readings, [reading.id]: mm } })}
                  stepper={false}
                />
              </View>
            ))}
            <Press
              kind="link"
              title={`Take ${size.name} out of the run`}
              onPress={() => set(sizes.filter((_, k) => k !== i))}
            />
          </Disclosure>
        </Stack>
      ))}
      <Row gap={0}>
        <Press title="Add a size" onPress={add} />
      </Row>
      <Txt as="small" tone="graphite">
        A size needs its width only; what is not measured follows this piece in proportion.
      </Txt>
    </Stack>
  );
}
