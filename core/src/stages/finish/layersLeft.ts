import { STABILIZERS } from '../../catalogue/materials';
import type { LayersPlan, StackLayer } from '../layers/planLayers';

const GONE_BY: Readonly<Record<string, (typeof STABILIZERS)[keyof typeof STABILIZERS]['family'][]>> = {
  'tear-away': ['tear-away'],
  soak: ['wash-away', 'dissolving'],
};

/** Whether a finishing step that is done took a layer away. A cut-away, an interfacing and a permanent film stay. */
function isGone({ role, sheet }: StackLayer, { parts }: LayersPlan, done: readonly string[]): boolean {
  if (role === 'topper') return done.includes('film') && parts.topper.choice.id !== 'permanent-film';
  if (!sheet) return false;
  const { family } = STABILIZERS[sheet.stabilizer];
  return done.some((step) => GONE_BY[step]?.includes(family) ?? false);
}

/** What is left of a stack once some finishing steps are done: nothing is in the ring any more once it is off. */
export function layersLeft(layers: LayersPlan, done: readonly string[]): StackLayer[] {
  const isOff = done.includes('off');
  return layers.stack
    .filter((layer) => !isGone(layer, layers, done))
    .map((layer) => (isOff ? { ...layer, clamped: false } : layer));
}
