import { phrase } from '../../../base/units/phrase';
import { type Finding, finding } from '../../../model/finding';
import type { DesignInput } from '../../../model/ticket/design';
import type { Part } from '../../../model/ticket/part';
import type { Fabric } from '../../../model/ticket/piece';

const withoutWeb = ({ cloth, ...rest }: Part['appliques'][number]): Part['appliques'][number] => ({
  ...rest,
  cloth: { ...cloth, fused: false },
});

const isFused = ({ appliques }: Part): boolean => appliques.some(({ cloth }) => cloth.fused);

const made = new WeakMap<Part, Part>();

/** A part as its cloth is bonded: without web on a piece that takes no iron. The same part gives the very same object. */
export function asBonded(part: Part, { iron }: Pick<Fabric, 'iron'>): Part {
  if (iron !== 'no' || !isFused(part)) return part;
  const before = made.get(part);
  if (before) return before;
  const next = { ...part, appliques: part.appliques.map(withoutWeb) };
  made.set(part, next);
  return next;
}

/** What is said where fusible web was asked for on a piece that takes no iron. */
export function bondingFindings({ parts }: DesignInput, { iron, name }: Fabric): Finding[] {
  if (iron !== 'no' || !parts.some(isFused)) return [];
  const unfused = parts.map((part) => ({ ...part, appliques: part.appliques.map(withoutWeb) }));
  const mend = {
    label: phrase`Without web`,
    result: phrase`spray adhesive and the tack-down hold the cloth`,
    change: { stage: 'design' as const, set: { parts: unfused } },
  };
  const text = phrase`${name} takes no iron: the appliqué is sprayed, not fused.`;
  return [finding('design', 'design-web-on-cold-cloth', 'warn', text, { mends: [mend] })];
}
