import { newTicket, phrase, type Ticket } from '@zt/core';
import {
  type EditorState,
  editorReducer,
  gestureEnded,
  mendTaken,
  redone,
  saveDone,
  saveFailed,
  saveStarted,
  stageSettled,
  ticketChanged,
  ticketNamed,
  ticketOpened,
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

describe('how it stands with the server', () => {
  it('goes from unsaved to saved, and counts the revision', () => {
    const state = play(opened(), turned(1));
    expect(state.save).toBe('unsaved');
    const saved = play(state, saveStarted(), saveDone({ rev: 4, ticket: { ...TICKET } }));
    expect([saved.save, saved.rev]).toEqual(['saved', 4]);
  });

  it('stays unsaved when something changed while it was saving', () => {
    const state = play(opened(), turned(1), saveStarted(), turned(2), saveDone({ rev: 4, ticket: TICKET }));
    expect([state.save, state.rev]).toEqual(['unsaved', 4]);
  });

  it('ignores the answer for a ticket that is no longer open', () => {
    const other = newTicket('another-ticket', 't-shirt');
    expect(play(opened(), turned(1), saveStarted(), saveDone({ rev: 9, ticket: other })).rev).toBe(3);
  });

  it('keeps a conflict in sight whatever is done next', () => {
    const state = play(opened(), turned(1), saveStarted(), saveFailed('conflict'), turned(2), undone());
    expect(state.save).toBe('conflict');
  });
});
