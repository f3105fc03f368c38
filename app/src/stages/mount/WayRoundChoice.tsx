import { formatLength } from '@zt/core/base/units/length';
import { Choice } from '../../components/ui/Choice';
import { usePlan, useTicketActs, useUnits } from '../../hooks/useTicket';

/** Which way the top of the piece points on the machine, where there is more than one way. */
export function WayRoundChoice() {
  const { mount } = usePlan('mount');
  const units = useUnits();
  const { change } = useTicketActs();
  return mount && mount.ranks.length > 1 ? (
    <Choice
      label="Way round"
      small
      options={mount.ranks.map((r) => ({
        id: String(r.turnDeg),
        name: `top ${r.topPoints}`,
        detail: `${formatLength(r.inThroatMm, units)} to the body`,
      }))}
      chosen={String(mount.chosen.turnDeg)}
      onChoose={(id) =>
        change({ stage: 'hoop', set: { turnDeg: Number(id) as 0 | 90 | 180 | 270, shift: null } })
      }
    />
  ) : null;
}
