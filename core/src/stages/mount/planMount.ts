import { add, fullTurnDeg, ORIGIN, type Point, rotate, subtract } from '../../base/geometry/point';
import { count, mm, type Phrase, percent, phrase } from '../../base/units/phrase';
import { numberFor } from '../../catalogue/houseNumber';
import { HOOP_NUMBERS } from '../../catalogue/numbers/hoop';
import type { DeedOf, MachineDeed } from '../../model/deed';
import { type Finding, finding } from '../../model/finding';
import type { HouseRules } from '../../model/houseRules';
import { because, type Reason } from '../../model/reason';
import { hasUnreadFigure, type Machine } from '../../model/shelf';
import type { MarkId, MountInput } from '../../model/ticket/mount';
import type { Fabric } from '../../model/ticket/piece';
import type { DesignFacts } from '../design/designFacts';
import { bastingBox } from '../hoop/basting';
import { type Miss, whyDesignDoesNotFit } from '../hoop/fit';
import { fieldOf } from '../hoop/judgeHoop';
import type { LaidHoop } from '../hoop/layHoop';
import type { HoopPlan } from '../hoop/planHoop';
import { TOPS, type TurnRank } from '../hoop/rankTurns';
import { inHoopFrame } from '../hoop/ring';
import type { LayersPlan } from '../layers/planLayers';
import { isA, type PieceKind, type PieceOutline } from '../piece/geometry';
import type { PlacePlan } from '../place/planPlace';
import { type CopyKeys, copyKeys, partKeys } from './copyKeys';
import { type CrookedPlan, planCrooked } from './crooked';
import { type Display, displayFor, looksFindings } from './display';
import { designAtKeys, hullAsKeyed, type KeyStep, type Keys, keyOrder, keysShown } from './keys';
import { planTrace, type TracePlan } from './trace';

export interface Check {
  id: string;
  text: Phrase;
  caution: Phrase | null;
  deed: MachineDeed | DeedOf<'fasten'>;
}

export interface MountPlan {
  machine: Machine | null;
  ranks: TurnRank[];
  chosen: TurnRank;
  keys: Keys;
  /** The presses that are needed, in the order in which the machine takes them. */
  keyOrder: KeyStep[];
  /** Where the design's visible centre lies once they are pressed, hoop frame, mm. */
  designAt: Point;
  /** What the machine's display must show once the keys are pressed. */
  display: Display;
  /** How it really sits, once marks were read off the hoop; its keys are then the ones to press. */
  crooked: CrookedPlan | null;
  /** What to key in for each further copy or part, in the hooping that reaches it; empty where there is one. */
  copies: CopyKeys[];
  /** Where each mark of the piece is chalked, piece frame, mm. */
  marksAt: Readonly<Record<MarkId, Point>>;
  /** Where each mark of the piece should be found on the hoop's grid, mm. */
  marksShould: Readonly<Record<MarkId, Point>>;
  /** How far outside the design a basting box is stitched, as the hoop really lies, mm; null where none is. */
  bastingMm: number | null;
  /** The foot swept round the design, against the ring and what lies on the hoop. */
  trace: TracePlan;
  checklist: Check[];
  findings: Finding[];
  reasons: Reason[];
}

interface MountQuestion {
  /** What is stitched in this hooping, of a split design the part in hand. */
  facts: DesignFacts;
  /** The whole design. */
  design: DesignFacts;
  hoop: HoopPlan & { laid: LaidHoop };
  layers: LayersPlan;
  machine: Machine | null;
  /** The thread of every colour, as the shelf calls it. */
  threads: readonly string[];
  kind: PieceKind;
  place: PlacePlan;
  /** How far the design is off its rule on the piece, mm, and at what share of its size, in percent. */
  offset: Point;
  scalePercent: number;
  outline: PieceOutline;
  fabric: Fabric;
  rules: HouseRules;
}

/** What of a piece can lie under the hoop unseen. */
const beneathWords = (kind: PieceKind): string => {
  if (kind.form === 'flat') return 'corner folded';
  return isA(kind, 'sleeves') ? 'back, no sleeve' : 'second layer';
};

const HELD_ON_TOP: Record<NonNullable<LayersPlan['topperHeldBy']>, string> = {
  'basting box': 'the basting box holds it',
  pins: 'pin its edges outside the field, heads outwards',
  tape: 'tape its edges outside the field',
};

/** How the topper is laid, and what holds it. */
export const topperWords = (name: string, { topperHeldBy }: Pick<LayersPlan, 'topperHeldBy'>): Phrase =>
  phrase`${name} on top: ${HELD_ON_TOP[topperHeldBy ?? 'pins']}.`;

