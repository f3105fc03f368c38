import type { Act, Deed, Hooping } from '../../../model/deed';
import { topperAfter } from '../../../stages/stitch/clothWork';
import type { StitchStop } from '../../../stages/stitch/planStitch';
import type { Results } from '../../planned';
import { actOf } from '../actOf';

/** What is seen to at the machine, and what is entered once the hoop is latched. */
export function checkActs({ mount }: Results): Act[] {
  if (!mount) return [];
  const keys = actOf('check', 'check keys', { do: 'enter keys', keys: mount.keys });
  return mount.checklist.flatMap(({ id, deed }) => [
    actOf('check', `check ${id}`, deed),
    ...(deed.do === 'latch' ? [keys] : []),
  ]);
}

/** What is done with cloth and film behind a stop, by the ids of its acts. */
function betweenStops(
  { stitch, layers }: Results,
  { time: { cloth }, applique }: StitchStop,
  stop: number,
): [string, Deed][] {
  const deeds: [string, Deed][] = [];
  if (cloth) {
    const isFused = (applique?.of.cloth.fused && applique.of.way !== 'trimmed') ?? false;
    const work: [string, Deed] = [
      `cloth ${stop} ${cloth.id}`,
      cloth.id === 'trim' ? { do: 'trim cloth', stop } : { do: 'lay cloth', stop, isFused },
    ];
    // Neither an iron nor scissors come near the machine.
    deeds.push(
      ...(cloth.id === 'trim' || isFused
        ? ([
            [`cloth ${stop} off`, { do: 'take hoop off', stop }],
            work,
            [`cloth ${stop} on`, { do: 'put hoop back', stop }],
          ] satisfies [string, Deed][])
        : [work]),
    );
  }
  // Over the cloth of an appliqué the topper is laid once that is in its place, before what covers its edge.
  const isTopped = layers !== null && layers.parts.topper.choice.id !== 'none';
  if (isTopped && stitch && topperAfter(stitch.stops) === stop)
    deeds.push([`cloth ${stop} topper`, { do: 'lay topper', by: layers.topperHeldBy ?? 'pins' }]);
  return deeds;
}

/** Colour after colour, and what hands do between them, by the ids of its acts. */
export const stitchDeeds = (results: Results): [string, Deed][] =>
  (results.stitch?.stops ?? []).flatMap((stop, i): [string, Deed][] => [
    [`stitch ${i}`, { do: 'stitch', stop: i }],
    ...betweenStops(results, stop, i),
  ]);

/** The stitches of the first copy. */
export const stitchActs = (results: Results): Act[] =>
  stitchDeeds(results).map(([id, deed]) => actOf('stitch', id, deed));

/**
 * The stitches of a further copy or part: in one where only the machine has work, else colour after colour with what hands do
 * between them.
 */
export function stitchesAgain(
  results: Results,
  number: number,
  on: { hooping: Hooping; copy: number },
): Act[] {
  const hasCloth = (results.stitch?.stops ?? []).some(({ time }) => time.cloth !== null);
  const deeds: [string, Deed][] = hasCloth
    ? stitchDeeds(results).map(([id, deed]) => [`copy ${number} ${id}`, deed])
    : [[`copy ${number}`, { do: 'stitch', stop: 'all' }]];
  return deeds.map(([id, deed]) => actOf('further copies', id, deed, on));
}
