import fc from 'fast-check';
import { boxOf, centreOf, heightOf, widthOf } from '../../../base/geometry/box';
import { say } from '../../../base/units/phrase';
import { DEFAULT_HOUSE_RULES } from '../../../model/houseRules';
import { type DesignInput, DesignInputSchema, EMPTY_DESIGN } from '../../../model/ticket/design';
import { USUAL_LETTERING } from '../../../model/ticket/lettering';
import { EMPTY_PART, type Part } from '../../../model/ticket/part';
import { TWO_SQUARES } from '../../../testing/samples';
import { fabricOf } from '../../piece/planPiece';
import { type ColourOrder, runsOf } from '../order/colourOrder';
import { planDesign } from '../planDesign';
import {
  ALIGN_TO,
  aligned,
  boxOfAll,
  copied,
  lifted,
  mirrorParts,
  moveParts,
  pairedInGlass,
  partAt,
  ringed,
  scaled,
  spread,
  turned,
  withElementsMoved,
  without,
  withPartAdded,
  wreathed,
} from './acts';
import { drawnPart } from './drawnPart';
import { isOrder, stopMoved } from './stopActs';
import { blocksOf, stopsOfDesign } from './stopsOfDesign';

const FABRIC = fabricOf({ fabricId: '', fabricChanges: {} });
const MM = { system: 'mm' } as const;
const RED = { hex: '#A93F36', name: 'madder', stitches: null };
const NAVY = { hex: '#1F3A5F', name: 'navy', stitches: null };

/** A plain size in one colour. */
const box = (
  id: string,
  [x, y]: [number, number],
  [w, h]: [number, number] = [20, 10],
  more: Partial<Part> = {},
): Part => ({
  ...EMPTY_PART,
  id: `part-of-${id}`,
  at: { x, y },
  widthMm: w,
  heightMm: h,
  stitches: 500,
  colours: [RED],
  ...more,
});
const idOf = (id: string) => `part-of-${id}`;
const designOf = (...parts: Part[]): DesignInput => ({ ...EMPTY_DESIGN, name: 'Composed', parts });
const plan = (...parts: Part[]) => planDesign(designOf(...parts), DEFAULT_HOUSE_RULES, FABRIC);
const factsOf = (...parts: Part[]) => {
  const { facts } = plan(...parts);
  if (!facts) throw new Error('no facts');
  return facts;
};
const drawn = (parts: readonly Part[]) => parts.flatMap((part) => drawnPart(part) ?? []);
let count = 0;
const newId = () => `new-part-${++count}`;

