import type { DeedName, DeedOf } from '../../../model/deed';
import type { Hands } from '../job';

/** Carries out one kind of deed: refuses what cannot or must not be, and puts down what it did. */
export type DoDeed<D extends DeedName> = (deed: DeedOf<D>, hands: Hands) => void;
export type DoDeeds<D extends DeedName> = { readonly [N in D]: DoDeed<N> };

/** Of deeds that change nothing on the table: looked at, laid out, or felt. */
export const nothing = (): void => undefined;

/** An iron on the cloth: it must take one, and neither film nor what heat sets may lie there. */
export function iron({ job, state, refuse }: Hands): void {
  if (job.hasCloth && !job.takesIron) refuse('hot-cloth');
  if (state.topper || state.left.topper) refuse('hot-film');
  if (state.isMarked && state.areMarksInk) refuse('hot-marks');
  if (state.isOnMachine) refuse('hot-machine');
}

/** Takes one of what was cut; it must be there, and as large as it is used. */
export function take(
  { state, refuse }: Hands,
  thing: Parameters<typeof state.cut.get>[0],
  least: { widthMm: number; heightMm: number },
): void {
  const cut = state.cut.get(thing);
  if (!cut || cut.left < 1) {
    refuse('not-cut');
    return;
  }
  cut.left -= 1;
  const hair = 0.5;
  if (cut.widthMm + hair < least.widthMm || cut.heightMm + hair < least.heightMm) refuse('too-small');
}

/** Takes a sheet of the stack: clamped it reaches over the hoop, else over the stitch field. */
export function takeSheet(hands: Hands, sheet: number): void {
  const { hoop } = hands.job.laid.verdict;
  const isClamped = hands.job.layers.stack.filter((layer) => layer.sheet)[sheet]?.clamped ?? false;
  take(
    hands,
    `sheet ${sheet}`,
    isClamped
      ? { widthMm: hoop.ringWidthMm, heightMm: hoop.ringHeightMm }
      : { widthMm: hoop.fieldWidthMm, heightMm: hoop.fieldHeightMm },
  );
  const { sheets } = hands.state.left;
  sheets.set(sheet, (sheets.get(sheet) ?? 0) + 1);
}

/** The name by which a stop of a copy is put down. */
export const stopOf = (stop: number, { act }: Pick<Hands, 'act'>): string =>
  `${act.copy} ${act.hooping.part ?? 0} ${stop}`;
