import { type INode, parseSync, stringify } from 'svgson';
import { type Ring, signedAreaOf } from '../../base/geometry/clip';
import { count, mm, type Phrase, phrase } from '../../base/units/phrase';
import { asCut, type CutSheet } from './cutSheet';

/** A cut file as a cutter takes it: closed lines at true size, mm from the sheet's upper left corner. */
export interface CutFile {
  name: string;
  widthMm: number;
  heightMm: number;
  pieces: { name: string; rings: Ring[] }[];
}

export const CUT_REFUSALS = ['not-a-cut-file', 'no-size', 'broken', 'off-the-sheet', 'too-many'] as const;
export type CutFileRead =
  | ({ ok: true } & CutFile)
  | { ok: false; code: (typeof CUT_REFUSALS)[number]; message: Phrase };

const MOST_PIECES = 2000;
/** A point may lie so far off its sheet, mm: figures are rounded. */
const ROUNDED_MM = 0.02;

const thousandth = (value: number): number => Math.round(value * 1000) / 1000 + 0;
const dataOf = (rings: readonly Ring[]): string =>
  rings.map((ring) => `M${ring.map(({ x, y }) => `${thousandth(x)} ${thousandth(y)}`).join('L')}Z`).join('');

const node = (name: string, attributes: Record<string, string>, children: INode[] = []): INode => ({
  name,
  type: 'element',
  value: '',
  attributes,
  children,
});
const words = (name: string, value: string): INode => ({
  ...node(name, {}),
  children: [{ name: '', type: 'text', value, attributes: {}, children: [] }],
});

