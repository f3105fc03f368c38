import fc from 'fast-check';
import { colourDifference, lightnessOf } from '../base/colour/colour';
import { DEFAULT_HOUSE_RULES as RULES } from '../model/houseRules';
import type { Thread } from '../model/shelf';
import {
  isOfKind,
  isSeenOn,
  nearestThread,
  sameHue,
  shuffledThreads,
  threadFor,
  toneLadder,
} from './fromShelf';

const thread = (name: string, hex: string): Thread => ({
  id: `thread-${name}`,
  name,
  hex,
  weight: 40,
  fibre: 'polyester',
  metresLeft: 500,
});
const OWNED = [
  thread('navy', '#1F3A5F'),
  thread('chalk blue', '#2D6A99'),
  thread('sea blue', '#5B86A8'),
  thread('pale sky', '#B8D3E6'),
  thread('brick', '#A93F36'),
  thread('yellow', '#E0B33A'),
  thread('white', '#FAFAF7'),
  thread('slate', '#59626E'),
];
const hex = fc
  .integer({ min: 0, max: 0xffffff })
  .map((n) => `#${n.toString(16).padStart(6, '0').toUpperCase()}`);

describe('a tone-on-tone ladder', () => {
  it('is of one hue, from dark to light', () => {
    expect(toneLadder('#2D6A99', OWNED, RULES).map((t) => t.name)).toEqual([
      'navy',
      'chalk blue',
      'sea blue',
      'pale sky',
    ]);
    expect(toneLadder('#2C8A3A', OWNED, RULES)).toEqual([]);
  });

  it('has steps of at least 8 in lightness, whatever it is made from', () => {
    fc.assert(
      fc.property(hex, fc.array(hex, { maxLength: 40 }), (of, hexes) => {
        const ladder = toneLadder(
          of,
          hexes.map((h, i) => thread(String(i), h)),
          RULES,
        );
        return ladder.every((t, i) => {
          const before = ladder[i - 1];
          return sameHue(of, t.hex) && (!before || lightnessOf(t.hex) - lightnessOf(before.hex) >= 8);
        });
      }),
    );
  });
});

it('a thread is seen on cloth from the house’s difference in lightness, darker or lighter', () => {
  const on = (leastContrast: number) => ({ ...RULES, numbers: { leastContrast } });
  const apart = Math.abs(lightnessOf('#1F3A5F') - lightnessOf('#2D6A99'));
  expect(isSeenOn('#1F3A5F', '#2D6A99', on(apart - 0.1))).toBe(true);
  expect(isSeenOn('#1F3A5F', '#2D6A99', on(apart + 0.1))).toBe(false);
  expect(isSeenOn('#2D6A99', '#1F3A5F', on(apart - 0.1))).toBe(true);
  expect(isSeenOn('#FAFAF7', '#FAFAF7', RULES)).toBe(false);
});

describe('a shuffle of the threads owned', () => {
  const on = { ground: '#1F2B3A', rules: { ...RULES, numbers: { leastContrast: 25 } }, seed: 4 };

  it('is the same for the same seed, and another for another', () => {
    const names = (seed: number) => shuffledThreads(OWNED, 3, { ...on, seed }).map((t) => t.name);
    expect(names(4)).toEqual(names(4));
    expect([1, 2, 3, 5, 6].some((seed) => names(seed).join() !== names(4).join())).toBe(true);
  });

  it('has different threads that stand out from the cloth, while there are enough', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1e6 }), fc.integer({ min: 1, max: 4 }), (seed, count) => {
        const drawn = shuffledThreads(OWNED, count, { ...on, seed });
        return (
          new Set(drawn.map((t) => t.id)).size === count &&
          drawn.every((t) => Math.abs(lightnessOf(t.hex) - lightnessOf(on.ground)) >= 25)
        );
      }),
    );
    expect(shuffledThreads(OWNED.slice(0, 1), 3, on).map((t) => t.name)).toEqual(['navy', 'navy', 'navy']);
    expect(shuffledThreads([], 3, on)).toEqual([]);
  });
});

it('the nearest thread owned is the nearest of all', () => {
  fc.assert(
    fc.property(hex, (wanted) => {
      const best = nearestThread(wanted, OWNED).thread;
      return OWNED.every((t) => colourDifference(best?.hex ?? '', wanted) <= colourDifference(t.hex, wanted));
    }),
  );
  expect(nearestThread('#1F3A5F', []).thread).toBeNull();
});

describe('a thread for a colour, of the kind that is wanted', () => {
  const sixty = { weight: 60, fibre: 'polyester' } as const;
  const fine = (name: string, hex: string): Thread => ({ ...thread(name, hex), ...sixty });

  it('is of that kind while one is close, even where another kind is nearer', () => {
    const threads = [thread('navy', '#1F3A5F'), fine('fine navy', '#213C62')];
    expect(threadFor('#1F3A5F', sixty, threads)).toMatchObject({ thread: { name: 'fine navy' } });
    expect(threadFor('#1F3A5F', sixty, threads).match).toBe('same');
  });

  it('is a substitute where only another kind has the colour', () => {
    const threads = [thread('navy', '#1F3A5F'), fine('fine red', '#C8322B')];
    expect(threadFor('#1F3A5F', sixty, threads)).toMatchObject({
      thread: { name: 'navy' },
      match: 'substitute',
    });
  });

  it('is the nearest of its kind where no kind has the colour, and none on an empty shelf', () => {
    const threads = [thread('white', '#FAFAF7'), fine('fine yellow', '#E0B33A')];
    expect(threadFor('#C8322B', sixty, threads)).toMatchObject({
      thread: { name: 'fine yellow' },
      match: 'substitute',
    });
    expect(threadFor('#C8322B', sixty, [])).toEqual({ thread: null, match: 'none' });
  });

  it('agrees with the nearest thread where all are of one kind', () => {
    fc.assert(
      fc.property(hex, (colour) => {
        const kind = { weight: 40, fibre: 'polyester' } as const;
        expect(OWNED.every((t) => isOfKind(t, kind))).toBe(true);
        expect(threadFor(colour, kind, OWNED)).toEqual(nearestThread(colour, OWNED));
      }),
    );
  });
});
