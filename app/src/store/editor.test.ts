import { phrase } from '@zt/core/base/units/phrase';
import type { Ticket } from '@zt/core/model/ticket';
import { USUAL_LETTERING } from '@zt/core/model/ticket/lettering';
import { EMPTY_PART, type Part } from '@zt/core/model/ticket/part';
import { newTicket } from '@zt/core/planner/newTicket';
import { sending } from '@zt/core/sync/replica';
import { rowOfName } from '@zt/core/testing/rowOfName';
import { TWO_SQUARES } from '@zt/core/testing/samples';
import {
  type EditorState,
  editorReducer,
  gestureEnded,
  isNewHere,
  mendTaken,
  namesMade,
  offerSettled,
  openReplica,
  outboxFound,
  partMade,
  redone,
  saveDone,
  saveStarted,
  stageSettled,
  ticketChanged,
  ticketHeard,
  ticketNamed,
  ticketOpened,
  ticketQueued,
  undone,
} from './editor';

const TICKET: Ticket = newTicket('editor-ticket', 't-shirt');
const opened = (): EditorState => editorReducer(undefined, ticketOpened({ ticket: TICKET, rev: 3 }));
const turned = (turnDeg: number, gesture?: string) =>
  ticketChanged({ change: { stage: 'place', set: { turnDeg } }, ...(gesture ? { gesture } : {}) });
const play = (state: EditorState, ...actions: Parameters<typeof editorReducer>[1][]) =>
  actions.reduce(editorReducer, state);

describe('the editor', () => {
  it('opens a ticket clean and saved', () => {
    expect(opened()).toMatchObject({ present: TICKET, rev: 3, past: [], future: [], save: 'saved' });
  });

  it('undoes and redoes step by step', () => {
    const state = play(opened(), turned(10), turned(20), undone());
    expect(state.present?.place.turnDeg).toBe(10);
    expect(play(state, undone()).present).toEqual(TICKET);
    expect(play(state, redone()).present?.place.turnDeg).toBe(20);
  });

  it('takes one gesture as one step', () => {
    const state = play(opened(), turned(1, 'drag'), turned(2, 'drag'), turned(3, 'drag'));
    expect(state.past).toHaveLength(1);
    expect(play(state, undone()).present).toEqual(TICKET);
  });

  it('begins a new step when the gesture has ended', () => {
    const state = play(opened(), turned(1, 'drag'), gestureEnded(), turned(2, 'drag'));
    expect(state.past).toHaveLength(2);
  });

  it('takes outlines made from a recipe as no step of its own, and only while the recipe is that one', () => {
    const letters = (text: string): Part => ({ ...EMPTY_PART, letters: { ...USUAL_LETTERING, text } });
    const typed = (text: string) =>
      ticketChanged({ change: { stage: 'design', set: { parts: [letters(text)] } }, gesture: 'typed' });
    const made = (text: string) =>
      partMade({
        from: letters(text),
        part: { ...letters(text), widthMm: 40, heightMm: 12, stitches: 300, artwork: TWO_SQUARES },
      });
    const state = play(opened(), typed('Ann'), typed('Anna'), made('Anna'));
    expect(state.present?.design.parts[0]).toMatchObject({
      widthMm: 40,
      stitches: 300,
      artwork: TWO_SQUARES,
    });
    expect([state.past.length, state.save]).toEqual([1, 'unsaved']);
    expect(play(state, undone()).present).toEqual(TICKET);
    // What was made for an earlier text comes too late, and what is undone stays undone.
    expect(play(state, made('Ann'))).toEqual(state);
    expect(play(state, undone(), made('Anna')).present).toEqual(TICKET);
  });

  it('takes names that were set as no step of its own, and only those that are still asked for so', () => {
    const rows = ['Alma', 'Bo'].map(rowOfName);
    const names = { part: EMPTY_PART.id, allowedMm: null, onTable: 'row-of-name-0', rows };
    const listed = ticketChanged({ change: { stage: 'design', set: { names } } });
    const set = {
      widthMm: 40,
      heightMm: 12,
      stitches: 300,
      artwork: TWO_SQUARES,
      withinMm: null,
      narrower: null,
    };
    const sets = { 'row-of-name-0': set, 'row-of-name-1': set };
    const later = rows.map((row, i) => (i === 1 ? { ...row, text: 'Bob' } : row));
    const state = play(opened(), listed, namesMade({ from: later, sets }));
    expect(state.present?.design.nameSets).toEqual({ 'row-of-name-0': set });
    expect([state.past.length, state.save]).toEqual([1, 'unsaved']);
    expect(play(state, undone(), namesMade({ from: rows, sets })).present).toEqual(TICKET);
  });

  it('tells of names that there is no room for, and keeps the ticket as it was', () => {
    const rows = ['Alma'].map(rowOfName);
    const names = { part: EMPTY_PART.id, allowedMm: null, onTable: 'row-of-name-0', rows };
    const d = 'M0 0'.padEnd(900_000, ' ');
    const artwork = {
      ...TWO_SQUARES,
      madeFrom: 'large',
      paths: [0, 0].map((stop) => ({ d, stop, strokeMm: null })),
    };
    const set = { widthMm: 40, heightMm: 12, stitches: 300, artwork, withinMm: null, narrower: null };
    const listed = ticketChanged({ change: { stage: 'design', set: { names } } });
    const state = play(opened(), listed, namesMade({ from: rows, sets: { 'row-of-name-0': set } }));
    expect(state.present?.design.nameSets).toEqual({});
    expect(state.unset['row-of-name-0']?.of).toBe('large');
  });

  it('forgets what was undone once something new is done', () => {
    expect(play(opened(), turned(1), undone(), turned(2)).future).toEqual([]);
  });

  it('undoes nothing where there is nothing, and without a ticket', () => {
    expect(play(opened(), undone(), redone()).present).toEqual(TICKET);
    expect(editorReducer(undefined, turned(5)).present).toBeNull();
  });

  it('takes a mend that changes two stages as one step, and one undo takes it back', () => {
    const mend = {
      label: phrase`Shift the design`,
      result: phrase`inside the field`,
      cost: phrase`it sits off the rule`,
      change: { stage: 'place' as const, set: { offset: { x: 0, y: 12 } } },
      also: { stage: 'hoop' as const, set: { turnDeg: 90 as const } },
    };
    const state = play(opened(), mendTaken(mend));
    expect([state.present?.place.offset, state.present?.hoop.turnDeg]).toEqual([{ x: 0, y: 12 }, 90]);
    expect([state.past, state.save]).toEqual([[TICKET], 'unsaved']);
    expect(play(state, undone()).present).toEqual(TICKET);
    expect(editorReducer(undefined, mendTaken(mend)).present).toBeNull();
  });

  it('settles a stage once, as a step to undo', () => {
    const state = play(
      opened(),
      stageSettled({ stage: 'piece', as: [] }),
      stageSettled({ stage: 'piece', as: [] }),
    );
    expect(state.present?.settled).toEqual(['piece']);
    expect(state.past).toHaveLength(1);
  });

  it('names the ticket letter by letter in one step', () => {
    const state = play(
      opened(),
      ticketNamed({ name: 'C' }),
      ticketNamed({ name: 'Cr' }),
      ticketNamed({ name: 'Crew' }),
    );
    expect([state.present?.name, state.past.length]).toEqual(['Crew', 1]);
  });
});

