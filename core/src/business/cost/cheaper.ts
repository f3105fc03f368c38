import { colourDifference } from '../../base/colour/colour';
import { toEnd } from '../../base/inSteps';
import { count, mm, type Phrase, phrase } from '../../base/units/phrase';
import type { Finding } from '../../model/finding';
import { isInTheWay } from '../../model/finding';
import type { Shelf } from '../../model/shelf';
import { applyChange, type Change, type Ticket } from '../../model/ticket';
import { wantedPieces } from '../../planner/hands/wantedPieces';
import { planTicket } from '../../planner/plan';
import type { Plan } from '../../planner/planned';
import type { CostOf } from './costLine';
import type { SpoiltShare } from './spoilt';
import { type TrueCost, trueCost } from './trueCost';

/** Something that would make a run cheaper, planned and priced as it would be. */
export interface Cheaper {
  id: string;
  label: Phrase;
  /** What it makes of the ticket; null where it is bought otherwise, not made otherwise. */
  change: Change | null;
  /** Of the whole run, smallest coins. */
  savesMinor: number;
  /** What would then be found that is not found now. */
  brings: Finding[];
}

interface Idea {
  id: string;
  label: Phrase;
  change: Change | null;
  shelf: Shelf;
}

/** Colours farther apart than this (CIEDE2000) are not taken for one another. */
const NEAR = 25;

/** The two colours that are nearest to one another, taken as one thread. */
function fewerColours({ ticket, shelf }: CostOf): Idea[] {
  const stops = ticket.design.parts.flatMap(({ colours }) => colours);
  const hexes = [...new Map(stops.map((stop) => [stop.hex.toUpperCase(), stop])).values()];
  const pairs = hexes.flatMap((one, i) =>
    hexes.slice(i + 1).map((other) => ({ one, other, apart: colourDifference(one.hex, other.hex) })),
  );
  const [nearest] = pairs.filter(({ apart }) => apart <= NEAR).sort((a, b) => a.apart - b.apart);
  if (!nearest) return [];
  const { one, other, apart } = nearest;
  const parts = ticket.design.parts.map((part) => ({
    ...part,
    colours: part.colours.map((stop) =>
      stop.hex.toUpperCase() === other.hex.toUpperCase() ? { ...stop, hex: one.hex, name: one.name } : stop,
    ),
  }));
  return [
    {
      id: 'colours',
      label: phrase`One colour less: ${other.name} stitched as ${one.name}, ${count(Math.round(apart))} apart`,
      change: { stage: 'design', set: { parts, order: null } },
      shelf,
    },
  ];
}

/** The order of fewest changes, where somebody holds to another. */
const otherOrder = ({ ticket, shelf }: CostOf): Idea[] =>
  ticket.design.order === null
    ? []
    : [
        {
          id: 'order',
          label: phrase`The order of fewest thread changes`,
          change: { stage: 'design', set: { order: null } },
          shelf,
        },
      ];

function otherMethod({ plan, shelf }: CostOf): Idea[] {
  if (!plan.hoop) return [];
  const method = plan.hoop.method === 'hooped' ? 'floated' : 'hooped';
  return [
    {
      id: 'method',
      label: method === 'floated' ? phrase`Floated instead of hooped` : phrase`Hooped instead of floated`,
      change: { stage: 'hoop', set: { method, methodWhy: 'it costs less' } },
      shelf,
    },
  ];
}

/** One sheet less than is planned. */
function fewerSheets({ plan, shelf }: CostOf): Idea[] {
  const sheets = plan.layers?.sheets ?? [];
  if (sheets.length < 2) return [];
  return [
    {
      id: 'sheets',
      label: phrase`One sheet less: ${count(sheets.length - 1)} of ${count(sheets.length)}`,
      change: { stage: 'layers', set: { support: { sheets: sheets.slice(0, -1), why: 'it costs less' } } },
      shelf,
    },
  ];
}

