import { phrase } from '@zt/core/base/units/phrase';
import { drawingToRead, type ToRead } from '@zt/core/stages/design/readAgain';
import { stitchFigures } from '@zt/core/stages/design/stitchFigures';
import { useEffect } from 'react';
import { useRules, useTicket } from '../../hooks/useTicket';
import { drawingRead, partRefused } from '../../store/editor';
import { keptDrawing } from '../../store/shopActs';
import { useAppDispatch, useAppSelector } from '../../store/store';
import { readKeptDrawing } from '../../workers/readDrawing';

/** So long nothing is read while somebody types or drags, ms. */
const AT_REST_MS = 150;

const GONE = phrase`The drawing itself is not kept here: its stitches are worked out by its area. Read its file again.`;

/**
 * Reads drawings again wherever they lie at another size than they were read for, the shop stitches otherwise or the
 * cloth is another: once nobody is at them any more, one part after the other. While the shop's computer is not heard
 * their stitches stay worked out by area.
 */
export function useDrawingsRead(): void {
  const { design, piece } = useTicket('design', 'piece');
  const unset = useAppSelector((state) => state.editor.unset);
  const heard = useAppSelector((state) => state.queue.heard);
  const rules = useRules();
  const dispatch = useAppDispatch();
  const wanted = (part: (typeof design.parts)[number]): ToRead | null => {
    const asked = drawingToRead(part, { cloth: piece.colour, rules });
    return asked && unset[part.id]?.of !== asked.key ? asked : null;
  };
  const part = design.parts.find((one) => wanted(one) !== null);
  const asked = part ? wanted(part) : null;
  const key = asked?.key;
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is asked is told by its key, and asked again once the shop's computer is heard
  useEffect(() => {
    if (!part || !asked) return;
    let stop: () => void = () => undefined;
    let isLeft = false;
    const refuse = (message: ReturnType<typeof phrase>) =>
      dispatch(partRefused({ id: part.id, of: asked.key, message, inFaces: [] }));
    const read = async () => {
      const kept = await dispatch(keptDrawing(asked.drawing));
      if (isLeft || kept === 'unheard') return;
      if (kept === 'gone') return refuse(GONE);
      const { cloth, widthMm, fileName } = asked;
      const job = readKeptDrawing(kept.text, fileName, { cloth, widthMm, figures: stitchFigures(rules) });
      stop = job.stop;
      const worked = await job.done;
      if (isLeft || worked.state === 'stopped') return;
      if (worked.state === 'failed') return refuse(phrase`${worked.message}`);
      const { value } = worked;
      if (value.ok) dispatch(drawingRead({ from: part, read: value }));
      else refuse(phrase`${value.message}`);
    };
    const timer = setTimeout(() => void read(), AT_REST_MS);
    return () => {
      isLeft = true;
      clearTimeout(timer);
      stop();
    };
  }, [part, key, heard, dispatch]);
}
