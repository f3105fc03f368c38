import { phrase } from '../../base/units/phrase';
import { CHOICES, type Choice, heldInWords, STABILIZERS, THREADS } from '../../catalogue/materials';
import { type Finding, finding, type Mend } from '../../model/finding';
import { isThere, type Shelf } from '../../model/shelf';
import {
  type BobbinId,
  type LayersInput,
  type NeedleId,
  type Sheet,
  type ThreadId,
  withChoice,
} from '../../model/ticket/layers';
import { isOfKind } from '../../stock/fromShelf';
import { isOut, SUPPLIES } from '../../stock/supplies';
import type { LayerFacts } from './facts';
import { type ComparedPart, nearestChoice } from './inPlaceOf';
import type { Stack } from './never';
import { whySheetCannot } from './placing';
import { risksOf } from './risk';
import { byRisk, riskChange } from './substitutes';

type Adhesive = 'spray' | 'tape';
type On = { facts: LayerFacts; shelf: Shelf };

const outOf = (name: string, mends: Mend[]): Finding =>
  finding('layers', 'layers-supply-out', 'note', phrase`${name}: none left. It is on the shopping list.`, {
    mends,
  });

/** Whether the shop has threads, and none of this kind. */
export const isThreadOut = (id: ThreadId, { threads }: Shelf): boolean =>
  threads.length > 0 && !threads.some((t) => isThere(t) && isOfKind(t, THREADS[id]));

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
      change: { stage: 'layers', set: { choices: withChoice(choices, part, choice.id, why) } },
    },
  ];
}

/** How sheets use up an adhesive: spray as their bond, tape as what fastens them. */
const USES: Record<Adhesive, (sheet: Sheet) => boolean> = {
  spray: (sheet) => sheet.bond === 'sprayed',
  tape: (sheet) => sheet.fastening === 'tape',
};

/** What a sheet can be held by in place of an adhesive that is used up. */
const INSTEAD: Record<Adhesive, readonly Partial<Sheet>[]> = {
  spray: [{ bond: 'fused' }, { bond: 'none', fastening: 'basting box' }, { bond: 'none', fastening: 'pins' }],
  tape: [{ fastening: 'basting box' }, { fastening: 'pins' }, { fastening: 'none' }],
};

/** What raises the risks least in place of an adhesive that is used up; none when nothing will do. */
function heldMend(out: Adhesive, stack: Stack, { facts }: On): Mend[] {
  const options = INSTEAD[out].flatMap((instead) => {
    const sheets = stack.sheets.map((s) => (USES[out](s) ? { ...s, ...instead } : s));
    return sheets.some((s) => whySheetCannot(s, facts)) ? [] : [{ stack: { ...stack, sheets } }];
  });
  const [best] = byRisk(options, facts);
  const at = stack.sheets.findIndex(USES[out]);
  const sheet = best?.stack.sheets[at];
  if (!best || !sheet) return [];
  const support = { sheets: [...best.stack.sheets], why: `${SUPPLIES[out].name}: none left` };
  return [
    {
      label: phrase`${STABILIZERS[sheet.stabilizer].name}: ${heldInWords(sheet)} instead`,
      result: riskChange(risksOf(facts, stack), risksOf(facts, best.stack)),
      change: { stage: 'layers', set: { support } },
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
    .filter((adhesive) => stack.sheets.some(USES[adhesive]) && isOut(adhesive, shelf))
    .map((adhesive) => outOf(SUPPLIES[adhesive].name, heldMend(adhesive, stack, on)));
  return [...chosen, ...held];
}
