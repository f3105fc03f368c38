import { boxAbout, boxOf, cornersOf, heightOf, widthOf } from '../../base/geometry/box';
import { ORIGIN, type Point } from '../../base/geometry/point';
import type { Polygon } from '../../base/geometry/polygon';
import { count, mm, type Phrase, percent, phrase } from '../../base/units/phrase';
import { numberFor } from '../../catalogue/houseNumber';
import { DENSITY_TABLE, DESIGN_NUMBERS } from '../../catalogue/numbers/design';
import { type Finding, finding } from '../../model/finding';
import type { HouseRules } from '../../model/houseRules';
import { because, type Reason } from '../../model/reason';
import type { Artwork, DensityClass, DesignInput, Looks } from '../../model/ticket/design';
import { arranged } from './elements';

export interface PlannedStop {
  hex: string;
  name: string;
  stitches: number;
}

/** The design as it will be stitched, in mm about its visible centre. */
export interface DesignFacts {
  widthMm: number;
  heightMm: number;
  stitches: number;
  /** Stitches per cm² of the box. */
  density: number;
  densityClass: DensityClass;
  stops: PlannedStop[];
  /** Convex hull where the outline is known, else the box. */
  hull: Polygon;
  hullKnown: boolean;
  fileCentre: Point;
  /** The drawing as arranged, mm at 100 %. */
  artwork: Artwork | null;
  scale: number;
  hasUp: boolean;
  lettering: boolean;
  letterHeightMm: number | null;
  looks: Looks | null;
}

export interface DesignPlan {
  facts: DesignFacts | null;
  findings: Finding[];
  reasons: Reason[];
}

/** The class of a density in stitches per cm² of the box. */
export function densityClassOf(density: number): DensityClass {
  return DENSITY_TABLE.find((row) => density < row.below)?.name ?? 'very heavy';
}

/** How heavy a class is, 0 (open) to 4 (very heavy), for "medium or denser". */
export const densityRank = (name: DensityClass): number =>
  DENSITY_TABLE.findIndex((row) => row.name === name);

const LEAST_SIDE_MM = 3;
const MOST_SIDE_MM = 1000;

function sideFinding(input: DesignInput, field: 'widthMm' | 'heightMm', name: string): Finding | null {
  const stop = (code: string, text: Phrase) => finding('design', code, 'stop', text, { field });
  const value = input[field];
  if (value === null)
    return finding('design', 'design-size-missing', 'next', phrase`Still to enter: the design's ${name}.`, {
      field,
    });
  if (value >= LEAST_SIDE_MM && value <= MOST_SIDE_MM) return null;
  return stop(
    'design-size-absurd',
    phrase`${mm(value)} for the design's ${name} cannot be right: between ${mm(LEAST_SIDE_MM)} and ${mm(MOST_SIDE_MM)}.`,
  );
}

/** The stitch count entered, or the typical one of the class over the box at 100 %; null when neither is known. */
function stitchesOf(input: DesignInput, areaCm2: number): number | null {
  if (input.stitches !== null) return input.stitches;
  const row = DENSITY_TABLE.find((r) => r.name === input.densityClass);
  return row ? Math.round(row.typical * areaCm2) : null;
}

function plannedStops(input: DesignInput, stitches: number): PlannedStop[] {
  const known = input.colours.reduce((sum, c) => sum + (c.stitches ?? 0), 0);
  const open = input.colours.filter((c) => c.stitches === null).length;
  const share = open > 0 ? Math.max(0, stitches - known) / open : 0;
  const fraction = open === 0 && known > 0 ? stitches / known : 1;
  return input.colours.map((c) => ({
    hex: c.hex,
    name: c.name,
    stitches: Math.round((c.stitches ?? share) * fraction),
  }));
}

const arrangements = new WeakMap<Artwork, { moves: DesignInput['elementMoves']; artwork: Artwork }>();

/** The drawing as arranged; kept for the last moves, since the same plan is asked for while a hand drags. */
function artworkAs(input: DesignInput): Artwork | null {
  const { artwork, elementMoves: moves } = input;
  if (!artwork || moves.length === 0) return artwork;
  const before = arrangements.get(artwork);
  if (before?.moves === moves) return before.artwork;
  const after = { moves, artwork: arranged(artwork, moves) };
  arrangements.set(artwork, after);
  return after.artwork;
}