/** In the order of the hands: power is off for the needle, and what is entered later would be lost with it. */
function checklistOf(q: MountQuestion, bastingMm: number | null): Check[] {
  const check = (id: string, deed: Check['deed'], text: Phrase, caution: Phrase | null = null): Check => ({
    id,
    text,
    caution,
    deed,
  });
  const topper = q.layers.parts.topper.choice;
  // As the hoop lies there may be no room for the basting box that was planned.
  const isTaped = bastingMm === null && q.layers.bastingMm !== null;
  const heldBy =
    isTaped && q.layers.topperHeldBy === 'basting box' ? 'tape' : (q.layers.topperHeldBy ?? 'pins');
  const { split } = q.hoop.laid;
  const place = split?.split.byPositions ? split.index + 1 : null;
  return [
    check(
      'threads',
      { do: 'lay out threads' },
      phrase`${q.facts.stops.map((s, i) => `${i + 1} ${q.threads[i] ?? s.name}`).join(', ')}: laid out in order.`,
    ),
    check(
      'needle-fitted',
      { do: 'fit needle' },
      phrase`${q.layers.parts.needle.choice.name} needle in.`,
      phrase`Power off or locked before you change it; the machine's manual says how.`,
    ),
    check('bobbin', { do: 'fill bobbin' }, phrase`Bobbin enough for the whole run.`),
    check('carriage', { do: 'free the carriage' }, phrase`Carriage free before you mount the hoop.`),
    check(
      'beneath',
      { do: 'reach under' },
      phrase`Reach under the hoop all round: no ${beneathWords(q.kind)} beneath.`,
    ),
    check(
      'latched',
      { do: 'latch', place },
      place === null
        ? phrase`${q.hoop.laid.verdict.hoop.name} latched on the carriage.`
        : phrase`${q.hoop.laid.verdict.hoop.name} latched on the carriage in place ${count(place)}.`,
    ),
    check(
      'needle',
      { do: 'needle over mark' },
      phrase`Needle over the centre mark.`,
      phrase`Hands away from a moving hoop.`,
    ),
    check(
      'direction',
      { do: 'see the top' },
      phrase`The top of the piece points ${TOPS[q.hoop.laid.turnDeg]}.`,
    ),
    check('pins', { do: 'clear the field' }, phrase`Pins, sticker and tape out of the field.`),
    // Over cloth that is still to be laid and trimmed it comes later (`topperAfter`).
    ...(topper.id === 'none' || q.facts.cloths.length > 0
      ? []
      : [
          check(
            'topper',
            { do: 'lay topper', by: heldBy },
            topperWords(topper.name, { topperHeldBy: heldBy }),
          ),
        ]),
    check(
      'trace',
      { do: 'trace' },
      phrase`Trace run: the foot clears ring, clips and magnets.`,
      phrase`A needle on the ring can shatter: wear glasses, keep your face back.`,
    ),
    ...(isTaped
      ? [
          check(
            'tape',
            { do: 'fasten', by: 'tape' },
            phrase`No room for a basting box: tape the piece at the ring's edge, outside the field.`,
          ),
        ]
      : []),
    ...(bastingMm === null
      ? []
      : [
          check(
            'baste',
            { do: 'baste', mm: bastingMm },
            phrase`Basting box ${mm(bastingMm)} outside the design, stitched first.`,
          ),
        ]),
  ];
}

/** A figure of the machine that could not be taken: what is worked out with the one before may be wrong. */
const unreadFindings = (machine: Machine | null): Finding[] =>
  machine && hasUnreadFigure(machine)
    ? [
        finding(
          'mount',
          'mount-machine-unread',
          'stop',
          phrase`A figure of ${machine.name} was typed and could not be taken: open it on the shelf and type it again.`,
        ),
      ]
    : [];

/** What this machine's screen cannot do: then it is done in the file. */
function limitFindings({ machine, facts }: MountQuestion, mirror: boolean): Finding[] {
  if (!machine) return [];
  const { leastPercent, mostPercent } = machine.resize;
  const scale = Math.round(facts.scale * 100);
  const found: Finding[] = [];
  if (mirror && !machine.mirrors)
    found.push(
      finding(
        'mount',
        'mount-no-mirror',
        'warn',
        phrase`${machine.name} cannot mirror: save the file mirrored, and load that.`,
      ),
    );
  if (scale < leastPercent || scale > mostPercent)
    found.push(
      finding(
        'mount',
        'mount-resize',
        'warn',
        phrase`${machine.name} resizes from ${percent(leastPercent)} to ${percent(mostPercent)}: save the file at ${percent(scale)}, and load that.`,
      ),
    );
  return found;
}

