import { type INode, parseSync, stringify } from 'svgson';
import { count, phrase } from '../../base/units/phrase';
import { kindOf, type Stitches } from '../../stages/design/stitches/stitches';
import { boxOfStitches } from '../../stages/design/stitches/summary';
import {
  type FileRead,
  type FileStop,
  refuseLine,
  type StitchFile,
  type StitchRow,
  shortest,
  stitchesOf,
  whyRowIsRefused,
  whyTooMany,
} from './stitchFile';

const node = (name: string, attributes: Record<string, string>, children: INode[] = []): INode => ({
  name,
  type: 'element',
  value: '',
  attributes,
  children,
});

/** Penetrations one after the other that are of one kind, stop and element: a polyline each, from the one before. */
function runsOf({ kind, stop, element }: Stitches): [number, number][] {
  const runs: [number, number][] = [];
  let from = 0;
  for (let i = 1; i <= kind.length; i++) {
    const isOn =
      i < kind.length && kind[i] === kind[from] && stop[i] === stop[from] && element[i] === element[from];
    if (isOn && kindOf(kind[i] ?? 0) !== 'trim') continue;
    runs.push([from, i]);
    from = i;
  }
  return runs;
}

const pointsOf = ({ x, y }: Stitches, from: number, to: number): string =>
  Array.from(
    { length: to - from },
    (_, k) => `${shortest(x[from + k] ?? 0)},${shortest(y[from + k] ?? 0)}`,
  ).join(' ');

function polyline(stitches: Stitches, [from, to]: [number, number]): INode {
  const { kind, stop, element } = stitches;
  const word = kindOf(kind[from] ?? 0);
  // A line is drawn from where the needle was; where the thread is new there is none.
  const isNew = word === 'trim' || from === 0 || stop[from] !== stop[from - 1];
  return node('polyline', {
    'data-kind': word,
    'data-element': String(element[from] ?? 0),
    'data-new': isNew ? 'yes' : 'no',
    points: pointsOf(stitches, isNew ? from : from - 1, to),
  });
}

/** Stitches as an SVG at true size: a group for each colour stop, in it polylines by kind, mm about the visible centre. */
export function writeSvg({ name, stops, stitches }: StitchFile): string {
  const box = boxOfStitches(stitches) ?? { left: 0, top: 0, right: 1, bottom: 1 };
  const [width, height] = [box.right - box.left, box.bottom - box.top].map((side) => Math.max(1, side));
  const runs = runsOf(stitches);
  const groups = stops.map(({ hex, name: called }, i) =>
    node(
      'g',
      { 'data-stop': String(i + 1), 'data-name': encodeURIComponent(called), stroke: hex },
      runs.filter(([from]) => stitches.stop[from] === i).map((run) => polyline(stitches, run)),
    ),
  );
  const root = node(
    'svg',
    {
      xmlns: 'http://www.w3.org/2000/svg',
      width: `${width}mm`,
      height: `${height}mm`,
      viewBox: `${box.left} ${box.top} ${width} ${height}`,
      fill: 'none',
      'stroke-width': '0.4',
      'stroke-linecap': 'round',
      'data-format': 'stitches',
      'data-name': encodeURIComponent(name),
    },
    groups,
  );
  return stringify(root);
}

function rowsOf(line: INode, stop: number): StitchRow[] {
  const {
    points = '',
    'data-kind': kind = '',
    'data-element': element = '',
    'data-new': isNew,
  } = line.attributes;
  const pairs = points
    .trim()
    .split(/\s+/)
    .map((pair) => pair.split(',').map((figure) => Number(figure || Number.NaN)));
  return pairs.slice(isNew === 'yes' ? 0 : 1).map(([x = Number.NaN, y = Number.NaN]) => ({
    stop,
    element: Number(element || Number.NaN),
    kind,
    x,
    y,
  }));
}

/** A name as it was written; as it stands where somebody else wrote it. */
function decoded(name = ''): string {
  try {
    return decodeURIComponent(name);
  } catch {
    return name;
  }
}

function rootOf(text: string): INode | null {
  try {
    const root = parseSync(text);
    return root.name === 'svg' && root.attributes['data-format'] === 'stitches' ? root : null;
  } catch {
    return null;
  }
}

/** Reads what `writeSvg` writes; any other drawing is none of stitches. What cannot be taken is refused with its stitch. */
export function readSvgStitches(text: string): FileRead {
  const root = rootOf(text);
  if (!root)
    return refuseLine('not-a-stitch-file', phrase`This SVG has no stitches in it: choose it as a drawing.`);
  const groups = root.children.filter(({ name }) => name === 'g');
  const stops = groups.map(
    ({ attributes }): FileStop => ({ hex: attributes.stroke ?? '', name: decoded(attributes['data-name']) }),
  );
  const rows = groups.flatMap(({ children }, stop) => children.flatMap((line) => rowsOf(line, stop)));
  const many = whyTooMany(rows.length, stops.length);
  if (many) return many;
  for (const [i, row] of rows.entries()) {
    const refused = whyRowIsRefused(row, stops.length, phrase`Stitch ${count(i + 1)}`);
    if (refused) return refused;
  }
  return { ok: true, name: decoded(root.attributes['data-name']), stops, stitches: stitchesOf(rows) };
}
