import { mm, type Phrase, phrase } from '../../base/units/phrase';
import { type HouseNumber, numberFor } from '../../catalogue/houseNumber';
import { DESIGN_NUMBERS } from '../../catalogue/numbers/design';
import { STITCH_NUMBERS } from '../../catalogue/numbers/stitch';
import type { HouseRules } from '../../model/houseRules';
import type { Applique, AppliqueStep } from '../../model/ticket/applique';
import type { PlannedStop } from '../design/parts/drawnPart';

/** What hands do with the cloth of an appliqué behind a stop: the machine stands still. */
export interface ClothWork {
  id: 'lay' | 'trim';
  minutes: number;
  what: Phrase;
  how: Phrase;
  caution: Phrase;
}

const STILL = phrase`The machine stands still before a hand goes into the hoop.`;
const IRON = phrase`Iron and steam burn: tip of a small iron, low heat, away from the hoop.`;
const SNIPS = phrase`Scissors away from you; the cloth stays in the hoop.`;

function layHow({ way, cloth }: Applique, rules: HouseRules): Phrase {
  if (way === 'trimmed')
    return phrase`Right side up, flat, at least ${mm(numberFor(rules, DESIGN_NUMBERS.cutInHoopMm))} past the line all round.`;
  if (way === 'turned')
    return phrase`Every piece right side up, its edges turned under, the fold on the line.`;
  return cloth.fused
    ? phrase`Peel the paper off the web. Lay every piece web down, even all round its line. Press it on a padded board: lift the iron, do not slide it.`
    : phrase`Every piece right side up, even all round its line; a touch of temporary spray adhesive holds it.`;
}

/** What is done with the cloth once a stop of its appliqué is stitched; null where hands do nothing. */
export function clothWork(applique: PlannedStop['applique'], rules: HouseRules): ClothWork | null {
  if (!applique) return null;
  const { step, of, shapes } = applique;
  const name = of.cloth.name.trim() || 'cloth';
  const minutesOf = (number: HouseNumber): number => numberFor(rules, number) / 60;
  if (step === 'placement')
    return {
      id: 'lay',
      minutes: minutesOf(STITCH_NUMBERS.layCloth),
      what: phrase`lay the ${name} on its line`,
      how: layHow(of, rules),
      caution: of.cloth.fused && of.way !== 'trimmed' ? IRON : STILL,
    };
  if (step !== 'tackDown' || of.way !== 'trimmed') return null;
  return {
    id: 'trim',
    minutes: minutesOf(STITCH_NUMBERS.trimCloth) * shapes,
    what: phrase`trim the ${name} close to its tack-down`,
    how: phrase`Between ${mm(1)} and ${mm(2)} outside the line; small curved scissors, the cloth lifted, nothing beneath caught.`,
    caution: SNIPS,
  };
}

interface Stop {
  applique: { step: AppliqueStep } | null;
  time: { cloth: ClothWork | null };
}

/**
 * After which stop the topper is laid, from 0: once the last cloth is tacked down and trimmed, or laid, where its tack-down is
 * the last of all. Null where no cloth is laid.
 */
export function topperAfter(stops: readonly Stop[]): number | null {
  const tacked = stops.findLastIndex(({ applique }) => applique?.step === 'tackDown');
  if (tacked >= 0 && tacked < stops.length - 1) return tacked;
  const laid = stops.findLastIndex(({ time }) => time.cloth?.id === 'lay');
  return laid < 0 ? null : laid;
}
