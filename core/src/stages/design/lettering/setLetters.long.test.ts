import fc from 'fast-check';
import { boxOf, heightOf, widthOf } from '../../../base/geometry/box';
import { say } from '../../../base/units/phrase';
import { applyMend } from '../../../model/finding';
import { DEFAULT_HOUSE_RULES } from '../../../model/houseRules';
import { applyChange, type Ticket } from '../../../model/ticket';
import { ArtworkSchema } from '../../../model/ticket/artwork';
import {
  FACE_IDS,
  type FaceId,
  type Lettering,
  LetteringSchema,
  USUAL_LETTERING,
} from '../../../model/ticket/lettering';
import { EMPTY_PART, type Part } from '../../../model/ticket/part';
import { planTicket } from '../../../planner/plan';
import { casesOf, someOf } from '../../../testing/cases';
import { faceInNode } from '../../../testing/facesInNode';
import { exampleA, SAMPLE_SHELF } from '../../../testing/samples';
import { toolsInNode } from '../../../testing/toolsInNode';
import { ringsOfPath } from '../pathData';
import { stitchFigures } from '../stitchFigures';
import { lettersKey } from './lettersKey';
import type { LettersSetting } from './placedLetters';
import { type LettersSet, setLetters } from './setLetters';
import type { Typeface } from './typeface';

const MM = { system: 'mm' } as const;
const figures = stitchFigures(DEFAULT_HOUSE_RULES);
const faces = new Map<FaceId, Typeface>();
let clip: LettersSetting['clip'];

beforeAll(async () => {
  ({ clip } = await toolsInNode());
  for (const id of FACE_IDS) faces.set(id, await faceInNode(id));
});

function faceOf(id: FaceId): Typeface {
  const face = faces.get(id);
  if (!face) throw new Error(id);
  return face;
}
const tried = (recipe: Partial<Lettering>) => {
  const letters = { ...USUAL_LETTERING, ...recipe };
  return setLetters(letters, { face: faceOf(letters.face), clip, figures });
};
function set(recipe: Partial<Lettering>): LettersSet {
  const made = tried(recipe);
  if (!made.ok) throw new Error(say(made.message, MM));
  return made;
}
const why = (recipe: Partial<Lettering>): string => {
  const made = tried(recipe);
  return made.ok ? 'set' : say(made.message, MM);
};
const boxes = ({ artwork }: LettersSet) => artwork.paths.map(({ d }) => boxOf(ringsOfPath(d).flat()));

const ROUND = { text: 'I'.repeat(20), spacingMm: 10, baseline: 'circle', capMm: 10 } as const;

describe('letters', () => {
  it.each(FACE_IDS)('of the face %s are as high as was asked, and go onto a ticket', (face) => {
    const made = set({ face, text: 'H', capMm: 20 });
    // Some capitals reach below the line, a little or with a tail.
    const belowLine =
      { script: 2.5, blackletter: 5.3, children: 0.4, rounded: 0.4, plump: 0.4 }[face as string] ?? 0.05;
    expect(made.heightMm).toBeGreaterThan(19.95);
    expect(made.heightMm).toBeLessThan(20 + belowLine);
    expect(ArtworkSchema.safeParse(made.artwork).error).toBeUndefined();
    expect(made.stitches).toBeGreaterThan(100);
  });

  it('stand one after the other, and are kerned', () => {
    const [a, v] = boxes(set({ text: 'AV', capMm: 20 }));
    const apart = (text: string) => widthOf(boxes(set({ text, capMm: 20 }))[0] ?? boxOf([]));
    expect((v?.left ?? 0) - (a?.right ?? 0)).toBeLessThan(0);
    expect(set({ text: 'AV', capMm: 20 }).widthMm).toBeLessThan(apart('A') + apart('V'));
  });

  it('are spaced by what is added between two of them, and nowhere else', () => {
    const [close, wide] = [set({ text: 'anna' }), set({ text: 'anna', spacingMm: 2 })];
    expect(wide.widthMm - close.widthMm).toBeCloseTo(6, 1);
    expect(wide.heightMm).toBeCloseTo(close.heightMm, 6);
  });

  it('stand in lines as far apart as was asked, to the side that was asked', () => {
    const of = (align: Lettering['align']) =>
      boxes(set({ text: 'HHH\nH', capMm: 10, linePercent: 200, align }));
    const [left, middle, right] = (['left', 'middle', 'right'] as const).map(of);
    const tops = left?.map(({ top }) => top) ?? [];
    expect((tops[3] ?? 0) - (tops[0] ?? 0)).toBeCloseTo(20, 1);
    expect(left?.[3]?.left).toBeCloseTo(left?.[0]?.left ?? 0, 1);
    expect(right?.[3]?.right).toBeCloseTo(right?.[2]?.right ?? 0, 1);
    expect((middle?.[3]?.left ?? 0) + (middle?.[3]?.right ?? 0)).toBeCloseTo(0, 1);
  });

  it('on an arch stand upright in the middle and lean outwards at its ends; in a bowl the other way', () => {
    const [arch, bowl, line] = (['arch', 'bowl', 'line'] as const).map((baseline) =>
      boxes(set({ text: 'IIIIIII', spacingMm: 6, radiusMm: 40, baseline, capMm: 10 })),
    );
    const drop = (rows = boxes(set({ text: 'I' }))) => (rows[0]?.bottom ?? 0) - (rows[3]?.bottom ?? 0);
    expect([drop(arch), drop(bowl), drop(line)].map(Math.sign)).toEqual([1, -1, 0]);
    expect(widthOf(arch?.[3] ?? boxOf([]))).toBeCloseTo(widthOf(line?.[3] ?? boxOf([])), 1);
  });

  it('keep their middles at the radius all round a circle', () => {
    // Twenty letters that go all round, so that the circle's middle is the design's.
    const made = set({ ...ROUND, radiusMm: 47 });
    const far = boxes(made).map((b) => Math.hypot((b.left + b.right) / 2, (b.top + b.bottom) / 2));
    for (const mm of far) expect(Math.abs(mm - 52)).toBeLessThan(1);
    expect(heightOf(boxOf(made.artwork.hull))).toBeCloseTo(2 * 57, -1);
  });

  it('carry their own recipe, so that they are known to be made from it', () => {
    const recipe = { ...USUAL_LETTERING, text: 'Anna' };
    expect(set(recipe).artwork.madeFrom).toBe(lettersKey(recipe, figures));
    expect(set(recipe).artwork.madeFrom).not.toBe(lettersKey({ ...recipe, capMm: 13 }, figures));
  });
});

