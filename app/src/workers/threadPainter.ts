import { type DensityMap, felt } from '@zt/core/stages/design/stitches/density';
import { kindOf, type Stitches } from '@zt/core/stages/design/stitches/stitches';

/** How mm are shown as px, in a canvas of so many dots to the px. */
export interface Shown {
  scale: number;
  left: number;
  top: number;
  width: number;
  height: number;
  dots: number;
}

/** What is painted: thread up to a penetration, or how thick it lies. */
export interface Painting {
  shown: Shown;
  upTo: number;
  isDensity: boolean;
}

/** What is painted of, and with which colours. */
export interface Threads {
  stitches: Stitches;
  map: DensityMap | null;
  /** Of each stop. */
  hexes: readonly string[];
  /** Thicker than this is hot, mm of thread on mm². */
  hotAbove: number;
  ink: string;
  hot: string;
}

type Context = OffscreenCanvasRenderingContext2D;

/** A thread is so wide, mm. */
const THREAD_MM = 0.4;
/** So many pictures of earlier states are kept, from which to go on when somebody goes back. */
const STATES = 12;
/** So many stretches are drawn at a time. */
const AT_ONCE = 300;

const darker = (hex: string): string => {
  const [r, g, b] = [1, 3, 5].map((i) => Math.round(Number.parseInt(hex.slice(i, i + 2), 16) * 0.9));
  return `rgb(${r},${g},${b})`;
};

const isSame = (a: Shown | null, b: Shown): boolean =>
  a !== null && (Object.keys(b) as (keyof Shown)[]).every((key) => a[key] === b[key]);

/**
 * Paints thread onto a canvas, stretch by stretch in the order it is stitched. Going on adds to what is there; going back
 * begins from the nearest of the states that it keeps.
 */
export class ThreadPainter {
  private laid: { canvas: OffscreenCanvas; context: Context } | null = null;
  private states: { upTo: number; picture: OffscreenCanvas }[] = [];
  private shown: Shown | null = null;
  private drawn = 0;
  private density: OffscreenCanvas | null = null;

  constructor(
    private readonly canvas: OffscreenCanvas,
    private readonly threads: Threads,
  ) {}

  paint({ shown, upTo, isDensity }: Painting): void {
    this.sized(shown);
    const context = this.canvas.getContext('2d');
    if (!context) return;
    context.setTransform(1, 0, 0, 1, 0, 0);
    context.clearRect(0, 0, this.canvas.width, this.canvas.height);
    if (isDensity) {
      this.paintDensity(context, shown);
      return;
    }
    this.layUpTo(Math.min(upTo, this.threads.stitches.x.length), shown);
    if (this.laid) context.drawImage(this.laid.canvas, 0, 0);
    if (upTo < this.threads.stitches.x.length) this.needle(context, upTo, shown);
  }

  /** Begins anew where the drawing is shown otherwise. */
  private sized(shown: Shown): void {
    if (isSame(this.shown, shown)) return;
    this.shown = shown;
    this.canvas.width = Math.round(shown.width * shown.dots);
    this.canvas.height = Math.round(shown.height * shown.dots);
    const laid = new OffscreenCanvas(this.canvas.width, this.canvas.height);
    const context = laid.getContext('2d');
    this.laid = context && { canvas: laid, context };
    this.states = [];
    this.drawn = 0;
  }

  private layUpTo(upTo: number, shown: Shown): void {
    if (!this.laid) return;
    if (upTo < this.drawn) this.goBack(upTo);
    const step = Math.max(2000, Math.ceil(this.threads.stitches.x.length / STATES));
    while (this.drawn < upTo) {
      const next = Math.min(upTo, (Math.floor(this.drawn / step) + 1) * step);
      this.lay(this.drawn, next, shown);
      this.drawn = next;
      if (next % step === 0) this.remember();
    }
  }

  private remember(): void {
    if (!this.laid || this.states.some(({ upTo }) => upTo === this.drawn)) return;
    const picture = new OffscreenCanvas(this.canvas.width, this.canvas.height);
    picture.getContext('2d')?.drawImage(this.laid.canvas, 0, 0);
    this.states.push({ upTo: this.drawn, picture });
  }

