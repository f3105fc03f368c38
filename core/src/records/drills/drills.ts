import { randomLcg } from 'd3-random';
import {
  bareUnitOf,
  type DisplayUnits,
  formatLength,
  MM_PER_INCH,
  parseLength,
  stepOf,
} from '../../base/units/length';
import { deg, mm, type Phrase, phrase } from '../../base/units/phrase';
import { FABRICS } from '../../catalogue/fabrics';
import { FAULTS, type FaultId } from '../../model/faults';
import type { HouseRules } from '../../model/houseRules';
import type { Shelf } from '../../model/shelf';
import type { Ticket } from '../../model/ticket';
import { EMPTY_PART } from '../../model/ticket/part';
import { newTicket } from '../../planner/newTicket';
import { planTicket } from '../../planner/plan';
import type { Plan } from '../../planner/planned';
import { againInWords, hoopAgain } from '../../stages/mount/hoopAgain';
import { PIECE_KINDS } from '../../stages/piece/kinds';
import { stackName } from '../evidence/stackName';
import { stackWord, stackWords } from '../evidence/stackWords';

/** What is drilled. */
export const DRILLS = ['halve', 'way', 'turn', 'stack', 'fault', 'mark'] as const;
export type Drill = (typeof DRILLS)[number];

/** What one question is about: a drill and its subject, as one word that its progress is kept by. */
export interface DrillTopic {
  key: string;
  drill: Drill;
  /** A cloth, a machine, a fault; empty where there is one of it. */
  subject: string;
}

/** With what questions are made: the shop's own machines, hoops and past pieces. */
export interface DrillShop {
  shelf: Shelf;
  rules: HouseRules;
  units: DisplayUnits;
  /** Pieces of the shop; where there are none, usual ones are made up. */
  jobs: readonly Ticket[];
}

/** A question, with its answer and why it is that; worked out by the planner. */
export interface DrillQuestion {
  topic: DrillTopic;
  text: Phrase;
  /** What can be chosen; null where a length is typed. */
  options: { id: string; text: Phrase }[] | null;
  /** The option that is right, or the length in mm. */
  answer: string;
  explain: Phrase;
  /** The fault that is drawn. */
  fault: FaultId | null;
  /** The ticket that was planned for it; null where none was. */
  ticket: Ticket | null;
}

const topic = (drill: Drill, subject = ''): DrillTopic => ({
  key: `${drill} ${subject}`.trim(),
  drill,
  subject,
});

/** Cloths that are drilled: each on a piece that is made of it. */
const CLOTHS = [
  'jersey-tee',
  'pique-polo',
  'sweatshirt-fleece',
  'terry-towel',
  'waffle-towel',
  'linen',
  'canvas',
  'satin',
  'rib-knit',
  'denim',
];
const TOWELS = ['terry-towel', 'waffle-towel'];

/** Everything that can be asked in a shop. */
export function drillTopics({ shelf }: Pick<DrillShop, 'shelf'>): DrillTopic[] {
  return [
    topic('halve'),
    ...CLOTHS.map((cloth) => topic('stack', cloth)),
    ...FAULTS.map(({ id }) => topic('fault', id)),
    ...shelf.machines.flatMap(({ id }) => [topic('way', id), topic('turn', id)]),
    topic('mark'),
  ];
}

interface Draws {
  whole: (least: number, most: number) => number;
  oneOf: <T>(list: readonly T[]) => T;
  /** The same things in another order. */
  mixed: <T>(list: readonly T[]) => T[];
}

function drawsOf(seed: number): Draws {
  // Seeds that follow one another would begin alike: the first draws are left.
  const next = randomLcg(((seed * 2_654_435_761) % 4_294_967_296) / 4_294_967_296);
  for (let i = 0; i < 4; i += 1) next();
  const whole = (least: number, most: number) => least + Math.floor(next() * (most - least + 1));
  return {
    whole,
    oneOf: <T>(list: readonly T[]) => list[whole(0, list.length - 1)] as T,
    mixed: <T>(list: readonly T[]) => {
      const left = [...list];
      const out: T[] = [];
      while (left.length > 0) out.push(...left.splice(whole(0, left.length - 1), 1));
      return out;
    },
  };
}

/** A usual piece with a usual design, measured as it usually is. */
function usualTicket(d: Draws, fabricId: string): Ticket {
  const kind = TOWELS.includes(fabricId) ? 'bath-towel' : 't-shirt';
  const bare = newTicket('drill-ticket', kind);
  const readings = Object.fromEntries(PIECE_KINDS[kind].readings.map(({ id, typicalMm }) => [id, typicalMm]));
  const [widthMm, heightMm] = [d.whole(5, 9) * 10, d.whole(5, 9) * 10];
  const part = {
    ...EMPTY_PART,
    widthMm,
    heightMm,
    stitches: Math.round((widthMm * heightMm) / 100) * d.oneOf([60, 120, 190]),
  };
  return {
    ...bare,
    piece: { ...bare.piece, fabricId, readings },
    design: { ...bare.design, name: 'Badge', parts: [part] },
  };
}

