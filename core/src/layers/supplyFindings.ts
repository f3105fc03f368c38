import { isOfKind } from '../colour/fromShelf';
import { type Finding, finding, type Mend } from '../findings/finding';
import type { Shelf } from '../shelf/schema';
import { isOut, SUPPLIES } from '../shelf/supplies';
import { type Phrase, phrase } from '../units/phrase';
import type { LayerFacts } from './facts';
import { HOLD_WORDS, holdAllowed } from './hold';
import {
  BOBBIN_IDS,
  CHOICES,
  type Choice,
  NEEDLE_IDS,
  type NeedleId,
  STABILIZERS,
  THREADS,
  type ThreadId,
} from './materials';
import type { Stack } from './never';
import { risksOf } from './risk';
import type { Hold, LayersInput } from './schema';
import { byRisk, riskChange } from './substitutes';

/** What may be put in a needle's place, the nearest first, and what that costs. */
const NEEDLE_INSTEAD: Record<NeedleId, readonly (readonly [NeedleId, string])[]> = {
  '75-embroidery': [
    ['75-ballpoint', 'lines are a little less crisp on a woven'],
    ['75-sharp', 'on a knit it may cut a loop'],
    ['65', 'it bends sooner: run it slower'],
  ],
  '75-ballpoint': [
    ['75-embroidery', 'it may catch a loop of the knit: try it on a scrap'],
    ['65', 'it bends sooner: run it slower'],
  ],
  '75-sharp': [
    ['75-embroidery', 'fine lines are a little less crisp'],
    ['65', 'it bends sooner: run it slower'],
  ],
  '65': [
    ['75-embroidery', 'its holes are larger: small letters close up'],
    ['75-sharp', 'its holes are larger: small letters close up'],
  ],
  '90': [
    ['90-large-eye', 'a large eye leaves larger holes'],
    ['75-sharp', 'it bends or breaks in thick layers: run it slower'],
  ],
  '90-large-eye': [
    ['90', 'the thread frays sooner: run it slower'],
    ['75-embroidery', 'the thread frays: run it much slower'],
  ],
  wing: [],
};

/** What may be put in a thread's place, the nearest first, and what that costs. */
const THREAD_INSTEAD: Record<ThreadId, readonly (readonly [ThreadId, string])[]> = {
  'polyester-40': [
    ['rayon-40', 'it fades and wears sooner in the wash'],
    ['matte-40', 'it is duller'],
  ],
  'rayon-40': [['polyester-40', 'a little less sheen']],
  'matte-40': [['polyester-40', 'it shines where an aged look was wanted']],
  'metallic-40': [['polyester-40', 'no glitter']],
  'polyester-60': [['polyester-40', 'small letters close up: make them 6 mm or taller']],
};

const BOBBIN_COST = 'of another thickness: check the top tension';

type On = { facts: LayerFacts; shelf: Shelf };

const outOf = (name: string, mends: Mend[]): Finding =>
  finding('layers', 'layers-supply-out', 'note', phrase`${name}: none left. It is on the shopping list.`, {
    mends,
  });

/** Whether the shop has threads, and none of this kind. */
export const isThreadOut = (id: ThreadId, { threads }: Shelf): boolean =>
  threads.length > 0 && !threads.some((t) => t.metresLeft > 0 && isOfKind(t, THREADS[id]));

function partMend(
  part: 'needle' | 'bobbin' | 'thread',
  { choices }: LayersInput,
  from: Choice,
  [id, cost]: readonly [string, string],
): Mend[] {
  const choice = CHOICES[part][id];
  if (!choice) return [];
  const why = `${from.name} is not on the shelf`;
  return [
    {
      label: phrase`Use ${choice.name} instead`,
      result: phrase`on your shelf; ${cost}`,
      change: { stage: 'layers', set: { choices: { ...choices, [part]: { choice: id, why } } } },
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
  { needle, bobbin, thread }: Record<'needle' | 'bobbin' | 'thread', Choice>,
  on: On,
): Finding[] {
  const { shelf } = on;
  const needleId = NEEDLE_IDS.find((id) => id === needle.id);
  const bobbinId = BOBBIN_IDS.find((id) => id === bobbin.id);
  const found: Finding[] = [];
  if (needleId && isOut(needleId, shelf)) {
    const instead = NEEDLE_INSTEAD[needleId].find(([id]) => !isOut(id, shelf));
    found.push(outOf(SUPPLIES[needleId].name, instead ? partMend('needle', input, needle, instead) : []));
  }
  if (bobbinId && isOut(bobbinId, shelf)) {
    const other = BOBBIN_IDS.find((id) => id !== bobbinId && !isOut(id, shelf));
    found.push(
      outOf(SUPPLIES[bobbinId].name, other ? partMend('bobbin', input, bobbin, [other, BOBBIN_COST]) : []),
    );
  }
  const threadId = thread.id as ThreadId;
  if (isThreadOut(threadId, shelf)) {
    const instead = THREAD_INSTEAD[threadId].find(([id]) => !isThreadOut(id, shelf));
    found.push(outOf(`${thread.name} thread`, instead ? partMend('thread', input, thread, instead) : []));
  }
  for (const adhesive of ['spray', 'tape'] as const)
    if (stack.sheets.some((s) => s.hold === adhesive) && isOut(adhesive, shelf))
      found.push(outOf(SUPPLIES[adhesive].name, holdMend(adhesive, stack, on)));
  return found;
}
