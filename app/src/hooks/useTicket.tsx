import {
  applyMend,
  boundsAt,
  type Change,
  type DisplayUnits,
  type Finding,
  type HouseRules,
  type Mend,
  type Plan,
  planTicket,
  type Shelf,
  type Stage,
  type StageState,
  stageStates,
  type Ticket,
  TicketSchema,
} from '@zt/core';
import { createContext, type ReactNode, useCallback, useContext, useMemo, useRef, useState } from 'react';
import { type Fields, FieldsContext } from '../components/ui/fields';
import type { Shop } from '../shop/useShop';
import { fieldKept, mendTaken, ticketChanged } from '../store/editor';
import { useAppDispatch } from '../store/store';

/** The ticket on the sheet with its plan. Screens draw it; none of them works anything out. */
export interface OpenTicket {
  ticket: Ticket;
  plan: Plan;
  states: StageState[];
  shelf: Shelf;
  rules: HouseRules;
  units: DisplayUnits;
  loggedAs: string | null;
  /** Changes one stage's inputs; changes of one gesture are one step to undo. */
  change: (change: Change, gesture?: string) => void;
  /** A way out of a finding that is tried out: the sheet shows what it would bring, and nothing is changed. */
  trial: Mend | null;
  tryOut: (mend: Mend | null) => void;
  /** Makes a mend's change, as one step to undo. */
  take: (mend: Mend) => void;
  findingsOf: (stage: Stage) => Finding[];
  /** The reading being taken: the sheet shows where its tape goes. */
  reading: string | null;
  setReading: (id: string | null) => void;
}

const OpenTicketContext = createContext<OpenTicket | null>(null);

interface ProviderProps {
  ticket: Ticket;
  shop: Shop;
  loggedAs: string | null;
  children: ReactNode;
}

/** Where measuring goes on: the first reading that is still to take; none when all are taken. */
const firstToMeasure = ({ piece }: Plan): string | null =>
  piece.asked.find((r) => !r.optional && piece.readings[r.id] === undefined)?.id ?? null;

export function OpenTicketProvider({ ticket, shop, loggedAs, children }: ProviderProps) {
  const dispatch = useAppDispatch();
  const { shelf, rules } = shop;
  const plan = useMemo(() => planTicket(ticket, shelf, rules), [ticket, shelf, rules]);
  const taking = useRef<string | null>(null);
  const change = useCallback(
    (next: Change, gesture?: string) => {
      const at = taking.current;
      const as = gesture ?? at;
      const taken = at === null ? next : { ...next, unread: { ...next.unread, [at]: '' } };
      dispatch(ticketChanged({ change: taken, ...(as ? { gesture: as } : {}) }));
    },
    [dispatch],
  );
  const fields = useMemo<Fields>(
    () => ({
      units: rules.units,
      unread: ticket.unread,
      boundsAt: (at) => boundsAt(TicketSchema, at),
      take: (at, run) => {
        taking.current = at;
        run();
        taking.current = null;
      },
      keep: (at, text) => void dispatch(fieldKept({ at, text })),
    }),
    [rules.units, ticket.unread, dispatch],
  );
  const [tried, setTried] = useState<{ mend: Mend; on: Ticket } | null>(null);
  const trial = tried?.on === ticket ? tried.mend : null;
  const tryOut = useCallback((mend: Mend | null) => setTried(mend && { mend, on: ticket }), [ticket]);
  const take = useCallback((mend: Mend) => void dispatch(mendTaken(mend)), [dispatch]);
  const [reading, choose] = useState(() => firstToMeasure(plan));
  const asked = plan.piece.asked.map((r) => r.id).join();
  const [askedBefore, setAskedBefore] = useState(asked);
  if (asked !== askedBefore) {
    setAskedBefore(asked);
    choose(firstToMeasure(plan));
  }
  const open = useMemo<OpenTicket>(
    () => ({
      ticket,
      plan,
      states: stageStates(ticket, plan),
      shelf,
      rules,
      units: rules.units,
      loggedAs,
      change,
      trial,
      tryOut,
      take,
      findingsOf: (stage) => plan.findings.filter((f) => f.stage === stage),
      reading,
      setReading: choose,
    }),
    [ticket, plan, shelf, rules, loggedAs, change, trial, tryOut, take, reading],
  );
  return (
    <OpenTicketContext.Provider value={open}>
      <FieldsContext.Provider value={fields}>{children}</FieldsContext.Provider>
    </OpenTicketContext.Provider>
  );
}

export function useOpenTicket(): OpenTicket {
  const open = useContext(OpenTicketContext);
  if (!open) throw new Error('assertion failed: no ticket is open here');
  return open;
}

/** What is drawn inside shows the ticket as it would be with the mend that is tried out, if one is. */
export function TriedOut({ children }: { children: ReactNode }) {
  const open = useOpenTicket();
  const { trial, ticket, shelf, rules } = open;
  const shown = useMemo(() => {
    if (!trial) return open;
    const tried = applyMend(ticket, trial);
    const plan = planTicket(tried, shelf, rules);
    return { ...open, ticket: tried, plan, states: stageStates(tried, plan) };
  }, [open, trial, ticket, shelf, rules]);
  return <OpenTicketContext.Provider value={shown}>{children}</OpenTicketContext.Provider>;
}
