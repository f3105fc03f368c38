import { say } from '@zt/core/base/units/phrase';
import { piecesOf } from '@zt/core/model/pieces';
import type { LogInput, OtherPiece } from '@zt/core/model/ticket/log';
import { trialInWords } from '@zt/core/stages/log/trial';
import { lazy, Suspense, useState } from 'react';
import { Callout } from '../../components/ui/Callout';
import { Disclosure } from '../../components/ui/Disclosure';
import { Stack } from '../../components/ui/Stack';
import { Txt } from '../../components/ui/Txt';
import { WordsField } from '../../components/ui/WordsField';
import { useLoggedAs, usePlan, useTicket, useTicketActs, useUnits } from '../../hooks/useTicket';
import { Took } from '../../shop/Took';
import { useEntry } from '../../shop/useEntry';
import { FaultFields } from './FaultFields';

/** Fetched once it is asked for. */
const PhotoFields = lazy(() => import('./PhotoFields').then((own) => ({ default: own.PhotoFields })));
const WhichPiece = lazy(() => import('./WhichPiece').then((own) => ({ default: own.WhichPiece })));
const MeasuredFields = lazy(() =>
  import('./MeasuredFields').then((own) => ({ default: own.MeasuredFields })),
);

/** What logging it took, once it is in the logbook. */
function TookOf({ id }: { id: string }) {
  const { data } = useEntry(id);
  return data ? <Took uses={data.taken} /> : null;
}

/** How it was really done and how it came out. */
export function LogPanel() {
  const ticket = useTicket('log', 'piece', 'design');
  const { log: report } = usePlan('log');
  const units = useUnits();
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
  return (
    <Stack gap={14}>
      <Txt as="heading" level={2}>
        How did it come out?
      </Txt>
      {log.trial ? (
        <Callout tone="tape">
          <Txt testID="trial">{say(trialInWords(log.trial), units)}</Txt>
        </Callout>
      ) : null}
      {loggedAs ? <TookOf id={loggedAs} /> : null}
      {loggedAs ? null : (
        <Txt>
          Came out well? One tap below, and it is in the logbook as planned. Else tap the piece where
          something is off, or tap what it is:
        </Txt>
      )}
      {piecesOf(ticket) > 1 ? (
        <Suspense fallback={null}>
          <WhichPiece which={which} onWhich={setChosen} />
        </Suspense>
      ) : null}
      <FaultFields result={other ?? log} onResult={(next) => (other ? setOther(next) : set(next))} />
      <Disclosure
        title="Measured, timed, used otherwise than planned"
        startOpen={
          log.misplacementMm !== null || report.off.mm !== null || Object.keys(log.minutes).length > 0
        }
      >
        <Suspense fallback={null}>
          <MeasuredFields at={at} />
        </Suspense>
      </Disclosure>
      <Suspense fallback={null}>
        <PhotoFields />
      </Suspense>
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
