import fc from 'fast-check';
import { DEFAULT_HOUSE_RULES } from '../../../model/houseRules';
import { ArtworkSchema } from '../../../model/ticket/design';
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
