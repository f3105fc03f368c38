import { type Phrase, phrase } from '../../base/units/phrase';
import { type MaterialJob, STABILIZERS } from '../../catalogue/materials';
import { type Fastening, MOST_SHEETS, type Sheet, type StabilizerId } from '../../model/ticket/layers';
import type { LayerFacts } from './facts';
import type { SupportRule } from './rule';

/** A further sheet as it is first laid: under the ring, taped. */
export const FURTHER_SHEET: Sheet = {
  stabilizer: 'tear-away',
  where: 'under the ring',
  bond: 'none',
  fastening: 'tape',
};

/** Whether a stabilizer does a job. */
export const does = (id: StabilizerId, job: MaterialJob): boolean => STABILIZERS[id].jobs.includes(job);

const mayFuse = (id: StabilizerId, facts: LayerFacts): boolean => does(id, 'fuses') && facts.iron !== 'no';

/** The sticky sheet that stands for a plain one of its family. */
const STICKY_SIBLING: Partial<Record<StabilizerId, StabilizerId>> = {
  'tear-away': 'tear-away-sticky',
  'tear-away-light-fusible': 'tear-away-sticky',
  'dissolving-fusible': 'dissolving-sticky',
  'wash-away-cloth': 'wash-away-sticky',
};
const PLAIN_CARRIER: StabilizerId = 'tear-away';

/** On skin a sticky sheet must wash out whole. */
const isBearable = (id: StabilizerId, { againstSkin, mayGetWet }: LayerFacts): boolean =>
  (!againstSkin || does(id, 'vanishes')) &&
  (mayGetWet || (!does(id, 'vanishes') && STABILIZERS[id].family !== 'dissolving'));

/** The stack with a sticky sheet in it, as shops have it that hold by sticky sheets: a sibling's place, or on top. */
function withSticky(ids: readonly StabilizerId[], facts: LayerFacts): StabilizerId[] {
  if (facts.structure === 'no cloth' || ids.some((id) => does(id, 'sticks'))) return [...ids];
  const bearable = (id: StabilizerId | undefined) =>
    id !== undefined && isBearable(id, facts) ? id : undefined;
  const at = ids.findIndex((id) => !mayFuse(id, facts) && bearable(STICKY_SIBLING[id]));
  if (at >= 0) return ids.map((id, i) => (i === at ? (STICKY_SIBLING[id] ?? id) : id));
  const onTop = bearable('tear-away-sticky') ?? bearable('wash-away-sticky');
  const fused = ids.filter((id) => mayFuse(id, facts));
  const rest = ids.filter((id) => !mayFuse(id, facts));
  return facts.floated && onTop && ids.length < MOST_SHEETS ? [...fused, onTop, ...rest] : [...ids];
}

/** A floated piece lies on something: a sheet for the ring is added where none of the stack can be in it. */
function withCarrier(ids: readonly StabilizerId[], further: StabilizerId, facts: LayerFacts): StabilizerId[] {
  const carries = ids.some((id) => does(id, 'carries') && !mayFuse(id, facts));
  if (!facts.floated || carries) return [...ids];
  return [...ids, does(further, 'carries') ? further : PLAIN_CARRIER];
}

/** The sheet in the ring that a floated piece lies on: a sticky one before a plain one. */
function carrierOf(ids: readonly StabilizerId[], facts: LayerFacts): number {
  const sticky = ids.findIndex((id) => does(id, 'sticks'));
  return sticky >= 0 ? sticky : ids.findIndex((id) => does(id, 'carries') && !mayFuse(id, facts));
}

function whereOf(id: StabilizerId, i: number, on: Placing): Sheet['where'] {
  const { facts, carrier, held } = on;
  if (!facts.floated) return held?.where ?? 'in the ring';
  if (mayFuse(id, facts)) return 'on the piece';
  return i === carrier || does(id, 'stays') ? 'in the ring' : 'under the ring';
}

/** A film holds by the ring alone; spray would only smear it. */
const isFilm = (id: StabilizerId): boolean => id === 'wash-away-film-heavy';

/** Whether the shop sprays this sheet: its school, the rule's word, a knit to be bonded, a piece that floats on it. */
function isSprayed(id: StabilizerId, i: number, on: Placing): boolean {
  const { facts, held, carrier, bondsKnit } = on;
  if (isFilm(id)) return false;
  if (facts.schools.hold === 'spray' || held?.bond === 'sprayed') return true;
  if (facts.floated) return i === carrier && facts.schools.hold !== 'baste';
  return bondsKnit && i === 0;
}

function bondOf(id: StabilizerId, i: number, on: Placing): Sheet['bond'] {
  if (mayFuse(id, on.facts)) return 'fused';
  if (does(id, 'sticks')) return 'sticky';
  return isSprayed(id, i, on) ? 'sprayed' : 'none';
}

const mayBaste = ({ holesStay, bastingMm }: LayerFacts): boolean => !holesStay && bastingMm !== null;

