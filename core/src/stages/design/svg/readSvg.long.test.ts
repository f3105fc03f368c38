import fc from 'fast-check';
import { DEFAULT_HOUSE_RULES } from '../../../model/houseRules';
import { ArtworkSchema, ColourStopSchema } from '../../../model/ticket/artwork';
import { ARTWORK_BOUNDS } from '../../../model/ticket/designBounds';
import { casesOf, LONG } from '../../../testing/cases';
import { toolsInNode } from '../../../testing/toolsInNode';
import { stitchFigures } from '../stitchFigures';
import { readSvg } from './readSvg';
import type { DrawingTools } from './tools';

/** A test of one very large drawing, which takes minutes. */
const itInLong = LONG ? it : it.skip;

const FIGURES = stitchFigures(DEFAULT_HOUSE_RULES);
let tools: DrawingTools;
beforeAll(async () => {
  tools = await toolsInNode();
});
const svg = (body: string, attributes = 'width="100mm" height="100mm" viewBox="0 0 100 100"') =>
  `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" ${attributes}>${body}</svg>`;
const read = (text: string, widthMm: number | null = null, cloth = '#ffffff'): ReturnType<typeof readSvg> =>
  readSvg(text, 'test.svg', { figures: FIGURES, tools, cloth, widthMm });
describe('what a ticket cannot hold', () => {
  const inBox = (body: string) => svg(body, 'width="200mm" height="200mm" viewBox="0 0 200 200"');
  const codeOf = (body: string) => {
    const drawing = read(inBox(body));
    return drawing.ok ? 'read' : drawing.code;
  };
  const squares = (count: number, colour: (i: number) => string) =>
    Array.from({ length: count }, (_, i) => {
      const [x, y] = [(i * 3) % 190, Math.floor(i / 63) * 2.5];
      return `<path d="M${x} ${y}h2v2h-2z" fill="${colour(i)}"/>`;
    }).join('');

  it.each([
    [
      'a point a kilometre away',
      '<polygon points="0,0 1000000,0 1000000,1000000 500000,1500000 0,1000000"/>',
      'too-big',
    ],
    ['figures without end', '<polygon points="0,0 1e30,0 1e30,1e30 5e29,1.5e30 0,1e30"/>', 'too-big'],
    ['a drawing far off its page', '<path d="M9000 0h20v20h-20z"/>', 'too-big'],
    ['a line without width', '<path d="M0 0H9" fill="none" stroke="#000" stroke-width="1e-9"/>', 'empty'],
  ])('%s is refused in words', (_, body, code) => {
    expect(codeOf(body)).toBe(code);
  });

  itInLong('joins very many shapes of one colour, and loses none of them', () => {
    // each shape is a fill and a line about it: three rings
    const outlined = squares(2500, () => '#1F3A5F').replaceAll(
      '/>',
      ' stroke="#1F3A5F" stroke-width="0.4"/>',
    );
    const drawing = read(inBox(outlined));
    if (!drawing.ok) throw new Error(drawing.message);
    expect(drawing.artwork.paths.length).toBeLessThanOrEqual(ARTWORK_BOUNDS.paths);
    expect(drawing.artwork.paths.reduce((sum, { d }) => sum + (d.match(/M/g)?.length ?? 0), 0)).toBe(7500);
    expect(ArtworkSchema.safeParse(drawing.artwork).error).toBeUndefined();
  });

  itInLong('thins a drawing of very many points until a ticket holds it', () => {
    const wave = (y: number) =>
      `<path fill="none" stroke="#000" stroke-width="0.4" d="M0 ${y}${Array.from({ length: 8000 }, (_, i) => `L${(i / 40).toFixed(3)} ${(y + 0.1 * (i % 2)).toFixed(3)}`).join('')}"/>`;
    const drawing = read(inBox(Array.from({ length: 12 }, (_, i) => wave(10 + i * 15)).join('')));
    expect(drawing.ok && ArtworkSchema.safeParse(drawing.artwork).error).toBeUndefined();
    expect(drawing.ok).toBe(true);
  });

  itInLong('leaves in what is hidden where too many lie on each other, and says so', () => {
    const pile = Array.from(
      { length: 2200 },
      (_, i) => `<rect x="${(i % 30) / 10}" width="4" height="4" fill="#1F3A5F"/>`,
    ).join('');
    const drawing = read(inBox(pile));
    if (!drawing.ok) throw new Error(drawing.message);
    expect(drawing.artwork.remarks.some((remark) => /what is hidden was left in/.test(remark))).toBe(true);
    expect(drawing.colours).toHaveLength(1);
  });

  it('keeps the last corner of a ring that ends where it began', () => {
    const corners = (d: string) => {
      const drawing = read(inBox(`<path d="${d}"/>`));
      return drawing.ok ? drawing.artwork.paths[0]?.d : drawing.code;
    };
    for (const d of ['M0 0L10 0L10 10L0 10L0 0Z', 'M0 0L10 0L10 10L0 10L0 0', 'M0 0H10V10H0Z'])
      expect((corners(d) ?? '').match(/-?5 -?5/g)?.sort()).toEqual(['-5 -5', '-5 5', '5 -5', '5 5']);
  });

  it('ends on rings whose edges lie on each other', () => {
    const on = (d: string) => codeOf(`<path d="${d}"/>`);
    expect(on('M90 10H100H20L30 100L80 10Z')).toBe('read');
    expect(on('M153.9 0L184.4 0L196.7 0L126.3 0L0 0L152.1 0L0 173.6Z')).toBe('read');
    const corner = fc.tuple(fc.integer({ min: 0, max: 5 }), fc.integer({ min: 0, max: 5 }));
    fc.assert(
      fc.property(fc.array(corner, { minLength: 3, maxLength: 9 }), (ring) => {
        expect(['read', 'empty']).toContain(on(`M${ring.map(([x, y]) => `${10 * x} ${10 * y}`).join('L')}Z`));
      }),
      { numRuns: casesOf(3000, 40) },
    );
  });

  it('is never given on: whatever is read, the ticket’s schema takes', () => {
    const number = fc.oneof(
      fc.integer({ min: -300, max: 3000 }),
      fc.double({ min: -1e6, max: 1e6, noNaN: true }),
    );
    const polygon = fc
      .array(fc.tuple(number, number), { minLength: 1, maxLength: 9 })
      .map((points) => `<polygon points="${points.map((p) => p.join()).join(' ')}"/>`);
    const line = fc
      .tuple(number, number, fc.double({ min: 1e-9, max: 5000, noNaN: true }))
      .map(
        ([x, y, w]) =>
          `<path d="M0 0L${x} ${y}Q9 9 3 ${x}" fill="none" stroke="#123456" stroke-width="${w}"/>`,
      );
    fc.assert(
      fc.property(fc.array(fc.oneof(polygon, line), { maxLength: 5 }), (shapes) => {
        const drawing = read(inBox(shapes.join('')));
        if (!drawing.ok) return;
        expect(ArtworkSchema.safeParse(drawing.artwork).error?.issues).toBeUndefined();
        expect(drawing.colours.every((c) => ColourStopSchema.safeParse(c).success)).toBe(true);
      }),
      { numRuns: casesOf(500, 8) },
    );
  });
});
