import type { DrawingId } from '../../model/drawing';
import type { HouseRules } from '../../model/houseRules';
import type { ColourStop } from '../../model/ticket/artwork';
import type { DesignInput } from '../../model/ticket/design';
import { MOST_STITCHES } from '../../model/ticket/designBounds';
import type { Part } from '../../model/ticket/part';
import { stitchesRead } from './parts/drawnPart';
import { stitchFigures } from './stitchFigures';
import { drawnKey } from './svg/drawnKey';
import type { ReadSvg } from './svg/readSvg';

/** What a part's drawing is to be read for, and the text by which that is told. */
export interface ToRead {
  drawing: DrawingId;
  fileName: string;
  widthMm: number;
  cloth: string;
  key: string;
}

/** How wide a part's drawing is as it lies, mm. */
const widthOf = ({ widthMm, scalePercent }: Part): number => Math.round((widthMm ?? 0) * scalePercent) / 100;

/**
 * What a part's drawing is to be read for again: it lies at another size, the shop stitches otherwise, or the cloth is of
 * another colour. Null where it stands so, or nobody kept its drawing.
 */
export function drawingToRead(
  part: Part,
  { cloth, rules }: { cloth: string; rules: HouseRules },
): ToRead | null {
  const { artwork } = part;
  if (!artwork?.source || part.letters) return null;
  const { drawing } = artwork.source;
  const widthMm = widthOf(part);
  const key = drawnKey({ drawing, widthMm, cloth, figures: stitchFigures(rules) });
  if (key === artwork.madeFrom && part.scalePercent === 100) return null;
  return { drawing, fileName: artwork.fileName, widthMm, cloth, key };
}

/** A figure that was typed over what was read, in proportion to what is read now. */
const inProportion = (typed: number, before: number, now: number): number =>
  Math.min(MOST_STITCHES, Math.max(1, Math.round(before > 0 ? (typed * now) / before : typed)));

/** A stop as it is read now, with what a person had changed of it. */
function withTyped(now: ColourStop, before: ColourStop, shown: ColourStop): ColourStop {
  const isTyped = shown.stitches !== before.stitches;
  return {
    hex: shown.hex === before.hex ? now.hex : shown.hex,
    name: shown.name === before.name ? now.name : shown.name,
    stitches:
      isTyped && shown.stitches !== null
        ? inProportion(shown.stitches, before.stitches ?? 0, now.stitches ?? 0)
        : isTyped
          ? null
          : now.stitches,
  };
}

/** The stops that are read now, each with what was changed of the one of the same drawn colour. */
function stopsAgain(part: Part, read: ReadSvg): ColourStop[] {
  const left = [...(part.artwork?.source?.asRead ?? [])].map((before, i) => ({
    before,
    shown: part.colours[i],
  }));
  return read.colours.map((now) => {
    const at = left.findIndex(({ before }) => before.hex === now.hex);
    const [found] = at < 0 ? [] : left.splice(at, 1);
    return found?.shown ? withTyped(now, found.before, found.shown) : now;
  });
}

/**
 * A part whose drawing was read again: at the size it lies at, with the stitches that takes. Threads that were chosen for
 * its colours stay, figures that were typed stay in proportion, and so do its moved elements, where they are as many.
 */
export function readAgain(part: Part, read: ReadSvg): Part {
  const before = stitchesRead(part) ?? 0;
  const isTyped = part.stitches !== null && part.stitches !== before;
  const by = read.widthMm / (part.widthMm || read.widthMm);
  return {
    ...part,
    widthMm: read.widthMm,
    heightMm: read.heightMm,
    stitches: isTyped ? inProportion(part.stitches ?? 0, before, read.stitches) : read.stitches,
    colours: stopsAgain(part, read),
    artwork: read.artwork,
    scalePercent: 100,
    elementMoves: part.elementMoves.map(({ x, y }) => ({ x: x * by, y: y * by })),
  };
}

/** The design with a part whose drawing was read again; an order that a person held to goes where its stops do. */
export function withReadAgain(
  design: DesignInput,
  id: string,
  read: ReadSvg,
): Pick<DesignInput, 'parts' | 'order'> {
  const parts = design.parts.map((part) => (part.id === id ? readAgain(part, read) : part));
  const before = design.parts.find((part) => part.id === id)?.colours.length;
  return { parts, order: before === read.colours.length ? design.order : null };
}
