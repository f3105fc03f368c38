import type { Hoop } from '../../../model/shelf';
import { CLAMP_FRAME } from './clampFrame';
import type { HoopKind } from './hoopKind';
import { MAGNETIC } from './magnetic';
import { OPEN_FRAME } from './openFrame';
import { QUICK_RELEASE } from './quickRelease';
import { SCREW } from './screw';

/** Every kind of hoop, the commonest first; a new one is a file here and its name in this list. */
export const HOOP_KINDS: readonly HoopKind[] = [SCREW, QUICK_RELEASE, MAGNETIC, CLAMP_FRAME, OPEN_FRAME];

const BY_ID = new Map(HOOP_KINDS.map((kind) => [kind.id, kind]));

/** Whether a hoop's kind is one that is known here; another version may have kept one that is not. */
export const isKindKnown = ({ kind }: Pick<Hoop, 'kind'>): boolean => BY_ID.has(kind);

/** The kind of a hoop; a hoop of a kind that is not known never fits, and is handled as a screw hoop. */
export const hoopKindOf = ({ kind }: Pick<Hoop, 'kind'>): HoopKind => BY_ID.get(kind) ?? SCREW;
