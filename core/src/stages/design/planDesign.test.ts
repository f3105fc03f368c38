import { say } from '../../base/units/phrase';
import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import { type OneDesign, oneDesign } from '../../testing/designed';
import { exampleA } from '../../testing/samples';
import { fabricOf } from '../piece/planPiece';
import { densityClassOf } from './designFacts';
import { planDesign } from './planDesign';

const FABRIC = fabricOf(exampleA().piece, []);

const MM = { system: 'mm' } as const;
const design = (changes: OneDesign = {}) => oneDesign(exampleA().design, changes);
const plan = (changes: OneDesign = {}) => planDesign(design(changes), DEFAULT_HOUSE_RULES, FABRIC);
const words = (changes: OneDesign) => plan(changes).findings.map((f) => `${f.severity} ${say(f.text, MM)}`);

describe('density', () => {
  const CLASSES: [number, number, number, string][] = [
    [100, 100, 3000, 'open'],
    [100, 100, 10_000, 'medium'],
    [100, 100, 25_000, 'very heavy'],
    [88, 51, 6400, 'medium'],
    [100, 100, 4000, 'light'],
    [100, 100, 15_000, 'heavy'],
  ];
  it.each(CLASSES)('%d × %d mm with %d stitches is %s', (widthMm, heightMm, stitches, name) => {
    expect(plan({ widthMm, heightMm, stitches }).facts?.densityClass).toBe(name);
  });

  it('belongs to the higher class at its edge', () => {
    expect([39.999, 40, 80, 150, 240].map(densityClassOf)).toEqual([
      'open',
      'light',
      'medium',
      'heavy',
      'very heavy',
    ]);
  });

  it('stands in for a stitch count that is not known', () => {
    const facts = plan({ stitches: null, densityClass: 'heavy', widthMm: 95, heightMm: 95 }).facts;
    expect(facts?.stitches).toBe(Math.round(190 * 90.25));
    expect(facts?.densityClass).toBe('heavy');
  });

  it('rises with 1/s² when the machine shrinks it and keeps the stitches', () => {
    const [full, shrunk] = [plan(), plan({ scalePercent: 90 })];
    expect((shrunk.facts?.density ?? 0) / (full.facts?.density ?? 1)).toBeCloseTo(1 / 0.81, 9);
    expect(shrunk.facts?.widthMm).toBeCloseTo(79.2, 9);
  });
});

describe('colour stops', () => {
  it('share the stitches equally where nobody knows better', () => {
    expect(plan().facts?.stops.map((s) => s.stitches)).toEqual([3200, 3200]);
  });

  it('are counted together where each is known, and nothing else is', () => {
    const colours = [1000, 3000].map((stitches) => ({ hex: '#111111', name: 'a', stitches }));
    const { facts, findings } = plan({ stitches: null, densityClass: null, colours });
    expect([facts?.stitches, facts?.stops.map((s) => s.stitches)]).toEqual([4000, [1000, 3000]]);
    expect(findings).toEqual([]);
  });

  it('keep what is known, and share the rest', () => {
    const colours = [
      { hex: '#111111', name: 'a', stitches: 1000 },
      { hex: '#222222', name: 'b', stitches: null },
      { hex: '#333333', name: 'c', stitches: null },
    ];
    expect(plan({ colours }).facts?.stops.map((s) => s.stitches)).toEqual([1000, 2700, 2700]);
  });
});

describe('findings', () => {
  const FOUND: [string, OneDesign, string][] = [
    ['no width', { widthMm: null }, "next Still to enter: the design's width."],
    [
      'no stitches',
      { stitches: null, densityClass: null },
      'next Still to enter: the stitch count, or how dense it is.',
    ],
    [
      'absurd',
      { heightMm: 5000 },
      "stop 5000 mm for the design's height cannot be right: between 3 mm and 1000 mm.",
    ],
    ['shrunk', { scalePercent: 85 }, 'warn Shrunk to 85 % with the same stitches it is 38 % denser.'],
    [
      'shrunk too far',
      { scalePercent: 70 },
      'stop Shrunk to 70 % it is 104 % denser: get the design in this size.',
    ],
    [
      'small letters',
      { lettering: true, letterHeightMm: 5 },
      'warn Letters 5 mm high need 60 wt thread and a 65/9 needle; 6 mm holds in 40 wt.',
    ],
    [
      'tiny letters',
      { lettering: true, letterHeightMm: 3 },
      'stop Letters 3 mm high close up: at least 4 mm, even in 60 wt thread.',
    ],
  ];
  it.each(FOUND)('%s', (_, changes, text) => {
    expect(words(changes)).toContain(text);
  });

  it('shrinks the letters with the design', () => {
    expect(words({ lettering: true, letterHeightMm: 6.5, scalePercent: 91 })[0]).toContain(
      'Letters 5.9 mm high',
    );
  });

  it('is silent when nothing is wrong', () => {
    expect(words({})).toEqual([]);
  });
});
