import fc from 'fast-check';
import { fractionsOf, keyed, type TapeKey } from './keypad';
import { bareUnitOf, type DisplayUnits, parseLength } from './length';

const IN: DisplayUnits = { system: 'in', denominator: 16 };
const MM: DisplayUnits = { system: 'mm' };
const press = (keys: TapeKey[], units: DisplayUnits = IN, from = '') =>
  keys.reduce((text, key) => keyed(text, key, units), from);
const digits = (text: string): TapeKey[] => [...text].map((digit) => ({ digit }));

it.each<[string, TapeKey[], string]>([
  ['a whole with a fraction', [...digits('20'), { fraction: '1/2' }], '20 1/2'],
  ['another fraction takes its place', [...digits('20'), { fraction: '1/2' }, { fraction: '3/8' }], '20 3/8'],
  ['a sixteenth is added to it', [...digits('7'), { fraction: '1/2' }, { fraction: '1/16' }], '7 9/16'],
  ['a fraction alone', [{ fraction: '3/4' }], '3/4'],
  [
    'a digit after a fraction is none of the length',
    [...digits('7'), { fraction: '1/2' }, ...digits('3')],
    '7 1/2',
  ],
  ['two tapes', [...digits('36'), 'plus', ...digits('4'), { fraction: '1/2' }], '36 + 4 1/2'],
  ['a unit', [...digits('19'), 'point', ...digits('5'), { unit: 'cm' }], '19.5 cm'],
  ['another unit', [...digits('19'), { unit: 'cm' }, { unit: 'mm' }], '19 mm'],
  ['half of it', [...digits('20'), { fraction: '1/2' }, 'half'], '10 1/4 in'],
  ['half of two tapes', [...digits('36'), 'plus', ...digits('4'), 'half'], '20 in'],
  ['back over a fraction', [...digits('20'), { fraction: '1/2' }, 'back'], '20'],
  ['back over a plus', [...digits('20'), 'plus', 'back'], '20'],
  ['a plus after nothing', ['plus'], ''],
])('%s', (_, keys, text) => {
  expect(press(keys)).toBe(text);
});

it('has the fractions of the shop’s own tape, and none in millimetres', () => {
  expect(fractionsOf(IN)).toHaveLength(8);
  expect(fractionsOf({ system: 'in', denominator: 8 })).toHaveLength(7);
  expect(fractionsOf(MM)).toEqual([]);
});

const anyKey = fc.oneof(
  fc.constantFrom<TapeKey>('point', 'plus', 'back', 'half'),
  fc.constantFrom(...'0123456789').map((digit) => ({ digit })),
  fc.constantFrom(...fractionsOf(IN)).map((fraction) => ({ fraction })),
  fc.constantFrom('in', 'cm', 'mm').map((unit) => ({ unit }) as TapeKey),
);

it('whatever is pressed reads as a length, or will with the next digit; back leads to nothing in the end', () => {
  fc.assert(
    fc.property(fc.array(anyKey, { maxLength: 12 }), fc.constantFrom(IN, MM), (keys, units) => {
      const text = press(keys, units);
      const reads = (t: string) => parseLength(t, bareUnitOf(units)).ok;
      expect(text === '' || reads(text) || reads(`${text}1`)).toBe(true);
      let left = text;
      for (let i = 0; i < 60; i += 1) left = keyed(left, 'back', units);
      expect(left).toBe('');
    }),
    { numRuns: 2000 },
  );
});
