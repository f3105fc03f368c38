import { count, metres, minutes, mm, type Phrase, percent, phrase } from '../../base/units/phrase';
import { numberFor } from '../../catalogue/houseNumber';
import type { ThreadKind } from '../../catalogue/materials';
import { STITCH_NUMBERS } from '../../catalogue/numbers/stitch';
import { type Finding, finding } from '../../model/finding';
import { type HouseRules, schoolFor } from '../../model/houseRules';
import { because, type Reason } from '../../model/reason';
import type { Machine, Shelf, Thread } from '../../model/shelf';
import type { StitchInput } from '../../model/ticket/stitch';
import { type ThreadMatch, threadFor } from '../../stock/fromShelf';
import { needlesOf } from '../../stock/supplies';
import { nameOfStep } from '../design/applique/appliqued';
import type { DesignFacts } from '../design/designFacts';
import type { PlannedStop } from '../design/parts/drawnPart';
import type { StopCounts } from '../design/stitches/asMade';
import type { PerStitch } from './bobbinEnd';
import { type BobbinPlan, bobbinPlan } from './bobbinPlan';
import { clothWork } from './clothWork';
import { fewestThreadings } from './needles';
import { needlesDue, withNeedles } from './needlesDue';
import { type StopTime, type Timeline, timelineOf } from './timeline';

export interface StitchStop extends PlannedStop, StopCounts {
  minutes: number;
  topM: number;
  bobbinM: number;
  time: StopTime;
  thread: Thread | null;
  /** By its thread, off the shelf where there is one; a step of an appliqué by what it is too. */
  called: string;
  match: ThreadMatch;
  /** The machine's needle it is on, from 0. */
  needle: number;
  /** Whether that needle must first be threaded anew. */
  rethreads: boolean;
  /** Whether the thread is the one before: nothing is changed. */
  isSame: boolean;
}

export interface StitchPlan {
  stops: StitchStop[];
  /** How often the design is stitched: its copies on every piece of the order; of names, counted in this one's stitches. */
  stitchings: number;
  totalMinutes: number;
  topM: number;
  bobbinNeededM: number;
  bobbinLeftM: number;
  /** The colour stop in which the bobbin would run out, and the piece, both from 0; null when it lasts. */
  runsOut: { stop: number; piece: number } | null;
  /** What is then left on the bobbin in the machine, full ones put in as they run out. */
  bobbinAfterM: number;
  /** One design from its beginning: the machine by itself, and hands. */
  timeline: Timeline;
  /** How bobbins are changed over a run of pieces that are alike; null for one piece, or where they are not. */
  bobbins: BobbinPlan | null;
  acts: Phrase[];
  findings: Finding[];
  reasons: Reason[];
}

/** Of a machine that nobody described, stitches a minute. */
export const DEFAULT_SPEED = 600;
/** Of a machine that nobody described, metres on a full bobbin. */
export const DEFAULT_BOBBIN_M = 60;

/** Metres of top thread for stitches: its factor × what they lay on top, and a little for each. */
export function topThreadM(
  { stitches, threadMm }: Pick<StopCounts, 'stitches' | 'threadMm'>,
  rules: HouseRules,
): number {
  const { factor, extraMm } = perStitchOf(rules);
  return (threadMm * factor + stitches * extraMm) / 1000;
}

/** Metres of bobbin thread for stitches: its share of the top thread. */
export const bobbinM = (counts: Pick<StopCounts, 'stitches' | 'threadMm'>, rules: HouseRules): number =>
  (topThreadM(counts, rules) * numberFor(rules, STITCH_NUMBERS.bobbinShare)) / 100;

/** What one stitch takes of top thread, as the shop counts it. */
export const perStitchOf = (rules: HouseRules): PerStitch => ({
  factor: numberFor(rules, STITCH_NUMBERS.topThreadFactor) / 100,
  extraMm: numberFor(rules, STITCH_NUMBERS.topThreadPerStitchMm),
});

type ThreadedStop = Omit<StitchStop, 'minutes' | 'topM' | 'bobbinM' | 'time'>;

