import type { Blank } from '@zt/core/model/shelf';
import { blankTaken } from '@zt/core/stages/piece/usual';
import { Offer } from '../../components/Offer';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { usePlan, useShelf, useTicket, useTicketActs } from '../../hooks/useTicket';
import { KeepAs } from '../KeepAs';

/** A bought blank that comes again: take its measurements, or keep this piece's under a name. */
export function BlankFields() {
  const ticket = useTicket('piece');
  const plan = usePlan('piece');
  const shelf = useShelf();
  const { change } = useTicketActs();
  const { kind, fabricId, fabricChanges, colour, readings } = ticket.piece;
  const blanks = shelf.blanks.filter((b) => b.kind === kind);
  const take = (blank: Blank) => change({ stage: 'piece', set: blankTaken(blank) });
  return (
    <Stack gap={10}>
      {blanks.map((blank) => (
        <Offer
          key={blank.id}
          title={`Take ${blank.name}`}
          detail={`its ${Object.keys(blank.readings).length} readings, cloth and colour`}
          onTake={() => take(blank)}
        />
      ))}
      {blanks.length === 0 ? (
        <Txt
          as="small"
          tone="graphite"
        >{`No blank of this kind is kept yet. Name this one, and the next ${plan.piece.kind.name} is measured already.`}</Txt>
      ) : null}
      {/* A blank is measured: what was taken as usual is none. */}
      {plan.piece.geometry && plan.piece.assumed.length === 0 ? (
        <KeepAs
          label="Keep these measurements as"
          placeholder="e.g. our youth M tee"
          noun="blanks"
          itemOf={(id, name) => ({ id, name, kind, fabricId, fabricChanges, colour, readings })}
        />
      ) : null}
    </Stack>
  );
}
