import type { HouseRules } from '@zt/core/model/houseRules';
import type { Shelf } from '@zt/core/model/shelf';
import type { Ticket } from '@zt/core/model/ticket';
import { calledName } from '@zt/core/stages/design/names/onTable';
import { grouped, type NameGroup, partedFrom } from '@zt/core/table/names/grouping';
import type { NamePlan, PlannerOf } from '@zt/core/table/names/nameRun';
import { useRouter } from 'expo-router';
import { useMemo } from 'react';
import { Press } from '../../components/ui/Press';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { newId } from '../../hooks/newId';
import { useTicketActs } from '../../hooks/useTicket';
import { ticketQueued } from '../../store/editor';
import { useAppDispatch } from '../../store/store';

/** So many names of a group are written out. */
const MOST_WRITTEN = 4;

function listed(rows: NameGroup['rows']): string {
  const names = rows.map(calledName);
  const more = names.length - MOST_WRITTEN;
  return more > 1 ? `${names.slice(0, MOST_WRITTEN).join(', ')} and ${more} more` : names.join(', ');
}

const ownTicket = ({ rows }: NameGroup): string =>
  rows.length === 1
    ? `A ticket of its own for ${rows.map(calledName).join('')}`
    : `A ticket of their own for these ${rows.length}`;

interface Props {
  ticket: Ticket;
  plans: readonly NamePlan[];
  shelf: Shelf;
  rules: HouseRules;
  plannerOf: PlannerOf;
}

/** What it brings to hoop the names in groups, each in the smallest hoop; nothing where one hoop is best for all. */
export function NameGroups({ ticket, plans, shelf, rules, plannerOf }: Props) {
  const { change } = useTicketActs();
  const dispatch = useAppDispatch();
  const router = useRouter();
  const found = useMemo(
    () => grouped(ticket, plans, { shelf, rules, plannerOf }),
    [ticket, plans, shelf, rules, plannerOf],
  );
  if (!found) return null;
  const { groups, savedMm2, togetherMm2 } = found;
  const percent = Math.round((savedMm2 / togetherMm2) * 100);
  const part = (group: NameGroup) => {
    const parted = partedFrom(ticket, group, newId());
    if (!parted) return;
    dispatch(ticketQueued({ ticket: parted.ticket, base: parted.ticket, rev: 0 }));
    change(parted.change);
    router.push(`/ticket/${parted.ticket.id}/names`);
  };
  return (
    <Stack gap={4} role="group" aria-label="Names in groups">
      <Txt as="strong">{`In ${groups.length} groups they take ${percent} % less stabilizer`}</Txt>
      {groups.map((group, i) => (
        <Stack key={group.hoop.id} gap={2}>
          <Txt>{`${group.hoop.name}: ${listed(group.rows)}`}</Txt>
          {i === 0 ? null : <Press kind="link" title={ownTicket(group)} onPress={() => part(group)} />}
        </Stack>
      ))}
    </Stack>
  );
}
