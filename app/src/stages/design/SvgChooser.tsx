import { nameOfFile, type ReadSvg, type SvgRefusal } from '@zt/core';
import { stitchFigures } from '@zt/core/stages/design/stitchFigures';
import { createElement, useRef, useState } from 'react';
import { Callout } from '../../components/ui/Callout';
import { Press } from '../../components/ui/Press';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { useRules, useTicket, useTicketActs } from '../../hooks/useTicket';
import { usePalette } from '../../theme/palette';
import type { WorkerJob } from '../../workers/inWorker';
import { readDrawing } from '../../workers/readDrawing';

/** Chooses an SVG file and reads it at its true size; a file that cannot be used leaves the ticket as it was. */
export function SvgChooser() {
  const ticket = useTicket('design');
  const rules = useRules();
  const { change } = useTicketActs();
  const p = usePalette();
  const input = useRef<HTMLInputElement>(null);
  const [reading, setReading] = useState<WorkerJob<ReadSvg | SvgRefusal> | null>(null);
  const [refusal, setRefusal] = useState<string | null>(null);
  const read = async (file: File) => {
    setRefusal(null);
    const job = readDrawing(file, stitchFigures(rules));
    setReading(job);
    const worked = await job.done;
    setReading(null);
    if (worked.state === 'stopped') return;
    if (worked.state === 'failed') return setRefusal(worked.message);
    const result = worked.value;
    if (!result.ok) return setRefusal(result.message);
    const { widthMm, heightMm, stitches, colours, artwork } = result;
    const name = ticket.design.name || nameOfFile(file.name);
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
      {refusal ? (
        <Callout tone="madder" grave role="alert">
          <Txt as="strong">{refusal}</Txt>
        </Callout>
      ) : null}
    </Stack>
  );
}
