import { distance } from '../../base/geometry/point';
import { type Phrase, phrase } from '../../base/units/phrase';
import type { Sheet } from '../../model/ticket/layers';
import type { Plan } from '../../planner/planned';
import { hoopKindOf } from '../../stages/hoop/kinds';
import type { CopyKeys } from '../../stages/mount/copyKeys';
import { topperWords } from '../../stages/mount/planMount';
import { nameOf } from './cutAndBond';
import { wayToHoopCentre } from './ring';
import { type Step, stepOf } from './step';

/** Nearer than this two hoop centres are one: a hand lays no hoop finer, mm. */
const SAME_MM = 0.1;

/** The copies that are stitched while the hoop stays where it is. */
interface OneHooping {
  copies: CopyKeys[];
  /** Whether it is the one that the first copy is in. */
  isFirst: boolean;
}

/** What is stitched after the first copy, hooping by hooping: those of the first one, then the others in their order. */
function hoopingsAfter({ hoop, mount }: Plan): OneHooping[] {
  const { laid } = hoop ?? {};
  if (!laid || !mount) return [];
  const groups: OneHooping[] = [];
  for (const copy of mount.copies) {
    const isSame = (other: CopyKeys) =>
      distance(other.hoopAt, copy.hoopAt) < SAME_MM && other.onPieceDeg === copy.onPieceDeg;
    const group = groups.find(({ copies }) => copies.some(isSame));
    const isFirst = copy.hoopTurnDeg === 0 && distance(copy.hoopAt, laid.centre) < SAME_MM;
    if (group) group.copies.push(copy);
    else groups.push({ copies: [copy], isFirst });
  }
  return groups.sort((a, b) => Number(b.isFirst) - Number(a.isFirst));
}

const step = (id: string, text: Phrase, rest: Partial<Step> = {}): Step =>
  stepOf('further copies', id, text, rest);

/** Numbers in words: "no. 2", "no. 2 and 3", "no. 2, 3 and 4". */
function numbersOf(copies: readonly CopyKeys[]): string {
  const all = copies.map(({ number }) => String(number));
  const last = all.pop() ?? '';
  return all.length === 0 ? `no. ${last}` : `no. ${all.join(', ')} and ${last}`;
}

/** Off the machine and out of the hoop, and into it again about other copies. */
function hoopAgain(plan: Plan, { copies }: OneHooping, count: number): Step[] {
  const { hoop, layers, place, design } = plan;
  const [near] = [...copies].sort(
    (a, b) => distance(a.hoopAt, centreOf(plan, a)) - distance(b.hoopAt, centreOf(plan, b)),
  );
  if (!hoop?.laid || !layers || !place || !near) return [];
  const mark = centreOf(plan, near);
  const axisDeg = place.copies[near.number - 1]?.turnDeg ?? place.turnDeg;
  const way = wayToHoopCentre(near.hoopAt, mark, axisDeg);
  const kind = hoopKindOf(hoop.laid.verdict.hoop);
  const floated = hoop.method === 'floated';
  const named = (where: Sheet['where']): string =>
    layers.sheets
      .filter((sheet) => sheet.where === where)
      .map((sheet) => nameOf(sheet))
      .join(' and of ');
  const [sheets, under] = [named('in the ring'), named('under the ring')];
  const topper = layers.parts.topper.choice;
  return [
    step(`off ${count}`, phrase`Off the machine and out of the hoop. Leave all marks on the cloth.`, {
      ring: 'loosen',
      caution: phrase`Hands in only when the machine stands still.`,
    }),
    ...(sheets === ''
      ? []
      : [
          step(
            `sheet ${count}`,
            floated
              ? phrase`Hoop a new sheet of ${sheets}, as for no. 1.`
              : phrase`Put a new sheet of ${sheets} under the cloth, as for no. 1.`,
            { ring: 'sheet' },
          ),
        ]),
    ...(near.hoopTurnDeg === 0
      ? []
      : [
          step(
            `turn ${count}`,
            phrase`Turn the hoop ${String(near.hoopTurnDeg)}° clockwise on the piece, with ${numbersOf(copies)}.`,
            { ring: 'arrows' },
          ),
        ]),
    way
      ? step(
          `hoop centre ${count}`,
          phrase`Hoop centre for ${numbersOf(copies)}: from the centre mark of no. ${String(near.number)} go ${way}.`,
          { cross: near.hoopAt },
        )
      : step(
          `hoop centre ${count}`,
          phrase`Align the hoop's notches with the centre mark and both axis marks of no. ${String(near.number)}.`,
          { cross: near.hoopAt },
        ),
    floated
      ? step(`smooth ${count}`, phrase`Smooth the piece from the middle outwards and fasten it as before.`, {
          ring: 'drum',
        })
      : step(`close ${count}`, kind.close, {
          ring: 'sides',
          caution: kind.closeCaution,
          hint: layers.tension,
        }),
    ...(under === ''
      ? []
      : [
          step(`slip ${count}`, phrase`Slip a new sheet of ${under} under the hoop, as for no. 1.`, {
            ring: 'sheet',
          }),
        ]),
    // Over cloth that is still to be laid it comes at its stop, as for the first copy.
    ...(topper.id === 'none' || (design.facts?.cloths.length ?? 0) > 0
      ? []
      : [step(`topper ${count}`, topperWords(topper.name, layers))]),
    step(`latched ${count}`, phrase`Latch the hoop on the carriage; reach under it all round, and trace.`, {
      caution: phrase`Hands away from a moving hoop.`,
    }),
  ];
}

const centreOf = ({ place }: Plan, { number }: CopyKeys) =>
  place?.copies[number - 1]?.centre ?? { x: Number.NaN, y: Number.NaN };

/** Each further copy with its hoop centre, its machine settings and its stitches, hooping by hooping; nothing of a design that comes once. */
export function furtherCopies(plan: Plan): Step[] {
  const { stitch } = plan;
  if (!stitch) return [];
  return hoopingsAfter(plan).flatMap((hooping, i) => [
    ...(hooping.isFirst ? [] : hoopAgain(plan, hooping, i + 1)),
    ...hooping.copies.flatMap((copy) => [
      step(
        `keys ${copy.number}`,
        phrase`Call up the design for no. ${String(copy.number)} and enter its settings.`,
        {
          keys: copy.number,
          cross: centreOf(plan, copy),
          hint: phrase`Then the needle over its centre mark.`,
        },
      ),
      step(
        `copy ${copy.number}`,
        stitch.stops.length === 1
          ? phrase`Stitch no. ${String(copy.number)}.`
          : phrase`Stitch no. ${String(copy.number)}: all ${String(stitch.stops.length)} colours, as before.`,
        { caution: phrase`Hands away from the moving hoop; never reach in while it runs.` },
      ),
    ]),
  ]);
}
