import { schoolsOf } from '@zt/core/catalogue/schools';
import type { PlaceInput } from '@zt/core/model/ticket/place';
import { placementsFor } from '@zt/core/stages/place/planPlace';
import { Choice } from '../../components/ui/Choice';
import { Disclosure } from '../../components/ui/Disclosure';
import { usePlan, useShelf, useTicket, useTicketActs } from '../../hooks/useTicket';
import { useWide } from '../../theme/layout';

type ChestSchool = NonNullable<PlaceInput['school']>;
const SCHOOL_NAMES = Object.fromEntries(schoolsOf('chest')) as Record<ChestSchool, string>;

/** Which of the kind's places, the shop's own among them, and by which school. */
export function PlacementChoice() {
  const ticket = useTicket('piece');
  const plan = usePlan('place');
  const shelf = useShelf();
  const { change } = useTicketActs();
  const wide = useWide();
  const { place } = plan;
  const placements = placementsFor(ticket.piece.kind, shelf.placements);
  const bySchool = place?.reasons[0]?.school !== undefined;
  if (!place || (placements.length < 2 && !bySchool)) return null;
  const chosen = place.school;
  const choose = (placement: string) => {
    change({ stage: 'place', set: { placement, offset: { x: 0, y: 0 }, depth: null } });
  };
  return (
    <Disclosure
      title={`${place.placement.name}${bySchool ? `, ${SCHOOL_NAMES[chosen]}` : ''}: change`}
      label="Change the placement"
      startOpen={wide}
    >
      <Choice
        quiet
        label="Placement"
        small
        options={placements.map(({ id, name }) => ({ id, name }))}
        chosen={place.placement.id}
        onChoose={choose}
      />
      {bySchool ? (
        <Choice
          quiet
          label="School"
          small
          options={schoolsOf('chest').map(([id, name]) => ({ id: id as ChestSchool, name }))}
          chosen={chosen}
          onChoose={(school) => change({ stage: 'place', set: { school } })}
        />
      ) : null}
    </Disclosure>
  );
}
