import type { Fabric } from '../../model/ticket/piece';

/** Of a woven that takes a cool iron at most, so light is fine silk and what is made to look like it, g/m². */
const FINE_GSM = 140;

/** Whether a needle or a pin leaves a hole for good: faux leather and suede, and fine silk. */
export const holesStay = ({
  structure,
  iron,
  weightGsm,
}: Pick<Fabric, 'structure' | 'iron' | 'weightGsm'>): boolean =>
  structure === 'faux suede' || (structure === 'stable woven' && iron !== 'yes' && weightGsm <= FINE_GSM);
