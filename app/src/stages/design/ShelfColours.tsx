import { lightnessOf } from '@zt/core/base/colour/colour';
import { phrase } from '@zt/core/base/units/phrase';
import type { Mend } from '@zt/core/model/finding';
import type { Thread } from '@zt/core/model/shelf';
import { dressed } from '@zt/core/stages/design/parts/stopActs';
import { isSeenOn, nearestThread, shuffledThreads, toneLadder } from '@zt/core/stock/fromShelf';
import { createElement, useRef, useState } from 'react';
import { Pressable } from 'react-native';
import { Trial } from '../../components/Trial';
import { Disclosure } from '../../components/ui/Disclosure';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { Swatch } from '../../components/ui/Swatch';
import { Txt } from '../../components/ui/Txt';
import {
  usePlan,
  useRules,
  useShelf,
  useTicket,
  useTicketActs,
  useTrial,
  useUnits,
} from '../../hooks/useTicket';
import { picturesColours } from '../../workers/picturesColours';
import { type ShownStop, useStops } from './ColourStops';

function ThreadSwatch({ thread, onPress }: { thread: Thread; onPress: () => void }) {
  return (
    <Pressable
      role="button"
      aria-label={`Take ${thread.name}, lightness ${Math.round(lightnessOf(thread.hex))}`}
      onPress={onPress}
      style={{ alignItems: 'center', width: 76, minHeight: 72, gap: 2 }}
    >
      <Swatch hex={thread.hex} width={44} height={30} />
      <Txt as="small">{thread.name}</Txt>
      <Txt as="small" tone="graphite">
        {`L ${Math.round(lightnessOf(thread.hex))}`}
      </Txt>
    </Pressable>
  );
}

/** Dresses the colours like a picture of the maker's: its own colours, each as the nearest thread owned. */
function LikePicture({ count, onColours }: { count: number; onColours: (hexes: readonly string[]) => void }) {
  const input = useRef<HTMLInputElement>(null);
  const [word, setWord] = useState<string | null>(null);
  const read = async (file: File) => {
    setWord('Looking at the picture.');
    const worked = await picturesColours(file, count).done;
    if (worked.state === 'failed') return setWord(worked.message);
    const found = worked.state === 'done' ? worked.value : null;
    if (!found || found.length === 0)
      return setWord('This is not a picture that can be read. The colours are as they were.');
    onColours(found.map((colour) => colour.hex));
    setWord(`Like ${file.name}: ${found.map((c) => `${Math.round(c.share * 100)} %`).join(', ')} of it.`);
  };
  return (
    <>
      {createElement('input', {
        ref: input,
        type: 'file',
        accept: 'image/*',
        'aria-label': 'Picture to take colours from',
        style: { display: 'none' },
        onChange: (event: { target: HTMLInputElement }) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) void read(file);
        },
      })}
      <Press title="Like a picture" label="Colours like a picture" onPress={() => input.current?.click()} />
      {word ? (
        <Txt as="small" live testID="picture-word">
          {word}
        </Txt>
      ) : null}
    </>
  );
}

/**
 * The design's colours from the threads owned: the nearest to each, a ladder of one tone, or a seeded shuffle; each
 * is tried out on the sheet first.
 */
export function ShelfColours() {
  const ticket = useTicket('design');
  const plan = usePlan('piece');
  const shelf = useShelf();
  const rules = useRules();
  const units = useUnits();
  const trial = useTrial();
  const { tryOut, take } = useTicketActs();
  const [seed, setSeed] = useState(0);
  const stops = useStops();
  const [first] = stops;
  const { threads } = shelf;
  if (threads.length === 0 || !first) return null;
  const ground = plan.piece.colour;
  const dress = (what: string, of: (stop: ShownStop, i: number) => Thread | null) => {
    const threadOf = stops.map(of);
    const colours = stops.map((stop, i) => ({ name: threadOf[i]?.name ?? stop.name }));
    const parts = dressed(ticket.design.parts, ({ part, stop }) => {
      const at = stops.findIndex((shown) => shown.of.some((one) => one.part === part && one.stop === stop));
      return threadOf[at] ?? null;
    });
    const mend: Mend = {
      label: phrase`${what}`,
      result: phrase`${colours.map(({ name }, i) => `${i + 1} ${name}`).join(', ')}`,
      change: { stage: 'design', set: { parts } },
    };
    tryOut(mend);
  };
  const shuffle = () => {
    const drawn = shuffledThreads(threads, stops.length, { ground, seed, rules });
    dress(`Shuffle ${seed + 1}`, (_, i) => drawn[i] ?? null);
    setSeed(seed + 1);
  };
  const ladder = toneLadder(first.hex, threads, rules);
  const faint = stops.filter((s) => !isSeenOn(ground, s.hex, rules));
  return (
    <Disclosure title="Colours from the shelf">
      <Row wrap>
        <Press
          title="Nearest threads I own"
          onPress={() => dress('Nearest threads I own', (stop) => nearestThread(stop.hex, threads).thread)}
        />
        <Press
          title={seed === 0 ? 'Shuffle' : `Shuffle again (${seed})`}
          label="Shuffle the threads I own"
          onPress={shuffle}
        />
        <LikePicture
          count={stops.length}
          onColours={(hexes) =>
            dress(
              'Like the picture',
              (_, i) => nearestThread(hexes[i % hexes.length] ?? '#59626E', threads).thread,
            )
          }
        />
      </Row>
      {trial?.change.stage === 'design' && trial.change.set.parts && trial.cost === undefined ? (
        <Trial mend={trial} units={units} onTake={() => take(trial)} onLeave={() => tryOut(null)} />
      ) : null}
      {ladder.length > 1 ? (
        <Stack gap={4}>
          <Txt as="small">{`Tone on tone with colour 1, dark to light: ${ladder.length} steps.`}</Txt>
          <Row gap={0} wrap>
            {ladder.map((thread) => (
              <ThreadSwatch
                key={thread.id}
                thread={thread}
                onPress={() => dress(`Colour 1 in ${thread.name}`, (_, i) => (i === 0 ? thread : null))}
              />
            ))}
          </Row>
          <Press
            kind="link"
            title="dress the colours in these steps"
            onPress={() => dress('Tone on tone', (_, i) => ladder[i % ladder.length] ?? null)}
          />
        </Stack>
      ) : (
        <Txt as="small">No other thread of the tone of colour 1 on the shelf.</Txt>
      )}
      {faint.length > 0 ? (
        <Txt as="small" tone="madder">
          {`Hardly seen on this cloth: ${faint.map((s) => s.name).join(', ')}.`}
        </Txt>
      ) : null}
    </Disclosure>
  );
}
