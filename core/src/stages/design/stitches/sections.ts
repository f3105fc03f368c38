import type { Rows, Span } from './rows';
import type { Strand } from './strands';

/** A run of rows of one piece each, one on the other, from its first to its last. */
export interface Section extends Strand {
  spans: Span[];
}

const overlap = (a: Span, b: Span): boolean => a.left < b.right && b.left < a.right;

/** Sets that are joined pair by pair. */
class Joined {
  private parents: number[] = [];
  add = (): number => this.parents.push(this.parents.length) - 1;
  rootOf = (i: number): number => {
    let at = i;
    for (let up = this.parents[at] ?? at; up !== at; up = this.parents[at] ?? at) at = up;
    this.parents[i] = at;
    return at;
  };
  join = (a: number, b: number): void => {
    this.parents[this.rootOf(a)] = this.rootOf(b);
  };
}

interface Open {
  spans: Span[];
  ends: [number, number];
}

/** One row on the one above it: sections that go on, sections that end, sections that begin. */
function nextRow(open: readonly Open[], row: readonly Span[], nodes: Joined): { on: Open[]; begun: Open[] } {
  const lastOf = ({ spans }: Open): Span => spans[spans.length - 1] ?? { y: 0, left: 0, right: 0 };
  const begun: Open[] = [];
  const on = row.map((span): Open => {
    const above = open.filter((section) => overlap(lastOf(section), span));
    const [only] = above;
    if (only && above.length === 1 && row.filter((other) => overlap(lastOf(only), other)).length === 1) {
      only.spans.push(span);
      return only;
    }
    const fresh: Open = { spans: [span], ends: [nodes.add(), nodes.add()] };
    for (const { ends } of above) nodes.join(ends[1], fresh.ends[0]);
    begun.push(fresh);
    return fresh;
  });
  return { on, begun };
}

/**
 * Rows parted into sections in which each row lies on one row and under one (trapezoidal decomposition; Choset 2000):
 * each can be stitched to and fro without a gap. Where sections meet, their ends share a node.
 */
export function sectionsOf({ rows }: Rows): Section[] {
  const nodes = new Joined();
  const all: Open[] = [];
  let open: Open[] = [];
  for (const row of rows) {
    const { on, begun } = nextRow(open, row, nodes);
    all.push(...begun);
    open = on;
  }
  const ids = new Map<number, number>();
  const idOf = (node: number): number => {
    const root = nodes.rootOf(node);
    if (!ids.has(root)) ids.set(root, ids.size);
    return ids.get(root) ?? 0;
  };
  return all.map(({ spans, ends }) => ({ spans, ends: [idOf(ends[0]), idOf(ends[1])] }));
}
