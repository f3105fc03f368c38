import fc from 'fast-check';
import { DEFAULT_HOUSE_RULES } from '../../../model/houseRules';
import { ArtworkSchema } from '../../../model/ticket/artwork';
import { toolsInNode } from '../../../testing/toolsInNode';
import { stitchFigures } from '../stitchFigures';
import { type ReadSvg, readSvg } from './readSvg';
import type { SvgRefusal } from './refuse';
import { PASSED_OVER } from './shapes';
import { svgLengthMm } from './svgLength';
import type { DrawingTools } from './tools';

const FIGURES = stitchFigures(DEFAULT_HOUSE_RULES);
let tools: DrawingTools;
beforeAll(async () => {
  tools = await toolsInNode();
});
const svg = (body: string, attributes = 'width="100mm" height="100mm" viewBox="0 0 100 100"') =>
  `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" ${attributes}>${body}</svg>`;
const read = (text: string, widthMm: number | null = null, cloth = '#ffffff'): ReturnType<typeof readSvg> =>
  readSvg(text, 'test.svg', { figures: FIGURES, tools, cloth, widthMm });
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
    ['one side only', 'width="50mm" viewBox="0 0 100 100"', [25, 10]],
    ['quarter millimetres', 'width="400Q" height="400Q" viewBox="0 0 100 100"', [50, 20]],
    [
      'a viewBox set to a side',
      'width="200mm" height="100mm" viewBox="0 0 100 100" preserveAspectRatio="xMinYMin slice"',
      [100, 40],
    ],
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

  it('counts a line with its width and its ends', () => {
    const line = (more: string) =>
      size(svg(`<path d="M20 20H80" stroke="#000" stroke-width="4" fill="none" ${more}/>`));
    expect(line('')).toEqual([60, 4]);
    expect(line('stroke-linecap="square"')).toEqual([64, 4]);
    const [width, height] = line('stroke-linecap="round"');
    expect([width, height].map((mm) => Math.round(10 * mm) / 10)).toEqual([64, 4]);
  });

  it('asks how wide a drawing is that says nothing of mm, and reads it so', () => {
    for (const attributes of [
      'viewBox="0 0 24 24"',
      'width="24" height="24px"',
      'width="100%" viewBox="0 0 24 24"',
    ]) {
      const text = svg('<rect x="2" y="4" width="20" height="10"/>', attributes);
      expect(read(text)).toMatchObject({ ok: false, code: 'how-wide', upright: expect.closeTo(0.5, 3) });
      expect(read(text, 60)).toMatchObject({ ok: true, widthMm: 60, heightMm: 30 });
    }
    expect(read(svg(RECT), 25)).toMatchObject({ ok: true, widthMm: 25, heightMm: 10 });
    expect(read(svg(RECT), 1e5)).toMatchObject({ ok: false, code: 'too-big' });
  });

  it.each([
    ['12mm', 12],
    ['1.5in', 38.1],
    ['10', null],
    ['10px', null],
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
    ['line', '<line x1="10" y1="10" x2="60" y2="10" stroke="#000" stroke-width="2"/>', [50, 2]],
    [
      'nested transforms',
      '<g transform="translate(40 10)"><g transform="rotate(90)"><rect width="30" height="10" transform="scale(2)"/></g></g>',
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

describe('as a browser shows it', () => {
  const remarksOf = (body: string) => mustRead(svg(body)).artwork.remarks;
  const hexes = (body: string, cloth?: string) => {
    const drawing = read(svg(body), null, cloth);
    return drawing.ok ? drawing.colours.map(({ hex }) => hex) : [drawing.code];
  };
  const areaOfPaths = (body: string) =>
    mustRead(svg(body)).artwork.paths.map(({ d }) =>
      Math.abs(
        (d.match(/M[^M]+/g) ?? []).reduce((sum, ring) => {
          const points = [...ring.matchAll(/(-?[\d.]+) (-?[\d.]+)/g)].map(([, x, y]) => [
            Number(x),
            Number(y),
          ]);
          return (
            sum +
            points.reduce((twice, [x = 0, y = 0], i) => {
              const [u = 0, v = 0] = points[(i + 1) % points.length] ?? [];
              return twice + (x * v - u * y) / 2;
            }, 0)
          );
        }, 0),
      ),
    );

  it('cuts at clips, masks and the edge of the page', () => {
    const CLIP = '<clipPath id="c"><rect x="10" y="10" width="10" height="30"/></clipPath>';
    expect(size(svg(`${CLIP}<g clip-path="url(#c)"><rect width="90" height="90"/></g>`))).toEqual([10, 30]);
    const MASK =
      '<mask id="m"><rect width="90" height="90" fill="#fff"/><rect width="90" height="50"/></mask>';
    expect(size(svg(`${MASK}<rect width="60" height="60" mask="url(#m)"/>`))).toEqual([60, 10]);
    expect(size(svg('<rect x="90" y="-10" width="40" height="40"/>'))).toEqual([10, 30]);
    expect(remarksOf('<rect x="90" y="-10" width="40" height="40"/>')).toEqual([PASSED_OVER.edge]);
  });

  it('takes away what lies hidden', () => {
    const [under, over] = areaOfPaths(
      '<rect width="40" height="40" fill="red"/><rect x="10" y="10" width="20" height="20"/>',
    );
    expect([under, over]).toEqual([1200, 400]);
    expect(
      hexes('<rect width="20" height="20" fill="red"/><rect width="30" height="30" fill="blue"/>'),
    ).toEqual(['#0000ff']);
  });

  it('outlines lines with their corners, ends and dashes', () => {
    const line = (d: string, more: string) =>
      areaOfPaths(`<path d="${d}" fill="none" stroke="#000" stroke-width="4" ${more}/>`).reduce(
        (a, b) => a + b,
        0,
      );
    // An L of two arms of 40: the outer corner is a square, a triangle or a quarter disc of 2 mm.
    const bare = 2 * 40 * 4 - 4;
    expect(line('M10 50V10H50', '')).toBeCloseTo(bare + 4, 1);
    expect(line('M10 50V10H50', 'stroke-linejoin="bevel"')).toBeCloseTo(bare + 2, 1);
    expect(line('M10 50V10H50', 'stroke-linejoin="round"')).toBeCloseTo(bare + Math.PI, 0);
    expect(line('M10 50V10H50', 'stroke-miterlimit="1.2"')).toBeCloseTo(bare + 2, 1);
    expect(line('M10 10H50', 'stroke-dasharray="6 4"')).toBeCloseTo(4 * 6 * 4, 1);
    expect(line('M10 10H50', 'stroke-dasharray="6 4" stroke-dashoffset="6"')).toBeCloseTo(4 * 6 * 4, 1);
    expect(line('M10 10h0', 'stroke-linecap="square"')).toBeCloseTo(16, 1);
    expect(line('M10 10H30V30H10Z', '')).toBeCloseTo(24 * 24 - 16 * 16, 1);
  });

  it('keeps a line under a map that stretches it as wide as it is drawn', () => {
    const [w, h] = size(
      svg('<g transform="matrix(3 0 0 1 0 0)"><path d="M10 10V40" stroke="#000" stroke-width="2"/></g>'),
    );
    expect([w, h]).toEqual([6, 30]);
  });

  it('reads gradients as their mean, and what is seen through as it looks on the cloth', () => {
    const gradient =
      '<linearGradient id="g"><stop offset="0" stop-color="#f00"/><stop offset="1" stop-color="#00f"/></linearGradient>';
    expect(hexes(`${gradient}<rect width="20" height="20" fill="url(#g)"/>`)).toEqual(['#800080']);
    expect(remarksOf(`${gradient}<rect width="20" height="20" fill="url(#g)"/>`)).toEqual([
      PASSED_OVER.gradient,
    ]);
    const half = '<rect width="20" height="20" fill="#000" opacity="0.5"/>';
    expect(hexes(half)).toEqual(['#808080']);
    expect(hexes(half, '#800000')).toEqual(['#400000']);
    expect(remarksOf(half)).toEqual([PASSED_OVER.seeThrough]);
  });

  it('reads style sheets with compound selectors, visibility and percent', () => {
    const sheet = '<style>g.a > rect:first-child{fill:#123456} .b{visibility:hidden}</style>';
    const body = `${sheet}<g class="a"><rect width="20%" height="10"/><rect class="b" width="90" height="90"/></g>`;
    expect(hexes(body)).toEqual(['#123456']);
    expect(size(svg(body))).toEqual([20, 10]);
  });

  it('puts the shapes of one colour together where the colours change too often for a ticket', () => {
    const squares = (colour: (i: number) => string) =>
      Array.from(
        { length: 90 },
        (_, i) =>
          `<rect x="${(i % 10) * 10}" y="${Math.floor(i / 10) * 10}" width="8" height="8" fill="${colour(i)}"/>`,
      ).join('');
    expect(hexes(squares((i) => (i % 2 ? '#1f3a5f' : '#e0b33a')))).toEqual(['#e0b33a', '#1f3a5f']);
    expect(remarksOf(squares((i) => (i % 2 ? '#1f3a5f' : '#e0b33a')))).toEqual([
      'Shapes of one colour were put together where none lies on another: 90 colour stops became 2.',
    ]);
    const many = mustRead(svg(squares((i) => `#${(0x100000 + i * 0x28a11).toString(16)}`)));
    expect(many.colours).toHaveLength(60);
    expect(many.artwork.remarks.some((remark) => remark.includes('90 colours'))).toBe(true);
  });
});

describe('colours', () => {
  const names = (text: string) => mustRead(text).colours.map((c) => c.hex);
  /** Each in a place of its own: what lies under another is not seen. */
  let place = 0;
  const box = (attributes: string) => {
    place = (place + 21) % 84;
    return `<rect x="${place}" width="20" height="20" ${attributes}/>`;
  };
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
      'shapes of one colour are one stop where they lie apart',
      `${box('fill="red"')}${box('fill="#f00"')}${box('fill="blue"')}${box('fill="red"')}`,
      ['#ff0000', '#0000ff'],
    ],
    [
      'what lies on another comes after it',
      '<rect width="40" height="40" fill="red"/><rect x="5" y="5" width="30" height="30" fill="blue"/><rect x="10" y="10" width="9" height="9" fill="red"/>',
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

  it('fills 0.625 to the mm², with each row’s end, a fifth beneath and a run round the edge', () => {
    const rows = 40 / 0.4;
    const fill = rows * (40 / 4 + 1);
    const beneath = (40 / 2) * (40 / 4) + (4 * 40) / 2.5;
    const found = stitches('<rect width="40" height="40"/>');
    expect(found).toBeGreaterThan(fill + beneath - 40);
    expect(found).toBeLessThan((fill + beneath) * 1.1);
  });

  it('takes two penetrations every 0.4 mm of satin', () => {
    // Beneath lie a run along the middle and, where it is wide, one along either edge.
    const found = stitches('<rect width="80" height="4"/>');
    expect(found).toBeGreaterThan((2 * 80) / 0.4 + (3 * 80) / 2.5 - 5);
    expect(found).toBeLessThan((2 * 80) / 0.4 + (3 * 80) / 2.5 + 15);
    const line = stitches('<path d="M10 10H60" stroke="#000" stroke-width="2" fill="none"/>');
    expect(Math.abs(line - (2 * 50) / 0.4 - 50 / 2.5)).toBeLessThan(10);
  });

  it('runs at 2.5 mm', () => {
    const found = stitches('<path d="M10 10H60" stroke="#000" stroke-width="0.5" fill="none"/>');
    expect(found).toBeGreaterThanOrEqual(20);
    expect(found).toBeLessThan(28);
  });

  it('counts a hole as a hole', () => {
    const ring = stitches('<path fill-rule="evenodd" d="M0 0H60V60H0Z M15 15H45V45H15Z"/>');
    const whole = stitches('<path d="M0 0H60V60H0Z"/>');
    expect(ring).toBeLessThan(whole);
  });

  it('scales with the drawing: area by the square', () => {
    const small = mustRead(svg('<rect width="30" height="30"/>')).stitches;
    const large = mustRead(svg('<rect width="30" height="30" transform="scale(2)"/>')).stitches;
    // Ends of rows and the edge grow with the length alone.
    expect(large / small).toBeGreaterThan(3.4);
    expect(large / small).toBeLessThan(4);
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
    ['nothing drawn', svg('<g/>'), 'empty'],
    ['nothing but words', svg('<text>Hello</text>'), 'empty'],
    ['too large', `${svg('<rect width="5" height="5"/>')}${' '.repeat(5 * 1024 * 1024)}`, 'too-large'],
  ];
  it.each(REFUSED)('%s', (_, text, code) => {
    const result = read(text);
    expect(result.ok ? 'read' : result.code).toBe(code);
    if (!result.ok) expect(result.message).toContain('your ticket is as it was');
  });

  it('draws a drawing inside itself once', () => {
    expect(size(svg('<g id="a"><use href="#a"/><rect width="5" height="5"/></g>'))).toEqual([5, 5]);
  });

  it('takes the document type that drawing programs write, and a drawing that forgot its names', () => {
    const type =
      '<!DOCTYPE svg PUBLIC "-//W3C//DTD SVG 1.1//EN" "http://www.w3.org/Graphics/SVG/1.1/DTD/svg11.dtd">';
    expect(size(`<?xml version="1.0"?>\n${type}\n${svg('<rect width="5" height="5"/>')}`)).toEqual([5, 5]);
    expect(
      size(
        '<svg width="10mm" height="10mm" viewBox="0 0 10 10"><rect id="r" width="4" height="4"/><use xlink:href="#r" x="5"/></svg>',
      ),
    ).toEqual([9, 4]);
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
    expect(artwork.remarks).toEqual([PASSED_OVER.text, PASSED_OVER.image]);
  });
});
