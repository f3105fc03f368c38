import type { HowFar } from '@zt/core/base/inSteps';
import { Txt } from './ui/Txt';

/** How far long work over the bench is; nothing while none is under way. */
export function HowFarWord({ howFar }: { howFar: HowFar | null }) {
  return howFar ? (
    <Txt as="small" tone="graphite">{`Going through the bench: ${howFar.read} of ${howFar.of}`}</Txt>
  ) : null;
}
