import { mean, median, quantile } from 'd3-array';
import { z } from 'zod';
import { mm, type Phrase, PhraseSchema, phrase } from '../../base/units/phrase';
import { type HouseNumber, numberFor } from '../../catalogue/houseNumber';
import { DESIGN_NUMBERS } from '../../catalogue/numbers/design';
import { EVIDENCE_NUMBERS as N } from '../../catalogue/numbers/evidence';
import { STITCH_NUMBERS } from '../../catalogue/numbers/stitch';
import { FAULT_IDS } from '../../model/faults';
import type { HouseRules } from '../../model/houseRules';
import { LogSummarySchema } from '../../model/logEntry';
import { STAGES } from '../../model/stages';
import { type EntryFacts, FITTED_FIGURES, type FittedFigure } from '../find/entryFacts';
import { handsTook } from './handsTook';
import { PictureOfferSchema } from './offer';

const MissedSchema = z.object({
  placement: z.string(),
  points: z.array(z.object({ right: z.number(), down: z.number(), turnDeg: z.number().nullable() })),
  mean: z.object({ right: z.number(), down: z.number() }),
  /** Where on the average it sits, if that is no chance; null while too few were measured. */
  text: PhraseSchema.nullable(),
});
const CameOutSchema = z.object({
  fabricId: z.string(),
  method: LogSummarySchema.shape.method,
  pieces: z.number().int(),
  clean: z.number().int(),
  /** How many pieces had each fault. */
  faults: z.partialRecord(z.enum(FAULT_IDS), z.number().int()),
});
const TookSchema = z.object({
  stage: z.enum(STAGES),
  n: z.number().int(),
  /** A quarter took less than the first, half less than the middle one, a quarter more than the last. */
  quarter: z.number(),
  half: z.number(),
  threeQuarters: z.number(),
});
const NeedleAgeSchema = z.object({
  fromHours: z.number(),
  toHours: z.number(),
  pieces: z.number().int(),
  /** Of them: a needle broke, or thread nested. */
  bad: z.number().int(),
});
const FitSchema = z.object({
  figure: z.enum(FITTED_FIGURES),
  n: z.number().int(),
  /** How many times what was worked out it really was: the middle one, and between which half of them lie. */
  times: z.number(),
  low: z.number(),
  high: z.number(),
  points: z.array(z.object({ planned: z.number(), was: z.number() })),
  /** The number of the house that would meet it, where one does and enough were measured. */
  offers: PictureOfferSchema.nullable(),
});
export const PicturesSchema = z.object({
  pieces: z.number().int(),
  missed: z.array(MissedSchema),
  cameOut: z.array(CameOutSchema),
  took: z.array(TookSchema),
  /** Minutes of hands that the house counts otherwise than they were. */
  hands: z.array(PictureOfferSchema),
  needles: z.array(NeedleAgeSchema),
  fits: z.array(FitSchema),
});
export type Pictures = z.infer<typeof PicturesSchema>;

/** So many points of a picture are drawn, the latest. */
const MOST_POINTS = 300;
/** A bias below this is not worth a word, mm. */
const WORTH_MM = 0.5;

/** Whether the mean of figures is surely not nothing: by twice its standard error. */
function isBiased(values: readonly number[]): boolean {
  const middle = mean(values) ?? 0;
  const variance =
    (mean(values.map((v) => (v - middle) ** 2)) ?? 0) * (values.length / Math.max(1, values.length - 1));
  return Math.abs(middle) >= WORTH_MM && Math.abs(middle) > 2 * Math.sqrt(variance / values.length);
}

function biasInWords(placement: string, points: readonly { right: number; down: number }[]): Phrase {
  const [right, down] = [points.map((p) => p.right), points.map((p) => p.down)];
  const said = [
    ...(isBiased(down)
      ? [phrase`${mm(Math.abs(mean(down) ?? 0))} ${(mean(down) ?? 0) > 0 ? 'low' : 'high'}`]
      : []),
    ...(isBiased(right)
      ? [phrase`${mm(Math.abs(mean(right) ?? 0))} to the ${(mean(right) ?? 0) > 0 ? 'right' : 'left'}`]
      : []),
  ];
  const where = placement === '' ? '' : `, at ${placement.toLowerCase()}`;
  if (said.length === 0) return phrase`You sit where you should${where}: what is off goes every way.`;
  return phrase`You sit ${said.flatMap((part, i) => (i === 0 ? part : [' and ', ...part]))}${where}.`;
}

function grouped<T, K>(items: Iterable<T>, key: (item: T) => K): Map<K, T[]> {
  const groups = new Map<K, T[]>();
  for (const item of items) {
    const group = groups.get(key(item));
    if (group) group.push(item);
    else groups.set(key(item), [item]);
  }
  return groups;
}

function missed(entries: readonly EntryFacts[], least: number): Pictures['missed'] {
  const points = entries.flatMap(({ learned }) =>
    (learned?.off ?? []).map((off) => ({ ...off, placement: learned?.placement ?? '' })),
  );
  return [...grouped(points, ({ placement }) => placement)]
    .map(([placement, all]) => ({
      placement,
      points: all.slice(-MOST_POINTS).map(({ right, down, turnDeg }) => ({ right, down, turnDeg })),
      mean: { right: mean(all, (p) => p.right) ?? 0, down: mean(all, (p) => p.down) ?? 0 },
      text: all.length >= least ? biasInWords(placement, all) : null,
    }))
    .sort((a, b) => b.points.length - a.points.length);
}

