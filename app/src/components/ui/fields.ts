import { say } from '@zt/core/base/units/phrase';
import type { Bounds } from '@zt/core/model/fields/bounds';
import { type FieldReading, type Reader, readField } from '@zt/core/model/fields/readField';
import type { Unread } from '@zt/core/model/fields/unread';
import { whyUnread } from '@zt/core/planner/unreadFindings';
import { createContext, useContext, useLayoutEffect, useRef, useState } from 'react';
import type { TextFieldProps } from './TextField';

/** Where the fields on a form put what is typed: the open ticket, an item of the shelf, the house rules. */
export interface Fields {
  units: Reader;
  /** What was typed and could not be taken, by the path of its field. */
  unread: Unread;
  boundsAt: (at: string) => Bounds | null;
  /** Runs the change that a field's reading makes; what was kept unread there is let go with it. */
  take: (at: string, change: () => void) => void;
  /** Leaves a field empty; keeps the text that could not be taken there, if there is one. */
  keep: (at: string, text: string) => void;
}

export const FieldsContext = createContext<Fields | null>(null);

export function useFields(): Fields {
  const fields = useContext(FieldsContext);
  if (!fields) throw new Error('assertion failed: no form is open here');
  return fields;
}

/** Rest after a reading that is complete before it is taken from the hand, ms. */
const PAUSE_MS = 900;
/** Rest after a letter before words are taken: letters that come together are taken together, ms. */
const LETTERS_MS = 100;

interface DraftOf {
  /** The path of the field in what is saved. */
  at: string;
  /** The value as it is shown while nobody types. */
  shown: string;
  /** Whether it is read and shown as a length; else the schema says so. */
  isLength?: boolean;
  onValue: (value: number | string) => void;
}

/** A field in the hand: its text, what it reads as, why it cannot be taken, and when it is. */
export interface Draft {
  /** What the line of text shows and hears. */
  line: Pick<TextFieldProps, 'value' | 'onText' | 'onDone' | 'error'>;
  reading: FieldReading | null;
  bounds: Bounds;
  /** Takes a value that was not typed. */
  put: (value: number) => void;
}

/**
 * What is typed is a draft while the field is in the hand. It is taken on leaving it, on Enter, or after a pause
 * when nobody would type on; words are taken as they come. What cannot be taken is kept as it was typed.
 */
export function useDraft({ at, shown, isLength, onValue }: DraftOf): Draft {
  const fields = useFields();
  const own = fields.boundsAt(at);
  if (!own) throw new Error(`assertion failed: nothing is typed at ${at}`);
  const bounds = own.kind === 'number' && isLength !== undefined ? { ...own, isLength } : own;
  const [typed, setTyped] = useState<string | null>(null);
  const pause = useRef<ReturnType<typeof setTimeout>>(undefined);
  // After a pause the field is taken over what there is then, not over what there was.
  const now = useRef({ onValue, fields });
  now.current = { onValue, fields };
  const kept = fields.unread[at];
  const readingOf = (text: string) => readField(text, bounds, fields.units);
  const take = (text: string) => {
    clearTimeout(pause.current);
    const reading = readingOf(text);
    const words = bounds.kind === 'text' && bounds.least === 0;
    const { fields: form, onValue: give } = now.current;
    if (reading.state === 'read') form.take(at, () => give(reading.value));
    else if (reading.state === 'empty' && words) form.take(at, () => give(text));
    else form.keep(at, reading.state === 'empty' ? '' : text);
  };
  const reading = typed === null ? null : readingOf(typed);
  const whyTyped = reading?.state === 'unread' ? say(reading.why, fields.units) : null;
  const whyKept =
    kept !== undefined && typed === null ? say(whyUnread(kept, bounds, fields.units), fields.units) : null;
  const type = (text: string) => {
    setTyped(text);
    clearTimeout(pause.current);
    const read = readingOf(text);
    if (bounds.kind === 'text') pause.current = setTimeout(() => take(text), LETTERS_MS);
    else if (read.state === 'read' && read.complete) pause.current = setTimeout(() => take(text), PAUSE_MS);
  };
  const leave = () => {
    clearTimeout(pause.current);
    if (typed !== null && typed !== (kept ?? shown)) take(typed);
    setTyped(null);
  };
  // A page that is turned, or gone back from, is left too: before its ticket is put away.
  const leaveNow = useRef(leave);
  leaveNow.current = leave;
  useLayoutEffect(() => () => leaveNow.current(), []);
  return {
    line: { value: typed ?? kept ?? shown, onText: type, onDone: leave, error: whyTyped ?? whyKept },
    reading,
    bounds,
    put: (value) => {
      setTyped(null);
      clearTimeout(pause.current);
      fields.take(at, () => onValue(value));
    },
  };
}