const calledBy = ({ name, applique }: PlannedStop, thread: Thread | null): string => {
  if (!thread) return name;
  return applique ? `${thread.name}, ${nameOfStep(applique.step, applique.of)}` : thread.name;
};

/**
 * The thread of each stop and the needle it is on: threads go onto the needles in order, and where there are more of them
 * than needles as few as can be are put on again.
 */
export function threadNeedles(
  stops: readonly (PlannedStop & StopCounts)[],
  needles: number,
  { threads, kind }: { threads: readonly Thread[]; kind: ThreadKind },
): ThreadedStop[] {
  const matched = stops.map(({ hex }) => threadFor(hex, kind, threads));
  const colours = stops.map(({ hex }, i) => matched[i]?.thread?.id ?? hex);
  const used = new Set<number>();
  return fewestThreadings(
    colours.map((colour) => [colour]),
    needles,
  ).flatMap(({ needles: [needle = 0], putOn }, i): ThreadedStop[] => {
    const [stop, match] = [stops[i], matched[i]];
    if (!stop || !match) return [];
    // What only stands in for two colours is none of them: the shop may yet get both.
    const isItself = match.match !== 'substitute' && matched[i - 1]?.match !== 'substitute';
    const isSame = i > 0 && colours[i] === colours[i - 1] && (isItself || stop.hex === stops[i - 1]?.hex);
    const rethreads = !isSame && (needles === 1 ? i > 0 : putOn.length > 0 && used.has(needle));
    used.add(needle);
    return [{ ...stop, ...match, called: calledBy(stop, match.thread), needle, rethreads, isSame }];
  });
}

function planStop(stop: ThreadedStop, i: number, { machine, rules }: StitchContext): StitchStop {
  const change =
    i === 0 || stop.isSame
      ? 0
      : numberFor(rules, stop.rethreads ? STITCH_NUMBERS.changeOneNeedle : STITCH_NUMBERS.changeManyNeedles);
  const trims =
    stop.trims * numberFor(rules, machine?.trims ? STITCH_NUMBERS.trimByMachine : STITCH_NUMBERS.trimByHand);
  const sewing = stop.stitches / (machine?.stitchesPerMinute ?? DEFAULT_SPEED);
  const trimmedByHand = machine?.trims !== true;
  const cloth = clothWork(stop.applique, rules);
  return {
    ...stop,
    time: {
      change: { minutes: change / 60, byHand: i > 0 && stop.rethreads },
      sewing,
      trims: { minutes: trims / 60, byHand: trimmedByHand, count: stop.trims },
      cloth,
    },
    topM: topThreadM(stop, rules),
    bobbinM: bobbinM(stop, rules),
    minutes: sewing + (change + trims) / 60 + (cloth?.minutes ?? 0),
  };
}

/** The piece and the colour stop in which the bobbin ends: whole stitchings first, then stop by stop. */
function runsOut(
  stops: readonly StitchStop[],
  leftM: number,
  { copies, pieces }: Pick<StitchContext, 'copies' | 'pieces'>,
): StitchPlan['runsOut'] {
  const once = stops.reduce((sum, stop) => sum + stop.bobbinM, 0);
  if (once * copies * pieces <= leftM) return null;
  const whole = Math.floor(leftM / once);
  let used = whole * once;
  const stop = stops.findIndex(({ bobbinM: metres }) => {
    used += metres;
    return used > leftM;
  });
  return { stop: Math.max(0, stop), piece: Math.min(pieces - 1, Math.floor(whole / copies)) };
}

/** What is left on the bobbin once so much was taken, a full one put in whenever it ran out. */
export function bobbinAfter(leftM: number, takenM: number, fullM: number): number {
  if (takenM <= leftM) return leftM - takenM;
  const beyond = (takenM - leftM) % fullM;
  return beyond === 0 ? 0 : fullM - beyond;
}