/** The keys as shown bring the design out of the field, though it fits as it was drawn: mirrored it is another shape. */
function missFindings(miss: Miss | null, mirror: boolean): Finding[] {
  if (!miss || !mirror) return [];
  const by = Math.max(miss.widthMm, miss.heightMm);
  return [
    finding('mount', 'mount-mirror-misses', 'stop', phrase`Mirrored it reaches ${mm(by)} past the field.`, {
      mends: [
        {
          label: phrase`Take the mirror off`,
          result: phrase`it lies inside the field`,
          change: { stage: 'mount', set: { mirror: false } },
        },
      ],
    }),
  ];
}

function mountFindings(q: MountQuestion, chosen: TurnRank, mirror: boolean): Finding[] {
  const found: Finding[] = [];
  const better = q.hoop.ranks[0];
  if (mirror && q.facts.lettering) {
    found.push({
      code: 'mount-mirrored-letters',
      stage: 'mount',
      severity: 'stop',
      text: phrase`Mirrored lettering reads backwards.`,
      mends: [
        {
          label: phrase`Take the mirror off`,
          result: phrase`the letters read forwards`,
          change: { stage: 'mount', set: { mirror: false } },
        },
      ],
    });
  }
  found.push(...looksFindings(q.facts, mirror, q), ...limitFindings(q, mirror));
  if (chosen.overMm > 0) {
    const mends: Finding['mends'] =
      better && better.overMm < chosen.overMm
        ? [
            {
              label: phrase`Top ${better.topPoints}`,
              result: phrase`${mm(better.inThroatMm)} towards the body`,
              change: { stage: 'hoop', set: { turnDeg: better.turnDeg } },
            },
          ]
        : [];
    found.push({
      code: 'mount-throat',
      stage: 'mount',
      severity: mends.length > 0 ? 'warn' : 'note',
      text: phrase`${mm(chosen.inThroatMm)} of cloth lie towards the machine's body, its throat takes ${mm(q.machine?.throatMm ?? 0)}: roll up the last ${mm(chosen.overMm)} and tape it.`,
      mends,
    });
  }
  if (!q.machine)
    found.push({
      code: 'mount-no-machine',
      stage: 'mount',
      severity: 'note',
      text: phrase`No machine on the shelf takes this hoop.`,
      mends: [],
    });
  return found;
}

/** The marks that a piece can have, in its own frame: the centre and the four axis ends. mm. */
export function marksOf(place: PlacePlan, facts: DesignFacts): Record<MarkId, Point> {
  const [left, right] = place.axisEnds;
  const end = (y: number) => add(place.centre, rotate({ x: 0, y }, place.turnDeg));
  return {
    centre: place.centre,
    left,
    right,
    top: end(-facts.heightMm / 2),
    foot: end(facts.heightMm / 2),
  };
}

function crookedOf(input: MountInput, q: MountQuestion): CrookedPlan | null {
  const { laid } = q.hoop;
  return planCrooked({
    readings: input.readings,
    marks: marksOf(q.place, q.facts),
    designCentre: q.place.centre,
    designTurnDeg: q.place.turnDeg,
    plannedAt: laid.designAt,
    offset: q.offset,
    scalePercent: q.scalePercent,
    hoopOnPieceDeg: laid.onPieceDeg,
    facts: q.facts,
    field: fieldOf(laid.verdict.hoop),
    turnStepDeg: q.machine?.turnStepDeg ?? 1,
    mirror: input.mirror,
    fabric: q.fabric,
    rules: q.rules,
  });
}

/** Where the marks should be found on the hoop's grid when it sits as planned. */
function marksShould({ hoop: { laid }, place, facts }: MountQuestion): Record<MarkId, Point> {
  const inHoop = (mark: Point) => inHoopFrame(mark, laid);
  const { centre, left, right, top, foot } = marksOf(place, facts);
  return {
    centre: inHoop(centre),
    left: inHoop(left),
    right: inHoop(right),
    top: inHoop(top),
    foot: inHoop(foot),
  };
}

/** How far the first piece of the run lay off its marks, on the piece, mm; nothing while it was not measured. */
const sampleOf = ({ sample: { right, down } }: MountInput): Point => ({ x: right ?? 0, y: down ?? 0 });

/**
 * Why the rest of a run is keyed otherwise than its first piece was. A piece whose marks were read off the hoop is keyed by
 * these alone.
 */
function sampleReasons({ sample: { right, down } }: MountInput): Reason[] {
  const ways = [
    ...(right ? [phrase`${mm(Math.abs(right))} to the ${right > 0 ? 'right' : 'left'}`] : []),
    ...(down ? [phrase`${mm(Math.abs(down))} too ${down > 0 ? 'low' : 'high'}`] : []),
  ];
  const [first, second] = ways;
  if (!first) return [];
  const lay = second ? phrase`${first} and ${second}` : first;
  return [
    because(
      'sample',
      phrase`The first piece of the run lay ${lay} of its marks: the rest is keyed so much the other way.`,
    ),
  ];
}