  private goBack(upTo: number): void {
    const from = this.states.filter((state) => state.upTo <= upTo).at(-1);
    const context = this.laid?.context;
    context?.setTransform(1, 0, 0, 1, 0, 0);
    context?.clearRect(0, 0, this.canvas.width, this.canvas.height);
    if (from) context?.drawImage(from.picture, 0, 0);
    this.drawn = from?.upTo ?? 0;
  }

  /** Where a penetration is, dots. */
  private at(i: number, { scale, left, top, dots }: Shown): [number, number] {
    const { x, y } = this.threads.stitches;
    return [((x[i] ?? 0) * scale - left) * dots, ((y[i] ?? 0) * scale - top) * dots];
  }

  /** Stretches between two penetrations; every other one a little darker, so that stitches are told apart. */
  private lay(from: number, to: number, shown: Shown): void {
    const context = this.laid?.context;
    if (!context) return;
    context.lineCap = 'round';
    context.lineWidth = Math.max(0.7, THREAD_MM * shown.scale) * shown.dots;
    for (let i = from; i < to; i += AT_ONCE) this.layFew(context, i, Math.min(to, i + AT_ONCE), shown);
  }

  private layFew(context: Context, from: number, to: number, shown: Shown): void {
    const { stitches, hexes } = this.threads;
    const { stop, kind } = stitches;
    for (const parity of [0, 1]) {
      let colour = -1;
      context.beginPath();
      for (let i = Math.max(1, from); i < to; i++) {
        if (i % 2 !== parity || stop[i] !== stop[i - 1] || kindOf(kind[i] ?? 0) === 'trim') continue;
        const own = stop[i] ?? 0;
        if (own !== colour) {
          context.stroke();
          context.beginPath();
          const hex = hexes[own] ?? this.threads.ink;
          context.strokeStyle = parity === 0 ? hex : darker(hex);
          colour = own;
        }
        const [a, b] = [this.at(i - 1, shown), this.at(i, shown)];
        context.moveTo(a[0], a[1]);
        context.lineTo(b[0], b[1]);
      }
      context.stroke();
    }
  }

  /** A needle over its last penetration: a ring with a cross. */
  private needle(context: Context, upTo: number, shown: Shown): void {
    const [x, y] = this.at(Math.max(0, upTo - 1), shown);
    const r = 7 * shown.dots;
    context.strokeStyle = this.threads.ink;
    context.lineWidth = 2 * shown.dots;
    context.beginPath();
    context.arc(x, y, r, 0, 2 * Math.PI);
    for (const [dx, dy] of [
      [r * 1.7, 0],
      [0, r * 1.7],
    ] as const) {
      context.moveTo(x - dx, y - dy);
      context.lineTo(x + dx, y + dy);
    }
    context.stroke();
  }

  private paintDensity(context: Context, { scale, left, top, dots }: Shown): void {
    const { map } = this.threads;
    if (!map) return;
    this.density ??= densityPicture(map, this.threads);
    const cell = map.cellMm * scale * dots;
    context.imageSmoothingEnabled = false;
    context.drawImage(
      this.density,
      (map.left * scale - left) * dots,
      (map.top * scale - top) * dots,
      map.columns * cell,
      map.rows * cell,
    );
  }
}

const rgbOf = (hex: string): [number, number, number] =>
  [1, 3, 5].map((i) => Number.parseInt(hex.slice(i, i + 2), 16)) as [number, number, number];

/** A dot to each square: the darker the thicker; what is hot in another colour, every other square of it dark. */
function densityPicture(map: DensityMap, { hotAbove, ink, hot }: Threads): OffscreenCanvas {
  const canvas = new OffscreenCanvas(map.columns, map.rows);
  const context = canvas.getContext('2d');
  if (!context) return canvas;
  const image = context.createImageData(map.columns, map.rows);
  const [cool, warm] = [rgbOf(ink), rgbOf(hot)];
  for (const [i, cover] of felt(map).entries()) {
    const isHot = cover > hotAbove;
    const isOdd = ((i % map.columns) + Math.floor(i / map.columns)) % 2 === 1;
    const [r, g, b] = isHot && !isOdd ? warm : cool;
    image.data.set([r, g, b, isHot ? 255 : Math.round(Math.min(1, cover / hotAbove) * 190)], i * 4);
  }
  context.putImageData(image, 0, 0);
  return canvas;
}
