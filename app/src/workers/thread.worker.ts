import { expose } from 'comlink';
import { type Painting, ThreadPainter, type Threads } from './threadPainter';

let canvas: OffscreenCanvas | null = null;
let painter: ThreadPainter | null = null;
let next: Painting | null = null;
let isAsked = false;
let frames = 0;

/** Only the latest of what was asked for is painted, once to a frame. */
function paintNext(): void {
  isAsked = false;
  if (painter && next) {
    painter.paint(next);
    frames += 1;
  }
}

function ask(): void {
  if (isAsked) return;
  isAsked = true;
  requestAnimationFrame(paintNext);
}

/** Paints thread away from the screen's thread. */
const threadWorker = {
  onto: (given: OffscreenCanvas): void => {
    canvas = given;
  },
  of: (threads: Threads): void => {
    painter = canvas && new ThreadPainter(canvas, threads);
    ask();
  },
  paint: (painting: Painting): void => {
    next = painting;
    ask();
  },
  /** So many frames were painted until now. */
  frames: (): number => frames,
};
export type ThreadWorker = typeof threadWorker;

expose(threadWorker);
