import type { Customer } from '@zt/core/model/customer';
import { newOrder, ORDER_STATES, type Order, type OrderState } from '@zt/core/model/order';

interface DemoOrder {
  id: string;
  name: string;
  customer: string;
  contact: string;
  state: OrderState;
  /** Days from today. */
  dueIn: number | null;
  promisedMinor: number | null;
  brought?: string;
  /** Of one that was handed over: what it cost, and so many days ago. */
  costMinor?: number;
  daysAgo?: number;
}

/** The order book of a week in Pennyscar. */
const ORDERS: DemoOrder[] = [
  {
    id: 'demo-order-regatta',
    name: 'Regatta week',
    customer: 'Pennyscar Rowing Club',
    contact: 'the boat house, mornings',
    state: 'in work',
    dueIn: 2,
    promisedMinor: 18500,
  },
  {
    id: 'demo-order-guesthouse',
    name: 'Rooms four to six',
    customer: 'Lantern House guesthouse',
    contact: 'at the desk',
    state: 'agreed',
    dueIn: 6,
    promisedMinor: 13800,
    brought: 'two bath towels of their own',
  },
  {
    id: 'demo-order-vet',
    name: 'Tunics for the practice',
    customer: 'Harbour Road veterinary practice',
    contact: 'by letter',
    state: 'blanks here',
    dueIn: 9,
    promisedMinor: null,
  },
  {
    id: 'demo-order-library',
    name: 'Reading corner',
    customer: 'Pennyscar Library',
    contact: 'the lending desk',
    state: 'asked',
    dueIn: null,
    promisedMinor: null,
  },
];

const customerIdOf = ({ id }: DemoOrder): string => id.replace('demo-order', 'demo-customer');

export const DEMO_CUSTOMERS: readonly Customer[] = ORDERS.map((order) => ({
  id: customerIdOf(order),
  name: order.customer,
  contact: order.contact,
  note: '',
}));

/** What was handed over before. */
const HANDED_OVER: DemoOrder[] = (
  [
    ['demo-order-autumn', 'Autumn regatta', 24000, 17150, 9],
    ['demo-order-curtains', 'Curtain ties', 6200, 7040, 17],
    ['demo-order-shelter', 'Blankets for the shelter', 12800, 9310, 30],
  ] as const
).map(([id, name, promisedMinor, costMinor, daysAgo]) => ({
  id,
  name,
  customer: '',
  contact: '',
  state: 'paid',
  dueIn: null,
  promisedMinor,
  costMinor,
  daysAgo,
}));

/** The order of a demo customer's tickets; null where they ordered nothing. */
export const demoOrderOf = (customer: string): string | null =>
  ORDERS.find((order) => order.customer === customer)?.id ?? null;

/** The demo's orders as they stand on a day; `dayIn` writes a day so many days from it. */
export const demoOrders = (dayIn: (days: number) => string): Order[] =>
  [...ORDERS, ...HANDED_OVER].map((demo) => {
    const { id, name, state, dueIn, promisedMinor, brought = '', costMinor = null, daysAgo = 0 } = demo;
    const reached = ORDER_STATES.slice(0, ORDER_STATES.indexOf(state) + 1);
    return {
      ...newOrder(id, name, dayIn(0)),
      customerId: demo.customer === '' ? null : customerIdOf(demo),
      costMinor,
      due: dueIn === null ? null : dayIn(dueIn),
      promisedMinor,
      state,
      since: Object.fromEntries(reached.map((one, i) => [one, dayIn(i - reached.length - daysAgo)])),
      brought,
    };
  });
