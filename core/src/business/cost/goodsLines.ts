import { count, metres, mm, money, type Phrase, phrase } from '../../base/units/phrase';
import { numberFor } from '../../catalogue/houseNumber';
import { THREADS } from '../../catalogue/materials';
import { STITCH_NUMBERS } from '../../catalogue/numbers/stitch';
import type { SupplyType } from '../../model/shelf';
import { wantedPieces } from '../../planner/hands/wantedPieces';
import { suppliesNeeded } from '../../records/logbook/shelfUse';
import { DEFAULT_BOBBIN_M, DEFAULT_SPEED } from '../../stages/stitch/planStitch';
import { SUPPLIES } from '../../stock/supplies';
import { type CostLine, type CostOf, costLine, figure } from './costLine';
import type { RunFacts } from './runFacts';
import { sheetShare, supplyMinor, threadMinor } from './unitPrice';

/** One figure of a line: what it comes to, how, or that it has no price. */
interface Priced {
  exact: number;
  sum: Phrase;
  unpriced: string | null;
}

const unpricedOf = (name: string): Priced => ({
  exact: 0,
  sum: phrase`${name}: not counted, nobody said what was paid for it`,
  unpriced: name,
});

const lineOf = (id: CostLine['id'], name: string, parts: readonly Priced[]): CostLine[] =>
  parts.length === 0
    ? []
    : [
        costLine({
          id,
          name,
          exact: parts.reduce((total, { exact }) => total + exact, 0),
          once: false,
          sum: parts.map(({ sum }) => sum),
          unpriced: parts.flatMap(({ unpriced }) => unpriced ?? []),
        }),
      ];

function blankLine({ ticket, rules }: CostOf, { pieces }: RunFacts): CostLine[] {
  const { blankMinor, samePieceAs } = ticket;
  const { currency } = rules;
  if (samePieceAs !== null) {
    const sum = phrase`on the piece of another ticket: counted there`;
    return lineOf('blank', 'Blank', [{ exact: 0, sum, unpriced: null }]);
  }
  if (blankMinor === null) return lineOf('blank', 'Blank', [unpricedOf('the bare piece')]);
  const sum =
    blankMinor === 0
      ? phrase`brought by the customer`
      : phrase`${count(pieces)} × ${money(blankMinor, currency)}`;
  return lineOf('blank', 'Blank', [{ exact: pieces * blankMinor, sum, unpriced: null }]);
}

/** Sheets, films and covers: each its share of the roll, with what is cut away beside it. */
function sheetLine({ plan, shelf, rules }: CostOf): CostLine[] {
  const parts = wantedPieces(plan, rules).map((piece): Priced => {
    const share = sheetShare(piece.type, piece, shelf.materials);
    if (!share) return unpricedOf(piece.name);
    const exact = share.amount * share.unitMinor * piece.count;
    const size = phrase`${piece.name}, ${count(piece.count)} of ${mm(piece.widthMm)} × ${mm(piece.heightMm)}`;
    const price = money(share.unitMinor, rules.currency);
    return {
      exact,
      unpriced: null,
      sum:
        share.material.widthMm > 0
          ? phrase`${size}, ${count(share.abreast)} abreast on ${mm(share.material.widthMm)}: ${figure(share.amount * piece.count)} m × ${price} a metre`
          : phrase`${size}, ${count(share.abreast)} off a sheet: ${figure(share.amount * piece.count)} × ${price} a sheet`,
    };
  });
  return lineOf('sheets', 'Sheets and films, with their waste', parts);
}

function adhesiveLine({ plan, shelf, rules }: CostOf): CostLine[] {
  const parts = suppliesNeeded(plan, rules)
    .filter(({ type }) => SUPPLIES[type].group === 'adhesive')
    .map(({ type, amount }): Priced => {
      const minor = supplyMinor(type, shelf);
      const { name, unit } = SUPPLIES[type];
      if (minor === null) return unpricedOf(name);
      return {
        exact: amount * minor,
        unpriced: null,
        sum: phrase`${name}: ${figure(amount)} ${unit} × ${money(minor, rules.currency)}`,
      };
    });
  return lineOf('adhesive', 'Adhesive', parts);
}