/** Where a drawing was rearranged its size is the arrangement's; density stays that of the design as it came. */
function factsOf(input: DesignInput, size: { width: number; height: number }, stitches: number): DesignFacts {
  const scale = input.scalePercent / 100;
  const artwork = artworkAs(input);
  const scaled = (p: Point): Point => ({ x: p.x * scale, y: p.y * scale });
  const box = artwork && artwork !== input.artwork ? boxOf(artwork.hull) : null;
  const [widthMm, heightMm] = [
    (box ? widthOf(box) : size.width) * scale,
    (box ? heightOf(box) : size.height) * scale,
  ];
  const density = stitches / ((size.width * size.height * scale * scale) / 100);
  return {
    widthMm,
    heightMm,
    stitches,
    density,
    densityClass: densityClassOf(density),
    stops: plannedStops(input, stitches),
    hull: artwork ? artwork.hull.map(scaled) : cornersOf(boxAbout(ORIGIN, widthMm, heightMm)),
    hullKnown: artwork !== null,
    fileCentre: scaled(artwork?.fileCentre ?? ORIGIN),
    artwork,
    scale,
    hasUp: input.hasUp,
    lettering: input.lettering,
    letterHeightMm: input.letterHeightMm === null ? null : input.letterHeightMm * scale,
    looks: input.looks,
  };
}

const REARRANGED = phrase`Its elements are moved from where the file has them: save the file so before you load it.`;
const AS_IN_FILE: Finding['mends'] = [
  {
    label: phrase`As in the file`,
    result: phrase`every element back where it was drawn`,
    change: { stage: 'design', set: { elementMoves: [] } },
  },
];

function judge(facts: DesignFacts, input: DesignInput, rules: HouseRules): Finding[] {
  const found: Finding[] = [];
  const add = (
    code: string,
    severity: Finding['severity'],
    text: Finding['text'],
    mends: Finding['mends'] = [],
  ) => found.push(finding('design', code, severity, text, { mends }));
  const denser = (1 / facts.scale ** 2 - 1) * 100;
  if (input.scalePercent < numberFor(rules, DESIGN_NUMBERS.resizeLeastPercent)) {
    add(
      'design-shrunk-too-far',
      'stop',
      phrase`Shrunk to ${percent(input.scalePercent)} it is ${percent(denser)} denser: get the design in this size.`,
    );
  } else if (input.scalePercent < numberFor(rules, DESIGN_NUMBERS.resizeFreelyPercent)) {
    add(
      'design-shrunk',
      'warn',
      phrase`Shrunk to ${percent(input.scalePercent)} with the same stitches it is ${percent(denser)} denser.`,
    );
  }
  const least = numberFor(rules, DESIGN_NUMBERS.leastLetterMm);
  if (facts.lettering && facts.letterHeightMm !== null && facts.letterHeightMm < least) {
    const fine = numberFor(rules, DESIGN_NUMBERS.leastLetterFineMm);
    const far = facts.letterHeightMm < fine;
    add(
      'design-letters-small',
      far ? 'stop' : 'warn',
      far
        ? phrase`Letters ${mm(facts.letterHeightMm)} high close up: at least ${mm(fine)}, even in 60 wt thread.`
        : phrase`Letters ${mm(facts.letterHeightMm)} high need 60 wt thread and a 65/9 needle; ${mm(least)} holds in 40 wt.`,
    );
  }
  const cover = (facts.artwork?.mostCover ?? 0) / facts.scale;
  if (cover > numberFor(rules, DESIGN_NUMBERS.boardCover))
    add('design-board', 'stop', phrase`${count(cover)} mm of thread on a mm² is a board: it breaks needles.`);
  else if (cover > numberFor(rules, DESIGN_NUMBERS.hotSpotCover))
    add(
      'design-hot-spot',
      'warn',
      phrase`${count(cover)} mm of thread on a mm² is a hot spot: slow down there.`,
    );
  if (facts.artwork && facts.artwork !== input.artwork)
    add('design-rearranged', 'note', REARRANGED, AS_IN_FILE);
  for (const remark of input.artwork?.remarks ?? []) add('design-file-remark', 'note', phrase`${remark}`);
  return found;
}

/** Checks what was entered and works out size, stitches, density class and outline. */
export function planDesign(input: DesignInput, rules: HouseRules): DesignPlan {
  const findings = [sideFinding(input, 'widthMm', 'width'), sideFinding(input, 'heightMm', 'height')].flatMap(
    (f) => f ?? [],
  );
  const [width, height] = [input.widthMm ?? 0, input.heightMm ?? 0];
  const stitches = stitchesOf(input, (width * height) / 100);
  if (stitches === null) {
    findings.push(
      finding(
        'design',
        'design-stitches-missing',
        'next',
        phrase`Still to enter: the stitch count, or how dense it is.`,
        { field: 'stitches' },
      ),
    );
  }
  if (findings.length > 0 || stitches === null) return { facts: null, findings, reasons: [] };
  const facts = factsOf(input, { width, height }, stitches);
  const areaCm2 = (width * height * facts.scale ** 2) / 100;
  const reason = because(
    'density',
    phrase`Stitches on each cm² of the design's box: ${facts.densityClass}.`,
    [
      phrase`${mm(width * facts.scale)} × ${mm(height * facts.scale)} = ${count(areaCm2)} cm²`,
      phrase`${count(stitches)} ÷ ${count(areaCm2)} = ${count(facts.density)} to the cm²`,
      phrase`open below 40, light below 80, medium below 150, heavy below 240`,
    ],
  );
  return { facts, findings: judge(facts, input, rules), reasons: [reason] };
}
