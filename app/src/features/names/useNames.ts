import type { DesignInput } from '@zt/core/model/ticket/design';
import type { NameRow, Names } from '@zt/core/model/ticket/names';
import { type ListedName, withNamesListed } from '@zt/core/stages/design/names/listed';
import { withName } from '@zt/core/stages/design/names/rows';
import { newId } from '../../hooks/newId';
import { useTicket, useTicketActs } from '../../hooks/useTicket';

interface NamesActs {
  names: Names | null;
  rows: readonly NameRow[];
  set: (change: Partial<Names>) => void;
  setRow: (id: string, change: Partial<Omit<NameRow, 'id'>>) => void;
  add: (listed: readonly ListedName[]) => void;
  takeOff: (id: string) => void;
  /** All pieces have the same design again. */
  takeAllOff: () => void;
}

/** The names of the order, and what can be done to them. */
export function useNames(): NamesActs {
  const { design } = useTicket('design');
  const { change } = useTicketActs();
  const { names } = design;
  const put = (set: Partial<DesignInput>) => change({ stage: 'design', set });
  const rows = names?.rows ?? [];
  return {
    names,
    rows,
    set: (next) => {
      if (names) put({ names: { ...names, ...next } });
    },
    setRow: (id, own) => {
      if (names) put({ names: withName(names, id, own) });
    },
    add: (listed) => {
      const ids = Array.from({ length: listed.length + 1 }, newId);
      const { parts, names: next } = withNamesListed(design, listed, ids);
      put({ parts, names: next });
    },
    takeOff: (id) => {
      if (!names) return;
      const left = rows.filter((row) => row.id !== id);
      put(left.length > 0 ? { names: { ...names, rows: left } } : { names: null, nameSets: {} });
    },
    takeAllOff: () => put({ names: null, nameSets: {} }),
  };
}
