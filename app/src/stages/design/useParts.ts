import type { Part } from '@zt/core/model/ticket/part';
import { keptParts, partsOnTable } from '@zt/core/stages/design/names/onTable';
import { type Chosen, withPart } from '@zt/core/stages/design/parts/acts';
import { useMemo } from 'react';
import { useTicket, useTicketActs } from '../../hooks/useTicket';
import { partsChosen } from '../../store/editor';
import { useAppDispatch, useAppSelector } from '../../store/store';

/** Of an order of names the parts are those of the name on the table. */
interface Parts extends Chosen {
  /** The one that is acted on; null where none is, or several are. */
  only: Part | null;
  choose: (ids: readonly string[]) => void;
  /** Puts other parts in their place; changes of one gesture are one step to undo. */
  put: (parts: Part[], gesture?: string) => void;
  /** Puts parts there, and chooses some of them. */
  putChosen: (chosen: Chosen) => void;
  /** Changes one part. */
  set: (id: string, change: Partial<Part>, gesture?: string) => void;
}

/** The parts of the design, and those that are acted on: of a design of one part that one. */
export function useParts(): Parts {
  const { design } = useTicket('design');
  const chosen = useAppSelector((state) => state.editor.chosenParts);
  const { change } = useTicketActs();
  const dispatch = useAppDispatch();
  return useMemo(() => {
    const parts = partsOnTable(design);
    const there = parts.filter(({ id }) => parts.length === 1 || chosen.includes(id));
    const ids = there.map(({ id }) => id);
    const choose = (next: readonly string[]) => void dispatch(partsChosen([...next]));
    const put = (next: Part[], gesture?: string) =>
      change({ stage: 'design', set: { parts: keptParts(design, next) } }, gesture);
    return {
      parts,
      ids,
      only: there.length === 1 ? (there[0] ?? null) : null,
      choose,
      put,
      putChosen: (next) => {
        put([...next.parts]);
        choose(next.ids);
      },
      set: (id, own, gesture) =>
        change({ stage: 'design', set: { parts: withPart(design.parts, id, own) } }, gesture),
    };
  }, [design, chosen, change, dispatch]);
}
