import { mm, percent, phrase } from '../../base/units/phrase';
import { type Finding, finding } from '../../model/finding';
import { hasUnreadFigure, type Machine } from '../../model/shelf';
import type { Miss } from '../hoop/fit';
import type { TurnRank } from '../hoop/rankTurns';
import { looksFindings } from './display';
import type { MountQuestion } from './mountQuestion';

/** A figure of the machine that could not be taken: what is worked out with the one before may be wrong. */
export const unreadFindings = (machine: Machine | null): Finding[] =>
  machine && hasUnreadFigure(machine)
    ? [
        finding(
          'mount',
          'mount-machine-unread',
          'stop',
          phrase`A figure of ${machine.name} was typed and could not be taken: open it on the shelf and type it again.`,
        ),
      ]
    : [];

/** What this machine's screen cannot do: then it is done in the file. */
function limitFindings({ machine, facts }: MountQuestion, mirror: boolean): Finding[] {
  if (!machine) return [];
  const { leastPercent, mostPercent } = machine.resize;
  const scale = Math.round(facts.scale * 100);
  const found: Finding[] = [];
  if (mirror && !machine.mirrors)
    found.push(
      finding(
        'mount',
        'mount-no-mirror',
        'warn',
        phrase`${machine.name} cannot mirror: save the file mirrored, and load that.`,
      ),
    );
  if (scale < leastPercent || scale > mostPercent)
    found.push(
      finding(
        'mount',
        'mount-resize',
        'warn',
        phrase`${machine.name} resizes from ${percent(leastPercent)} to ${percent(mostPercent)}: save the file at ${percent(scale)}, and load that.`,
      ),
    );
  return found;
}

/** The keys as shown bring the design out of the field, though it fits as it was drawn: mirrored it is another shape. */
export function missFindings(miss: Miss | null, mirror: boolean): Finding[] {
  if (!miss || !mirror) return [];
  const by = Math.max(miss.widthMm, miss.heightMm);
  return [
    finding('mount', 'mount-mirror-misses', 'stop', phrase`Mirrored it reaches ${mm(by)} past the field.`, {
      mends: [
        {
          label: phrase`Take the mirror off`,
          result: phrase`it lies inside the field`,
          change: { stage: 'mount', set: { mirror: false } },
        },
      ],
    }),
  ];
}

export function mountFindings(q: MountQuestion, chosen: TurnRank, mirror: boolean): Finding[] {
  const found: Finding[] = [];
  const better = q.hoop.ranks[0];
  if (mirror && q.facts.lettering) {
    found.push({
      code: 'mount-mirrored-letters',
      stage: 'mount',
      severity: 'stop',
      text: phrase`Mirrored lettering reads backwards.`,
      mends: [
        {
          label: phrase`Take the mirror off`,
          result: phrase`the letters read forwards`,
          change: { stage: 'mount', set: { mirror: false } },
        },
      ],
    });
  }
  found.push(...looksFindings(q.facts, mirror, q), ...limitFindings(q, mirror));
  if (chosen.overMm > 0) {
    const mends: Finding['mends'] =
      better && better.overMm < chosen.overMm
        ? [
            {
              label: phrase`Top ${better.topPoints}`,
              result: phrase`${mm(better.inThroatMm)} towards the body`,
              change: { stage: 'hoop', set: { turnDeg: better.turnDeg } },
            },
          ]
        : [];
    found.push({
      code: 'mount-throat',
      stage: 'mount',
      severity: mends.length > 0 ? 'warn' : 'note',
      text: phrase`${mm(chosen.inThroatMm)} of cloth lie towards the machine's body, its throat takes ${mm(q.machine?.throatMm ?? 0)}: roll up the last ${mm(chosen.overMm)} and tape it.`,
      mends,
    });
  }
  if (!q.machine)
    found.push({
      code: 'mount-no-machine',
      stage: 'mount',
      severity: 'note',
      text: phrase`No machine on the shelf takes this hoop.`,
      mends: [],
    });
  return found;
}

/** What was to be basted and has no room, as the hoop lies. */
export function bastingFindings({ layers }: MountQuestion, bastingMm: number | null): Finding[] {
  if (layers.bastingMm === null || bastingMm !== null) return [];
  const film = layers.topperHeldBy === 'basting box' ? phrase` and cut the film past the field` : phrase``;
  return [
    finding(
      'mount',
      'mount-basting-misses',
      'warn',
      phrase`As the hoop lies a basting box would leave the field: hoop it again, or tape the piece${film}.`,
    ),
  ];
}
