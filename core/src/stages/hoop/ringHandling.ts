import { mm, type Phrase, phrase } from '../../base/units/phrase';
import type { HoopKind } from '../../model/shelf';

/** How one kind of hoop is handled: which way up, what to loosen, which side first. */
export interface RingHandling {
  orientation: Phrase;
  orientationHint: Phrase;
  loosen: Phrase;
  loosenHint: Phrase | null;
  close: Phrase;
  closeCaution: Phrase | null;
}

export const RING_HANDLING: Readonly<Record<HoopKind, RingHandling>> = {
  screw: {
    orientation: phrase`Inner ring the right way round: size marks readable, arrow to arrow.`,
    orientationHint: phrase`Upside down, its notches are off by up to ${mm(25)}.`,
    loosen: phrase`Loosen the screw until the inner ring drops in with cloth and sheet.`,
    loosenHint: phrase`A ring that must be forced is too tight: it drags the cloth.`,
    close: phrase`Press the inner ring in: top edge first, then both sides, the bottom last.`,
    closeCaution: null,
  },
  'quick-release': {
    orientation: phrase`Inner ring the right way round: size marks readable, arrow to arrow.`,
    orientationHint: phrase`Upside down, its notches are off by up to ${mm(25)}.`,
    loosen: phrase`Squeeze the lever open all the way.`,
    loosenHint: phrase`Never force the clip: if it does not close, the stack is too thick for it.`,
    close: phrase`Press the inner ring in: top edge first, then both sides; let the lever close last.`,
    closeCaution: null,
  },
  magnetic: {
    orientation: phrase`Lower frame on the table, its arrow away from you; the upper frame beside it, not above it.`,
    orientationHint: phrase`Both arrows the same way, or the notches do not agree.`,
    loosen: phrase`Lift the upper frame well clear before the cloth comes between.`,
    loosenHint: phrase`Wipe both faces: a thread between the magnets weakens them.`,
    close: phrase`Close it far side first, then both sides together, the near side last: straight down, without dragging.`,
    closeCaution: phrase`Magnets snap shut: fingers out from between. Keep them from what a magnet harms; the hoop's manual says what.`,
  },
  'clamp frame': {
    orientation: phrase`Frame with its bracket as it goes on the machine, jaws up.`,
    orientationHint: phrase`Its middle marks face you.`,
    loosen: phrase`Open both jaws.`,
    loosenHint: null,
    close: phrase`Close the far jaw, smooth the cloth towards you, then close the near jaw.`,
    closeCaution: phrase`Fingers clear of the jaws.`,
  },
  'open frame': {
    orientation: phrase`Frame upside down on the table: the sheet goes on from below.`,
    orientationHint: phrase`Its arrow points as the piece's top will.`,
    loosen: phrase`Wipe old adhesive off the frame.`,
    loosenHint: null,
    close: phrase`Press the sheet on all round the frame, then turn it over.`,
    closeCaution: null,
  },
};
