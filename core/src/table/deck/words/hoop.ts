import { mm, type Phrase, phrase } from '../../../base/units/phrase';
import type { Act, Leg } from '../../../model/deed';
import type { Sheet } from '../../../model/ticket/layers';
import { hoopKindOf } from '../../../stages/hoop/kinds';
import { isA } from '../../../stages/piece/geometry';
import { axisEnds } from '../../../stages/place/marks/axis';
import {
  allOf,
  atHoop,
  IRON,
  isFirst,
  nameAt,
  type Said,
  type SayDeed,
  type SayDeeds,
  SNIPS,
  SPRAY,
  sheetsInWords,
} from './say';

const kindIn = (said: Pick<Said<'close'>, 'plan' | 'rules'>) =>
  hoopKindOf(atHoop(said).hoop.laid.verdict.hoop);
const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
const AS_BEFORE = phrase`As before.`;

/** Which of several copies a mark is of; of one there is nothing to say. */
const ofCopy = (copy: number, { place }: Pick<Said<'close'>['plan'], 'place'>): string =>
  place && place.copies.length > 1 ? ` of no. ${copy}` : '';

const bracket: SayDeed<'turn bracket'> = (said) => {
  const { hoop, mount } = atHoop(said);
  const { bracket: side } = hoop.laid.verdict.hoop;
  return {
    text: phrase`Bracket to the ${side}, on the carriage's side; the piece's top will point ${mount.chosen.topPoints}.`,
    ring: 'bracket',
    choice: mount.ranks.length > 1 ? 'way round' : null,
  };
};

const hoopSheets: SayDeed<'hoop sheets'> = (said) => {
  const { deed, act, plan } = said;
  const { close, closeCaution } = kindIn(said);
  const names = sheetsInWords(deed.sheets, plan);
  const hint = deed.paperUp === null ? null : phrase`Paper side of the ${nameAt(deed.paperUp, plan)} up.`;
  return isFirst(act)
    ? {
        text: phrase`${capital(names)} alone in the ring: ${close}`,
        hint,
        ring: 'sides',
        caution: closeCaution,
      }
    : {
        text: phrase`Hoop ${names.replaceAll('the ', 'a new ')} alone, as before.`,
        hint,
        ring: 'sheet',
        caution: closeCaution,
      };
};

const load: SayDeed<'load'> = ({ deed: { how, own } }) => {
  if (how === 'own') return { text: phrase`${own ?? ''}`, ring: 'inside' };
  return how === 'inside out'
    ? {
        text: phrase`Turn the body inside out round the hoop: the face lies up on the sheet, the rest hangs below.`,
        hint: phrase`Nothing of the back may lie under the field.`,
        ring: 'inside',
      }
    : {
        text: phrase`Lower ring inside the piece, under the one layer that is stitched.`,
        hint: phrase`The back hangs clear below it.`,
        ring: 'inside',
      };
};

const layUnder: SayDeed<'lay under'> = ({ deed, act, plan }) => {
  const names = sheetsInWords(deed.sheets, plan);
  return isFirst(act)
    ? { text: phrase`Lay ${names} under the cloth, over the lower ring on all sides.`, ring: 'inside' }
    : {
        text: phrase`Put ${names.replaceAll('the ', 'a new ')} under the cloth, as before.`,
        ring: 'sheet',
      };
};

/** "40 mm left along the axis line, then 12 mm up square to the axis line". */
function wayWords(legs: readonly Leg[]): Phrase {
  const said = legs.map(
    ({ mm: by, way, along }) =>
      phrase`${mm(by)} ${way} ${along === 'axis' ? 'along the axis line' : 'square to the axis line'}`,
  );
  return said.flatMap((leg, i) => (i === 0 ? leg : [', then ', ...leg]));
}

/** The hoop as it lies on the piece, with the marks of the copy that it is laid on. */
function drawnHoop({ deed, act, plan }: Said<'find hoop centre'> | Said<'lay hoop'>) {
  const { place, design } = plan;
  const spot = place?.copies[act.copy - 1] ?? place;
  return {
    ring: 'notches' as const,
    cross: deed.at,
    hoop: isFirst(act) ? null : { centre: deed.at, onPieceDeg: deed.onPieceDeg },
    marks: spot && design.facts ? [...axisEnds({ facts: design.facts, ...spot }), spot.centre] : [],
  };
}

/** The figure of the only leg; two of them stand in the sentence. */
const onlyLeg = ([leg, other]: readonly Leg[]) => (leg && !other ? { figure: mm(leg.mm) } : {});

