import { nameOfFile } from '@zt/core/model/ticket/designBounds';
import { EMPTY_PART, type Part } from '@zt/core/model/ticket/part';
import { isBlank, withPart, withPartAdded } from '@zt/core/stages/design/parts/acts';
import { stitchFigures } from '@zt/core/stages/design/stitchFigures';
import type { HowWide as HowWideAsked, ReadSvg } from '@zt/core/stages/design/svg/readSvg';
import type { SvgRefusal } from '@zt/core/stages/design/svg/refuse';
import { createElement, useRef, useState } from 'react';
import { Callout } from '../../components/ui/Callout';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { useIsExample } from '../../example/useExample';
import { newId } from '../../hooks/newId';
import { useRules, useTicket, useTicketActs } from '../../hooks/useTicket';
import { keepDrawing } from '../../store/shopActs';
import { useAppDispatch } from '../../store/store';
import { usePalette } from '../../theme/palette';
import type { WorkerJob } from '../../workers/inWorker';
import { readDrawing } from '../../workers/readDrawing';
import { HowWide } from './HowWide';
import { useParts } from './useParts';

/** What was read of a drawing as a part's own. */
const drawnAs = ({ widthMm, heightMm, stitches, colours, artwork }: ReadSvg): Partial<Part> => ({
  widthMm,
  heightMm,
  stitches,
  colours,
  artwork,
  densityClass: null,
  elementMoves: [],
  scalePercent: 100,
});

/**
 * Chooses an SVG file and reads it at its true size, in the place of a part that is a drawing, or as a part more; a file
 * that cannot be used leaves the ticket as it was.
 */
export function SvgChooser({ part }: { part: Part | null }) {
  const { parts, choose } = useParts();
  const ticket = useTicket('design', 'piece');
  const rules = useRules();
  const { change } = useTicketActs();
  const dispatch = useAppDispatch();
  const isExample = useIsExample();
  const p = usePalette();
  const input = useRef<HTMLInputElement>(null);
  const isFirst = parts.every(isBlank);
  const [reading, setReading] = useState<WorkerJob<ReadSvg | SvgRefusal | HowWideAsked> | null>(null);
  const [refusal, setRefusal] = useState<string | null>(null);
  /** A drawing of which nobody has said how wide it is. */
  const [asked, setAsked] = useState<{ file: File; upright: number } | null>(null);
  /** What is read last counts: an answer to an earlier question comes too late. */
  const latest = useRef<object | null>(null);
  /** Reading takes a while: what was changed meanwhile stays. */
  const ticketNow = useRef(ticket);
  ticketNow.current = ticket;
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
    const { source } = result.artwork;
    // Of the example nothing is kept, and so it is not read again.
    const drawn = drawnAs(isExample ? { ...result, artwork: { ...result.artwork, source: null } } : result);
    const { design } = ticketNow.current;
    const added = { ...EMPTY_PART, id: newId(), ...drawn };
    const next = part ? withPart(design.parts, part.id, drawn) : withPartAdded(design.parts, added);
    const isWhole = next.length === 1;
    // A name that was typed before there was a drawing stays; a new drawing that is all of the design brings its own.
    const kept = design.parts.every(isBlank) || !isWhole ? design.name : '';
    const name = kept || nameOfFile(file.name);
    change({
      stage: 'design',
      set: { name, parts: next, order: null, ...(isWhole ? { scalePercent: 100 } : {}) },
    });
    choose([part?.id ?? added.id]);
    if (source && !isExample) dispatch(keepDrawing({ id: source.drawing, text: await file.text() }));
  };
  return (
    <Stack gap={6}>
      {createElement('input', {
        ref: input,
        type: 'file',
        accept: '.svg,image/svg+xml',
        'aria-label': part ? 'Another SVG drawing' : 'SVG drawing',
        style: { display: 'none' },
        onChange: (event: { target: HTMLInputElement }) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) void read(file);
        },
      })}
      <Row align="middle" wrap>
        {part?.artwork ? (
          <Stack grow>
            <Txt
              as="small"
              tone="graphite"
            >{`From ${part.artwork.fileName}: outline, colours and stitches were worked out from it.`}</Txt>
          </Stack>
        ) : null}
        <Press
          grow={!part?.artwork}
          title={part?.artwork ? 'Another' : part || isFirst ? 'Read an SVG drawing' : 'Drawing'}
          label={part ? 'Read another SVG drawing' : isFirst ? 'Read an SVG drawing' : 'Add an SVG drawing'}
          onPress={() => input.current?.click()}
        />
      </Row>
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
