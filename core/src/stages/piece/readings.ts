import type { SpotRule } from './usualPlacement';

/** Lengths in mm by reading id. */
export type Readings = Readonly<Record<string, number>>;

/** One tape reading of a kind of piece. Limits in mm. */
export interface Reading {
  id: string;
  name: string;
  how: string;
  leastMm: number;
  mostMm: number;
  typicalMm: number;
  /** Two landmarks between which the tape lies, in the view it is taken on. */
  from: string;
  to: string;
  /** The view the tape is laid on; the kind's first one when absent. */
  on?: string;
  /** Only needed when the design goes on one of these views; always when absent. */
  needed?: readonly string[];
  /** Improves the drawing; the plan can do without it. */
  optional?: true;
  /** Rules whose marks do without it: it can be taken later, before the ring closes. */
  waits?: readonly SpotRule['by'][];
  /** Only asked where the design is placed by one of these rules; always when absent. */
  only?: readonly SpotRule['by'][];
  /** It says where the armhole lies, which one school for chests goes by. */
  byArmhole?: true;
}