function bobbinFinding(
  plan: Pick<StitchPlan, 'bobbinLeftM' | 'bobbinNeededM' | 'runsOut' | 'stops'>,
  fullM: number,
  { rules, pieces }: Pick<StitchContext, 'rules' | 'pieces'>,
): Finding[] {
  const share = (plan.bobbinLeftM / plan.bobbinNeededM) * 100;
  if (share >= numberFor(rules, STITCH_NUMBERS.bobbinLeastPercent)) return [];
  const { runsOut: out } = plan;
  const at = out && plan.stops[out.stop];
  const inPiece = out && pieces > 1 ? phrase`piece ${count(out.piece + 1)} of ${count(pieces)}, ` : phrase``;
  const text = at
    ? phrase`The bobbin runs out in ${inPiece}colour ${String(out.stop + 1)}, ${at.name}: ${metres(plan.bobbinLeftM)} left, ${metres(plan.bobbinNeededM)} needed.`
    : phrase`The bobbin is short: ${metres(plan.bobbinLeftM)} left is ${percent(share)} of the ${metres(plan.bobbinNeededM)} needed.`;
  const refill: Finding['mends'] =
    plan.bobbinLeftM < fullM
      ? [
          {
            label: phrase`Put in a full bobbin`,
            result: phrase`${metres(fullM)} to start with`,
            change: { stage: 'stitch', set: { bobbinLeftM: fullM } },
          },
        ]
      : [];
  return [
    { code: 'stitch-bobbin', stage: 'stitch', severity: 'warn', field: 'bobbinLeftM', text, mends: refill },
  ];
}

/** A warning for each needle that this ticket stitches with and that has its hours. */
function needleFindings(stops: readonly StitchStop[], machine: Machine | null, rules: HouseRules): Finding[] {
  const most = numberFor(rules, STITCH_NUMBERS.needleHours);
  const used = new Set(stops.map((stop) => stop.needle));
  return (machine ? needlesOf(machine) : []).flatMap(({ hours }, i) => {
    if (hours < most || !used.has(i)) return [];
    const which = machine?.needles === 1 ? 'The needle' : `Needle ${i + 1}`;
    const text = phrase`${which} has ${count(hours)} hours; change it after ${count(most)}. Power off first.`;
    return [finding('stitch', 'stitch-needle-worn', 'warn', text)];
  });
}

/** What the stitching depends on beyond the design. */
export interface StitchContext {
  machine: Machine | null;
  shelf: Shelf;
  rules: HouseRules;
  /** The thread the layers ask for. */
  kind: ThreadKind;
  /** How often the design is stitched on this piece. */
  copies: number;
  /** How many pieces the order makes. */
  pieces: number;
  /** How many of this one have as many stitches as all pieces together: of names, one is longer than another. */
  asManyOfThis: number;
}

/** How many bobbins are wound for a run, and when they are put in. */
function sayBobbins({ wind, after, before }: BobbinPlan): Phrase {
  if (wind === 0) return phrase`The bobbin in the machine lasts for the whole run.`;
  const first = before ? phrase` Put a full one in before the first piece.` : phrase``;
  const when =
    after.length === 0
      ? phrase``
      : phrase` Change it after ${after.length === 1 ? 'piece' : 'pieces'} ${after.join(', ')}.`;
  return phrase`Wind ${count(wind)} ${wind === 1 ? 'bobbin' : 'bobbins'} for the run.${first}${when}`;
}

/**
 * Colour stops of one copy with their minutes and thread, the totals of all copies on all pieces, and whether the
 * bobbin lasts: as the last piece left it, unless the maker says otherwise.
 */
