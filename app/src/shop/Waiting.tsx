import { Callout } from '../components/ui/Callout';
import { Press } from '../components/ui/Press';
import { Row } from '../components/ui/Row';
import { Txt } from '../components/ui/Txt';
import { type Queued, refusalSettled } from '../store/queue';
import { allUnsent } from '../store/send';
import { type RootState, useAppDispatch, useAppSelector } from '../store/store';

/** How many things are done on this device and not acknowledged, while the shop's computer does not answer. */
const waitingCount = ({ editor, queue }: RootState): number =>
  queue.offline
    ? allUnsent(editor).length + queue.waiting.filter(({ refused }) => refused === null).length
    : 0;

const WHAT: Record<Queued['endpoint'], string> = {
  changeShelf: 'A change of the shelf',
  saveRules: 'A change of the house rules',
  addEntry: 'A finished piece',
  removeEntry: 'Taking a piece back out of the logbook',
  removeTicket: 'Taking a ticket off the bench',
  restoreTicket: 'Putting a ticket back on the bench',
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
  const what =
    count === 1
      ? 'One change waits for the shop’s computer. It is'
      : `${count} changes wait for the shop’s computer. They are`;
  return (
    <>
      <NotTakenThere />
      {count === 0 ? null : (
        <Callout tone="tape" role="status" gap={0}>
          <Txt as="small">{`${what} kept on this device.`}</Txt>
        </Callout>
      )}
    </>
  );
}
