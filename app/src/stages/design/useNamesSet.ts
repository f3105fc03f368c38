import { phrase } from '@zt/core/base/units/phrase';
import type { NameRow, NameSets } from '@zt/core/model/ticket/names';
import { lettersKey } from '@zt/core/stages/design/lettering/lettersKey';
import { namesToSet } from '@zt/core/stages/design/names/rows';
import { stitchFigures } from '@zt/core/stages/design/stitchFigures';
import { useEffect, useMemo } from 'react';
import { useRules, useTicket } from '../../hooks/useTicket';
import { namesMade, partRefused } from '../../store/editor';
import { useAppDispatch, useAppSelector } from '../../store/store';
import type { NamesQuestion } from '../../workers/design.worker';
import { settingNames } from '../../workers/settingLetters';

/** So long nothing is set while somebody types or drags, ms. */
const AT_REST_MS = 150;
/** So many are set at a time: the list fills from its top while the others are set. */
const AT_ONCE = 12;

type ToSet = ReturnType<typeof namesToSet>;

/** Sets the names of an order that do not stand as they are asked, some at a time, once nobody is at them any more. */
export function useNamesSet(): void {
  const { design } = useTicket('design');
  const unset = useAppSelector((state) => state.editor.unset);
  const rules = useRules();
  const dispatch = useAppDispatch();
  const next = useMemo(() => {
    const figures = stitchFigures(rules);
    return namesToSet(design, rules)
      .filter(({ row, asked }) => unset[row.id]?.of !== lettersKey(asked.letters, figures))
      .slice(0, AT_ONCE);
  }, [design, unset, rules]);
  useEffect(() => {
    if (next.length === 0) return;
    let stop: (() => void) | null = null;
    const timer = setTimeout(() => {
      stop = setThem(next, stitchFigures(rules), {
        onSet: (from, sets) => dispatch(namesMade({ from, sets })),
        onRefused: (refused) => dispatch(partRefused(refused)),
      });
    }, AT_REST_MS);
    return () => {
      clearTimeout(timer);
      stop?.();
    };
  }, [next, rules, dispatch]);
}

interface Answers {
  onSet: (from: NameRow[], sets: NameSets) => void;
  onRefused: (refused: Parameters<typeof partRefused>[0]) => void;
}

/** Sets some names; the way to end it. */
function setThem(toSet: ToSet, figures: NamesQuestion['figures'], { onSet, onRefused }: Answers): () => void {
  const job = settingNames({ names: toSet.map(({ row, asked }) => ({ id: row.id, asked })), figures });
  void job.done.then((worked) => {
    if (worked.state === 'stopped') return;
    const keyOf = (id: string) => {
      const asked = toSet.find(({ row }) => row.id === id)?.asked;
      return asked ? lettersKey(asked.letters, figures) : '';
    };
    if (worked.state === 'failed') {
      for (const { row } of toSet)
        onRefused({ id: row.id, of: keyOf(row.id), message: phrase`${worked.message}`, inFaces: [] });
      return;
    }
    const sets: NameSets = {};
    for (const { id, answer } of worked.value) {
      const asked = toSet.find(({ row }) => row.id === id)?.asked;
      if (!answer.ok) onRefused({ id, of: keyOf(id), message: answer.message, inFaces: answer.inFaces });
      else if (asked) {
        const { ok: _, ...set } = answer;
        sets[id] = { ...set, withinMm: asked.withinMm };
      }
    }
    onSet(
      toSet.map(({ row }) => row),
      sets,
    );
  });
  return job.stop;
}
