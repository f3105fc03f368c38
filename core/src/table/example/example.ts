import { usualKit } from '../../catalogue/usualKit';
import type { Shelf } from '../../model/shelf';
import type { Stage } from '../../model/stages';
import type { Ticket } from '../../model/ticket';
import { EMPTY_PART } from '../../model/ticket/part';
import { newTicket } from '../../planner/newTicket';
import type { Plan } from '../../planner/planned';
import { isRead } from '../../stages/piece/usual';

/** The ticket of the guided example: worked on like any other, and kept nowhere. */
export const EXAMPLE_ID = 'guided-example';

/** A tee with nothing measured yet; the design is named, its size still to be typed. */
export function exampleTicket(): Ticket {
  const bare = newTicket(EXAMPLE_ID, 't-shirt');
  return {
    ...bare,
    name: 'Example: a tee',
    design: { ...bare.design, name: 'Badge', parts: [{ ...EMPTY_PART, densityClass: 'light' }] },
  };
}

/** The shop's shelf; where it has no machine, hoop or roll, with those that are usual. */
export function exampleShelf(shelf: Shelf): Shelf {
  let count = 0;
  const kit = usualKit(() => `${EXAMPLE_ID}-${count++}`);
  const isBare = shelf.machines.length === 0 || shelf.hoops.length === 0;
  return {
    ...shelf,
    ...(isBare ? { machines: [kit.machine], hoops: kit.hoops } : {}),
    ...(shelf.materials.length === 0 ? { materials: kit.materials } : {}),
  };
}

/** One step of the guide: where it is done, what to do there, and when it is done. */
export interface GuideStep {
  stage: Stage;
  text: string;
  isDone: (ticket: Ticket, plan: Plan) => boolean;
}

const goneThrough =
  (stage: Stage) =>
  ({ settled }: Ticket): boolean =>
    settled.includes(stage);

/** The way through a piece, each step on the screen it is done on. */
export const GUIDE: readonly GuideStep[] = [
  {
    stage: 'piece',
    text: 'Lay the tee flat. The tape on the drawing shows where to read: type 20 1/2 and press Enter.',
    isDone: ({ piece }) => isRead(piece, 'chestWidth'),
  },
  {
    stage: 'design',
    text: 'Say how large the design is, as your machine’s screen gives it: type 2 3/4 wide and 2 high.',
    isDone: (_, { design }) => design.facts !== null,
  },
  {
    stage: 'place',
    text: 'The rule found the place, and says how to chalk it with a tape. “Why this place?” opens the sum. Then go on to Hoop.',
    isDone: goneThrough('place'),
  },
  {
    stage: 'hoop',
    text: 'The smallest hoop that fits lies on the tee. Each of the others says what it misses by. Go on to Layers.',
    isDone: goneThrough('hoop'),
  },
  {
    stage: 'layers',
    text: 'What goes under it, and why. Anything can be chosen otherwise. Go on to Mount.',
    isDone: goneThrough('layers'),
  },
  {
    stage: 'mount',
    text: 'Which way the piece lies at the machine, and the keys to press. Now tap “At the table” and go through a step or two, then “Stop here”.',
    isDone: ({ mount, hoop, place }) => mount.checked.length + hoop.done.length + place.done.length > 0,
  },
  {
    stage: 'mount',
    text: 'What you went through is ticked. Go on to Stitch: colours, minutes, and where the bobbin ends.',
    isDone: goneThrough('mount'),
  },
];

/** Where the guide stands: the index of the first step that is not done; its length at the end. */
export function guideAt(ticket: Ticket, plan: Plan): number {
  const index = GUIDE.findIndex(({ isDone }) => !isDone(ticket, plan));
  return index < 0 ? GUIDE.length : index;
}
