import type { FaultId } from '@zt/core/model/faults';
import { FAULTS, SAVED_BY_A_PATCH, SEVERITY_WORDS, SPOILT } from '@zt/core/model/faults';
import { MOST_SPOTS, type OtherPiece, type Spot } from '@zt/core/model/ticket/log';
import { FaultSample } from '../../components/FaultSample';
import { Callout } from '../../components/ui/Callout';
import { Press } from '../../components/ui/Press';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { spotTapped } from '../../store/editor';
import { useAppDispatch, useAppSelector } from '../../store/store';
import { FaultRow } from './FaultRow';

/** How pieces came out, and where. */
type Result = Pick<OtherPiece, 'faults' | 'spots'>;

interface FaultFieldsProps {
  result: Result;
  onResult: (next: Result) => void;
}

/** What was off: tapped on the piece or on the drawn sample, then how badly. */
export function FaultFields({ result, onResult }: FaultFieldsProps) {
  const { faults, spots } = result;
  const spot = useAppSelector(({ editor }) => editor.spot);
  const dispatch = useAppDispatch();
  const levelOf = (id: FaultId) => faults[id] ?? 0;
  const seen = FAULTS.filter(({ id }) => levelOf(id) > 0);
  const withLevel = (id: FaultId, level: number): Result => ({
    faults: { ...faults, [id]: level },
    spots: level > 0 ? spots : spots.filter(({ fault }) => fault !== id),
  });
  const tap = (id: FaultId) => {
    if (!spot) return onResult(withLevel(id, levelOf(id) > 0 ? 0 : 1));
    const there: Spot = { fault: id, at: spot };
    const next = withLevel(id, Math.max(1, levelOf(id)));
    onResult({ ...next, spots: [...spots, there].slice(-MOST_SPOTS) });
    dispatch(spotTapped(null));
  };
  const spotsOf = (id: FaultId): string => {
    const n = spots.filter(({ fault }) => fault === id).length;
    return n === 0 ? '' : `, marked in ${n === 1 ? 'one place' : `${n} places`}`;
  };
  return (
    <Stack gap={6}>
      {spot ? (
        <Callout tone="madder" gap={4}>
          <Txt as="strong" live>
            What is off where you tapped?
          </Txt>
          <Press kind="link" title="nothing there" onPress={() => dispatch(spotTapped(null))} />
        </Callout>
      ) : null}
      <FaultSample seen={(id) => levelOf(id) > 0} onTap={tap} />
      {seen.length > 0 ? (
        <Txt as="small" tone="graphite">
          {SEVERITY_WORDS.map((word, i) => `${i} ${word}`).join(' · ')}
        </Txt>
      ) : null}
      {seen.map((fault) => (
        <FaultRow
          key={fault.id}
          fault={fault}
          where={spotsOf(fault.id)}
          level={levelOf(fault.id)}
          onLevel={(level) => onResult(withLevel(fault.id, level))}
        />
      ))}
      {Object.values(faults).includes(SPOILT) ? <Txt live>{SAVED_BY_A_PATCH}</Txt> : null}
    </Stack>
  );
}
