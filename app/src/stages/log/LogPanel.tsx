import type { LogInput, Stage } from '@zt/core';
import { piecesOf } from '@zt/core/model/pieces';
import { MOST_OTHERS, NOT_MEASURED, type OtherPiece, offBy } from '@zt/core/model/ticket/log';
import { calledName } from '@zt/core/stages/design/names/onTable';
import { minutesTicked } from '@zt/core/uses/logbook/ticked';
import { useState } from 'react';
import { Choice } from '../../components/ui/Choice';
import { Disclosure } from '../../components/ui/Disclosure';
import { LengthField } from '../../components/ui/LengthField';
import { NumberField } from '../../components/ui/NumberField';
import { Press } from '../../components/ui/Press';
import { Row } from '../../components/ui/Row';
import { Stack } from '../../components/ui/Stack';
import { Tick } from '../../components/ui/Tick';
import { Txt } from '../../components/ui/Txt';
import { WordsField } from '../../components/ui/WordsField';
import { useLoggedAs, usePlan, useTicket, useTicketActs } from '../../hooks/useTicket';
import { useEntryQuery } from '../../services/logbookApi';
import { Took } from '../../shop/Took';
import { FaultFields } from './FaultFields';
import { OffFields } from './OffFields';
import { UsedFields } from './UsedFields';

const TIMED: readonly Stage[] = ['place', 'hoop', 'stitch', 'finish'];

/** What logging it took, once it is in the logbook. */
function TookOf({ id }: { id: string }) {
  const { data } = useEntryQuery(id);
  return data ? <Took uses={data.taken} /> : null;
}

/** Which pieces of a run are spoken of: all that came out alike, or one that did not. */
function WhichPiece({ which, onWhich }: { which: number; onWhich: (which: number) => void }) {
  const ticket = useTicket('log', 'piece', 'design');
  const { change } = useTicketActs();
  const pieces = piecesOf(ticket);
  const { others } = ticket.log;
  const names = ticket.design.names?.rows ?? [];
  if (pieces < 2) return null;
  const nameOf = (piece: number): string => {
    const row = names[piece - 1];
    return row ? calledName(row) : `no. ${piece}`;
  };
  const free = Array.from({ length: pieces }, (_, i) => i + 1).find(
    (piece) => !others.some((other) => other.piece === piece),
  );
  const add = (piece: number) => {
    const other: OtherPiece = { piece, faults: {}, spots: [], off: NOT_MEASURED, note: '' };
    change({ stage: 'log', set: { others: [...others, other] } });
    onWhich(piece);
  };
  return (
    <Stack gap={6}>
      <Choice
        label={`Which of the ${pieces} pieces`}
        small
        options={[
          { id: '0', name: others.length === 0 ? 'all alike' : `the other ${pieces - others.length}` },
          ...others.map(({ piece }) => ({ id: String(piece), name: nameOf(piece) })),
        ]}
        chosen={String(which)}
        onChoose={(id) => onWhich(Number(id))}
      />
      {free !== undefined && others.length < MOST_OTHERS ? (
        <Row gap={8} align="middle" wrap>
          <Press kind="link" title="one came out otherwise" onPress={() => add(free)} />
        </Row>
      ) : null}
      {which > 0 ? <OtherFields which={which} onWhich={onWhich} nameOf={nameOf} pieces={pieces} /> : null}
    </Stack>
  );
}

interface OtherFieldsProps {
  which: number;
  onWhich: (which: number) => void;
  nameOf: (piece: number) => string;
  pieces: number;
}

/** Which piece it is that came out otherwise, and what is to be said of it. */
function OtherFields({ which, onWhich, nameOf, pieces }: OtherFieldsProps) {
  const { log } = useTicket('log');
  const { change } = useTicketActs();
  const at = log.others.findIndex(({ piece }) => piece === which);
  const other = log.others[at];
  if (!other) return null;
  const set = (next: OtherPiece | null) =>
    change({
      stage: 'log',
      set: { others: log.others.flatMap((one, i) => (i === at ? (next ? [next] : []) : [one])) },
    });
  const to = (piece: number) => {
    set({ ...other, piece });
    onWhich(piece);
  };
  const isFree = (piece: number) => !log.others.some((one) => one.piece === piece);
  const next = Array.from({ length: pieces }, (_, i) => ((which + i) % pieces) + 1).find(isFree);
  return (
    <Row gap={12} align="middle" wrap>
      {next ? <Press kind="link" title={`it is ${nameOf(next)}`} onPress={() => to(next)} /> : null}
      <Press
        kind="link"
        title="it came out like the others"
        onPress={() => {
          set(null);
          onWhich(0);
        }}
      />
    </Row>
  );
}

/** How it was really done and how it came out. */
export function LogPanel() {
  const ticket = useTicket('log', 'design');
  const plan = usePlan('log', 'design');
  const loggedAs = useLoggedAs();
  const { change } = useTicketActs();
  const [chosen, setChosen] = useState(0);
  const { log } = ticket;
  const set = (next: Partial<LogInput>) => change({ stage: 'log', set: next });
  const at = log.others.findIndex(({ piece }) => piece === chosen);
  const other = log.others[at];
  const which = other ? chosen : 0;
  const setOther = (next: Partial<OtherPiece>) =>
    set({ others: log.others.map((one, i) => (i === at ? { ...one, ...next } : one)) });
  const ticked = minutesTicked(log.ticks);
  const widthMm = plan.design.facts?.widthMm ?? 0;
  return (
    <Stack gap={14}>
      <Txt as="heading" level={2}>
        How did it come out?
      </Txt>
      {loggedAs ? <TookOf id={loggedAs} /> : null}
      {loggedAs ? null : (
        <Txt>
          Came out well? One tap below, and it is in the logbook as planned. Else tap the piece where
          something is off, or tap what it is:
        </Txt>
      )}
      <WhichPiece which={which} onWhich={setChosen} />
      <FaultFields result={other ?? log} onResult={(next) => (other ? setOther(next) : set(next))} />
      <Disclosure
        title="Measured, timed, used otherwise than planned"
        startOpen={
          log.misplacementMm !== null || plan.log.off.mm !== null || Object.keys(log.minutes).length > 0
        }
      >
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
        <UsedFields />
        <Tick
          title="A swatch: a trial on a scrap, nothing to hand over"
          on={log.swatch}
          onToggle={(swatch) => set({ swatch })}
        />
      </Disclosure>
      {other ? (
        <WordsField
          label="Note on this one"
          at={`log.others.${at}.note`}
          value={other.note}
          multiline
          onText={(note) => setOther({ note })}
        />
      ) : null}
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
