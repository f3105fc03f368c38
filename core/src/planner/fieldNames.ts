import { STAGES, type Stage } from '../model/stages';
import type { Ticket } from '../model/ticket';
import { nameOfPart } from '../stages/design/parts/drawnPart';
import { MARK_NAMES } from '../stages/mount/hoopAgain';
import { PIECE_KINDS } from '../stages/piece/kinds';
import { SEWING_SUMS } from '../stages/piece/sewing';

type Namer = (ticket: Ticket, keys: string[]) => string;

const readingName = ({ piece }: Ticket, id = ''): string =>
  PIECE_KINDS[piece.kind].readings.find((r) => r.id === id)?.name ?? inWords(id);
const row = (index = '0'): number => Number(index) + 1;
const sewingName = (id = ''): string =>
  Object.values(SEWING_SUMS)
    .flatMap((sum) => sum.fields)
    .find((field) => field.id === id)?.name ?? inWords(id);
/** A figure of a part: of the design itself, where it has one part only. */
function ofPart({ design }: Ticket, index: string | undefined, what: string): string {
  const part = design.parts[Number(index)];
  if (part && design.parts.length > 1) return `${what} of “${nameOfPart(part)}”`;
  return what === 'width' || what === 'height' ? `design ${what}` : what;
}
const SIDES_OF_ROW: Record<string, string> = {
  atMm: 'height',
  leftMm: 'middle to your left edge',
  rightMm: 'middle to your right edge',
};

/** The names of the fields of a ticket, by path; a `*` is any one key, given to the namer in their order. */
const NAMES: Record<string, string | Namer> = {
  name: 'name of the ticket',
  customer: 'for whom',
  due: 'promised for',
  blankMinor: 'what one bare piece costs',
  'piece.readings.*': (ticket, [id]) => readingName(ticket, id),
  'piece.evenness.*.*': (_, [i, side = '']) => `${SIDES_OF_ROW[side] ?? inWords(side)} ${row(i)}`,
  'piece.grain.overMm': 'grain followed over',
  'piece.grain.driftMm': 'grain wanders by',
  'piece.quantity': 'how many pieces',
  'piece.sizes.*.count': (_, [i]) => `how many of size ${row(i)}`,
  'piece.sizes.*.name': (_, [i]) => `name of size ${row(i)}`,
  'piece.sizes.*.readings.*': (ticket, [i, id]) => `${readingName(ticket, id)}, size ${row(i)}`,
  'piece.sewing.*': (_, [id]) => sewingName(id),
  'piece.fabricChanges.weightGsm': 'weight, g/m²',
  'piece.fabricChanges.stretchPercent': 'stretch, %',
  'piece.fabricChanges.thicknessMm': 'thickness, mm',
  'piece.fabricChanges.pileMm': 'pile height, mm',
  'design.name': 'name of the design',
  'design.stitching.rowMm': 'rows apart, mm',
  'design.parts.*.widthMm': (ticket, [i]) => ofPart(ticket, i, 'width'),
  'design.parts.*.heightMm': (ticket, [i]) => ofPart(ticket, i, 'height'),
  'design.parts.*.stitches': (ticket, [i]) => ofPart(ticket, i, 'stitches'),
  'design.parts.*.letterHeightMm': 'height of the smallest letters',
  'design.parts.*.at.x': (ticket, [i]) => ofPart(ticket, i, 'across'),
  'design.parts.*.at.y': (ticket, [i]) => ofPart(ticket, i, 'down'),
  'design.parts.*.turnDeg': (ticket, [i]) => ofPart(ticket, i, 'turned'),
  'design.parts.*.scalePercent': (ticket, [i]) => ofPart(ticket, i, 'scaled, %'),
  'design.parts.*.colours.*.name': (_, [, i]) => `name of colour ${row(i)}`,
  'design.parts.*.colours.*.stitches': (_, [, i]) => `stitches of colour ${row(i)}`,
  'design.parts.*.letters.text': (ticket, [i]) => ofPart(ticket, i, 'letters'),
  'design.parts.*.letters.capMm': (ticket, [i]) => ofPart(ticket, i, 'height of a capital'),
  'design.parts.*.letters.spacingMm': (ticket, [i]) => ofPart(ticket, i, 'between letters'),
  'design.parts.*.letters.linePercent': (ticket, [i]) => ofPart(ticket, i, 'line to line, %'),
  'design.parts.*.letters.radiusMm': (ticket, [i]) => ofPart(ticket, i, 'radius'),
  'design.names.allowedMm': 'no name wider than',
  'design.names.rows.*.text': (_, [i]) => `name ${row(i)}`,
  'design.names.rows.*.spacingMm': (_, [i]) => `between the letters of name ${row(i)}`,
  'design.names.rows.*.capPercent': (_, [i]) => `height of name ${row(i)}, % of all`,
  'design.scalePercent': 'resized on the machine, %',
  'place.edgeGapMm': 'gap from the edge',
  'place.repeat.gapMm': 'wished gap',
  'place.repeat.marginMm': 'margin at either end',
  'place.scatter.count': 'how many',
  'place.scatter.gapMm': 'least gap',
  'place.depth.mm': 'depth of your own',
  'place.offset.x': 'off the rule, across',
  'place.offset.y': 'off the rule, up or down',
  'hoop.methodWhy': 'why this method',
  'layers.support.why': 'why this support',
  'layers.choices.*.why': (_, [part]) => `why this ${part}`,
  'mount.readings.*.x': ({ mount }, [i]) => `${markName(mount.readings[Number(i)]?.mark)} across`,
  'mount.readings.*.y': ({ mount }, [i]) => `${markName(mount.readings[Number(i)]?.mark)} along`,
  'stitch.bobbinLeftM': 'bobbin left, m',
  'log.misplacementMm': 'off its place by',
  'log.off.right': 'off its place, sideways',
  'log.off.down': 'off its place, up or down',
  'log.off.endDown': 'its right end, up or down',
  'log.others.*.off.right': (ticket, [i]) => `piece ${pieceOf(ticket, i)}, off its place sideways`,
  'log.others.*.off.down': (ticket, [i]) => `piece ${pieceOf(ticket, i)}, off its place up or down`,
  'log.others.*.off.endDown': (ticket, [i]) => `piece ${pieceOf(ticket, i)}, its right end up or down`,
  'log.used.keyed.turnDeg': 'turn that was keyed',
  'log.used.keyed.x': 'keyed to the right',
  'log.used.keyed.y': 'keyed towards you',
  'log.counted.stitches': 'stitches, counted by the machine',
  'log.counted.topM': 'top thread, m',
  'log.counted.bobbinM': 'bobbin thread, m',
  'log.minutes.*': (_, [stage]) => `minutes, ${stage}`,
  'log.note': 'note',
  'log.nextTime': 'what to change next time',
  'log.by': 'done by',
};

