import { MONTHS } from '../../base/units/months';
import { type Phrase, phrase } from '../../base/units/phrase';
import type { LayersInput, Sheet } from '../../model/ticket/layers';
import type { ClothTrait, UseTrait, Way, WayApplies } from '../../model/way';
import type { LayerFacts } from './facts';

const seeThrough = (f: LayerFacts): boolean => f.knit && f.seeThrough && (f.thin || f.pale);

/** How a trait of cloth is told from the facts, the particular ones first: a cloth is called by its first. */
const CLOTHS: Record<ClothTrait, (f: LayerFacts) => boolean> = {
  'thick knit': (f) => f.knit && f.thick,
  'see-through knit': seeThrough,
  knit: (f) => f.knit,
  'light drape': (f) => f.drapes,
  'stable woven': (f) => f.structure === 'stable woven',
  'open weave': (f) => f.structure === 'open weave',
  pile: (f) => f.structure === 'pile',
  waffle: (f) => f.structure === 'waffle',
  canvas: (f) => f.structure === 'canvas',
  'faux suede': (f) => f.structure === 'faux suede',
  sheer: (f) => f.structure === 'sheer',
  'no cloth': (f) => f.structure === 'no cloth',
};

const USES: Record<UseTrait, (f: LayerFacts) => boolean> = {
  baby: (f) => f.young,
  worn: (f) => f.worn,
  'table linen': (f) => f.household,
  'sat on': (f) => f.satOn,
  carried: (f) => f.carried,
  toy: (f) => f.toy,
  ornament: (f) => f.ornament,
};

/** Whether a way applies to a ticket: one of its cloths, one of its uses, one of its densities, its method. */
export function wayApplies(applies: WayApplies, facts: LayerFacts): boolean {
  const any = <T extends string>(wanted: readonly T[], is: (one: T) => boolean) =>
    wanted.length === 0 || wanted.some(is);
  return (
    any(applies.cloths, (cloth) => CLOTHS[cloth](facts)) &&
    any(applies.uses, (use) => USES[use](facts)) &&
    any(applies.densities, (name) => name === facts.densityName) &&
    (applies.method === null || (applies.method === 'floated') === facts.floated) &&
    (!applies.plainLettering || facts.plainLettering)
  );
}

/** Where a stack that was just put together would apply again: this cloth, this use, this density, this method. */
export function appliesLike(facts: LayerFacts): WayApplies {
  const firstOf = <T extends string>(traits: Record<T, (f: LayerFacts) => boolean>) =>
    (Object.keys(traits) as T[]).filter((trait) => traits[trait](facts)).slice(0, 1);
  return {
    cloths: firstOf(CLOTHS),
    uses: firstOf(USES),
    densities: [facts.densityName],
    method: facts.floated ? 'floated' : 'hooped',
    plainLettering: false,
  };
}

const listed = (words: readonly string[]): string =>
  words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} or ${words.at(-1)}`;

/** Where a way applies, in words; "everything" where nothing bounds it. */
export function appliesInWords({ cloths, uses, densities, method, plainLettering }: WayApplies): string {
  const parts = [
    listed(cloths),
    listed(uses),
    plainLettering ? 'letters of one colour' : densities.length > 0 ? `${listed(densities)} designs` : '',
    method ?? '',
  ].filter((part) => part !== '');
  return parts.join('; ') || 'everything';
}

/** "Our sweatshirt way, since March 2026". */
export function wayTitle({ name, since }: Pick<Way, 'name' | 'since'>): string {
  const [year, month] = since.split('-');
  return `Our ${name} way, since ${MONTHS[Number(month) - 1] ?? ''} ${year ?? ''}`;
}

/** What a way is, with the shop's own reason. */
export function wayReason(way: Way): Phrase {
  const own = way.why === '' ? '' : ` ${way.why.replace(/\.?$/, '.')}`;
  return phrase`${wayTitle(way)}.${own}`;
}

/** A way ready to be kept: the stack of a ticket as it stands, under a name, from this day on. */
export function wayFrom(
  made: { id: string; name: string; why: string; since: string },
  stack: { sheets: readonly Sheet[]; choices: LayersInput['choices'] },
  applies: WayApplies,
): Way {
  return { ...made, on: true, applies, sheets: [...stack.sheets], choices: stack.choices };
}
