import { asPrinted } from '../job';
import { type DoDeed, type DoDeeds, iron, nothing, takeSheet } from './doDeeds';

const cut: DoDeed<'cut'> = ({ thing, widthMm, heightMm, count }, { job, state }) => {
  const { pieces } = job.results.piece;
  state.cut.set(thing, {
    widthMm: asPrinted(widthMm, job.units),
    heightMm: asPrinted(heightMm, job.units),
    left: count / pieces - (thing === 'cover' ? 0 : job.hoopedBefore),
  });
};

const bond: DoDeed<'bond'> = ({ sheet, onto, by, fastening }, hands) => {
  const { state, job, refuse } = hands;
  if (state.closed !== 'no' && !(job.isFloated && state.closed === 'on sheets')) refuse('in-the-hoop');
  if (onto !== 'cloth' && !state.onPiece.has(onto)) refuse('not-cut');
  takeSheet(hands, sheet);
  if (by === 'fused') {
    iron(hands);
    if (state.isWet) refuse('wet-fused');
  }
  if (fastening === 'pins' && job.holesStay) refuse('holes-stay');
  state.onPiece.set(sheet, by);
};

export const DO_BEFORE: DoDeeds<
  'measure' | 'prepare' | 'mark' | 'cut' | 'fuse web' | 'cut cloth' | 'bond' | 'choose needle and thread'
> = {
  measure: nothing,
  prepare: nothing,
  mark: ({ heatFollows }, { state, job, act }) => {
    state.isMarked = true;
    if (!heatFollows) state.areMarksInk = true;
    // The last of the marks is a pin through to the wrong side.
    if (act.phase === 'transfer' && job.hasCloth) state.isPinned = true;
  },
  cut,
  'fuse web': ({ cloth }, { state }) => {
    state.webbed.add(cloth);
  },
  'cut cloth': ({ cloth }, { state }) => {
    state.clothsCut.add(cloth);
  },
  bond,
  'choose needle and thread': nothing,
};
