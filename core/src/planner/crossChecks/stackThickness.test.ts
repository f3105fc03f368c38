import { say } from '../../base/units/phrase';
import { applyMend } from '../../model/finding';
import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import type { Shelf } from '../../model/shelf';
import { applyChange, type Ticket } from '../../model/ticket';
import { exampleA, hoop, SAMPLE_SHELF, sheet } from '../../testing/samples';
import { planTicket } from '../plan';

const MM = { system: 'mm' } as const;
/** A jersey of 0.6 mm with so many hooped cut-aways of 0.4 mm, in a hoop that closes on so much. */
function stacked(sheets: number, closesOnMm: number): { ticket: Ticket; shelf: Shelf } {
  const support = {
    sheets: Array.from({ length: sheets }, () => sheet('cut-away')),
    why: 'a trial',
  };
  const own = applyChange(exampleA(), { stage: 'layers', set: { support } });
  const cloth = applyChange(own, { stage: 'piece', set: { fabricChanges: { thicknessMm: 0.6 } } });
  return {
    ticket: applyChange(cloth, { stage: 'hoop', set: { method: 'hooped', hoopId: 'hoop-100x100' } }),
    shelf: { ...SAMPLE_SHELF, hoops: [hoop('hoop-100x100', [100, 100], [132, 140], { closesOnMm })] },
  };
}
const found = ({ ticket, shelf }: ReturnType<typeof stacked>) =>
  planTicket(ticket, shelf, DEFAULT_HOUSE_RULES).findings.find((f) => f.code === 'hoop-stack-thick');

describe('a stack in the ring', () => {
  it.each([
    [1, 1.0, false],
    [1, 0.99, true],
    [2, 1.4, false],
    [3, 1.4, true],
  ])(
    'of a cloth of 0.6 mm and %i sheets of 0.4 mm, in a hoop that closes on %f mm: too thick %s',
    (sheets, closes, thick) => {
      expect(found(stacked(sheets, closes)) !== undefined).toBe(thick);
    },
  );

  it('is said with its figures, and slid under or floated', () => {
    const asked = stacked(3, 1.1);
    const finding = found(asked);
    expect(say(finding?.text ?? [], MM)).toBe(
      'Cloth and 3 sheets are 1.8 mm thick; 100 × 100 screw hoop closes on 1.1 mm.',
    );
    expect(finding?.mends.map((m) => say(m.label, MM))).toEqual([
      'Slide 2 sheets under the hoop',
      'Float it',
    ]);
    for (const mend of finding?.mends ?? [])
      expect(found({ ...asked, ticket: applyMend(asked.ticket, mend) })).toBeUndefined();
    const [slid] = finding?.mends ?? [];
    const sheets = slid && applyMend(asked.ticket, slid).layers.support?.sheets.map((s) => s.where);
    expect(sheets).toEqual(['in the ring', 'under the ring', 'under the ring']);
  });

  it('says nothing where the cloth alone is too thick: the hoop says that', () => {
    const asked = stacked(1, 0.5);
    expect(found(asked)).toBeUndefined();
    const codes = planTicket(asked.ticket, asked.shelf, DEFAULT_HOUSE_RULES).findings.map((f) => f.code);
    expect(codes).toContain('hoop-cannot-close');
  });
});