/** A fastening that is asked for, or tape where it would leave holes or has no room in the field. */
function fastenedHere(fastening: Fastening, facts: LayerFacts): Fastening {
  const isHole = fastening === 'basting box' || fastening === 'pins';
  return (fastening === 'basting box' && !mayBaste(facts)) || (isHole && facts.holesStay)
    ? 'tape'
    : fastening;
}

/** Whether a floated piece is held by what it lies on: a bond to a sheet in the ring, or something that fastens it. */
export const holdsPiece = (sheets: readonly Sheet[], { floated, structure }: LayerFacts): boolean =>
  !floated ||
  structure === 'no cloth' ||
  sheets.some(
    ({ where, bond, fastening }) => where === 'in the ring' && (bond !== 'none' || fastening !== 'none'),
  );

/**
 * A stack as it is held on this piece: what would leave holes, or has no room in the field, gives way to tape, and a
 * floated piece that nothing holds is fastened to the first sheet it lies on.
 */
export function heldHere(sheets: readonly Sheet[], facts: LayerFacts): Sheet[] {
  const held = sheets.map((sheet) => ({ ...sheet, fastening: fastenedHere(sheet.fastening, facts) }));
  if (holdsPiece(held, facts)) return held;
  const carrier = held.findIndex(({ where }) => where === 'in the ring');
  return held.map((sheet, i) =>
    i === carrier ? { ...sheet, fastening: fastenedHere('basting box', facts) } : sheet,
  );
}

function fasteningOf(i: number, where: Sheet['where'], on: Placing): Fastening {
  const { facts, carrier, held } = on;
  if (where === 'under the ring') return 'tape';
  if (facts.floated) return i === carrier ? fastenedHere(held?.fastening ?? 'basting box', facts) : 'none';
  const isBasted = facts.schools.hold === 'baste' && i === 0 && facts.structure !== 'no cloth';
  return isBasted && mayBaste(facts) ? 'basting box' : 'none';
}

interface Placing {
  facts: LayerFacts;
  held: SupportRule['held'];
  /** The sheet that a floated piece lies on; below nothing when it is hooped. */
  carrier: number;
  /** A knit in the ring is bonded to its first sheet, as the shop holds. */
  bondsKnit: boolean;
}

/**
 * Where each sheet of a rule is, how it is bonded and what fastens it, from the cloth downwards: three answers, each
 * from the shop's schools, the cloth and the method. A fusible sheet is fused where the cloth takes an iron; a
 * floated piece lies on a sheet in the ring.
 */
export function placeSheets(
  ids: readonly StabilizerId[],
  { further, held }: Pick<SupportRule, 'further' | 'held'>,
  facts: LayerFacts,
): Sheet[] {
  const wished = facts.schools.hold === 'sticky' ? withSticky(ids, facts) : ids;
  const all = withCarrier(wished, further, facts);
  const placing: Placing = {
    facts,
    held,
    carrier: facts.floated ? carrierOf(all, facts) : -1,
    bondsKnit: facts.knit && facts.schools.knitTension === 'bond',
  };
  return all.map((stabilizer, i) => {
    const where = whereOf(stabilizer, i, placing);
    const bond = bondOf(stabilizer, i, placing);
    return { stabilizer, where, bond, fastening: fasteningOf(i, where, placing) };
  });
}

/** Why a sheet cannot be held so on this cloth; null when it can. */
export function whySheetCannot(
  { stabilizer, where, bond, fastening }: Sheet,
  facts: LayerFacts,
): Phrase | null {
  const { name, grade } = STABILIZERS[stabilizer];
  if (bond === 'fused' && grade !== 'fusible')
    return phrase`${name} is not sold fusible: it cannot be fused.`;
  if (bond === 'fused' && facts.iron === 'no')
    return phrase`This cloth takes no iron: ${name} cannot be fused to it.`;
  if (bond === 'fused' && where === 'under the ring')
    return phrase`No iron gets at ${name} under a closed ring: fuse it in the ring, or on the piece only.`;
  if (bond === 'sticky' && grade !== 'sticky')
    return phrase`${name} is not sold sticky: it cannot be stuck to the cloth.`;
  if (fastening === 'basting box' && facts.holesStay)
    return phrase`Needle holes stay in this cloth: hold ${name} without a basting box.`;
  if (fastening === 'pins' && facts.holesStay)
    return phrase`Pin holes stay in this cloth: hold ${name} without pins.`;
  if (fastening === 'basting box' && facts.bastingMm === null)
    return phrase`A basting box would leave the stitch field: fasten ${name} with tape.`;
  if (where === 'on the piece' && bond === 'none' && fastening === 'none')
    return phrase`Nothing holds ${name} on the piece: neither ring, bond nor fastening.`;
  return null;
}

/** Whether a floated piece lies on nothing: no sheet is in the ring. */
export const floatsOnNothing = (sheets: readonly Sheet[], { floated, structure }: LayerFacts): boolean =>
  floated && structure !== 'no cloth' && !sheets.some((s) => s.where === 'in the ring');

/** What fastens any sheet of a stack, besides its bonds. */
export const isFastenedBy = (sheets: readonly Sheet[], fastening: Fastening): boolean =>
  sheets.some((s) => s.fastening === fastening);
