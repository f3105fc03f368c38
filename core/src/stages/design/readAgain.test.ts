import fc from 'fast-check';
import { boxOf, widthOf } from '../../base/geometry/box';
import { drawingIdOf } from '../../model/drawingId';
import { DEFAULT_HOUSE_RULES, type HouseRules } from '../../model/houseRules';
import { EMPTY_DESIGN } from '../../model/ticket/design';
import { EMPTY_PART, type Part, PartSchema } from '../../model/ticket/part';
import { toolsInNode } from '../../testing/toolsInNode';
import { sizedTo } from './parts/drawnPart';
import { ringsOfPath } from './pathData';
import { drawingToRead, readAgain, withReadAgain } from './readAgain';
import { stitchFigures } from './stitchFigures';
import { type ReadSvg, readSvg } from './svg/readSvg';
import type { DrawingTools } from './svg/tools';

const CLOTH = '#F4F1EA';
const RULES = DEFAULT_HOUSE_RULES;
const SVG = `<svg xmlns="http://www.w3.org/2000/svg" width="60mm" height="40mm" viewBox="0 0 60 40">
  <rect x="5" y="5" width="30" height="20" fill="#1F3A5F"/>
  <rect x="40" y="10" width="15" height="4" fill="#A93F36"/>
</svg>`;
/** Its widest shape lies wholly under another that is as wide as it is told to be seen. */
const HIDING = `<svg xmlns="http://www.w3.org/2000/svg" width="60mm" height="40mm" viewBox="0 0 60 40">
  <path d="M5 5H50V6H5Z" fill="#1F3A5F"/><rect x="4" y="4" width="48" height="30" fill="#A93F36"/>
  <rect x="10" y="10" width="5" height="5" fill="#F4F1EA" fill-opacity="0.5"/>
</svg>`;

let tools: DrawingTools;
beforeAll(async () => {
  tools = await toolsInNode();
});

function readOf(widthMm: number | null, rules: HouseRules = RULES, text = SVG): ReadSvg {
  const read = readSvg(text, 'boxes.svg', { tools, cloth: CLOTH, widthMm, figures: stitchFigures(rules) });
  if (!read.ok) throw new Error(read.message);
  return read;
}
const partOf = (read: ReadSvg, more: Partial<Part> = {}): Part => {
  const { widthMm, heightMm, stitches, colours, artwork } = read;
  return { ...EMPTY_PART, widthMm, heightMm, stitches, colours, artwork, ...more };
};
const toRead = (part: Part, cloth = CLOTH, rules = RULES) => drawingToRead(part, { cloth, rules });
/** The part as it is once nothing of it is to be read again. */
function settled(part: Part, rules = RULES): Part {
  const asked = toRead(part, CLOTH, rules);
  return asked ? readAgain(part, readOf(asked.widthMm, rules)) : part;
}

