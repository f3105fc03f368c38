import type { DisplayUnits } from '@zt/core/base/units/length';
import { say } from '@zt/core/base/units/phrase';
import { boundsAt } from '@zt/core/model/fields/bounds';
import type { Finding, Mend } from '@zt/core/model/finding';
import { type HouseRules, readerOf } from '@zt/core/model/houseRules';
import type { Shelf } from '@zt/core/model/shelf';
import type { Stage } from '@zt/core/model/stages';
import { type Change, type Ticket, TicketSchema } from '@zt/core/model/ticket';
import type { Plan } from '@zt/core/planner/planned';
import type { StageState } from '@zt/core/planner/stageStates';
import { createContext, type ReactNode, useContext, useMemo } from 'react';
import { shallowEqual } from 'react-redux';
import { type Fields, FieldsContext } from '../components/ui/fields';
import { announce } from '../everyone/announce';
import { fieldKept, mendTaken, readingChosen, ticketChanged, triedOut } from '../store/editor';
import {
  selectPlan,
  selectReading,
  selectStageStates,
  selectTicket,
  selectTrial,
  selectTriedPlan,
  selectTriedTicket,
} from '../store/openTicket';
import { selectRules, selectShelf } from '../store/shopNow';
import { useAppDispatch, useAppSelector } from '../store/store';

/** What can be done to the open ticket. It stays the same object while the ticket is open. */
interface TicketActs {
  /** Changes one stage's inputs; changes of one gesture are one step to undo. */
  change: (change: Change, gesture?: string) => void;
  /** Tries out a way out of a finding; null ends it. */
  tryOut: (mend: Mend | null) => void;
  /** Makes a mend's change, as one step to undo. */
  take: (mend: Mend) => void;
  /** The sheet shows where the tape of this reading goes. */
  setReading: (id: string | null) => void;
}

const ActsContext = createContext<TicketActs | null>(null);
const LoggedAsContext = createContext<string | null>(null);
const TriedOutContext = createContext(false);

interface ProviderProps {
  loggedAs: string | null;
  children: ReactNode;
}

/** The ticket in the editor, for what is inside: what can be done to it, and where its fields put what is typed. */
export function OpenTicketProvider({ loggedAs, children }: ProviderProps) {
  const dispatch = useAppDispatch();
  const { unread } = useTicket('unread');
  const units = useUnits();
  const rules = useRules();
  const reader = useMemo(() => readerOf(rules), [rules]);
  const { acts, take, keep } = useMemo(() => {
    let taking: string | null = null;
    const change: TicketActs['change'] = (next, gesture) => {
      const as = gesture ?? taking;
      const taken = taking === null ? next : { ...next, unread: { ...next.unread, [taking]: '' } };
      dispatch(ticketChanged({ change: taken, ...(as ? { gesture: as } : {}) }));
    };
    return {
      acts: {
        change,
        tryOut: (mend: Mend | null) => void dispatch(triedOut(mend)),
        take: (mend: Mend) => {
          dispatch(mendTaken(mend));
          announce(`Done: ${say(mend.label, units)}.`);
        },
        setReading: (id: string | null) => void dispatch(readingChosen(id)),
      },
      take: (at: string, run: () => void) => {
        taking = at;
        run();
        taking = null;
      },
      keep: (at: string, text: string) => void dispatch(fieldKept({ at, text })),
    };
  }, [dispatch, units]);
  const fields = useMemo<Fields>(
    () => ({ units: reader, unread, boundsAt: (at) => boundsAt(TicketSchema, at), take, keep }),
    [reader, unread, take, keep],
  );
  return (
    <ActsContext.Provider value={acts}>
      <LoggedAsContext.Provider value={loggedAs}>
        <FieldsContext.Provider value={fields}>{children}</FieldsContext.Provider>
      </LoggedAsContext.Provider>
    </ActsContext.Provider>
  );
}

/** What is drawn inside shows the ticket as it would be with the mend that is tried out, if one is. */
export const TriedOut = ({ children }: { children: ReactNode }) => (
  <TriedOutContext.Provider value={true}>{children}</TriedOutContext.Provider>
);

/** The parts of something that are named; all of it where none is. */
const partsOf = <T extends object>(whole: T, parts: readonly (keyof T)[]): Partial<T> =>
  parts.length === 0 ? whole : (Object.fromEntries(parts.map((part) => [part, whole[part]])) as Partial<T>);

/** Parts of the ticket that is shown; who reads them is drawn again only when one of them changes. */
export function useTicket(): Ticket;
export function useTicket<K extends keyof Ticket>(...parts: K[]): Pick<Ticket, K>;
export function useTicket(...parts: (keyof Ticket)[]): Partial<Ticket> {
  const select = useContext(TriedOutContext) ? selectTriedTicket : selectTicket;
  return useAppSelector((state) => partsOf(select(state), parts), shallowEqual);
}

/** Parts of the plan that is shown; who reads them is drawn again only when one of them changes. */
export function usePlan(): Plan;
export function usePlan<K extends keyof Plan>(...parts: K[]): Pick<Plan, K>;
export function usePlan(...parts: (keyof Plan)[]): Partial<Plan> {
  const select = useContext(TriedOutContext) ? selectTriedPlan : selectPlan;
  return useAppSelector((state) => partsOf(select(state), parts), shallowEqual);
}

/** What is told from the plan that is shown. */
export const useShownPlan = <T,>(tell: (plan: Plan) => T): T => {
  const select = useContext(TriedOutContext) ? selectTriedPlan : selectPlan;
  return useAppSelector((state) => tell(select(state)));
};

export function useTicketActs(): TicketActs {
  const acts = useContext(ActsContext);
  if (!acts) throw new Error('assertion failed: no ticket is open here');
  return acts;
}

/** The logbook entry that the open ticket became; null while it is worked on. */
export const useLoggedAs = (): string | null => useContext(LoggedAsContext);

export const useStageStates = (): StageState[] => useAppSelector(selectStageStates);
export const useTrial = (): Mend | null => useAppSelector(selectTrial);
export const useReading = (): string | null => useAppSelector(selectReading);
export const useShelf = (): Shelf => useAppSelector(selectShelf);
export const useRules = (): HouseRules => useAppSelector(selectRules);
export const useUnits = (): DisplayUnits => useAppSelector((state) => selectRules(state).units);

/** What is found at one stage. */
export const useFindings = (stage: Stage): Finding[] =>
  useAppSelector((state) => selectPlan(state).findings.filter((f) => f.stage === stage), shallowEqual);
