import { add, distance, fullTurnDeg, type Point, rotate, shortTurnDeg } from '../../base/geometry/point';
import { count, deg, mm, type Phrase, percent, phrase } from '../../base/units/phrase';
import { numberFor } from '../../catalogue/houseNumber';
import { MOUNT_NUMBERS } from '../../catalogue/numbers/mount';
import { type Finding, finding } from '../../model/finding';
import { because, type Reason } from '../../model/reason';
import type { MarkFound } from '../../model/ticket/mount';
import type { DesignFacts } from '../design/designFacts';
import { crookedRoom, type Miss, whyDesignDoesNotFit } from '../hoop/fit';
import { isKnit } from '../piece/isKnit';
import type { CrookedQuestion } from './crookedQuestion';
import { crookedRescues } from './crookedRescues';
import { type AgainQuestion, againInWords, type HoopAgain, hoopAgain, MARK_NAMES } from './hoopAgain';
import { hullAsKeyed, type Keys, keysShown, keysTo } from './keys';
import { type CrookedFailure, type CrookedPose, solveCrooked } from './solveCrooked';

/** What the readings tell, what to key in because of it, and what is left. */
export interface CrookedPlan {
  lie: CrookedPose | CrookedFailure;
  /** How far the piece is turned from how it should lie, clockwise; null where the readings tell nothing. */
  crookedDeg: number | null;
  keys: Keys | null;
  /** What the machine's steps in turn and move leave at the farthest corner, mm. */
  leftOverMm: number;
  miss: Miss | null;
  /** How to hoop it again where keys cannot make up for it; null where they can, or where nothing is known. */
  again: { question: AgainQuestion; advice: HoopAgain } | null;
  /** How much more it could turn either way in this place and still fit, degrees. */
  room: { clockwiseDeg: number; counterDeg: number } | null;
  findings: Finding[];
  reasons: Reason[];
}

const FAILURES: Record<CrookedFailure['code'], Phrase> = {
  'too-few': phrase`One mark tells the place but not the angle: read a second one.`,
  coincident: phrase`Two readings are one and the same point: they tell no angle. Read marks that lie apart.`,
  swapped: phrase`Left and right are swapped: seen in a mirror, these readings fit. Read each mark again.`,
};

function failed(lie: CrookedFailure): CrookedPlan {
  const text = FAILURES[lie.code];
  return {
    lie,
    crookedDeg: null,
    keys: null,
    leftOverMm: 0,
    miss: null,
    again: null,
    room: null,
    findings: [finding('mount', `mount-crooked-${lie.code}`, 'stop', text, { field: 'readings' })],
    reasons: [],
  };
}

/** How to hoop it again, by the marks that were read; moved as a whole only where keys cannot make up for it. */
function againFor(q: CrookedQuestion, lie: CrookedPose): { question: AgainQuestion; advice: HoopAgain } {
  const shouldTurnDeg = -q.hoopOnPieceDeg;
  const centre = add(rotate(q.designCentre, lie.turnDeg), lie.shift);
  const straight = { turnDeg: shouldTurnDeg + q.designTurnDeg, ...centre };
  const keyed = whyDesignDoesNotFit(q.facts.hull, q.field, straight) === null;
  const question: AgainQuestion = {
    marks: q.readings.map((r) => ({ mark: r.mark, at: chalkedAt(q, r) })),
    designCentre: q.designCentre,
    turnDeg: lie.turnDeg,
    centre,
    shouldTurnDeg,
    centreTo: keyed ? null : q.plannedAt,
  };
  return { question, advice: hoopAgain(question) };
}

/** Where a mark that was read had been chalked: as was kept with its reading, else as it is planned. */
const chalkedAt = (q: Pick<CrookedQuestion, 'marks'>, reading: MarkFound): Point =>
  reading.chalkedAt ?? q.marks[reading.mark];

/** What else turns a design where the machine's own steps are too coarse. */
function otherwise(q: CrookedQuestion, lie: CrookedPose): Phrase {
  const by = shortTurnDeg(lie.turnDeg + q.hoopOnPieceDeg);
  return phrase`Or save the file turned ${deg(Math.abs(by))} ${by >= 0 ? 'clockwise' : 'counter-clockwise'} and load that.`;
}

/** A turn below this leaves nothing that is seen, degrees. */
const LEAST_TURN_DEG = 0.05;

/** The turn as it can be keyed, in the machine's own steps. */
const keyedTurn = (wantedDeg: number, { turnStepDeg }: Pick<CrookedQuestion, 'turnStepDeg'>): number =>
  Math.round(wantedDeg / turnStepDeg) * turnStepDeg;

function angleFindings(q: CrookedQuestion, lie: CrookedPose, leftOverMm: number): Finding[] {
  const at = { field: 'readings' };
  const [invisible, noticeable] = [
    numberFor(q.rules, MOUNT_NUMBERS.crookedInvisibleMm),
    numberFor(q.rules, MOUNT_NUMBERS.crookedNoticeableMm),
  ];
  if (leftOverMm <= invisible) return [];
  const wanted = lie.turnDeg + q.designTurnDeg;
  const isTurned = Math.abs(shortTurnDeg(wanted - keyedTurn(wanted, q))) < LEAST_TURN_DEG;
  const why = isTurned ? phrase`Keyed as shown` : phrase`The machine turns by ${deg(q.turnStepDeg)}`;
  const left = phrase`${why}: ${mm(leftOverMm)} are left at the farthest corner`;
  return leftOverMm <= noticeable
    ? [finding('mount', 'mount-crooked-seen', 'warn', phrase`${left}; it can be noticed.`, at)]
    : [
        finding(
          'mount',
          'mount-crooked-again',
          'stop',
          phrase`${left}. ${againInWords(againFor(q, lie).advice)} ${otherwise(q, lie)}`,
          at,
        ),
      ];
}

