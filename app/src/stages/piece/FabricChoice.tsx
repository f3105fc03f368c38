import { FABRICS } from '@zt/core/catalogue/fabrics';
import { STRUCTURES } from '@zt/core/model/ticket/piece';
import { Choice } from '../../components/ui/Choice';
import { Disclosure } from '../../components/ui/Disclosure';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { usePlan, useShelf, useTicket, useTicketActs } from '../../hooks/useTicket';
import { FabricFields } from './FabricFields';

/** What cloth it is: the shop's own first, then the library's by structure; and what differs on this piece. */
export function FabricChoice() {
  const ticket = useTicket('piece');
  const plan = usePlan('piece');
  const shelf = useShelf();
  const { change } = useTicketActs();
  const { fabric } = plan.piece;
  const all = [...shelf.fabrics, ...FABRICS];
  const take = (fabricId: string) => change({ stage: 'piece', set: { fabricId, fabricChanges: {} } });
  return (
    <Stack gap={2}>
      <Txt as="label" tone="graphite">
        Fabric
      </Txt>
      <Txt as="strong">{`${fabric.name}: ${fabric.weightGsm} g/m², ${fabric.stretchPercent} % stretch`}</Txt>
      <Disclosure title="Another cloth" label="Choose another cloth">
        {STRUCTURES.map((structure) => {
          const options = all.filter((f) => f.structure === structure);
          return options.length === 0 ? null : (
            <Choice
              key={structure}
              label={structure}
              small
              options={options.map(({ id, name }) => ({ id, name }))}
              chosen={ticket.piece.fabricId}
              onChoose={take}
            />
          );
        })}
      </Disclosure>
      <Disclosure title="It differs on this piece" label="Change this cloth’s properties">
        <FabricFields
          fabric={fabric}
          at="piece.fabricChanges."
          onChange={(changes) =>
            change({
              stage: 'piece',
              set: { fabricChanges: { ...ticket.piece.fabricChanges, ...changes } },
            })
          }
        />
      </Disclosure>
    </Stack>
  );
}
