import { boxOf } from '../../../base/geometry/box';
import type { Clipper } from '../../../base/geometry/clip';
import { toEnd } from '../../../base/inSteps';
import { say } from '../../../base/units/phrase';
import { DEFAULT_HOUSE_RULES } from '../../../model/houseRules';
import { type Applique, USUAL_APPLIQUE } from '../../../model/ticket/applique';
import { DesignInputSchema, EMPTY_DESIGN } from '../../../model/ticket/design';
import { EMPTY_PART, type Part } from '../../../model/ticket/part';
import { appliqued, SQUARES } from '../../../testing/appliqued';
import { toolsInNode } from '../../../testing/toolsInNode';
import { fabricOf } from '../../piece/planPiece';
import { drawnPart } from '../parts/drawnPart';
import { blocksOf, stopsOfDesign } from '../parts/stopsOfDesign';
import { ringsOfPath } from '../pathData';
import { planDesign } from '../planDesign';
import { answerStitches, type StitchAnswer } from '../stitches/answer';
import { stitchesAsked } from '../stitches/asked';
import { kindOf } from '../stitches/stitches';
import { stitchFigures } from '../stitchFigures';
import { readSvg } from '../svg/readSvg';
import { plainShare } from './appliqued';

let clip: Clipper;
beforeAll(async () => {
  ({ clip } = await toolsInNode());
});

const FABRIC = fabricOf({ fabricId: '', fabricChanges: {} });
const designOf = (...parts: Part[]) => ({ ...EMPTY_DESIGN, parts });
const stopsOf = (...parts: Part[]) => {
  const { facts } = planDesign(designOf(...parts), DEFAULT_HOUSE_RULES, FABRIC);
  if (!facts) throw new Error('nothing is planned');
  return facts.stops;
};

function answerOf(...parts: Part[]): StitchAnswer {
  const question = stitchesAsked(designOf(...parts), { fabric: FABRIC, rules: DEFAULT_HOUSE_RULES });
  if (!question) throw new Error('nothing is asked');
  return toEnd(answerStitches(question, clip));
}

const at = ({ stitches: { x, y, stop, kind } }: StitchAnswer, of: number) =>
  Array.from(x, (px, i) => ({ x: px, y: y[i] ?? 0, stop: stop[i], kind: kindOf(kind[i] ?? 0) })).filter(
    (one) => one.stop === of && one.kind !== 'trim' && one.kind !== 'jump',
  );

/** How far a point lies from the outline of the right square, below zero inside. */
const fromSquare = ({ x, y }: { x: number; y: number }): number =>
  Math.max(Math.abs(x - 30), Math.abs(y)) - 20;

it('each step of an appliqué is a stop of its own in one thread, what lies on its cloth comes after it', () => {
  expect(stopsOf(SQUARES).map(({ name }) => name)).toEqual(['madder', 'navy']);
  expect(stopsOf(appliqued()).map(({ name }) => name)).toEqual([
    'madder, placement line',
    'madder, tack-down',
    'madder, satin edge',
    'navy',
  ]);
  expect(stopsOf(appliqued({ way: 'rawEdge' })).map(({ name }) => name)).toEqual([
    'madder, placement line',
    'madder, tack-down',
    'navy',
  ]);
});

it('a shape that stays thread keeps its own stop, with its share of the stitches', () => {
  const one = appliqued({ shapes: [1], edge: 'blanket' });
  const share = plainShare(one, 0);
  expect(share).toBeCloseTo((1600 + 256) / (1600 + 256 + 1600), 2);
  const stops = stopsOf(one);
  expect(stops.map(({ name }) => name)).toEqual([
    'madder',
    'madder, placement line',
    'madder, tack-down',
    'madder, blanket edge',
    'navy',
  ]);
  expect(stops[0]?.stitches).toBe(Math.round(7600 * share));
});

it('two cloths in one thread are laid in one go where neither lies on the other', () => {
  const other = { ...appliqued(), id: 'part-of-others', at: { x: 0, y: 60 } };
  const apart = stopsOf(appliqued(), other).map(({ name }) => name);
  expect(apart.filter((name) => name.includes('placement'))).toHaveLength(1);
  const laid = stopsOf(appliqued(), other).find(({ name }) => name.includes('tack-down'));
  expect(laid?.applique?.shapes).toBe(4);
  const cloth = { ...USUAL_APPLIQUE.cloth, name: 'gingham' };
  const another = { ...other, appliques: appliqued({ cloth }).appliques };
  const two = stopsOf(appliqued(), another).map(({ name }) => name);
  expect(two.filter((name) => name.includes('placement'))).toHaveLength(2);
  const onIt = { ...other, at: { x: 10, y: 10 } };
  const steps = stopsOf(appliqued(), onIt).map(({ of }) =>
    of.map(({ part, step }) => `${part} ${step}`).join(),
  );
  expect(steps.indexOf('part-of-others placement')).toBeGreaterThan(
    steps.indexOf('part-of-squares tackDown'),
  );
  const drawn = [appliqued(), onIt].flatMap((part) => drawnPart(part) ?? []);
  expect(stopsOfDesign(drawn, null).swapped).toEqual([]);
  expect(
    blocksOf(drawn).find(({ part, step }) => part === 'part-of-others' && step === 'placement')?.on,
  ).toEqual(expect.arrayContaining([1]));
});

