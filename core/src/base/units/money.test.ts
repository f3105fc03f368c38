import { randomLcg } from 'd3-random';
import { formatMoney, minorDigits, moneyInField, readMoney, wholeMinor } from './money';

it('writes money as its currency does, rounding half a coin up', () => {
  expect(formatMoney(1250, 'EUR')).toBe('€12.50');
  expect(formatMoney(1250, 'JPY')).toBe('¥1,250');
  expect(formatMoney(0, 'GBP')).toBe('£0.00');
  expect(formatMoney(-305, 'EUR')).toBe('-€3.05');
  expect([0.5, 1.5, 2.4999, -0.5, -0.4].map(wholeMinor)).toEqual([1, 2, 2, -1, 0]);
  // 1.15 × 100 is 114.99999999999999, and 1.005 × 1000 × 0.5 just under its half.
  expect(wholeMinor(1.005 * 100 * 100)).toBe(10050);
});

it.each([
  ['12.50', 1250],
  ['12,5', 1250],
  ['€ 12.50', 1250],
  ['12.50 EUR', 1250],
  ['eur 7', 700],
  ['1 250', 125000],
  ['0', 0],
])('reads %j', (text, minor) => expect(readMoney(text, 'EUR')).toEqual({ ok: true, minor }));

it.each([
  ['', 'An amount is written as 12.50.'],
  ['-3', 'An amount is written as 12.50.'],
  ['1,250.00', 'An amount is written as 12.50.'],
  ['twelve', 'An amount is written as 12.50.'],
  ['1e5', 'An amount is written as 12.50.'],
  ['3.125', 'EUR has 2 places behind the point.'],
  ['999999999999', 'That is more money than is counted here.'],
])('refuses %j, and says why', (text, message) =>
  expect(readMoney(text, 'EUR')).toEqual({ ok: false, message }),
);

it('knows currencies without parts, and with three', () => {
  expect(['JPY', 'EUR', 'BHD'].map(minorDigits)).toEqual([0, 2, 3]);
  expect(readMoney('12.5', 'JPY')).toEqual({ ok: false, message: 'JPY has no parts.' });
  expect(readMoney('1.234', 'BHD')).toEqual({ ok: true, minor: 1234 });
});

it('reads back what it writes, in any currency', () => {
  const random = randomLcg(0.3);
  for (let i = 0; i < 500; i += 1) {
    const minor = Math.floor(random() * 1e9);
    const currency = ['EUR', 'JPY', 'BHD', 'GBP'][i % 4] as string;
    expect(readMoney(moneyInField(minor, currency), currency)).toEqual({ ok: true, minor });
  }
});
