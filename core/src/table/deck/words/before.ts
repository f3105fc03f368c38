import { count, mm, phrase } from '../../../base/units/phrase';
import type { DeedOf } from '../../../model/deed';
import type { Sheet } from '../../../model/ticket/layers';
import { appliquesOf } from '../../../planner/hands/acts/before';
import { wantedPieces } from '../../../planner/hands/wantedPieces';
import { cutWords } from '../../../stages/design/applique/cutOffset';
import { faceOf } from '../../../stages/piece/planPiece';
import {
  calledOf,
  IRON,
  isFirst,
  nameAt,
  type Said,
  type SayDeed,
  type SayDeeds,
  SNIPS,
  SPRAY,
  within,
} from './say';

/** A reading to take, by its landmarks. */
const measure: SayDeed<'measure'> = ({ deed, plan: { piece } }) => {
  const reading = piece.asked.find(({ id }) => id === deed.reading);
  if (!reading) return { text: phrase`Measure.` };
  const face = faceOf(piece, reading.on ?? piece.kind.views[0].id);
  const [from, to] = [face?.sketch.landmarks[reading.from], face?.sketch.landmarks[reading.to]];
  const value = piece.assumed.includes(reading.id) ? undefined : piece.readings[reading.id];
  return {
    text: phrase`${reading.how}`,
    figure: value === undefined ? null : mm(value),
    hint: phrase`${reading.name}`,
    reading: reading.id,
    tape: from && to ? { from, to } : null,
    face: face?.view.id ?? null,
  };
};

const HEAT_SETS = phrase`Fusing follows, and heat sets ink: mark with thread, tape or a placement marker.`;

const mark: SayDeed<'mark'> = ({ deed, plan: { place } }) => {
  const kept = place?.marks[deed.mark];
  if (!kept) return { text: phrase`Mark.` };
  const { text, tape, cross, figure, hint } = kept;
  const caution = deed.heatFollows && deed.mark === 0 ? HEAT_SETS : null;
  return { text, tape, cross, figure, hint, caution };
};

/** A sheet, film or cover that is cut, with its own sides. */
const cut: SayDeed<'cut'> = ({ deed, act, plan, rules }) => {
  const { widthMm, heightMm, count: pieces } = deed;
  const wanted = wantedPieces(plan, rules).find(({ thing }) => thing === deed.thing);
  const name = within(wanted?.name ?? 'sheet');
  return {
    text:
      pieces > 1
        ? phrase`Cut ${count(pieces)} of the ${name}: ${mm(widthMm)} × ${mm(heightMm)} each.`
        : phrase`Cut the ${name}: ${mm(widthMm)} × ${mm(heightMm)}.`,
    figure: mm(widthMm),
    hint: phrase`${wanted?.serves ?? ''}`,
    caution: act.id.startsWith('cut 0') ? SNIPS : null,
    ring: 'sheet',
    cut: { widthMm, heightMm },
  };
};

const clothAt = ({ deed, plan }: Said<'fuse web'> | Said<'cut cloth'>) => {
  const applique = appliquesOf(plan)[deed.cloth];
  return { applique, name: applique?.cloth.name.trim() || 'cloth' };
};

const cutCloth: SayDeed<'cut cloth'> = (said) => {
  const { applique, name } = clothAt(said);
  const { pieces } = said.deed;
  return {
    text:
      applique?.way === 'trimmed'
        ? phrase`Cut the ${name} for the appliqué.`
        : phrase`Cut the ${name} for the appliqué: ${count(pieces)} ${pieces === 1 ? 'piece' : 'pieces'}.`,
    hint: applique ? cutWords(applique, said.plan.design.facts?.scale ?? 1, said.rules) : null,
    caution: SNIPS,
  };
};

/** What fastens a sheet on the piece besides its bond; in the hoop that is done once it is closed. */
const BESIDES: Record<Sheet['fastening'], string> = {
  pins: ' Pin it too, outside the field, heads outwards.',
  tape: ' Tape its corners too.',
  'basting box': '',
  none: '',
};

function bondText({ sheet, onto, by, fastening }: DeedOf<'bond'>, { plan, act }: Said<'bond'>) {
  const name = isFirst(act) ? `the ${nameAt(sheet, plan)}` : `a new ${nameAt(sheet, plan)}`;
  const where =
    onto === 'cloth'
      ? `the wrong side${isFirst(act) ? ' of the cloth' : ` under ${calledOf(act)}`}`
      : `the ${nameAt(onto, plan)}`;
  const on = isFirst(act) ? 'centred on the pin' : 'centred on its mark';
  const besides = BESIDES[fastening];
  if (by === 'fused')
    return phrase`Fuse ${name} to ${where}, ${on}: press and lift, do not slide; let it cool.${besides}`;
  if (by === 'sprayed') return phrase`Spray ${name} and smooth it onto ${where}, ${on}.${besides}`;
  if (by === 'sticky')
    return phrase`Peel the paper off ${name} and smooth it onto ${where}, sticky side to the cloth.${besides}`;
  if (fastening === 'pins') return phrase`Pin ${name} to ${where}, outside the field, heads outwards.`;
  return phrase`Hold ${name} against ${where} with ${fastening === 'tape' ? 'tape at its corners' : 'a few long hand stitches'}.`;
}

const BOND_CAUTION: Partial<Record<Sheet['bond'], typeof IRON>> = { fused: IRON, sprayed: SPRAY };

export const SAY_BEFORE: SayDeeds<
  'measure' | 'prepare' | 'mark' | 'cut' | 'fuse web' | 'cut cloth' | 'bond' | 'choose needle and thread'
> = {
  measure,
  prepare: ({ plan: { place } }) => ({
    text: place?.prepare ?? [],
    choice: place && place.methods.length > 1 ? 'method' : null,
  }),
  mark,
  cut,
  'fuse web': (said) => ({
    text: phrase`Fuse the web to the wrong side of the ${clothAt(said).name}, paper outwards; let it cool.`,
    caution: IRON,
  }),
  'cut cloth': cutCloth,
  bond: (said) => ({
    text: bondText(said.deed, said),
    cross: said.plan.place?.copies[said.act.copy - 1]?.centre ?? said.plan.place?.centre ?? null,
    caution: BOND_CAUTION[said.deed.by] ?? null,
  }),
  'choose needle and thread': ({ plan: { layers } }) => {
    const parts = layers?.parts;
    return {
      text: parts
        ? phrase`Needle ${parts.needle.choice.name}, ${parts.thread.choice.name}, ${parts.bobbin.choice.name}.`
        : [],
    };
  },
};
