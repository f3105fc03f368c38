import { formatLength, stepOf } from '@zt/core/base/units/length';
import { mm, say } from '@zt/core/base/units/phrase';
import { faceWidthOf } from '@zt/core/stages/place/planPlace';
import { Choice } from '../../components/ui/Choice';
import { Disclosure } from '../../components/ui/Disclosure';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { SidedLengthField } from '../../components/ui/SidedLengthField';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { usePlan, useTicket, useTicketActs, useUnits } from '../../hooks/useTicket';
import { KeepAs } from '../KeepAs';

/** Keeps where it was dragged as a place of the shop's own; it grows with the size of the piece. */
function KeepPlace() {
  const ticket = useTicket('place');
  const plan = usePlan('place', 'piece');
  const { place, piece } = plan;
  if (!place || !piece.geometry || place.placement.moved) return null;
  const atWidthMm = faceWidthOf(piece.view, piece.geometry);
  const { offset, turnDeg } = ticket.place;
  return (
    <Disclosure title="Keep it as our place" label="Keep it as our place">
      <KeepAs
        label="Name of our place"
        placeholder="e.g. our club chest"
        noun="placements"
        itemOf={(id, name) => ({
          id,
          name,
          base: place.placement.id,
          offset,
          turnDeg,
          atWidthMm,
          school: place.school,
        })}
      />
      <Txt as="small" tone="graphite">
        On a wider piece it moves in proportion. It is offered among the placements.
      </Txt>
    </Disclosure>
  );
}

const NUDGES = [
  { title: '←', label: 'Nudge left', x: -1, y: 0 },
  { title: '↑', label: 'Nudge up', x: 0, y: -1 },
  { title: '↓', label: 'Nudge down', x: 0, y: 1 },
  { title: '→', label: 'Nudge right', x: 1, y: 0 },
] as const;

/** Moves by the smallest mark, typed lengths, and whether a drag comes to rest on the tape's marks. */
function MoveFields() {
  const ticket = useTicket('place');
  const units = useUnits();
  const { change } = useTicketActs();
  const { offset, snaps } = ticket.place;
  const by = stepOf(units);
  const put = (next: Partial<typeof offset>, gesture?: string) =>
    change({ stage: 'place', set: { offset: { ...offset, ...next } } }, gesture);
  return (
    <Disclosure title="Move it by a tape’s mark" label="Move it by typed lengths">
      <Stack gap={8}>
        <Row align="middle" wrap>
          {NUDGES.map(({ title, label, x, y }) => (
            <Press
              key={label}
              title={title}
              label={`${label} ${formatLength(by, units)}`}
              onPress={() => put({ x: offset.x + x * by, y: offset.y + y * by }, 'nudged')}
            />
          ))}
          <Txt as="small">{`by ${formatLength(by, units)}`}</Txt>
        </Row>
        <SidedLengthField
          label="off the rule, across"
          at="place.offset.x"
          mm={offset.x}
          sides={['to your left', 'to your right']}
          onLength={(x) => put({ x })}
        />
        <SidedLengthField
          label="off the rule, up or down"
          at="place.offset.y"
          mm={offset.y}
          sides={['higher', 'lower']}
          onLength={(y) => put({ y })}
        />
        <Choice
          label="Dragged on the sheet, it comes to rest"
          small
          options={[
            { id: 'snap', name: 'on the rule and whole marks' },
            { id: 'free', name: 'where I let go' },
          ]}
          chosen={snaps ? 'snap' : 'free'}
          onChoose={(id) => change({ stage: 'place', set: { snaps: id === 'snap' } })}
        />
      </Stack>
    </Disclosure>
  );
}

/** Finer ways to move it, and to keep where it was moved. */
export function OffsetFields() {
  const { offset, turnDeg } = useTicket('place').place;
  const moved = offset.x !== 0 || offset.y !== 0 || turnDeg !== 0;
  return (
    <>
      <MoveFields />
      {moved ? <KeepPlace /> : null}
    </>
  );
}

/** How far the design lies from its rule, and the way back. */
export function OffsetLine() {
  const ticket = useTicket('place');
  const units = useUnits();
  const { change } = useTicketActs();
  const { offset, turnDeg } = ticket.place;
  const parts = [
    offset.x === 0
      ? null
      : `${say([mm(Math.abs(offset.x))], units)} to your ${offset.x > 0 ? 'right' : 'left'}`,
    offset.y === 0 ? null : `${say([mm(Math.abs(offset.y))], units)} ${offset.y > 0 ? 'lower' : 'higher'}`,
    turnDeg === 0 ? null : `turned ${turnDeg}°`,
  ].filter(Boolean);
  if (parts.length === 0)
    return (
      <Txt as="small" tone="graphite">
        On the rule. Drag it on the sheet to move it.
      </Txt>
    );
  return (
    <Row gap={10} align="middle" wrap>
      <Txt as="strong" testID="offset">{`Off the rule: ${parts.join(', ')}`}</Txt>
      <Press
        kind="link"
        title="back to the rule"
        onPress={() => change({ stage: 'place', set: { offset: { x: 0, y: 0 }, turnDeg: 0 } })}
      />
    </Row>
  );
}
