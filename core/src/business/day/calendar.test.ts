import { readDays, readHours, USUAL_HOURS, type USUAL_WEEK, WEEKDAYS } from '../../model/openingHours';
import { endOfDay, isoOfMs, openFrom, WorkingTime } from './calendar';

const every = (hours: string) => ({
  ...USUAL_HOURS,
  week: Object.fromEntries(WEEKDAYS.map((day) => [day, hours])) as typeof USUAL_WEEK,
});
const at = (iso: string) => Date.parse(iso);
const hoursOf = ({ fromMs, toMs }: { fromMs: number; toMs: number }) => (toMs - fromMs) / 3_600_000;

it.each([
  [
    '9:00–12:30, 13:30–17:00',
    [
      [540, 750],
      [810, 1020],
    ],
  ],
  ['9-17', [[540, 1020]]],
  ['8.30 to 12', [[510, 720]]],
  ['22:00–2:00', [[1320, 1560]]],
  ['0-24', [[0, 1440]]],
  ['closed', []],
  ['', []],
  ['9:00', null],
  ['9:00–25:00', null],
  ['9–9', null],
  ['9–12, 11–14', null],
  ['20–10, 9–11', null],
  ['9:75–10', null],
  ['nine to five', null],
])('hours are read as people write them: %s', (text, read) => {
  expect(readHours(text)?.map(({ fromMin, toMin }) => [fromMin, toMin]) ?? null).toEqual(read);
});

it('days off are read, and what is none is told', () => {
  expect(readDays(' 2026-12-24, 2026-12-31')).toEqual(['2026-12-24', '2026-12-31']);
  expect(readDays('')).toEqual([]);
  expect(readDays('2026-02-30')).toBeNull();
});

it('works on from now, over breaks, nights, week-ends and days off', () => {
  // A Friday, 11:30 in Lisbon (winter: universal time).
  const open = openFrom({ ...USUAL_HOURS, closed: '2026-11-30' }, at('2026-11-27T11:30Z'), 'Europe/Lisbon');
  expect(
    open
      .slice(0, 3)
      .map(({ fromMs, toMs }) => [new Date(fromMs).toISOString(), new Date(toMs).toISOString()]),
  ).toEqual([
    ['2026-11-27T11:30:00.000Z', '2026-11-27T12:30:00.000Z'],
    ['2026-11-27T13:30:00.000Z', '2026-11-27T17:00:00.000Z'],
    ['2026-12-01T09:00:00.000Z', '2026-12-01T12:30:00.000Z'],
  ]);
  const time = new WorkingTime(open);
  expect(time.closes().slice(0, 2)).toEqual([4.5 * 3600, 11.5 * 3600]);
  // Half an hour before the break and half an hour after it.
  expect(time.onClock(1800, 5400).map(hoursOf)).toEqual([0.5, 0.5]);
  expect(time.until(at('2026-11-27T14:30Z'))).toBe(7200);
  expect(new Date(time.endsAt(4.5 * 3600 + 60) ?? 0).toISOString()).toBe('2026-12-01T09:01:00.000Z');
  expect(time.endsAt(time.totalS + 1)).toBeNull();
});

describe('a night in which the clocks are changed', () => {
  const night = every('22:00–6:00');

  it('has an hour less where they are put forward, and one more where they are put back', () => {
    const spring = openFrom(night, at('2026-03-28T20:00Z'), 'Europe/Berlin');
    const autumn = openFrom(night, at('2026-10-24T19:00Z'), 'Europe/Berlin');
    const usual = openFrom(night, at('2026-06-10T18:00Z'), 'Europe/Berlin');
    expect([spring, autumn, usual].map(([first]) => first && hoursOf(first))).toEqual([7, 9, 8]);
  });

  it('a day is still one day long for what is promised for it', () => {
    expect(new Date(endOfDay('2026-10-25', 'Europe/Berlin')).toISOString()).toBe('2026-10-25T23:00:00.000Z');
    expect(new Date(endOfDay('2026-03-29', 'Europe/Berlin')).toISOString()).toBe('2026-03-29T22:00:00.000Z');
  });

  it('what begins in the hour that is left out begins after it', () => {
    const [first] = openFrom(every('2:30–4:00'), at('2026-03-29T00:00Z'), 'Europe/Berlin');
    expect(first && [new Date(first.fromMs).toISOString(), hoursOf(first)]).toEqual([
      '2026-03-29T01:30:00.000Z',
      0.5,
    ]);
  });

  it('the same working day has the same hours in every time zone, whatever the clocks do', () => {
    for (const zone of ['Europe/Berlin', 'America/New_York', 'Australia/Lord_Howe', 'Asia/Kathmandu', 'UTC'])
      for (let day = 0; day < 365; day += 24) {
        const from = at('2026-01-01T12:00Z') + day * 86_400_000;
        const time = new WorkingTime(openFrom(every('9:00–12:30, 13:30–17:00'), from, zone));
        const whole = time.open.find(({ fromMs }) => fromMs > from + 86_400_000);
        expect(whole && hoursOf(whole)).toBeCloseTo(3.5, 9);
      }
  });
});

it('a shop that never opens has no time', () => {
  const time = new WorkingTime(openFrom(every('closed'), 0, 'UTC'));
  expect([time.totalS, time.endsAt(1), time.closes()]).toEqual([0, null, []]);
});

it('tells the day by the clocks of the shop', () => {
  expect(isoOfMs(at('2026-11-27T23:30Z'), 'Pacific/Auckland')).toBe('2026-11-28');
});
