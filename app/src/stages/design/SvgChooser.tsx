import { nameOfFile, type ReadSvg, type SvgRefusal } from '@zt/core';
import { stitchFigures } from '@zt/core/stages/design/stitchFigures';
import type { HowWide as HowWideAsked } from '@zt/core/stages/design/svg/readSvg';
import { createElement, useRef, useState } from 'react';
import { Callout } from '../../components/ui/Callout';
import { Press } from '../../components/ui/Press';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { useRules, useTicket, useTicketActs } from '../../hooks/useTicket';
import { usePalette } from '../../theme/palette';
import type { WorkerJob } from '../../workers/inWorker';
import { readDrawing } from '../../workers/readDrawing';
import { HowWide } from './HowWide';

/** Chooses an SVG file and reads it at its true size; a file that cannot be used leaves the ticket as it was. */
export function SvgChooser() {
  const ticket = useTicket('design', 'piece');
  const rules = useRules();
  const { change } = useTicketActs();
  const p = usePalette();
  const input = useRef<HTMLInputElement>(null);
  const [reading, setReading] = useState<WorkerJob<ReadSvg | SvgRefusal | HowWideAsked> | null>(null);
  const [refusal, setRefusal] = useState<string | null>(null);
  /** A drawing of which nobody has said how wide it is. */
  const [asked, setAsked] = useState<{ file: File; upright: number } | null>(null);
  /** What is read last counts: an answer to an earlier question comes too late. */
  const latest = useRef<object | null>(null);
  const read = async (file: File, width: number | null = null) => {
    const mine = {};
    latest.current = mine;
    setRefusal(null);
    setAsked(null);
    const job = readDrawing(file, {
      figures: stitchFigures(rules),
      cloth: ticket.piece.colour,
      widthMm: width,
    });
    setReading(job);
    const worked = await job.done;
    if (latest.current !== mine) return;
    setReading(null);
    if (worked.state === 'stopped') return;
    if (worked.state === 'failed') return setRefusal(worked.message);
    const result = worked.value;
    if (!result.ok && result.code === 'how-wide') return setAsked({ file, upright: result.upright });
    if (!result.ok) return setRefusal(result.message);
    const { widthMm, heightMm, stitches, colours, artwork } = result;
    // A name that was typed before there was a drawing stays; a new drawing brings its own.
    const name = (ticket.design.artwork ? '' : ticket.design.name) || nameOfFile(file.name);
    change({
      stage: 'design',
      set: {
        name,
        widthMm,
        heightMm,
        stitches,
        colours,
        artwork,
        elementMoves: [],
        scalePercent: 100,
      },
    });
  };
  return (
    <Stack gap={6}>
      {createElement('input', {
        ref: input,
        type: 'file',
        accept: '.svg,image/svg+xml',
        'aria-label': 'SVG drawing',
        style: { display: 'none' },
        onChange: (event: { target: HTMLInputElement }) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) void read(file);
        },
      })}
      <Press
        title={ticket.design.artwork ? 'Read another SVG drawing' : 'Read an SVG drawing'}
        onPress={() => input.current?.click()}
      />
      {ticket.design.artwork ? (
        <Txt
          as="small"
          tone="graphite"
        >{`From ${ticket.design.artwork.fileName}: outline, colours and stitches were worked out from it.`}</Txt>
      ) : null}
      {reading ? (
        <Stack gap={6}>
          {createElement('progress', {
            'aria-label': 'Reading the drawing',
            style: { width: '100%', accentColor: p.chalk },
          })}
          <Press kind="link" title="Stop reading" onPress={reading.stop} />
        </Stack>
      ) : null}
      {asked ? (
        <HowWide
          fileName={asked.file.name}
          upright={asked.upright}
          onWidth={(mm) => void read(asked.file, mm)}
          onLeave={() => {
            latest.current = null;
            setReading(null);
            setAsked(null);
          }}
        />
      ) : null}
      {refusal ? (
        <Callout tone="madder" grave role="alert">
          <Txt as="strong">{refusal}</Txt>
        </Callout>
      ) : null}
    </Stack>
  );
}