const findHoopCentre: SayDeed<'find hoop centre'> = (said) => {
  const { deed, act } = said;
  return isFirst(act)
    ? {
        text: phrase`Mark the hoop centre: from the centre mark go ${wayWords(deed.legs)}.`,
        hint: phrase`The design is not in the middle of this hoop: the machine settings move it onto its marks.`,
        ...drawnHoop(said),
        ...onlyLeg(deed.legs),
      }
    : {
        text: phrase`Hoop centre for ${allOf(act)}: from the centre mark${ofCopy(deed.from, said.plan)} go ${wayWords(deed.legs)}.`,
        ...drawnHoop(said),
        ...onlyLeg(deed.legs),
      };
};

const layHoop: SayDeed<'lay hoop'> = (said) => {
  const { deed, act } = said;
  const of = isFirst(act) ? '' : ofCopy(act.copy, said.plan);
  return deed.on === 'marks'
    ? {
        text: phrase`Align the hoop's notches with the centre mark and both axis marks${of}.`,
        hint: phrase`A grid helps: lay its cross on the centre mark.`,
        ...drawnHoop(said),
      }
    : {
        text: phrase`Centre the hoop on the hoop centre, its sides parallel to the axis line${of}.`,
        hint: phrase`A grid helps: lay its cross on the hoop centre.`,
        ...drawnHoop(said),
      };
};

const smooth: SayDeed<'smooth'> = ({ deed: { basteMm } }) => ({
  text: phrase`Smooth it from the middle outwards, without a pull.`,
  hint: basteMm === null ? null : phrase`A basting box ${mm(basteMm)} outside the design is stitched first.`,
  ring: 'drum',
});

const close: SayDeed<'close'> = (said) => {
  const { close: text, closeCaution } = kindIn(said);
  return {
    text,
    caution: closeCaution,
    ring: 'sides',
    hint: isFirst(said.act) ? null : atHoop(said).layers.tension,
  };
};

const fuseInHoop: SayDeed<'fuse in hoop'> = ({ deed, plan }) => ({
  text: phrase`Fuse the cloth to ${sheetsInWords(deed.sheets, plan)} from above, the ring on a flat board: press and lift, off the ring itself; let it cool.`,
  caution: IRON,
  ring: 'drum',
});

const fasten: SayDeed<'fasten'> = ({ deed: { by } }) => ({
  text:
    by === 'pins'
      ? phrase`Pin it at the ring's edge, outside the field, heads outwards.`
      : phrase`Tape it at the ring's edge, outside the field, with low-tack tape.`,
  ring: 'drum',
});

const testStretch: SayDeed<'test stretch'> = ({ deed: { apartMm, mostMm } }) => ({
  text: phrase`Measure axis end to axis end again: chalked ${mm(apartMm)} apart.`,
  figure: mm(apartMm),
  hint: phrase`More than ${mm(mostMm)} now, where ${mm(apartMm)} was chalked: it is stretched. Take it out and hoop it again.`,
  ring: 'notches',
});

/** How a sheet comes to lie under a closed hoop, bonded to the cloth or loose. */
function laidBelow(name: string, by: Sheet['bond']): string {
  if (by === 'sprayed') return `Spray ${name} and press it up against the cloth from below the ring`;
  if (by === 'sticky')
    return `Peel the paper off ${name} and press it up against the cloth from below the ring`;
  return `Slip ${name} under the ring`;
}

const HELD_BELOW: Record<Sheet['fastening'], string> = {
  tape: ', and tape its corners to the ring from below',
  pins: ', and pin it to the cloth outside the field, heads outwards',
  'basting box': '; the basting box will catch it',
  none: '',
};

const slip: SayDeed<'slip'> = ({ deed: { sheet, by, fastening }, act, plan }) => {
  const name = `${isFirst(act) ? 'the' : 'a new'} ${nameAt(sheet, plan)}`;
  return {
    text: phrase`${laidBelow(name, by)}, over the whole field${HELD_BELOW[fastening]}.`,
    caution: by === 'sprayed' ? SPRAY : null,
    ring: 'sheet',
  };
};

