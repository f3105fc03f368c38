import fc from 'fast-check';
import { isSameThread, type Thread } from '../../model/shelf';
import { SAMPLE_SHELF } from '../../testing/samples';
import { readThreads, threadsToCsv, threadsToPalette } from './palette';

const thread = fc.record({
  id: fc.uuid(),
  name: fc
    .string({ minLength: 1, maxLength: 40 })
    .map((s) => s.trim())
    .filter((s) => s.length > 0 && !/[\r\n]/.test(s)),
  hex: fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0').toUpperCase()}`),
  weight: fc.constantFrom(40 as const, 60 as const),
  fibre: fc.constantFrom('polyester' as const, 'rayon' as const, 'cotton' as const, 'metallic' as const),
  metresLeft: fc.option(fc.integer({ min: 0, max: 20_000 })),
});
const once = (threads: readonly Thread[]): Thread[] =>
  threads.filter(
    (t, i) =>
      threads.findIndex((o) => isSameThread(o, t) && o.name.toLowerCase() === t.name.toLowerCase()) === i,
  );
const bare = ({ id: _, ...rest }: Thread) => rest;

describe('threads as files', () => {
  it('come back from CSV as they were, whatever their names', () => {
    fc.assert(
      fc.property(fc.array(thread, { minLength: 1, maxLength: 12 }), (threads) => {
        const read = readThreads(threadsToCsv(threads));
        expect(read.ok && [read.threads, read.refused]).toEqual([once(threads).map(bare), []]);
      }),
      { numRuns: 200 },
    );
  });

  it('come back from palette text with their colours and names', () => {
    const read = readThreads(threadsToPalette(SAMPLE_SHELF.threads));
    expect(read.ok && read.threads.map((t) => [t.name, t.hex])).toEqual([
      ['navy', '#1F3A5F'],
      ['yellow', '#E0B33A'],
    ]);
  });

  it('pass over headings, comments and empty lines of palette text', () => {
    const read = readThreads(
      'A heading\nColumns: 4\n# a remark\n\n 31  58  95\tnavy\n224 179 58 warm yellow\n0 0 0',
    );
    expect(read.ok && read.threads.map((t) => `${t.name} ${t.hex}`)).toEqual([
      'navy #1F3A5F',
      'warm yellow #E0B33A',
      '#000000 #000000',
    ]);
  });

  it.each([
    ['', 'empty'],
    ['\uFEFF \n', 'empty'],
    ['Dear shop, here are my colours', 'no-colours'],
    ['name,hex\n'.repeat(6000), 'too-long'],
  ])('%# is refused in words', (text, code) => {
    const read = readThreads(text);
    expect(read).toMatchObject({ ok: false, code });
    expect(!read.ok && read.message).toMatch(/The shelf is as it was\.$/);
  });

  it.each([
    ['name,hex\nnavy,#1F3A5F\nred,#12', 3, '“#12” is no colour: six figures are wanted, #1F3A5F'],
    ['name,hex,weight\nnavy,#1F3A5F,55', 2, '“55” is no weight: 40 or 60'],
    ['name,hex,fibre\nnavy,#1F3A5F,wool', 2, '“wool” is no fibre: polyester, rayon, cotton, metallic'],
    ['name;hex;metres\nnavy;#1F3A5F;lots', 2, /^“lots” is no number of metres/],
    ['name,hex\nnavy,', 2, 'it has no colour'],
    ['name;hex;metres\nnavy;#1F3A5F;1.200', 2, /can be read in two ways/],
    ['name;hex;metres\nnavy;#1F3A5F;-3', 2, /is no number of metres/],
    ['31 58 95 navy\n300 0 0 too red', 2, /three figures from 0 to 255/],
    ['31 58', 1, /three figures from 0 to 255/],
    ['name,hex\n"two\nlines",#1F3A5F\nred,#12', 4, /no colour/],
    [`name,hex\n${'x'.repeat(121)},#1F3A5F`, 2, /name is too long/],
  ])('%j: the line is named with why, and the rest is taken', (text, line, why) => {
    const read = readThreads(text);
    expect(read.ok && read.refused).toEqual([{ line, why: expect.stringMatching(why) }]);
  });

  it('names a thread once, however often a file does', () => {
    const read = readThreads('name,hex\nNavy,#1F3A5F\nnavy,1f3a5f\nNavy two,#1F3A5F\n');
    expect(read.ok && [read.threads.map((t) => t.name), read.doubles]).toEqual([['Navy', 'Navy two'], 1]);
  });

  it.each([
    ['800', 800],
    ['1 200', 1200],
    ['12,5', 12.5],
    ['1.200,5', 1200.5],
    ['1,200.5', 1200.5],
    ['400 m', 400],
    ['', null],
    ['0', 0],
  ])('reads %j metres as %s', (text, metres) => {
    const read = readThreads(`name;hex;metres left\nnavy;#1F3A5F;${text}`);
    expect(read.ok && read.threads[0]?.metresLeft).toBe(metres);
  });

  describe('as spreadsheets write them', () => {
    const ROWS = [
      ['Tannengrün', '#234A35', '40', 'Polyester', '800'],
      ['Gold, warm', 'E0B33A', '60 wt', 'rayon', ''],
    ];
    const cell = (text: string, delimiter: string) =>
      new RegExp(`[${delimiter}"]`).test(text) ? `"${text}"` : text;
    const HEADINGS = [
      ['name', 'hex', 'weight', 'fibre', 'metresLeft'],
      ['NAME', 'HEX', 'WEIGHT', 'FIBRE', 'METRES LEFT'],
      ['Thread', 'Colour', 'Wt', 'Fiber', 'Meters'],
    ];
    const files = [',', ';', '\t'].flatMap((delimiter) =>
      ['\n', '\r\n'].flatMap((newline) =>
        HEADINGS.flatMap((heading, h) =>
          ['', '\uFEFF', 'Our threads\u0020\n'].map((before, b) => {
            const lines = [heading, ...ROWS].map((row) => row.map((c) => cell(c, delimiter)).join(delimiter));
            const blank = b === 1 ? [delimiter.repeat(4)] : [];
            const text = `${before.replace('\n', newline)}${[...lines, ...blank].join(newline)}${h === 1 ? newline.repeat(3) : ''}`;
            return [JSON.stringify(text.slice(0, 40)), text] as const;
          }),
        ),
      ),
    );
    it(`are ${files.length} and more`, () => expect(files.length + 6).toBeGreaterThanOrEqual(60));

    it.each<readonly [string, string]>([
      ...files,
      [
        'excel',
        'sep=;\r\nname;hex;weight;fibre;metres\r\nTannengrün;#234A35;40;polyester;800\r\n"Gold, warm";#E0B33A;60;rayon;\r\n',
      ],
      [
        'columns in another order',
        'hex,metres,name,fibre,weight\n#234A35,800,Tannengrün,polyester,40\n#e0b33a,,"Gold, warm",RAYON,60',
      ],
      [
        'columns nobody asked for',
        'id,name,hex,box,weight,fibre,metres\n1,Tannengrün,#234A35,A,40,polyester,800\n2,"Gold, warm",#E0B33A,B,60,rayon,',
      ],
      [
        'all in quotes',
        '"name","hex","weight","fibre","metres"\n"Tannengrün","#234A35","40","polyester","800"\n"Gold, warm","#E0B33A","60","rayon",""',
      ],
      [
        'spaces about',
        'name ; hex ; weight ; fibre ; metres\n Tannengrün ; #234A35 ; 40 ; polyester ; 800 \n Gold, warm ; #E0B33A ; 60 ; rayon ; ',
      ],
      [
        'old line ends',
        'name;hex;weight;fibre;metres\rTannengrün;#234A35;40;polyester;800\rGold, warm;#E0B33A;60;rayon;',
      ],
    ])('%s', (_, text) => {
      const read = readThreads(text);
      expect(read).toEqual({
        ok: true,
        threads: [
          { name: 'Tannengrün', hex: '#234A35', weight: 40, fibre: 'polyester', metresLeft: 800 },
          { name: 'Gold, warm', hex: '#E0B33A', weight: 60, fibre: 'rayon', metresLeft: null },
        ],
        refused: [],
        doubles: 0,
      });
    });
  });

  it('never throw, whatever the text', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 300 }), (text) => typeof readThreads(text).ok === 'boolean'),
    );
  });
});
