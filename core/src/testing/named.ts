import { DEFAULT_HOUSE_RULES, type HouseRules } from '../model/houseRules';
import type { Ticket } from '../model/ticket';
import { type Lettering, USUAL_LETTERING } from '../model/ticket/lettering';
import type { Names } from '../model/ticket/names';
import { FIRST_PART } from '../model/ticket/part';
import type { LettersSetting } from '../stages/design/lettering/placedLetters';
import { namesToSet, withNamesSet } from '../stages/design/names/rows';
import { type NameAsked, setName } from '../stages/design/names/setName';
import { stitchFigures } from '../stages/design/stitchFigures';
import { oneDesign } from './designed';
import { faceInNode } from './facesInNode';
import { rowOfName } from './rowOfName';
import { toolsInNode } from './toolsInNode';

/** What names are set with outside a browser, in the plain typeface. */
export async function plainSetting(rules: HouseRules = DEFAULT_HOUSE_RULES): Promise<LettersSetting> {
  const [{ clip }, face] = await Promise.all([toolsInNode(), faceInNode('plain')]);
  return { clip, face, figures: stitchFigures(rules) };
}

export const askedOf = (letters: Lettering, withinMm: number | null): NameAsked => ({
  letters,
  withinMm,
  leastGapMm: 0.4,
  leastLetterMm: 4,
});

/** Every name that does not stand as it is asked, set as the worker does. */
export function withNamesOfList(ticket: Ticket, setting: LettersSetting): Ticket {
  const { design } = ticket;
  const made = namesToSet(design, DEFAULT_HOUSE_RULES).flatMap(({ row, asked }) => {
    const { ok, ...set } = setName(asked, setting);
    return ok && 'artwork' in set ? [[row.id, { ...set, withinMm: asked.withinMm }] as const] : [];
  });
  const nameSets = withNamesSet(design, Object.fromEntries(made)) ?? {};
  return { ...ticket, design: { ...design, nameSets } };
}

/** A ticket whose design is letters, with these names, all of them set. */
export function named(
  ticket: Ticket,
  texts: readonly string[],
  { setting, ...more }: Partial<Names> & { setting: LettersSetting },
): Ticket {
  const letters = { ...USUAL_LETTERING, text: 'any name' };
  const set = setName(askedOf(letters, null), setting);
  if (!set.ok) throw new Error('assertion failed: plain letters can be set');
  const { widthMm, heightMm, stitches, artwork } = set;
  const design = oneDesign(ticket.design, { letters, widthMm, heightMm, stitches, artwork });
  const names: Names = {
    part: FIRST_PART,
    allowedMm: null,
    onTable: 'row-of-name-0',
    rows: texts.map(rowOfName),
    ...more,
  };
  return withNamesOfList({ ...ticket, design: { ...design, names } }, setting);
}
