import { randomLcg } from 'd3-random';
import { FABRICS } from '../catalogue/fabrics';
import { schoolsOf } from '../catalogue/schools';
import type { HouseRules } from '../model/houseRules';
import { PIECE_KIND_IDS } from '../model/pieceKindIds';
import { QUESTION_IDS } from '../model/schoolIds';
import type { Shelf } from '../model/shelf';
import { STAGES } from '../model/stages';
import type { Ticket } from '../model/ticket';
import { METHODS, QUARTER_TURNS } from '../model/ticket/hoop';
import {
  BONDS,
  CHOICE_IDS,
  CHOICE_PARTS,
  FASTENINGS,
  STABILIZER_IDS,
  WHERES,
  withChoice,
} from '../model/ticket/layers';
import { MARK_IDS, OBSTACLE_KINDS } from '../model/ticket/mount';
import { DENSITY_CLASSES } from '../model/ticket/part';
import { STRIP_EDGES } from '../model/ticket/piece';
import { DESIGN_PARTS, MARK_METHODS } from '../model/ticket/place';
import { PIECE_KINDS } from '../stages/piece/kinds';
import { type OneDesign, oneDesign } from './designed';
import { exampleA, measuredTicket, SAMPLE_RULES, SAMPLE_SHELF, TWO_SQUARES } from './samples';

/** A job of a shop: a ticket, and the shelf and rules it is planned against. */
export interface VariedJob {
  ticket: Ticket;
  shelf: Shelf;
  rules: HouseRules;
}

/** Draws from a seeded source: the same seed gives the same draws. */
const drawsOf = (seed: number) => {
  const next = randomLcg(seed);
  const whole = (least: number, most: number) => least + Math.floor(next() * (most - least + 1));
  return {
    whole,
    half: (least: number, most: number) => whole(least * 2, most * 2) / 2,
    often: (share: number) => next() < share,
    oneOf: <T>(list: readonly T[]): T => list[whole(0, list.length - 1)] as T,
  };
};
type Draws = ReturnType<typeof drawsOf>;

const HEXES = ['#1F3A5F', '#E0B33A', '#A23B3B', '#FFFFFF', '#2B2B2B', '#5B86A8'] as const;

function variedPiece(piece: Ticket['piece'], d: Draws): Ticket['piece'] {
  const { readings } = PIECE_KINDS[piece.kind];
  const size = d.half(85, 120) / 100;
  const taken = readings
    .filter(() => !d.often(0.02))
    .map(({ id, typicalMm }): [string, number] => [id, Math.round(typicalMm * size + d.half(-8, 8))]);
  return {
    ...piece,
    fabricId: d.often(0.5) ? piece.fabricId : d.oneOf(FABRICS).id,
    fabricChanges: d.often(0.2) ? { stretchPercent: d.whole(0, 80), thicknessMm: d.half(1, 6) / 2 } : {},
    colour: d.often(0.5) ? piece.colour : d.oneOf(HEXES),
    readings: Object.fromEntries(taken.map(([id, mm]) => [id, Math.max(0, mm)])),
    evenness: d.often(0.25)
      ? [{ atMm: d.whole(100, 300), leftMm: d.whole(225, 260), rightMm: d.whole(225, 260) }]
      : [],
    grain: d.often(0.1) ? { overMm: 300, driftMm: d.whole(-20, 20) } : null,
    quantity: d.often(0.2) ? d.whole(1, 24) : 1,
    stripEdge: d.often(0.1) ? d.oneOf(STRIP_EDGES) : null,
  };
}

function variedDesign(design: Ticket['design'], d: Draws): Ticket['design'] {
  const colours = Array.from({ length: d.whole(1, 4) }, () => d.oneOf(HEXES));
  const common: OneDesign = {
    stitches: d.often(0.5) ? d.whole(400, 30_000) : null,
    densityClass: d.often(0.7) ? d.oneOf(DENSITY_CLASSES) : null,
    colours: colours.map((hex) => ({ hex, name: hex, stitches: null })),
    hasUp: d.often(0.8),
    lettering: d.often(0.3),
    letterHeightMm: d.often(0.2) ? d.half(3, 60) : null,
    scalePercent: d.often(0.2) ? d.whole(70, 130) : 100,
    looks: d.often(0.1) ? d.oneOf(['left', 'right'] as const) : null,
  };
  if (d.often(0.12)) {
    return oneDesign(design, { ...common, widthMm: 120, heightMm: 40, artwork: TWO_SQUARES });
  }
  return oneDesign(design, {
    ...common,
    widthMm: d.half(15, d.often(0.2) ? 320 : 110),
    heightMm: d.half(12, 130),
  });
}

function variedPlace(place: Ticket['place'], d: Draws): Ticket['place'] {
  const moved = d.often(0.3);
  return {
    ...place,
    school: d.often(0.15) ? d.oneOf(['table', 'armhole', 'collar'] as const) : null,
    offset: moved ? { x: d.half(-30, 30), y: d.half(-30, 30) } : { x: 0, y: 0 },
    turnDeg: d.often(0.2) ? d.oneOf([90, -90, 180, 7, -22.5]) : 0,
    method: d.oneOf(MARK_METHODS),
    depth: d.often(0.1) ? { from: 'collar', part: d.oneOf(DESIGN_PARTS), mm: d.half(30, 200) } : null,
    edgeGapMm: d.often(0.2) ? d.half(10, 80) : null,
    repeat: {
      gapMm: d.often(0.3) ? d.half(5, 60) : null,
      marginMm: d.often(0.2) ? d.half(5, 60) : null,
      keep: d.oneOf(['gap', 'ends'] as const),
    },
    scatter: {
      ...place.scatter,
      spots: Array.from({ length: d.whole(0, 4) }, () => ({
        x: d.whole(-120, 120),
        y: d.whole(0, 300),
        turnDeg: d.whole(-90, 90),
      })),
    },
  };
}

