import fc from 'fast-check';
import { boxAbout, heightOf, widthOf } from '../base/geometry/box';
import { DEFAULT_HOUSE_RULES } from '../model/houseRules';
import { PIECE_KIND_IDS } from '../model/pieceKindIds';
import { planTicket } from '../planner/plan';
import { PIECE_KINDS } from '../stages/piece/kinds';
import { report } from '../testing/report';
import { exampleA, measuredTicket, SAMPLE_SHELF } from '../testing/samples';
import {
  drawingToSvg,
  PAPER_IDS,
  PAPERS,
  type PaperMark,
  PROVING_MM,
  pagesFor,
  placementRuler,
  rulerSlots,
  sheetDrawing,
  templateDrawing,
} from './index';
import { OVERLAP_MM, pagesAlong } from './tiles';

const MM = { system: 'mm' } as const;
const words = (marks: readonly PaperMark[]) => marks.flatMap((m) => (m.kind === 'text' ? [m.text] : []));
const lines = (marks: readonly PaperMark[]) => marks.flatMap((m) => (m.kind === 'line' ? [m] : []));
const template = (ticket = exampleA()) => {
  const { design, place } = planTicket(ticket, SAMPLE_SHELF, DEFAULT_HOUSE_RULES);
  if (!design.facts || !place) throw new Error('nothing was placed');
  return templateDrawing(design.facts, place, { name: 'Crossed oars', where: 'left chest', units: MM });
};

describe('pages', () => {
  const size = fc.integer({ min: 20, max: 1500 });

  it('cover the whole drawing, overlap by 12 mm, and are as few as that allows', () => {
    fc.assert(
      fc.property(size, size, fc.constantFrom(...PAPER_IDS), (w, h, paper) => {
        const box = boxAbout({ x: 30, y: -40 }, w, h);
        const pages = pagesFor({ box, marks: [] }, paper, 'test');
        const all = pages.map((p) => p.window);
        const covered =
          Math.min(...all.map((b) => b.left)) <= box.left + 1e-6 &&
          Math.max(...all.map((b) => b.right)) >= box.right - 1e-6 &&
          Math.min(...all.map((b) => b.top)) <= box.top + 1e-6 &&
          Math.max(...all.map((b) => b.bottom)) >= box.bottom - 1e-6;
        const first = all[0];
        const columns = first ? all.filter((b) => b.top === first.top) : [];
        const overlapped = columns.every((b, i) => {
          const next = columns[i + 1];
          return !next || Math.abs(b.right - next.left - OVERLAP_MM) < 1e-6;
        });
        const roomy = first
          ? pagesAlong(w, widthOf(first)) * pagesAlong(h, heightOf(first)) === pages.length
          : false;
        return covered && overlapped && roomy;
      }),
    );
  });

  it('stay within the paper, every mark of theirs too', () => {
    for (const paper of PAPER_IDS) {
      for (const page of pagesFor({ box: boxAbout({ x: 0, y: 0 }, 500, 600), marks: [] }, paper, 'test')) {
        const { widthMm, heightMm } = PAPERS[paper];
        for (const { points } of lines(page.marks))
          for (const p of points) {
            expect(p.x).toBeGreaterThanOrEqual(5);
            expect(p.x).toBeLessThanOrEqual(widthMm - 5);
            expect(p.y).toBeLessThanOrEqual(heightMm - 5);
          }
      }
    }
  });

  it('each have a proving ruler whose ends stand exactly 100 mm apart, and one of an inch', () => {
    const [page] = pagesFor({ box: boxAbout({ x: 0, y: 0 }, 50, 50), marks: [] }, 'a4', 'test');
    const level = lines(page?.marks ?? []).filter(({ points: [a, b] }) => a && b && a.y === b.y);
    const lengths = level.map(({ points: [a, b] }) => Math.abs((b?.x ?? 0) - (a?.x ?? 0)));
    expect(lengths).toContainEqual(PROVING_MM);
    expect(lengths.some((l) => Math.abs(l - 25.4) < 1e-9)).toBe(true);
  });
});

describe('a template', () => {
  it('has its name and size, a centre cross, both axis ends and the arrow', () => {
    const { marks, box } = template();
    expect(words(marks)).toContain('Crossed oars');
    expect(words(marks)).toContain('88 mm × 51 mm, left chest');
    const holes = lines(marks).filter((m) => m.points.length === 16);
    const middles = holes.map((m) => m.points.reduce((sum, p) => sum + p.x, 0) / 16);
    expect(middles.map((x) => Math.round(x * 1000) / 1000 + 0)).toEqual([0, -44, 44]);
    expect(widthOf(box)).toBeGreaterThan(88);
  });

  it('leans its arrow when the design is turned on the piece', () => {
    const upright = lines(template().marks);
    const ticket = exampleA();
    const turned = lines(template({ ...ticket, place: { ...ticket.place, turnDeg: 30 } }).marks);
    const shaft = (marks: typeof upright) =>
      marks.find((m) => m.widthMm === 0.35 && m.points.length === 2)?.points ?? [];
    const lean = ([from, to]: readonly { x: number; y: number }[]) =>
      (Math.atan2((to?.x ?? 0) - (from?.x ?? 0), (from?.y ?? 0) - (to?.y ?? 0)) * 180) / Math.PI;
    expect(lean(shaft(upright))).toBeCloseTo(0, 6);
    expect(lean(shaft(turned))).toBeCloseTo(-30, 6);
  });
});

