/** Shapes to be stitched: each has a colour, and must come after those that it lies on. */
export interface ToOrder {
  /** The colour of each shape, by number from 0. */
  colours: readonly number[];
  /** For each shape those that must be stitched before it, all of them earlier in the list. */
  after: readonly (readonly number[])[];
}

export interface ColourOrder {
  /** The shapes in the order they are stitched. */
  order: number[];
  /** How many times a thread is put on: runs of one colour. */
  runs: number;
  /** No order has fewer. */
  bound: number;
}

/** How many threads are put on in an order. */
export const runsOf = (order: readonly number[], colours: readonly number[]): number =>
  order.filter((shape, i) => i === 0 || colours[shape] !== colours[order[i - 1] ?? -1]).length;

/** So many states are looked at before the best order found so far has to do; fewer where each is large. */
const MOST_STATES = 4000;
const MOST_VISITS = 1_500_000;

/** What is done, as a sequence of runs: the shapes of each in their order. */
interface State {
  done: Uint8Array;
  last: number;
  runs: number;
  order: number[];
}

/**
 * What the current thread can do is always done before it is changed: it can only free others. So a state is told by
 * the sequence of its colours, and the search is over those.
 */
function withRun(state: State, colour: number, { colours, after }: ToOrder): State {
  const done = state.done.slice();
  const order = [...state.order];
  // Those before a shape are earlier in the list: one pass takes all that can be.
  colours.forEach((own, shape) => {
    if (own !== colour || done[shape] === 1) return;
    if ((after[shape] ?? []).some((before) => done[before] !== 1)) return;
    done[shape] = 1;
    order.push(shape);
  });
  return { done, last: colour, runs: state.runs + 1, order };
}

/** Colours that something can be stitched in now, the one drawn first before the others. */
function openColours({ done, last }: State, { colours, after }: ToOrder): number[] {
  const open: number[] = [];
  colours.forEach((colour, shape) => {
    if (done[shape] === 1 || colour === last || open.includes(colour)) return;
    if ((after[shape] ?? []).every((before) => done[before] === 1)) open.push(colour);
  });
  return open;
}

/**
 * The fewest runs that what is left must take: of each colour one, and as many as the longest chain of shapes that must
 * follow one another changes its colour.
 */
function leastLeft({ done, last }: State, { colours, after }: ToOrder): number {
  const left = new Set<number>();
  const chain: number[] = [];
  let longest = 0;
  colours.forEach((colour, shape) => {
    if (done[shape] === 1) return;
    left.add(colour);
    let length = colour === last ? 0 : 1;
    for (const before of after[shape] ?? []) {
      if (done[before] === 1) continue;
      length = Math.max(length, (chain[before] ?? 0) + (colours[before] === colour ? 0 : 1));
    }
    chain[shape] = length;
    longest = Math.max(longest, length);
  });
  return Math.max(left.size - (left.has(last) ? 1 : 0), longest);
}

const keyOf = ({ done, last }: State): string => `${last} ${done.join('')}`;

/** Always the colour with the most shapes that can be stitched now, from a state on. */
function greedily(from: State, given: ToOrder): State {
  let state = from;
  while (state.order.length < given.colours.length) {
    const next = openColours(state, given).map((colour) => withRun(state, colour, given));
    state = next.reduce((best, one) => (one.order.length > best.order.length ? one : best));
  }
  return state;
}

/**
 * The order of fewest thread changes that stitches no shape before one it lies on (a branch and bound over the sequence
 * of colours; Land and Doig 1960). Exact while it looks at few enough states, which is so for drawings of two dozen
 * runs; else the best found, with a bound below it. As drawn where that is as good.
 */
export function colourOrder(given: ToOrder): ColourOrder {
  const { colours } = given;
  const asDrawn = colours.map((_, shape) => shape);
  const start: State = { done: new Uint8Array(colours.length), last: -1, runs: 0, order: [] };
  const bound = leastLeft(start, given);
  const drawn = runsOf(asDrawn, colours);
  let best: Pick<State, 'order' | 'runs'> = { order: asDrawn, runs: drawn };
  if (drawn <= bound) return { ...best, bound };
  const first = greedily(start, given);
  if (first.runs < best.runs) best = first;
  const seen = new Map<string, number>();
  // Fewest runs to come first: once one state can be no better than the best, none can.
  const open: { state: State; least: number }[] = [{ state: start, least: bound }];
  const most = Math.min(MOST_STATES, MOST_VISITS / Math.max(1, colours.length));
  let looked = 0;
  while (open.length > 0) {
    let at = 0;
    open.forEach(({ least, state }, i) => {
      const chosen = open[at];
      if (!chosen) return;
      if (least < chosen.least || (least === chosen.least && state.order.length > chosen.state.order.length))
        at = i;
    });
    const [now] = open.splice(at, 1);
    if (!now || now.least >= best.runs) return { ...best, bound: best.runs };
    if (looked++ > most) return { ...best, bound: now.least };
    for (const colour of openColours(now.state, given)) {
      const state = withRun(now.state, colour, given);
      const key = keyOf(state);
      if ((seen.get(key) ?? Infinity) <= state.runs) continue;
      seen.set(key, state.runs);
      if (state.order.length === colours.length) {
        if (state.runs < best.runs) best = state;
        continue;
      }
      const least = state.runs + leastLeft(state, given);
      if (least < best.runs) open.push({ state, least });
    }
  }
  return { ...best, bound: best.runs };
}