/** A piece to ask about: one of the shop's, or a usual one. */
function jobFor(d: Draws, { jobs }: DrillShop, fabricId: string): Ticket {
  const own = jobs.length > 0 && d.whole(0, 1) === 1 ? d.oneOf(jobs) : null;
  return own ?? usualTicket(d, fabricId);
}

const nameOfPiece = (ticket: Ticket, { piece }: Plan): Phrase =>
  phrase`${PIECE_KINDS[ticket.piece.kind].name.toLowerCase()} of ${piece.fabric.name.toLowerCase()}`;

type Made = Omit<DrillQuestion, 'topic'> | null;

function halve(d: Draws, { units }: DrillShop): Made {
  const whole =
    units.system === 'in' ? (d.whole(60, 400) / units.denominator) * MM_PER_INCH : d.whole(150, 1300);
  const half = whole / 2;
  return {
    text: phrase`The tape reads ${mm(whole)} from edge to edge. How much is half of it?`,
    options: null,
    answer: String(half),
    explain: phrase`Half of ${mm(whole)} is ${formatLength(half, units.system === 'in' ? { system: 'in', denominator: 32 } : units)}: fold the tape edge to edge, and it is at the fold.`,
    fault: null,
    ticket: null,
  };
}

function stack(d: Draws, shop: DrillShop, fabricId: string): Made {
  const base = usualTicket(d, fabricId);
  const ticket = { ...base, layers: { support: null, choices: {} } };
  const plan = planTicket(ticket, shop.shelf, shop.rules);
  const { layers, hoop, design } = plan;
  if (!layers || !hoop || !design.facts) return null;
  const wordFor = (sheets: typeof layers.sheets): string => stackWord(stackWords(sheets, 'none'));
  const answer = wordFor(layers.sheets);
  const others = [
    ...layers.supportAlternatives.map(({ sheets }) => wordFor(sheets)),
    ...['tear-away', 'cut-away', 'wash-away-cloth', 'mesh', 'nothing'],
  ].filter((word, i, all) => word !== answer && all.indexOf(word) === i);
  const wrong = d.mixed(others).slice(0, 3);
  return {
    text: phrase`A ${nameOfPiece(ticket, plan)}, ${hoop.method}, under a ${design.facts.densityClass} design. What goes underneath, as this shop does it?`,
    options: d.mixed([answer, ...wrong]).map((id) => ({ id, text: phrase`${stackName(id)}` })),
    answer,
    explain: layers.supportReason.text,
    fault: null,
    ticket,
  };
}

/** A piece laid on a machine, whose keys and way round are asked for. */
function mounted(
  d: Draws,
  shop: DrillShop,
  machineId: string,
): { ticket: Ticket; plan: Plan; mount: NonNullable<Plan['mount']> } | null {
  const job = jobFor(d, shop, d.oneOf(CLOTHS));
  const hoops = shop.shelf.hoops.filter(({ machineIds }) => machineIds.includes(machineId));
  if (hoops.length === 0) return null;
  const ticket: Ticket = {
    ...job,
    hoop: { ...job.hoop, hoopId: d.oneOf(hoops).id, turnDeg: null, shift: null, split: false, part: 0 },
    mount: { ...job.mount, machineId, readings: [], obstacles: [] },
  };
  const plan = planTicket(ticket, shop.shelf, shop.rules);
  return plan.mount && plan.hoop?.laid ? { ticket, plan, mount: plan.mount } : null;
}

const TURNS = [0, 90, 180, 270];
const turnOf = (turnDeg: number): number => ((Math.round(turnDeg) % 360) + 360) % 360;

function turn(d: Draws, shop: DrillShop, machineId: string): Made {
  const laid = mounted(d, shop, machineId);
  if (!laid) return null;
  const { ticket, plan, mount } = laid;
  const answer = turnOf(mount.keys.turnDeg);
  const hoop = plan.hoop?.laid?.verdict.hoop.name ?? '';
  if (!TURNS.includes(answer)) return null;
  return {
    text: phrase`A ${nameOfPiece(ticket, plan)} in the ${hoop}, on ${mount.machine?.name ?? 'the machine'}: the top of the piece points ${mount.chosen.topPoints}. Which turn is keyed?`,
    options: TURNS.map((id) => ({ id: String(id), text: phrase`${deg(id)}` })),
    answer: String(answer),
    explain: phrase`Keyed ${deg(answer)}, the design’s top points where the piece’s does: ${mount.chosen.topPoints}.`,
    fault: null,
    ticket,
  };
}

