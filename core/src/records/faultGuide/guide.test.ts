import { say } from '../../base/units/phrase';
import { FAULT_IDS, FAULTS } from '../../model/faults';
import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import { PIECE_KIND_IDS } from '../../model/pieceKindIds';
import { applyChange } from '../../model/ticket';
import { EMPTY_LOG, LogInputSchema } from '../../model/ticket/log';
import { planTicket } from '../../planner/plan';
import { PIECE_KINDS } from '../../stages/piece/kinds';
import { exampleA, measuredTicket, SAMPLE_SHELF } from '../../testing/samples';
import { CAUSES } from './causes';
import { type FaultFacts, faultFacts } from './facts';
import { causesOf, withCause } from './guide';

const MM = { system: 'mm' } as const;
const RULES = { ...DEFAULT_HOUSE_RULES, units: MM };
const factsOf = (ticket = exampleA()): FaultFacts => {
  const facts = faultFacts(planTicket(ticket, SAMPLE_SHELF, RULES), RULES);
  if (!facts) throw new Error('not planned');
  return facts;
};
const first = (fault: (typeof FAULT_IDS)[number], more: Partial<FaultFacts>) =>
  causesOf(fault, { ...factsOf(), ...more })[0];

it('every fault has causes, each with what to do now and next time', () => {
  expect(Object.keys(CAUSES).sort()).toEqual([...FAULT_IDS].sort());
  expect(FAULTS.map(({ id }) => id)).toEqual([...FAULT_IDS]);
  for (const fault of FAULT_IDS)
    for (const { text, now, next } of CAUSES[fault])
      for (const words of [text, now, next]) expect(say(words, MM)).toMatch(/^[A-Z].*\.$/);
});

it('what a ticket’s own figures speak for comes first, with those figures', () => {
  const stretched = first('puckering', { method: 'hooped', stretchPercent: 22, isBonded: false });
  expect(stretched?.id).toBe('stretched');
  expect(say(stretched?.because ?? [], MM)).toBe('jersey tee stretches 22 %, and was hooped without a bond.');

  const dense = first('puckering', {
    stretchPercent: 2,
    sheets: 2,
    staysIn: true,
    mostCover: 8.4,
    isBonded: true,
  });
  expect([dense?.id, say(dense?.because ?? [], MM)]).toEqual([
    'dense',
    '8.4 mm of thread lie on a mm² at the thickest place.',
  ]);

  const fine = first('needle-break', {
    stackMm: 3.4,
    needle: '75/11 embroidery',
    needleHours: 1,
    mostCover: 4,
  });
  expect([fine?.id, say(fine?.because ?? [], MM)]).toEqual([
    'too-fine',
    '3.4 mm of cloth and sheets, with 75/11 embroidery.',
  ]);
  expect(first('needle-break', { mostCover: 9 })?.id).toBe('thick-spot');
  expect(first('off-place', { leftOverMm: 2.2, crookedDeg: 3, marks: 3 })?.id).toBe('left-over');
  expect(first('off-place', { leftOverMm: 0, crookedDeg: null, marks: 3 })?.id).toBe('not-read');
  expect(first('sinking', { hasTopper: false, pileMm: 2.4 })?.id).toBe('no-topper');
  expect(first('sinking', { hasTopper: true, pileMm: 2.4 })?.id).toBe('pile');
  expect(first('bobbin-tension', { bobbinLeftM: 3, bobbinNeededM: 10 })?.id).toBe('ran-low');
});

it('where nothing on the ticket tells them apart the usual order stands, and no figure is made up', () => {
  const causes = causesOf('nests', { ...factsOf(), needleHours: 0 });
  expect(causes.map(({ id }) => id)).toEqual(['old-needle', 'tail', 'backwards']);
  expect(causes.every(({ because }) => because === null)).toBe(true);
});

it('a cause goes into the log once, and never past what the log holds', () => {
  const [cause] = causesOf('sinking', factsOf());
  if (!cause) throw new Error('no cause');
  const with1 = withCause({ faults: { sinking: 2 }, nextTime: 'Slower.' }, 'sinking', { cause, units: MM });
  expect(with1).toEqual({ faults: { sinking: 2 }, nextTime: `Slower. ${say(cause.next, MM)}` });
  expect(withCause(with1, 'sinking', { cause, units: MM })).toEqual(with1);
  const full = withCause({ faults: {}, nextTime: 'x'.repeat(995) }, 'sinking', { cause, units: MM });
  expect(LogInputSchema.safeParse({ ...EMPTY_LOG, ...full }).success).toBe(true);
  expect(full.faults.sinking).toBe(1);
});

it('speaks of every kind of piece at every place', () => {
  for (const kind of PIECE_KIND_IDS)
    for (const { id } of PIECE_KINDS[kind].placements) {
      const ticket = applyChange(measuredTicket(kind, id, [40, 30]), { stage: 'stitch', set: {} });
      const facts = faultFacts(planTicket(ticket, SAMPLE_SHELF, RULES), RULES);
      if (!facts) continue;
      for (const fault of FAULT_IDS) {
        const causes = causesOf(fault, facts);
        expect(causes.length).toBe(CAUSES[fault].length);
        for (const { because, likely } of causes)
          if (because)
            expect([likely > 0, say(because, MM)]).toEqual([
              true,
              expect.not.stringMatching(/NaN|undefined/),
            ]);
      }
    }
});
