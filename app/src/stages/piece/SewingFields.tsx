import { formatLength } from '@zt/core/base/units/length';
import { say } from '@zt/core/base/units/phrase';
import { STRIP_EDGES } from '@zt/core/model/ticket/piece';
import { sewingCuts } from '@zt/core/stages/piece/sewing';
import { Choice } from '../../components/ui/Choice';
import { Disclosure } from '../../components/ui/Disclosure';
import { LengthField } from '../../components/ui/LengthField';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { usePlan, useTicket, useTicketActs, useUnits } from '../../hooks/useTicket';

const EDGES = [{ id: 'none' as const, name: 'no strip' }, ...STRIP_EDGES.map((id) => ({ id, name: id }))];

/** What is sewn on the way: finished lengths and seams in, what to cut out, with the sum. */
export function SewingFields() {
  const ticket = useTicket('piece');
  const plan = usePlan('piece');
  const units = useUnits();
  const { change } = useTicketActs();
  const { sewing, stripEdge } = ticket.piece;
  const cuts = sewingCuts(plan.piece.kind.sews ?? [], ticket.piece, ticket.piece.readings);
  return cuts.map(({ sum, pieces }) => (
    <Disclosure key={sum.id} title={`${sum.name}: what to cut`} label={`${sum.name}: what to cut`}>
      {sum.fields.map((field) => (
        <LengthField
          key={field.id}
          label={`${sum.name}: ${field.name}`}
          at={`piece.sewing.${field.id}`}
          mm={sewing[field.id] ?? field.usualMm}
          onLength={(mm) => change({ stage: 'piece', set: { sewing: { ...sewing, [field.id]: mm } } })}
          stepper={false}
        />
      ))}
      {sum.id === 'strip' ? (
        <Choice
          label="The strip lies on the edge"
          small
          options={EDGES}
          chosen={stripEdge ?? 'none'}
          onChoose={(edge) => change({ stage: 'piece', set: { stripEdge: edge === 'none' ? null : edge } })}
        />
      ) : null}
      {pieces.map((piece) => (
        <Stack key={piece.name} gap={2}>
          <Txt as="strong">
            {piece.widthMm > 0
              ? `Cut the ${piece.name}: ${formatLength(piece.widthMm, units)} × ${formatLength(piece.heightMm, units)}`
              : `${piece.name}: ${formatLength(piece.heightMm, units)}`}
          </Txt>
          {piece.sums.map((line) => (
            <Txt key={say(line, units)} as="small" tone="graphite">
              {say(line, units)}
            </Txt>
          ))}
        </Stack>
      ))}
    </Disclosure>
  ));
}
