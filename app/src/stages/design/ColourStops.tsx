import { type ColourStop, nameOfColour } from '@zt/core';
import { View } from 'react-native';
import { Disclosure } from '../../components/ui/Disclosure';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { WordsField } from '../../components/ui/WordsField';
import { useTicket, useTicketActs } from '../../hooks/useTicket';
import { usePalette } from '../../theme/palette';
import { ColourField } from '../piece/ColourField';

/** The colours in the order they are stitched. */
export function ColourStops() {
  const ticket = useTicket('design');
  const { change } = useTicketActs();
  const p = usePalette();
  const stops = ticket.design.colours;
  const set = (colours: ColourStop[], gesture?: string) =>
    change({ stage: 'design', set: { colours } }, gesture);
  const put = (i: number, next: Partial<ColourStop>, gesture?: string) =>
    set(
      stops.map((stop, k) => (k === i ? { ...stop, ...next } : stop)),
      gesture,
    );
  return (
    <Stack gap={4}>
      <Txt as="label" tone="graphite">{`Colours in the order they are stitched: ${stops.length}`}</Txt>
      {stops.map((stop, i) => (
        <Row key={i} gap={10} align="start">
          <View
            style={{
              width: 28,
              height: 28,
              marginTop: 8,
              borderRadius: 4,
              borderWidth: 1.5,
              borderColor: p.ink,
              backgroundColor: stop.hex,
            }}
          />
          <Stack grow>
            <Disclosure
              title={`${i + 1} ${stop.name}${stop.stitches === null ? '' : `, ${stop.stitches} stitches`}`}
              label={`colour ${i + 1} ${stop.name}`}
            >
              <WordsField
                label={`name of colour ${i + 1}`}
                at={`design.colours.${i}.name`}
                value={stop.name}
                onText={(name) => put(i, { name })}
              />
              <ColourField
                label={`Colour ${i + 1}`}
                hex={stop.hex}
                onHex={(hex) => put(i, { hex, name: nameOfColour(hex) }, `colour ${i}`)}
              />
            </Disclosure>
          </Stack>
        </Row>
      ))}
      <Row>
        <Press
          title="Add a colour"
          onPress={() => set([...stops, { hex: '#E0B33A', name: nameOfColour('#E0B33A'), stitches: null }])}
        />
        {stops.length > 1 ? (
          <Press title="Take the last away" onPress={() => set(stops.slice(0, -1))} />
        ) : null}
      </Row>
    </Stack>
  );
}