describe('a drawing that is read again', () => {
  it('is called by its text, and stands as it was read', () => {
    const read = readOf(null);
    expect(read.artwork.source).toEqual({ drawing: drawingIdOf(SVG), asRead: read.colours });
    expect(toRead(partOf(read))).toBeNull();
    expect(drawingIdOf('')).toBe('e3b0c44298fc1c149afbf4c8996fb92427ae41e4649b934ca495991b7852b855');
  });

  it('at another size has the stitches of that size, not those of its area', () => {
    const small = partOf(readOf(null), { scalePercent: 30 });
    const again = settled(small);
    expect(again.scalePercent).toBe(100);
    expect(again.widthMm).toBeCloseTo(15, 1);
    expect(again.stitches).toBe(readOf(again.widthMm).stitches);
    // The narrow one is no satin any more: by area it would have had fewer stitches than a line of running ones.
    expect(again.stitches).not.toBe(Math.round((small.stitches ?? 0) * 0.09));
    expect(PartSchema.safeParse(again).success).toBe(true);
    expect(toRead(again)).toBeNull();
  });

  it('is read for the shop’s figures and for the cloth that shows through', () => {
    const part = partOf(readOf(null));
    expect(toRead(part, '#000000')?.cloth).toBe('#000000');
    const close: HouseRules = { ...RULES, numbers: { fillRowMm: 0.3 } };
    expect(settled(part, close).stitches ?? 0).toBeGreaterThan(part.stitches ?? 0);
  });

  it('keeps the threads that were chosen, and figures that were typed in proportion', () => {
    const read = readOf(null);
    const [first, second] = read.colours;
    if (!first || !second) throw new Error('two colours');
    const part = partOf(read, {
      colours: [
        { ...first, hex: '#225522', name: 'moss' },
        { ...second, stitches: (second.stitches ?? 0) * 2 },
      ],
      stitches: read.stitches * 3,
      elementMoves: [{ x: 2, y: -1 }],
      scalePercent: 200,
    });
    const again = settled(part);
    const now = readOf(again.widthMm);
    expect(again.colours[0]).toEqual({ hex: '#225522', name: 'moss', stitches: now.colours[0]?.stitches });
    expect(again.colours[1]?.stitches).toBeCloseTo((now.colours[1]?.stitches ?? 0) * 2, -1);
    expect(again.stitches).toBe(Math.round(now.stitches * 3));
    expect(again.elementMoves).toEqual([{ x: 4, y: -2 }]);
  });

  it('a colour that is gone takes a pinned order with it; else the order stays', () => {
    const read = readOf(null);
    const part = partOf(read);
    const order = [
      { part: part.id, stop: 1, step: null },
      { part: part.id, stop: 0, step: null },
    ];
    const design = { ...EMPTY_DESIGN, parts: [part], order };
    expect(withReadAgain(design, part.id, read).order).toBe(order);
    const fewer = { ...read, colours: read.colours.slice(0, 1) };
    expect(withReadAgain(design, part.id, fewer).order).toBeNull();
  });

  it('is as wide as is asked, whatever lies hidden, and comes to rest', () => {
    fc.assert(
      fc.property(fc.integer({ min: 12, max: 300 }), fc.boolean(), (widthMm, isHiding) => {
        const read = readOf(widthMm, RULES, isHiding ? HIDING : SVG);
        expect(Math.abs(read.widthMm - widthMm)).toBeLessThan(0.03);
        const drawn = boxOf(read.artwork.paths.flatMap(({ d }) => ringsOfPath(d).flat()));
        expect(Math.abs(widthOf(drawn) - widthMm)).toBeLessThan(0.2);
        expect(toRead(partOf(read))).toBeNull();
      }),
      { numRuns: 25 },
    );
  });

  it('is made as large as is asked, beyond what a share of its size may be too', () => {
    const part = partOf(readOf(null));
    expect(sizedTo(part, 'widthMm', 25)).toEqual({ scalePercent: 50 });
    const large = { ...part, ...sizedTo(part, 'heightMm', 400) };
    expect([large.scalePercent, large.heightMm, large.widthMm]).toEqual([100, 400, 1000]);
    const drawn = boxOf(large.artwork?.paths.flatMap(({ d }) => ringsOfPath(d).flat()) ?? []);
    expect(widthOf(drawn)).toBeCloseTo(1000, 0);
    expect(large.stitches).toBe((part.stitches ?? 0) * 400);
    expect(PartSchema.safeParse(large).success).toBe(true);
    expect(settled(large).stitches).toBe(readOf(1000).stitches);
  });

  it('letters, plain sizes and drawings of before are never read again', () => {
    expect(toRead({ ...EMPTY_PART, widthMm: 20, heightMm: 10, scalePercent: 50 })).toBeNull();
    const before = partOf(readOf(null));
    const bare = {
      ...before,
      scalePercent: 50,
      artwork: before.artwork && { ...before.artwork, source: null },
    };
    expect(toRead(bare)).toBeNull();
  });
});
