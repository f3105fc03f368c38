import type { Stage } from '@zt/core/model/stages';
import type { LogInput } from '@zt/core/model/ticket/log';
import { type OtherPiece, offBy } from '@zt/core/model/ticket/log';
import { minutesTicked } from '@zt/core/records/logbook/ticked';
import { LengthField } from '../../components/ui/LengthField';
import { NumberField } from '../../components/ui/NumberField';
import { Row } from '../../components/ui/Row';
import { Tick } from '../../components/ui/Tick';
import { Txt } from '../../components/ui/Txt';
import { usePlan, useTicket, useTicketActs } from '../../hooks/useTicket';
import { OffFields } from './OffFields';
import { UsedFields } from './UsedFields';

const TIMED: readonly Stage[] = ['place', 'hoop', 'stitch', 'finish'];
const COUNTED = [
  { id: 'stitches', label: 'stitches counted' },
  { id: 'topM', label: 'top thread, m' },
  { id: 'bobbinM', label: 'bobbin thread, m' },
] as const;

/** Where it lies, how long it took, what was counted, and what was used; of one other piece only where it lies. `at` is its place among the others, −1 for none. */
export function MeasuredFields({ at }: { at: number }) {
  const { log } = useTicket('log');
  const plan = usePlan('log', 'design');
  const { change } = useTicketActs();
  const set = (next: Partial<LogInput>) => change({ stage: 'log', set: next });
  const other = log.others[at];
  const setOther = (next: Partial<OtherPiece>) =>
    set({ others: log.others.map((one, i) => (i === at ? { ...one, ...next } : one)) });
  const ticked = minutesTicked(log.ticks);
  const widthMm = plan.design.facts?.widthMm ?? 0;
  return (
    <>
      {log.misplacementMm !== null ? (
        <LengthField
          label="off its place by"
          at="log.misplacementMm"
          mm={log.misplacementMm}
          onLength={(mm) => set({ misplacementMm: mm })}
          hint="As it was kept before: without a direction."
        />
      ) : null}
      {other ? (
        <OffFields
          at={`log.others.${at}.off`}
          off={other.off}
          by={offBy(other, widthMm)}
          onOff={(off) => setOther({ off })}
        />
      ) : (
        <OffFields at="log.off" off={log.off} by={plan.log.off} onOff={(off) => set({ off })} />
      )}
      <Txt as="label" tone="graphite">
        {Object.keys(ticked).length > 0
          ? `Minutes; by the ticks: ${Object.entries(ticked)
              .map(([stage, minutes]) => `${stage} ${minutes}`)
              .join(', ')}`
          : 'Minutes'}
      </Txt>
      <Row>
        {TIMED.map((stage) => (
          <NumberField
            key={stage}
            grow
            label={stage}
            at={`log.minutes.${stage}`}
            value={log.minutes[stage] ?? ticked[stage] ?? null}
            onNumber={(value) => set({ minutes: { ...log.minutes, [stage]: value } })}
          />
        ))}
      </Row>
      <Txt as="label" tone="graphite">
        Counted at the machine, for one piece
      </Txt>
      <Row>
        {COUNTED.map(({ id, label }) => (
          <NumberField
            key={id}
            grow
            label={label}
            at={`log.counted.${id}`}
            value={log.counted[id]}
            onNumber={(value) => set({ counted: { ...log.counted, [id]: value } })}
          />
        ))}
      </Row>
      <UsedFields />
      <Tick
        title="A swatch: a trial on a scrap, nothing to hand over"
        on={log.swatch}
        onToggle={(swatch) => set({ swatch })}
      />
    </>
  );
}