export function planStitch(input: StitchInput, facts: DesignFacts, context: StitchContext): StitchPlan {
  const { machine, shelf, rules, copies, asManyOfThis } = context;
  const stitchings = copies * asManyOfThis;
  const needles = machine?.needles ?? 1;
  const stops = threadNeedles(facts.stops, needles, { threads: shelf.threads, kind: context.kind }).map(
    (stop, i) => planStop(stop, i, context),
  );
  const total = (of: (stop: StitchStop) => number) =>
    stops.reduce((sum, stop) => sum + of(stop), 0) * stitchings;
  const fullM = machine?.bobbinMetres ?? DEFAULT_BOBBIN_M;
  const bobbinLeftM = input.bobbinLeftM ?? machine?.bobbinLeftM ?? fullM;
  const bobbinNeededM = total((s) => s.bobbinM);
  // Of names one is longer than another: a run of them is not of pieces alike.
  const bobbins =
    context.pieces > 1 && asManyOfThis === context.pieces && bobbinNeededM > 0
      ? bobbinPlan({
          pieces: context.pieces,
          eachM: bobbinNeededM / context.pieces,
          leftM: bobbinLeftM,
          fullM,
          leastShare: numberFor(rules, STITCH_NUMBERS.bobbinLeastPercent) / 100,
        })
      : null;
  const plan = {
    stops,
    stitchings,
    totalMinutes: total((s) => s.minutes),
    topM: total((s) => s.topM),
    bobbinNeededM,
    bobbinLeftM,
    runsOut: runsOut(stops, bobbinLeftM, context),
    timeline: withNeedles(
      timelineOf(stops.map(({ called, time }) => ({ name: called, time }))),
      needlesDue(stops, { machine, rules }),
      rules,
    ),
    bobbinAfterM: bobbins?.leftM ?? bobbinAfter(bobbinLeftM, bobbinNeededM, fullM),
    bobbins,
  };
  const threadMm = facts.stops.reduce((sum, stop) => sum + stop.threadMm, 0);
  const trims = facts.stops.reduce((sum, stop) => sum + stop.trims, 0);
  const changes = stops.filter(({ isSame }, i) => i > 0 && !isSame).length;
  const betweenColours = schoolFor(rules, 'jumps') === 'betweenColours';
  return {
    ...plan,
    acts: [
      phrase`At every stop: look beneath the hoop, and listen.`,
      betweenColours
        ? phrase`Trim jump threads at each colour change.`
        : phrase`Leave jump threads until the end.`,
      ...(plan.bobbins ? [sayBobbins(plan.bobbins)] : []),
      ...(stops.some((stop) => stop.rethreads)
        ? [
            phrase`Change a thread by cutting it at the spool and pulling it out forwards, through the needle.`,
          ]
        : []),
      ...stops.flatMap(({ rethreads, needle, called }, i) =>
        needles > 1 && rethreads
          ? [
              phrase`Colour ${String(i + 1)} is on needle ${String(needle + 1)} again: thread it with ${called}.`,
            ]
          : [],
      ),
    ],
    findings: [...bobbinFinding(plan, fullM, context), ...needleFindings(stops, machine, rules)],
    reasons: [
      because('time', phrase`Stitches by speed, colour changes and jump trims.`, [
        phrase`${count(facts.stitches)} stitches ÷ ${count(machine?.stitchesPerMinute ?? DEFAULT_SPEED)} a minute = ${minutes(facts.stitches / (machine?.stitchesPerMinute ?? DEFAULT_SPEED))}`,
        ...(stitchings > 1
          ? [
              phrase`with ${count(changes)} changes and ${count(trims)} trims ${minutes(plan.totalMinutes / stitchings)} each, ${count(stitchings)} of them: ${minutes(plan.totalMinutes)}`,
            ]
          : [phrase`with ${count(changes)} changes and ${count(trims)} trims ${minutes(plan.totalMinutes)}`]),
      ]),
      because('thread', phrase`Top thread by stitch length, bobbin as its share.`, [
        phrase`${count(numberFor(rules, STITCH_NUMBERS.topThreadFactor) / 100)} × ${metres(threadMm / 1000)} laid on top + ${count(facts.stitches)} stitches × ${mm(numberFor(rules, STITCH_NUMBERS.topThreadPerStitchMm))} = ${metres(plan.topM / stitchings)}${stitchings > 1 ? phrase`, ${count(stitchings)} of them: ${metres(plan.topM)}` : phrase``}`,
        phrase`bobbin ${percent(numberFor(rules, STITCH_NUMBERS.bobbinShare))} = ${metres(plan.bobbinNeededM)}`,
      ]),
    ],
  };
}
