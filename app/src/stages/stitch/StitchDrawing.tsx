import { boxOf, inflate } from '@zt/core/base/geometry/box';
import { ORIGIN } from '@zt/core/base/geometry/point';
import { mostCoverOn } from '@zt/core/planner/crossChecks/hotSpots';
import type { DesignFacts } from '@zt/core/stages/design/designFacts';
import { useMemo } from 'react';
import { G } from 'react-native-svg';
import { usePlan, useRules, useTicket } from '../../hooks/useTicket';
import { DesignLayer, Shapes } from '../../sheet/layers/DesignLayer';
import { HotSpots } from '../../sheet/layers/HotSpots';
import { ThreadCanvas } from '../../sheet/layers/ThreadCanvas';
import { useOnSheet } from '../../sheet/onSheet';
import { Sheet } from '../../sheet/Sheet';
import { transformAt } from '../../sheet/view';
import { usePlayhead } from '../../stitches/playhead';
import { usePalette } from '../../theme/palette';
import { type StitchOut, stopAt, useStitchOut } from './useStitchOut';

/** The thread laid so far, in its colours; or how thick it lies. */
function Thread({ out, hotAbove }: { out: StitchOut; hotAbove: number }) {
  const { design } = usePlan('design');
  const palette = usePalette();
  const { at, isDensity } = usePlayhead();
  const { answer, plan } = out;
  const scale = design.facts?.scale ?? 1;
  const hexes = plan.stops.map(({ hex, thread }) => thread?.hex ?? hex).join();
  const threads = useMemo(
    () => ({
      stitches: answer.stitches,
      map: answer.map,
      hexes: hexes.split(','),
      hotAbove: hotAbove * scale,
      ink: palette.ink,
      hot: palette.madder,
    }),
    [answer, hexes, hotAbove, scale, palette],
  );
  return <ThreadCanvas threads={threads} scale={scale} upTo={Math.ceil(at)} isDensity={isDensity} />;
}

/** The cloth that is laid on: from the stop on that tacks it down. */
function Cloths({ facts, from }: { facts: DesignFacts; from: number }) {
  const { view, palette } = useOnSheet();
  const cloths = (facts.artwork?.paths ?? []).filter(
    ({ clothHex, stop }) => clothHex !== null && stop <= from,
  );
  return (
    <G transform={transformAt(view, ORIGIN, 0)}>
      <G transform={`scale(${facts.scale})`}>
        <Shapes paths={cloths} hexOf={() => palette.ink} contour={() => ({})} />
      </G>
    </G>
  );
}

/** The design as it is stitched: thread after thread, as far as it is played; without stitches of its own by its shapes. */
export function StitchDrawing() {
  const ticket = useTicket('stitch');
  const plan = usePlan('design', 'stitch', 'piece', 'layers');
  const palette = usePalette();
  const rules = useRules();
  const out = useStitchOut();
  const { at, total, isDensity } = usePlayhead();
  const facts = plan.design.facts;
  if (!facts || !plan.stitch) return null;
  const limit = mostCoverOn(plan.piece.fabric, plan.layers?.sheets.length ?? 1, rules);
  const next = plan.stitch.stops[Math.min(ticket.stitch.stopsDone, plan.stitch.stops.length - 1)];
  const shown = out ? plan.stitch.stops[stopAt(out, at)] : next;
  const description = out
    ? isDensity
      ? `How thick the thread lies: at most ${Math.round((out.answer.made.mostCover / facts.scale) * 10) / 10} mm on a mm².`
      : `The design at stitch ${Math.ceil(at)} of ${total}, in ${shown?.name ?? ''}.`
    : `The design up to colour ${Math.min(ticket.stitch.stopsDone + 1, facts.stops.length)}, ${next?.name ?? ''}.`;
  return (
    <Sheet
      focus={inflate(boxOf(facts.hull), Math.max(facts.widthMm, facts.heightMm) * 0.08)}
      description={description}
      over={
        out ? (
          <>
            <Thread out={out} hotAbove={limit.cover} />
            <HotSpots made={out.answer.made} scale={facts.scale} above={limit.cover} />
          </>
        ) : null
      }
    >
      {out ? (
        <Cloths facts={facts} from={stopAt(out, at)} />
      ) : (
        <DesignLayer
          facts={facts}
          at={ORIGIN}
          turnDeg={0}
          stops={Math.min(facts.stops.length, ticket.stitch.stopsDone + 1)}
          ink={palette.ink}
          ground={palette.paper}
        />
      )}
    </Sheet>
  );
}
