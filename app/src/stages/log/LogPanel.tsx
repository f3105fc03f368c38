import {
  BOBBINS,
  type BobbinId,
  FAULTS,
  type LogInput,
  NEEDLES,
  type NeedleId,
  SAVED_BY_A_PATCH,
  SEVERITY_WORDS,
  SPOILT,
  type Stage,
  TOPPERS,
  type TopperId,
} from '@zt/core';
import type { FaultId } from '@zt/core/model/faults';
import { FaultSample } from '../../components/FaultSample';
import { SheetFields } from '../../components/SheetFields';
import { Choice } from '../../components/ui/Choice';
import { Disclosure } from '../../components/ui/Disclosure';
import { LengthField } from '../../components/ui/LengthField';
import { NumberField } from '../../components/ui/NumberField';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { WordsField } from '../../components/ui/WordsField';
import { useLoggedAs, usePlan, useShelf, useTicket, useTicketActs } from '../../hooks/useTicket';
import { useEntryQuery } from '../../services/logbookApi';
import { Took } from '../../shop/Took';
import { FaultRow } from './FaultRow';

const METHODS = [
  { id: 'hooped', name: 'hooped' },
  { id: 'floated', name: 'floated' },
  { id: 'partly', name: 'partly' },
] as const;
const TIMED: readonly Stage[] = ['place', 'hoop', 'stitch', 'finish'];
const named = <T extends string>(choices: Record<T, { name: string }>) =>
  (Object.keys(choices) as T[]).map((id) => ({ id, name: choices[id].name }));

/** What was really used; each starts as planned. */
function UsedFields() {
  const ticket = useTicket('log');
  const plan = usePlan('hoop', 'layers');
  const shelf = useShelf();
  const { change } = useTicketActs();
  const { hoop, layers } = plan;
  if (!hoop || !layers) return null;
  const { used } = ticket.log;
  const sheets = used.sheets ?? layers.sheets;
  const set = (next: Partial<LogInput['used']>) =>
    change({ stage: 'log', set: { used: { ...used, ...next } } });
  return (
    <Stack gap={10}>
      <Choice
        label="Hooped or floated"
        small
        options={METHODS}
        chosen={used.method ?? hoop.method}
        onChoose={(method) => set({ method })}
      />
      <Choice
        label="Hoop"
        small
        options={shelf.hoops.map(({ id, name }) => ({ id, name }))}
        chosen={used.hoopId ?? hoop.laid?.verdict.hoop.id ?? null}
        onChoose={(hoopId) => set({ hoopId })}
      />
      <Choice
        label="Topper"
        small
        options={named(TOPPERS)}
        chosen={used.topper ?? (layers.parts.topper.choice.id as TopperId)}
        onChoose={(topper) => set({ topper })}
      />
      <Choice
        label="Needle"
        small
        options={named(NEEDLES)}
        chosen={used.needle ?? (layers.parts.needle.choice.id as NeedleId)}
        onChoose={(needle) => set({ needle })}
      />
      <Choice
        label="Bobbin"
        small
        options={named(BOBBINS)}
        chosen={used.bobbin ?? (layers.parts.bobbin.choice.id as BobbinId)}
        onChoose={(bobbin) => set({ bobbin })}
      />
      {sheets.map((sheet, i) => (
        <SheetFields
          key={i}
          sheet={sheet}
          number={i + 1}
          onSheet={(next) => set({ sheets: sheets.map((s, k) => (k === i ? next : s)) })}
        />
      ))}
    </Stack>
  );
}

/** What was off: tapped on the drawn sample, then how badly. */
function FaultFields() {
  const ticket = useTicket('log');
  const { change } = useTicketActs();
  const { faults } = ticket.log;
  const set = (id: FaultId, level: number) =>
    change({ stage: 'log', set: { faults: { ...faults, [id]: level } } });
  const levelOf = (id: FaultId) => faults[id] ?? 0;
  const seen = FAULTS.filter(({ id }) => levelOf(id) > 0);
  return (
    <Stack gap={6}>
      <FaultSample seen={(id) => levelOf(id) > 0} onTap={(id) => set(id, levelOf(id) > 0 ? 0 : 1)} />
      {seen.length > 0 ? (
        <Txt as="small" tone="graphite">
          {SEVERITY_WORDS.map((word, i) => `${i} ${word}`).join(' · ')}
        </Txt>
      ) : null}
      {seen.map((fault) => (
        <FaultRow
          key={fault.id}
          fault={fault}
          level={levelOf(fault.id)}
          onLevel={(level) => set(fault.id, level)}
        />
      ))}
      {Object.values(faults).includes(SPOILT) ? <Txt live>{SAVED_BY_A_PATCH}</Txt> : null}
    </Stack>
  );
}

/** What logging it took, once it is in the logbook. */
function TookOf({ id }: { id: string }) {
  const { data } = useEntryQuery(id);
  return data ? <Took uses={data.taken} /> : null;
}

/** How it was really done and how it came out. */
export function LogPanel() {
  const ticket = useTicket('log');
  const loggedAs = useLoggedAs();
  const { change } = useTicketActs();
  const { log } = ticket;
  const set = (next: Partial<LogInput>) => change({ stage: 'log', set: next });
  return (
    <Stack gap={14}>
      <Txt as="heading" level={2}>
        How did it come out?
      </Txt>
      {loggedAs ? <TookOf id={loggedAs} /> : null}
      {loggedAs ? null : (
        <Txt>Came out well? One tap below, and it is in the logbook as planned. Else tap what was off:</Txt>
      )}
      <FaultFields />
      <Disclosure
        title="Measured, timed, used otherwise than planned"
        startOpen={log.misplacementMm !== null || Object.keys(log.minutes).length > 0}
      >
        <LengthField
          label="off its place by"
          at="log.misplacementMm"
          mm={log.misplacementMm}
          onLength={(mm) => set({ misplacementMm: mm })}
          hint="Measured from the marks to the stitched centre."
        />
        <Txt as="label" tone="graphite">
          Minutes
        </Txt>
        <Row>
          {TIMED.map((stage) => (
            <NumberField
              key={stage}
              grow
              label={stage}
              at={`log.minutes.${stage}`}
              value={log.minutes[stage] ?? null}
              onNumber={(value) => set({ minutes: { ...log.minutes, [stage]: value } })}
            />
          ))}
        </Row>
        <UsedFields />
      </Disclosure>
      <WordsField label="Note" at="log.note" value={log.note} multiline onText={(note) => set({ note })} />
      <WordsField
        label="What to change next time"
        at="log.nextTime"
        value={log.nextTime}
        onText={(nextTime) => set({ nextTime })}
      />
      <WordsField label="Done by" at="log.by" value={log.by} onText={(by) => set({ by })} />
    </Stack>
  );
}
