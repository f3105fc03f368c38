import { count, mm, type Phrase, phrase } from '../../base/units/phrase';
import type { DeedOf, MachineDeed } from '../../model/deed';
import { TOPS } from '../hoop/rankTurns';
import type { LayersPlan } from '../layers/planLayers';
import { isA, type PieceKind } from '../piece/geometry';
import type { MountQuestion } from './mountQuestion';

export interface Check {
  id: string;
  text: Phrase;
  caution: Phrase | null;
  deed: MachineDeed | DeedOf<'fasten'>;
}

/** What of a piece can lie under the hoop unseen. */
const beneathWords = (kind: PieceKind): string => {
  if (kind.form === 'flat') return 'corner folded';
  return isA(kind, 'sleeves') ? 'back, no sleeve' : 'second layer';
};

const HELD_ON_TOP: Record<NonNullable<LayersPlan['topperHeldBy']>, string> = {
  'basting box': 'the basting box holds it',
  pins: 'pin its edges outside the field, heads outwards',
  tape: 'tape its edges outside the field',
};

/** How the topper is laid, and what holds it. */
export const topperWords = (name: string, { topperHeldBy }: Pick<LayersPlan, 'topperHeldBy'>): Phrase =>
  phrase`${name} on top: ${HELD_ON_TOP[topperHeldBy ?? 'pins']}.`;

/** In the order of the hands: power is off for the needle, and what is entered later would be lost with it. */
export function checklistOf(q: MountQuestion, bastingMm: number | null): Check[] {
  const check = (id: string, deed: Check['deed'], text: Phrase, caution: Phrase | null = null): Check => ({
    id,
    text,
    caution,
    deed,
  });
  const topper = q.layers.parts.topper.choice;
  // As the hoop lies there may be no room for the basting box that was planned.
  const isTaped = bastingMm === null && q.layers.bastingMm !== null;
  const heldBy =
    isTaped && q.layers.topperHeldBy === 'basting box' ? 'tape' : (q.layers.topperHeldBy ?? 'pins');
  const { split } = q.hoop.laid;
  const place = split?.split.byPositions ? split.index + 1 : null;
  return [
    check(
      'threads',
      { do: 'lay out threads' },
      phrase`${q.facts.stops.map((s, i) => `${i + 1} ${q.threads[i] ?? s.name}`).join(', ')}: laid out in order.`,
    ),
    check(
      'needle-fitted',
      { do: 'fit needle' },
      phrase`${q.layers.parts.needle.choice.name} needle in.`,
      phrase`Power off or locked before you change it; the machine's manual says how.`,
    ),
    check('bobbin', { do: 'fill bobbin' }, phrase`Bobbin enough for the whole run.`),
    check('carriage', { do: 'free the carriage' }, phrase`Carriage free before you mount the hoop.`),
    check(
      'beneath',
      { do: 'reach under' },
      phrase`Reach under the hoop all round: no ${beneathWords(q.kind)} beneath.`,
    ),
    check(
      'latched',
      { do: 'latch', place },
      place === null
        ? phrase`${q.hoop.laid.verdict.hoop.name} latched on the carriage.`
        : phrase`${q.hoop.laid.verdict.hoop.name} latched on the carriage in place ${count(place)}.`,
    ),
    check(
      'needle',
      { do: 'needle over mark' },
      phrase`Needle over the centre mark.`,
      phrase`Hands away from a moving hoop.`,
    ),
    check(
      'direction',
      { do: 'see the top' },
      phrase`The top of the piece points ${TOPS[q.hoop.laid.turnDeg]}.`,
    ),
    check('pins', { do: 'clear the field' }, phrase`Pins, sticker and tape out of the field.`),
    // Over cloth that is still to be laid and trimmed it comes later (`topperAfter`).
    ...(topper.id === 'none' || q.facts.cloths.length > 0
      ? []
      : [
          check(
            'topper',
            { do: 'lay topper', by: heldBy },
            topperWords(topper.name, { topperHeldBy: heldBy }),
          ),
        ]),
    check(
      'trace',
      { do: 'trace' },
      phrase`Trace run: the foot clears ring, clips and magnets.`,
      phrase`A needle on the ring can shatter: wear glasses, keep your face back.`,
    ),
    ...(isTaped
      ? [
          check(
            'tape',
            { do: 'fasten', by: 'tape' },
            phrase`No room for a basting box: tape the piece at the ring's edge, outside the field.`,
          ),
        ]
      : []),
    ...(bastingMm === null
      ? []
      : [
          check(
            'baste',
            { do: 'baste', mm: bastingMm },
            phrase`Basting box ${mm(bastingMm)} outside the design, stitched first.`,
          ),
        ]),
  ];
}
