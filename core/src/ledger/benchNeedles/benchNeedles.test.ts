import { toEnd } from '../../base/inSteps';
import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import type { Ticket } from '../../model/ticket';
import { designed } from '../../testing/designed';
import { exampleA, SAMPLE_SHELF } from '../../testing/samples';
import { benchNeedles } from './benchNeedles';

const HEX: Record<string, string> = {
  navy: '#1F3A5F',
  yellow: '#E0B33A',
  red: '#A93F36',
  moss: '#4C7550',
  white: '#FAFAF7',
};
const ticketOf = (id: string, due: string | null, ...colours: string[]): Ticket => ({
  ...designed(exampleA(), {
    colours: colours.map((name) => ({ hex: HEX[name] ?? '', name, stitches: null })),
  }),
  id: `ticket-${id}`,
  name: id,
  due,
});
const shelf = (needles: number) => ({
  ...SAMPLE_SHELF,
  threads: [],
  machines: SAMPLE_SHELF.machines.map((machine) => ({ ...machine, needles })),
});
const needlesFor = (tickets: Ticket[], needles: number) =>
  toEnd(
    benchNeedles(
      tickets,
      { id: 'machine-flat', needles },
      { shelf: shelf(needles), rules: DEFAULT_HOUSE_RULES },
    ),
  );
const inWords = ({ tickets }: ReturnType<typeof needlesFor>) =>
  tickets.map(({ title, putOn }) => [
    title,
    putOn.map(({ needle, name }) => `${needle + 1} ${name}`).join(', '),
  ]);

it('keeps a thread on its needle for the tickets that need it again, in the order they are promised', () => {
  const bench = [
    ticketOf('late', null, 'navy', 'moss'),
    ticketOf('first', '2026-05-04', 'navy', 'yellow'),
    ticketOf('second', '2026-05-05', 'red', 'navy'),
  ];
  const found = needlesFor(bench, 3);
  expect(inWords(found)).toEqual([
    ['first', '1 navy, 2 yellow'],
    ['second', '3 red'],
    ['late', '2 moss'],
  ]);
  expect([found.threadings, found.eachAnew]).toEqual([4, 6]);
  expect(found.tickets[1]?.needles).toEqual([2, 0]);
});

it('goes stop by stop where a ticket has more threads than the machine has needles', () => {
  const found = needlesFor([ticketOf('many', null, 'navy', 'yellow', 'navy', 'red')], 2);
  expect(found.tickets[0]?.needles).toEqual([0, 1, 0, 0]);
  expect(inWords(found)).toEqual([['many', '1 navy, 2 yellow, 1 red']]);
});

it('leaves out what is not planned yet, and what goes on another machine', () => {
  const bare = designed(ticketOf('bare', null, 'navy'), { widthMm: null });
  const other = ticketOf('other', null, 'navy');
  const found = toEnd(
    benchNeedles(
      [bare, other],
      { id: 'no-such-machine', needles: 6 },
      { shelf: shelf(6), rules: DEFAULT_HOUSE_RULES },
    ),
  );
  expect(found).toEqual({ tickets: [], threadings: 0, eachAnew: 0 });
});
