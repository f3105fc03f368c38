import fc from 'fast-check';
import type { Offer, Offers } from '../model/offer';
import { casesOf } from '../testing/cases';
import { mergeThree } from './merge';
import { offerLeft, offerTaken } from './offers';
import {
  acknowledged,
  heard,
  isUnsent,
  type KeptAt,
  type Replica,
  received,
  replicaOf,
  type Sending,
  sending,
} from './replica';

const mergeBy = (by: string) => (three: Parameters<typeof mergeThree<Thing>>[0]) =>
  mergeThree(three, { by, when: '' });

const WHO = { by: 'bench', when: '2026-01-01T00:00:00Z' };

describe('putting together what two devices made of one thing', () => {
  const base = {
    name: 'Oars',
    piece: { kind: 'tee', readings: { chest: 500, length: 700 } },
    offset: { x: 0, y: 0 },
    rows: [
      { id: 'a', n: 1 },
      { id: 'b', n: 2 },
    ],
    offers: {} as Offers,
  };
  type Named = typeof base;
  const merge = (mine: Named, theirs: Named) => mergeThree({ base, mine, theirs }, WHO);

  it('takes different fields from both', () => {
    const mine = { ...base, name: 'Oars and waves' };
    const theirs = { ...base, piece: { ...base.piece, readings: { chest: 510, length: 700 } } };
    expect(merge(mine, theirs)).toEqual({ ...base, name: mine.name, piece: theirs.piece });
  });

  it('offers mine where both changed one field', () => {
    const merged = merge({ ...base, name: 'Mine' }, { ...base, name: 'Theirs' });
    expect(merged.name).toBe('Theirs');
    expect(Object.values(merged.offers)).toEqual([{ at: 'name', value: 'Mine', ...WHO }]);
  });

  it('asks nothing where both changed a field alike, and takes a reading each', () => {
    const more = (readings: Record<string, number>) =>
      ({ ...base, name: 'Same', piece: { ...base.piece, readings } }) as Named;
    const merged = merge(more({ chest: 501, length: 700 }), more({ chest: 500, length: 702 }));
    expect(merged).toEqual(more({ chest: 501, length: 702 }));
  });

  it('takes a place as one value', () => {
    const merged = merge({ ...base, offset: { x: 5, y: 0 } }, { ...base, offset: { x: 0, y: 5 } });
    expect(merged.offset).toEqual({ x: 0, y: 5 });
    expect(Object.values(merged.offers)).toMatchObject([{ at: 'offset', value: { x: 5, y: 0 } }]);
  });

  it('puts lists together by the ids of their rows', () => {
    const mine = { ...base, rows: [{ id: 'a', n: 9 }, ...base.rows.slice(1), { id: 'c', n: 3 }] };
    const theirs = { ...base, rows: [base.rows[0] ?? { id: '', n: 0 }, { id: 'd', n: 4 }] };
    expect(merge(mine, theirs).rows).toEqual([
      { id: 'a', n: 9 },
      { id: 'd', n: 4 },
      { id: 'c', n: 3 },
    ]);
  });

  it('offers what was changed here and taken out there', () => {
    const mine = {
      ...base,
      rows: [
        { id: 'a', n: 9 },
        { id: 'b', n: 2 },
      ],
    };
    const merged = merge(mine, { ...base, rows: base.rows.slice(1) });
    expect(merged.rows).toEqual([{ id: 'b', n: 2 }]);
    const [id = ''] = Object.keys(merged.offers);
    expect(merged.offers[id]).toMatchObject({ at: 'rows.a', value: { id: 'a', n: 9 } });
    expect(offerTaken(merged, id)).toEqual({
      ...base,
      rows: [
        { id: 'b', n: 2 },
        { id: 'a', n: 9 },
      ],
    });
    expect(offerLeft(merged, id)).toEqual({ ...base, rows: [{ id: 'b', n: 2 }] });
  });

  it('changes nothing when it is done again, and is the other side’s where only that changed', () => {
    const value = fc
      .record({
        name: fc.constantFrom('a', 'b', 'c'),
        piece: fc.dictionary(fc.constantFrom('p', 'q', 'r'), fc.nat(3), { noNullPrototype: true }),
        offset: fc.record({ x: fc.nat(2), y: fc.nat(2) }),
      })
      .map((plain): typeof plain & { offers?: Offers } => structuredClone(plain));
    fc.assert(
      fc.property(value, value, value, (first, mine, theirs) => {
        const once = mergeThree({ base: first, mine, theirs }, WHO);
        const again = mergeThree({ base: first, mine, theirs: once }, WHO);
        expect(again).toEqual(once);
        expect(mergeThree({ base: first, mine: first, theirs }, WHO)).toEqual(theirs);
        expect(mergeThree({ base: first, mine, theirs: first }, WHO)).toEqual(mine);
      }),
      { numRuns: 500 },
    );
  });
});

