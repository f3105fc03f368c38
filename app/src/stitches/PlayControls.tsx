import { useState } from 'react';
import { oneDigit } from '../components/figures';
import { Choice } from '../components/ui/Choice';
import { IconPress } from '../components/ui/IconPress';
import { Row } from '../components/ui/Row';
import { Scrub } from '../components/ui/Scrub';
import { Stack } from '../components/ui/Stack';
import { Txt } from '../components/ui/Txt';
import { goTo, lookAt, play, usePlayhead } from './playhead';

const PACES = [
  { id: 'machine', name: 'as the machine' },
  { id: 'quick', name: '20 times' },
  { id: 'whole', name: 'all in 20 s' },
] as const;
type Pace = (typeof PACES)[number]['id'];
const WHOLE_S = 20;
const QUICK = 20;

const LOOKS = [
  { id: 'thread', name: 'thread' },
  { id: 'density', name: 'how thick it lies' },
] as const;

interface PlayProps {
  /** What the machine stitches in a second. */
  perSecond: number;
  /** Which stop is being stitched, and what it is called, by the penetration that is shown last. */
  stopAt: (at: number) => { stop: number; called: string };
  /** The thickest place, mm of thread on mm². */
  mostCover: number;
}

/** A stitch-out, played and scrubbed on the sheet. */
export function PlayControls({ perSecond, stopAt, mostCover }: PlayProps) {
  const { at, total, isPlaying, isDensity } = usePlayhead();
  const [pace, setPace] = useState<Pace>('whole');
  const paceOf: Record<Pace, number> = {
    machine: perSecond,
    quick: perSecond * QUICK,
    whole: total / WHOLE_S,
  };
  const choose = (chosen: Pace) => {
    setPace(chosen);
    if (isPlaying) play(paceOf[chosen]);
  };
  const { stop, called } = stopAt(at);
  const said = `stitch ${Math.ceil(at)} of ${total}, colour ${stop + 1}, ${called}`;
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
      <Row align="middle">
        <Stack grow>
          <Txt as="small" testID="stitch-at">
            {said}
          </Txt>
        </Stack>
        <Choice
          label="On the sheet"
          quiet
          small
          options={LOOKS}
          chosen={isDensity ? 'density' : 'thread'}
          onChoose={(look) => lookAt(look === 'density')}
        />
      </Row>
      {isDensity ? (
        <Txt as="small">{`The darker, the thicker: at most ${oneDigit(mostCover)} mm of thread on a mm². Chequered is too thick.`}</Txt>
      ) : null}
      {!isPlaying ? null : (
        <Choice label="Pace" quiet small options={PACES} chosen={pace} onChoose={choose} />
      )}
    </Stack>
  );
}
