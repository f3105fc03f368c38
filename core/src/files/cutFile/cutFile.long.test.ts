import fc from 'fast-check';
import { boxOf } from '../../base/geometry/box';
import { areaOf, type Clipper, isInside, type Region } from '../../base/geometry/clip';
import { distanceToSegment, type Point } from '../../base/geometry/point';
import { toEnd } from '../../base/inSteps';
import { say } from '../../base/units/phrase';
import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import { type Applique, USUAL_APPLIQUE } from '../../model/ticket/applique';
import { EMPTY_DESIGN } from '../../model/ticket/design';
import type { ClothShape } from '../../stages/design/applique/cloths';
import { cutOffsetMm, cutWords } from '../../stages/design/applique/cutOffset';
import { planDesign } from '../../stages/design/planDesign';
import { fabricOf } from '../../stages/piece/planPiece';
import { appliqued } from '../../testing/appliqued';
import { casesOf } from '../../testing/cases';
import { toolsInNode } from '../../testing/toolsInNode';
import { variedShape } from '../../testing/variedShapes';
import { readCutFile, writeCutFile } from './cutFile';
import { clothPieces } from './cutPieces';
import { asCut, type CutSheet, clothSheets } from './cutSheet';
import { type Nested, type NestQuestion, nest } from './nest';

let clip: Clipper;
beforeAll(async () => {
  ({ clip } = await toolsInNode());
});

const MM = { system: 'mm' } as const;
const RULES = DEFAULT_HOUSE_RULES;
const d = (region: Region): string =>
  region.map((ring) => `M${ring.map(({ x, y }) => `${x} ${y}`).join('L')}Z`).join('');
const shapeOf = (region: Region, rest: Partial<Applique> = {}): ClothShape => ({
  name: 'shape',
  d: d(region),
  strokeMm: null,
  applique: { ...USUAL_APPLIQUE, stop: 0, ...rest },
});
const rimDistance = (region: Region, p: Point): number =>
  Math.min(
    ...region.flatMap((ring) =>
      ring.map((a, i) => distanceToSegment(p, a, ring[(i + 1) % ring.length] ?? a)),
    ),
  );
/** Points all along the rim. */
const along = (region: Region, stepMm: number): Point[] =>
  region.flatMap((ring) =>
    ring.flatMap((a, i) => {
      const b = ring[(i + 1) % ring.length] ?? a;
      const steps = Math.max(1, Math.ceil(Math.hypot(b.x - a.x, b.y - a.y) / stepMm));
      return Array.from({ length: steps }, (_, k) => ({
        x: a.x + ((b.x - a.x) * k) / steps,
        y: a.y + ((b.y - a.y) * k) / steps,
      }));
    }),
  );