interface Thing {
  fields: Record<string, string>;
  /** Names in an order that people change. */
  rows: readonly { id: string; name: string }[];
  offers?: Offers;
}

const DEVICES = ['phone', 'tablet', 'bench'];
const FIELDS = ['a', 'b', 'c'];
const ROWS = ['r', 's', 't', 'u'].map((id) => ({ id, name: id }));
/** The order of the rows, as if it were one more field. */
const orderOf = (rows: Thing['rows']): string => rows.map(({ id }) => id).join(' ');

/** The name that an edit of what is offered is kept under, and the value it would put there. */
const fieldOf = ({ at }: Offer): string => (at.startsWith('fields.') ? (at.split('.')[1] ?? '') : at);
const enteredIn = ({ value }: Offer): string => (Array.isArray(value) ? value.join(' ') : String(value));

/** Three devices and the shop's computer, with messages on their way that may come late, twice, or never. */
class Shop {
  kept: KeptAt<Thing> = { rev: 1, value: { fields: {}, rows: ROWS } };
  taken = new Set<string>();
  devices: Replica<Thing>[] = DEVICES.map(() => replicaOf(this.kept));
  asked: Sending<Thing>[] = [];
  answers: { device: number; to: string; kept: KeptAt<Thing> }[] = [];
  news: KeptAt<Thing>[] = [];
  /** Every edit, and whether somebody who saw it put something else in its place. */
  edits: { field: string; value: string; replaced: boolean }[] = [];
  ids = 0;

  private at = (device: number): Replica<Thing> => this.devices[device] as Replica<Thing>;

  private replaced(field: string, value: string | undefined) {
    for (const edit of this.edits) if (edit.field === field && edit.value === value) edit.replaced = true;
  }

  edit(device: number, field: string) {
    const replica = this.at(device);
    this.replaced(field, replica.value.fields[field]);
    this.ids += 1;
    const value = `value ${this.ids}`;
    this.edits.push({ field, value, replaced: false });
    const fields = { ...replica.value.fields, [field]: value };
    this.devices[device] = { ...replica, value: { ...replica.value, fields } };
  }

  /** A row is moved to another place, or renamed. */
  move(device: number, from: number, to: number) {
    const replica = this.at(device);
    const rows = [...replica.value.rows];
    const [row] = rows.splice(from, 1);
    if (!row || from === to) return;
    rows.splice(to, 0, row);
    this.replaced('rows', orderOf(replica.value.rows));
    // Moved back to where it was heard or sent last is no change.
    const known = (replica.inFlight?.value ?? replica.base).rows;
    if (orderOf(rows) !== orderOf(known))
      this.edits.push({ field: 'rows', value: orderOf(rows), replaced: false });
    this.devices[device] = { ...replica, value: { ...replica.value, rows } };
  }

  rename(device: number, nth: number) {
    const replica = this.at(device);
    const old = replica.value.rows[nth];
    if (!old) return;
    this.ids += 1;
    const name = `name ${this.ids}`;
    this.replaced(`rows.${old.id}.name`, old.name);
    this.edits.push({ field: `rows.${old.id}.name`, value: name, replaced: false });
    const rows = replica.value.rows.map((row) => (row === old ? { ...row, name } : row));
    this.devices[device] = { ...replica, value: { ...replica.value, rows } };
  }

  /** What stands in a field, and what an offer on it would put there; by the names that edits are kept under. */
  standing(value: Thing, field: string): string | undefined {
    if (field === 'rows') return orderOf(value.rows);
    const [, id] = field.split('.');
    return field.startsWith('rows.') ? value.rows.find((row) => row.id === id)?.name : value.fields[field];
  }

  /** Somebody says which of two values is right. */
  answer(device: number, take: boolean) {
    const replica = this.at(device);
    const [id] = Object.keys(replica.value.offers ?? {});
    const offer = id === undefined ? undefined : replica.value.offers?.[id];
    if (id === undefined || !offer) return;
    const field = fieldOf(offer);
    if (take) {
      this.replaced(field, this.standing(replica.value, field));
      for (const other of Object.values(replica.value.offers ?? {}))
        if (other.at === offer.at && enteredIn(other) !== enteredIn(offer))
          this.replaced(field, enteredIn(other));
    } else this.replaced(field, enteredIn(offer));
    const value = take ? offerTaken(replica.value, id) : offerLeft(replica.value, id);
    this.devices[device] = { ...replica, value };
  }