function trustFindings(q: CrookedQuestion, lie: CrookedPose): Finding[] {
  const most = numberFor(q.rules, MOUNT_NUMBERS.readingsAgreeMm);
  const worst = Math.max(...lie.residualsMm);
  const mark = q.readings[lie.residualsMm.indexOf(worst)]?.mark ?? 'centre';
  const found: Finding[] = [];
  if (lie.residualMm > most)
    found.push(
      finding(
        'mount',
        'mount-readings-disagree',
        'warn',
        phrase`The readings disagree by ${mm(lie.residualMm)}. Read the ${MARK_NAMES[mark]} again.`,
        { field: 'readings' },
      ),
    );
  const knit = isKnit(q.fabric, q.rules);
  const allowed = numberFor(
    q.rules,
    knit ? MOUNT_NUMBERS.stretchKnitPercent : MOUNT_NUMBERS.stretchWovenPercent,
  );
  for (const [axis, name] of [
    ['level', 'across'],
    ['upright', 'up and down'],
  ] as const) {
    const share = (lie.stretch[axis] ?? 0) * 100;
    if (share <= allowed) continue;
    found.push(
      finding(
        'mount',
        `mount-stretched-${axis}`,
        'warn',
        phrase`Stretched by ${count(share)} % ${name}; ${knit ? 'a knit' : 'this cloth'} stands ${percent(allowed)}. It springs back and puckers: loosen it and hoop it again.`,
        { field: 'readings' },
      ),
    );
  }
  return found;
}

/** How far a corner of the design comes, at most, from where other keys would bring it, mm: turn, move, and what is left out. */
function farthestOff(facts: DesignFacts, keys: Keys, wanted: Keys): number {
  const there = hullAsKeyed(facts, wanted);
  return Math.max(0, ...hullAsKeyed(facts, keys).map((p, i) => distance(p, there[i] ?? p)));
}

/**
 * What marks found on the hoop's grid tell: how the piece lies, the keys that bring the design onto it in this
 * machine's steps, what error that leaves, and whether it still fits; or how to hoop it again.
 */
export function planCrooked(q: CrookedQuestion): CrookedPlan | null {
  if (q.readings.length === 0) return null;
  const lie = solveCrooked(
    q.readings.map((r) => ({ piece: chalkedAt(q, r), hoop: { x: r.x, y: r.y } })),
    -q.hoopOnPieceDeg,
  );
  if (!lie.ok) return failed(lie);
  const wanted = lie.turnDeg + q.designTurnDeg;
  const keyed = keyedTurn(wanted, q);
  const centre = add(rotate(q.designCentre, lie.turnDeg), lie.shift);
  const pose = { turnDeg: keyed, ...centre };
  const { keys, miss } = keysShown(q.facts, q.field, centre, {
    turnDeg: fullTurnDeg(keyed),
    mirror: q.mirror,
  });
  const leftOverMm = farthestOff(
    q.facts,
    keys,
    keysTo(q.facts, centre, { turnDeg: wanted, mirror: q.mirror }),
  );
  const crookedDeg = shortTurnDeg(lie.turnDeg + q.hoopOnPieceDeg);
  return {
    lie,
    crookedDeg,
    keys,
    leftOverMm,
    miss,
    again:
      miss || leftOverMm > numberFor(q.rules, MOUNT_NUMBERS.crookedNoticeableMm) ? againFor(q, lie) : null,
    room: miss ? null : crookedRoom(q.facts.hull, q.field, pose),
    findings: [
      ...angleFindings(q, lie, leftOverMm),
      ...(miss
        ? [
            finding(
              'mount',
              'mount-crooked-misses',
              'stop',
              phrase`Turned and moved like this it reaches ${mm(Math.max(miss.widthMm, miss.heightMm))} past the field. ${againInWords(againFor(q, lie).advice)}`,
              { field: 'readings', mends: crookedRescues(q, { lie, pose }) },
            ),
          ]
        : []),
      ...trustFindings(q, lie),
    ],
    reasons: [
      because(
        'crooked',
        phrase`The turn and move that bring the marks as chalked nearest to where they are found.`,
        [
          phrase`the piece lies ${deg(Math.abs(crookedDeg))} ${crookedDeg >= 0 ? 'clockwise' : 'counter-clockwise'} of how it should`,
          phrase`the design must turn ${deg(shortTurnDeg(wanted))}; in steps of ${deg(q.turnStepDeg)} that is ${deg(shortTurnDeg(keyed))}`,
          phrase`keyed in those steps and to a tenth of a millimetre, no corner lies more than ${mm(leftOverMm)} off`,
          phrase`the readings agree within ${mm(lie.residualMm)}`,
        ],
      ),
    ],
  };
}
