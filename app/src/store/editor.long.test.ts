import { allBounds, boundsAt } from '@zt/core/model/fields/bounds';
import { withValueAt } from '@zt/core/model/fields/path';
import { readField } from '@zt/core/model/fields/readField';
import { PIECE_KIND_IDS } from '@zt/core/model/pieceKindIds';
import { type Ticket, TicketSchema } from '@zt/core/model/ticket';
import { newTicket } from '@zt/core/planner/newTicket';
import { casesOf } from '@zt/core/testing/cases';
import fc from 'fast-check';
import {
  type EditorState,
  editorReducer,
  fieldKept,
  redone,
  stageSettled,
  ticketChanged,
  ticketNamed,
  ticketOpened,
  undone,
} from './editor';

const UNITS = [{ system: 'in', denominator: 16 }, { system: 'mm' }] as const;
const TYPED_AT = allBounds(TicketSchema)
  .map(([at]) => at)
  .filter((at) => !/^(id$|settled|unread|design\.artwork)/.test(at));

type Keyed = Record<string, unknown>;

/** What a field does with a text when it is left: the change of its stage, or the text kept. */
function typed(ticket: Ticket, at: string, text: string, units: (typeof UNITS)[number]) {
  const bounds = boundsAt(TicketSchema, at);
  if (!bounds) return fieldKept({ at, text });
  const reading = readField(text, bounds, units);
  if (reading.state !== 'read') return fieldKept({ at, text: reading.state === 'empty' ? '' : text });
  const [stage, field] = at.split('.');
  if (field === undefined) return ticketNamed({ [at]: reading.value });
  const after = withValueAt(ticket, at.split('.'), reading.value) as unknown as Record<string, Keyed>;
  const change = { stage, set: { [field]: after[stage ?? '']?.[field] }, unread: { [at]: '' } };
  return ticketChanged({ change: change as never, gesture: at });
}

const text = fc.oneof(
  fc.constantFrom(
    '30',
    '20',
    '44.2 mm',
    '2026-02-31',
    '2026-12-24',
    '',
    ' ',
    '-3',
    '1e309',
    '9'.repeat(400),
    '½',
    'x'.repeat(301),
    'x'.repeat(25_000),
    '5 000 000',
    '12,5',
  ),
  fc.string({ maxLength: 30 }),
  fc.double({ min: -20_000, max: 20_000, noNaN: true }).map(String),
);
const junk = fc.oneof(
  fc.double(),
  fc.string(),
  fc.constantFrom(null, true, {}, [], -1, 1e12),
  fc.array(fc.double(), { maxLength: 80 }),
);
const bare = newTicket('property-ticket', 't-shirt') as unknown as Record<string, Keyed>;
const FIELDS = Object.entries(bare).flatMap(([stage, inputs]) =>
  typeof inputs === 'object' &&
  inputs !== null &&
  stage !== 'unread' &&
  !Array.isArray(inputs) &&
  stage !== 'settledAs'
    ? Object.keys(inputs).map((field) => [stage, field] as const)
    : [],
);
const size = fc.record({
  name: fc.string({ maxLength: 80 }),
  count: fc.integer(),
  readings: fc.dictionary(fc.string(), fc.double()),
});

type Edit = (state: EditorState) => Parameters<typeof editorReducer>[1];
const edit: fc.Arbitrary<Edit> = fc.oneof(
  fc
    .tuple(
      fc.constantFrom(...TYPED_AT),
      fc.constantFrom('0', '1', 'length', 'needle'),
      text,
      fc.constantFrom(...UNITS),
    )
    .map(
      ([at, key, typedText, units]): Edit =>
        ({ present }) =>
          typed(present as Ticket, at.replaceAll('*', key), typedText, units),
    ),
  fc.tuple(fc.constantFrom(...FIELDS), junk).map(
    ([[stage, field], value]): Edit =>
      () =>
        ticketChanged({ change: { stage, set: { [field]: value } } as never }),
  ),
  fc.array(size, { maxLength: 60 }).map(
    (sizes): Edit =>
      () =>
        ticketChanged({ change: { stage: 'piece', set: { sizes } } }),
  ),
  fc.record({ name: text, due: fc.option(text) }).map(
    (head): Edit =>
      () =>
        ticketNamed(head as never),
  ),
  fc.array(fc.constant<string[]>(['a phrase']), { maxLength: 900 }).map(
    (as): Edit =>
      () =>
        stageSettled({ stage: 'place', as }),
  ),
  fc.constantFrom<Edit>(
    () => undone(),
    () => redone(),
  ),
);

it('no sequence of edits makes a ticket that its own schema refuses', () => {
  fc.assert(
    fc.property(fc.constantFrom(...PIECE_KIND_IDS), fc.array(edit, { maxLength: 12 }), (kind, edits) => {
      let state = editorReducer(
        undefined,
        ticketOpened({ ticket: newTicket('property-ticket', kind), rev: 1 }),
      );
      for (const next of edits) state = editorReducer(state, next(state));
      const { error } = TicketSchema.safeParse(JSON.parse(JSON.stringify(state.present)));
      expect(error?.issues ?? []).toEqual([]);
    }),
    { numRuns: casesOf(5000, 600) },
  );
});

it('what is typed and not taken is there, as it was typed, until its field gets a value', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...TYPED_AT),
      fc.string({ minLength: 1, maxLength: 400 }),
      (pattern, words) => {
        const at = pattern.replaceAll('*', 'length');
        const opened = editorReducer(
          undefined,
          ticketOpened({ ticket: newTicket('property-ticket', 't-shirt'), rev: 1 }),
        );
        const action = typed(opened.present as Ticket, at, words, UNITS[0]);
        const after = editorReducer(opened, action);
        if (fieldKept.match(action) && action.payload.text !== '')
          expect(after.present?.unread[at]).toBe(words);
        else expect(after.present?.unread).toEqual({});
        expect(editorReducer(after, undone()).present).toEqual(opened.present);
      },
    ),
    { numRuns: casesOf(1000, 200) },
  );
});
