import { isOfKind } from '../colour/fromShelf';
import { type Finding, finding, type Mend } from '../findings/finding';
import type { Shelf } from '../shelf/schema';
import { isOut, SUPPLIES } from '../shelf/supplies';
import { type Phrase, phrase } from '../units/phrase';
import type { LayerFacts } from './facts';
import { HOLD_WORDS, holdAllowed } from './hold';
import { type ComparedPart, nearestChoice } from './inPlaceOf';
import {
  type BobbinId,
  CHOICES,
  type Choice,
  type NeedleId,
  STABILIZERS,
  THREADS,
  type ThreadId,
} from './materials';
import type { Stack } from './never';
import { risksOf } from './risk';
import type { Hold, LayersInput } from './schema';
import { byRisk, riskChange } from './substitutes';

type On = { facts: LayerFacts; shelf: Shelf };

const outOf = (name: string, mends: Mend[]): Finding =>
  finding('layers', 'layers-supply-out', 'note', phrase`${name}: none left. It is on the shopping list.`, {
    mends,
  });

/** Whether the shop has threads, and none of this kind. */
export const isThreadOut = (id: ThreadId, { threads }: Shelf): boolean =>
  threads.length > 0 && !threads.some((t) => t.metresLeft > 0 && isOfKind(t, THREADS[id]));

/** The nearest choice that is there, in place of one that is used up. */
function partMend(
  part: ComparedPart,
  { choices }: LayersInput,
  from: Choice,
  isThere: (id: string) => boolean,
): Mend[] {
  const nearest = nearestChoice(part, from.id, isThere);
  const choice = nearest && CHOICES[part][nearest.id];
  if (!choice) return [];
  const why = `${from.name} is not on the shelf`;
  return [
    {
      label: phrase`Use ${choice.name} instead`,
      result: phrase`on your shelf; ${nearest.cost}`,
      change: { stage: 'layers', set: { choices: { ...choices, [part]: { choice: choice.id, why } } } },
    },
  ];
}

/** The hold that raises the risks least in place of one whose adhesive is used up; none when nothing will do. */
function holdMend(out: 'spray' | 'tape', stack: Stack, { facts, shelf }: On): Mend[] {
  const usable = (hold: Hold) =>
    hold !== out && !((hold === 'spray' || hold === 'tape') && isOut(hold, shelf));
  const held: readonly Hold[] = ['fused', 'spray', 'basting box', 'pins', 'tape'];
  const options = held.filter(usable).flatMap((hold) => {
    const changed = stack.sheets.filter((s) => s.hold === out);
    if (changed.some((s) => !holdAllowed(hold, s.stabilizer, facts))) return [];
    const sheets = stack.sheets.map((s) => (s.hold === out ? { ...s, hold } : s));
    return [{ hold, stack: { ...stack, sheets } }];
  });
  const [best] = byRisk(options, facts);
  if (!best) return [];
  const of = stack.sheets.find((s) => s.hold === out);
  const name = of ? STABILIZERS[of.stabilizer].name : '';
  const change: Phrase = riskChange(risksOf(facts, stack), risksOf(facts, best.stack));
  return [
    {
      label: phrase`${name}: ${HOLD_WORDS[best.hold]} instead`,
      result: change,
      change: {
        stage: 'layers',
        set: {
          support: { sheets: [...best.stack.sheets], why: `${SUPPLIES[out].name}: none left` },
        },
      },
    },
  ];
}

/** What the plan needs of needles, thread, bobbins and adhesives and the shop is out of, each with the nearest substitute. */
export function supplyFindings(
  input: LayersInput,
  stack: Stack,
  parts: Record<ComparedPart, Choice>,
  on: On,
): Finding[] {
  const { shelf } = on;
  const isPartOut: Record<ComparedPart, (id: string) => boolean> = {
    needle: (id) => isOut(id as NeedleId, shelf),
    bobbin: (id) => isOut(id as BobbinId, shelf),
    thread: (id) => isThreadOut(id as ThreadId, shelf),
  };
  const nameOf = (part: ComparedPart): string =>
    part === 'thread' ? `${parts.thread.name} thread` : SUPPLIES[parts[part].id as NeedleId | BobbinId].name;
  const chosen = (['needle', 'bobbin', 'thread'] as const)
    .filter((part) => isPartOut[part](parts[part].id))
    .map((part) =>
      outOf(
        nameOf(part),
        partMend(part, input, parts[part], (id) => !isPartOut[part](id)),
      ),
    );
  const held = (['spray', 'tape'] as const)
    .filter((adhesive) => stack.sheets.some((s) => s.hold === adhesive) && isOut(adhesive, shelf))
    .map((adhesive) => outOf(SUPPLIES[adhesive].name, holdMend(adhesive, stack, on)));
  return [...chosen, ...held];
}
