import { add, fullTurnDeg, ORIGIN, type Point, rotate, subtract } from '../../base/geometry/point';
import { mm, phrase } from '../../base/units/phrase';
import { numberFor } from '../../catalogue/houseNumber';
import { HOOP_NUMBERS } from '../../catalogue/numbers/hoop';
import type { Finding } from '../../model/finding';
import { because, type Reason } from '../../model/reason';
import type { Machine } from '../../model/shelf';
import type { MarkId, MountInput } from '../../model/ticket/mount';
import type { DesignFacts } from '../design/designFacts';
import { bastingBox } from '../hoop/basting';
import { whyDesignDoesNotFit } from '../hoop/fit';
import { fieldOf } from '../hoop/judgeHoop';
import { TOPS, type TurnRank } from '../hoop/rankTurns';
import { inHoopFrame } from '../hoop/ring';
import type { PlacePlan } from '../place/planPlace';
import { type Check, checklistOf } from './checklist';
import { type CopyKeys, copyKeys, partKeys } from './copyKeys';
import { type CrookedPlan, planCrooked } from './crooked';
import { type Display, displayFor } from './display';
import { designAtKeys, hullAsKeyed, type KeyStep, type Keys, keyOrder, keysShown } from './keys';
import { bastingFindings, missFindings, mountFindings, unreadFindings } from './mountFindings';
import type { MountQuestion } from './mountQuestion';
import { planTrace, type TracePlan } from './trace';

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
