import { phrase } from '../../base/units/phrase';
import { type Finding, finding, type Mend } from '../../model/finding';
import { applyChange, type Change } from '../../model/ticket';
import { EMPTY_HOOP } from '../../model/ticket/hoop';
import { jobOf } from '../hands/job';
import { jobActs } from '../hands/jobActs';
import { obey } from '../hands/obey';
import { type RefusalCode, refusalOf } from '../hands/refusal';
import type { Results } from '../planned';
import type { Given } from '../stage';

/** What stages say themselves of what hands would refuse: then it is not said twice. */
const SAID: Partial<Record<RefusalCode, readonly string[]>> = {
  'nothing-holds': ['layers-floats-on-nothing', 'layers-nothing-holds', 'layers-hold-impossible'],
  'nothing-beneath': ['layers-floats-on-nothing', 'layers-hold-impossible'],
  'hoop-open': ['hoop-cannot-close', 'hoop-part-cannot-close', 'hoop-hooping-cannot-close'],
  'outside-field': ['hoop-misses', 'mount-crooked-misses', 'mount-mirror-misses'],
  'basting-outside': ['mount-crooked-misses', 'mount-mirror-misses', 'mount-basting-misses'],
  'holes-stay': ['layers-hold-impossible'],
  'hot-cloth': ['layers-hold-impossible', 'never-iron', 'never-fuse'],
  'left-over': ['layers-hold-impossible'],
  'does-not-go-in': ['hoop-opening', 'hoop-none-fits'],
};

/** All that hands would refuse in the job of a ticket, each kind of it once. */
function refusedOf({ ticket, rules }: Given, results: Results): RefusalCode[] {
  const job = jobOf(results, rules, ticket.mount.sample);
  return job ? [...new Set(obey(jobActs(results, rules), job).map(({ code }) => code))] : [];
}

/** Ways out that are tried where hands refuse something, cheapest first. */
function waysOut({ ticket }: Given, { piece, hoop }: Results): Pick<Mend, 'label' | 'change'>[] {
  const way = (label: ReturnType<typeof phrase>, change: Change) => ({ label, change });
  const seams = (piece.geometry?.seams ?? []).filter(
    ({ name, style }) => style === 'seam' && !piece.opened.includes(name),
  );
  return [
    ...(ticket.mount.readings.length > 0
      ? [way(phrase`Hoop it again, without these readings`, { stage: 'mount', set: { readings: [] } })]
      : []),
    ...(ticket.mount.mirror
      ? [way(phrase`Take the mirror off`, { stage: 'mount', set: { mirror: false } })]
      : []),
    ...(ticket.layers.support || Object.keys(ticket.layers.choices).length > 0
      ? [
          way(phrase`Take the layers that are proposed`, {
            stage: 'layers',
            set: { support: null, choices: {} },
          }),
        ]
      : []),
    ...(ticket.hoop.shift
      ? [way(phrase`Lay the hoop where it is proposed`, { stage: 'hoop', set: { shift: null } })]
      : []),
    ...seams.map(({ name }) =>
      way(phrase`Open the ${name}`, { stage: 'piece', set: { opened: [...piece.opened, name] } }),
    ),
    way(hoop?.method === 'floated' ? phrase`Hoop it` : phrase`Float it`, {
      stage: 'hoop',
      set: { method: hoop?.method === 'floated' ? 'hooped' : 'floated' },
    }),
    way(phrase`Take the hoop that is proposed`, { stage: 'hoop', set: { ...EMPTY_HOOP } }),
  ];
}

const stopsOf = (results: Results): number =>
  Object.values(results).flatMap((stage) =>
    (stage?.findings ?? []).filter(({ severity }: Finding) => severity === 'stop'),
  ).length;

/** The ways out after which hands do not refuse it any more, nothing else instead, and nothing stands still that did not. */
function mendsFor(
  code: RefusalCode,
  given: Given,
  results: Results,
  replan: (given: Given) => Results,
): Mend[] {
  const [before, stops] = [refusedOf(given, results), stopsOf(results)];
  return waysOut(given, results)
    .filter(({ change }) => {
      const changed = { ...given, ticket: applyChange(given.ticket, change) };
      const after = replan(changed);
      if (!jobOf(after, given.rules, given.ticket.mount.sample) || stopsOf(after) > stops) return false;
      const refused = refusedOf(changed, after);
      return !refused.includes(code) && refused.every((other) => before.includes(other));
    })
    .slice(0, 2)
    .map((way) => ({ ...way, result: phrase`then it can be done` }));
}

/**
 * What hands would refuse when they carry the job out to the letter, said before anyone cuts cloth, with the ways out after
 * which they do not. What a stage says of it itself is left to the stage. `replan` works the stages out anew.
 */
export function handsRefuse(given: Given, results: Results, replan: (given: Given) => Results): Finding[] {
  const said = new Set(
    Object.values(results).flatMap((stage) => (stage?.findings ?? []).map(({ code }: Finding) => code)),
  );
  return refusedOf(given, results)
    .filter((code) => !(SAID[code] ?? []).some((other) => said.has(other)))
    .map((code) => {
      const [stage, text] = refusalOf(code);
      return finding(stage, `hands-${code}`, 'stop', text, { mends: mendsFor(code, given, results, replan) });
    });
}
