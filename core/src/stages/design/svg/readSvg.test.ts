import fc from 'fast-check';
import { DEFAULT_HOUSE_RULES } from '../../../model/houseRules';
import { ArtworkSchema, ColourStopSchema } from '../../../model/ticket/design';
import { ARTWORK_BOUNDS } from '../../../model/ticket/designBounds';
import { stitchFigures } from '../stitchFigures';
import { type ReadSvg, readSvg } from './readSvg';
import type { SvgRefusal } from './refuse';
import { svgLengthMm } from './svgLength';

const FIGURES = stitchFigures(DEFAULT_HOUSE_RULES);
const svg = (body: string, attributes = 'width="100mm" height="100mm" viewBox="0 0 100 100"') =>
  `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" ${attributes}>${body}</svg>`;
const read = (text: string): ReadSvg | SvgRefusal => readSvg(text, 'test.svg', FIGURES);
function mustRead(text: string): ReadSvg {
  const result = read(text);
  if (!result.ok) throw new Error(result.code);
  return result;
}
const size = (text: string): [number, number] => {
  const { widthMm, heightMm } = mustRead(text);
  return [widthMm, heightMm];
};

describe('true size', () => {
  const RECT = '<rect x="10" y="10" width="50" height="20"/>';
  const SIZES: [string, string, [number, number]][] = [
    ['mm with a viewBox', 'width="100mm" height="100mm" viewBox="0 0 100 100"', [50, 20]],
    ['cm', 'width="10cm" height="10cm" viewBox="0 0 100 100"', [50, 20]],
    ['inches', 'width="2in" height="2in" viewBox="0 0 100 100"', [25.4, 10.16]],
    ['pixels, 96 to the inch', 'width="96" height="96"', [13.23, 5.29]],
    ['pixels with their unit', 'width="960px" height="960px" viewBox="0 0 100 100"', [127, 50.8]],
    ['points', 'width="72pt" height="72pt" viewBox="0 0 100 100"', [12.7, 5.08]],
    [
      'a viewBox of another shape, kept in proportion',
      'width="200mm" height="100mm" viewBox="0 0 100 100"',
      [50, 20],
    ],
    [
      'a viewBox stretched on purpose',
      'width="200mm" height="100mm" viewBox="0 0 100 100" preserveAspectRatio="none"',
      [100, 20],
    ],
    ['a viewBox that starts elsewhere', 'width="100mm" height="100mm" viewBox="-20 -20 100 100"', [50, 20]],
  ];
  it.each(SIZES)('%s', (_, attributes, [width, height]) => {
    const [w, h] = size(svg(RECT, attributes));
    expect(w).toBeCloseTo(width, 1);
    expect(h).toBeCloseTo(height, 1);
  });

  it('counts half the line’s width on each side', () => {
    expect(size(svg('<path d="M20 20H80" stroke="#000" stroke-width="4" fill="none"/>'))).toEqual([64, 4]);
  });

  it.each([
    ['12mm', 12],
    ['1.5in', 38.1],
    ['10', 2.6458],
    ['.5cm', 5],
    ['1e1mm', 10],
    ['50%', null],
    ['3em', null],
    [undefined, null],
    ['wide', null],
  ])('reads the length %j as %j mm', (text, mm) => {
    const value = svgLengthMm(text);
    if (mm === null) expect(value).toBeNull();
    else expect(value).toBeCloseTo(mm, 3);
  });
});

