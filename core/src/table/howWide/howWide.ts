import { type Phrase, phrase } from '../../base/units/phrase';
import type { HouseRules } from '../../model/houseRules';
import type { Hoop, Shelf } from '../../model/shelf';
import { applyChange, type Ticket } from '../../model/ticket';
import { EMPTY_PART } from '../../model/ticket/part';
import { planTicket } from '../../planner/plan';

/** A width that a drawing of no size could have, mm, and what speaks for it. */
export interface PossibleWidth {
  mm: number;
  why: Phrase;
}

/** So much is left free on every side of a hoop's field, mm. */
const FREE_MM = 1;
const LEAST_MM = 3;
const MOST_MM = 1000;

/** The widest that a drawing `upright` times as high as wide is in a field, mm; in a round one by its corners. */
function widestIn({ fieldWidthMm, fieldHeightMm, round }: Hoop, upright: number): number {
  const [width, height] = [fieldWidthMm - 2 * FREE_MM, fieldHeightMm - 2 * FREE_MM];
  return round ? Math.min(width, height) / Math.hypot(1, upright) : Math.min(width, height / upright);
}

/** What is wrong with the place of a design so wide, by code; null while the piece is not measured for it. */
function wrongAtPlace(
  width: number,
  upright: number,
  [ticket, shelf, rules]: [Ticket, Shelf, HouseRules],
): Set<string> | null {
  const part = { ...EMPTY_PART, widthMm: width, heightMm: width * upright, densityClass: 'medium' as const };
  const set = { parts: [part], order: null, scalePercent: 100 };
  const { place } = planTicket(applyChange(ticket, { stage: 'design', set }), shelf, rules);
  const grave = place?.findings.filter(({ severity }) => severity === 'stop' || severity === 'warn');
  return grave ? new Set(grave.map(({ code }) => code)) : null;
}

/**
 * The widest, in whole mm, that the place chosen on the ticket takes without a complaint that a small design would not
 * bring too: by planning it. Null while the piece is not measured, and where nothing fits.
 */
export function widestAtPlace(upright: number, on: [Ticket, Shelf, HouseRules]): number | null {
  // A design has both sides within its bounds.
  const least = Math.ceil(LEAST_MM / Math.min(1, upright));
  const small = wrongAtPlace(least, upright, on);
  if (!small) return null;
  const fits = (width: number) => {
    const wrong = wrongAtPlace(width, upright, on);
    return wrong !== null && [...wrong].every((code) => small.has(code));
  };
  let [most, tooWide] = [least, Math.min(MOST_MM, Math.floor(MOST_MM / upright)) + 1];
  while (tooWide - most > 1) {
    const middle = Math.floor((most + tooWide) / 2);
    if (fits(middle)) most = middle;
    else tooWide = middle;
  }
  return most > least ? most : null;
}

/**
 * Widths to choose from for a drawing `upright` times as high as wide: as wide as the design is now, the most that the
 * place takes, and what fills a hoop's field and fits that place, the narrowest first. Whole millimetres, each once; none
 * narrower than 3 mm. Without readings every hoop counts; empty without hoops, readings and a size.
 */
export function possibleWidths(
  upright: number,
  ...on: [ticket: Ticket, shelf: Shelf, rules: HouseRules]
): PossibleWidth[] {
  const [ticket, shelf] = on;
  const widthMm = ticket.design.parts[0]?.widthMm;
  const atPlace = widestAtPlace(upright, on);
  const filling = shelf.hoops
    .map((hoop) => ({ mm: Math.floor(widestIn(hoop, upright)), why: phrase`fills ${hoop.name}` }))
    .filter(({ mm }) => mm <= (atPlace ?? MOST_MM))
    .sort((a, b) => a.mm - b.mm);
  const all = [
    ...(widthMm ? [{ mm: Math.round(widthMm), why: phrase`as wide as the design now` }] : []),
    ...(atPlace ? [{ mm: atPlace, why: phrase`the most that fits this place` }] : []),
    ...filling,
  ];
  return all.filter(({ mm }, i) => mm >= LEAST_MM && all.findIndex((other) => other.mm === mm) === i);
}
