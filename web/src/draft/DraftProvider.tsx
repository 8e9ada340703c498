import type { Hours } from '@locutor/core/hours';
import type { Attendant, Edit, Names } from '@locutor/core/line';
import {
  createContext,
  useContext,
  useDeferredValue,
  useEffect,
  useMemo,
  useSyncExternalStore,
  type ReactNode,
} from 'react';
import useSWR from 'swr';
import { api, ApiProblem } from '../api/client';
import { useHours, useNames, useOnAir, type Draft, type KeptHours, type KeptLine } from '../api/resources';
import { NotLoaded } from '../parts/NotLoaded';
import { useSavers } from '../saving/savers';
import { useSwitchState, type KeptSwitch } from '../switch/useSwitch';
import type { DraftSnapshot, DraftStore } from './draftStore';
import { draftPath, keptOf, openDraft, standInDraft } from './openDraft';

interface Editing {
  readonly store: DraftStore;
  readonly line: KeptLine;
  readonly hours: KeptHours;
  readonly names: Names;
  /** The switch that is on, as the server has it. */
  readonly switched: KeptSwitch | null;
  /** Why the draft cannot be read, where what is on air stands in for it; null where it can. */
  readonly unreadable: ApiProblem | null;
}

const Context = createContext<Editing | null>(null);

/** Loads a line's draft and lets everything inside edit it. */
export function DraftProvider({ line, children }: { readonly line: KeptLine; readonly children: ReactNode }) {
  const { data: hours, error: hoursError, mutate: readHours } = useHours(line);
  const names = useNames(hours);
  const switched = useSwitchState(line).data?.switched ?? null;
  const { store, error, again } = useDraftStore(line, names);
  const { standIn, unreadable } = useStandIn(line, store === null ? error : undefined);
  const shown = store ?? standIn;
  const editing = useMemo(
    () => shown && hours && { store: shown, line, hours, names, switched, unreadable },
    [shown, line, hours, names, switched, unreadable],
  );
  if (editing) return <Context value={editing}>{children}</Context>;
  if (!shown && error && !unreadable) return <NotLoaded error={error} again={again} />;
  return !hours && hoursError ? <NotLoaded error={hoursError} again={() => void readHours()} /> : null;
}

/** The draft of a line as it is edited in this window, and what the server has of it. */
function useDraftStore(line: KeptLine, names: Names) {
  const savers = useSavers();
  const { data: draft, error, mutate } = useSWR<Draft, unknown>(draftPath(line.id), api);
  // What comes later arrives below: the draft is opened once.
  const held = draft ? openDraft(savers, line, draft) : null;
  useEffect(() => held?.know(names), [held, names]);
  useEffect(() => {
    if (draft) held?.saver.arrive(keptOf(draft));
  }, [held, draft]);
  return { store: held?.store ?? null, error, again: () => void mutate() };
}

/** What is on air in place of a draft that cannot be read: the switch, messages and all else work on. */
function useStandIn(line: KeptLine, error: unknown): { standIn: DraftStore | null; unreadable: ApiProblem | null } {
  const unreadable = error instanceof ApiProblem && error.type === '/problems/unreadable' ? error : null;
  const onAir = useOnAir(line)?.attendant;
  const isReady = onAir !== undefined || line.onAirVersionId === null;
  const standIn = useMemo(
    () => (unreadable && isReady ? standInDraft(onAir, unreadable) : null),
    [unreadable, isReady, onAir],
  );
  return { standIn, unreadable };
}

export interface DraftInUse extends DraftSnapshot, Pick<Editing, 'unreadable'> {
  readonly line: KeptLine;
  readonly hours: Hours & { readonly revision: number };
  readonly names: Names;
  readonly switched: KeptSwitch | null;
  readonly attendant: Attendant;
  readonly store: DraftStore;
  readonly edit: (edit: Edit) => void;
}

/** The draft, as it is now, and how to change it: for what shows much of it. Renders at every edit. */
export function useDraft(): DraftInUse {
  const tools = useDraftTools();
  const snapshot = useSyncExternalStore(tools.store.subscribe, tools.store.getSnapshot);
  return { ...tools, ...snapshot, attendant: snapshot.history.present };
}

export type DraftTools = Editing & { readonly edit: (edit: Edit) => void };

/** How to change the draft, and what is around it. Does not render when the draft changes. */
export function useDraftTools(): DraftTools {
  const editing = useContext(Context);
  if (!editing) throw new Error('The draft needs a DraftProvider around it');
  return { ...editing, edit: editing.store.edit };
}

/** A part of the attendant; renders only when that part is another one. `select` must give the same for the same. */
export function useAttendantPart<Part>(select: (attendant: Attendant) => Part): Part {
  const { store } = useDraftTools();
  return useSyncExternalStore(store.subscribe, () => select(store.getSnapshot().history.present));
}

/** The attendant a moment later: for what may be shown after the words being typed, not before them. */
export function useLateAttendant(): Attendant {
  return useDeferredValue(useAttendantPart((attendant) => attendant));
}
