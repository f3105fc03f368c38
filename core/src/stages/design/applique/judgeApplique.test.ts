import { say } from '../../../base/units/phrase';
import { applyMend } from '../../../model/finding';
import { DEFAULT_HOUSE_RULES } from '../../../model/houseRules';
import type { Ticket } from '../../../model/ticket';
import { USUAL_APPLIQUE } from '../../../model/ticket/applique';
import { USUAL_LETTERING } from '../../../model/ticket/lettering';
import { EMPTY_PART } from '../../../model/ticket/part';
import { planTicket } from '../../../planner/plan';
import { plainSetting } from '../../../testing/named';
import { exampleA, SAMPLE_SHELF } from '../../../testing/samples';
import { setLetters } from '../lettering/setLetters';

async function wordOf(capMm: number, scalePercent: number): Promise<Ticket> {
  const letters = { ...USUAL_LETTERING, text: 'Mia', capMm };
  const set = setLetters(letters, await plainSetting());
  if (!set.ok) throw new Error('cannot be set');
  const { widthMm, heightMm, stitches, artwork } = set;
  const part = {
    ...EMPTY_PART,
    letters,
    widthMm,
    heightMm,
    stitches,
    artwork,
    appliques: [{ ...USUAL_APPLIQUE, stop: 0 }],
  };
  return { ...exampleA(), design: { ...exampleA().design, parts: [part], order: null, scalePercent } };
}

const found = (ticket: Ticket) => {
  const { findings } = planTicket(ticket, SAMPLE_SHELF, DEFAULT_HOUSE_RULES);
  expect(findings.filter(({ code }) => /^design-letters/.test(code))).toEqual([]);
  return findings.find(({ code }) => code === 'design-applique-hidden');
};

it('letters whose cloth its edges would hide are told, with a narrower edge that shows it', async () => {
  expect(found(await wordOf(60, 100))).toBeUndefined();
  for (const [capMm, scale] of [
    [28, 100],
    [34, 85],
  ] as const) {
    const ticket = await wordOf(capMm, scale);
    const finding = found(ticket);
    expect(say(finding?.text ?? [], { system: 'mm' })).toMatch(
      /^Strokes of “Mia” are .* hardly any cloth is seen\.$/,
    );
    const [mend] = finding?.mends ?? [];
    expect(mend).toBeDefined();
    expect(mend && found(applyMend(ticket, mend))).toBeUndefined();
  }
  // So small that no edge would leave any: nothing is offered.
  expect(found(await wordOf(12, 100))?.mends).toEqual([]);
});
