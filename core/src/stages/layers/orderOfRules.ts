import { assert } from '../../base/assert';
import { type Condition, closureOf } from './conditions';

/** What the order of rules looks at. */
interface Ordered {
  id: string;
  on: readonly Condition[];
  before?: readonly string[];
  givesWayTo?: readonly string[];
}

/** Rules on one matter. */
export interface RuleGroup<R extends Ordered> {
  id: string;
  /** Groups before which all of these decide. */
  before?: readonly string[];
  rules: readonly R[];
}

/** For every rule, by id, the ids of those it decides before. */
type Order = ReadonlyMap<string, ReadonlySet<string>>;
type Groups = readonly RuleGroup<Ordered>[];

/** Whether one set holds all of another and more. */
const isLarger = <T>(one: ReadonlySet<T>, other: ReadonlySet<T>): boolean =>
  one.size > other.size && [...other].every((member) => one.has(member));

/** The ids of the rules that a name stands for: its own, or those of a group. */
function rulesNamed(name: string, groups: Groups): string[] {
  const group = groups.find(({ id }) => id === name);
  if (group) return group.rules.map(({ id }) => id);
  assert(
    groups.some(({ rules }) => rules.some(({ id }) => id === name)),
    `a rule names ${name}, which is neither a rule nor a group`,
  );
  return [name];
}

const orderOf = (pairs: readonly (readonly [string, string])[]): Order => {
  const order = new Map<string, Set<string>>();
  for (const [first, then] of pairs) order.set(first, (order.get(first) ?? new Set()).add(then));
  return order;
};

/** What rules say of each other. */
const saidByRules = (groups: Groups): Order =>
  orderOf(
    groups
      .flatMap(({ rules }) => rules)
      .flatMap(({ id, before = [], givesWayTo = [] }) => [
        ...before.flatMap((name) => rulesNamed(name, groups)).map((other) => [id, other] as const),
        ...givesWayTo.flatMap((name) => rulesNamed(name, groups)).map((other) => [other, id] as const),
      ]),
  );

/** What groups say of each other. */
const saidByGroups = (groups: Groups): Order =>
  orderOf(
    groups.flatMap(({ rules, before = [] }) =>
      before
        .flatMap((name) => rulesNamed(name, groups))
        .flatMap((other) => rules.map(({ id }) => [id, other] as const)),
    ),
  );

/** Which rule is the more particular: it has all the other's conditions and more. */
function byParticularity(groups: Groups): Order {
  const rules = groups.flatMap((group) => group.rules);
  const conditions = rules.map(({ id, on }) => ({ id, all: closureOf(on) }));
  return orderOf(
    conditions.flatMap((one) =>
      conditions.flatMap((other) => (isLarger(one.all, other.all) ? [[one.id, other.id] as const] : [])),
    ),
  );
}

/**
 * For every rule the ids of those it decides before: by what the rules say of each other, else by what their groups
 * say, else the more particular one first.
 */
export function decidesBefore(groups: Groups): Order {
  const sources = [saidByRules(groups), saidByGroups(groups), byParticularity(groups)];
  const ids = groups.flatMap(({ rules }) => rules.map(({ id }) => id));
  const isFirst = (one: string, other: string): boolean => {
    const source = sources.find((order) => order.get(one)?.has(other) || order.get(other)?.has(one));
    return source?.get(one)?.has(other) ?? false;
  };
  return new Map(
    ids.map((one) => [one, new Set(ids.filter((other) => other !== one && isFirst(one, other)))]),
  );
}

/**
 * Rules in the order they decide; of two that nothing sets in order, the one listed first. Throws where what they
 * say goes round in a circle. Kahn's topological sort, always taking the earliest that is free.
 */
export function inDecidingOrder<R extends Ordered>(groups: readonly RuleGroup<R>[]): R[] {
  const order = decidesBefore(groups);
  const left = groups.flatMap(({ rules }) => rules);
  const ordered: R[] = [];
  while (left.length > 0) {
    const at = left.findIndex(({ id }) => !left.some((other) => order.get(other.id)?.has(id)));
    assert(at >= 0, `rules give way to each other in a circle: ${left.map(({ id }) => id).join(', ')}`);
    ordered.push(...left.splice(at, 1));
  }
  return ordered;
}