it('the design reaches as far as the satin round its cloth', () => {
  const size = (part: Part) => planDesign(designOf(part), DEFAULT_HOUSE_RULES, FABRIC).facts?.widthMm ?? 0;
  expect(size(SQUARES)).toBeCloseTo(100, 5);
  expect(size(appliqued({ edgeMm: 4 }))).toBeCloseTo(104, 1);
  expect(size(appliqued({ way: 'rawEdge' }))).toBeCloseTo(100, 5);
});

describe('its stitches', () => {
  const onSquare = (answer: StitchAnswer, of: number): number[] =>
    at(answer, of)
      .filter(({ x, y }) => x > 0 && Math.max(Math.abs(x - 30), Math.abs(y)) > 12)
      .map(fromSquare);

  it('follow the outline, hold the cloth inside it, and cover its edge half in and half out', () => {
    const answer = answerOf(appliqued({ edgeMm: 4 }));
    for (const far of onSquare(answer, 0)) expect(Math.abs(far)).toBeLessThan(0.35);
    for (const far of onSquare(answer, 1)) expect(Math.abs(far + 0.5)).toBeLessThan(0.35);
    const edge = onSquare(answer, 2);
    expect(Math.max(...edge)).toBeGreaterThan(1.9);
    expect(Math.max(...edge)).toBeLessThan(2.7);
    expect(Math.min(...edge)).toBeGreaterThan(-2.7);
    const satin = answer.made.stops.find(({ step }) => step === 'edge')?.satin ?? 0;
    // Round both squares and the hole, two penetrations to 0.4 mm.
    expect(satin).toBeGreaterThan(((160 + 160 + 64) / 0.4) * 2 * 0.85);
    expect(satin).toBeLessThan(((160 + 160 + 64) / 0.4) * 2 * 1.2);
  });

  it('of a blanket edge run along the cut, and prong inwards only', () => {
    const answer = answerOf(appliqued({ edge: 'blanket', edgeMm: 4 }));
    const edge = onSquare(answer, 2);
    expect(Math.max(...edge)).toBeLessThan(0.1);
    expect(Math.min(...edge)).toBeGreaterThan(-4.1);
    const prongs = edge.filter((far) => far < -3.8).length;
    // One every 3 mm, but for those that come near the next side of a corner.
    expect(prongs).toBeGreaterThan(((160 - 8 * 3.8) / 3) * 0.9);
    expect(prongs).toBeLessThan(160 / 3);
    // Round the hole they point away from it: into the cloth.
    const hole = at(answer, 2).filter(({ x, y }) => Math.max(Math.abs(x + 30), Math.abs(y)) < 14);
    expect(Math.min(...hole.map(({ x, y }) => Math.max(Math.abs(x + 30), Math.abs(y))))).toBeGreaterThan(7.5);
  });

  it('of a raw edge hold it from inside', () => {
    const answer = answerOf(appliqued({ way: 'rawEdge' }));
    for (const far of onSquare(answer, 1)) expect(Math.abs(far + 3)).toBeLessThan(0.4);
  });

  it('count by their steps, and the plan takes them', () => {
    const part = appliqued();
    const { made } = answerOf(part);
    expect(made.stops.map(({ stop, step }) => [stop, step])).toEqual([
      [0, 'placement'],
      [0, 'tackDown'],
      [0, 'edge'],
      [1, null],
    ]);
    const { facts } = planDesign({ ...designOf(part), made }, DEFAULT_HOUSE_RULES, FABRIC);
    expect(facts?.made).toBe(made);
    expect(facts?.stops.map(({ stitches }) => stitches)).toEqual(
      made.stops.map(({ fill, satin, other }) => fill + satin + other),
    );
  });

  it('of an edge of any usual width are no hot spot of their own', () => {
    for (const edgeMm of [2, 3, 3.5, 5])
      expect(answerOf(appliqued({ edgeMm })).made.mostCover).toBeLessThanOrEqual(7);
  });

  it('of shapes narrower than their edge, or without area, are made without harm', () => {
    const thin: Part = {
      ...appliqued({ edgeMm: 8 }),
      artwork: SQUARES.artwork && {
        ...SQUARES.artwork,
        paths: [
          { d: 'M0 0L30 0L30 1L0 1Z', stop: 0, strokeMm: null },
          { d: 'M0 5L30 5L0 5Z', stop: 0, strokeMm: null },
          { d: 'M0 10L30 10', stop: 0, strokeMm: 6 },
        ],
      },
    };
    const answer = answerOf(thin);
    expect(answer.stitches.x.length).toBeGreaterThan(50);
    expect(answer.stitches.x.every(Number.isFinite)).toBe(true);
  });
});

