import { randomLcg } from 'd3-random';
import type { DayTicket } from '../../model/day';
import type { OrderState } from '../../model/order';
import { exampleA, SAMPLE_RULES } from '../../testing/samples';
import { blanksToBuy, sparesFor } from './blanks';
import { bySupplier } from './bySupplier';
import type { ShoppingLine } from './shopping';
import { shoppingToCsv } from './toCsv';

describe('spares', () => {
  it('are none where nothing is spoilt, and as many as it takes by hand', () => {
    expect(sparesFor(20, 0, 0.9)).toBe(0);
    expect(sparesFor(0, 0.5, 0.9)).toBe(0);
    // One piece, one of ten spoilt: 90 % come out at once.
    expect(sparesFor(1, 0.1, 0.9)).toBe(0);
    expect(sparesFor(1, 0.1, 0.95)).toBe(1);
    // Twenty pieces at 5 %: none spoilt 36 %, one at most 73 %, two at most 91 %.
    expect(sparesFor(20, 0.05, 0.9)).toBe(2);
    // All are spoilt: no end of them, so no more than there are pieces.
    expect(sparesFor(4, 1, 0.9)).toBe(4);
  });

  it('are enough as often as they should be, and one less is not', () => {
    const random = randomLcg(0.42);
    const isEnough = (pieces: number, spares: number, share: number): boolean => {
      let good = 0;
      for (let i = 0; i < pieces + spares; i += 1) if (random() >= share) good += 1;
      return good >= pieces;
    };
    for (const [pieces, share] of [
      [12, 0.08],
      [40, 0.04],
      [100, 0.15],
    ] as const) {
      const spares = sparesFor(pieces, share, 0.9);
      const often = (count: number) =>
        Array.from({ length: 4000 }, () => isEnough(pieces, count, share)).filter(Boolean).length / 4000;
      expect(often(spares)).toBeGreaterThan(0.88);
      expect(often(spares - 1)).toBeLessThan(0.92);
    }
  });
});

describe('bare pieces to buy', () => {
  const crests = {
    ...exampleA(),
    piece: { ...exampleA().piece, quantity: 4, sizes: [{ name: 'L', count: 6, readings: {} }] },
  };
  const of = (state: OrderState | null, ticket = crests): DayTicket => ({
    ticket,
    due: null,
    order: state && { name: 'Regatta', state },
  });

  it('come by size, with spares, as long as they are not here', () => {
    expect(
      blanksToBuy([of('agreed')], SAMPLE_RULES, () => 0.05).map(({ size, pieces, spares }) => [
        size,
        pieces,
        spares,
      ]),
    ).toEqual([
      ['', 4, 1],
      ['L', 6, 1],
    ]);
    for (const state of ['asked', 'blanks here', 'in work', null] as const)
      expect(blanksToBuy([of(state)], SAMPLE_RULES, () => 0.05)).toEqual([]);
    expect(blanksToBuy([of('agreed', { ...crests, blankMinor: 0 })], SAMPLE_RULES, () => 0.05)).toEqual([]);
  });
});

describe('a shopping list', () => {
  const line = (name: string, supplier: string, more: Partial<ShoppingLine> = {}): ShoppingLine => ({
    type: name,
    name,
    unit: 'm',
    needed: 2.345,
    has: 1,
    tickets: ['Crest', 'Paw'],
    why: 'short',
    supplier,
    runsOut: { ticket: 'Paw', due: '2026-12-04' },
    ...more,
  });

  it('is a table that calculates nothing by itself, whatever things are called', () => {
    const blanks = blanksToBuy(
      [{ ticket: { ...exampleA(), name: '=SUM(A1)' }, due: null, order: { name: 'x', state: 'agreed' } }],
      SAMPLE_RULES,
      () => 0,
    );
    const rows = shoppingToCsv([line('Cut-away, "medium"', 'Harbour Mill')], blanks).split('\r\n');
    expect(rows).toEqual([
      'supplier,what,needed,here,to buy,unit,why,for,runs out',
      'Harbour Mill,"Cut-away, ""medium""",2.35,1,1.35,m,short,Crest; Paw,2026-12-04 Paw',
      `,T-shirt,1,0,1,pieces,,"'=SUM(A1)",`,
    ]);
  });

  it('stands by whom it was bought from, those that nobody named last', () => {
    const groups = bySupplier([line('a', ''), line('b', 'Quay'), line('c', 'Harbour'), line('d', 'Quay')]);
    expect(groups.map(({ supplier, lines }) => [supplier, lines.map(({ name }) => name)])).toEqual([
      ['Harbour', ['c']],
      ['Quay', ['b', 'd']],
      ['', ['a']],
    ]);
  });
});
