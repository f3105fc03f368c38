import { say } from '../../base/units/phrase';
import { FABRICS } from '../../catalogue/fabrics';
import { schoolsOf } from '../../catalogue/schools';
import { DEFAULT_HOUSE_RULES, type HouseRules } from '../../model/houseRules';
import { PIECE_KIND_IDS } from '../../model/pieceKindIds';
import { QUESTION_IDS, type QuestionId } from '../../model/schoolIds';
import { applyChange, type Ticket } from '../../model/ticket';
import { planTicket } from '../../planner/plan';
import { jobSteps } from '../../table/deck/jobSteps';
import { someOf } from '../../testing/cases';
import { designed } from '../../testing/designed';
import { report } from '../../testing/report';
import { measuredTicket, SAMPLE_SHELF } from '../../testing/samples';
import { PIECE_KINDS } from '../piece/kinds';

const MM = { system: 'mm' } as const;

/** Tickets over every kind of piece and every cloth, light and heavy, as proposed and floated. */
function tickets(): Ticket[] {
  const kinds = PIECE_KIND_IDS.map((kind) =>
    measuredTicket(kind, PIECE_KINDS[kind].placements[0].id, [50, 40]),
  );
  const tee = measuredTicket('t-shirt', 'centre-chest', [60, 60]);
  const panel = measuredTicket('panel', PIECE_KINDS.panel.placements[0].id, [60, 60]);
  const cloths = FABRICS.flatMap(({ id }) =>
    [tee, panel].map((on) => applyChange(on, { stage: 'piece', set: { fabricId: id } })),
  );
  const uneven = applyChange(tee, {
    stage: 'piece',
    set: {
      evenness: [
        { atMm: 100, leftMm: 250, rightMm: 262 },
        { atMm: 400, leftMm: 248, rightMm: 266 },
      ],
      grain: { overMm: 300, driftMm: 9 },
    },
  });
  const asked = [
    { densityClass: 'light', method: null },
    { densityClass: 'heavy', method: 'floated' },
  ] as const;
  return [...someOf([...kinds, ...cloths], 2), uneven].map((ticket, i) => {
    const { densityClass, method } = asked[i % 2] ?? asked[0];
    const drawn = designed(ticket, { densityClass });
    return applyChange(drawn, { stage: 'hoop', set: { method } });
  });
}

const withSchool = (question: string, school: string): HouseRules => ({
  ...DEFAULT_HOUSE_RULES,
  schools: { [question]: school },
});

/** What a person would do differently, and what is said of it. */
interface Read {
  done: string;
  said: string;
  bonded: boolean;
}

function read(ticket: Ticket, rules: HouseRules): Read {
  const plan = planTicket(ticket, SAMPLE_SHELF, rules);
  const steps = jobSteps(plan, rules).map((step) => `${say(step.text, MM)} ${say(step.hint ?? [], MM)}`);
  const reasons = plan.reasons.map((reason) => say(reason.text, MM));
  return {
    done: JSON.stringify([
      plan.place?.centre,
      plan.hoop?.method,
      plan.hoop?.laid?.verdict.hoop.id,
      plan.layers?.sheets,
      steps,
      plan.stitch?.acts.map((act) => say(act, MM)),
    ]),
    said: [...reasons, ...steps].join('\n'),
    bonded: plan.layers?.sheets.some((s) => s.bond !== 'none') ?? false,
  };
}

const ALL = tickets();
const before = ALL.map((ticket) => read(ticket, DEFAULT_HOUSE_RULES));

/** Words that a plan may only say in a shop that holds the school. */
const CLAIMS: Partial<Record<`${QuestionId} ${string}`, RegExp>> = {
  'wearableBacking washAway': /This shop (backs|floats) what is worn .*wash-away/,
  'wearableBacking meshTear': /This shop backs what is worn with mesh/,
  'topper always': /This shop lays a film on everything/,
  'trim close': /This shop trims close/,
  'trim tearAll': /This shop tears out everything/,
  'knitTension snug': /Snug it after closing/,
  'method float': /as this shop does by default/,
  'method floatLight': /this shop floats light designs/,
};
const OTHERS = QUESTION_IDS.flatMap((question) =>
  schoolsOf(question)
    .slice(1)
    .map(([school]) => [question, school] as const),
);
/** A cloth is said to be bonded to its support only where a sheet is. */
const liesOfBonding = ({ said, bonded }: Read): boolean => /bonded to its support/.test(said) && !bonded;

describe(`every school changes some of ${ALL.length} plans, and its words stand in no other shop`, () => {
  it.each(OTHERS)('%s: %s', (question, school) => {
    const after = ALL.map((ticket) => read(ticket, withSchool(question, school)));
    const changed = after.filter(({ done }, i) => done !== before[i]?.done).length;
    report(`${question} = ${school}: ${changed} of ${ALL.length} plans change`);
    expect(changed).toBeGreaterThan(0);
    expect(after.filter(liesOfBonding)).toEqual([]);
    const claim = CLAIMS[`${question} ${school}`];
    if (!claim) return;
    expect(before.filter(({ said }) => claim.test(said))).toEqual([]);
    expect(after.some(({ said }) => claim.test(said))).toBe(true);
  });

  it('in a shop of our defaults a knit in the ring is bonded, and said to be', () => {
    expect(before.filter(liesOfBonding)).toEqual([]);
    expect(before.filter(({ said }) => /bonded to its support/.test(said)).length).toBeGreaterThan(5);
  });
});
