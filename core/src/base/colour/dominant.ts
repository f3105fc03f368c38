import { randomLcg } from 'd3-random';
import { formatHex, toLab, toRgb } from './modes';

interface Lab {
  l: number;
  a: number;
  b: number;
}

/** A colour of a picture, and the share of the picture that is nearest to it. */
export interface DominantColour {
  hex: string;
  share: number;
}

const ROUNDS = 12;
const SEED = 0.37;
/** Less opaque than this, a pixel is no colour. */
const LEAST_ALPHA = 128;

const squared = (p: Lab, q: Lab): number => (p.l - q.l) ** 2 + (p.a - q.a) ** 2 + (p.b - q.b) ** 2;

function labsOf(rgba: ArrayLike<number>): Lab[] {
  const labs: Lab[] = [];
  for (let i = 0; i + 3 < rgba.length; i += 4) {
    if ((rgba[i + 3] ?? 0) < LEAST_ALPHA) continue;
    const [r, g, b] = [(rgba[i] ?? 0) / 255, (rgba[i + 1] ?? 0) / 255, (rgba[i + 2] ?? 0) / 255];
    const lab = toLab({ mode: 'rgb', r, g, b });
    labs.push({ l: lab.l, a: lab.a, b: lab.b });
  }
  return labs;
}

/** Starting points far from each other, each drawn by its squared distance (k-means++, Arthur and Vassilvitskii 2007). */
function startsOf(labs: readonly Lab[], count: number): Lab[] {
  const random = randomLcg(SEED);
  const first = labs[Math.floor(random() * labs.length)];
  const starts: Lab[] = first ? [first] : [];
  const away = labs.map(() => Infinity);
  while (starts.length > 0 && starts.length < count) {
    const last = starts[starts.length - 1] as Lab;
    let sum = 0;
    labs.forEach((lab, i) => {
      away[i] = Math.min(away[i] ?? Infinity, squared(lab, last));
      sum += away[i] ?? 0;
    });
    if (sum === 0) break;
    let left = random() * sum;
    const next = labs.findIndex((_, i) => {
      left -= away[i] ?? 0;
      return left <= 0;
    });
    starts.push(labs[Math.max(0, next)] as Lab);
  }
  return starts;
}

function nearestOf(lab: Lab, centres: readonly Lab[]): number {
  let best = 0;
  centres.forEach((centre, i) => {
    if (squared(lab, centre) < squared(lab, centres[best] as Lab)) best = i;
  });
  return best;
}

/**
 * The colours that a picture is made of, at most so many, the largest share first: k-means in CIE L*a*b* (D65) over
 * its opaque pixels, four numbers 0 to 255 to a pixel. The same picture gives the same colours. A picture of fewer
 * colours gives fewer; one without opaque pixels none.
 */
export function dominantColours(rgba: ArrayLike<number>, count: number): DominantColour[] {
  const labs = labsOf(rgba);
  let centres = startsOf(labs, count);
  let sizes = centres.map(() => 0);
  for (let round = 0; round < ROUNDS && centres.length > 0; round++) {
    const sums = centres.map(() => ({ l: 0, a: 0, b: 0 }));
    sizes = centres.map(() => 0);
    for (const lab of labs) {
      const k = nearestOf(lab, centres);
      const sum = sums[k] as Lab;
      sum.l += lab.l;
      sum.a += lab.a;
      sum.b += lab.b;
      sizes[k] = (sizes[k] ?? 0) + 1;
    }
    centres = centres.map((centre, k) => {
      const [sum, size] = [sums[k] as Lab, sizes[k] ?? 0];
      return size === 0 ? centre : { l: sum.l / size, a: sum.a / size, b: sum.b / size };
    });
  }
  return centres
    .map((centre, k) => ({
      hex: formatHex(toRgb({ mode: 'lab65', ...centre })).toUpperCase(),
      share: (sizes[k] ?? 0) / Math.max(1, labs.length),
    }))
    .filter((colour) => colour.share > 0)
    .sort((a, b) => b.share - a.share);
}
