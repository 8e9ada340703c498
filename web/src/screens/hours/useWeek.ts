import type { Hours } from '@locutor/core/hours';
import { useCallback, useEffect, useRef, useState } from 'react';
import { useSWRConfig } from 'swr';
import { api, ApiProblem, wordsOf } from '../../api/client';
import type { KeptHours } from '../../api/resources';
import { tellProblem } from '../../parts/notices';

interface Week {
  readonly hours: KeptHours;
  /** Shows a change at once and saves it; a refusal is told and taken back. */
  readonly change: (next: Hours) => Promise<boolean>;
  readonly undo: (() => void) | null;
  readonly redo: (() => void) | null;
}

/** A set of hours, changed in place: every change is saved, can be undone, and done again until another is made. */
export function useWeek(hours: KeptHours): Week {
  const { mutate } = useSWRConfig();
  const [earlier, setEarlier] = useState<readonly Hours[]>([]);
  const [undone, setUndone] = useState<readonly Hours[]>([]);
  const queue = useRef<Promise<unknown>>(Promise.resolve());
  const revision = useRef(hours.revision);
  useEffect(() => {
    revision.current = Math.max(revision.current, hours.revision);
  }, [hours.revision]);
  const path = `/api/hours/${hours.id}`;

  const save = useCallback(
    async (next: Hours): Promise<boolean> => {
      void mutate(path, { ...next, revision: revision.current }, { revalidate: false });
      void mutate<readonly KeptHours[]>(
        '/api/hours',
        (all) => all?.map((each) => (each.id === next.id ? { ...next, revision: revision.current } : each)),
        { revalidate: false },
      );
      const send = async (): Promise<boolean> => {
        try {
          const { name, periods, week, seasons, special } = next;
          const body = { revision: revision.current, name, periods, week, seasons, special };
          const saved = await api<KeptHours>(path, { method: 'PUT', body });
          revision.current = saved.revision;
          return true;
        } catch (error) {
          if (error instanceof ApiProblem && error.revision) revision.current = error.revision;
          tellProblem(wordsOf(error));
          await mutate(path);
          return false;
        }
      };
      const sent = queue.current.then(send);
      queue.current = sent;
      return sent;
    },
    [mutate, path],
  );

  const change = async (next: Hours): Promise<boolean> => {
    setEarlier((list) => [...list, hours]);
    setUndone([]);
    const isKept = await save(next);
    if (!isKept) setEarlier((list) => list.slice(0, -1));
    return isKept;
  };
  const last = earlier.at(-1);
  const undo = last
    ? () => {
        setEarlier((list) => list.slice(0, -1));
        setUndone((list) => [...list, hours]);
        void save(last);
      }
    : null;
  const next = undone.at(-1);
  const redo = next
    ? () => {
        setUndone((list) => list.slice(0, -1));
        setEarlier((list) => [...list, hours]);
        void save(next);
      }
    : null;
  return { hours, change, undo, redo };
}