describe('the shape that is cut', () => {
  it.each<[Partial<Applique>, number]>([
    [{ way: 'preCut', edgeMm: 3.5 }, 1.25],
    [{ way: 'preCut', edgeMm: 2 }, 0.5],
    [{ way: 'preCut', edge: 'blanket' }, 0],
    [{ way: 'trimmed' }, 10],
    [{ way: 'turned' }, 6],
    [{ way: 'rawEdge' }, 0],
  ])('%j lies so far outside its outline', (rest, offset) => {
    expect(cutOffsetMm({ ...USUAL_APPLIQUE, stop: 0, ...rest }, 1, RULES)).toBeCloseTo(offset, 9);
  });

  it('is told with its figure', () => {
    const told = (rest: Partial<Applique>) =>
      say(cutWords({ ...USUAL_APPLIQUE, stop: 0, ...rest }, 1, RULES), MM);
    expect(told({ edgeMm: 4 })).toBe(
      'Cut 1.5 mm outside the line: its satin reaches 2 mm out and covers it.',
    );
    expect(told({ way: 'trimmed' })).toBe('Cut 10 mm past the line all round: it is cut back in the hoop.');
    expect(told({ way: 'turned' })).toMatch(/^Cut 6 mm outside the line/);
    expect(
      [told({ way: 'rawEdge' }), told({ edge: 'blanket' })].every((words) => /along the line/.test(words)),
    ).toBe(true);
  });

  it('lies everywhere as far from its outline as is asked, by sampling', () => {
    for (let seed = 1; seed <= 60; seed++) {
      const outline = clip.simplify(clip.union(variedShape(seed, clip)), 0.01);
      const [cut] = clothPieces([shapeOf(outline, { edgeMm: 4 })], { clip, scale: 1, rules: RULES });
      for (const { region } of cut?.pieces ?? [])
        for (const p of along(region, 0.5))
          expect(Math.abs(rimDistance(outline, p) - 1.5)).toBeLessThan(0.05);
    }
  });

  it('is that of the size it is stitched in', () => {
    const square = [
      [
        { x: 0, y: 0 },
        { x: 20, y: 0 },
        { x: 20, y: 20 },
        { x: 0, y: 20 },
      ],
    ];
    const [cut] = clothPieces([shapeOf(square, { edgeMm: 4 })], { clip, scale: 1.5, rules: RULES });
    const box = boxOf(cut?.pieces[0]?.region.flat() ?? []);
    // 30 mm and on either side half of 6 mm less 0.5.
    expect(box.right - box.left).toBeCloseTo(35, 1);
  });

  it('keeps a hole that scissors can follow, and says which they cannot', () => {
    const { facts } = planDesign(
      { ...EMPTY_DESIGN, parts: [appliqued()] },
      RULES,
      fabricOf({ fabricId: '', fabricChanges: {} }),
    );
    const [cut] = clothPieces(facts?.cloths ?? [], { clip, scale: 1, rules: RULES });
    expect(cut?.pieces.map(({ name, region }) => [name, region.length])).toEqual([
      ['shapes 1', 2],
      ['shapes 2', 1],
    ]);
    expect(cut?.remarks).toEqual([]);
    const small = [
      [
        { x: 0, y: 0 },
        { x: 20, y: 0 },
        { x: 20, y: 20 },
        { x: 0, y: 20 },
      ],
      [
        { x: 9, y: 9 },
        { x: 9, y: 12 },
        { x: 12, y: 12 },
        { x: 12, y: 9 },
      ],
    ];
    const [closed] = clothPieces([shapeOf(small)], { clip, scale: 1, rules: RULES });
    expect(closed?.pieces[0]?.region).toHaveLength(1);
    expect(say(closed?.remarks[0] ?? [], MM)).toBe(
      'A hole of “shape” closes up when the cloth is cut: snip it out once it is tacked down.',
    );
  });

  it('of neighbours that are cut in the hoop is one piece of cloth over all', () => {
    const square = (x: number) => [
      [
        { x, y: 0 },
        { x: x + 20, y: 0 },
        { x: x + 20, y: 20 },
        { x, y: 20 },
      ],
    ];
    const asked = [shapeOf(square(0), { way: 'trimmed' }), shapeOf(square(30), { way: 'trimmed' })];
    const [cut] = clothPieces(asked, { clip, scale: 1, rules: RULES });
    expect(cut?.pieces).toHaveLength(1);
    const box = boxOf(cut?.pieces[0]?.region.flat() ?? []);
    expect([box.left, box.right]).toEqual([expect.closeTo(-10, 1), expect.closeTo(60, 1)]);
  });

  it('without area, or wholly under its edge, is said to be so', () => {
    const line = shapeOf(
      [
        [
          { x: 0, y: 0 },
          { x: 30, y: 0 },
          { x: 15, y: 0 },
        ],
      ],
      { way: 'rawEdge' },
    );
    const [none] = clothPieces([line], { clip, scale: 1, rules: RULES });
    expect(none?.pieces).toEqual([]);
    expect(say(none?.remarks[0] ?? [], MM)).toBe('“shape” has no area that could be cut.');
    const bar = [
      [
        { x: 0, y: 0 },
        { x: 30, y: 0 },
        { x: 30, y: 2 },
        { x: 0, y: 2 },
      ],
    ];
    const [hidden] = clothPieces([shapeOf(bar)], { clip, scale: 1, rules: RULES });
    expect(say(hidden?.remarks[0] ?? [], MM)).toBe(
      '“shape” is narrower than its edge of 3.5 mm: none of the cloth is seen.',
    );
  });
});

