import { median } from 'd3-array';
import { type HouseNumber, numberFor } from '../../catalogue/houseNumber';
import { WORK_NUMBERS as W } from '../../catalogue/numbers/work';
import type { HouseRules } from '../../model/houseRules';
import type { Stage } from '../../model/stages';
import type { EntryFacts } from '../find/entryFacts';
import type { PictureOffer } from './offer';

/** A stretch of work of hands: the stages whose minutes it is made of, the first of which must have been timed. */
interface Stretch {
  name: string;
  stages: readonly [Stage, ...Stage[]];
  method?: EntryFacts['method'];
  numbers: readonly HouseNumber[];
}
const STRETCHES: readonly Stretch[] = [
  { name: W.prepareMinutes.name, stages: ['place', 'piece'], numbers: [W.prepareMinutes] },
  { name: W.hoopMinutes.name, stages: ['hoop', 'layers'], method: 'hooped', numbers: [W.hoopMinutes] },
  { name: W.floatMinutes.name, stages: ['hoop', 'layers'], method: 'floated', numbers: [W.floatMinutes] },
  { name: W.mountMinutes.name, stages: ['mount'], numbers: [W.mountMinutes] },
  // The ring is opened and the sheets torn at the stage of finishing.
  { name: 'Take off and finish a piece', stages: ['finish'], numbers: [W.takeOffMinutes, W.finishMinutes] },
];

/** Figures of minutes are told in halves. */
const inHalves = (minutes: number): number => Math.max(0.5, Math.round(minutes * 2) / 2);

/** What a stretch took of one entry, minutes; null where it was not timed, or of several pieces at once. */
function tookOf({ learned, method }: EntryFacts, stretch: Stretch): number | null {
  const pieces = (learned?.results ?? []).reduce((sum, one) => sum + one.pieces, 0);
  const [first] = stretch.stages;
  if (!learned || pieces !== 1 || !learned.minutes[first]) return null;
  if (stretch.method && stretch.method !== method) return null;
  return stretch.stages.reduce((sum, stage) => sum + (learned.minutes[stage] ?? 0), 0);
}

/**
 * Minutes of hands that the house counts otherwise than they were by the logbook: the middle one of the entries of a single
 * piece, in halves of a minute, where at least so many were timed and it is another figure than now. Where one stretch is
 * made of several numbers they keep their share.
 */
export function handsTook(entries: readonly EntryFacts[], rules: HouseRules, least: number): PictureOffer[] {
  return STRETCHES.flatMap((stretch) => {
    const timed = entries.flatMap((entry) => tookOf(entry, stretch) ?? []);
    if (timed.length < least) return [];
    const nows = stretch.numbers.map((number) => numberFor(rules, number));
    const now = nows.reduce((sum, one) => sum + one, 0);
    const times = now > 0 ? (median(timed) ?? now) / now : 0;
    const fitted = stretch.numbers.map(
      ({ id }, i) => [id, inHalves(times > 0 ? (nows[i] ?? 0) * times : (median(timed) ?? 0))] as const,
    );
    const total = fitted.reduce((sum, [, minutes]) => sum + minutes, 0);
    return Math.abs(total - now) < 0.25
      ? []
      : [
          {
            numbers: Object.fromEntries(fitted),
            name: stretch.name,
            now,
            fitted: total,
            unit: 'minutes',
            from: timed.length,
          },
        ];
  });
}
