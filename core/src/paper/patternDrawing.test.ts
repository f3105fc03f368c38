import { boxOf } from '../base/geometry/box';
import type { Clipper } from '../base/geometry/clip';
import { clothPieces } from '../files/cutFile/cutPieces';
import { DEFAULT_HOUSE_RULES } from '../model/houseRules';
import { type Applique, USUAL_APPLIQUE } from '../model/ticket/applique';
import { EMPTY_DESIGN } from '../model/ticket/design';
import { planDesign } from '../stages/design/planDesign';
import { fabricOf } from '../stages/piece/planPiece';
import { appliqued } from '../testing/appliqued';
import { toolsInNode } from '../testing/toolsInNode';
import { patternDrawings } from './patternDrawing';

const RULES = DEFAULT_HOUSE_RULES;
let clip: Clipper;
beforeAll(async () => {
  ({ clip } = await toolsInNode());
});

function patternsOf(rest: Partial<Applique>, times = 3) {
  const design = { ...EMPTY_DESIGN, parts: [appliqued(rest)] };
  const { facts } = planDesign(design, RULES, fabricOf({ fabricId: '', fabricChanges: {} }));
  if (!facts) throw new Error('nothing is planned');
  const patterns = patternDrawings({ facts, times, rules: RULES }, clip);
  return { facts, patterns };
}

it('draws every piece once at true size, with its count, its grain and its holes', () => {
  const { facts, patterns } = patternsOf({ cloth: { ...USUAL_APPLIQUE.cloth, fused: false } });
  const [{ drawing, title }] = patterns as [(typeof patterns)[0]];
  expect(title).toBe('cotton');
  const [cut] = clothPieces(facts.cloths, { clip, scale: 1, rules: RULES });
  const sizes = (cut?.pieces ?? []).flatMap(({ region }) =>
    region.map((ring) => boxOf([...ring]).right - boxOf([...ring]).left),
  );
  const drawn = drawing.marks.flatMap((mark) =>
    mark.kind === 'line' && mark.closed ? [boxOf([...mark.points]).right - boxOf([...mark.points]).left] : [],
  );
  const sorted = (values: number[]) => [...values].sort((a, b) => a - b).map((mm) => mm.toFixed(2));
  expect(sorted(drawn)).toEqual(sorted(sizes));
  const words = drawing.marks.flatMap((mark) => (mark.kind === 'text' ? [mark.text] : []));
  expect(words).toEqual([
    'shapes 2, cut 3',
    'shapes 1, cut 3',
    'cotton: right side of the cloth up, pattern as it is.',
  ]);
});

it('of turned edges the fold is drawn inside the cut; fused cloth is a mirror', () => {
  const { patterns } = patternsOf({ way: 'turned' }, 1);
  const dashed = patterns[0]?.drawing.marks.filter((mark) => mark.kind === 'line' && mark.dashMm);
  // Two outlines and a hole.
  expect(dashed).toHaveLength(3);
  const words = patterns[0]?.drawing.marks.flatMap((mark) => (mark.kind === 'text' ? [mark.text] : []));
  expect(words?.at(-1)).toContain('a mirror, to trace on the paper of the web');
});
