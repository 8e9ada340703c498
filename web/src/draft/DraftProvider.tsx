import type { Attendant, Edit, LineId, Names } from '@locutor/core/line';
import {
  createContext,
  useContext,
  useDeferredValue,
  useEffect,
  useMemo,
  useState,
  useSyncExternalStore,
  type ReactNode,
} from 'react';
import type { Hours } from '@locutor/core/hours';
import { api, ApiProblem, wordsOf } from '../api/client';
import { NoServer } from '../parts/NoServer';
import { useHours, useNames, type Draft, type KeptHours, type KeptLine } from '../api/resources';
import { useSwitchState, type KeptSwitch } from '../switch/useSwitch';
import { DraftStore, type DraftDoors, type DraftSnapshot, type SavedDraft } from './draftStore';

interface Editing {
  readonly store: DraftStore;
  readonly line: KeptLine;
  readonly hours: KeptHours;
  readonly names: Names;
  /** The switch that is on, as the server has it. */
  readonly switched: KeptSwitch | null;
}

const Context = createContext<Editing | null>(null);

/** Loads a line's draft once and lets everything inside edit it. */
export function DraftProvider({ line, children }: { readonly line: KeptLine; readonly children: ReactNode }) {
  const [store, setStore] = useState<DraftStore | null>(null);
  const [failed, setFailed] = useState(false);
  const [tries, setTries] = useState(0);
  const { data: hours } = useHours(line);
  const names = useNames(hours);
  const switched = useSwitchState(line).data?.switched ?? null;
  useEffect(() => {
    openDraft(line.id).then(setStore, () => setFailed(true));
  }, [line.id, tries]);
  const editing = useMemo(
    () => store && hours && { store, line, hours, names, switched },
    [store, line, hours, names, switched],
  );
  if (failed && !store) {
    const again = () => {
      setFailed(false);
      setTries(tries + 1);
    };
    return <NoServer again={again} />;
  }
  return editing ? <Context value={editing}>{children}</Context> : null;
}

export interface DraftInUse extends DraftSnapshot {
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

async function openDraft(lineId: LineId): Promise<DraftStore> {
  const place = `locutor.unsaved.${lineId}`;
  const kept = localStorage.getItem(place);
  const unsaved = kept ? (JSON.parse(kept) as SavedDraft) : null;
  const path = `/api/lines/${lineId}/draft`;
  const doors: DraftDoors = {
    save: (revision, attendant) => api<Draft>(path, { method: 'PUT', body: { revision, attendant } }),
    load: () => api<Draft>(path),
    backUp: (draft) => (draft ? localStorage.setItem(place, JSON.stringify(draft)) : localStorage.removeItem(place)),
    failureOf,
    later: (ms, run) => {
      const timer = setTimeout(run, ms);
      return () => clearTimeout(timer);
    },
  };
  return new DraftStore(await api<Draft>(path), doors, unsaved);
}

function failureOf(error: unknown): ReturnType<DraftDoors['failureOf']> {
  const status = error instanceof ApiProblem ? error.status : 0;
  const type = status === 409 ? 'stale' : status >= 400 && status < 500 ? 'refused' : 'unreachable';
  return { type, says: wordsOf(error) };
}
