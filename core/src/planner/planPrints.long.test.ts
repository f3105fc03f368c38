import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { TicketSchema } from '../model/ticket';
import { casesOf } from '../testing/cases';
import { PRINTED, type Printed, planPrint, printOf } from '../testing/planPrint';
import kept from '../testing/planPrints.json';
import { variedJob } from '../testing/variedTickets';

/** So many jobs, kept in blocks so that the file stays short; all of them where they are printed. */
const JOBS = process.env.PRINT ? 2000 : casesOf(2000, 150);
const BLOCK = 50;

type Prints = Record<Printed, string[]>;

/** The prints of every block, stage by stage. */
function printsNow(): Prints {
  const jobs = Array.from({ length: JOBS }, (_, n) => planPrint(n));
  const blocks = Array.from({ length: JOBS / BLOCK }, (_, b) => jobs.slice(b * BLOCK, (b + 1) * BLOCK));
  const ofPart = (part: Printed) => blocks.map((block) => printOf(block.map((print) => print[part])));
  return Object.fromEntries(PRINTED.map((part) => [part, ofPart(part)])) as Prints;
}

describe(`the plans of ${JOBS} varied jobs`, () => {
  it('are of tickets that the schema takes', () => {
    for (let n = 0; n < JOBS; n += 9) {
      const { ticket } = variedJob(n);
      expect(TicketSchema.parse(ticket)).toEqual(ticket);
    }
  });

  /** A change that is meant is printed anew: `PRINT=1 npx jest planPrints --selectProjects core`, and told in its commit. */
  it('are what they were', () => {
    const now = printsNow();
    if (process.env.PRINT) {
      writeFileSync(join(__dirname, '../testing/planPrints.json'), `${JSON.stringify(now, null, 2)}\n`);
    }
    const changed = PRINTED.flatMap((part) =>
      now[part].flatMap((print, b) =>
        print === (kept as Prints)[part][b] ? [] : [`${part} of jobs ${b * BLOCK} to ${(b + 1) * BLOCK - 1}`],
      ),
    );
    expect(process.env.PRINT ? [] : changed).toEqual([]);
  });
});
