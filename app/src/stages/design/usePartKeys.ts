import { moveParts, turned, without } from '@zt/core/stages/design/parts/acts';
import { useEffect } from 'react';
import { announce } from '../../everyone/announce';
import { ARROWS, isWithin, TURNS } from '../../hooks/useKeys';
import { useParts } from './useParts';

/** On the sheet: arrows nudge what is chosen 1 mm (Shift 5), [ ] turn it 1° (Shift 15), Delete takes it away. */
export function usePartKeys(): void {
  const { parts, ids, put, choose } = useParts();
  useEffect(() => {
    const act = (event: KeyboardEvent): string | null => {
      const arrow = ARROWS[event.key];
      const turn = TURNS[event.key];
      const left = event.key === 'Delete' ? without({ parts, ids }) : null;
      if (arrow) {
        const by = event.shiftKey ? 5 : 1;
        put(moveParts({ parts, ids }, { x: arrow.x * by, y: arrow.y * by }), 'parts nudged');
        return `Moved ${by} mm ${arrow.way}.`;
      }
      if (turn !== undefined) {
        put(turned({ parts, ids }, turn), 'parts turned');
        return `Turned ${turn}°.`;
      }
      if (!left) return null;
      put(left);
      choose([]);
      return 'Taken away.';
    };
    const down = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || ids.length === 0) return;
      if (!isWithin(event.target, '[data-testid=sheet]')) return;
      const done = act(event);
      if (done === null) return;
      event.preventDefault();
      announce(done);
    };
    window.addEventListener('keydown', down);
    return () => window.removeEventListener('keydown', down);
  }, [parts, ids, put, choose]);
}