describe('a placement ruler', () => {
  it('has a slot for each size where that size’s centre lies', () => {
    const ticket = exampleA();
    const slots = rulerSlots(ticket, SAMPLE_SHELF, { ...DEFAULT_HOUSE_RULES, units: MM });
    expect(slots.map((s) => s.name)).toEqual(['toddler', 'youth', 'adult', 'Rowing club crest', 'plus']);
    expect(slots.map((s) => [Number(s.at.x.toFixed(1)), Number(s.at.y.toFixed(1))])).toEqual([
      [60, 110],
      [75, 150],
      [100, 190],
      [102, 193.4],
      [115, 215],
    ]);
    const ruler = placementRuler(slots, { title: 'Left chest', landmark: 'the shoulder point', units: MM });
    expect(words(ruler.marks)).toContain('plus: 115 mm across, 215 mm down');
  });

  it('laid on the measured piece by its own words has every cross on its size’s spot: each kind, place and size', () => {
    let laid = 0;
    for (const kind of PIECE_KIND_IDS)
      for (const { id } of PIECE_KINDS[kind].placements) {
        const ticket = measuredTicket(kind, id, [40, 30]);
        const slots = rulerSlots(ticket, SAMPLE_SHELF, DEFAULT_HOUSE_RULES);
        const { place } = planTicket(ticket, SAMPLE_SHELF, DEFAULT_HOUSE_RULES);
        if (!place) throw new Error(`${kind} is not placed`);
        const ruler = placementRuler(slots, { title: id, landmark: place.depthName, units: MM });
        const says = ruler.marks.find((m) => m.kind === 'text' && m.text.startsWith('This edge to '));
        const [outer] = ruler.marks;
        if (says?.kind !== 'text' || outer?.kind !== 'line') throw new Error('no words, no edge');
        // A person lays the edge nearest to those words at the landmark, and the dashed line on the centre line.
        const levels = outer.points.map((p) => p.y);
        const edgeY = [Math.min(...levels), Math.max(...levels)].sort(
          (a, b) => Math.abs(a - says.at.y) - Math.abs(b - says.at.y),
        )[0];
        const depth = place.centre.y - place.depthFrom.y;
        const own = slots.find(({ at }) => Math.hypot(at.x - place.acrossMm, at.y - depth) < 0.01);
        const lineX = place.centre.x - place.acrossMm;
        for (const slot of slots) {
          expect(ruler.pricks).toContainEqual(slot.at);
          laid++;
        }
        if (!own) throw new Error(`${kind} ${id} has no slot of its own`);
        const lands = { x: lineX + own.at.x, y: place.depthFrom.y + own.at.y - (edgeY ?? Number.NaN) };
        expect(lands.x).toBeCloseTo(place.centre.x, 6);
        expect(lands.y).toBeCloseTo(place.centre.y, 6);
      }
    report(`crosses of printed rulers laid on their pieces: ${laid}`);
  });

  it('prints no label over another, and one dashed line only', () => {
    const slots = rulerSlots(exampleA(), SAMPLE_SHELF, DEFAULT_HOUSE_RULES);
    const ruler = placementRuler(slots, { title: 'Left chest', landmark: 'the collar seam', units: MM });
    const labels = ruler.marks.flatMap((m) => (m.kind === 'text' ? [m.at.y] : [])).sort((a, b) => a - b);
    for (const [i, y] of labels.entries()) if (i > 0) expect(y - (labels[i - 1] ?? 0)).toBeGreaterThan(2.7);
    expect(ruler.marks.filter((m) => m.kind === 'line' && m.dashMm)).toHaveLength(1);
  });

  it('measures upwards from a hem', () => {
    const slots = rulerSlots(
      measuredTicket('bath-towel', 'above-border', [90, 90]),
      SAMPLE_SHELF,
      DEFAULT_HOUSE_RULES,
    );
    expect(slots).toHaveLength(1);
    const ruler = placementRuler(slots, { title: 'Towel', landmark: 'the end hem', units: MM });
    expect(words(ruler.marks).some((w) => w.endsWith('180 mm up'))).toBe(true);
  });
});

describe('SVG', () => {
  it('is in millimetres: one user unit is one mm', () => {
    const svg = drawingToSvg(template(), 'A & B <tee>');
    const [, width, box] = /width="([\d.]+)mm" height="[\d.]+mm" viewBox="([^"]+)"/.exec(svg) ?? [];
    expect(box?.split(' ')[2]).toBe(width);
    expect(svg).toContain('<title>A &amp; B &lt;tee&gt;</title>');
  });

  it('draws the sheet of any ticket that can be sketched', () => {
    const bare = { ...exampleA(), piece: { ...exampleA().piece, readings: {} } };
    const drawing = sheetDrawing(planTicket(bare, SAMPLE_SHELF, DEFAULT_HOUSE_RULES), MM);
    expect(widthOf(drawing.box)).toBeGreaterThan(400);
    expect(drawingToSvg(drawing, 'bare')).not.toMatch(/NaN|Infinity/);
  });
});