describe('letters of any script that the face holds', () => {
  it('go from right to left where they are read so, digits among them from left to right', () => {
    const made = set({ face: 'plump', text: 'שלום' });
    expect(made.artwork.letters.map(({ letter }) => letter)).toEqual(['ם', 'ו', 'ל', 'ש']);
    expect(set({ face: 'plump', text: 'אב 12' }).artwork.letters.map(({ letter }) => letter)).toEqual([
      '1',
      '2',
      'ב',
      'א',
    ]);
  });

  it('have their marks over them, however they were typed', () => {
    const [composed, apart] = ['é', 'e\u0301'].map((text) => set({ text }));
    expect(composed?.heightMm).toBeGreaterThan(set({ text: 'e' }).heightMm + 1);
    expect(apart?.artwork.paths).toEqual(composed?.artwork.paths);
    expect(set({ face: 'rounded', text: 'Жанна' }).artwork.letters).toHaveLength(3);
  });
});

describe('what cannot be set', () => {
  it.each<[string, Partial<Lettering>, string]>([
    ['nothing', { text: '' }, 'There are no letters to set.'],
    ['spaces', { text: ' \n  ' }, 'There are no letters to set.'],
    ['a picture', { text: 'Mia 🧁' }, 'This typeface has no “🧁”.'],
    ['a script that it lacks', { text: 'नमस्ते' }, 'This typeface has no “न”, “म”, “स्ते”.'],
    [
      'more than a circle holds',
      { ...ROUND, radiusMm: 20 },
      'The letters go round more than once: they need a radius of 47 mm, or smaller letters.',
    ],
    [
      'a monogram of four',
      { text: 'ABCD', monogram: { frame: 'none' } },
      'A monogram has one to three letters: “ABCD” has 4. Set it as a name.',
    ],
    ['a mile of it', { text: 'M'.repeat(200), capMm: 200 }, 'Set so they are'],
  ])('is said: %s', (_, recipe, words) => {
    expect(why(recipe)).toContain(words);
  });

  it('is said with a radius that does hold them', () => {
    expect(tried({ ...ROUND, radiusMm: 47 }).ok).toBe(true);
    expect(tried({ ...ROUND, radiusMm: 46 }).ok).toBe(false);
  });

  it('is never anything but a word or letters, whatever is typed', () => {
    const text = fc.oneof(
      fc.string({ maxLength: 12 }),
      fc.string({ unit: 'grapheme', maxLength: 8 }),
      fc.string({ unit: 'binary', maxLength: 8 }),
    );
    const recipe = fc.record({
      text,
      capMm: fc.double({ min: 1, max: 400, noNaN: true }),
      spacingMm: fc.double({ min: -20, max: 50, noNaN: true }),
      baseline: fc.constantFrom('line', 'arch', 'bowl', 'circle'),
      radiusMm: fc.double({ min: 5, max: 2000, noNaN: true }),
      monogram: fc.constantFrom(null, { frame: 'ring' }, { frame: 'lozenge' }),
      face: fc.constantFrom(...FACE_IDS),
    });
    fc.assert(
      fc.property(recipe, (some) => {
        const made = tried(some as Partial<Lettering>);
        if (!made.ok) return say(made.message, MM).length > 0;
        return ArtworkSchema.safeParse(made.artwork).success && made.widthMm > 0 && made.heightMm > 0;
      }),
      { numRuns: casesOf(120, 40) },
    );
    expect(LetteringSchema.safeParse({ ...USUAL_LETTERING, text: 'x'.repeat(201) }).success).toBe(false);
  });
});