describe('shapes and transforms', () => {
  const SHAPES: [string, string, [number, number]][] = [
    ['path with curves', '<path d="M10 50C10 10 90 10 90 50Z"/>', [80, 30]],
    ['path with arcs', '<path d="M10 50A20 20 0 1 1 50 50Z"/>', [40, 20]],
    ['relative path', '<path d="m10 10h30v20h-30z"/>', [30, 20]],
    ['quadratic', '<path d="M0 50Q50 0 100 50Z"/>', [100, 25]],
    ['smooth curves', '<path d="M10 50C20 30 30 30 40 50S60 70 70 50Z"/>', [60, 30]],
    ['rect', '<rect width="30" height="10"/>', [30, 10]],
    ['rounded rect', '<rect width="30" height="10" rx="4"/>', [30, 10]],
    ['circle', '<circle cx="50" cy="50" r="12"/>', [24, 24]],
    ['ellipse', '<ellipse cx="50" cy="50" rx="20" ry="6"/>', [40, 12]],
    ['polygon', '<polygon points="10,10 40,10 25,35"/>', [30, 25]],
    ['polyline, filled', '<polyline points="10 10 40 10 25 35"/>', [30, 25]],
    ['line', '<line x1="10" y1="10" x2="60" y2="10" stroke="#000" stroke-width="2"/>', [52, 2]],
    [
      'nested transforms',
      '<g transform="translate(10 10)"><g transform="rotate(90)"><rect width="30" height="10" transform="scale(2)"/></g></g>',
      [20, 60],
    ],
    ['matrix', '<rect width="10" height="10" transform="matrix(2 0 0 3 5 5)"/>', [20, 30]],
    [
      'use',
      '<defs><rect id="r" width="10" height="10"/></defs><use href="#r" x="5"/><use xlink:href="#r" x="45"/>',
      [50, 10],
    ],
    [
      'use of a symbol',
      '<symbol id="s" viewBox="0 0 10 10"><rect width="10" height="10"/></symbol><use href="#s" width="40" height="40"/>',
      [40, 40],
    ],
    [
      'nested svg',
      '<svg x="10" y="10" width="20" height="20" viewBox="0 0 40 40"><rect width="40" height="40"/></svg>',
      [20, 20],
    ],
    ['inside a link', '<a href="#top"><rect width="12" height="12"/></a>', [12, 12]],
  ];
  it.each(SHAPES)('%s', (_, body, [width, height]) => {
    const [w, h] = size(svg(body));
    expect(w).toBeCloseTo(width, 0);
    expect(h).toBeCloseTo(height, 0);
  });

  it('passes over what is not drawn', () => {
    const body =
      '<defs><rect width="90" height="90"/></defs><g display="none"><rect width="90" height="90"/></g><rect visibility="hidden" width="90" height="90"/><clipPath><rect width="90" height="90"/></clipPath><rect width="10" height="10"/>';
    expect(size(svg(body))).toEqual([10, 10]);
  });

  it('puts the hull about the visible centre, and says where the file’s own lies', () => {
    const { artwork } = mustRead(svg('<rect x="60" y="70" width="20" height="10"/>'));
    const xs = artwork.hull.map((p) => p.x);
    expect([Math.min(...xs), Math.max(...xs)]).toEqual([-10, 10]);
    expect(artwork.fileCentre.x).toBeCloseTo(-20, 6);
    expect(artwork.fileCentre.y).toBeCloseTo(-25, 6);
  });

  it('makes artwork of the schema', () => {
    expect(
      ArtworkSchema.safeParse(
        mustRead(svg('<circle cx="50" cy="50" r="30"/><path d="M1 1L9 9" stroke="red"/>')).artwork,
      ).success,
    ).toBe(true);
  });
});

describe('colours', () => {
  const names = (text: string) => mustRead(text).colours.map((c) => c.hex);
  const box = (attributes: string) => `<rect width="20" height="20" ${attributes}/>`;
  const PAINTED: [string, string, string[]][] = [
    ['attribute', box('fill="#C8322B"'), ['#c8322b']],
    ['style', box('style="fill:#C8322B; stroke:none"'), ['#c8322b']],
    ['inherited', `<g fill="navy">${box('')}</g>`, ['#000080']],
    [
      'a class in a style sheet',
      `<style>.a, .b { fill: #112233 } #c { fill: #445566 }</style>${box('class="x a"')}${box('id="c"')}`,
      ['#112233', '#445566'],
    ],
    [
      'style before sheet before attribute',
      `<style>rect { fill: #111111 }</style>${box('fill="#222222"')}${box('fill="#222222" style="fill:#333333"')}`,
      ['#111111', '#333333'],
    ],
    ['currentColor', `<g color="#123456">${box('fill="currentColor"')}</g>`, ['#123456']],
    ['no paint is black', box(''), ['#000000']],
    ['fill before line', box('fill="#aa0000" stroke="#00aa00" stroke-width="2"'), ['#aa0000', '#00aa00']],
    [
      'runs of one colour are one stop',
      `${box('fill="red"')}${box('fill="#f00"')}${box('fill="blue"')}${box('fill="red"')}`,
      ['#ff0000', '#0000ff', '#ff0000'],
    ],
  ];
  it.each(PAINTED)('%s', (_, body, hexes) => {
    expect(names(svg(body))).toEqual(hexes);
  });

  it('names them in plain words', () => {
    expect(mustRead(svg(box('fill="#1F3A5F"'))).colours[0]?.name).toBe('navy');
  });
});