const escaped = (text: string): string =>
  text.replace(
    /[&<>"]/g,
    (letter) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[letter] ?? letter,
  );

/** The pieces of a sheet as an SVG at true size: a path to each, its holes with it. Fused cloth is mirrored, and says so. */
export function writeCutFile(sheet: CutSheet, name: string): string {
  const { cloth, nested, pieces } = sheet;
  const [width, height] = [nested.widthMm, nested.lengthMm].map((side) => thousandth(Math.max(1, side)));
  const paths = asCut(sheet).map((rings, i) =>
    node('path', {
      id: `piece-${i + 1}`,
      'data-name': escaped(pieces[nested.laid[i]?.piece ?? 0] ?? ''),
      d: dataOf(rings),
    }),
  );
  const about = `${cloth.name}${cloth.fused ? ', web upwards: mirrored' : ', right side up'}`;
  const root = node(
    'svg',
    {
      xmlns: 'http://www.w3.org/2000/svg',
      width: `${width}mm`,
      height: `${height}mm`,
      viewBox: `0 0 ${width} ${height}`,
      fill: 'none',
      stroke: '#000000',
      'stroke-width': '0.1',
    },
    [words('title', escaped(name)), words('desc', escaped(about)), ...paths],
  );
  return stringify(root);
}

const refuse = (code: (typeof CUT_REFUSALS)[number], message: Phrase): CutFileRead => ({
  ok: false,
  code,
  message,
});

function rootOf(text: string): INode | null {
  try {
    const root = parseSync(text);
    return root.name === 'svg' ? root : null;
  } catch {
    return null;
  }
}

const MM_TO = { mm: 1, cm: 10, in: 25.4 } as const;

/** A side of the sheet in mm; null where it is not given in lengths. */
function sideOf(text: string | undefined): number | null {
  const found = /^\s*([\d.]+)\s*(mm|cm|in)\s*$/.exec(text ?? '');
  const value = Number(found?.[1]) * MM_TO[(found?.[2] ?? 'mm') as keyof typeof MM_TO];
  return Number.isFinite(value) && value > 0 ? value : null;
}

/** All elements below one, in their order. */
const below = (root: INode): INode[] => root.children.flatMap((child) => [child, ...below(child)]);

/** The closed rings of path data of straight pieces; null where there is anything else in it. */
function ringsOf(d: string): Ring[] | null {
  if (!/^[MLZ\d\s.,e+-]*$/i.test(d) || /[mlz]/.test(d.replace(/z/g, 'Z'))) return null;
  const rings = d
    .split('M')
    .slice(1)
    .map((one) => ({ closed: /z\s*$/i.test(one), points: pointsOf(one) }));
  const isGood = rings.every(({ closed, points }) => closed && points !== null && points.length >= 3);
  return isGood ? rings.flatMap(({ points }) => (points ? [points] : [])) : null;
}

function pointsOf(text: string): Ring | null {
  const figures = text
    .replace(/z/gi, ' ')
    .split(/[\sL,]+/)
    .filter(Boolean)
    .map(Number);
  if (figures.length % 2 === 1 || !figures.every(Number.isFinite)) return null;
  return Array.from({ length: figures.length / 2 }, (_, i) => ({
    x: figures[2 * i] ?? 0,
    y: figures[2 * i + 1] ?? 0,
  }));
}

interface Sheet {
  widthMm: number;
  heightMm: number;
}

function sheetOf({ attributes }: INode): (Sheet & { by: (p: Ring) => Ring }) | null {
  const [widthMm, heightMm] = [sideOf(attributes.width), sideOf(attributes.height)];
  if (widthMm === null || heightMm === null) return null;
  const box = (attributes.viewBox ?? `0 0 ${widthMm} ${heightMm}`)
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  const [x = 0, y = 0, w = 0, h = 0] = box;
  if (!(w > 0 && h > 0) || !box.every(Number.isFinite)) return null;
  const by = (ring: Ring): Ring =>
    ring.map((p) => ({ x: ((p.x - x) * widthMm) / w, y: ((p.y - y) * heightMm) / h }));
  return { widthMm, heightMm, by };
}

const isOn = ({ widthMm, heightMm }: Sheet, ring: Ring): boolean =>
  ring.every(
    ({ x, y }) =>
      x >= -ROUNDED_MM && y >= -ROUNDED_MM && x <= widthMm + ROUNDED_MM && y <= heightMm + ROUNDED_MM,
  );

/** Words as they were before they were escaped. */
const plain = (text = ''): string =>
  text.replace(
    /&(amp|lt|gt|quot);/g,
    (_, name: string) => ({ amp: '&', lt: '<', gt: '>', quot: '"' })[name] ?? '',
  );

/**
 * Reads a cut file: paths of closed straight lines at true size. What cannot be cut is refused, with the path that it
 * stands in; so is a file without a size in lengths.
 */
export function readCutFile(text: string): CutFileRead {
  const root = rootOf(text);
  if (!root) return refuse('not-a-cut-file', phrase`This is no SVG that can be read.`);
  const sheet = sheetOf(root);
  if (!sheet) return refuse('no-size', phrase`The file does not say its size in mm: its width and height.`);
  const all = below(root);
  if (all.some(({ attributes }) => attributes.transform))
    return refuse(
      'broken',
      phrase`Something in it is moved by a transform: a cutter takes lines where they lie.`,
    );
  const paths = all.filter(({ name }) => name === 'path');
  if (paths.length === 0) return refuse('not-a-cut-file', phrase`There is no path in it to cut.`);
  if (paths.length > MOST_PIECES)
    return refuse(
      'too-many',
      phrase`${count(paths.length)} pieces are more than the ${count(MOST_PIECES)} of one sheet.`,
    );
  const pieces: CutFile['pieces'] = [];
  for (const [i, { attributes }] of paths.entries()) {
    const name = plain(attributes['data-name']) || attributes.id || '';
    const where = phrase`Path ${count(i + 1)}${name ? ` (${name})` : ''}`;
    const rings = ringsOf(attributes.d ?? '')?.map(sheet.by);
    if (!rings || rings.length === 0)
      return refuse('broken', phrase`${where}: only closed lines of straight pieces can be cut.`);
    if (!rings.every((ring) => isOn(sheet, ring)))
      return refuse(
        'off-the-sheet',
        phrase`${where} lies off its sheet of ${mm(sheet.widthMm)} × ${mm(sheet.heightMm)}.`,
      );
    pieces.push({
      name,
      rings: [...rings].sort((a, b) => Math.abs(signedAreaOf(a)) - Math.abs(signedAreaOf(b))),
    });
  }
  const title = all.find(({ name }) => name === 'title')?.children[0]?.value;
  return { ok: true, name: plain(title), widthMm: sheet.widthMm, heightMm: sheet.heightMm, pieces };
}