describe('a design of parts', () => {
  it('is as large as its parts reach, about their common middle, with all their stitches', () => {
    const facts = factsOf(box('a', [0, 0]), box('b', [40, 30]));
    expect([facts.widthMm, facts.heightMm, facts.stitches]).toEqual([60, 40, 1000]);
    expect(facts.centre).toEqual({ x: 20, y: 15 });
    expect(centreOf(boxOf(facts.hull))).toEqual({ x: 0, y: 0 });
    expect(facts.elements).toHaveLength(2);
  });

  it('is as dense as its parts, and not as the cloth between them', () => {
    const [alone, far] = [factsOf(box('a', [0, 0])), factsOf(box('a', [0, 0]), box('b', [200, 0]))];
    expect(far.density).toBeCloseTo(alone.density, 9);
  });

  it('turns, mirrors and scales its parts about their own centres', () => {
    const part = box('a', [5, 5], [20, 10], { turnDeg: 90, scalePercent: 200 });
    const facts = factsOf(part);
    expect([facts.widthMm, facts.heightMm]).toEqual([20, 40]);
    const square = { ...EMPTY_PART, widthMm: 120, heightMm: 40, stitches: 100, artwork: TWO_SQUARES };
    const mirroredPaths = factsOf({ ...square, mirrored: true }).artwork?.paths.map(({ d }) => d);
    expect(mirroredPaths?.[0]).toBe('M60 -20L20 -20L20 20L60 20Z');
  });

  it('draws sizes off the machine as boxes where there are several, or one is turned', () => {
    expect(factsOf(box('a', [0, 0])).artwork).toBeNull();
    expect(factsOf(box('a', [0, 0]), box('b', [40, 0])).artwork?.paths.map(({ d }) => d)).toEqual([
      'M-30 -5L-10 -5L-10 5L-30 5Z',
      'M10 -5L30 -5L30 5L10 5Z',
    ]);
    expect(factsOf(box('a', [0, 0], [20, 10], { turnDeg: 90 })).artwork?.paths.map(({ d }) => d)).toEqual([
      'M5 -10L5 10L-5 10L-5 -10Z',
    ]);
  });

  it('keeps the stitches of a size off the machine, and stitches shapes anew, at another size', () => {
    const typed = { ...box('a', [0, 0]), scalePercent: 50 };
    const shapes = { ...typed, artwork: TWO_SQUARES };
    expect([factsOf(typed).stitches, factsOf(shapes).stitches]).toEqual([500, 125]);
    expect(plan(typed).findings.map(({ code }) => code)).toContain('design-shrunk-too-far');
    expect(plan(shapes).findings.map(({ code }) => code)).not.toContain('design-shrunk-too-far');
  });

  it('waits for a part that nobody has said the size of, by its name', () => {
    const bare = { ...EMPTY_PART, id: 'bare-part', densityClass: 'light' as const };
    const { facts, findings } = plan(box('a', [0, 0]), bare);
    expect(facts).toBeNull();
    expect(findings.map(({ text, field }) => [say(text, MM), field])).toEqual([
      ["Still to enter: “off the machine”'s width.", 'parts.1.widthMm'],
      ["Still to enter: “off the machine”'s height.", 'parts.1.heightMm'],
    ]);
  });

  it('waits for letters that are still to be set, or say nothing', () => {
    const letters = (text: string) => ({ ...EMPTY_PART, letters: { ...USUAL_LETTERING, text } });
    const codes = (text: string) => plan(letters(text)).findings.map(({ code }) => code);
    expect([codes('Anna'), codes(' ')]).toEqual([['design-letters-unset'], ['design-letters-empty']]);
    // Set from another recipe: it is drawn as it was, and waits.
    const stale = { ...letters('Anna'), widthMm: 40, heightMm: 10, stitches: 300, artwork: TWO_SQUARES };
    expect(plan(stale).facts).not.toBeNull();
    expect(plan(stale).findings.map(({ code }) => code)).toContain('design-letters-unset');
  });

  it('is found under the finger, the topmost first', () => {
    const parts = [box('low', [0, 0]), box('high', [5, 0])];
    expect(partAt(parts, { x: 0, y: 0 }, 0)?.id).toBe(idOf('high'));
    expect(partAt(parts, { x: -9, y: 0 }, 0)?.id).toBe(idOf('low'));
    expect(partAt(parts, { x: -12, y: 0 }, 0)).toBeNull();
    expect(partAt(parts, { x: -12, y: 0 }, 3)?.id).toBe(idOf('low'));
    // What the finger is on comes before what it is near.
    const apart = [box('here', [0, 0]), box('near', [22, 0])];
    expect(partAt(apart, { x: 9, y: 0 }, 12)?.id).toBe(idOf('here'));
    expect(partAt(apart, { x: 11.5, y: 0 }, 12)?.id).toBe(idOf('near'));
  });
});

