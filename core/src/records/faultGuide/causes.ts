import { count, metres, mm, type Phrase, percent, phrase } from '../../base/units/phrase';
import type { FaultId } from '../../model/faults';
import type { FaultFacts } from './facts';

/** Why something may have gone wrong, and what helps. */
export interface Cause {
  id: string;
  text: Phrase;
  /** How likely it is on this ticket, 0 to 3; 0: nothing on the ticket speaks for it. */
  likely: (facts: FaultFacts) => number;
  /** What on the ticket speaks for it, with its figures; null where nothing does. */
  because: (facts: FaultFacts) => Phrase | null;
  now: Phrase;
  next: Phrase;
}

const never = (): null => null;
/** A cause of which a ticket tells nothing: usual, but no figure speaks for it. */
const usual = (id: string, text: Phrase, now: Phrase, next: Phrase): Cause => ({
  id,
  text,
  likely: () => 0,
  because: never,
  now,
  next,
});

const KNIT_PERCENT = 8;
const THICK_COVER = 6;
const FAINT = 20;
const WORN_HOURS = 8;
const THICK_STACK_MM = 2.5;
const LOW_BOBBIN = 1.15;

/** The usual causes of each fault, the likeliest first where nothing on a ticket tells them apart (trade rules §10). */
export const CAUSES: Readonly<Record<FaultId, readonly Cause[]>> = {
  puckering: [
    {
      id: 'stretched',
      text: phrase`The cloth was stretched in the hoop.`,
      likely: (f) => (f.method === 'hooped' && f.stretchPercent >= KNIT_PERCENT ? (f.isBonded ? 2 : 3) : 0),
      because: (f) =>
        f.stretchPercent >= KNIT_PERCENT
          ? phrase`${f.cloth} stretches ${percent(f.stretchPercent)}, and was ${f.isBonded ? 'hooped with a sheet bonded to it' : 'hooped without a bond'}.`
          : null,
      now: phrase`Steam it from the back; do not pull it flat.`,
      next: phrase`Bond it first, and never stretch it.`,
    },
    {
      id: 'support',
      text: phrase`Too little support, or the wrong kind.`,
      likely: (f) =>
        f.sheets === 0 ? 3 : f.stretchPercent >= KNIT_PERCENT && !f.staysIn ? 3 : f.sheets === 1 ? 1 : 0,
      because: (f) =>
        f.sheets === 0
          ? phrase`No sheet lies under it.`
          : f.stretchPercent >= KNIT_PERCENT && !f.staysIn
            ? phrase`Nothing stays under a cloth that stretches ${percent(f.stretchPercent)}.`
            : f.sheets === 1
              ? phrase`One sheet lies under ${count(f.stitches)} stitches.`
              : null,
      now: phrase`Fuse a soft sheet over the back.`,
      next: phrase`Add a layer, or one that stays.`,
    },
    {
      id: 'dense',
      text: phrase`The design is too dense for the cloth.`,
      likely: (f) => ((f.mostCover ?? 0) > THICK_COVER ? 3 : /heavy/.test(f.densityClass) ? 2 : 0),
      because: (f) =>
        (f.mostCover ?? 0) > THICK_COVER
          ? phrase`${count(f.mostCover ?? 0)} mm of thread lie on a mm² at the thickest place.`
          : /heavy/.test(f.densityClass)
            ? phrase`The design is ${f.densityClass}.`
            : null,
      now: phrase`Nothing takes thread out again: steam, and let it rest.`,
      next: phrase`Wider rows, or a lighter design.`,
    },
    {
      id: 'floated',
      text: phrase`It was floated.`,
      likely: (f) => (f.method === 'floated' ? 2 : 0),
      because: (f) => (f.method === 'floated' ? phrase`The plan floats it.` : null),
      now: phrase`Steam it from the back.`,
      next: phrase`Hoop it, or baste it down.`,
    },
  ],
  gaps: [
    {
      id: 'shifted',
      text: phrase`The cloth shifted under the needle.`,
      likely: (f) => (!f.isBonded ? (f.method === 'floated' ? 3 : 2) : 0),
      because: (f) =>
        f.isBonded
          ? null
          : phrase`Cloth and sheet are not bonded${f.method === 'floated' ? ', and it was floated' : ''}.`,
      now: phrase`Fill the gap with a few stitches in the thread’s colour.`,
      next: phrase`Fuse or baste; a cut-away.`,
    },
    {
      id: 'pull',
      text: phrase`The thread drew the cloth in.`,
      likely: (f) => (f.stretchPercent >= KNIT_PERCENT || f.pileMm >= 1 ? 1 : 0),
      because: (f) =>
        f.stretchPercent >= KNIT_PERCENT
          ? phrase`${f.cloth} stretches ${percent(f.stretchPercent)}.`
          : f.pileMm >= 1
            ? phrase`Its pile is ${mm(f.pileMm)} high.`
            : null,
      now: phrase`A pen in the thread’s colour hides a hair’s breadth.`,
      next: phrase`More pull in the figures of the shop.`,
    },
    usual(
      'loose',
      phrase`The hoop was loose, or its clip is worn.`,
      phrase`Check it before the next piece.`,
      phrase`Tighten; change the clip.`,
    ),
  ],
  sinking: [
    {
      id: 'no-topper',
      text: phrase`No film lay on top.`,
      likely: (f) => (f.hasTopper ? 0 : f.pileMm > 0 ? 3 : 2),
      because: (f) =>
        f.hasTopper
          ? null
          : f.pileMm > 0
            ? phrase`No topper, on a pile of ${mm(f.pileMm)}.`
            : phrase`The plan has no topper.`,
      now: phrase`Lift the pile with a needle’s tip, and clip what covers the edge.`,
      next: phrase`A film on top.`,
    },
    {
      id: 'pile',
      text: phrase`The pile is higher than a film that washes away can hold down.`,
      likely: (f) => (f.pileMm >= 2 ? 2 : f.pileMm > 0 ? 1 : 0),
      because: (f) => (f.pileMm > 0 ? phrase`Its pile is ${mm(f.pileMm)} high.` : null),
      now: phrase`Clip the loops that stand through.`,
      next: phrase`A permanent film.`,
    },
  ],
  'show-through': [
    {
      id: 'contrast',
      text: phrase`Thread and ground are far apart.`,
      likely: (f) => (f.leastContrast >= 45 ? 3 : f.leastContrast >= FAINT ? 1 : 0),
      because: (f) =>
        f.leastContrast >= FAINT
          ? phrase`${count(Math.round(f.leastContrast))} apart in lightness, at least.`
          : null,
      now: phrase`A pen in the thread’s colour on what shows.`,
      next: phrase`A permanent film in the thread’s colour.`,
    },
    {
      id: 'thin',
      text: phrase`The fill is thin.`,
      likely: (f) =>
        f.mostCover !== null && f.mostCover < 3 ? 2 : /open|light/.test(f.densityClass) ? 1 : 0,
      because: (f) =>
        f.mostCover !== null && f.mostCover < 3
          ? phrase`At its thickest ${count(f.mostCover)} mm of thread lie on a mm².`
          : /open|light/.test(f.densityClass)
            ? phrase`The design is ${f.densityClass}.`
            : null,
      now: phrase`A second pass over it in the same hooping.`,
      next: phrase`Closer rows, and rows beneath.`,
    },
  ],
  'off-place': [
    {
      id: 'left-over',
      text: phrase`The keys left something over.`,
      likely: (f) => (f.leftOverMm > 1 ? 3 : f.crookedDeg !== null && Math.abs(f.crookedDeg) >= 1 ? 2 : 0),
      because: (f) =>
        f.leftOverMm > 1
          ? phrase`${mm(f.leftOverMm)} were left at the farthest corner.`
          : f.crookedDeg !== null && Math.abs(f.crookedDeg) >= 1
            ? phrase`It sat crooked by ${count(Math.round(Math.abs(f.crookedDeg) * 10) / 10)}°, and was turned by keys.`
            : null,
      now: phrase`Measure how far it is off, and put it in the log.`,
      next: phrase`Hoop it again where keys leave more than 1 mm.`,
    },
    {
      id: 'not-read',
      text: phrase`No mark was read off the hoop.`,
      likely: (f) => (f.crookedDeg === null ? 2 : 0),
      because: (f) => (f.crookedDeg === null ? phrase`Nothing was read back after it was hooped.` : null),
      now: phrase`Measure how far it is off, and put it in the log.`,
      next: phrase`Read two marks off the grid before you stitch.`,
    },
    {
      id: 'one-mark',
      text: phrase`One mark alone tells the place, not the angle.`,
      likely: (f) => (f.marks < 2 ? 3 : 0),
      because: (f) => (f.marks < 2 ? phrase`${count(f.marks)} mark was made.` : null),
      now: phrase`Measure how far it is off, and put it in the log.`,
      next: phrase`Both ends of the axis, too.`,
    },
    {
      id: 'wrong-key',
      text: phrase`It was turned the wrong way at the machine.`,
      likely: (f) => (f.turnKeyedDeg % 360 === 0 ? 0 : 1),
      because: (f) =>
        f.turnKeyedDeg % 360 === 0 ? null : phrase`${count(f.turnKeyedDeg)}° had to be keyed.`,
      now: phrase`Compare the display with what should stand there.`,
      next: phrase`Check the direction arrow before the first stitch.`,
    },
  ],
  'ring-marks': [
    {
      id: 'clamped',
      text: phrase`Pile or suede lay in the ring too long.`,
      likely: (f) => (f.method === 'hooped' && f.ringMarks ? 3 : f.method === 'hooped' ? 1 : 0),
      because: (f) =>
        f.method === 'hooped'
          ? phrase`${f.cloth} was hooped${f.ringMarks ? ', and takes marks' : ''}.`
          : null,
      now: phrase`Steam from a hand’s breadth; brush the pile up.`,
      next: phrase`Float it, or a magnetic hoop; unhoop at once.`,
    },
  ],
  'needle-break': [
    {
      id: 'thick-spot',
      text: phrase`Thread lies too thick at one place.`,
      likely: (f) => ((f.mostCover ?? 0) > 7 ? 3 : (f.mostCover ?? 0) > THICK_COVER ? 1 : 0),
      because: (f) =>
        (f.mostCover ?? 0) > THICK_COVER
          ? phrase`${count(f.mostCover ?? 0)} mm of thread lie on a mm² at the thickest place.`
          : null,
      now: phrase`Power off, a new needle, then slower over the place.`,
      next: phrase`Mend the hot spot.`,
    },
    {
      id: 'too-fine',
      text: phrase`The needle is too fine for the stack.`,
      likely: (f) => (f.stackMm >= THICK_STACK_MM && !/90/.test(f.needle) ? 3 : 0),
      because: (f) =>
        f.stackMm >= THICK_STACK_MM ? phrase`${mm(f.stackMm)} of cloth and sheets, with ${f.needle}.` : null,
      now: phrase`Power off, a 90/14.`,
      next: phrase`A 90/14 from the beginning.`,
    },
    {
      id: 'worn',
      text: phrase`The needle was worn or bent.`,
      likely: (f) => (f.needleHours >= WORN_HOURS ? 3 : f.needleHours >= WORN_HOURS / 2 ? 1 : 0),
      because: (f) => (f.needleHours > 0 ? phrase`It has ${count(f.needleHours)} hours.` : null),
      now: phrase`Power off, a new needle; find all pieces of the old one.`,
      next: phrase`Change it after 8 hours.`,
    },
    usual(
      'struck',
      phrase`It hit the ring, a pin or a clip.`,
      phrase`Power off; look for a notch in the ring.`,
      phrase`Trace first.`,
    ),
    usual(
      'glue',
      phrase`Adhesive heated it.`,
      phrase`Wipe it, or change it.`,
      phrase`Spray the sheet, thinly, and let it air.`,
    ),
  ],
  'bobbin-tension': [
    {
      id: 'ran-low',
      text: phrase`The bobbin ran low.`,
      likely: (f) => (f.bobbinLeftM < f.bobbinNeededM * LOW_BOBBIN ? 2 : 0),
      because: (f) =>
        f.bobbinLeftM < f.bobbinNeededM * LOW_BOBBIN
          ? phrase`${metres(f.bobbinLeftM)} were left, ${metres(f.bobbinNeededM)} needed.`
          : null,
      now: phrase`A full bobbin; stitch the last places again.`,
      next: phrase`A full bobbin before you start.`,
    },
    usual(
      'threaded',
      phrase`It was threaded with the foot down.`,
      phrase`Thread it anew, the foot up.`,
      phrase`The foot up whenever you thread.`,
    ),
    usual(
      'tension',
      phrase`The tension is off.`,
      phrase`A test on scrap: the bobbin fills the middle third.`,
      phrase`Note the tension in the log.`,
    ),
  ],
  'sewn-shut': [
    {
      id: 'beneath',
      text: phrase`Cloth lay beneath the hoop.`,
      likely: (f) => (f.isTubular ? 3 : 1),
      because: (f) => (f.isTubular ? phrase`The piece is a tube.` : null),
      now: phrase`Stop; cut the bobbin thread from below, stitch by stitch.`,
      next: phrase`Look beneath at every stop.`,
    },
  ],
  'backing-edge': [
    {
      id: 'thick',
      text: phrase`The backing is thick for so light a cloth.`,
      likely: (f) => (f.isThickBacking && f.weightGsm < 220 ? 3 : f.isThickBacking ? 1 : 0),
      because: (f) => (f.isThickBacking ? phrase`A medium cut-away under ${count(f.weightGsm)} g/m².` : null),
      now: phrase`Trim rounder, 6 mm from the stitches.`,
      next: phrase`A light mesh; trim rounder.`,
    },
  ],
  scratchy: [
    {
      id: 'cut-away',
      text: phrase`What stays lies on skin.`,
      likely: (f) => (f.staysIn && f.againstSkin ? 3 : f.staysIn ? 2 : 0),
      because: (f) => (f.staysIn ? phrase`A sheet stays in${f.againstSkin ? ', against skin' : ''}.` : null),
      now: phrase`Fuse a soft cover sheet over the back.`,
      next: phrase`A mesh, and a cover sheet.`,
    },
  ],
  nests: [
    {
      id: 'old-needle',
      text: phrase`The needle is old.`,
      likely: (f) => (f.needleHours >= WORN_HOURS / 2 ? 2 : 0),
      because: (f) => (f.needleHours > 0 ? phrase`It has ${count(f.needleHours)} hours.` : null),
      now: phrase`Cut the nest from below; power off, a new needle.`,
      next: phrase`A new needle.`,
    },
    usual(
      'tail',
      phrase`A tail was caught.`,
      phrase`Cut the nest from below; hold the tail for three stitches.`,
      phrase`Hold the tail at every start.`,
    ),
    usual(
      'backwards',
      phrase`A thread was pulled out backwards.`,
      phrase`Thread it anew.`,
      phrase`Cut it at the spool and pull it forwards.`,
    ),
  ],
};
