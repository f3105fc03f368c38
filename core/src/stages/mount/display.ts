import { boxOf, centreOf } from '../../base/geometry/box';
import { type Point, rotate } from '../../base/geometry/point';
import { phrase } from '../../base/units/phrase';
import { type Finding, finding } from '../../model/finding';
import type { Looks } from '../../model/ticket/design';
import type { DesignFacts } from '../design/designFacts';
import type { PieceOutline } from '../piece/geometry';
import type { PlacePlan } from '../place/planPlace';

/** Ways on the machine's display, which shows the field as the operator sees it. */
export type DisplayWay = 'to the left' | 'to the right' | 'up' | 'down';

/** What the design must look like on the machine's display once everything is keyed in. */
export interface Display {
  /** Where the design's own top points; null for one without an up. */
  topPoints: DisplayWay | null;
  /** Where its figure looks; null for one without. */
  looks: DisplayWay | null;
  /** Both, and the mirror, in words. */
  text: string;
}

const wayOf = ({ x, y }: Point): DisplayWay =>
  Math.abs(x) > Math.abs(y) ? (x > 0 ? 'to the right' : 'to the left') : y > 0 ? 'down' : 'up';

const lookOf = (looks: Looks, mirror: boolean): Point => ({
  x: (looks === 'right') !== mirror ? 1 : -1,
  y: 0,
});

/** The design as the display must show it, turned and mirrored as keyed. */
export function displayFor(facts: DesignFacts, keys: { turnDeg: number; mirror: boolean }): Display {
  const topPoints = facts.hasUp ? wayOf(rotate({ x: 0, y: -1 }, keys.turnDeg)) : null;
  const looks = facts.looks ? wayOf(rotate(lookOf(facts.looks, keys.mirror), keys.turnDeg)) : null;
  const words = [
    ...(topPoints === null ? [] : [topPoints === 'up' ? 'upright' : `its top points ${topPoints}`]),
    ...(looks === null ? [] : [`its figure looks ${looks}`]),
    ...(keys.mirror ? ['mirrored'] : []),
  ];
  return { topPoints, looks, text: words.length > 0 ? words.join(', ') : 'as it was drawn' };
}

/** Nearer to the middle than this a figure may look either way, mm. */
const MIDDLE_MM = 15;

/** Which way a figure should look: towards a pocket beside it, else towards the centre; 0 where either will do. */
function inwards(place: PlacePlan, outline: PieceOutline): { x: number; to: string } {
  const pocket = outline.noGo.find((area) => area.id === 'pocket');
  const target = pocket ? centreOf(boxOf(pocket.area)).x : 0;
  const off = target - place.centre.x;
  return { x: Math.abs(off) < MIDDLE_MM ? 0 : Math.sign(off), to: pocket ? 'pocket' : 'centre' };
}

/** A figure that looks out of the piece, with the mirror that makes it look in; never for lettering. */
export function looksFindings(
  facts: DesignFacts,
  mirror: boolean,
  { place, outline }: { place: PlacePlan; outline: PieceOutline },
): Finding[] {
  if (!facts.looks || facts.lettering) return [];
  const look = rotate(lookOf(facts.looks, mirror), place.turnDeg);
  const wanted = inwards(place, outline);
  if (wanted.x === 0 || Math.abs(look.x) < 0.5 || Math.sign(look.x) === wanted.x) return [];
  return [
    finding('mount', 'mount-looks-away', 'note', phrase`Its figure looks away from the ${wanted.to}.`, {
      mends: [
        {
          label: mirror ? phrase`Take the mirror off` : phrase`Mirror it`,
          result: phrase`it looks towards the ${wanted.to}`,
          change: { stage: 'mount', set: { mirror: !mirror } },
        },
      ],
    }),
  ];
}
