import { z } from 'zod';
import { count, phrase } from '../../base/units/phrase';
import { HexSchema } from '../../model/ticket/piece';
import { STITCH_KINDS } from '../../stages/design/stitches/stitches';
import {
  type FileRead,
  refuseLine,
  type StitchFile,
  type StitchRow,
  shortest,
  stitchesOf,
  whyRowIsRefused,
  whyTooMany,
} from './stitchFile';

/** A stitch file as JSON: lists of one length, an entry for each penetration. Published as a JSON Schema. */
export const StitchFileSchema = z
  .object({
    format: z.literal('stitches'),
    version: z.literal(1),
    units: z.literal('mm'),
    frame: z.literal('about the visible centre, x to the right, y down'),
    name: z.string().max(400),
    /** The kinds of stitches, in the order in which they are numbered. */
    kinds: z.array(z.string().max(40)).max(40),
    stops: z.array(z.object({ hex: HexSchema, name: z.string().max(400) })),
    stitches: z.object({
      x: z.array(z.number()),
      y: z.array(z.number()),
      kind: z.array(z.number().int().min(0)),
      stop: z.array(z.number().int().min(0)),
      element: z.array(z.number().int().min(0)),
    }),
  })
  .meta({ title: 'Stitches of an embroidery design' });
type Written = z.infer<typeof StitchFileSchema>;

export const writeJson = ({ name, stops, stitches }: StitchFile): string => {
  const { x, y, kind, stop, element } = stitches;
  const figures = (values: Float32Array): number[] => Array.from(values, (value) => Number(shortest(value)));
  const written: Written = {
    format: 'stitches',
    version: 1,
    units: 'mm',
    frame: 'about the visible centre, x to the right, y down',
    name,
    kinds: [...STITCH_KINDS],
    stops,
    stitches: {
      x: figures(x),
      y: figures(y),
      kind: [...kind],
      stop: [...stop],
      element: [...element],
    },
  };
  return JSON.stringify(written);
};

/** The value in a text; undefined for what is no JSON. */
function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

const rowsOf = ({ stitches, kinds }: Written): StitchRow[] =>
  stitches.x.map((x, i) => ({
    x,
    y: stitches.y[i] ?? Number.NaN,
    stop: stitches.stop[i] ?? Number.NaN,
    element: stitches.element[i] ?? Number.NaN,
    kind: kinds[stitches.kind[i] ?? -1] ?? '',
  }));

/** Reads what `writeJson` writes. What cannot be taken is refused, with the stitch or the field. */
export function readJson(text: string): FileRead {
  const value = parsed(text);
  if (value === undefined) return refuseLine('not-a-stitch-file', phrase`This is no JSON, or it is cut off.`);
  const read = StitchFileSchema.safeParse(value);
  if (!read.success) {
    const [first] = read.error.issues;
    const at = first?.path.join('.') ?? '';
    return refuseLine('broken', phrase`This is no file of stitches: “${at}” is not as it should be.`);
  }
  const { name, stops } = read.data;
  const rows = rowsOf(read.data);
  const lengths = Object.values(read.data.stitches).map(({ length }) => length);
  if (new Set(lengths).size > 1)
    return refuseLine('broken', phrase`Its lists of stitches are not of one length: ${lengths.join(', ')}.`);
  const many = whyTooMany(rows.length, stops.length);
  if (many) return many;
  for (const [i, row] of rows.entries()) {
    const refused = whyRowIsRefused(row, stops.length, phrase`Stitch ${count(i + 1)}`);
    if (refused) return refused;
  }
  return { ok: true, name, stops, stitches: stitchesOf(rows) };
}