const nested = (question: NestQuestion): Nested => toEnd(nest(question, clip));
const shapesFrom = (seed: number, many: number) =>
  Array.from({ length: many }, (_, i) => ({ name: `${i}`, region: variedShape(seed * 31 + i, clip) })).filter(
    ({ region }) => areaOf(region) > 4,
  );

describe('on the cloth', () => {
  it('no two pieces come nearer than the gap, none leaves the cloth, all lie along the grain', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 4000 }),
        fc.integer({ min: 1, max: 5 }),
        fc.integer({ min: 1, max: 3 }),
        fc.integer({ min: 90, max: 400 }),
        fc.boolean(),
        (seed, many, times, widthMm, alongGrain) => {
          const pieces = shapesFrom(seed, many);
          const { laid, tooWide, lengthMm, waste, ...taken } = nested({
            pieces,
            times,
            widthMm,
            gapMm: 5,
            alongGrain,
          });
          expect(taken.widthMm).toBeLessThan(widthMm + 0.01);
          expect(laid).toHaveLength((pieces.length - tooWide.length) * times);
          for (const { region, turnDeg, piece } of laid) {
            if (alongGrain) expect([0, 180]).toContain(turnDeg);
            const box = boxOf(region.flat());
            expect(box.left).toBeGreaterThan(-0.01);
            expect(box.right).toBeLessThan(taken.widthMm + 0.01);
            expect(box.top).toBeGreaterThan(-0.01);
            expect(box.bottom).toBeLessThan(lengthMm + 0.01);
            expect(areaOf(region)).toBeCloseTo(areaOf(pieces[piece]?.region ?? []), 3);
          }
          for (const [i, { region }] of laid.entries()) {
            const grown = clip.offset(region, 4.95);
            for (const other of laid.slice(i + 1))
              expect(areaOf(clip.intersect(grown, other.region))).toBeLessThan(0.01);
          }
          expect(waste).toBeGreaterThanOrEqual(0);
          expect(waste).toBeLessThan(1);
        },
      ),
      { numRuns: casesOf(60, 8) },
    );
  });

  it('squares lie side by side, and a piece that is wider than the cloth is named', () => {
    const square = (mm: number) => ({
      name: `${mm}`,
      region: [
        [
          { x: 0, y: 0 },
          { x: mm, y: 0 },
          { x: mm, y: mm },
          { x: 0, y: mm },
        ],
      ] as Region,
    });
    const { laid, lengthMm, tooWide } = nested({
      pieces: [square(40), square(300)],
      times: 6,
      widthMm: 140,
      gapMm: 5,
      alongGrain: true,
    });
    expect(tooWide).toEqual([1]);
    expect(laid).toHaveLength(6);
    // Three across: 3 × 40 + 2 × 5 = 130.
    expect(lengthMm).toBeGreaterThan(85);
    expect(lengthMm).toBeLessThan(88);
    expect(nested({ pieces: [], times: 3, widthMm: 100, gapMm: 5, alongGrain: true })).toEqual({
      laid: [],
      tooWide: [],
      widthMm: 0,
      lengthMm: 0,
      waste: 0,
    });
  });
});

const sheetOf = (rest: Partial<Applique> = {}, times = 2): CutSheet => {
  const { facts } = planDesign(
    { ...EMPTY_DESIGN, parts: [appliqued(rest)] },
    RULES,
    fabricOf({ fabricId: '', fabricChanges: {} }),
  );
  const [sheet] = facts ? toEnd(clothSheets({ facts, times, rules: RULES }, clip)) : [];
  if (!sheet) throw new Error('nothing to cut');
  return sheet;
};

