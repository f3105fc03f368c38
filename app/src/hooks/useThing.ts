import { say } from '@zt/core/base/units/phrase';
import { boundsAt } from '@zt/core/model/fields/bounds';
import type { Reader } from '@zt/core/model/fields/readField';
import { refusalInWords, refusalsOf } from '@zt/core/model/fields/refusal';
import { changedThing, keptUnread, type WithUnread } from '@zt/core/model/fields/unread';
import { wordsOfPath } from '@zt/core/planner/fieldNames';
import { useRef, useState } from 'react';
import type { Fields } from '../components/ui/fields';

interface ThingOf<T> {
  thing: T;
  reader: Reader;
  /** The schema that the server checks the thing with. */
  schema: Parameters<typeof keptUnread>[0];
  onThing: (thing: T) => void;
}

/** The fields of something that is saved as a whole, how it is changed, and why a change of it was not taken. */
export function useThing<T extends WithUnread>({ thing, reader, schema, onThing }: ThingOf<T>) {
  const taking = useRef<string | null>(null);
  const [refused, setRefused] = useState<string | null>(null);
  const put = (after: T) => {
    const changed = changedThing(thing, after, taking.current);
    const [first] = refusalsOf(schema.safeParse(changed).error);
    setRefused(first ? say(refusalInWords(schema, first, wordsOfPath(first.at)), reader) : null);
    if (!first) onThing(changed);
  };
  const fields: Fields = {
    units: reader,
    unread: thing.unread ?? {},
    boundsAt: (at) => boundsAt(schema, at),
    take: (at, run) => {
      taking.current = at;
      run();
      taking.current = null;
    },
    keep: (at, text) => onThing(keptUnread(schema, thing, { at, text })),
  };
  return { fields, put, refused };
}
