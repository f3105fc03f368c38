import { Callout } from '../components/ui/Callout';
import { Press } from '../components/ui/Press';
import { Row } from '../components/ui/Row';
import { Txt } from '../components/ui/Txt';
import { type Queued, refusalSettled } from '../store/queue';
import { allUnsent } from '../store/send';
import type { RootState } from '../store/state';
import { useAppDispatch, useAppSelector } from '../store/store';

/** How many things are done on this device and not acknowledged, while the shop's computer does not answer. */
const waitingCount = ({ editor, queue }: RootState): number =>
  queue.offline || !queue.heard
    ? allUnsent(editor).length + queue.waiting.filter(({ refused }) => refused === null).length
    : 0;
const isHeard = ({ queue }: RootState): boolean => queue.heard;

const AS_LAST_HEARD = 'The shop’s computer does not answer: you see it all as it was last heard.';

function inWords(count: number): string {
  if (count === 0) return 'What you change is kept on this device until it does.';
  return count === 1
    ? 'One change waits for the shop’s computer. It is kept on this device.'
    : `${count} changes wait for the shop’s computer. They are kept on this device.`;
}

const WHAT: Record<Queued['endpoint'], string> = {
  changeShelf: 'A change of the shelf',
  saveRules: 'A change of the house rules',
  addEntry: 'A finished piece',
  removeEntry: 'Taking a piece back out of the logbook',
  removeTicket: 'Taking a ticket off the bench',
  keepDrawing: 'A drawing',
  restoreTicket: 'Putting a ticket back on the bench',
  saveOrder: 'A change of an order',
  removeOrder: 'Taking an order off the book',
  restoreOrder: 'Putting an order back on the book',
  saveCustomer: 'A change of a customer',
  saveDay: 'What was said of the day',
};

/** What the shop's computer does not take: said with why, and sent again or let go by whoever reads it. */
function NotTakenThere() {
  const dispatch = useAppDispatch();
  const waiting = useAppSelector(({ queue }) => queue.waiting);
  return waiting
    .filter(({ refused }) => refused !== null)
    .map(({ id, endpoint, refused }) => (
      <Callout key={id} tone="madder" role="alert" gap={4}>
        <Txt as="strong">{`${WHAT[endpoint]} is not taken by the shop’s computer. It is kept here.`}</Txt>
        <Txt as="small">{refused}</Txt>
        <Row wrap>
          <Press title="Try again" onPress={() => dispatch(refusalSettled({ id, again: true }))} />
          <Press
            kind="link"
            title="Let it go"
            onPress={() => dispatch(refusalSettled({ id, again: false }))}
          />
        </Row>
      </Callout>
    ));
}

/** Says on every page, quietly, what waits for the shop’s computer while it does not answer. */
export function Waiting() {
  const count = useAppSelector(waitingCount);
  const heard = useAppSelector(isHeard);
  return (
    <>
      <NotTakenThere />
      {count === 0 && heard ? null : (
        <Callout tone="tape" role="status" gap={0}>
          {heard ? null : <Txt as="small">{AS_LAST_HEARD}</Txt>}
          <Txt as="small">{inWords(count)}</Txt>
        </Callout>
      )}
    </>
  );
}
