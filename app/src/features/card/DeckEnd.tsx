import { STAGE_QUESTIONS, type Stage } from '@zt/core/model/stages';
import { nameInHand } from '@zt/core/planner/onTable';
import { calledName } from '@zt/core/stages/design/names/onTable';
import { nextName } from '@zt/core/stages/design/names/rows';
import { withPieceMade } from '@zt/core/table/names/turn';
import { useRouter } from 'expo-router';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { announce } from '../../everyone/announce';
import { useLoggedAs, useTicket } from '../../hooks/useTicket';
import { useWhyNotLogged } from '../../stages/log/LogAction';
import { ticketPut } from '../../store/editor';
import { logPiece } from '../../store/shopActs';
import { useAppDispatch } from '../../store/store';
import { STAGE_NAMES } from '../../tape/Tape';
import { CardPress } from './CardPress';
import { LAMP } from './dark';

/** The end of the deck: how it came out, or what the job still waits for. */
export function DeckEnd({ stage }: { stage: Stage }) {
  const ticket = useTicket();
  const router = useRouter();
  const dispatch = useAppDispatch();
  const loggedAs = useLoggedAs();
  const why = useWhyNotLogged();
  const open = (to: Stage) => router.replace(`/ticket/${ticket.id}/${to}`);
  const inHand = nameInHand(ticket);
  const next = ticket.design.names && nextName(ticket.design.names);
  if (stage === 'log' && !loggedAs && inHand && (!inHand.row.done || next))
    return (
      <Stack gap={14}>
        <Txt as="step" style={{ color: LAMP }} testID="card-text">
          {`“${calledName(inHand.row)}” is off the table, ${inHand.number} of ${inHand.of}.`}
        </Txt>
        <Row>
          <CardPress
            main
            title={next ? `Made. Next: ${calledName(next)}` : 'Made: that was the last'}
            onPress={() => dispatch(ticketPut(withPieceMade(ticket)))}
          />
        </Row>
      </Stack>
    );
  if (stage !== 'log' || why !== null || loggedAs)
    return (
      <Stack gap={14}>
        <Txt as="step" style={{ color: LAMP }} testID="card-text">
          {loggedAs ? 'It is in the logbook.' : `Next: ${STAGE_NAMES[stage]}.`}
        </Txt>
        <Txt as="aside" style={{ color: LAMP }}>
          {loggedAs ? 'All of this job is done.' : STAGE_QUESTIONS[stage]}
        </Txt>
        <Row>
          <CardPress
            main
            title={loggedAs ? 'Open Log' : `On to ${STAGE_NAMES[stage]}`}
            onPress={() => open(stage)}
          />
        </Row>
      </Stack>
    );
  const well = () => {
    dispatch(logPiece(ticket));
    announce('On its way into the logbook.');
    open('log');
  };
  return (
    <Stack gap={14}>
      <Txt as="step" style={{ color: LAMP }} testID="card-text">
        Off the table. How did it come out?
      </Txt>
      <Row>
        <CardPress main title="Came out well" onPress={well} />
      </Row>
      <Row>
        <CardPress title="Something was off" onPress={() => open('log')} />
      </Row>
    </Stack>
  );
}
