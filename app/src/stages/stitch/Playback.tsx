import { DEFAULT_SPEED } from '@zt/core/stages/stitch/planStitch';
import { countOf } from '../../components/figures';
import { Meter } from '../../components/ui/Meter';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { usePlan } from '../../hooks/useTicket';
import { PlayControls } from '../../stitches/PlayControls';
import { makeAgain, stopMaking, useStitches } from '../../stitches/useStitchesMade';
import { usePalette } from '../../theme/palette';
import { type StitchOut, stopAt, useStitchOut } from './useStitchOut';

/** The stitch-out, played and scrubbed on the sheet. */
function Played({ out }: { out: StitchOut }) {
  const { mount, design } = usePlan('mount', 'design');
  return (
    <PlayControls
      perSecond={(mount?.machine?.stitchesPerMinute ?? DEFAULT_SPEED) / 60}
      stopAt={(at) => {
        const stop = stopAt(out, at);
        return { stop, called: out.plan.stops[stop]?.called ?? '' };
      }}
      mostCover={out.answer.made.mostCover / (design.facts?.scale ?? 1)}
    />
  );
}

/** Stitches that are still to be made, or cannot be. */
function Making() {
  const p = usePalette();
  const { key, making } = useStitches();
  if (key === null) return null;
  if (making?.state === 'failed' || making?.state === 'stopped')
    return (
      <Stack gap={6}>
        <Txt as="small" tone={making.state === 'failed' ? 'madder' : 'graphite'}>
          {making.state === 'failed'
            ? making.message
            : 'Its stitches are not made: the figures are those of its parts, each by itself.'}
        </Txt>
        <Press title="Make the stitches" onPress={() => makeAgain(key)} />
      </Stack>
    );
  const progress = making?.progress ?? null;
  return (
    <Stack gap={6}>
      <Row gap={8} align="middle">
        <Meter
          value={progress?.done ?? 0}
          most={progress?.of ?? 1}
          colour={p.chalk}
          label="Stitches being made"
        />
        <Press title="Stop" onPress={() => stopMaking(key)} />
      </Row>
      <Txt as="small">
        {progress
          ? `Making the stitches: ${countOf(progress.stitches, 'stitch').replace('stitchs', 'stitches')} so far.`
          : 'Making the stitches.'}
      </Txt>
    </Stack>
  );
}

/** The stitches of the design: played where they are made. */
export function Playback() {
  const out = useStitchOut();
  return out ? <Played out={out} /> : <Making />;
}