describe('monograms', () => {
  it('have the middle one of three larger, level with each other’s middles', () => {
    const [a, b, c] = boxes(set({ text: 'ABC', face: 'capitals', capMm: 40, monogram: { frame: 'none' } }));
    expect(heightOf(b ?? boxOf([]))).toBeGreaterThan(1.4 * heightOf(a ?? boxOf([])));
    const middles = [a, b, c].map((box) => ((box?.top ?? 0) + (box?.bottom ?? 0)) / 2);
    for (const middle of middles) expect(middle).toBeCloseTo(0, 1);
    expect((b?.left ?? 0) - (a?.right ?? 0)).toBeCloseTo(0.12 * 40, 1);
  });

  it.each(['ring', 'lozenge'] as const)('have a %s clear of every letter', (frame) => {
    const made = set({ text: 'AMW', face: 'slab', capMm: 40, monogram: { frame } });
    const [band, ...letters] = made.artwork.paths.map(({ d }) => ringsOfPath(d));
    const inner = clip.subtract([band?.[0] ?? []], [band?.[1] ?? []]);
    for (const letter of letters) expect(clip.intersect(letter, inner)).toEqual([]);
    expect(band).toHaveLength(2);
    expect(made.artwork.letters.map(({ letter }) => letter)).toEqual(['A', 'M', 'W']);
  });
});

describe('what is judged of a letter', () => {
  const letterOf = (recipe: Partial<Lettering>, letter: string) =>
    set(recipe).artwork.letters.find((one) => one.letter === letter);

  it('is its own height, its stroke, and the eye that it closes in', () => {
    const [i, o, h] = ['I', 'o', 'h'].map((letter) => letterOf({ text: 'Iohh', capMm: 20 }, letter));
    expect(i?.heightMm).toBeCloseTo(20, 1);
    expect(o?.heightMm).toBeGreaterThan(13);
    expect(o?.heightMm).toBeLessThan(17);
    expect([i?.counterMm, h?.counterMm]).toEqual([null, null]);
    expect(o?.counterMm).toBeGreaterThan(3);
    // Of an upright bar the stroke is its width.
    expect(i?.strokeMm).toBeCloseTo(widthOf(boxes(set({ text: 'I', capMm: 20 }))[0] ?? boxOf([])), 1);
  });

  it('grows with the letters, whatever they stand on', () => {
    const [small, large] = [10, 20].map((capMm) => letterOf({ text: 'ale', capMm }, 'a'));
    expect((large?.strokeMm ?? 0) / (small?.strokeMm ?? 1)).toBeCloseTo(2, 1);
    const bent = letterOf({ text: 'ale', capMm: 20, baseline: 'arch', radiusMm: 30 }, 'a');
    expect(bent).toEqual(large);
  });
});

describe('what is found of letters on a ticket', () => {
  const ticketOf = (recipe: Partial<Lettering>) => {
    const letters = { ...USUAL_LETTERING, ...recipe };
    const { widthMm, heightMm, stitches, artwork } = set(recipe);
    const part: Part = { ...EMPTY_PART, letters, widthMm, heightMm, stitches, artwork };
    return applyChange(exampleA(), { stage: 'design', set: { parts: [part] } });
  };
  const foundOf = (ticket: Ticket) =>
    planTicket(ticket, SAMPLE_SHELF, DEFAULT_HOUSE_RULES).findings.filter(({ code }) =>
      code.startsWith('design-letters'),
    );

  it.each(someOf(FACE_IDS, 3))('names the letters of %s, and each mend that is offered ends it', (face) => {
    const codes = new Set<string>();
    for (const capMm of [3, 5, 7, 10, 30]) {
      const ticket = ticketOf({ face, text: 'Hanna & Bede', capMm });
      for (const finding of foundOf(ticket)) {
        codes.add(finding.code);
        expect(say(finding.text, MM)).toMatch(/^Of “Hanna & Bede”, “.+”: /);
        for (const mend of finding.mends)
          expect(foundOf(applyMend(ticket, mend)).map(({ code }) => code)).not.toContain(finding.code);
      }
    }
    expect([...codes]).toContain('design-letters-small');
    expect(foundOf(ticketOf({ face, text: 'HANNA', capMm: 60 }))).toEqual([]);
  });

  it('is grave below what the finest thread holds', () => {
    const severity = (capMm: number) =>
      foundOf(ticketOf({ text: 'a', capMm })).find(({ code }) => code === 'design-letters-small')?.severity;
    expect([4, 7, 12].map(severity)).toEqual(['stop', 'warn', undefined]);
  });
});
