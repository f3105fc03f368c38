import { mm, phrase } from '../../../base/units/phrase';
import { type Finding, finding } from '../../../model/finding';
import type { DesignInput } from '../../../model/ticket/design';
import type { Part } from '../../../model/ticket/part';
import { partsOnTable } from '../names/onTable';
import { withPart } from '../parts/acts';
import { nameOfPart } from '../parts/drawnPart';
import { appliqueAt } from './appliqued';

/** So much cloth must be seen inside the edges of a stroke, mm. */
const SEEN_MM = 1.5;

const clothName = (name: string): string => name.trim() || 'cloth';

/** What is of cloth in a colour that the drawing has no more. */
function goneFindings(part: Part, { parts }: DesignInput): Finding[] {
  const paths = part.artwork?.paths ?? [];
  const isThere = (one: Part['appliques'][number]): boolean =>
    paths.some((path, i) => appliqueAt(part, path, i) === one);
  const gone = part.appliques.filter((one) => !isThere(one));
  const [first] = gone;
  if (!first) return [];
  const appliques = part.appliques.filter(isThere);
  return [
    finding(
      'design',
      'design-applique-gone',
      'warn',
      phrase`The ${clothName(first.cloth.name)} of “${nameOfPart(part)}” was of a colour that is no more in it.`,
      {
        mends: [
          {
            label: phrase`Thread alone`,
            result: phrase`nothing is laid there`,
            change: { stage: 'design', set: { parts: withPart(parts, part.id, { appliques }) } },
          },
        ],
      },
    ),
  ];
}

/** Letters whose strokes are hidden by their own satin: none of the cloth is seen. */
function hiddenLetters(part: Part, scale: number, { parts }: DesignInput): Finding[] {
  const letters = part.letters ? (part.artwork?.letters ?? []) : [];
  const [applique] = part.appliques;
  if (applique?.edge !== 'satin' || applique.way === 'rawEdge' || letters.length === 0) return [];
  const thinnest = Math.min(...letters.map(({ strokeMm }) => (strokeMm * part.scalePercent) / 100)) * scale;
  const edgeMm = applique.edgeMm * scale;
  if (thinnest - edgeMm >= SEEN_MM) return [];
  const narrower = Math.floor(((thinnest - SEEN_MM) / scale) * 2) / 2;
  const fits = narrower >= 1.5;
  return [
    finding(
      'design',
      'design-applique-hidden',
      'warn',
      phrase`Strokes of “${nameOfPart(part)}” are ${mm(thinnest)} wide and the edge is ${mm(edgeMm)}: hardly any cloth is seen.`,
      {
        mends: fits
          ? [
              {
                label: phrase`An edge of ${mm(narrower)}`,
                result: phrase`${mm(thinnest - narrower * scale)} of cloth between its edges`,
                change: {
                  stage: 'design',
                  set: {
                    parts: withPart(parts, part.id, {
                      appliques: [{ ...applique, edgeMm: narrower }, ...part.appliques.slice(1)],
                    }),
                  },
                },
              },
            ]
          : [],
      },
    ),
  ];
}

/** What of a design's cloth is not there any more, or would not be seen. */
export const judgeApplique = (input: DesignInput): Finding[] =>
  partsOnTable(input).flatMap((part) => [
    ...goneFindings(part, input),
    ...hiddenLetters(part, input.scalePercent / 100, input),
  ]);
