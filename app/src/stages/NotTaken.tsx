import { say } from '@zt/core/base/units/phrase';
import { refusalInWords } from '@zt/core/model/fields/refusal';
import type { Stage } from '@zt/core/model/stages';
import { TicketSchema } from '@zt/core/model/ticket';
import { fieldName, stageOfField } from '@zt/core/planner/fieldNames';
import { UndoBar } from '../components/UndoBar';
import { Callout } from '../components/ui/Callout';
import { Press } from '../components/ui/Press';
import { Stack } from '../components/ui/Stack';
import { Txt } from '../components/ui/Txt';
import { useTicket, useUnits } from '../hooks/useTicket';
import { putBackOnBench } from '../store/editor';
import { putTicketBack } from '../store/shopActs';
import { useAppDispatch, useAppSelector } from '../store/store';
import { STAGE_NAMES } from '../tape/Tape';

/** So many are named at once. */
const MOST_REFUSED = 3;

/** What was not taken: a change that goes past a bound, or a ticket that the server refuses; and where to go. */
export function NotTaken({ stage, onStage }: { stage: Stage; onStage: (stage: Stage) => void }) {
  const ticket = useTicket();
  const units = useUnits();
  const { refused, save } = useAppSelector((state) => state.editor);
  if (refused.length === 0) return null;
  const shown = refused.slice(0, MOST_REFUSED);
  return (
    <Callout tone="madder" gap={4} role="alert">
      <Txt as="strong">
        {save === 'refused'
          ? 'The shop’s computer does not take this ticket. What you typed is here; change what is named, and it saves.'
          : 'Not taken; all else is as you made it.'}
      </Txt>
      {shown.map(({ at, message }) => (
        <Stack key={`${at} ${message}`} gap={2}>
          <Txt>
            {say(
              refusalInWords(TicketSchema, { at, message }, at === '' ? '' : fieldName(at, ticket)),
              units,
            )}
          </Txt>
          {at === '' || stageOfField(at) === stage ? null : (
            <Press
              kind="link"
              title={`Go to ${STAGE_NAMES[stageOfField(at)]}`}
              onPress={() => onStage(stageOfField(at))}
            />
          )}
        </Stack>
      ))}
    </Callout>
  );
}

/** Says that the ticket is off the bench, and puts it back. */
export function OffBench() {
  const ticket = useTicket('id');
  const dispatch = useAppDispatch();
  const offBench = useAppSelector((state) => state.editor.offBench);
  if (!offBench) return null;
  const putBack = () => {
    dispatch(putTicketBack(ticket.id));
    dispatch(putBackOnBench());
  };
  return (
    <UndoBar
      text="This ticket was taken off the bench. What you change is kept, and it stays off."
      onPutBack={putBack}
    />
  );
}
