import type { Evenness, Grain } from '@zt/core/model/ticket/piece';
import { datumName } from '@zt/core/stages/piece/geometry';
import { faceWidthOf } from '@zt/core/stages/place/planPlace';
import { LengthField } from '../../components/ui/LengthField';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { SidedLengthField } from '../../components/ui/SidedLengthField';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { usePlan, useTicket, useTicketActs } from '../../hooks/useTicket';

const SIDES = [
  { id: 'atMm', name: 'height' },
  { id: 'leftMm', name: 'middle to your left edge' },
  { id: 'rightMm', name: 'middle to your right edge' },
] as const;

/** A second witness: how far a wale of a knit, or a thread of a weave, wanders off on its way down. */
function GrainFields() {
  const ticket = useTicket('piece');
  const { change } = useTicketActs();
  const { grain } = ticket.piece;
  const set = (next: Grain | null) => change({ stage: 'piece', set: { grain: next } });
  if (!grain)
    return <Press kind="link" title="Read the grain too" onPress={() => set({ overMm: 300, driftMm: 0 })} />;
  return (
    <Stack gap={6}>
      <Txt as="label">The grain, going down</Txt>
      <LengthField
        label="grain followed over"
        at="piece.grain.overMm"
        mm={grain.overMm}
        onLength={(overMm) => set({ ...grain, overMm })}
        stepper={false}
      />
      <SidedLengthField
        label="grain wanders by"
        at="piece.grain.driftMm"
        mm={grain.driftMm}
        sides={['to your left', 'to your right']}
        onLength={(driftMm) => set({ ...grain, driftMm })}
      />
      <Press kind="link" title="Leave the grain out" onPress={() => set(null)} />
    </Stack>
  );
}

/** Half widths at one to three heights: do the edges share a middle with the collar or the hem? */
export function EvennessFields() {
  const ticket = useTicket('piece');
  const plan = usePlan('piece');
  const { change } = useTicketActs();
  const { view, sketch } = plan.piece;
  const rows = ticket.piece.evenness;
  const set = (evenness: Evenness[]) => change({ stage: 'piece', set: { evenness } });
  const put = (i: number, id: keyof Evenness, mm: number) =>
    set(rows.map((row, k) => (k === i ? { ...row, [id]: mm } : row)));
  const half = faceWidthOf(view, sketch) / 2;
  const next: Evenness = { atMm: 150 + rows.length * 250, leftMm: half, rightMm: half };
  return (
    <Stack gap={10}>
      <Txt as="small">{`At two heights ${view.datum}, measure from the middle line to either edge. Lay a ruler straight from the middle of ${datumName(view)} first.`}</Txt>
      {rows.map((row, i) => (
        <Stack key={i} gap={6}>
          <Txt as="label">{`Height ${i + 1}, ${view.datum}`}</Txt>
          {SIDES.map(({ id, name }) => (
            <LengthField
              key={id}
              label={`${name} ${i + 1}`}
              at={`piece.evenness.${i}.${id}`}
              mm={row[id]}
              onLength={(mm) => put(i, id, mm)}
              stepper={false}
            />
          ))}
        </Stack>
      ))}
      <GrainFields />
      <Row>
        {rows.length < 3 ? <Press title="Add a height" onPress={() => set([...rows, next])} /> : null}
        {rows.length > 0 ? <Press title="Take the last away" onPress={() => set(rows.slice(0, -1))} /> : null}
      </Row>
    </Stack>
  );
}
