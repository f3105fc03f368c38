import { datumName, type Evenness, faceWidthOf, type Grain } from '@zt/core';
import { View } from 'react-native';
import { LengthField } from '../../components/ui/LengthField';
import { Press } from '../../components/ui/Press';
import { SidedLengthField } from '../../components/ui/SidedLengthField';
import { Txt } from '../../components/ui/Txt';
import { useOpenTicket } from '../../hooks/useTicket';

const SIDES = [
  { id: 'atMm', name: 'height' },
  { id: 'leftMm', name: 'middle to your left edge' },
  { id: 'rightMm', name: 'middle to your right edge' },
] as const;

/** A second witness: how far a wale of a knit, or a thread of a weave, wanders off on its way down. */
function GrainFields() {
  const { ticket, units, change } = useOpenTicket();
  const { grain } = ticket.piece;
  const set = (next: Grain | null, gesture?: string) =>
    change({ stage: 'piece', set: { grain: next } }, gesture);
  if (!grain)
    return <Press kind="link" title="Read the grain too" onPress={() => set({ overMm: 300, driftMm: 0 })} />;
  return (
    <View style={{ gap: 6 }}>
      <Txt as="label">The grain, going down</Txt>
      <LengthField
        label="grain followed over"
        mm={grain.overMm}
        units={units}
        onLength={(overMm) => overMm > 0 && set({ ...grain, overMm }, 'grain over')}
        onUnread={() => undefined}
        stepper={false}
      />
      <SidedLengthField
        label="grain wanders by"
        mm={grain.driftMm}
        units={units}
        sides={['to your left', 'to your right']}
        onLength={(driftMm) => set({ ...grain, driftMm }, 'grain drift')}
      />
      <Press kind="link" title="Leave the grain out" onPress={() => set(null)} />
    </View>
  );
}

/** Half widths at one to three heights: do the edges share a middle with the collar or the hem? */
export function EvennessFields() {
  const { ticket, plan, units, change } = useOpenTicket();
  const { view, sketch } = plan.piece;
  const rows = ticket.piece.evenness;
  const set = (evenness: Evenness[], gesture?: string) =>
    change({ stage: 'piece', set: { evenness } }, gesture);
  const put = (i: number, id: keyof Evenness, mm: number) =>
    set(
      rows.map((row, k) => (k === i ? { ...row, [id]: mm } : row)),
      `evenness ${i} ${id}`,
    );
  const half = faceWidthOf(view, sketch) / 2;
  const next: Evenness = { atMm: 150 + rows.length * 250, leftMm: half, rightMm: half };
  return (
    <View style={{ gap: 10 }}>
      <Txt as="small">{`At two heights ${view.datum}, measure from the middle line to either edge. Lay a ruler straight from the middle of ${datumName(view)} first.`}</Txt>
      {rows.map((row, i) => (
        <View key={i} style={{ gap: 6 }}>
          <Txt as="label">{`Height ${i + 1}, ${view.datum}`}</Txt>
          {SIDES.map(({ id, name }) => (
            <LengthField
              key={id}
              label={`${name} ${i + 1}`}
              mm={row[id]}
              units={units}
              onLength={(mm) => (mm > 0 || id === 'atMm') && put(i, id, mm)}
              onUnread={() => undefined}
              stepper={false}
            />
          ))}
        </View>
      ))}
      <GrainFields />
      <View style={{ flexDirection: 'row', gap: 8 }}>
        {rows.length < 3 ? <Press title="Add a height" onPress={() => set([...rows, next])} /> : null}
        {rows.length > 0 ? <Press title="Take the last away" onPress={() => set(rows.slice(0, -1))} /> : null}
      </View>
    </View>
  );
}