describe('arranging', () => {
  const parts = [box('a', [0, 0]), box('b', [50, 10], [10, 10]), box('c', [70, -5], [8, 30])];
  const all = { parts, ids: parts.map(({ id }) => id) };
  const boxes = (now: readonly Part[]) => drawn(now).map(({ hull }) => boxOf(hull));

  it.each(ALIGN_TO)('lines up what is chosen: %s', (to) => {
    const sideOf = { left: 'left', right: 'right', top: 'top', bottom: 'bottom' } as const;
    const figure = (b: ReturnType<typeof boxOf>) =>
      to === 'centre' ? centreOf(b).x : to === 'middle' ? centreOf(b).y : b[sideOf[to]];
    const figures = boxes(aligned(all, to)).map(figure);
    for (const mm of figures) expect(mm).toBeCloseTo(figures[0] ?? 0, 1);
  });

  it('lines one up with the rest of the design', () => {
    const one = aligned({ parts, ids: [idOf('a')] }, 'centre');
    expect(centreOf(boxes(one)[0] ?? boxOf([])).x).toBeCloseTo(59.5, 6);
    expect(one.slice(1)).toEqual(parts.slice(1));
  });

  it('spreads evenly: the gaps are equal, and the outermost stay', () => {
    const now = boxes(spread(all, 'across'));
    const gaps = [(now[1]?.left ?? 0) - (now[0]?.right ?? 0), (now[2]?.left ?? 0) - (now[1]?.right ?? 0)];
    expect(gaps[0]).toBeCloseTo(gaps[1] ?? 0, 1);
    expect([now[0]?.left, now[2]?.right]).toEqual([boxes(parts)[0]?.left, boxes(parts)[2]?.right]);
  });

  it('turns and scales together about the common middle, so that the arrangement stays what it was', () => {
    const whole = boxOfAll(parts);
    const round = boxOfAll(turned(all, 90));
    expect(centreOf(round).x).toBeCloseTo(centreOf(whole).x, 1);
    expect([widthOf(round), heightOf(round)].map(Math.round)).toEqual([
      Math.round(heightOf(whole)),
      Math.round(widthOf(whole)),
    ]);
    expect(widthOf(boxOfAll(scaled(all, 2)))).toBeCloseTo(2 * widthOf(whole), 0);
    expect(scaled(all, 1000).map(({ scalePercent }) => scalePercent)).toEqual([1000, 1000, 1000]);
  });

  it('copies on top, and chooses the copies', () => {
    const made = copied({ parts, ids: [idOf('a')] }, newId);
    expect(made.parts).toHaveLength(4);
    expect(made.ids).toEqual([made.parts[3]?.id]);
  });

  it('puts a mirrored copy as far on the other side of the rest; letters are never mirrored', () => {
    const name = { ...box('name', [0, 0], [40, 10]), letters: { ...USUAL_LETTERING, text: 'Anna' } };
    const sprig = { ...box('sprig', [-40, 0], [10, 20]), turnDeg: 30, artwork: TWO_SQUARES };
    const made = pairedInGlass({ parts: [name, sprig], ids: [sprig.id] }, newId).parts;
    expect(made[2]).toMatchObject({ at: { x: 40, y: 0 }, turnDeg: -30, mirrored: true });
    const both = mirrorParts({ parts: [name, sprig], ids: [name.id, sprig.id] });
    expect(both.map((part) => part.mirrored)).toEqual([false, true]);
    const whole = boxOfAll([name, sprig]);
    expect(widthOf(boxOfAll(both))).toBeCloseTo(widthOf(whole), 0);
  });

  it('makes a ring about a middle below what is chosen, each looking outwards', () => {
    const leaf = box('leaf', [0, -30], [10, 10]);
    const ring = ringed({ parts: [leaf], ids: [leaf.id] }, { count: 4, radiusMm: 30, turning: true }, newId);
    expect(ring.parts.map(({ at }) => [at.x, at.y])).toEqual([
      [0, -30],
      [30, 0],
      [0, 30],
      [-30, 0],
    ]);
    expect(ring.parts.map(({ turnDeg }) => ((turnDeg % 360) + 360) % 360)).toEqual([0, 90, 180, 270]);
    const upright = ringed(
      { parts: [leaf], ids: [leaf.id] },
      { count: 2, radiusMm: 30, turning: false },
      newId,
    );
    expect(upright.parts.map(({ turnDeg }) => turnDeg)).toEqual([0, 0]);
  });

  it('makes a wreath of a part round another: all as far out, none on what it goes round, none on its neighbour', () => {
    const monogram = box('monogram', [5, 5], [40, 30]);
    fc.assert(
      fc.property(fc.integer({ min: 3, max: 25 }), fc.integer({ min: 3, max: 25 }), (width, height) => {
        const leaf = box('leaf', [80, 0], [width, height]);
        const { parts: all_, ids } = wreathed([monogram, leaf], { round: monogram.id, of: leaf.id }, newId);
        const leaves = all_.filter((part) => ids.includes(part.id));
        expect(leaves.length).toBe(all_.length - 1);
        const far = leaves.map(({ at }) => Math.hypot(at.x - 5, at.y - 5));
        expect(Math.max(...far) - Math.min(...far)).toBeLessThan(0.02);
        expect(Math.min(...far) - height / 2).toBeGreaterThanOrEqual(25 + 2.9);
        const [one, next] = leaves;
        const apart = Math.hypot((one?.at.x ?? 0) - (next?.at.x ?? 0), (one?.at.y ?? 0) - (next?.at.y ?? 0));
        expect(apart).toBeGreaterThan(width * 0.8);
      }),
    );
    const bare = { ...EMPTY_PART, id: idOf('bare') };
    expect(wreathed([monogram, bare], { round: monogram.id, of: bare.id }, newId).parts).toEqual([
      monogram,
      bare,
    ]);
  });

  it('lifts and lowers by one, and leaves the last part', () => {
    const ids = [idOf('a')];
    expect(lifted({ parts, ids }, 1).map(({ id }) => id)).toEqual([idOf('b'), idOf('a'), idOf('c')]);
    expect(lifted({ parts, ids }, -1)).toEqual(parts);
    expect(without(all)).toBeNull();
    expect(without({ parts, ids })?.length).toBe(2);
  });

  it('adds below what is there, and takes the place of a part that nothing was said of', () => {
    const added = withPartAdded(parts, box('new', [0, 0], [30, 6]));
    const [last] = boxes(added).slice(-1);
    expect((last?.top ?? 0) - boxOfAll(parts).bottom).toBeCloseTo(4, 6);
    expect(withPartAdded([EMPTY_PART], box('new', [0, 0]))).toHaveLength(1);
  });

  it('moves elements in the design’s frame, however their part is turned, mirrored and scaled', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -180, max: 180 }),
        fc.boolean(),
        fc.integer({ min: 50, max: 200 }),
        (turnDeg, isMirrored, scalePercent) => {
          const leaves: Part = {
            ...EMPTY_PART,
            widthMm: 120,
            heightMm: 40,
            stitches: 100,
            artwork: TWO_SQUARES,
            turnDeg,
            mirrored: isMirrored,
            scalePercent,
          };
          const moves = [
            { x: 3, y: 1 },
            { x: -2, y: 4 },
          ];
          const before = drawnPart(leaves)?.elements ?? [];
          const after = drawnPart(withElementsMoved([leaves], moves)[0] ?? leaves)?.elements ?? [];
          return before.every((hull, i) => {
            const [from, to] = [hull[0], after[i]?.[0]];
            return (
              Math.abs((to?.x ?? 0) - (from?.x ?? 0) - (moves[i]?.x ?? 0)) < 1e-6 &&
              Math.abs((to?.y ?? 0) - (from?.y ?? 0) - (moves[i]?.y ?? 0)) < 1e-6
            );
          });
        },
      ),
    );
  });

  it('makes nothing that a ticket refuses, whatever is done in whatever order', () => {
    const act = fc.constantFrom<(p: Part[], n: number) => readonly Part[]>(
      (p, n) => moveParts({ parts: p, ids: [p[n % p.length]?.id ?? ''] }, { x: n, y: -n }),
      (p, n) => turned({ parts: p, ids: p.map(({ id }) => id) }, n * 7),
      (p, n) => scaled({ parts: p, ids: [p[n % p.length]?.id ?? ''] }, 1 + n / 10),
      (p) => mirrorParts({ parts: p, ids: p.map(({ id }) => id) }),
      (p, n) => lifted({ parts: p, ids: [p[n % p.length]?.id ?? ''] }, 1),
      (p) => spread({ parts: p, ids: p.map(({ id }) => id) }, 'down'),
    );
    fc.assert(
      fc.property(fc.array(fc.tuple(act, fc.integer({ min: 0, max: 9 })), { maxLength: 12 }), (acts) => {
        const made = acts.reduce<Part[]>((now, [how, n]) => [...how(now, n)], parts);
        return DesignInputSchema.safeParse(designOf(...made)).success;
      }),
    );
  });
});

