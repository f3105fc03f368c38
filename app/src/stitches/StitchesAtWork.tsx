import type { Stage } from '@zt/core/model/stages';
import { useStitchesMade } from './useStitchesMade';

/** Where the stitches themselves are asked about; elsewhere those of the parts, each by itself, are near enough. */
const ASKED_ON: readonly Stage[] = ['design', 'layers', 'stitch'];

function Making() {
  useStitchesMade();
  return null;
}

/** Makes the stitches of the open ticket's design on the stages that ask about them; nothing of it is seen. */
export const StitchesAtWork = ({ stage }: { stage: Stage }) => (ASKED_ON.includes(stage) ? <Making /> : null);
