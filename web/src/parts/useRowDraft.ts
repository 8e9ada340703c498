import { useEffect, useRef, useState } from 'react';
import { useSWRConfig } from 'swr';
import { api, ApiProblem, wordsOf } from '../api/client';
import type { Revised } from '../api/resources';

export type RowSaving =
  | { readonly type: 'saved' }
  | { readonly type: 'saving' }
  | { readonly type: 'refused'; readonly says: string }
  | { readonly type: 'stale'; readonly revision: number; readonly says: string };

interface RowDraft<Row> {
  readonly row: Row;
  readonly saving: RowSaving;
  readonly change: (changes: Partial<Row>) => void;
  /** After another window was faster: saves what stands here over it. */
  readonly keepMine: () => void;
  /** After another window was faster: shows what it saved. */
  readonly takeTheirs: () => void;
}

const saveAfterMs = 400;

/** A row of a list, edited in place: saves itself, and keeps what was typed when it is refused. */
export function useRowDraft<Row extends Revised & { readonly id: string }>(list: string, kept: Row): RowDraft<Row> {
  const { mutate } = useSWRConfig();
  const [typed, setTyped] = useState<Partial<Row>>({});
  const [saving, setSaving] = useState<RowSaving>({ type: 'saved' });
  const revision = useRef(kept.revision);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const unsaved = useRef<Partial<Row>>({});

  const save = async (): Promise<void> => {
    clearTimeout(timer.current);
    const changes = unsaved.current;
    if (Object.keys(changes).length === 0) return;
    try {
      const body = { ...changes, revision: revision.current };
      const saved = await api<Row>(`${list}/${kept.id}`, { method: 'PATCH', body });
      revision.current = saved.revision;
      if (unsaved.current === changes) {
        unsaved.current = {};
        setSaving({ type: 'saved' });
      }
      await mutate(list);
    } catch (error) {
      const newer = error instanceof ApiProblem ? error.revision : undefined;
      const says = wordsOf(error);
      setSaving(newer ? { type: 'stale', revision: newer, says } : { type: 'refused', says });
    }
  };
  const saveLatest = useRef(save);
  useEffect(() => {
    saveLatest.current = save;
  });
  useEffect(() => {
    const saveNow = (): void => void saveLatest.current();
    window.addEventListener('pagehide', saveNow);
    return () => {
      window.removeEventListener('pagehide', saveNow);
      saveNow();
    };
  }, []);

  const change = (changes: Partial<Row>): void => {
    unsaved.current = { ...unsaved.current, ...changes };
    setTyped((before) => ({ ...before, ...changes }));
    clearTimeout(timer.current);
    if (saving.type === 'stale') return;
    setSaving({ type: 'saving' });
    timer.current = setTimeout(() => void saveLatest.current(), saveAfterMs);
  };

  const keepMine = (): void => {
    if (saving.type !== 'stale') return;
    revision.current = saving.revision;
    setSaving({ type: 'saving' });
    void save();
  };

  const takeTheirs = (): void => {
    if (saving.type !== 'stale') return;
    revision.current = saving.revision;
    unsaved.current = {};
    setTyped({});
    setSaving({ type: 'saved' });
    void mutate(list);
  };

  return { row: { ...kept, ...typed }, saving, change, keepMine, takeTheirs };
}
