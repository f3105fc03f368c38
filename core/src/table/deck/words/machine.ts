import { count, minutes, mm, type Phrase, phrase } from '../../../base/units/phrase';
import { wantedPieces } from '../../../planner/hands/wantedPieces';
import { topperWords } from '../../../stages/mount/checklist';
import type { Words } from '../step';
import {
  type AnySaid,
  atHoop,
  calledOf,
  isFirst,
  MOVING,
  type Said,
  type SayDeed,
  type SayDeeds,
} from './say';

/** Words as a sentence. */
const sentence = ([first, ...rest]: Phrase): Phrase => {
  const begun = typeof first === 'string' ? first.charAt(0).toUpperCase() + first.slice(1) : (first ?? '');
  return [begun, ...rest, '.'];
};

/** As the checklist of the machine has it, or the finish. */
export function checked({ act, plan: { mount, finish } }: AnySaid): Words {
  const check =
    mount?.checklist.find(({ id }) => act.id === `check ${id}`) ??
    finish?.steps.find(({ id }) => act.id === `finish ${id}`);
  return { text: check?.text ?? [], caution: check?.caution ?? null };
}

const layTopper: SayDeed<'lay topper'> = (said) => {
  const { layers } = atHoop(said);
  const isAfterCloth = /^(cloth|copy \d+ cloth) .* topper$/.test(said.act.id);
  const film = wantedPieces(said.plan, said.rules).find(({ thing }) => thing === 'topper');
  return {
    ...(isFirst(said.act) && !isAfterCloth
      ? checked(said)
      : { text: topperWords(layers.parts.topper.choice.name, layers) }),
    ring: 'sheet',
    cut: film ? { widthMm: film.widthMm, heightMm: film.heightMm } : null,
    ...(isAfterCloth
      ? {
          hint: phrase`Not before: the iron or scissors would spoil it.`,
          caution: phrase`The machine stands still before a hand goes into the hoop.`,
        }
      : {}),
  };
};

const latch: SayDeed<'latch'> = (said) => {
  if (isFirst(said.act)) return checked(said);
  const { place } = said.deed;
  const caution = phrase`Hands away from a moving hoop.`;
  return place === null
    ? { text: phrase`Latch the hoop on the carriage; reach under it all round.`, caution }
    : {
        text: phrase`Unlatch the hoop and latch it in place ${count(place)}: the cloth stays in it.`,
        caution,
      };
};

/** What is entered for the number by which the settings of a copy or part are kept. */
const numberOf = ({ id }: { id: string }): number => Number(id.split(' ')[1]);

const enterKeys: SayDeed<'enter keys'> = ({ act, plan: { place } }) =>
  isFirst(act)
    ? {
        text: phrase`Call the design up and key it in.`,
        keys: 1,
        hint: phrase`Then compare the machine’s screen with the drawing.`,
      }
    : {
        text: phrase`Call up ${act.hooping.part === null ? 'the design' : 'the file'} for ${calledOf(act)} and enter its settings.`,
        keys: numberOf(act),
        cross: place?.copies[act.copy - 1]?.centre ?? place?.centre ?? null,
        hint:
          act.hooping.part === null
            ? phrase`Then the needle over its centre mark.`
            : phrase`Then the needle over each cross.`,
      };

const stitch: SayDeed<'stitch'> = ({ deed, act, plan: { stitch: stitched } }) => {
  if (deed.stop === 'all') {
    const { length } = stitched?.stops ?? [];
    return {
      text:
        length === 1
          ? phrase`Stitch ${calledOf(act)}.`
          : phrase`Stitch ${calledOf(act)}: all ${String(length)} colours, as before.`,
      caution: MOVING,
    };
  }
  const stop = stitched?.stops[deed.stop];
  const of = isFirst(act) ? '' : ` of ${calledOf(act)}`;
  return {
    text: phrase`Colour ${String(deed.stop + 1)}${of}: ${stop?.called ?? ''}.`,
    figure: minutes(Math.max(1, Math.round(stop?.minutes ?? 0))),
    hint: stitched?.acts[0] ?? null,
    caution: MOVING,
  };
};

/** Laying and trimming the cloth of an appliqué. */
function atCloth({ deed, plan: { stitch: stitched } }: Said<'lay cloth'> | Said<'trim cloth'>): Words {
  const cloth = stitched?.stops[deed.stop]?.time.cloth;
  return cloth ? { text: sentence(cloth.what), hint: cloth.how, caution: cloth.caution } : { text: [] };
}

/** The colour and the copy whose cloth the hoop is taken off for are told by the steps beside it. */
const takeHoopOff: SayDeed<'take hoop off'> = () => ({
  text: phrase`Take the hoop off the machine; the cloth stays in it.`,
  hint: phrase`Leave the machine on: it keeps its place.`,
  caution: phrase`Wait until the machine stands still.`,
});

const putHoopBack: SayDeed<'put hoop back'> = () => ({
  text: phrase`Latch the hoop on the machine again.`,
  hint: phrase`No settings to enter: it goes on where it stopped.`,
  caution: phrase`Hands away from a moving hoop.`,
});

const pullTopper: SayDeed<'pull topper'> = (said) =>
  isFirst(said.act)
    ? checked(said)
    : {
        text:
          said.plan.layers?.parts.topper.choice.id === 'permanent-film'
            ? phrase`Tear the film off round the finished stitches; under them it stays.`
            : phrase`Pull the film off the finished stitches; what is left of it comes off at the end.`,
      };

const trace: SayDeed<'trace'> = (said) =>
  isFirst(said.act)
    ? checked(said)
    : {
        text: phrase`Trace ${calledOf(said.act)}: the foot clears all round.`,
        caution: phrase`Hands away from a moving hoop.`,
      };

const baste: SayDeed<'baste'> = (said) =>
  isFirst(said.act)
    ? checked(said)
    : {
        text: phrase`Basting box ${mm(said.deed.mm)} outside ${calledOf(said.act)}, stitched first.`,
        caution: MOVING,
      };

export const SAY_MACHINE: SayDeeds<
  | 'latch'
  | 'lay topper'
  | 'pull topper'
  | 'trace'
  | 'baste'
  | 'enter keys'
  | 'stitch'
  | 'take hoop off'
  | 'put hoop back'
  | 'lay cloth'
  | 'trim cloth'
> = {
  latch,
  'lay topper': layTopper,
  'pull topper': pullTopper,
  trace,
  baste,
  'enter keys': enterKeys,
  stitch,
  'take hoop off': takeHoopOff,
  'put hoop back': putHoopBack,
  'lay cloth': atCloth,
  'trim cloth': atCloth,
};