describe('stitches', () => {
  const stitches = (body: string) => mustRead(svg(body)).stitches;

  it('fills 0.625 to the mm² with a fifth underlay', () => {
    expect(stitches('<rect width="40" height="40"/>')).toBe(Math.round(1600 * 0.625 * 1.2));
  });

  it('takes two penetrations every 0.4 mm of satin', () => {
    expect(stitches('<rect width="80" height="4"/>')).toBeCloseTo((2 * 80) / 0.4, -1);
    expect(stitches('<path d="M10 10H60" stroke="#000" stroke-width="3" fill="none"/>')).toBe(250);
  });

  it('runs at 2.5 mm', () => {
    expect(stitches('<path d="M10 10H60" stroke="#000" stroke-width="0.5" fill="none"/>')).toBe(20);
  });

  it('counts a hole as a hole', () => {
    const ring = stitches('<path fill-rule="evenodd" d="M0 0H60V60H0Z M15 15H45V45H15Z"/>');
    const whole = stitches('<path d="M0 0H60V60H0Z"/>');
    expect(ring).toBeLessThan(whole);
  });

  it('scales with the drawing: area by the square', () => {
    const small = mustRead(svg('<rect width="30" height="30"/>')).stitches;
    const large = mustRead(svg('<rect width="30" height="30" transform="scale(2)"/>')).stitches;
    expect(large / small).toBeCloseTo(4, 2);
  });

  it('adds up over the stops', () => {
    const read = mustRead(
      svg('<rect width="30" height="30" fill="red"/><circle cx="50" cy="50" r="20" fill="blue"/>'),
    );
    expect(read.colours.reduce((sum, c) => sum + (c.stitches ?? 0), 0)).toBe(read.stitches);
  });
});