  send(device: number) {
    if (!isUnsent(this.at(device))) return;
    this.ids += 1;
    const replica = sending(this.at(device), { id: `sending ${this.ids}`, device: DEVICES[device] ?? '' });
    this.devices[device] = replica;
    this.asked.push(replica.inFlight);
  }

  arrive(nth: number, again: boolean) {
    const sent = this.asked[nth % Math.max(1, this.asked.length)];
    if (!sent) return;
    if (!again) this.asked.splice(this.asked.indexOf(sent), 1);
    if (!this.taken.has(sent.id)) this.kept = received(this.kept, sent, mergeBy(sent.device));
    this.taken.add(sent.id);
    this.answers.push({ device: DEVICES.indexOf(sent.device), to: sent.id, kept: this.kept });
    this.news.push(this.kept);
  }

  hearAnswer(nth: number) {
    const [answer] = this.answers.splice(nth % Math.max(1, this.answers.length), 1);
    if (!answer) return;
    const replica = this.at(answer.device);
    if (replica.inFlight?.id === answer.to)
      this.devices[answer.device] = acknowledged(replica, answer.kept, mergeBy('device'));
  }

  hearNews(device: number, nth: number) {
    const kept = this.news[nth % Math.max(1, this.news.length)];
    if (kept) this.devices[device] = heard(this.at(device), kept, mergeBy('device'));
  }

  lose() {
    this.asked = [];
    this.answers = [];
  }

  /** Everybody is there again: whatever waits is sent and answered, and all hear of it. */
  settle() {
    for (let round = 0; round < 10; round += 1) {
      for (const device of DEVICES.keys()) {
        this.send(device);
        while (this.asked.length > 0) this.arrive(0, false);
        while (this.answers.length > 0) this.hearAnswer(0);
      }
      for (const device of DEVICES.keys())
        this.devices[device] = heard(this.at(device), this.kept, mergeBy('device'));
    }
  }
}

const device = fc.nat(DEVICES.length - 1);
const acts = fc.array(
  fc.oneof(
    {
      weight: 5,
      arbitrary: fc.record({ do: fc.constant('edit' as const), device, field: fc.constantFrom(...FIELDS) }),
    },
    {
      weight: 3,
      arbitrary: fc.record({ do: fc.constant('move' as const), device, from: fc.nat(3), to: fc.nat(3) }),
    },
    { weight: 2, arbitrary: fc.record({ do: fc.constant('rename' as const), device, nth: fc.nat(3) }) },
    { weight: 4, arbitrary: fc.record({ do: fc.constant('send' as const), device }) },
    {
      weight: 4,
      arbitrary: fc.record({ do: fc.constant('arrive' as const), nth: fc.nat(9), again: fc.boolean() }),
    },
    { weight: 4, arbitrary: fc.record({ do: fc.constant('answered' as const), nth: fc.nat(9) }) },
    { weight: 3, arbitrary: fc.record({ do: fc.constant('news' as const), device, nth: fc.nat(99) }) },
    { weight: 1, arbitrary: fc.record({ do: fc.constant('lose' as const) }) },
    { weight: 1, arbitrary: fc.record({ do: fc.constant('decide' as const), device, take: fc.boolean() }) },
  ),
  { maxLength: 60 },
);

it('three devices end in one state, with every edit in it, offered, or replaced by one who saw it', () => {
  fc.assert(
    fc.property(acts, (all) => {
      const shop = new Shop();
      for (const act of all) {
        if (act.do === 'edit') shop.edit(act.device, act.field);
        else if (act.do === 'move') shop.move(act.device, act.from, act.to);
        else if (act.do === 'rename') shop.rename(act.device, act.nth);
        else if (act.do === 'send') shop.send(act.device);
        else if (act.do === 'arrive') shop.arrive(act.nth, act.again);
        else if (act.do === 'answered') shop.hearAnswer(act.nth);
        else if (act.do === 'news') shop.hearNews(act.device, act.nth);
        else if (act.do === 'lose') shop.lose();
        else shop.answer(act.device, act.take);
      }
      shop.settle();
      for (const replica of shop.devices) {
        expect(replica.value).toEqual(shop.kept.value);
        expect(isUnsent(replica)).toBe(false);
      }
      const { offers = {} } = shop.kept.value;
      for (const { field, value, replaced } of shop.edits) {
        const offered = Object.values(offers).some(
          (offer) => fieldOf(offer) === field && enteredIn(offer) === value,
        );
        const stands = shop.standing(shop.kept.value, field) === value;
        expect({ field, value, kept: replaced || offered || stands }).toEqual({ field, value, kept: true });
      }
    }),
    { numRuns: casesOf(10_000, 600) },
  );
});
