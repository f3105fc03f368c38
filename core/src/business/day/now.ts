import { count, minutes, type Phrase, phrase } from '../../base/units/phrase';
import type { Stand } from '../../model/day';
import type { Stage } from '../../model/stages';
import { clockDay, clockTime, isoOfMs } from './calendar';
import type { DayPlan, HandsOn, PlannedPiece } from './dayPlan';
import type { HandsDo } from './stretches';

const MS_A_MINUTE = 60_000;
/** Later than this behind its plan, a day is planned anew from now. */
export const LATE_AFTER_MS = 5 * MS_A_MINUTE;

/** A piece that a machine stitches by itself: how much longer until hands are needed, ms. */
export interface Running {
  piece: PlannedPiece;
  leftMs: number;
}

/** How a day stands at a time: what hands are to do, what the machines do meanwhile, and how far behind it is. */
export interface DayNow {
  /** What hands do now, or next; null where nothing is left. */
  hands: HandsOn | null;
  piece: PlannedPiece | null;
  /** Until hands are needed, ms; nothing where they are needed now. */
  waitMs: number;
  running: Running[];
  behindMs: number;
}

function runningOf({ machines, works }: DayPlan, nowMs: number): Running[] {
  return machines.flatMap(({ on }): Running[] => {
    const at = on.findIndex(({ by, fromMs, toMs }) => by === 'machine' && fromMs <= nowMs && toMs > nowMs);
    const stretch = on[at];
    const piece = stretch && works[stretch.work];
    return piece ? [{ piece, leftMs: stretch.toMs - nowMs }] : [];
  });
}

/** How a plan stands at a time. It was made from what was said to be done: its first stretch of hands is what comes next. */
export function dayNow(plan: DayPlan, nowMs: number): DayNow {
  const [hands = null] = plan.hands;
  return {
    hands,
    piece: (hands && plan.works[hands.work]) ?? null,
    waitMs: hands ? Math.max(0, hands.fromMs - nowMs) : 0,
    running: runningOf(plan, nowMs),
    behindMs: hands ? Math.max(0, nowMs - hands.toMs) : 0,
  };
}

/** What hands do to a piece, as it is told: `Hoop`. */
const DOES: Record<HandsDo, (piece: PlannedPiece) => Phrase> = {
  prepare: () => phrase`Prepare`,
  hoop: ({ floated }) => (floated ? phrase`Float` : phrase`Hoop`),
  mount: () => phrase`Put on the machine`,
  tend: () => phrase`At the machine,`,
  'take off': () => phrase`Take off`,
  finish: () => phrase`Finish`,
};

/** What hands do to a piece, with its number, its name, its hoop and the threads that are put on. */
export function sayHands(
  { what, threads, doing, goesOn }: Pick<HandsOn, 'what' | 'threads' | 'doing' | 'goesOn'>,
  piece: PlannedPiece,
): Phrase {
  const { no, name, hoopName, hooping, hoopings } = piece;
  const which = hoopings > 1 ? phrase`, hooping ${count(hooping + 1)} of ${count(hoopings)}` : phrase``;
  const into = what === 'hoop' ? phrase`, ${hoopName}` : phrase``;
  const on = threads.length > 0 ? phrase`, thread ${threads.join(', ')}` : phrase``;
  const does = doing ? phrase`: ${doing}` : phrase``;
  const again = goesOn ? phrase`, going on` : phrase``;
  return phrase`${DOES[what](piece)} no. ${count(no)}, ${name}${which}${into}${on}${does}${again}`;
}

const wholeMinutes = (ms: number) => minutes(Math.max(1, Math.ceil(ms / MS_A_MINUTE)));

/** What the machines do meanwhile: `no. 3 stitches: 6 min left`. */
export const sayRunning = ({ piece, leftMs }: Running): Phrase =>
  phrase`no. ${count(piece.no)} stitches: ${wholeMinutes(leftMs)} left`;

/** How a day stands, in one sentence: what hands do, and how long the machine can be left alone. */
export function sayNow(now: DayNow, { zone }: Pick<DayPlan, 'zone'>, nowMs: number): Phrase {
  const { hands, piece, waitMs, running } = now;
  if (!hands || !piece) return phrase`All that is planned is done.`;
  const does = sayHands(hands, piece);
  const meanwhile = running
    .map(sayRunning)
    .reduce<Phrase | null>((all, one) => (all ? phrase`${all}, ${one}` : one), null);
  if (isoOfMs(hands.fromMs, zone) !== isoOfMs(nowMs, zone))
    return phrase`The shop is closed until ${clockDay(hands.fromMs, zone)}, ${clockTime(hands.fromMs, zone)}. Then: ${does}.`;
  if (waitMs < MS_A_MINUTE) return meanwhile ? phrase`${does} while ${meanwhile}.` : phrase`${does}.`;
  return phrase`${meanwhile ? phrase`${meanwhile}. ` : phrase``}At ${clockTime(hands.fromMs, zone)}: ${does}.`;
}

/** How a piece stands once hands have done something to it. */
export function standAfter(
  what: HandsDo,
  piece: PlannedPiece,
  { stand, nowMs }: { stand: Stand | undefined; nowMs: number },
): Stand {
  const sinceMs = nowMs;
  const hoop = stand && 'hoop' in stand ? stand.hoop : (piece.hoops[0] ?? '');
  switch (what) {
    case 'prepare':
      return { at: 'prepared', sinceMs };
    case 'hoop':
      return { at: 'hooped', hoop, sinceMs };
    case 'mount':
      return { at: 'machine', hoop, run: 0, sinceMs };
    case 'tend':
      return { at: 'machine', hoop, run: stand?.at === 'machine' ? stand.run + 1 : 1, sinceMs };
    case 'take off':
      return piece.finishS > 0 ? { at: 'off', sinceMs } : { at: 'finished', sinceMs };
    default:
      return { at: 'finished', sinceMs };
  }
}

const DONE: Record<HandsDo, string> = {
  prepare: 'prepared',
  hoop: 'in its hoop',
  mount: 'on the machine',
  tend: 'goes on',
  'take off': 'off the machine',
  finish: 'finished',
};

/** What is said by the press that ends what hands do: `No. 4 is in its hoop`. */
export const sayDone = ({ what }: Pick<HandsOn, 'what'>, { no }: PlannedPiece): Phrase =>
  what === 'tend' ? phrase`No. ${count(no)} goes on` : phrase`No. ${count(no)} is ${DONE[what]}`;

/** At which stage of its ticket hands are, at the table. */
export const STAGE_OF_HANDS: Record<HandsDo, Stage> = {
  prepare: 'piece',
  hoop: 'hoop',
  mount: 'mount',
  tend: 'stitch',
  'take off': 'finish',
  finish: 'finish',
};
