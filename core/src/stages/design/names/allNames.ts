import { boxOf, centreOf, heightOf, widthOf } from '../../../base/geometry/box';
import { hullOf, type Polygon } from '../../../base/geometry/polygon';
import type { DesignInput } from '../../../model/ticket/design';
import type { Fabric } from '../../../model/ticket/piece';
import { asBonded } from '../applique/bonding';
import { drawnPart, hullOfParts } from '../parts/drawnPart';
import { calledName, designOfRow, namePartOf } from './onTable';

/** What one setting of the hoop must take: every name of an order, each about its own centre. */
export interface NamesTogether {
  /** The hull of all of them, about the design's centre, mm. */
  hull: Polygon;
  widthMm: number;
  heightMm: number;
  /** The one that reaches farthest, as it is called. */
  largest: string;
}

/** All names of an order, as large as they come; null without names, or while none of them is set. */
export function namesTogether(input: DesignInput, fabric: Fabric): NamesTogether | null {
  if (!namePartOf(input) || !input.names) return null;
  const scale = input.scalePercent / 100;
  const hulls = input.names.rows.flatMap((row) => {
    const { parts } = designOfRow(input, row);
    const drawn = parts.flatMap((part) => drawnPart(asBonded(part, fabric)) ?? []);
    if (drawn.length < parts.length) return [];
    const whole = hullOfParts(drawn);
    const centre = centreOf(boxOf(whole));
    const hull = whole.map((p) => ({ x: (p.x - centre.x) * scale, y: (p.y - centre.y) * scale }));
    return [{ name: calledName(row), hull, area: widthOf(boxOf(hull)) * heightOf(boxOf(hull)) }];
  });
  const [first] = hulls;
  if (!first) return null;
  const hull = hullOf(hulls.flatMap((one) => one.hull));
  const { name } = hulls.reduce((most, one) => (one.area > most.area ? one : most), first);
  return { hull, widthMm: widthOf(boxOf(hull)), heightMm: heightOf(boxOf(hull)), largest: name };
}