describe('a ticket that is not open', () => {
  const other = newTicket('another-ticket', 'hand-towel');
  const named = (name: string) => ticketQueued({ ticket: { ...other, name }, base: other, rev: 4 });
  const waiting = ({ waiting: all }: EditorState) => all.map(({ rev, value }) => [rev, value.id, value.name]);

  it('waits to be sent, and the open one stays open', () => {
    const state = play(opened(), named('Lantern'));
    expect(state.present).toBe(TICKET);
    expect(waiting(state)).toEqual([[4, 'another-ticket', 'Lantern']]);
  });

  it('is changed once more on top of what waits', () => {
    const due = ticketQueued({ ticket: { ...other, due: '2026-12-24' }, base: other, rev: 4 });
    const [one] = play(opened(), named('Lantern'), due).waiting;
    expect([one?.value.name, one?.value.due]).toEqual(['Lantern', '2026-12-24']);
  });

  it('is new here until it was sent, and opened with what waits', () => {
    const state = play(opened(), ticketQueued({ ticket: other, base: other, rev: 0 }));
    expect([isNewHere(state, other.id), isNewHere(state, TICKET.id)]).toEqual([true, false]);
    const then = play(state, ticketOpened({ ticket: other, rev: 0 }));
    expect(then).toMatchObject({ present: other, rev: 0, save: 'unsaved', waiting: [] });
  });

  it('that is open after all is changed as a step to undo', () => {
    const state = play(opened(), ticketQueued({ ticket: { ...TICKET, name: 'Oars' }, base: TICKET, rev: 3 }));
    expect([state.present?.name, state.past.length, state.waiting.length]).toEqual(['Oars', 1, 0]);
  });
});