/** The basting box as the design is keyed, mirrored or in a hoop that lies crooked: as far out as it stays in the field, null where it has no room. */
function bastingAsKeyed({ layers, facts, hoop, rules }: MountQuestion, keys: Keys): number | null {
  const planned = layers.bastingMm;
  if (planned === null) return null;
  const field = fieldOf(hoop.laid.verdict.hoop);
  const outline = hullAsKeyed(facts, keys);
  const nearer = Math.min(planned, numberFor(rules, HOOP_NUMBERS.bastingNearerMm));
  return (
    [planned, nearer].find(
      (mm) => whyDesignDoesNotFit(bastingBox(outline, mm), field, { turnDeg: 0, ...ORIGIN }) === null,
    ) ?? null
  );
}

/** What was to be basted and has no room, as the hoop lies. */
function bastingFindings({ layers }: MountQuestion, bastingMm: number | null): Finding[] {
  if (layers.bastingMm === null || bastingMm !== null) return [];
  const film = layers.topperHeldBy === 'basting box' ? phrase` and cut the film past the field` : phrase``;
  return [
    finding(
      'mount',
      'mount-basting-misses',
      'warn',
      phrase`As the hoop lies a basting box would leave the field: hoop it again, or tape the piece${film}.`,
    ),
  ];
}

/** Which way round the piece goes on the machine, what to key in, and the checks before the first stitch. */
export function planMount(input: MountInput, q: MountQuestion): MountPlan {
  const turnDeg = q.hoop.laid.turnDeg;
  const chosen = q.hoop.ranks.find((r) => r.turnDeg === turnDeg) ?? {
    turnDeg,
    inThroatMm: 0,
    overMm: 0,
    topPoints: TOPS[turnDeg],
  };
  const crooked = crookedOf(input, q);
  const field = fieldOf(q.hoop.laid.verdict.hoop);
  const designAt = subtract(q.hoop.laid.designAt, rotate(sampleOf(input), -q.hoop.laid.onPieceDeg));
  const asPlanned = keysShown(q.facts, field, designAt, {
    turnDeg: fullTurnDeg(-turnDeg),
    mirror: input.mirror,
  });
  const keys = crooked?.keys ?? asPlanned.keys;
  const bastingMm = bastingAsKeyed(q, keys);
  const trace = planTrace(
    // The foot follows the basting box too.
    bastingMm === null ? q.facts : { ...q.facts, hull: bastingBox(q.facts.hull, bastingMm) },
    keys,
    { hoop: q.hoop.laid.verdict.hoop, obstacles: input.obstacles },
    q.rules,
  );
  return {
    machine: q.machine,
    ranks: q.hoop.ranks,
    chosen,
    keys,
    keyOrder: keyOrder(q.facts, keys, field),
    copies: q.hoop.laid.split
      ? partKeys({ ...q, off: sampleOf(input) }, input.mirror)
      : copyKeys({ ...q, off: sampleOf(input) }, asPlanned.keys),
    designAt: designAtKeys(q.facts, keys),
    display: displayFor(q.facts, keys),
    crooked,
    trace,
    marksAt: marksOf(q.place, q.facts),
    marksShould: marksShould(q),
    bastingMm,
    checklist: checklistOf(q, bastingMm),
    findings: [
      ...unreadFindings(q.machine),
      ...mountFindings(q, chosen, input.mirror),
      ...(crooked?.keys ? [] : missFindings(asPlanned.miss, input.mirror)),
      ...(crooked?.findings ?? []),
      ...bastingFindings(q, bastingMm),
      ...trace.findings,
    ],
    reasons: [
      ...(crooked?.reasons ?? []),
      ...(crooked ? [] : sampleReasons(input)),
      because(
        'mount',
        phrase`The bulk of the piece goes to the open side, not into the throat.`,
        q.hoop.ranks.map((r) => phrase`top ${r.topPoints}: ${mm(r.inThroatMm)} towards the body`),
      ),
      because('keys', phrase`Seen from “design centred, upright”.`, [
        phrase`the hoop is turned ${String(turnDeg)}° on the piece, so the design turns ${String(keys.turnDeg)}° clockwise in the hoop`,
        ...(q.facts.fileCentre.x !== 0 || q.facts.fileCentre.y !== 0
          ? [
              phrase`the file's own centre lies ${mm(q.facts.fileCentre.x)} right and ${mm(q.facts.fileCentre.y)} below the visible centre`,
            ]
          : []),
      ]),
    ],
  };
}
