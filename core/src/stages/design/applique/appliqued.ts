import { signedAreaOf } from '../../../base/geometry/clip';
import { distance } from '../../../base/geometry/point';
import {
  APPLIQUE_STEPS,
  type Applique,
  type AppliqueEdge,
  type AppliqueStep,
} from '../../../model/ticket/applique';
import type { Artwork } from '../../../model/ticket/artwork';
import type { Part } from '../../../model/ticket/part';
import { ringsOfPath } from '../pathData';

type ArtworkPath = Artwork['paths'][number];

/** A shape of a part as it lies, and what of it is stitched in one of the stops of its colour. */
export interface DrawnShape extends ArtworkPath {
  step: AppliqueStep | null;
  /** The cloth that it is of; null for thread alone. */
  applique: Applique | null;
}

/** A raw edge is held by its tack-down alone. */
export const stepsOf = ({ way }: Applique): readonly AppliqueStep[] =>
  way === 'rawEdge' ? ['placement', 'tackDown'] : APPLIQUE_STEPS;

/** The cloth of a shape, by its place in the drawing; null for thread alone. */
export const appliqueAt = (
  { appliques }: Pick<Part, 'appliques'>,
  { stop }: ArtworkPath,
  at: number,
): Applique | null =>
  appliques.find((one) => one.stop === stop && (one.shapes?.includes(at) ?? true)) ?? null;

/** The outline of a cloth: all of it, whatever lies on it. */
const outlineOf = ({ d, whole }: ArtworkPath): string => whole ?? d;

/** Shapes with what is stitched of them: those of cloth once for each of its stops. */
export const withSteps = (part: Pick<Part, 'appliques'>, paths: Artwork['paths']): DrawnShape[] =>
  paths.flatMap((path, i): DrawnShape[] => {
    const applique = appliqueAt(part, path, i);
    return applique
      ? stepsOf(applique).map((step) => ({ ...path, d: outlineOf(path), step, applique }))
      : [{ ...path, step: null, applique: null }];
  });

/** How many shapes of a part are of a cloth. */
export const shapesOfCloth = (part: Part, applique: Applique): number =>
  (part.artwork?.paths ?? []).filter((path, i) => appliqueAt(part, path, i) === applique).length;

const EDGE_NAMES: Record<AppliqueEdge, string> = { satin: 'satin edge', blanket: 'blanket edge' };

/** What a stop of an appliqué is called. */
export const nameOfStep = (step: AppliqueStep, { edge }: Applique): string =>
  step === 'placement' ? 'placement line' : step === 'tackDown' ? 'tack-down' : EDGE_NAMES[edge];

/** Stitches to a mm of outline, before they are made: a run, two penetrations of satin to a pitch, a prong and its way. */
const TO_A_MM = { run: 1 / 2.5, satin: 2 / 0.4, blanket: 1 } as const;

const aroundMm = (path: ArtworkPath): number =>
  ringsOfPath(outlineOf(path)).reduce(
    (sum, ring) => sum + ring.reduce((long, p, i) => long + distance(ring[i - 1] ?? ring.at(-1) ?? p, p), 0),
    0,
  );

const areaMm2 = ({ d }: ArtworkPath): number =>
  ringsOfPath(d).reduce((sum, ring) => sum + Math.abs(signedAreaOf(ring)), 0);

/** What one stop of an appliqué comes to by the length of its outlines, at a scale. */
export function stitchesOfStep(part: Part, applique: Applique, step: AppliqueStep): number {
  const long = (part.artwork?.paths ?? []).reduce(
    (sum, path, i) => sum + (appliqueAt(part, path, i) === applique ? aroundMm(path) : 0),
    0,
  );
  return Math.round(((long * part.scalePercent) / 100) * TO_A_MM[step === 'edge' ? applique.edge : 'run']);
}

/** The share of a colour that is thread alone, by the areas of its shapes: 0 to 1; 1 where it has none. */
export function plainShare(part: Part, stop: number): number {
  const all = (part.artwork?.paths ?? [])
    .map((path, at) => ({ path, at }))
    .filter(({ path }) => path.stop === stop);
  const plain = all.filter(({ path, at }) => appliqueAt(part, path, at) === null);
  if (plain.length === all.length) return 1;
  const area = (of: typeof all): number => of.reduce((sum, { path }) => sum + areaMm2(path), 0);
  return plain.length === 0 ? 0 : area(plain) / Math.max(1e-9, area(all));
}
