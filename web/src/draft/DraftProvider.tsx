import type { Attendant, Edit, LineId, Names } from '@locutor/core/line';
import { createContext, useContext, useEffect, useState, useSyncExternalStore, type ReactNode } from 'react';
import type { Hours } from '@locutor/core/hours';
import { api, ApiProblem, wordsOf } from '../api/client';
import { useHours, useNames, type Draft, type KeptHours, type KeptLine } from '../api/resources';
import { DraftStore, type DraftDoors, type DraftSnapshot, type SavedDraft } from './draftStore';

interface Editing {
  readonly store: DraftStore;
  readonly line: KeptLine;
  readonly hours: KeptHours;
  readonly names: Names;
}

const Context = createContext<Editing | null>(null);

/** Loads a line's draft once and lets everything inside edit it. */
export function DraftProvider({ line, children }: { readonly line: KeptLine; readonly children: ReactNode }) {
  const [store, setStore] = useState<DraftStore | null>(null);
  const { data: hours } = useHours(line);
  const names = useNames(hours);
  useEffect(() => {
    void openDraft(line.id).then(setStore);
  }, [line.id]);
  if (!store || !hours) return null;
  return <Context value={{ store, line, hours, names }}>{children}</Context>;
}

export interface DraftInUse extends DraftSnapshot {
  readonly line: KeptLine;
  readonly hours: Hours & { readonly revision: number };
  readonly names: Names;
  readonly attendant: Attendant;
  readonly store: DraftStore;
  readonly edit: (edit: Edit) => void;
}

/** The draft, as it is now, and how to change it. */
export function useDraft(): DraftInUse {
  const editing = useContext(Context);
  if (!editing) throw new Error('useDraft needs a DraftProvider around it');
  const snapshot = useSyncExternalStore(editing.store.subscribe, editing.store.getSnapshot);
  return { ...editing, ...snapshot, attendant: snapshot.history.present, edit: editing.store.edit };
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
