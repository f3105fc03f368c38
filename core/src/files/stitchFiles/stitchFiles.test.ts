import type { Clipper } from '../../base/geometry/clip';
import { say } from '../../base/units/phrase';
import { STITCH_KINDS } from '../../stages/design/stitches/stitches';
import { stitchedElements, USUAL_STITCHING } from '../../testing/stitched';
import { toolsInNode } from '../../testing/toolsInNode';
import { variedShape } from '../../testing/variedShapes';
import { readCsv, writeCsv } from './csv';
import { readJson, writeJson } from './json';
import type { FileRead, StitchFile } from './stitchFile';
import { readSvgStitches, writeSvg } from './svg';

const MM = { system: 'mm' } as const;
let clip: Clipper;
beforeAll(async () => {
  ({ clip } = await toolsInNode());
});

const STOPS = [
  { hex: '#1F3A5F', name: 'navy' },
  { hex: '#E9B93A', name: 'yellow, “old gold”' },
  { hex: '#A93F36', name: 'madder' },
];
const fileOf = (seed: number): StitchFile => ({
  name: `Gull “no. ${seed}”, & waves`,
  stops: STOPS,
  stitches: stitchedElements(
    [0, 1, 2].map((stop) => ({ region: variedShape(seed * 3 + stop, clip), stop, how: USUAL_STITCHING })),
    clip,
  ),
});

const WAYS: [string, (file: StitchFile) => string, (text: string) => FileRead][] = [
  ['CSV', writeCsv, readCsv],
  ['JSON', writeJson, readJson],
  ['SVG', writeSvg, readSvgStitches],
];

it.each(WAYS)('%s brings the very same stitches back', (_, write, read) => {
  for (let seed = 1; seed <= 5; seed++) {
    const file = fileOf(seed);
    expect(read(write(file))).toEqual({ ok: true, ...file });
  }
});

it.each(WAYS)('%s of no stitches is one of no stitches', (_, write, read) => {
  const file = { ...fileOf(1), stitches: stitchedElements([], clip) };
  expect(read(write(file))).toEqual({ ok: true, ...file });
});

const said = (read: FileRead): string => (read.ok ? 'read' : `${read.code}: ${say(read.message, MM)}`);

describe('a file that cannot be taken is refused where it is wrong', () => {
  const lines = (change: (rows: string[]) => void): string => {
    const rows = writeCsv(fileOf(2)).split('\n');
    change(rows);
    return rows.join('\n');
  };
  const HOSTILE: [string, (rows: string[]) => void, RegExp][] = [
    [
      'a broken line',
      (rows) => rows.splice(9, 1, '5,1,0,fill,12'),
      /^broken: Line 10: not all of its figures/,
    ],
    ['words for figures', (rows) => rows.splice(9, 1, '5,1,0,fill,far,away'), /^broken: Line 10/],
    [
      'a stop that is not there',
      (rows) => rows.splice(9, 1, '5,9,0,fill,1,1'),
      /^no-such-stop: Line 10: colour stop 9 is not there; the file has 3\./,
    ],
    [
      'an unknown kind',
      (rows) => rows.splice(9, 1, '5,1,0,knit,1,1'),
      /^no-such-kind: Line 10: there is no kind of stitch “knit”\./,
    ],
    [
      'a place outside any hoop',
      (rows) => rows.splice(9, 1, '5,1,0,fill,4000,1'),
      /^outside: Line 10: 4000 mm from the centre lies outside any hoop\./,
    ],
    [
      'a colour that is none',
      (rows) => rows.splice(2, 1, 'stop,2,gold,old'),
      /^broken: Colour stop 2: “gold” is no colour\./,
    ],
    ['no heading', (rows) => rows.splice(4, 1), /^not-a-stitch-file: This is no list of stitches/],
  ];
  it.each(HOSTILE)('CSV with %s', (_, change, words) => {
    expect(said(readCsv(lines(change)))).toMatch(words);
  });

  it('JSON', () => {
    const whole = writeJson(fileOf(2));
    expect(said(readJson('hello'))).toMatch(/^not-a-stitch-file/);
    expect(said(readJson(whole.slice(0, -20)))).toMatch(/^not-a-stitch-file/);
    expect(said(readJson('{"format":"stitches"}'))).toMatch(
      /^broken: This is no file of stitches: “version”/,
    );
    const value = JSON.parse(whole);
    expect(said(readJson(JSON.stringify({ ...value, stitches: { ...value.stitches, y: [1] } })))).toMatch(
      /^broken: Its lists of stitches are not of one length/,
    );
    const far = { ...value.stitches, x: value.stitches.x.map((x: number, i: number) => (i === 3 ? 1e6 : x)) };
    expect(said(readJson(JSON.stringify({ ...value, stitches: far })))).toMatch(/^outside: Stitch 4:/);
    expect(said(readJson(JSON.stringify({ ...value, stops: [] })))).toMatch(/^no-such-stop: Stitch 1:/);
  });

  it('SVG', () => {
    expect(said(readSvgStitches('<svg xmlns="http://www.w3.org/2000/svg"><path d="M0 0"/></svg>'))).toMatch(
      /^not-a-stitch-file/,
    );
    expect(said(readSvgStitches('no drawing'))).toMatch(/^not-a-stitch-file/);
    expect(
      said(readSvgStitches(writeSvg(fileOf(2)).replace('data-kind="fill"', 'data-kind="knit"'))),
    ).toMatch(/^no-such-kind: Stitch \d+: there is no kind of stitch “knit”\./);
  });
});

it('a JSON file says which kinds it numbers', () => {
  expect(JSON.parse(writeJson(fileOf(1))).kinds).toEqual([...STITCH_KINDS]);
});
