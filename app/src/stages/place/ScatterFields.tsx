import { numberFor } from '@zt/core/catalogue/houseNumber';
import { PLACE_NUMBERS } from '@zt/core/catalogue/numbers/place';
import type { PlaceInput } from '@zt/core/model/ticket/place';
import type { ScatterProgress } from '@zt/core/stages/place/scatter';
import { scatterQuestionFor } from '@zt/core/stages/place/scatterQuestion';
import { createElement, useEffect, useRef, useState } from 'react';
import { Choice } from '../../components/ui/Choice';
import { LengthField } from '../../components/ui/LengthField';
import { NumberField } from '../../components/ui/NumberField';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { usePlan, useRules, useTicket, useTicketActs } from '../../hooks/useTicket';
import { usePalette } from '../../theme/palette';
import { type Scattering, scatterMotifs } from '../../workers/scatterMotifs';

const TURNS = [
  { id: 'any', name: 'turned any way' },
  { id: 'upright', name: 'all upright' },
] as const;

/** Starts, shows and stops the search for a scatter; what it finds becomes the ticket's. */
function useScattering() {
  const ticket = useTicket('place');
  const plan = usePlan('design', 'piece');
  const rules = useRules();
  const { change } = useTicketActs();
  const [progress, setProgress] = useState<ScatterProgress | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  const running = useRef<Scattering | null>(null);
  useEffect(() => () => running.current?.stop(), []);
  const start = async (input: PlaceInput['scatter']) => {
    const { facts } = plan.design;
    const outline = plan.piece.geometry;
    if (!facts || !outline || running.current) return;
    const search = scatterMotifs(scatterQuestionFor({ facts, outline }, input, rules), setProgress);
    running.current = search;
    setProgress({ done: 0, of: 1, spots: [], leastMm: Number.POSITIVE_INFINITY });
    setFailed(null);
    const worked = await search.found;
    running.current = null;
    setProgress(null);
    setFailed(worked.state === 'failed' ? worked.message : null);
    const found = worked.state === 'done' ? worked.value : null;
    if (found && found.spots.length > 0)
      change({ stage: 'place', set: { scatter: { ...input, spots: found.spots } } });
  };
  return { scatter: ticket.place.scatter, progress, failed, start, stop: () => running.current?.stop() };
}

/** Many motifs spread inside the seam line: how many, how far apart, and the search itself. */
export function ScatterFields() {
  const ticket = useTicket('place');
  const rules = useRules();
  const { change } = useTicketActs();
  const p = usePalette();
  const { scatter, progress, failed, start, stop } = useScattering();
  const set = (changes: Partial<PlaceInput['scatter']>) =>
    change({ stage: 'place', set: { scatter: { ...ticket.place.scatter, ...changes } } });
  return (
    <Stack gap={10}>
      <Row>
        <NumberField
          grow
          label="how many"
          at="place.scatter.count"
          value={scatter.count}
          onNumber={(count) => set({ count })}
        />
        <LengthField
          label="least gap"
          at="place.scatter.gapMm"
          mm={scatter.gapMm ?? numberFor(rules, PLACE_NUMBERS.scatterGapMm)}
          onLength={(gapMm) => set({ gapMm })}
          stepper={false}
        />
      </Row>
      <Choice
        label="Motifs"
        quiet
        small
        options={TURNS}
        chosen={scatter.turns}
        onChoose={(turns) => set({ turns })}
      />
      {progress ? (
        <Stack gap={6}>
          {createElement('progress', {
            'aria-label': 'Scattering',
            value: progress.done,
            max: progress.of,
            style: { width: '100%', accentColor: p.chalk },
          })}
          <Txt as="small">{`${progress.spots.length} laid`}</Txt>
          <Press title="Stop, keep what was found" onPress={stop} />
        </Stack>
      ) : (
        <Row wrap>
          <Press kind="main" title="Scatter them" onPress={() => void start(scatter)} />
          {scatter.spots.length > 0 ? (
            <Press
              title="Another throw"
              onPress={() => void start({ ...scatter, seed: (scatter.seed + 1) % 1_000_000 })}
            />
          ) : null}
        </Row>
      )}
      {failed ? (
        <Txt tone="madder" live>
          {failed}
        </Txt>
      ) : null}
      {scatter.spots.length > 0 && !progress ? (
        <Txt
          as="small"
          tone="graphite"
        >{`Throw no. ${scatter.seed}: the same number gives the same scatter.`}</Txt>
      ) : null}
    </Stack>
  );
}
