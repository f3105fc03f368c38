/** Something long that is stitched from end to end: a section of rows, a column. Its two ends lie at nodes. */
export interface Strand {
  ends: readonly [number, number];
}

/** One pass along a strand: out from one of its ends under what is to come, or back, stitched. */
export interface Pass {
  strand: number;
  way: 'out' | 'back';
  /** The end at which the pass begins, 0 or 1. */
  from: 0 | 1;
}

const other = (end: 0 | 1): 0 | 1 => (end === 0 ? 1 : 0);

/**
 * A tour of strands that hang together: from a node out along each, stitched on the way back, so that the needle always
 * walks where nothing is stitched yet and what it walks on is covered afterwards. It ends where it began. Strands that
 * close a ring are walked as if cut. What cannot be reached from the node is left out.
 */
export function tourOf(strands: readonly Strand[], start: number): Pass[] {
  const at = new Map<number, number[]>();
  strands.forEach(({ ends }, i) => {
    for (const node of new Set(ends)) at.set(node, [...(at.get(node) ?? []), i]);
  });
  const isWalked = strands.map(() => false);
  const passes: Pass[] = [];
  // A stack in place of recursion: a drawing may be a chain of thousands.
  const todo: { node: number; back: Pass | null }[] = [{ node: start, back: null }];
  while (todo.length > 0) {
    const here = todo[todo.length - 1];
    if (!here) break;
    const next = at.get(here.node)?.find((i) => !isWalked[i]);
    if (next === undefined) {
      if (here.back) passes.push(here.back);
      todo.pop();
      continue;
    }
    isWalked[next] = true;
    const { ends } = strands[next] ?? { ends: [0, 0] as const };
    const from: 0 | 1 = ends[0] === here.node ? 0 : 1;
    passes.push({ strand: next, way: 'out', from });
    todo.push({ node: ends[other(from)], back: { strand: next, way: 'back', from: other(from) } });
  }
  return passes;
}

/** The passes without those at the end that only lead back, each at once after the other: what a line need not do twice. */
export function withoutWayBack(passes: readonly Pass[]): Pass[] {
  const last = passes.findLastIndex(({ way }) => way === 'out');
  return passes.slice(0, last + 1);
}
