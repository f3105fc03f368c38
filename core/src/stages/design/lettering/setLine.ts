/// <reference path="./harfbuzz.d.ts" />
import bidiFactory from 'bidi-js';
import type { Typeface } from './typeface';

/** What stands for one letter, or for letters that a face joins into one: it keeps together on any baseline. */
export interface Cluster {
  /** The letters it stands for. */
  text: string;
  /** Its glyphs, seen from its own start, in units of the face, y up. */
  glyphs: { id: number; x: number; y: number }[];
  /** Where it starts on the line, and how far on the next one does, in units of the face. */
  x: number;
  advance: number;
}

export interface SetLine {
  clusters: Cluster[];
  width: number;
}

const bidi = bidiFactory();

interface Run {
  text: string;
  /** Where the run begins in the line. */
  from: number;
  direction: 'ltr' | 'rtl';
}

/** Runs of one direction in the order they stand, from left to right (Unicode Standard Annex 9). */
function runsOf(text: string): Run[] {
  const embedding = bidi.getEmbeddingLevels(text);
  const { levels } = embedding;
  const order = [...Array(text.length).keys()];
  for (const [start, end] of bidi.getReorderSegments(text, embedding))
    order.splice(start, end - start + 1, ...order.slice(start, end + 1).reverse());
  const runs: { level: number; at: number[] }[] = [];
  for (const at of order) {
    const level = levels[at] ?? 0;
    const last = runs[runs.length - 1];
    const before = last?.at[last.at.length - 1];
    const goesOn = last?.level === level && before !== undefined && Math.abs(before - at) === 1;
    if (goesOn) last.at.push(at);
    else runs.push({ level, at: [at] });
  }
  return runs.map(({ level, at }) => {
    const from = Math.min(...at);
    return {
      text: text.slice(from, from + at.length),
      from,
      direction: level % 2 === 1 ? 'rtl' : 'ltr',
    };
  });
}

/** The clusters of a run from left to right, each with the text up to the next one of the text. */
function clustersOf({ text, direction }: Run, face: Typeface): Omit<Cluster, 'x'>[] {
  const found: (Omit<Cluster, 'x'> & { cluster: number })[] = [];
  for (const { id, cluster, dx, dy, advance } of face.shape(text, direction)) {
    const last = found[found.length - 1];
    if (last?.cluster === cluster) {
      last.glyphs.push({ id, x: last.advance + dx, y: dy });
      last.advance += advance;
    } else found.push({ cluster, text: '', glyphs: [{ id, x: dx, y: dy }], advance });
  }
  const starts = found.map(({ cluster }) => cluster).sort((a, b) => a - b);
  return found.map(({ cluster, glyphs, advance }) => ({
    text: text.slice(cluster, starts[starts.indexOf(cluster) + 1] ?? text.length),
    glyphs,
    advance,
  }));
}

/**
 * One line of text in a face, from left to right whichever way it is read, `spacing` units between two letters. Width is
 * the sum of what the letters take; an empty line has none.
 */
export function setLine(text: string, face: Typeface, spacing: number): SetLine {
  const all = runsOf(text).flatMap((run) => clustersOf(run, face));
  let x = 0;
  const clusters = all.map((cluster): Cluster => {
    const at = x;
    x += cluster.advance + spacing;
    return { ...cluster, x: at };
  });
  return { clusters, width: Math.max(0, x - (all.length > 0 ? spacing : 0)) };
}
