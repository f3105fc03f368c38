/** What hands do. */
export type HandsDo = 'prepare' | 'hoop' | 'mount' | 'tend' | 'take off' | 'finish';

/** A stretch on the tape of hands, seconds from the beginning of the plan. */
export interface HandsStretch {
  fromS: number;
  toS: number;
  what: HandsDo;
  /** Which piece, from 0. */
  piece: number;
  /** Threads that are put on, where it is mounted. */
  threads: readonly string[];
  /** At which run hands are at the machine. */
  run?: number;
}

/** A stretch on the tape of a machine: it stitches by itself, or hands are at it. */
export interface MachineStretch {
  fromS: number;
  toS: number;
  piece: number;
  by: 'machine' | 'hands';
}

/** While a piece is in a hoop. */
export interface HoopStretch {
  fromS: number;
  toS: number;
  piece: number;
  hoop: string;
}

/** A day as it is drawn: a tape for hands, one for each machine, and which hoop is whose when. */
export interface Tapes {
  hands: HandsStretch[];
  machines: MachineStretch[][];
  hoops: HoopStretch[];
  endS: number;
}