describe('the cut file', () => {
  it('brings the same pieces back, holes before outlines, at their size', () => {
    const sheet = sheetOf({ cloth: { ...USUAL_APPLIQUE.cloth, fused: false } });
    const read = readCutFile(writeCutFile(sheet, 'Tom & “Ann” <3>'));
    if (!read.ok) throw new Error(say(read.message, MM));
    expect([read.name, read.pieces.length]).toEqual(['Tom & “Ann” <3>', 4]);
    expect(read.widthMm).toBeCloseTo(sheet.nested.widthMm, 2);
    expect(read.heightMm).toBeCloseTo(sheet.nested.lengthMm, 2);
    for (const [i, { rings, name }] of read.pieces.entries()) {
      const laid = sheet.nested.laid[i];
      expect(name).toBe(sheet.pieces[laid?.piece ?? 0]);
      expect(areaOf(clip.union(rings, 'evenodd'))).toBeCloseTo(areaOf(laid?.region ?? []), 0);
      expect(rings.map((ring) => areaOf([ring]))).toEqual(
        rings.map((ring) => areaOf([ring])).sort((a, b) => a - b),
      );
    }
  });

  it('of cloth backed with web is a mirror: turned over, every piece is that of the design', () => {
    const sheet = sheetOf();
    expect(sheet.cloth.fused).toBe(true);
    const cut = asCut(sheet);
    for (const [i, { region }] of sheet.nested.laid.entries()) {
      const over = (cut[i] ?? []).map((ring) => ring.map(({ x, y }) => ({ x: sheet.nested.widthMm - x, y })));
      expect(areaOf(clip.subtract(clip.union(over, 'evenodd'), region))).toBeLessThan(0.01);
      const [p] = over[0] ?? [];
      expect(p && (isInside(region, p) || rimDistance(region, p) < 0.01)).toBe(true);
    }
    expect(writeCutFile(sheet, 'x')).toContain('web upwards: mirrored');
  });

  it.each([
    ['not-a-cut-file', 'hello'],
    ['not-a-cut-file', '<svg width="10mm" height="10mm"><rect/></svg>'],
    ['no-size', '<svg width="10" height="10mm"><path d="M0 0L1 0L1 1Z"/></svg>'],
    ['broken', '<svg width="10mm" height="10mm"><path d="M0 0L1 0L1"/></svg>'],
    ['broken', '<svg width="10mm" height="10mm"><path d="M0 0C1 0 1 1 0 1Z"/></svg>'],
    ['broken', '<svg width="10mm" height="10mm"><path d="M0 0L5 0L5 5"/></svg>'],
    ['broken', '<svg width="10mm" height="10mm"><g transform="scale(2)"><path d="M0 0L1 0L1 1Z"/></g></svg>'],
    ['off-the-sheet', '<svg width="10mm" height="10mm"><path id="a" d="M0 0L15 0L5 5Z"/></svg>'],
  ])('is refused as %s: %s', (code, text) => {
    const read = readCutFile(text);
    expect(read.ok ? 'read' : read.code).toBe(code);
    expect(read.ok ? '' : say(read.message, MM).length).toBeGreaterThan(20);
  });

  it('says which path cannot be cut', () => {
    const read = readCutFile('<svg width="10mm" height="10mm"><path id="sun" d="M0 0L15 0L5 5Z"/></svg>');
    expect(read.ok ? '' : say(read.message, MM)).toBe('Path 1 (sun) lies off its sheet of 10 mm × 10 mm.');
  });
});

it('what text anybody gives it ends in an answer', () => {
  fc.assert(
    fc.property(fc.string(), fc.string(), (before, data) => {
      expect(['boolean']).toContain(typeof readCutFile(before).ok);
      expect(['boolean']).toContain(
        typeof readCutFile(`<svg width="9mm" height="9mm"><path d="${data.replace(/["<&]/g, '')}"/></svg>`)
          .ok,
      );
    }),
  );
});
