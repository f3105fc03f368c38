import type { Point } from '../base/geometry/point';
import { type DisplayUnits, parseLength } from '../base/units/length';
import { say } from '../base/units/phrase';
import type { Plan } from '../planner/planned';
import type { Step } from '../table/deck/step';

const MM: DisplayUnits = { system: 'mm' };

const WAYS: Record<string, Point> = {
  left: { x: -1, y: 0 },
  right: { x: 1, y: 0 },
  up: { x: 0, y: -1 },
  down: { x: 0, y: 1 },
};

/** Of the axis line and the line square to it, the ways there are to go; the one that is meant leads most as it is said. */
function unitAlong(axisDeg: number, word: string, how: string): Point {
  const a = ((how === 'along' ? axisDeg : axisDeg + 90) * Math.PI) / 180;
  const line = { x: Math.cos(a), y: Math.sin(a) };
  const said = WAYS[word] as Point;
  const sign = line.x * said.x + line.y * said.y > 0 ? 1 : -1;
  return { x: line.x * sign, y: line.y * sign };
}

/** Where a hand marks the hoop centre that does what the steps say, with nothing but the chalked marks before it. */
export function markedBy(
  steps: readonly Step[],
  { centre, axisEnds: [left, right] }: NonNullable<Plan['place']>,
  units: DisplayUnits = MM,
): Point {
  const step = steps.find(({ id }) => id === 'hoop centre');
  if (!step) return centre;
  const axisDeg = (Math.atan2(right.y - left.y, right.x - left.x) * 180) / Math.PI;
  return goneFrom(centre, axisDeg, step, units);
}

/** Where a hand comes that goes from a mark as a step says, by its own tape. */
function goneFrom(mark: Point, axisDeg: number, { text }: Step, units: DisplayUnits): Point {
  const said = say(text, units).replace(/^.* go /, '');
  const legs = said.split(', then ').map((leg) => / (left|right|up|down) (along|square)/.exec(leg));
  return legs.reduce((at, leg) => {
    const read = leg && parseLength(leg.input.slice(0, leg.index), units.system);
    if (!leg || !read?.ok) throw new Error(`no way in: ${said}`);
    const unit = unitAlong(axisDeg, leg[1] ?? '', leg[2] ?? '');
    return { x: at.x + unit.x * read.mm, y: at.y + unit.y * read.mm };
  }, mark);
}

/** How the piece lies in the hoop when a further copy or part is stitched, by its number. */
export interface HoopedFurther {
  number: number;
  at: Point;
  onPieceDeg: number;
  isHoopedAnew: boolean;
}

/** How hands hoop every further copy and part that do what the steps say, and nothing else. */
export function hoopedFurther(
  { place, hoop }: Plan,
  steps: readonly Step[],
  first: Point,
  units: DisplayUnits = MM,
): HoopedFurther[] {
  if (!place || !hoop?.laid) return [];
  const copies = place.copies.length > 0 ? place.copies : [place];
  const { onPieceDeg: planned } = hoop.laid;
  let [at, onPieceDeg, isHoopedAnew] = [first, planned, false];
  const done: HoopedFurther[] = [];
  for (const step of steps.filter(({ phase }) => phase === 'further copies')) {
    const text = say(step.text, units);
    if (step.id.startsWith('off ')) [onPieceDeg, isHoopedAnew] = [planned, true];
    if (step.id.startsWith('turn '))
      onPieceDeg = planned + Number(/Turn the hoop ([\d.-]+)°/.exec(text)?.[1]);
    if (/^(hoop centre|notches) /.test(step.id) && /centre mark/.test(text)) {
      const from =
        copies[Number(/centre mark(?: and both axis marks)? of no\. (\d+)/.exec(text)?.[1] ?? 1) - 1];
      if (!from) throw new Error(`no mark in: ${text}`);
      at = / go /.test(text) ? goneFrom(from.centre, from.turnDeg, step, units) : from.centre;
    }
    if (step.keys !== null) {
      done.push({ number: step.keys, at, onPieceDeg, isHoopedAnew });
      isHoopedAnew = false;
    }
  }
  return done;
}