const pieceOf = ({ log }: Ticket, i: string | undefined): number => log.others[Number(i)]?.piece ?? 0;

function markName(mark: keyof typeof MARK_NAMES | undefined): string {
  return mark ? MARK_NAMES[mark] : 'a mark';
}

/** `stripWidthMm` as words: strip width. */
const inWords = (key: string): string =>
  key
    .replace(/Mm$/, '')
    .replace(/([a-z])([A-Z])/g, '$1 $2')
    .replaceAll('-', ' ')
    .toLowerCase();

/** The last key of a path in words, for what has no name of its own: `loose.2.widthMm` is the width. */
export function wordsOfPath(path: string): string {
  const named = path.split('.').filter((key) => !/^\d+$/.test(key));
  return inWords(named.at(-1) ?? path);
}

/** The keys that stand where a pattern has `*`; null where the path is not of the pattern. */
function keysOf(pattern: string, path: string): string[] | null {
  const [wanted, keys] = [pattern.split('.'), path.split('.')];
  if (wanted.length !== keys.length || !wanted.every((part, i) => part === '*' || part === keys[i]))
    return null;
  return keys.filter((_, i) => wanted[i] === '*');
}

/** What a field of a ticket is called, by its path; the last key in words where it has no name of its own. */
export function fieldName(path: string, ticket: Ticket): string {
  for (const [pattern, name] of Object.entries(NAMES)) {
    const keys = keysOf(pattern, path);
    if (keys) return typeof name === 'string' ? name : name(ticket, keys);
  }
  return wordsOfPath(path);
}

/** The stage that a field is on; what is not on a stage stands with the piece. */
export function stageOfField(path: string): Stage {
  return STAGES.find((stage) => path.split('.')[0] === stage) ?? 'piece';
}