it('of a drawing the cloth is whole where something is drawn on it: neither hole nor notch is cut for that', async () => {
  const text = `<svg xmlns="http://www.w3.org/2000/svg" width="60mm" height="60mm" viewBox="0 0 60 60">
    <rect x="10" y="10" width="40" height="40" fill="#A93F36"/><circle cx="30" cy="30" r="8" fill="#1F3A5F"/>
    <circle cx="50" cy="30" r="6" fill="#E9B93A"/></svg>`;
  const read = readSvg(text, 'sun.svg', {
    figures: stitchFigures(DEFAULT_HOUSE_RULES),
    tools: await toolsInNode(),
    cloth: '#ffffff',
    widthMm: null,
  });
  if (!read.ok) throw new Error('not read');
  const { widthMm, heightMm, stitches, colours, artwork } = read;
  expect(artwork.paths.map(({ whole }) => whole !== undefined)).toEqual([true, false, false]);
  const plain: Part = { ...EMPTY_PART, id: 'part-of-sun', widthMm, heightMm, stitches, colours, artwork };
  const part: Part = {
    ...plain,
    appliques: [{ ...USUAL_APPLIQUE, stop: 0 }],
    turnDeg: 90,
    scalePercent: 150,
  };
  const { facts } = planDesign(designOf(part), DEFAULT_HOUSE_RULES, FABRIC);
  const [cloth] = facts?.cloths ?? [];
  const rings = ringsOfPath(cloth?.d ?? '');
  expect(rings).toHaveLength(1);
  const box = boxOf(rings.flat());
  // A whole square of 40 mm, half as large again.
  expect([box.right - box.left, box.bottom - box.top]).toEqual([
    expect.closeTo(60, 1),
    expect.closeTo(60, 1),
  ]);
  expect(rings[0]).toHaveLength(4);
  expect(facts?.stops.map(({ name }) => name.replace(/.*, /, ''))).toEqual([
    'placement line',
    'tack-down',
    'satin edge',
    expect.anything(),
    expect.anything(),
  ]);
  // Of thread it is as it is seen: what lies on it is cut out.
  expect(ringsOfPath(plain.artwork?.paths[0]?.d ?? '').length).toBeGreaterThan(1);
});

it('a part keeps what is said of its cloth through its schema; old parts have none', () => {
  const kept = DesignInputSchema.parse(JSON.parse(JSON.stringify(designOf(appliqued()))));
  expect(kept.parts[0]?.appliques).toEqual(appliqued().appliques);
  const { appliques: _, ...before } = SQUARES;
  expect(DesignInputSchema.parse({ ...EMPTY_DESIGN, parts: [before] }).parts[0]?.appliques).toEqual([]);
  const many: Applique[] = Array.from({ length: 60 }, (_, stop) => ({
    ...(appliqued().appliques[0] as Applique),
    stop,
  }));
  const parts = [0, 1].map((i) => ({ ...SQUARES, id: `part-no-${i}xx`, appliques: many }));
  expect(DesignInputSchema.safeParse({ ...EMPTY_DESIGN, parts }).error?.issues[0]?.message).toMatch(
    /more than 240 times/,
  );
});

it('what is of cloth in a colour that is gone is said, with the mend that takes it away', () => {
  const gone = { ...appliqued(), appliques: appliqued().appliques.map((one) => ({ ...one, stop: 7 })) };
  const { findings, facts } = planDesign(designOf(gone), DEFAULT_HOUSE_RULES, FABRIC);
  expect(facts?.stops.map(({ name }) => name)).toEqual(['madder', 'navy']);
  const found = findings.find(({ code }) => code === 'design-applique-gone');
  expect(say(found?.text ?? [], { system: 'mm' })).toBe(
    'The cotton of “shapes” was of a colour that is no more in it.',
  );
  const { change } = found?.mends[0] ?? {};
  expect(change && 'parts' in change.set && (change.set.parts as Part[])[0]?.appliques).toEqual([]);
});
