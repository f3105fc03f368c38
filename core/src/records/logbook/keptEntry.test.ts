import { say } from '../../base/units/phrase';
import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import { LogEntrySchema, summaryOf } from '../../model/logEntry';
import { withTodaysFields } from '../../planner/newTicket';
import { planTicket } from '../../planner/plan';
import keptAsItWas from '../../testing/entryOfPlanner4.json';
import { SAMPLE_SHELF } from '../../testing/samples';
import { doAgain } from '../again/doAgain';
import { figuresOf, keptPlace, resultFigures } from '../again/figures';
import { recordsOf } from '../evidence/pieceRecord';
import { entryFactsOf } from '../find/entryFacts';
import { drawnFrom, frozenPlan } from './frozenPlan';

/** An entry as planner 4 wrote it: it is never made anew, whatever the program becomes. */
const read = LogEntrySchema.parse(keptAsItWas);
const entry = { ...read, ticket: withTodaysFields(read.ticket) };

describe('an entry written by planner 4', () => {
  it('is read with all that it held', () => {
    // What came since is at its usual value.
    expect(JSON.parse(JSON.stringify(read))).toMatchObject(keptAsItWas);
    expect(drawnFrom(entry.plan)).not.toBeNull();
    expect(summaryOf(entry)).toMatchObject({
      fabricId: 'jersey-tee',
      method: 'hooped',
      outcome: 'plain',
      pieces: 3,
      clean: 0,
      swatch: false,
    });
  });

  it('tells its figures as they were', () => {
    const said = (figures: ReturnType<typeof figuresOf>) =>
      Object.fromEntries(figures.map((figure) => [figure.id, say(figure.said, { system: 'mm' })]));
    expect(said(figuresOf(entry))).toMatchObject({
      kind: 'T-shirt',
      cloth: 'Jersey tee',
      method: 'hooped',
      hoop: '100 × 100 screw hoop',
      stack: 'Cut-away, medium, sprayed',
    });
    expect(said(resultFigures(entry))).toMatchObject({
      outcome: 'puckering slight',
      off: '2.2 mm',
      'minutes stitch': '14',
      who: 'Runa',
    });
  });

  it('is found and learned from: two pieces as the report says, one otherwise', () => {
    expect(entryFactsOf(entry)).toMatchObject({ who: 'Runa', stack: 'cut-away sprayed', kind: 't-shirt' });
    expect(recordsOf(entry).map(({ pieces, faults }) => [pieces, faults])).toEqual([
      [2, { puckering: 1 }],
      [1, { gaps: 2 }],
    ]);
  });

  it('is made again where it lay, whatever rules and shelf are by now', () => {
    const shop = {
      shelf: SAMPLE_SHELF,
      rules: { ...DEFAULT_HOUSE_RULES, schools: { wearableBacking: 'washAway' as const } },
    };
    const { ticket } = doAgain(entry, { id: 'ticket-again', wanted: { as: 'same' } }, shop);
    const plan = frozenPlan(planTicket(ticket, shop.shelf, shop.rules));
    const [then, now] = [keptPlace(entry.plan)?.centre, keptPlace(plan)?.centre];
    expect(Math.hypot((then?.x ?? 0) - (now?.x ?? 99), (then?.y ?? 0) - (now?.y ?? 99))).toBeLessThan(0.1);
    expect(plan.layers?.sheets.map(({ stabilizer }) => stabilizer)).toEqual(['cut-away']);
  });
});
