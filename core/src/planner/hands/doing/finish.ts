import type { FinishDeed } from '../../../model/deed';
import { familyOf, type Hands } from '../job';
import { type DoDeed, type DoDeeds, iron, nothing, take } from './doDeeds';
import { unhoop } from './hoop';

/** What comes off with a deed: sheets of these families; a dissolving one is torn first, and its rest soaked out. */
const COMES_OFF: Partial<Record<FinishDeed['do'], readonly string[]>> = {
  tear: ['tear-away'],
  'trim sheets': ['cut-away'],
  soak: ['wash-away', 'dissolving'],
};

function off(sheets: readonly number[], { act, job, state }: Hands): void {
  const families = COMES_OFF[act.deed.do as FinishDeed['do']] ?? [];
  for (const sheet of sheets) if (families.includes(familyOf(job, sheet))) state.left.sheets.delete(sheet);
}

const takeOff: DoDeed<'take off'> = (_, hands) => {
  const { job, state, refuse } = hands;
  const stops = job.results.stitch?.stops.length ?? 0;
  const index = job.laid.split?.index ?? 0;
  const wanted = job.copies.flatMap((__, c) =>
    job.parts.flatMap((___, p) => (c === 0 && p < index ? [] : [{ copy: c + 1, part: p + 1 }])),
  );
  for (const { copy, part } of wanted) {
    const own = state.stitched.filter((one) => one.copy === copy && one.part === part);
    if (!own.some(({ stop }) => stop === 'all') && own.length < stops) refuse('not-stitched');
  }
  unhoop(hands);
};

const cover: DoDeed<'cover'> = ({ by }, hands) => {
  const { state, job, refuse } = hands;
  for (let i = 0; i < job.copies.length; i += 1) take(hands, 'cover', { widthMm: 1, heightMm: 1 });
  if (by === 'fused') {
    iron(hands);
    if (state.isWet) refuse('wet-fused');
  }
};

export const DO_FINISH: DoDeeds<FinishDeed['do']> = {
  'take off': takeOff,
  'pick out crosses': (_, { state }) => {
    state.left.crosses = false;
  },
  'pick out basting': (_, { state }) => {
    state.left.boxes = 0;
  },
  'pull topper': ({ isAllOff }, { state }) => {
    state.topper = null;
    state.left.topper = false;
    if (isAllOff) state.left.filmRest = false;
  },
  'trim threads': nothing,
  'trim appliqué': nothing,
  tear: ({ sheets }, hands) => off(sheets, hands),
  'trim sheets': ({ sheets }, hands) => off(sheets, hands),
  soak: ({ sheets }, hands) => {
    off(sheets, hands);
    hands.state.isWet = true;
  },
  'remove marks': (_, { state }) => {
    state.isMarked = false;
    state.areMarksInk = false;
  },
  'iron topper': (_, hands) => {
    iron(hands);
    hands.state.left.filmRest = false;
  },
  'damp topper': ({ isIroned }, hands) => {
    if (isIroned) iron(hands);
    Object.assign(hands.state, { isWet: true });
    hands.state.left.filmRest = false;
  },
  dry: (_, { state }) => {
    state.isWet = false;
  },
  cover,
  press: (_, hands) => iron(hands),
  'close seam': ({ seam }, { state }) => {
    state.openSeams.delete(seam);
  },
  'look over': nothing,
};
