import { Disclosure } from '../../components/ui/Disclosure';
import { Disclosures } from '../../components/ui/Disclosures';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { Why } from '../../components/Why';
import { useIsExample } from '../../example/useExample';
import { usePlan, useShelf, useTicket, useTicketActs, useUnits } from '../../hooks/useTicket';
import { FieldFindings } from '../FieldFindings';
import { BlankFields } from './BlankFields';
import { ColourField } from './ColourField';
import { EvennessFields } from './EvennessFields';
import { FabricChoice } from './FabricChoice';
import { FaceChoice } from './FaceChoice';
import { Measuring } from './Measuring';
import { OpenedSeams } from './OpenedSeams';
import { SewingFields } from './SewingFields';
import { TicketFields } from './TicketFields';
import { TicketHistory } from './TicketHistory';

/** Measure the piece, say what cloth it is. */
export function PiecePanel() {
  const ticket = useTicket('piece');
  const plan = usePlan('piece');
  const shelf = useShelf();
  const units = useUnits();
  const { change } = useTicketActs();
  const { piece } = ticket;
  const isExample = useIsExample();
  const blanks = shelf.blanks.filter((b) => b.kind === piece.kind).length;
  return (
    <Stack gap={14}>
      <Txt as="heading" level={2}>{`Measure the ${plan.piece.kind.name}`}</Txt>
      <FaceChoice />
      <Measuring />
      <Disclosure
        title={blanks > 0 ? `Measured before? ${blanks} of its kind` : 'Keep its measurements'}
        label="Measurements kept under a name"
      >
        <BlankFields />
      </Disclosure>
      <FabricChoice />
      <ColourField
        label="Colour of the piece"
        hex={piece.colour}
        onHex={(colour) => change({ stage: 'piece', set: { colour } }, 'piece colour')}
      />
      <Disclosures>
        <Disclosure title="Is it cut straight?" startOpen={piece.evenness.length > 0}>
          <EvennessFields />
          <FieldFindings field="evenness" />
          <Why
            about="the centre line"
            reasons={plan.piece.reasons.filter((r) => r.about === 'centreLine')}
            units={units}
          />
        </Disclosure>
        <SewingFields />
        <OpenedSeams />
      </Disclosures>
      {isExample ? null : <TicketFields />}
      {isExample ? null : <TicketHistory />}
    </Stack>
  );
}