function cameOut(entries: readonly EntryFacts[]): Pictures['cameOut'] {
  return [...grouped(entries, ({ fabricId, method }) => `${fabricId}|${method}`).values()]
    .flatMap((group) => {
      const [first] = group;
      if (!first) return [];
      const results = group.flatMap(({ learned }) => learned?.results ?? []);
      const faults: Pictures['cameOut'][number]['faults'] = {};
      let [pieces, clean] = [0, 0];
      for (const result of results) {
        pieces += result.pieces;
        const seen = FAULT_IDS.filter((fault) => (result.faults[fault] ?? 0) > 0);
        if (seen.length === 0) clean += result.pieces;
        for (const fault of seen) faults[fault] = (faults[fault] ?? 0) + result.pieces;
      }
      return pieces === 0 ? [] : [{ fabricId: first.fabricId, method: first.method, pieces, clean, faults }];
    })
    .sort((a, b) => b.pieces - a.pieces);
}

function took(entries: readonly EntryFacts[]): Pictures['took'] {
  return STAGES.flatMap((stage) => {
    const minutes = entries.flatMap(({ learned }) => learned?.minutes[stage] ?? []);
    if (minutes.length === 0) return [];
    const at = (p: number) => quantile(minutes, p) ?? 0;
    return [{ stage, n: minutes.length, quarter: at(0.25), half: at(0.5), threeQuarters: at(0.75) }];
  });
}

/** The hours of a needle, told in steps of two. */
const STEP_HOURS = 2;

function needles(entries: readonly EntryFacts[]): Pictures['needles'] {
  const aged = entries.flatMap(({ learned }) => {
    if (!learned || learned.needleHours === null) return [];
    const bad = learned.results.some(({ faults }) => faults['needle-break'] || faults.nests);
    return [{ step: Math.floor(learned.needleHours / STEP_HOURS), bad }];
  });
  return [...grouped(aged, ({ step }) => step)]
    .sort(([a], [b]) => a - b)
    .map(([step, group]) => ({
      fromHours: step * STEP_HOURS,
      toHours: (step + 1) * STEP_HOURS,
      pieces: group.length,
      bad: group.filter(({ bad }) => bad).length,
    }));
}

/** The numbers of the house that a figure is worked out by. */
const NUMBERS_OF: Record<FittedFigure, readonly HouseNumber[]> = {
  'stitch minutes': [],
  stitches: [DESIGN_NUMBERS.countFillPercent, DESIGN_NUMBERS.countSatinPercent],
  'top thread': [STITCH_NUMBERS.topThreadFactor],
  'bobbin thread': [STITCH_NUMBERS.bobbinShare],
};
/** Nearer to 1 than this a number is as good as it is. */
const GOOD_ENOUGH = 0.03;

function fits(entries: readonly EntryFacts[], rules: HouseRules, least: number): Pictures['fits'] {
  const all = entries.flatMap(({ learned }) => learned?.figures ?? []);
  return FITTED_FIGURES.flatMap((figure) => {
    const own = all.filter((one) => one.figure === figure);
    if (own.length === 0) return [];
    const ratios = own.map(({ planned, was }) => was / planned);
    const times = median(ratios) ?? 1;
    const numbers = NUMBERS_OF[figure];
    const [number] = numbers;
    const now = number ? numberFor(rules, number) : 0;
    const isOff = own.length >= least && Math.abs(times - 1) > GOOD_ENOUGH;
    return [
      {
        figure,
        n: own.length,
        times,
        low: quantile(ratios, 0.25) ?? times,
        high: quantile(ratios, 0.75) ?? times,
        points: own.slice(-MOST_POINTS).map(({ planned, was }) => ({ planned, was })),
        offers:
          number && isOff
            ? {
                numbers: Object.fromEntries(numbers.map(({ id }) => [id, Math.round(now * times)])),
                name: number.name,
                now,
                fitted: Math.round(now * times),
                unit: number.unit,
                from: own.length,
              }
            : null,
      },
    ];
  });
}

/**
 * What a logbook shows of itself: where pieces sit against their marks (mm, right and down), how they came out by cloth and
 * method, minutes of each stage, how old needles were when they broke, and what was worked out beside what it was. Means
 * and fits are told from as many as evidence begins with.
 */
export function picturesOf(entries: readonly EntryFacts[], rules: HouseRules): Pictures {
  const least = numberFor(rules, N.evidenceLeast);
  return {
    pieces: entries.reduce(
      (sum, { learned }) => sum + (learned?.results ?? []).reduce((n, { pieces }) => n + pieces, 0),
      0,
    ),
    missed: missed(entries, least),
    cameOut: cameOut(entries),
    took: took(entries),
    hands: handsTook(entries, rules, least),
    needles: needles(entries),
    fits: fits(entries, rules, least),
  };
}
