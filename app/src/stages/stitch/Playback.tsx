import { DEFAULT_SPEED } from '@zt/core/stages/stitch/planStitch';
import { useState } from 'react';
import { countOf, oneDigit } from '../../components/figures';
import { Choice } from '../../components/ui/Choice';
import { IconPress } from '../../components/ui/IconPress';
import { Meter } from '../../components/ui/Meter';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Scrub } from '../../components/ui/Scrub';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { usePlan } from '../../hooks/useTicket';
import { goTo, lookAt, play, usePlayhead } from '../../stitches/playhead';
import { makeAgain, stopMaking, useStitches } from '../../stitches/useStitchesMade';
import { usePalette } from '../../theme/palette';
import { type StitchOut, stopAt, useStitchOut } from './useStitchOut';

const PACES = [
  { id: 'machine', name: 'as the machine' },
  { id: 'quick', name: '20 times' },
  { id: 'whole', name: 'all in 20 s' },
] as const;
type Pace = (typeof PACES)[number]['id'];
const WHOLE_S = 20;

const LOOKS = [
  { id: 'thread', name: 'thread' },
  { id: 'density', name: 'how thick it lies' },
] as const;

/** The stitch-out, played and scrubbed on the sheet. */
function Played({ out }: { out: StitchOut }) {
  const { mount, design } = usePlan('mount', 'design');
  const scale = design.facts?.scale ?? 1;
  const { at, total, isPlaying, isDensity } = usePlayhead();
  const [pace, setPace] = useState<Pace>('whole');
  const perSecond = (mount?.machine?.stitchesPerMinute ?? DEFAULT_SPEED) / 60;
  const paceOf: Record<Pace, number> = {
    machine: perSecond,
    quick: perSecond * 20,
    whole: total / WHOLE_S,
  };
  const choose = (chosen: Pace) => {
    setPace(chosen);
    if (isPlaying) play(paceOf[chosen]);
  };
  const stop = stopAt(out, at);
  const name = out.plan.stops[stop]?.called ?? '';
  const said = `stitch ${Math.ceil(at)} of ${total}, colour ${stop + 1}, ${name}`;
  return (
    <Stack gap={6}>
      <Row gap={4} align="middle">
        <IconPress
          icon={isPlaying ? 'pause' : 'play'}
          label={isPlaying ? 'Stand still' : 'Play the stitch-out'}
          onPress={() => play(isPlaying ? null : paceOf[pace])}
        />
        <Scrub
          label="How far it is stitched"
          said={said}
          value={Math.ceil(at)}
          most={total}
          onChange={goTo}
        />
      </Row>
      <Txt as="small" testID="stitch-at">
        {said}
      </Txt>
      <Choice
        label="On the sheet"
        quiet
        small
        options={LOOKS}
        chosen={isDensity ? 'density' : 'thread'}
        onChoose={(look) => lookAt(look === 'density')}
      />
      {isDensity ? (
        <Txt as="small">{`The darker, the thicker: at most ${oneDigit(out.answer.made.mostCover / scale)} mm of thread on a mm². Chequered is too thick.`}</Txt>
      ) : null}
      {!isPlaying ? null : (
        <Choice label="Pace" quiet small options={PACES} chosen={pace} onChoose={choose} />
      )}
    </Stack>
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