/** Top thread, colour by colour. */
function threadLine({ plan, shelf, rules }: CostOf): CostLine[] {
  const { stitch, layers } = plan;
  if (!stitch || !layers) return [];
  const kind = THREADS[layers.parts.thread.choice.id as keyof typeof THREADS];
  const byName = new Map<
    string,
    { metres: number; minor: number; like: string | null } | { metres: number; minor: null }
  >();
  for (const { thread, called, name, topM } of stitch.stops) {
    const price = threadMinor(thread ?? kind, shelf);
    const key = thread?.name ?? name ?? called;
    const taken = (byName.get(key)?.metres ?? 0) + topM * stitch.stitchings;
    byName.set(key, price ? { metres: taken, ...price } : { metres: taken, minor: null });
  }
  const parts = [...byName].map(([name, taken]): Priced => {
    if (taken.minor === null) return unpricedOf(`thread, ${name}`);
    const like = taken.like === null ? phrase`` : phrase`, as ${taken.like}`;
    const price = money(taken.minor * 1000, rules.currency);
    return {
      exact: taken.metres * taken.minor,
      unpriced: null,
      sum: phrase`${name}: ${figure(taken.metres)} m × ${price} for 1000 m${like}`,
    };
  });
  return lineOf('thread', 'Thread', parts);
}

function bobbinLine({ plan, shelf, rules }: CostOf): CostLine[] {
  const { stitch, layers, mount } = plan;
  if (!stitch || !layers) return [];
  const { id, name } = layers.parts.bobbin.choice;
  const wound = supplyMinor(id as SupplyType, shelf);
  const fullM = mount?.machine?.bobbinMetres ?? DEFAULT_BOBBIN_M;
  if (wound === null) return lineOf('bobbin', 'Bobbin thread', [unpricedOf(name)]);
  const needed = stitch.bobbinNeededM;
  return lineOf('bobbin', 'Bobbin thread', [
    {
      exact: (needed / fullM) * wound,
      unpriced: null,
      sum: phrase`${metres(needed)} of ${metres(fullM)} a bobbin: ${figure(needed / fullM)} × ${money(wound, rules.currency)}`,
    },
  ]);
}

/** Of the hours that a needle lasts, those that it stitches. */
function needleLine({ plan, shelf, rules }: CostOf): CostLine[] {
  const { stitch, layers, mount } = plan;
  if (!stitch || !layers) return [];
  const { id, name } = layers.parts.needle.choice;
  const minor = supplyMinor(id as SupplyType, shelf);
  if (minor === null) return lineOf('needle', 'Needle wear', [unpricedOf(`needle, ${name}`)]);
  const stitches = stitch.stops.reduce((sum, stop) => sum + stop.stitches, 0) * stitch.stitchings;
  const speed = mount?.machine?.stitchesPerMinute ?? DEFAULT_SPEED;
  const lasts = Math.max(0.01, numberFor(rules, STITCH_NUMBERS.needleHours)) * 60 * speed;
  return lineOf('needle', 'Needle wear', [
    {
      exact: (stitches / lasts) * minor,
      unpriced: null,
      sum: phrase`${count(stitches)} of the ${count(lasts)} stitches that a needle lasts × ${money(minor, rules.currency)}`,
    },
  ]);
}

/** What goes into the pieces of a run, or is worn by them. */
export const goodsLines = (of: CostOf, run: RunFacts): CostLine[] => [
  ...blankLine(of, run),
  ...sheetLine(of),
  ...adhesiveLine(of),
  ...threadLine(of),
  ...bobbinLine(of),
  ...needleLine(of),
];
