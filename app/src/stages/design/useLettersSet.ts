import { phrase } from '@zt/core/base/units/phrase';
import type { Part } from '@zt/core/model/ticket/part';
import { areLettersSet, lettersKey, lettersToSet } from '@zt/core/stages/design/lettering/lettersKey';
import { stitchFigures } from '@zt/core/stages/design/stitchFigures';
import { useEffect } from 'react';
import { useRules } from '../../hooks/useTicket';
import { partMade, partRefused } from '../../store/editor';
import { selectTicket } from '../../store/openTicket';
import { useAppDispatch, useAppSelector } from '../../store/store';
import { settingLetters } from '../../workers/settingLetters';

/** So long nothing is set while somebody types or drags, ms. */
const AT_REST_MS = 150;

/**
 * Sets letters wherever they do not stand as their recipe and the shop's figures say: once nobody is at them any more, in
 * a worker, one part after the other. What cannot be set is said where it is typed.
 */
export function useLettersSet(): void {
  const parts = useAppSelector((state) => selectTicket(state).design.parts);
  const unset = useAppSelector((state) => state.editor.unset);
  const rules = useRules();
  const dispatch = useAppDispatch();
  const part = parts.find((one) => {
    const letters = lettersToSet(one);
    if (!letters || letters.text.trim() === '') return false;
    if (unset[one.id]?.of === lettersKey(letters, stitchFigures(rules))) return false;
    return !areLettersSet(one, rules) || one.scalePercent !== 100;
  });
  useEffect(() => {
    if (!part) return;
    let stop: (() => void) | null = null;
    const timer = setTimeout(() => {
      stop = setPart(part, stitchFigures(rules), (made) =>
        'part' in made ? dispatch(partMade({ from: part, part: made.part })) : dispatch(partRefused(made)),
      );
    }, AT_REST_MS);
    return () => {
      clearTimeout(timer);
      stop?.();
    };
  }, [part, rules, dispatch]);
}

type Made = { part: Part } | Parameters<typeof partRefused>[0];

/** Sets the letters of a part; the way to end it. */
function setPart(
  part: Part,
  figures: ReturnType<typeof stitchFigures>,
  onMade: (made: Made) => void,
): () => void {
  const letters = lettersToSet(part);
  if (!letters) return () => undefined;
  const of = lettersKey(letters, figures);
  const job = settingLetters({ letters, figures });
  void job.done.then((worked) => {
    if (worked.state === 'stopped') return;
    if (worked.state === 'failed')
      return onMade({ id: part.id, of, message: phrase`${worked.message}`, inFaces: [] });
    const set = worked.value;
    if (!set.ok) return onMade({ id: part.id, of, message: set.message, inFaces: set.inFaces });
    const { widthMm, heightMm, stitches, artwork } = set;
    onMade({ part: { ...part, letters, scalePercent: 100, widthMm, heightMm, stitches, artwork } });
  });
  return job.stop;
}
