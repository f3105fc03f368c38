import { heightOf, widthOf } from '../base/geometry/box';
import type { PaperDrawing, PaperMark } from './drawing';
import type { Page } from './tiles';

const ESCAPES: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };
const escaped = (words: string): string => words.replace(/[&<>"]/g, (c) => ESCAPES[c] ?? c);
const n = (value: number): string => String(Number(value.toFixed(4)));

function elementOf(mark: PaperMark): string {
  switch (mark.kind) {
    case 'line': {
      const d = `M${mark.points.map((p) => `${n(p.x)} ${n(p.y)}`).join('L')}${mark.closed ? 'Z' : ''}`;
      const dash = mark.dashMm ? ` stroke-dasharray="${mark.dashMm.map(n).join(' ')}"` : '';
      return `<path d="${d}" fill="${mark.fill ?? 'none'}" stroke="${mark.colour}" stroke-width="${n(mark.widthMm)}"${dash}/>`;
    }
    case 'art': {
      const pose = `translate(${n(mark.at.x)} ${n(mark.at.y)}) rotate(${n(mark.turnDeg)}) scale(${n(mark.scale)})`;
      const stroke = mark.stroke
        ? ` stroke="${mark.stroke.colour}" stroke-width="${n(mark.stroke.widthMm)}" stroke-linecap="round" stroke-linejoin="round"`
        : '';
      return `<path d="${escaped(mark.d)}" transform="${pose}" fill="${mark.fill ?? 'none'}" fill-rule="evenodd"${stroke}/>`;
    }
    case 'text':
      return `<text x="${n(mark.at.x)}" y="${n(mark.at.y)}" font-size="${n(mark.sizeMm)}" font-family="Atkinson Hyperlegible Next, sans-serif"${mark.bold ? ' font-weight="700"' : ''} text-anchor="${mark.anchor}" fill="${mark.colour}">${escaped(mark.text)}</text>`;
  }
}

/** The drawing as an SVG file whose units are millimetres: one user unit is one mm, and its size says so. */
export function drawingToSvg({ box, marks }: PaperDrawing, title: string): string {
  const [w, h] = [n(widthOf(box)), n(heightOf(box))];
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${w}mm" height="${h}mm" viewBox="${n(box.left)} ${n(box.top)} ${w} ${h}">`,
    `<title>${escaped(title)}</title>`,
    `<rect x="${n(box.left)}" y="${n(box.top)}" width="${w}" height="${h}" fill="#F7F2E8"/>`,
    ...marks.map(elementOf),
    '</svg>',
  ].join('\n');
}

/** White between the pages of a preview, mm. */
const BETWEEN_MM = 6;

/** Pages as they come out of a printer, below one another, to be looked at: what lies beyond a window is cut off. */
export function pagesToSvg(
  pages: readonly { page: Page; marks: readonly PaperMark[] }[],
  title: string,
): { svg: string; widthMm: number; heightMm: number } {
  const widthMm = Math.max(0, ...pages.map(({ page }) => page.widthMm));
  let heightMm = 0;
  const drawn = pages.flatMap(({ page, marks }) => {
    const { window, at } = page;
    const y = heightMm;
    heightMm += page.heightMm + BETWEEN_MM;
    const [w, h] = [n(widthOf(window)), n(heightOf(window))];
    return [
      `<svg y="${n(y)}" width="${n(page.widthMm)}" height="${n(page.heightMm)}">`,
      `<rect width="${n(page.widthMm)}" height="${n(page.heightMm)}" fill="#FFFFFF"/>`,
      `<svg x="${n(at.x)}" y="${n(at.y)}" width="${w}" height="${h}" viewBox="${n(window.left)} ${n(window.top)} ${w} ${h}">`,
      ...marks.map(elementOf),
      '</svg>',
      ...page.marks.map(elementOf),
      '</svg>',
    ];
  });
  heightMm = Math.max(0, heightMm - BETWEEN_MM);
  const svg = [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${n(widthMm)}mm" height="${n(heightMm)}mm" viewBox="0 0 ${n(widthMm)} ${n(heightMm)}">`,
    `<title>${escaped(title)}</title>`,
    `<rect width="${n(widthMm)}" height="${n(heightMm)}" fill="#9AA1A9"/>`,
    ...drawn,
    '</svg>',
  ].join('\n');
  return { svg, widthMm, heightMm };
}
