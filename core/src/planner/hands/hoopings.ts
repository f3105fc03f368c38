import { distance } from '../../base/geometry/point';
import type { Hooping } from '../../model/deed';
import type { LaidHoop } from '../../stages/hoop/layHoop';
import { hoopingCount } from '../../stages/hoop/planHoop';
import type { CopyKeys } from '../../stages/mount/copyKeys';
import type { MountPlan } from '../../stages/mount/planMount';
import type { Results } from '../planned';

/** Nearer than this two hoop centres are one: a hand lays no hoop finer, mm. */
const SAME_MM = 0.1;

/** What is stitched while the piece stays in the hoop as it is. */
export interface OneHooping {
  hooping: Hooping;
  keys: CopyKeys[];
  /** Whether it goes on in the hooping of the first copy. */
  isFirst: boolean;
  /** Whether the cloth stays in the hoop, which is latched in another place. */
  isMoved: boolean;
}

const isSameHooping = (a: CopyKeys, b: CopyKeys): boolean =>
  distance(a.hoopAt, b.hoopAt) < SAME_MM && a.onPieceDeg === b.onPieceDeg;

/** What is stitched after the first copy, hooping by hooping: those of the first one, then the others in their order. */
export function hoopingsAfter({
  hoop: { laid },
  mount,
}: {
  hoop: { laid: LaidHoop };
  mount: Pick<MountPlan, 'copies'>;
}): OneHooping[] {
  const groups: CopyKeys[][] = [];
  for (const copy of mount.copies) {
    const group = groups.find(([first]) => first && isSameHooping(first, copy));
    if (group) group.push(copy);
    else groups.push([copy]);
  }
  const isOfFirst = ([one]: CopyKeys[]) =>
    one !== undefined &&
    one.hoopTurnDeg === 0 &&
    one.part === null &&
    distance(one.hoopAt, laid.centre) < SAME_MM;
  const inOrder = groups.sort((a, b) => Number(isOfFirst(b)) - Number(isOfFirst(a)));
  const byPositions = laid.split?.split.byPositions ?? false;
  let number = 1;
  return inOrder.map((keys): OneHooping => {
    const [first] = keys;
    const isFirst = isOfFirst(keys);
    if (!isFirst) number += 1;
    const copies = [...new Set(keys.map(({ copy }) => copy))];
    return {
      hooping: { number, copies, part: first?.part ?? null },
      keys,
      isFirst,
      isMoved: byPositions && (first?.part ?? 1) > 1,
    };
  });
}

/**
 * How often a piece is hooped, each time on new sheets: as its acts have it once it is known how it is mounted; before that as
 * the hoop reaches its copies.
 */
export function hoopingsOn({ hoop, mount }: Pick<Results, 'hoop' | 'mount'>): number {
  if (!hoop) return 1;
  const { laid } = hoop;
  if (!laid || !mount || laid.split) return hoopingCount(hoop);
  return 1 + hoopingsAfter({ hoop: { laid }, mount }).filter(({ isFirst }) => !isFirst).length;
}