/** What hangs over the throat, out of the way. */
const roll: SayDeed<'roll'> = (said) => {
  const { piece, mount } = atHoop(said);
  const rest = isA(piece.kind, 'sleeves') ? 'sleeves and hem' : 'the rest of it';
  const { overMm } = said.deed;
  return {
    text:
      overMm > 0
        ? phrase`Roll up the last ${mm(overMm)} towards the body and hold it with low-tack tape: the throat takes ${mm(mount.machine?.throatMm ?? 0)}.`
        : phrase`Roll ${rest} up and hold it with low-tack tape, clear of the field.`,
    hint: phrase`Clips sit on the ring's outer edge, never on the bracket.`,
    ring: 'roll',
  };
};

/** Of a split design the crosses of the part before it are found again with the needle. */
const takeUpPart: SayDeed<'take up part'> = ({ deed: { part, of }, act }) => ({
  text:
    part === 1
      ? phrase`Part 1 of ${String(of)}: its crosses are stitched with it.`
      : phrase`Part ${String(part)} of ${String(of)}: bring the needle over each cross of the part before, then stitch.`,
  hint:
    part === of
      ? phrase`Crosses are picked out when all is stitched.`
      : phrase`Leave the crosses in: the next part is laid on them.`,
  ...(isFirst(act) ? {} : { cross: null }),
});

const unhoop = (act: Act): Phrase =>
  act.hooping.part === null
    ? phrase`Off the machine and out of the hoop. Leave all marks on the cloth.`
    : phrase`Off the machine and out of the hoop. Leave all marks and crosses on the cloth.`;

export const SAY_HOOP: SayDeeds<
  | 'open seam'
  | 'set hoop parts'
  | 'turn bracket'
  | 'loosen'
  | 'hoop sheets'
  | 'feel sheets'
  | 'score'
  | 'peel'
  | 'spray'
  | 'load'
  | 'lay under'
  | 'find hoop centre'
  | 'turn hoop'
  | 'lay hoop'
  | 'smooth'
  | 'close'
  | 'see it flush'
  | 'fuse in hoop'
  | 'fasten'
  | 'feel cloth'
  | 'test stretch'
  | 'slip'
  | 'roll'
  | 'take up part'
  | 'take off and unhoop'
> = {
  'open seam': ({ deed: { seam } }) => ({
    text: phrase`Unpick the ${seam} as far as the hoop needs; keep its ends for closing it.`,
    caution: SNIPS,
    ring: 'inside',
  }),
  'set hoop parts': (said) => {
    const { orientation, orientationHint } = kindIn(said);
    return { text: orientation, hint: orientationHint, ring: 'arrows' };
  },
  'turn bracket': bracket,
  loosen: (said) => {
    const { loosen, loosenHint } = kindIn(said);
    return { text: loosen, hint: loosenHint, ring: 'loosen' };
  },
  'hoop sheets': hoopSheets,
  'feel sheets': (said) => ({ text: atHoop(said).layers.tension, ring: 'drum' }),
  score: ({ act }) => ({
    text: phrase`Score the paper with a pin along the inside of the ring: through the paper, not the sheet.`,
    hint: isFirst(act) ? phrase`A light hand: a cut sheet lets go.` : AS_BEFORE,
    ring: 'score',
  }),
  peel: () => ({
    text: phrase`Peel the paper off, from the middle out: the tack lies up.`,
    ring: 'peel',
  }),
  spray: ({ deed: { sheet }, plan }) => ({
    text: phrase`Spray the ${nameAt(sheet, plan)} in the ring; cover the ring itself with paper.`,
    caution: SPRAY,
    ring: 'peel',
  }),
  load,
  'lay under': layUnder,
  'find hoop centre': findHoopCentre,
  'turn hoop': ({ deed: { deg }, act }) => ({
    text: phrase`Turn the hoop ${String(deg)}° clockwise on the piece, with ${allOf(act)}.`,
    ring: 'arrows',
  }),
  'lay hoop': layHoop,
  smooth,
  close,
  'see it flush': (said) => {
    const { closed } = kindIn(said);
    return { text: closed?.text ?? [], hint: closed?.hint ?? null, ring: 'flush' };
  },
  'fuse in hoop': fuseInHoop,
  fasten,
  'feel cloth': (said) => {
    const { layers } = atHoop(said);
    return {
      text: layers.tension,
      hint: layers.snugged ? null : phrase`Do not pull the cloth once it is closed.`,
      ring: 'drum',
    };
  },
  'test stretch': testStretch,
  slip,
  roll,
  'take up part': takeUpPart,
  'take off and unhoop': ({ act }) => ({
    text: unhoop(act),
    ring: 'loosen',
    caution: phrase`Hands in only when the machine stands still.`,
  }),
};