function variedHoop(hoop: Ticket['hoop'], d: Draws): Ticket['hoop'] {
  const chosen = d.often(0.4);
  return {
    ...hoop,
    hoopId: chosen ? d.oneOf(SAMPLE_SHELF.hoops).id : null,
    turnDeg: d.often(0.2) ? d.oneOf(QUARTER_TURNS) : null,
    shift: chosen && d.often(0.3) ? { x: d.half(-12, 12), y: d.half(-12, 12) } : null,
    method: d.often(0.3) ? d.oneOf(METHODS) : null,
    split: d.often(0.06),
  };
}

function variedLayers(d: Draws): Ticket['layers'] {
  const part = d.oneOf(CHOICE_PARTS);
  const sheets = Array.from({ length: d.whole(0, 2) }, () => ({
    stabilizer: d.oneOf(STABILIZER_IDS),
    where: d.oneOf(WHERES),
    bond: d.oneOf(BONDS),
    fastening: d.oneOf(FASTENINGS),
  }));
  return {
    support: d.often(0.15) ? { sheets, why: 'to hand' } : null,
    choices: d.often(0.25) ? withChoice({}, part, d.oneOf(CHOICE_IDS[part]), 'to hand') : {},
  };
}

function variedMount(mount: Ticket['mount'], d: Draws): Ticket['mount'] {
  const marks = d.often(0.25) ? MARK_IDS.slice(0, d.whole(1, 5)) : [];
  const turn = (d.half(-6, 6) * Math.PI) / 180;
  return {
    ...mount,
    mirror: d.often(0.1),
    readings: marks.map((mark, i) => {
      const [x, y] = (
        [
          [0, 0],
          [-40, 0],
          [40, 0],
          [0, -30],
          [0, 30],
        ] as const
      )[i] ?? [0, 0];
      return {
        mark,
        x: Math.round(x * Math.cos(turn) - y * Math.sin(turn) + d.half(-3, 3)),
        y: Math.round(x * Math.sin(turn) + y * Math.cos(turn) + d.half(-3, 3)),
      };
    }),
    obstacles: d.often(0.15)
      ? [{ kind: d.oneOf(OBSTACLE_KINDS), x: d.whole(-80, 80), y: d.whole(-80, 80), turnDeg: d.whole(0, 90) }]
      : [],
  };
}

function variedRules(d: Draws): HouseRules {
  const followed = QUESTION_IDS.filter(() => d.often(0.2));
  return {
    ...SAMPLE_RULES,
    units: d.often(0.5) ? { system: 'mm' } : { system: 'in', denominator: d.oneOf([8, 16] as const) },
    schools: Object.fromEntries(followed.map((q) => [q, (d.oneOf(schoolsOf(q)) as [string, string])[0]])),
  };
}

function variedShelf(d: Draws): Shelf {
  const [flat] = SAMPLE_SHELF.machines;
  const many = flat && {
    ...flat,
    id: 'machine-six',
    name: 'Six-needle, free arm',
    needles: 6,
    bed: 'free arm' as const,
    fitted: Array.from({ length: 6 }, () => ({ type: null, hours: d.whole(0, 9) })),
  };
  return {
    ...SAMPLE_SHELF,
    machines: many && d.often(0.3) ? [...SAMPLE_SHELF.machines, many] : SAMPLE_SHELF.machines,
    hoops: many && d.often(0.3) ? SAMPLE_SHELF.hoops.slice(d.whole(0, 3)) : SAMPLE_SHELF.hoops,
    materials: SAMPLE_SHELF.materials.filter(() => !d.often(0.2)),
    threads: d.often(0.2) ? [] : SAMPLE_SHELF.threads,
  };
}

/** A varied job: every kind of piece and every stage's inputs in turn; the same number gives the same job. */
export function variedJob(n: number): VariedJob {
  const d = drawsOf((n * 0.618_033_988_75) % 1);
  const kind = PIECE_KIND_IDS[n % PIECE_KIND_IDS.length] ?? 't-shirt';
  const placement = d.oneOf(PIECE_KINDS[kind].placements).id;
  const bare = n % 97 === 0 ? exampleA() : measuredTicket(kind, placement, [60, 40]);
  const ticket: Ticket = {
    ...bare,
    id: `ticket-${n}`,
    settled: STAGES.filter(() => d.often(0.1)),
    piece: variedPiece(bare.piece, d),
    design: variedDesign(bare.design, d),
    place: variedPlace(bare.place, d),
    hoop: variedHoop(bare.hoop, d),
    layers: variedLayers(d),
    mount: variedMount(bare.mount, d),
    stitch: { ...bare.stitch, bobbinLeftM: d.often(0.2) ? d.half(0, 40) : null },
  };
  return { ticket, shelf: variedShelf(d), rules: variedRules(d) };
}