describe('files that cannot be used', () => {
  const REFUSED: [string, string, SvgRefusal['code']][] = [
    ['plain words', 'hello', 'not-svg'],
    ['nothing', '', 'not-svg'],
    ['another language', '<html><body>svg</body></html>', 'not-svg'],
    ['cut off', '<svg width="10mm" height="10mm"><g><rect', 'not-svg'],
    ['a script', svg('<script>alert(1)</script><rect width="5" height="5"/>'), 'script'],
    ['an event', svg('<rect width="5" height="5" onclick="x()"/>'), 'script'],
    ['a script address', svg('<a href="javascript:x()"><rect width="5" height="5"/></a>'), 'script'],
    ['foreign content', svg('<foreignObject><p/></foreignObject>'), 'script'],
    ['an outside picture', svg('<image href="http://example.invalid/a.png"/>'), 'external'],
    ['an outside drawing', svg('<use xlink:href="other.svg#a"/>'), 'external'],
    ['an outside style', svg('<style>@import "a.css";</style><rect width="5" height="5"/>'), 'external'],
    [
      'an outside paint',
      svg('<rect width="5" height="5" style="fill:url(http://example.invalid/#a)"/>'),
      'external',
    ],
    [
      'a style sheet beside it',
      `<?xml-stylesheet href="a.css"?>${svg('<rect width="5" height="5"/>')}`,
      'external',
    ],
    ['entities', `<!DOCTYPE svg [<!ENTITY x "y">]>${svg('<rect width="5" height="5"/>')}`, 'entities'],
    ['no size', svg('<rect width="5" height="5"/>', 'viewBox="0 0 10 10"'), 'no-size'],
    [
      'a size in percent',
      svg('<rect width="5" height="5"/>', 'width="100%" height="100%" viewBox="0 0 10 10"'),
      'no-size',
    ],
    ['nothing drawn', svg('<g/>'), 'empty'],
    ['nothing but words', svg('<text>Hello</text>'), 'empty'],
    ['too large', `${svg('<rect width="5" height="5"/>')}${' '.repeat(5 * 1024 * 1024)}`, 'too-large'],
    [
      'a drawing inside itself',
      svg('<g id="a"><use href="#a"/><rect width="5" height="5"/></g>'),
      'too-complex',
    ],
  ];
  it.each(REFUSED)('%s', (_, text, code) => {
    const result = read(text);
    expect(result.ok ? 'read' : result.code).toBe(code);
    if (!result.ok) expect(result.message).toContain('your ticket is as it was');
  });

  it('stops at drawings that multiply', () => {
    const levels = Array.from(
      { length: 8 },
      (_, i) => `<g id="l${i + 1}">${`<use href="#l${i}"/>`.repeat(10)}</g>`,
    ).join('');
    const bomb = svg(`<defs><rect id="l0" width="1" height="1"/>${levels}</defs><use href="#l8"/>`);
    const result = read(bomb);
    expect(result.ok ? 'read' : result.code).toBe('too-complex');
  });

  it('never throws, whatever the file holds', () => {
    const piece = fc.constantFrom(
      '<rect width="5" height="5"',
      '/>',
      '<g>',
      '</g>',
      '<path d="M1 1 L nonsense"/>',
      ' transform="rotate(x)"',
      '"',
      '<',
      '&',
      'Ω',
      '<use href="#a"/>',
    );
    fc.assert(
      fc.property(
        fc.array(piece, { maxLength: 12 }),
        (pieces) => typeof read(svg(pieces.join(''))).ok === 'boolean',
      ),
      { numRuns: 300 },
    );
  });

  it('says what it passed over', () => {
    const { artwork } = mustRead(
      svg('<text>Hi</text><image href="data:image/png;base64,AA=="/><rect width="5" height="5"/>'),
    );
    expect(artwork.remarks).toHaveLength(2);
  });
});

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
    ['a colour for each of 70 shapes', squares(70, (i) => (i % 2 ? '#1F3A5F' : '#E0B33A')), 'too-many-stops'],
    ['a line without width', '<path d="M0 0H9" fill="none" stroke="#000" stroke-width="1e-9"/>', 'empty'],
  ])('%s is refused in words', (_, body, code) => {
    expect(codeOf(body)).toBe(code);
  });

  it('joins very many shapes of one colour, and loses none of them', () => {
    // each shape is a fill and a line: twice as many as there are shapes
    const outlined = squares(2500, () => '#1F3A5F').replaceAll(
      '/>',
      ' stroke="#1F3A5F" stroke-width="0.4"/>',
    );
    const drawing = read(inBox(outlined));
    if (!drawing.ok) throw new Error(drawing.message);
    expect(drawing.artwork.paths.length).toBeLessThanOrEqual(ARTWORK_BOUNDS.paths);
    expect(drawing.artwork.paths.reduce((sum, { d }) => sum + (d.match(/M/g)?.length ?? 0), 0)).toBe(5000);
    expect(ArtworkSchema.safeParse(drawing.artwork).error).toBeUndefined();
  });

  it('thins a drawing of very many points until a ticket holds it', () => {
    const wave = (y: number) =>
      `<path fill="none" stroke="#000" stroke-width="0.4" d="M0 ${y}${Array.from({ length: 8000 }, (_, i) => `L${(i / 40).toFixed(3)} ${(y + 0.1 * (i % 2)).toFixed(3)}`).join('')}"/>`;
    const drawing = read(inBox(Array.from({ length: 12 }, (_, i) => wave(10 + i * 15)).join('')));
    expect(drawing.ok && ArtworkSchema.safeParse(drawing.artwork).error).toBeUndefined();
    expect(drawing.ok).toBe(true);
  });

  it('keeps the last corner of a ring that ends where it began', () => {
    const corners = (d: string) => {
      const drawing = read(inBox(`<path d="${d}"/>`));
      return drawing.ok ? drawing.artwork.paths[0]?.d : drawing.code;
    };
    const square = 'M-5 -5L5 -5L5 5L-5 5Z';
    expect(corners('M0 0L10 0L10 10L0 10L0 0Z')).toBe(square);
    expect(corners('M0 0L10 0L10 10L0 10L0 0')).toBe(square);
    expect(corners('M0 0H10V10H0Z')).toBe(square);
  });

  it('ends on rings whose edges lie on each other', () => {
    const on = (d: string) => codeOf(`<path d="${d}"/>`);
    expect(on('M1539 0L2044 0L2367 0L1263 0L0 0L1521 0L0 1736Z'.replaceAll('2367', '1999'))).toBe('too-big');
    expect(on('M153.9 0L184.4 0L196.7 0L126.3 0L0 0L152.1 0L0 173.6Z')).toBe('read');
    const corner = fc.tuple(fc.integer({ min: 0, max: 5 }), fc.integer({ min: 0, max: 5 }));
    fc.assert(
      fc.property(fc.array(corner, { minLength: 3, maxLength: 9 }), (ring) => {
        expect(['read', 'empty']).toContain(on(`M${ring.map(([x, y]) => `${10 * x} ${10 * y}`).join('L')}Z`));
      }),
      { numRuns: 3000 },
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
      { numRuns: 500 },
    );
  });
});
