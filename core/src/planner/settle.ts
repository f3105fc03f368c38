import { amountOf, count, deg, mm, type Phrase, phrase } from '../base/units/phrase';
import { sheetsInWords } from '../catalogue/materials';
import { type Finding, finding } from '../model/finding';
import { STAGES, type Stage } from '../model/stages';
import type { Ticket } from '../model/ticket';
import { CHOICE_PARTS } from '../model/ticket/layers';
import { sidesInWords } from '../stages/hoop/sides';
import type { Results } from './planned';

type Answer = (plan: Results) => Phrase[];

const placed: Answer = ({ place, design }) =>
  place && design.facts
    ? [
        phrase`centre ${mm(place.depthMm)} from ${place.depthName}`,
        phrase`centre ${mm(Math.abs(place.acrossMm))} ${place.acrossMm < 0 ? 'left' : 'right'} of the line`,
        phrase`axis ends ${mm(design.facts.widthMm)} apart`,
        phrase`turned ${deg(place.turnDeg)}`,
        ...place.copies.slice(1).map((copy, i) => phrase`no. ${count(i + 2)}: ${copy.reading}`),
      ]
    : [];

/** What each stage answers, in a few phrases: what a maker goes by once the stage is settled. */
const ANSWERS: Record<Stage, Answer> = {
  piece: () => [],
  design: ({ design: { facts } }) =>
    facts
      ? [phrase`${mm(facts.widthMm)} × ${mm(facts.heightMm)}`, phrase`${count(facts.stops.length)} colours`]
      : [],
  place: placed,
  hoop: ({ hoop }) =>
    hoop?.laid
      ? [
          phrase`${hoop.laid.verdict.hoop.name}, ${hoop.method}`,
          phrase`hoop turned ${deg(hoop.laid.turnDeg)}`,
        ]
      : [],
  layers: ({ layers }) =>
    layers
      ? [
          phrase`${sheetsInWords(layers.sheets)}`,
          ...CHOICE_PARTS.map((part) => phrase`${layers.parts[part].choice.name}`),
        ]
      : [],
  mount: ({ mount }) =>
    mount
      ? [
          phrase`top ${mount.chosen.topPoints}`,
          phrase`turn ${deg(mount.keys.turnDeg)}${mount.keys.mirror ? ', mirrored' : ''}`,
          phrase`move ${sidesInWords(mount.keys.move, 'nothing')}`,
        ]
      : [],
  stitch: ({ stitch }) => (stitch?.stops ?? []).map((stop) => phrase`${stop.called}`),
  finish: ({ finish }) => (finish?.steps ?? []).map((step) => step.text),
  log: () => [],
};

/** What a stage answers as it stands: kept with the ticket when it is settled. */
export const answerOf = (stage: Stage, plan: Results): Phrase[] => ANSWERS[stage](plan);

/** A figure that moved by less is the same chalk, mm or degrees. */
const SAME = 0.25;

function isSamePhrase(a: Phrase, b: Phrase): boolean {
  return (
    a.length === b.length &&
    a.every((part, i) => {
      const other = b[i];
      return typeof part === 'string' || typeof other === 'string' || other === undefined
        ? part === other
        : Math.abs(amountOf(part) - amountOf(other)) <= SAME;
    })
  );
}

const GONE: Phrase = ['nothing'];

/** What is told of a settled stage whose answer is another now: chalk that was made is a warning. */
function changedFinding(stage: Stage, was: Phrase, is: Phrase): Finding {
  const text =
    stage === 'place'
      ? phrase`The chalk no longer holds: ${was} was marked; ${is} it is now. Make the centre and both axis ends anew, then go on.`
      : phrase`Settled as “${was}”; it is “${is}” now. Look at it again, then go on.`;
  return finding(stage, `${stage}-changed`, 'warn', text);
}

/** The settled stages whose answer is no longer what it was, each with the first of what changed. */
export function changedSince(
  { settled, settledAs }: Pick<Ticket, 'settled' | 'settledAs'>,
  plan: Results,
): Finding[] {
  return STAGES.flatMap((stage) => {
    const before = settledAs[stage];
    if (!before || !settled.includes(stage)) return [];
    const now = answerOf(stage, plan);
    const at = Array.from({ length: Math.max(before.length, now.length) }, (_, i) => i).find(
      (i) => !isSamePhrase(before[i] ?? [], now[i] ?? []),
    );
    return at === undefined ? [] : [changedFinding(stage, before[at] ?? GONE, now[at] ?? GONE)];
  });
}
