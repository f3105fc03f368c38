import { nameOfColour } from '@zt/core/base/colour/colour';
import { type Phrase, say } from '@zt/core/base/units/phrase';
import type { Part } from '@zt/core/model/ticket/part';
import type { PartStop } from '@zt/core/model/ticket/partStop';
import { counted, dressed, isOrder, stopMoved } from '@zt/core/stages/design/parts/stopActs';
import type { DesignStop } from '@zt/core/stages/design/parts/stopsOfDesign';
import { useState } from 'react';
import { View } from 'react-native';
import { Disclosure } from '../../components/ui/Disclosure';
import { NumberField } from '../../components/ui/NumberField';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { Swatch } from '../../components/ui/Swatch';
import { Txt } from '../../components/ui/Txt';
import { WordsField } from '../../components/ui/WordsField';
import { usePlan, useTicket, useTicketActs, useUnits } from '../../hooks/useTicket';
import { ColourField } from '../piece/ColourField';

/** A stop of the design as it is shown: what its parts' own stops are called, and its stitches where they are known. */
export interface ShownStop {
  hex: string;
  name: string;
  stitches: number | null;
  of: PartStop[];
}

/** The stops in the order they are stitched; while nothing is planned, as the parts have them. */
export function useStops(): ShownStop[] {
  const { parts } = useTicket('design').design;
  const { order } = usePlan('design').design;
  const asEntered = parts.flatMap(({ id, colours }) =>
    colours.map((colour, stop) => ({ ...colour, of: [{ part: id, stop, step: null }] })),
  );
  if (!order) return asEntered;
  return parts.length === 1 && order.stops.length === asEntered.length
    ? withOwnCounts(order.stops, asEntered)
    : order.stops;
}

/** Of one part the stitches are shown as they were read; a share of the whole is none that anybody counted. */
const withOwnCounts = (stops: readonly DesignStop[], entered: readonly ShownStop[]): ShownStop[] =>
  stops.map((stop) => ({
    ...stop,
    stitches: entered.find(({ of }) => of[0]?.stop === stop.of[0]?.stop)?.stitches ?? null,
  }));

const isOf = (of: readonly PartStop[], { part, stop }: Pick<PartStop, 'part' | 'stop'>): boolean =>
  of.some((one) => one.part === part && one.stop === stop);

interface StopProps {
  index: number;
  stop: ShownStop;
  onParts: (dress: (parts: readonly Part[]) => Part[], gesture?: string) => void;
  onMove: ((by: 1 | -1) => void) | null;
  last: boolean;
}

function Stop({ index, stop, onParts, onMove, last }: StopProps) {
  const { parts } = useTicket('design').design;
  const [first] = stop.of;
  const dress = (change: { hex?: string; name: string }, gesture?: string) =>
    onParts(
      (before) => dressed(before, (one) => (isOf(stop.of, one) ? { hex: stop.hex, ...change } : null)),
      gesture,
    );
  const at = parts.findIndex(({ id }) => id === first?.part);
  return (
    <Row gap={10} align="start">
      <View style={{ marginTop: 2 }}>
        <Swatch hex={stop.hex} width={28} />
      </View>
      <Stack grow>
        <Disclosure
          title={`${index + 1} ${stop.name}${stop.stitches === null ? '' : `, ${stop.stitches} stitches`}`}
          label={`colour ${index + 1} ${stop.name}`}
        >
          <WordsField
            label={`name of colour ${index + 1}`}
            at={`design.parts.${at}.colours.${first?.stop ?? 0}.name`}
            value={parts[at]?.colours[first?.stop ?? 0]?.name ?? stop.name}
            onText={(name) => dress({ name })}
          />
          <ColourField
            label={`Colour ${index + 1}`}
            hex={stop.hex}
            onHex={(hex) => dress({ hex, name: nameOfColour(hex) }, `colour ${index}`)}
          />
          {stop.of.length === 1 && first && first.step === null && at >= 0 ? (
            <NumberField
              label={`stitches of colour ${index + 1}`}
              at={`design.parts.${at}.colours.${first.stop}.stitches`}
              value={parts[at]?.colours[first.stop]?.stitches ?? null}
              onNumber={(stitches) => onParts((before) => counted(before, first, stitches))}
            />
          ) : null}
          {onMove ? (
            <Row wrap>
              {index > 0 ? <Press title="Stitch it sooner" onPress={() => onMove(-1)} /> : null}
              {last ? null : <Press title="Stitch it later" onPress={() => onMove(1)} />}
            </Row>
          ) : null}
        </Disclosure>
      </Stack>
    </Row>
  );
}

/** The colours in the order they are stitched, what that order gains, and how to hold to another. */
export function ColourStops() {
  const { parts, order: pinned } = useTicket('design').design;
  const { order } = usePlan('design').design;
  const { change } = useTicketActs();
  const units = useUnits();
  const stops = useStops();
  const [why, setWhy] = useState<Phrase | null>(null);
  const move = (index: number) => (by: 1 | -1) => {
    if (!order) return;
    const next = stopMoved(parts, order.stops, { index, by });
    if (!isOrder(next)) return setWhy(next);
    setWhy(null);
    change({ stage: 'design', set: { order: next } });
  };
  return (
    <Stack gap={4}>
      <Txt as="label" tone="graphite">{`Colours in the order they are stitched: ${stops.length}`}</Txt>
      {order && order.asDrawn > order.stops.length ? (
        <Txt as="small">
          {`${order.asDrawn} colour stops in the order of the parts are ${order.stops.length} in this one; ${order.bound === order.stops.length ? 'no order has fewer' : `no order has fewer than ${order.bound}`}.`}
        </Txt>
      ) : null}
      {stops.map((stop, i) => (
        <Stop
          key={i}
          index={i}
          stop={stop}
          last={i === stops.length - 1}
          onMove={order && stops.length > 1 ? move(i) : null}
          onParts={(dress, gesture) => change({ stage: 'design', set: { parts: dress(parts) } }, gesture)}
        />
      ))}
      {why ? (
        <Txt as="small" tone="madder" live>
          {say(why, units)}
        </Txt>
      ) : null}
      {pinned ? (
        <Press
          kind="link"
          title="Back to the order of fewest thread changes"
          onPress={() => change({ stage: 'design', set: { order: null } })}
        />
      ) : null}
    </Stack>
  );
}
