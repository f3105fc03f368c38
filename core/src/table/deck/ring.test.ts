import { say } from '../../base/units/phrase';
import { DEFAULT_HOUSE_RULES, type HouseRules } from '../../model/houseRules';
import type { Hoop, Shelf } from '../../model/shelf';
import { applyChange, type Ticket } from '../../model/ticket';
import { METHODS, type Method } from '../../model/ticket/hoop';
import { planTicket } from '../../planner/plan';
import { HOOP_KINDS } from '../../stages/hoop/kinds';
import { exampleA, exampleB, hoop, measuredTicket, SAMPLE_SHELF, sheet } from '../../testing/samples';
import { deckOf } from './jobSteps';

const MM = { system: 'mm' } as const;
const RULES: HouseRules = { ...DEFAULT_HOUSE_RULES, units: MM };

function stepsOf(ticket: Ticket, shelf: Shelf = SAMPLE_SHELF) {
  const steps = deckOf('hoop', planTicket(ticket, shelf, RULES), RULES).filter((s) => s.phase === 'hoop');
  if (steps.length === 0) throw new Error('the example is not planned');
  return steps;
}
const idsOf = (ticket: Ticket, shelf?: Shelf) => stepsOf(ticket, shelf).map((s) => s.id);
const textOf = (ticket: Ticket, id: string, shelf?: Shelf) => {
  const step = stepsOf(ticket, shelf).find((s) => s.id === id);
  return step ? `${say(step.text, MM)} ${say(step.hint ?? [], MM)}` : null;
};
const only = (kind: string, rest: Partial<Hoop> = {}): Shelf => ({
  ...SAMPLE_SHELF,
  hoops: [hoop('hoop-one', [130, 130], [166, 166], { kind, ...rest })],
});
const by = (method: Method, ticket: Ticket = exampleA()) =>
  applyChange(ticket, { stage: 'hoop', set: { method, hoopId: 'hoop-one' } });

describe('the steps at the ring', () => {
  it('goes from the ring to the tension test when a T-shirt is hooped in a screw hoop', () => {
    expect(idsOf(by('hooped'), only('screw'))).toEqual([
      'orientation',
      'bracket',
      'loosen',
      'inside',
      'notches',
      'close',
      'flush',
      'tension',
      'stretch',
      'roll',
    ]);
  });

  it('closes on the sheet first, then turns the body inside out, when it floats', () => {
    const ids = idsOf(by('floated'), only('screw'));
    expect(ids.indexOf('close on the sheet')).toBeLessThan(ids.indexOf('inside out'));
    expect(ids).not.toContain('stretch');
    expect(ids).toContain('smooth');
  });

  it.each<[string, RegExp]>([
    ['screw', /top edge first/],
    ['quick-release', /let the lever close last/],
    ['magnetic', /far side first.*near side last/],
    ['clamp frame', /far jaw.*near jaw/],
  ])('%s: closes its own way', (kind, words) => {
    expect(textOf(by('hooped'), 'close', only(kind))).toMatch(words);
  });

  it('only a screw hoop is pushed past flush, and a magnetic one minds the fingers', () => {
    for (const { id: kind } of HOOP_KINDS) {
      const steps = stepsOf(by('hooped'), only(kind));
      expect(steps.some((s) => s.id === 'flush')).toBe(kind === 'screw');
      const cautions = steps.map((s) => say(s.caution ?? [], MM)).join(' ');
      expect(cautions.includes('fingers out from between')).toBe(kind === 'magnetic');
    }
  });

  it('says with the ticket’s own figures how much stretch is too much', () => {
    expect(textOf(by('hooped'), 'stretch', only('screw'))).toMatch(
      /chalked 88 mm apart. More than 89.8 mm now, where 88 mm was chalked: it is stretched/,
    );
    const woven = applyChange(by('hooped'), { stage: 'piece', set: { fabricId: 'stable-cotton' } });
    expect(textOf(woven, 'stretch', only('screw'))).toMatch(/More than 88.9 mm now, where 88 mm was chalked/);
  });

  it('scores and peels a sticky sheet inside the ring, before the piece comes near', () => {
    const sticky = applyChange(by('floated'), {
      stage: 'layers',
      set: { support: { sheets: [sheet('tear-away-sticky', 'in the ring', 'sticky')], why: '' } },
    });
    const ids = idsOf(sticky, only('screw'));
    expect(ids.slice(ids.indexOf('score'), ids.indexOf('score') + 2)).toEqual(['score', 'peel']);
    expect(ids.indexOf('peel')).toBeLessThan(ids.indexOf('notches'));
    expect(idsOf(by('floated'), only('open frame'))).toContain('spray in the ring');
  });

  it('handles a toy and a bodysuit as they are', () => {
    const suit = measuredTicket('bodysuit', 'centre-chest', [40, 30]);
    expect(
      stepsOf(suit)
        .map((s) => say(s.text, MM))
        .join(' '),
    ).toContain('Open the snaps');
    const toy = measuredTicket('soft-toy', 'belly', [40, 30]);
    expect(
      stepsOf(toy)
        .map((s) => say(s.text, MM))
        .join(' '),
    ).toContain('Stuffing out');
  });

  it('names the seam to unpick, and the cloth to roll by what the throat does not take', () => {
    const opened = applyChange(by('hooped'), { stage: 'piece', set: { opened: ['side seam on your left'] } });
    expect(textOf(opened, 'seam side seam on your left', only('screw'))).toContain(
      'Unpick the side seam on your left',
    );
    const tight = { ...only('screw'), machines: SAMPLE_SHELF.machines.map((m) => ({ ...m, throatMm: 100 })) };
    expect(textOf(by('hooped'), 'roll', tight)).toMatch(
      /Roll up the last [\d.]+ mm towards the body.*the throat takes 100 mm/,
    );
  });

  it('has words for every kind and method', () => {
    for (const { id: kind } of HOOP_KINDS)
      for (const method of METHODS)
        for (const ticket of [by(method), by(method, exampleB())])
          for (const step of stepsOf(ticket, only(kind))) {
            expect(say(step.text, MM)).toMatch(/\w{3}.*[.:!]/);
            expect(say(step.text, MM)).not.toMatch(/undefined|NaN/);
          }
  });
});
