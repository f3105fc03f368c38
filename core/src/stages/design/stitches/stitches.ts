import type { Point } from '../../../base/geometry/point';

/** How the needle comes to a place; the codes of a stitch are places in this list. */
export const STITCH_KINDS = [
  /** The thread is cut, and begins anew there: also where a stop begins. */
  'trim',
  /** The thread is carried over the cloth without a stitch. */
  'jump',
  /** A line of stitches that will be covered. */
  'travel',
  'underlay',
  'run',
  'fill',
  'satin',
  /** Small stitches to and fro that hold an end. */
  'lock',
] as const;
export type StitchKind = (typeof STITCH_KINDS)[number];

const CODES = Object.fromEntries(STITCH_KINDS.map((kind, i) => [kind, i])) as Record<StitchKind, number>;
export const codeOf = (kind: StitchKind): number => CODES[kind];
export const kindOf = (code: number): StitchKind => STITCH_KINDS[code] ?? 'run';

/**
 * Needle penetrations in the order they are stitched, mm about the design's visible centre, y down. Of each: how the
 * needle came there, the stop that it belongs to, and the element.
 */
export interface Stitches {
  x: Float32Array;
  y: Float32Array;
  kind: Uint8Array;
  stop: Uint16Array;
  element: Uint32Array;
}

/** Whether thread is laid on the way to a penetration. */
export const laysThread = (code: number): boolean => code !== CODES.trim;

/** So much longer than this no stitch is, mm: a machine's frame moves no farther at once. */
export const LONGEST_MM = 12;
/** Nearer than this two penetrations are one, mm. */
const SAME_MM = 0.08;
const LOCK_MM = 0.3;
const FIRST_ROOM = 4096;

/** Takes stitch after stitch; arrays grow as they are filled. */
export interface StitchWriter {
  /** Where the needle is; null before the first. */
  at: () => Point | null;
  /** Whether nothing is stitched yet in the stop that was begun: its thread is still to be put down. */
  isFresh: () => boolean;
  /** From now on, stitches belong to this stop and element. */
  begin: (stop: number, element: number) => void;
  /** One stitch; a longer one than a machine makes is parted. One to where the needle is already is none. */
  to: (x: number, y: number, kind: StitchKind) => void;
  /** Locks the end, cuts the thread, and locks the new end once the next stitch says which way. */
  trimTo: (x: number, y: number) => void;
  finish: () => Stitches;
  count: () => number;
}

class Growing implements StitchWriter {
  private room = FIRST_ROOM;
  private n = 0;
  private x = new Float32Array(FIRST_ROOM);
  private y = new Float32Array(FIRST_ROOM);
  private kind = new Uint8Array(FIRST_ROOM);
  private stop = new Uint16Array(FIRST_ROOM);
  private element = new Uint32Array(FIRST_ROOM);
  private nowStop = 0;
  private nowElement = 0;
  private lockPending = false;

  count = (): number => this.n;

  at = (): Point | null => (this.n === 0 ? null : { x: this.x[this.n - 1] ?? 0, y: this.y[this.n - 1] ?? 0 });

  isFresh = (): boolean => this.n === 0 || this.stop[this.n - 1] !== this.nowStop;

  begin = (stop: number, element: number): void => {
    if (stop !== this.nowStop) this.lockEnd();
    this.nowStop = stop;
    this.nowElement = element;
  };

  to = (x: number, y: number, kind: StitchKind): void => {
    const [fromX, fromY] = [this.x[this.n - 1] ?? x, this.y[this.n - 1] ?? y];
    const far = Math.hypot(x - fromX, y - fromY);
    if (far < SAME_MM) return;
    // Nothing was stitched since the thread was cut: it begins here.
    if (this.lockPending && kind === 'jump') {
      this.moveLast(x, y);
      return;
    }
    if (this.lockPending) this.lockStart(x, y, far);
    const steps = Math.ceil(far / LONGEST_MM);
    for (let i = 1; i <= steps; i++)
      this.put(fromX + ((x - fromX) * i) / steps, fromY + ((y - fromY) * i) / steps, kind);
  };

  trimTo = (x: number, y: number): void => {
    const isStill = this.lockPending && this.stop[this.n - 1] === this.nowStop;
    if (isStill) this.moveLast(x, y);
    else {
      this.lockEnd();
      this.put(x, y, 'trim');
    }
    this.lockPending = true;
  };

  finish = (): Stitches => {
    this.lockEnd();
    const { x, y, kind, stop, element, n } = this;
    return {
      x: x.slice(0, n),
      y: y.slice(0, n),
      kind: kind.slice(0, n),
      stop: stop.slice(0, n),
      element: element.slice(0, n),
    };
  };

  /** To and fro once towards the stitch that follows. */
  private lockStart(x: number, y: number, far: number): void {
    this.lockPending = false;
    const by = Math.min(LOCK_MM, far) / far;
    const [fromX, fromY] = [this.x[this.n - 1] ?? x, this.y[this.n - 1] ?? y];
    this.put(fromX + (x - fromX) * by, fromY + (y - fromY) * by, 'lock');
    this.put(fromX, fromY, 'lock');
  }

  /** To and fro once towards the stitch that came before; nothing where none was. */
  private lockEnd(): void {
    const last = this.n - 1;
    if (last < 1 || this.lockPending || this.kind[last] === CODES.trim || this.kind[last] === CODES.lock)
      return;
    const [x, y] = [this.x[last] ?? 0, this.y[last] ?? 0];
    const [dx, dy] = [(this.x[last - 1] ?? x) - x, (this.y[last - 1] ?? y) - y];
    const by = Math.min(1, LOCK_MM / Math.max(SAME_MM, Math.hypot(dx, dy)));
    this.put(x + dx * by, y + dy * by, 'lock');
    this.put(x, y, 'lock');
  }

  private moveLast(x: number, y: number): void {
    this.x[this.n - 1] = x;
    this.y[this.n - 1] = y;
  }

  private put(x: number, y: number, kind: StitchKind): void {
    if (this.n === this.room) this.grow();
    this.x[this.n] = x;
    this.y[this.n] = y;
    this.kind[this.n] = CODES[kind];
    this.stop[this.n] = this.nowStop;
    this.element[this.n] = this.nowElement;
    this.n += 1;
  }

  private grow(): void {
    this.room *= 2;
    const grown = <T extends Float32Array | Uint8Array | Uint16Array | Uint32Array>(old: T, fresh: T): T => {
      fresh.set(old);
      return fresh;
    };
    this.x = grown(this.x, new Float32Array(this.room));
    this.y = grown(this.y, new Float32Array(this.room));
    this.kind = grown(this.kind, new Uint8Array(this.room));
    this.stop = grown(this.stop, new Uint16Array(this.room));
    this.element = grown(this.element, new Uint32Array(this.room));
  }
}

export const stitchWriter = (): StitchWriter => new Growing();