const otherMachines = ({ plan, shelf }: CostOf): Idea[] =>
  shelf.machines
    .filter(({ id }) => id !== plan.mount?.machine?.id)
    .map(({ id, name }) => ({
      id: `machine-${id}`,
      label: phrase`On ${name}`,
      change: { stage: 'mount', set: { machineId: id } },
      shelf,
    }));

/** Widths that rolls are sold in, mm. */
const ROLL_WIDTHS = [250, 300, 400, 500, 600, 750, 900, 1000] as const;

/** Every roll in another width, at the same price for as much of it. */
function otherRolls({ plan, shelf, rules }: CostOf): Idea[] {
  const types = new Set(wantedPieces(plan, rules).map(({ type }) => type));
  return [...types].flatMap((type) => {
    const rolls = shelf.materials.filter((m) => m.type === type && m.widthMm > 0 && m.paid);
    const [roll] = rolls;
    if (!roll?.paid) return [];
    const { paid, widthMm: was } = roll;
    return ROLL_WIDTHS.filter((width) => rolls.every(({ widthMm }) => widthMm !== width)).map(
      (width): Idea => {
        const other = {
          ...roll,
          id: `${roll.id}-${width}`,
          widthMm: width,
          // Priced by its area: a wider roll costs more a metre.
          paid: { ...paid, amount: (paid.amount * was) / width },
        };
        return {
          id: `roll-${type}-${width}`,
          label: phrase`${roll.name} off a roll ${mm(width)} wide, at the same price for its area`,
          change: null,
          shelf: { ...shelf, materials: [...shelf.materials, other] },
        };
      },
    );
  });
}

/** Ideas of one sort, of which only the one that saves most is told. */
const SORTS: readonly ((of: CostOf) => Idea[])[] = [
  fewerColours,
  otherOrder,
  otherMethod,
  fewerSheets,
  otherMachines,
  otherRolls,
];

const isNew =
  (before: Plan) =>
  ({ code, stage }: Finding): boolean =>
    before.findings.every((was) => was.code !== code || was.stage !== stage);

/** An idea planned and priced; null where it saves nothing, or cannot be done. */
function tried(
  idea: Idea,
  of: CostOf,
  { cost, spoilt }: { cost: TrueCost; spoilt: SpoiltShare },
): Cheaper | null {
  const ticket: Ticket = idea.change ? applyChange(of.ticket, idea.change) : of.ticket;
  const plan = planTicket(ticket, of.shelf, of.rules);
  const priced = trueCost({ ticket, plan, shelf: idea.shelf, rules: of.rules }, spoilt);
  const brings = plan.findings.filter(isNew(of.plan));
  if (!priced || brings.some(isInTheWay)) return null;
  // Where another price is missing, it only looks cheaper.
  if (priced.unpriced.some((name) => !cost.unpriced.includes(name))) return null;
  const savesMinor = cost.totalMinor - priced.totalMinor;
  const { id, label, change } = idea;
  return savesMinor > 0 ? { id, label, change, savesMinor, brings } : null;
}

/**
 * What would make the run cheaper, each planned as it would be, what saves most first; of each sort the best. Yields what
 * is found so far after every idea that was planned: whoever shows it may rest between.
 */
export function* cheaperSoFar(of: CostOf, spoilt: SpoiltShare): Generator<Cheaper[], Cheaper[]> {
  const cost = trueCost(of, spoilt);
  if (!cost) return [];
  let found: Cheaper[] = [];
  for (const sort of SORTS) {
    let best: Cheaper | null = null;
    for (const idea of sort(of)) {
      const one = tried(idea, of, { cost, spoilt });
      if (one && one.savesMinor > (best?.savesMinor ?? 0)) best = one;
      yield found;
    }
    if (best) found = [...found, best].sort((a, b) => b.savesMinor - a.savesMinor);
  }
  return found;
}

/** All that is cheaper, without a rest. */
export function whatIsCheaper(of: CostOf, spoilt: SpoiltShare): Cheaper[] {
  return toEnd(cheaperSoFar(of, spoilt));
}
