import type { Clipper } from '../../base/geometry/clip';
import { say } from '../../base/units/phrase';
import { PartSchema } from '../../model/ticket/part';
import { boxRing, stitchedElements, USUAL_STITCHING } from '../../testing/stitched';
import { toolsInNode } from '../../testing/toolsInNode';
import { writeCsv } from './csv';
import { writeJson } from './json';
import { readStitchFile } from './read';
import type { StitchFile } from './stitchFile';
import { writeSvg } from './svg';
import { partOfFile, toldBy } from './told';

let clip: Clipper;
beforeAll(async () => {
  ({ clip } = await toolsInNode());
});

const fileOf = (stops: number): StitchFile => ({
  name: 'Gull',
  stops: Array.from({ length: stops }, (_, i) => ({ hex: '#1F3A5F', name: `stop ${i + 1}` })),
  stitches: stitchedElements(
    Array.from({ length: stops }, (_, stop) => ({
      region: [boxRing(stop * 12 - 20, -10, 10, 20)],
      stop,
      how: USUAL_STITCHING,
    })),
    clip,
  ),
});

it('tells size, stitches and thread of each stop, and is a part by those figures', () => {
  const file = fileOf(3);
  const told = toldBy(file);
  expect(told.stops.map(({ name }) => name)).toEqual(['stop 1', 'stop 2', 'stop 3']);
  expect(told.widthMm).toBeGreaterThan(33.5);
  expect(told.widthMm).toBeLessThan(35);
  const part = PartSchema.parse(partOfFile(file, 'part-of-file'));
  expect(part.colours.map(({ stitches }) => stitches)).toEqual(told.stops.map(({ stitches }) => stitches));
  expect(part.stitches).toBe(told.stitches);
  expect([part.widthMm, part.heightMm]).toEqual(
    [told.widthMm, told.heightMm].map((mm) => Math.round(mm * 10) / 10),
  );
});

it('of more stops than a part has colours, and of no stitches, it is still a part that can be kept', () => {
  const many = partOfFile(fileOf(70), 'part-of-many');
  expect(PartSchema.safeParse(many).error).toBeUndefined();
  expect(many.colours.reduce((sum, { stitches }) => sum + (stitches ?? 0), 0)).toBe(many.stitches);
  const none = { ...fileOf(1), stops: [], stitches: stitchedElements([], clip) };
  expect(PartSchema.safeParse(partOfFile(none, 'part-of-none')).error).toBeUndefined();
});

it('is read in whatever form it comes; what is none is refused in words', () => {
  const file = fileOf(2);
  for (const text of [writeCsv(file), writeJson(file), writeSvg(file)])
    expect(readStitchFile(text)).toEqual({ ok: true, ...file });
  for (const text of ['', 'hello', '{', '[1]', '<svg/>', '\u0000\u0001', '{"format":"stitches"}']) {
    const read = readStitchFile(text);
    expect(read.ok ? '' : say(read.message, { system: 'mm' }).length).toBeGreaterThan(10);
  }
});