describe('how it stands with the server', () => {
  const sentBy = (state: EditorState) => {
    const open = openReplica(state);
    if (!open) throw new Error('no ticket is open');
    return saveStarted(sending(open, { id: 'sending-1', device: 'this-device' }).inFlight);
  };
  const turn = (ticket: Ticket, turnDeg: number): Ticket => ({
    ...ticket,
    place: { ...ticket.place, turnDeg },
  });

  it('goes from unsaved to saved, and counts the revision', () => {
    const state = play(opened(), turned(1));
    expect(state.save).toBe('unsaved');
    const saved = play(state, sentBy(state), saveDone({ rev: 4, ticket: turn(TICKET, 1) }));
    expect([saved.save, saved.rev, saved.inFlight]).toEqual(['saved', 4, null]);
  });

  it('stays unsaved when something changed while it was saving', () => {
    const state = play(opened(), turned(1));
    const after = play(state, sentBy(state), turned(2), saveDone({ rev: 4, ticket: turn(TICKET, 1) }));
    expect([after.save, after.rev, after.present?.place.turnDeg]).toEqual(['unsaved', 4, 2]);
  });

  it('ignores the answer for a ticket that is no longer open', () => {
    const other = newTicket('another-ticket', 't-shirt');
    const state = play(opened(), turned(1));
    expect(play(state, sentBy(state), saveDone({ rev: 9, ticket: other })).rev).toBe(3);
  });

  it('has what another device made of it under what was made here, and undoes only the latter', () => {
    const theirs = { ...TICKET, name: 'Named on the phone' };
    const state = play(opened(), turned(1), ticketHeard({ ticket: theirs, rev: 4 }));
    expect([state.present?.name, state.present?.place.turnDeg]).toEqual(['Named on the phone', 1]);
    expect([state.save, state.rev, state.news]).toEqual(['unsaved', 4, true]);
    const back = play(state, undone());
    expect([back.present?.name, back.present?.place.turnDeg]).toEqual(['Named on the phone', 0]);
  });

  it('offers what was entered here where another device changed the same field, until it is settled', () => {
    const state = play(opened(), turned(1), ticketHeard({ ticket: turn(TICKET, 7), rev: 4 }));
    expect(state.present?.place.turnDeg).toBe(7);
    const [id = ''] = Object.keys(state.present?.offers ?? {});
    expect(state.present?.offers[id]).toMatchObject({ at: 'place.turnDeg', value: 1 });
    const used = play(state, offerSettled({ id, take: true }));
    expect([used.present?.place.turnDeg, used.present?.offers]).toEqual([1, {}]);
    const left = play(state, offerSettled({ id, take: false }));
    expect([left.present?.place.turnDeg, left.present?.offers]).toEqual([7, {}]);
  });

  it('waits with news while its own sending is not answered: the answer tells all', () => {
    const state = play(opened(), turned(1));
    const after = play(state, sentBy(state), ticketHeard({ ticket: turn(TICKET, 7), rev: 4 }));
    expect(after.rev).toBe(3);
    expect(play(after, saveDone({ rev: 5, ticket: turn(TICKET, 1) })).save).toBe('saved');
  });

  it('keeps what is being made when the outbox is read late, and what two closed pages made of one ticket', () => {
    const waited = { rev: 3, base: TICKET, value: turn(TICKET, 5), inFlight: null };
    const late = play(opened(), ticketNamed({ name: 'Typed at once' }), outboxFound([waited]));
    expect([late.present?.name, late.present?.place.turnDeg, late.save]).toEqual([
      'Typed at once',
      5,
      'unsaved',
    ]);
    expect(late.base).toEqual(TICKET);
    const named = {
      rev: 4,
      base: { ...TICKET, due: '2026-05-05' },
      value: { ...TICKET, due: '2026-05-05', name: 'Named' },
      inFlight: null,
    };
    const [both, ...more] = editorReducer(undefined, outboxFound([waited, named])).waiting;
    expect(more).toEqual([]);
    expect([both?.value.name, both?.value.place.turnDeg, both?.value.due, both?.rev]).toEqual([
      'Named',
      5,
      '2026-05-05',
      4,
    ]);
  });

  it('has what waited in the outbox, opened or not', () => {
    const waited = { rev: 2, base: TICKET, value: turn(TICKET, 5), inFlight: null };
    const before = play(
      editorReducer(undefined, outboxFound([waited])),
      ticketOpened({ ticket: TICKET, rev: 3 }),
    );
    const after = play(opened(), outboxFound([waited]));
    for (const state of [before, after])
      expect([state.present?.place.turnDeg, state.save, state.waiting]).toEqual([5, 'unsaved', []]);
  });
});