describe('the order of the stops of several parts', () => {
  it('puts parts of one thread together where none lies on another in between', () => {
    const parts = [box('a', [0, 0]), box('b', [40, 0], [20, 10], { colours: [NAVY] }), box('c', [80, 0])];
    const { stops, asDrawn, bound } = stopsOfDesign(drawn(parts), null);
    expect(stops.map(({ name, stitches }) => [name, stitches])).toEqual([
      ['madder', 1000],
      ['navy', 500],
    ]);
    expect([asDrawn, bound]).toEqual([3, 2]);
    expect(factsOf(...parts).stops).toHaveLength(2);
  });

  it('leaves on top what lies on top, by true outlines', () => {
    const frame = box('frame', [0, 0], [60, 60], { colours: [NAVY] });
    const parts = [box('a', [0, 0]), frame, box('b', [0, 0], [10, 6])];
    expect(stopsOfDesign(drawn(parts), null).stops.map(({ name }) => name)).toEqual([
      'madder',
      'navy',
      'madder',
    ]);
    // Their boxes lie on each other, they do not: a square turned by 45° beside a corner.
    const lozenge = box('l', [0, 0], [40, 40], { turnDeg: 45, colours: [NAVY] });
    const corner = [box('a', [100, 0]), lozenge, box('b', [24, 24], [10, 10])];
    expect(stopsOfDesign(drawn(corner), null).stops).toHaveLength(2);
  });

  it('is the person’s where there is one, and says what cannot be', () => {
    const parts = [box('a', [0, 0]), box('b', [0, 0], [10, 6], { colours: [NAVY] }), box('c', [80, 0])];
    const wrong = [idOf('b'), idOf('a'), idOf('c')].map((part) => ({ part, stop: 0, step: null }));
    const found = planDesign({ ...designOf(...parts), order: wrong }, DEFAULT_HOUSE_RULES, FABRIC);
    expect(found.facts?.stops.map(({ name }) => name)).toEqual(['navy', 'madder']);
    const covered = found.findings.find(({ code }) => code === 'design-order-covered');
    expect(say(covered?.text ?? [], MM)).toBe(
      'navy of “off the machine” would be stitched before madder of “off the machine”, which it lies on.',
    );
    const mend = covered?.mends[0]?.change;
    const mended = planDesign(
      { ...designOf(...parts), ...(mend?.set as object) },
      DEFAULT_HOUSE_RULES,
      FABRIC,
    );
    expect(mended.findings.map(({ code }) => code)).not.toContain('design-order-covered');
  });

  it('is changed by a stop, or not, with the reason', () => {
    const parts = [
      box('a', [0, 0]),
      box('b', [0, 0], [10, 6], { colours: [NAVY] }),
      box('c', [80, 0], [5, 5], { colours: [{ ...RED, hex: '#4C7550', name: 'moss' }] }),
    ];
    const { stops } = stopsOfDesign(drawn(parts), null);
    const under = stopMoved(parts, stops, { index: stops.findIndex(({ name }) => name === 'navy'), by: -1 });
    expect(isOrder(under) ? '' : say(under, MM)).toBe(
      'navy lies on madder: stitched sooner, it would be covered.',
    );
    const free = stopMoved(parts, stops, { index: stops.findIndex(({ name }) => name === 'moss'), by: -1 });
    expect(isOrder(free) && stopsOfDesign(drawn(parts), free).swapped).toEqual([]);
  });

  it('keeps to a person’s order as far as its parts are there, others behind those they were drawn behind', () => {
    const parts = [box('a', [0, 0]), box('b', [40, 0], [20, 10], { colours: [NAVY] }), box('c', [80, 0])];
    const order = [
      { part: idOf('b'), stop: 0, step: null },
      { part: 'gone-part', stop: 0, step: null },
    ];
    expect(stopsOfDesign(drawn(parts), order).stops.map(({ name }) => name)).toEqual([
      'madder',
      'navy',
      'madder',
    ]);
  });

  it('never stitches anything before what it lies on, and needs no more threads than as drawn', () => {
    const part = fc.record({
      x: fc.integer({ min: 0, max: 60 }),
      y: fc.integer({ min: 0, max: 60 }),
      w: fc.integer({ min: 5, max: 40 }),
      turn: fc.integer({ min: 0, max: 90 }),
      colour: fc.constantFrom(RED, NAVY),
    });
    fc.assert(
      fc.property(fc.array(part, { minLength: 2, maxLength: 7 }), (rows) => {
        const parts = rows.map(({ x, y, w, turn, colour }, i) =>
          box(`n${i}`, [x, y], [w, 12], { turnDeg: turn, colours: [colour] }),
        );
        const blocks = blocksOf(drawn(parts));
        const { stops, asDrawn, bound, swapped } = stopsOfDesign(drawn(parts), null);
        const order: ColourOrder['order'] = stops.flatMap(({ of }) =>
          of.map((one) => blocks.findIndex((block) => block.part === one.part)),
        );
        const colours = blocks.map(({ hex }) => (hex === RED.hex ? 0 : 1));
        return (
          swapped.length === 0 &&
          blocks.every(({ on }, i) => on.every((k) => order.indexOf(k) < order.indexOf(i))) &&
          runsOf(order, colours) === stops.length &&
          bound <= stops.length &&
          stops.length <= asDrawn
        );
      }),
      { numRuns: 300 },
    );
  });
});
