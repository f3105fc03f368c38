import { transfer, wrap } from 'comlink';
import { createElement, useEffect, useRef } from 'react';
import { startWorker } from '../../workers/startWorker';
import type { ThreadWorker } from '../../workers/thread.worker';
import type { Threads } from '../../workers/threadPainter';
import { useOnSheet } from '../onSheet';

interface ThreadCanvasProps {
  threads: Threads;
  /** How much larger the design is stitched than its stitches were made for. */
  scale: number;
  /** So many penetrations are shown. */
  upTo: number;
  isDensity: boolean;
}

/** More dots to the px cost more than they show. */
const MOST_DOTS = 2;

interface Painting {
  paint: ReturnType<typeof wrap<ThreadWorker>>;
  end: () => void;
}

/** A worker that paints on a canvas; the canvas is handed over once. */
function painterOn(canvas: HTMLCanvasElement): Painting {
  const worker = startWorker('thread');
  const paint = wrap<ThreadWorker>(worker);
  const offscreen = canvas.transferControlToOffscreen();
  void paint.onto(transfer(offscreen, [offscreen]));
  return { paint, end: () => worker.terminate() };
}

/** Thread as it is laid, over the sheet, painted away from the screen's thread. */
export function ThreadCanvas({ threads, scale, upTo, isDensity }: ThreadCanvasProps) {
  const { view } = useOnSheet();
  const holder = useRef<HTMLDivElement>(null);
  const painter = useRef<Painting | null>(null);
  useEffect(() => {
    const canvas = document.createElement('canvas');
    Object.assign(canvas.style, { width: '100%', height: '100%', display: 'block' });
    holder.current?.append(canvas);
    painter.current = painterOn(canvas);
    return () => {
      painter.current?.end();
      painter.current = null;
      canvas.remove();
    };
  }, []);
  useEffect(() => {
    void painter.current?.paint.of(threads);
  }, [threads]);
  useEffect(() => {
    const shown = {
      scale: view.scale * scale,
      left: view.origin.x * view.scale,
      top: view.origin.y * view.scale,
      width: view.width,
      height: view.height,
      dots: Math.min(MOST_DOTS, window.devicePixelRatio),
    };
    void painter.current?.paint.paint({ shown, upTo, isDensity });
  }, [view, scale, upTo, isDensity]);
  return createElement('div', {
    ref: holder,
    'data-testid': 'thread',
    'data-up-to': upTo,
    'aria-hidden': true,
    style: { position: 'absolute', inset: 0, pointerEvents: 'none' },
  });
}