function way(d: Draws, shop: DrillShop, machineId: string): Made {
  const laid = mounted(d, shop, machineId);
  if (!laid) return null;
  const { ticket, plan, mount } = laid;
  const hoop = plan.hoop?.laid?.verdict.hoop.name ?? '';
  const ways = [...new Set(mount.ranks.map(({ topPoints }) => topPoints))];
  if (ways.length < 2) return null;
  const why = mount.reasons.find(({ about }) => about !== 'crooked')?.text ?? phrase``;
  return {
    text: phrase`A ${nameOfPiece(ticket, plan)} in the ${hoop}, ${plan.hoop?.method ?? ''}, on ${mount.machine?.name ?? 'the machine'}. Which way does the top of the piece point?`,
    options: ways.map((id) => ({ id, text: phrase`${id}` })),
    answer: mount.chosen.topPoints,
    explain: why,
    fault: null,
    ticket,
  };
}

function fault(d: Draws, id: string): Made {
  const asked = FAULTS.find((one) => one.id === id);
  if (!asked) return null;
  const others = d.mixed(FAULTS.filter((one) => one.id !== id)).slice(0, 3);
  return {
    text: phrase`What is wrong with this one?`,
    options: d.mixed([asked, ...others]).map((one) => ({ id: one.id, text: phrase`${one.name}` })),
    answer: asked.id,
    explain: phrase`${asked.name}. Usually: ${asked.causes}. Next time: ${asked.nextTime}`,
    fault: asked.id,
    ticket: null,
  };
}

/** The four ways a hand can bring a mark. */
const HANDS = ['to the left', 'to the right', 'away from you', 'towards you'] as const;

function mark(d: Draws): Made {
  const half = d.whole(30, 80);
  const by = d.whole(2, 9) * d.oneOf([1, -1]);
  const asked = d.oneOf(['right', 'left', 'top', 'foot'] as const);
  const at = {
    right: { x: half, y: 0 },
    left: { x: -half, y: 0 },
    top: { x: 0, y: -half },
    foot: { x: 0, y: half },
  }[asked];
  const centre = { x: 0, y: 0 };
  const advice = hoopAgain({
    marks: [{ mark: asked, at }],
    designCentre: centre,
    turnDeg: by,
    centre,
    shouldTurnDeg: 0,
    centreTo: null,
  });
  if (!advice.pivot) return null;
  const where = {
    right: 'right axis end',
    left: 'left axis end',
    top: 'top axis end',
    foot: 'bottom axis end',
  }[asked];
  return {
    text: phrase`The centre is where it should be, but the cloth lies ${deg(Math.abs(by))} ${by > 0 ? 'clockwise' : 'counter-clockwise'}. You hold the centre: which way do you bring the ${where}, ${mm(half)} away?`,
    options: HANDS.map((id) => ({ id, text: phrase`${id}` })),
    answer: advice.pivot.way,
    explain: againInWords(advice),
    fault: null,
    ticket: null,
  };
}

const MAKERS: Record<Drill, (d: Draws, shop: DrillShop, subject: string) => Made> = {
  halve: (d, shop) => halve(d, shop),
  way,
  turn,
  stack,
  fault: (d, _, subject) => fault(d, subject),
  mark: (d) => mark(d),
};
/** So often another piece is drawn where one gives no question. */
const TRIES = 8;

/**
 * A question on a topic. The same seed, shop and topic make the same one; the answer is what the planner says of it, under
 * the shop's own rules. Null where the shop has nothing to ask it of.
 */
export function drillQuestion(asked: DrillTopic, seed: number, shop: DrillShop): DrillQuestion | null {
  for (let i = 0; i < TRIES; i += 1) {
    const made = MAKERS[asked.drill](drawsOf(seed + i * 7919), shop, asked.subject);
    if (made) return { topic: asked, ...made };
  }
  return null;
}

/** Whether an answer is right: the option, or a length as the tape has it; null where a length cannot be read. */
export function gradeDrill(question: DrillQuestion, given: string, units: DisplayUnits): boolean | null {
  if (question.options) return given === question.answer;
  const read = parseLength(given, bareUnitOf(units));
  if (!('mm' in read)) return null;
  return Math.abs(read.mm - Number(question.answer)) <= stepOf(units) / 2 + 1e-9;
}

/** The cloth of a topic by its name, for those who look at their progress. */
export function topicName({ drill, subject }: DrillTopic, shelf: Shelf): string {
  const names: Record<Drill, () => string> = {
    halve: () => 'Halve a reading',
    way: () =>
      `Which way round: ${shelf.machines.find(({ id }) => id === subject)?.name ?? 'a machine no longer kept'}`,
    turn: () =>
      `Key the turn: ${shelf.machines.find(({ id }) => id === subject)?.name ?? 'a machine no longer kept'}`,
    stack: () => `What goes under ${FABRICS.find(({ id }) => id === subject)?.name.toLowerCase() ?? subject}`,
    fault: () => `Spot the fault: ${FAULTS.find(({ id }) => id === subject)?.name.toLowerCase() ?? subject}`,
    mark: () => 'Which way to bring a mark',
  };
  return names[drill]();
}
