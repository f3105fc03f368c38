import { count, type Phrase, phrase } from '../../base/units/phrase';
import type { ClothWork } from './clothWork';

/** What of a stop's time the machine works by itself, and what hands do, minutes; in the order of work. */
export interface StopTime {
  /** Changing the thread before it. */
  change: { minutes: number; byHand: boolean };
  sewing: number;
  trims: { minutes: number; byHand: boolean; count: number };
  /** What is done behind it to the cloth of an appliqué, by hand; null for nothing. */
  cloth: ClothWork | null;
}

/** A stretch of the stitch-out, from its beginning, minutes. */
export interface Stretch {
  stop: number;
  from: number;
  to: number;
  /** The machine sews by itself, or somebody must be there. */
  by: 'machine' | 'hands';
}

/** When somebody must be there, minutes from the beginning, and what for. */
export interface Presence {
  at: number;
  what: Phrase;
}

export interface Timeline {
  stretches: Stretch[];
  presences: Presence[];
  machineMinutes: number;
  handsMinutes: number;
}

interface Named {
  name: string;
  time: StopTime;
}

/** The stretches of one stop, beginning at a time. */
function stretchesOf({ time }: Named, stop: number, from: number): Stretch[] {
  const { change, sewing, trims, cloth } = time;
  const machine = sewing + (trims.byHand ? 0 : trims.minutes) + (change.byHand ? 0 : change.minutes);
  const begins = from + (change.byHand ? change.minutes : 0);
  const ends = begins + machine;
  const all: Stretch[] = [
    { stop, from, to: begins, by: 'hands' },
    { stop, from: begins, to: ends, by: 'machine' },
    { stop, from: ends, to: ends + (trims.byHand ? trims.minutes : 0) + (cloth?.minutes ?? 0), by: 'hands' },
  ];
  return all.filter(({ from: a, to: b }) => b > a);
}

function presenceOf({ name, time }: Named, stop: number, at: number): Presence[] {
  if (stop === 0) return [{ at, what: phrase`thread ${name}, and start` }];
  return time.change.byHand ? [{ at, what: phrase`change to ${name}` }] : [];
}

/**
 * The stitch-out of one design from its beginning: stop after stop, what the machine does by itself and what hands do.
 * Trims by hand are counted behind the stop they are in.
 */
export function timelineOf(stops: readonly Named[]): Timeline {
  const stretches: Stretch[] = [];
  const presences: Presence[] = [];
  let at = 0;
  for (const [i, stop] of stops.entries()) {
    presences.push(...presenceOf(stop, i, at));
    const own = stretchesOf(stop, i, at);
    stretches.push(...own);
    at = own[own.length - 1]?.to ?? at;
    const { trims, cloth } = stop.time;
    const clothFrom = at - (cloth?.minutes ?? 0);
    if (trims.byHand && trims.count > 0)
      presences.push({
        at: clothFrom - trims.minutes,
        what: phrase`cut ${count(trims.count)} ${trims.count === 1 ? 'jump thread' : 'jump threads'} of ${stop.name}`,
      });
    if (cloth) presences.push({ at: clothFrom, what: cloth.what });
  }
  if (at > 0) presences.push({ at, what: phrase`take it off` });
  const sum = (by: Stretch['by']): number =>
    stretches.reduce((total, { from, to, by: own }) => total + (own === by ? to - from : 0), 0);
  return { stretches, presences, machineMinutes: sum('machine'), handsMinutes: sum('hands') };
}

/** The minute at which a share of a stop is stitched, 0 to 1, from the beginning; 0 for a stop that is not there. */
export function minuteIn({ stretches }: Pick<Timeline, 'stretches'>, stop: number, share: number): number {
  const own = stretches.find((one) => one.stop === stop && one.by === 'machine');
  return own ? own.from + (own.to - own.from) * share : 0;
}
