import { describeHoursClashes, editedOf, mergeHours, readHours, type Hours } from '@locutor/core/hours';
import { useEffect, useSyncExternalStore } from 'react';
import { useSWRConfig, type ScopedMutator } from 'swr';
import { api } from '../../api/client';
import type { KeptHours } from '../../api/resources';
import { forgetUndo, tellProblem } from '../../parts/notices';
import { showMinutes } from '../../parts/time';
import { askedFirst } from '../../saving/askedFirst';
import { Backup } from '../../saving/backups';
import { failureOf } from '../../saving/failureOf';
import { laterBy } from '../../saving/laterBy';
import { Saver, type Kept, type SaverDoors } from '../../saving/saver';
import { useSavers } from '../../saving/savers';
import { takeUp, takeUpRest } from '../../saving/takeUp';
import { tellMerged } from '../../saving/tellMerged';
import { Undoable } from '../../saving/undoable';

interface Week {
  readonly hours: KeptHours;
  /** Shows a change at once and saves it; a refusal is told and taken back, and the answer is false then. */
  readonly change: (next: Hours) => Promise<boolean>;
  readonly undo: (() => void) | null;
  readonly redo: (() => void) | null;
}

/** A set of hours, changed in place: every change is saved, can be undone, and done again until another is made. */
export function useWeek(kept: KeptHours): Week {
  const { mutate } = useSWRConfig();
  const savers = useSavers();
  const { saver, history: week } = savers.of(pathOf(kept), () => {
    const backup = new Backup<Hours>(pathOf(kept), readHours);
    const doors = { ...doorsOf(kept, mutate), ...backup.doors };
    const made = new Saver<Hours>(keptOf(kept), doors, takeUp(backup));
    const what = (): string => `The hours ${made.getPresent().name}`;
    const describe = (): string => `a change of the hours ${made.getPresent().name}`;
    const undoable = new Undoable(made, { merge: doors.merge, kind: 'hours', describe });
    tellMerged(made, { what, change: undoable.change });
    takeUpRest(made, backup, { merge: doors.merge, what, change: undoable.change });
    return { saver: made, history: undoable, what };
  });
  useEffect(() => saver.arrive(keptOf(kept)), [saver, kept]);
  const hours = useSyncExternalStore(saver.subscribe, saver.getPresent);
  const { canUndo, canRedo } = useSyncExternalStore(week.subscribe, week.getSnapshot);

  const change = async (next: Hours): Promise<boolean> => {
    week.change(next);
    try {
      await saver.saveNow();
      return true;
    } catch {
      const saving = saver.getSaving();
      // Somebody was asked first, and said no.
      if (saving.type === 'saved') return false;
      if (saving.type !== 'refused') return true;
      tellProblem(saving.says);
      if (saver.getPresent() === next) week.forget();
      return false;
    }
  };
  return {
    hours: { ...hours, revision: saver.revision },
    change,
    undo: canUndo ? week.undo : null,
    redo: canRedo ? week.redo : null,
  };
}

const pathOf = ({ id }: Pick<Hours, 'id'>): string => `/api/hours/${id}`;

function keptOf({ revision, ...document }: KeptHours): Kept<Hours> {
  return { revision, document };
}

function doorsOf(of: Pick<Hours, 'id'>, mutate: ScopedMutator): Omit<SaverDoors<Hours>, 'backUp' | 'leaving'> {
  const path = pathOf(of);
  const put = (saved: KeptHours): void => {
    void mutate(path, saved, { revalidate: false });
    void mutate<readonly KeptHours[]>(
      '/api/hours',
      (all) => all?.map((each) => (each.id === saved.id ? saved : each)),
      { revalidate: false },
    );
  };
  return {
    async save({ revision }, hours) {
      const body = { revision, ...editedOf(hours) };
      const saved = await askedFirst<KeptHours>(path, { method: 'PUT', body });
      put(saved);
      return saved;
    },
    async load() {
      const kept = await api<KeptHours>(path);
      put(kept);
      return keptOf(kept);
    },
    merge: mergeHours,
    tell: ([, , theirs], clashes) => describeHoursClashes(theirs, clashes, showMinutes),
    failureOf,
    changed: forgetUndo,
    later: laterBy,
  };
}
