import { say } from '../../base/units/phrase';
import { CHOICES } from '../../catalogue/materials';
import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import { applyChange } from '../../model/ticket';
import type { NeedleId } from '../../model/ticket/layers';
import { planTicket } from '../../planner/plan';
import { exampleA, SAMPLE_SHELF } from '../../testing/samples';
import { type ComparedPart, costsInPlaceOf, nearestChoice } from './inPlaceOf';

const MM = { system: 'mm' } as const;
const PARTS: readonly ComparedPart[] = ['needle', 'thread', 'bobbin'];
const texts = (part: ComparedPart, wanted: string, chosen: string) =>
  costsInPlaceOf(part, wanted, chosen).map((c) => c.text);

describe('one choice in place of another', () => {
  const PAIRS = PARTS.flatMap((part) => {
    const ids = Object.keys(CHOICES[part]);
    return ids.flatMap((wanted) => ids.map((chosen) => ({ part, wanted, chosen })));
  });

  it('costs nothing exactly where it is the right one', () => {
    for (const { part, wanted, chosen } of PAIRS)
      expect([part, wanted, chosen, costsInPlaceOf(part, wanted, chosen).length > 0]).toEqual([
        part,
        wanted,
        chosen,
        wanted !== chosen,
      ]);
  });

  it('is told by point, size and eye of a needle, and by weight and fibre of a thread', () => {
    expect(texts('needle', '75-ballpoint', '90')).toEqual([
      'it may catch a loop of the knit: try it on a scrap',
      'its holes are larger: small letters close up',
    ]);
    expect(texts('needle', '90-large-eye', '75-embroidery')).toEqual([
      'it bends or breaks sooner: run it slower',
      'the thread frays: run it slower',
    ]);
    expect(texts('thread', 'polyester-60', 'rayon-40')).toEqual([
      'small letters close up: make them 6 mm or taller',
      'it fades and wears sooner in the wash',
    ]);
  });

  it('is offered only where it is there and does no grave harm, the least first', () => {
    const all = () => true;
    expect(nearestChoice('needle', '75-ballpoint', all)?.id).toBe('75-embroidery');
    expect(nearestChoice('needle', '75-ballpoint', (id) => id === '75-sharp')).toBeNull();
    expect(nearestChoice('needle', 'wing', all)).toBeNull();
    expect(nearestChoice('needle', '90', (id) => id !== '90-large-eye')?.id).toBe('75-embroidery');
    expect(nearestChoice('bobbin', 'bobbin-60', all)?.id).toBe('bobbin-90');
    expect(nearestChoice('thread', 'metallic-40', () => false)).toBeNull();
  });
});

describe('a needle of the maker’s own choice', () => {
  const findings = (choice: NeedleId) =>
    planTicket(
      applyChange(exampleA(), {
        stage: 'layers',
        set: { choices: { needle: { choice, why: 'to hand' } } },
      }),
      SAMPLE_SHELF,
      DEFAULT_HOUSE_RULES,
    )
      .findings.filter((f) => f.code === 'layers-in-place-of')
      .map((f) => [f.severity, say(f.text, MM)]);

  it('is told what it risks, as a warning where it is grave', () => {
    expect(findings('75-embroidery')).toEqual([
      [
        'note',
        '75/11 embroidery in place of 75/11 ballpoint: it may catch a loop of the knit: try it on a scrap.',
      ],
    ]);
    expect(findings('wing')[0]?.[0]).toBe('warn');
    expect(findings('75-ballpoint')).toEqual([]);
  });
});
