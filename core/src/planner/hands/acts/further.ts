import { distance } from '../../../base/geometry/point';
import type { Act, Deed } from '../../../model/deed';
import type { HouseRules } from '../../../model/houseRules';
import type { Results } from '../../planned';
import { actOf } from '../actOf';
import { hoopingsAfter, type OneHooping } from '../hoopings';
import { bondActs } from './before';
import {
  fastenDeeds,
  type HoopFacts,
  hoopFacts,
  isFloated,
  legsTo,
  looseUnder,
  sheetsAgain,
  slipDeeds,
} from './hoop';
import { stitchesAgain } from './machine';

/** Off the machine and out of the hoop, and into it again about other copies or the next part. */
function hoopAgain(facts: HoopFacts, results: Results, { hooping, keys }: OneHooping): Act[] {
  const { place, layers } = facts;
  const n = hooping.number;
  const centreOf = (copy: number) => (place.copies[copy - 1] ?? place).centre;
  const [near] = [...keys].sort(
    (a, b) => distance(a.hoopAt, centreOf(a.copy)) - distance(b.hoopAt, centreOf(b.copy)),
  );
  if (!near) return [];
  const act = (id: string, deed: Deed) => actOf('further copies', id, deed, { hooping, copy: near.copy });
  const mark = centreOf(near.copy);
  const { onPieceDeg } = near;
  const legs = legsTo(near.hoopAt, mark, (place.copies[near.copy - 1] ?? place).turnDeg);
  const floated = isFloated(facts);
  const loose = looseUnder(facts);
  const again = (deeds: [string, Deed][]): Act[] => deeds.map(([id, deed]) => act(`${id} ${n}`, deed));
  return [
    act(`off ${n}`, { do: 'take off and unhoop' }),
    // An iron or a ring that comes onto the film of what is stitched would spoil it.
    ...(layers.parts.topper.choice.id === 'none'
      ? []
      : [act(`film off ${n}`, { do: 'pull topper', isAllOff: false })]),
    ...bondActs(results, { hooping, copy: near.copy }),
    ...(floated ? again(sheetsAgain(facts)) : []),
    ...(loose.length === 0 ? [] : [act(`sheet ${n}`, { do: 'lay under', sheets: loose })]),
    ...(near.hoopTurnDeg === 0 ? [] : [act(`turn ${n}`, { do: 'turn hoop', deg: near.hoopTurnDeg })]),
    ...(legs.length === 0
      ? [act(`notches ${n}`, { do: 'lay hoop', on: 'marks', at: mark, onPieceDeg })]
      : [
          act(`hoop centre ${n}`, {
            do: 'find hoop centre',
            from: near.copy,
            legs,
            at: near.hoopAt,
            onPieceDeg,
          }),
          act(`notches ${n}`, { do: 'lay hoop', on: 'hoop centre', at: near.hoopAt, onPieceDeg }),
        ]),
    act(
      `${floated ? 'smooth' : 'close'} ${n}`,
      floated ? { do: 'smooth', basteMm: layers.bastingMm } : { do: 'close' },
    ),
    ...again(fastenDeeds(facts)),
    ...again(slipDeeds(facts)),
  ];
}

/** What is on top from the start; over cloth that is still to be laid it comes at its stop. */
function toppedAgain({ layers }: HoopFacts, { design }: Results): Deed[] {
  const isLater = (design.facts?.cloths ?? []).length > 0;
  return layers.parts.topper.choice.id === 'none' || isLater
    ? []
    : [{ do: 'lay topper', by: layers.topperHeldBy ?? 'pins' }];
}

/** Each further copy or part with its hoop centre, its machine settings and its stitches, hooping by hooping. */
export function furtherActs(results: Results, rules: HouseRules): Act[] {
  const facts = hoopFacts(results, rules);
  if (!facts || !results.stitch) return [];
  const parts = facts.hoop.laid.split?.split.parts.length ?? 1;
  const { bastingMm } = facts.layers;
  return hoopingsAfter(facts).flatMap((one) => {
    const { hooping, keys, isFirst, isMoved } = one;
    const [first] = keys;
    const at = { hooping, copy: first?.copy ?? 1 };
    const act = (id: string, deed: Deed, copy = at.copy) =>
      actOf('further copies', id, deed, { hooping, copy });
    const byPositions = facts.hoop.laid.split?.split.byPositions ?? false;
    const part = hooping.part;
    // Cloth is laid on no film: that of the copy before it in the same hooping comes off first.
    const isFilmLaidEach =
      facts.layers.parts.topper.choice.id !== 'none' && (results.design.facts?.cloths ?? []).length > 0;
    const filmOff = (copy: { number: number; copy: number }, i: number): Act[] =>
      isFilmLaidEach && (isFirst || isMoved || i > 0)
        ? [act(`film before ${copy.number}`, { do: 'pull topper', isAllOff: false }, copy.copy)]
        : [];
    return [
      ...(isFirst || isMoved ? [] : hoopAgain(facts, results, one)),
      ...(part === null || parts < 2
        ? []
        : [act(`part ${hooping.number}`, { do: 'take up part', part, of: parts })]),
      ...(isFirst || isMoved
        ? []
        : toppedAgain(facts, results).map((deed) => act(`topper ${hooping.number}`, deed))),
      ...(isFirst
        ? []
        : [act(`latched ${first?.number}`, { do: 'latch', place: byPositions ? part : null })]),
      ...keys.flatMap((copy, i) => [
        ...filmOff(copy, i),
        act(`keys ${copy.number}`, { do: 'enter keys', keys: copy.keys }, copy.copy),
        act(`trace ${copy.number}`, { do: 'trace' }, copy.copy),
        ...(bastingMm === null
          ? []
          : [act(`baste ${copy.number}`, { do: 'baste', mm: bastingMm }, copy.copy)]),
        ...stitchesAgain(results, copy.number, { hooping, copy: copy.copy }),
      ]),
    ];
  });
}
