import type { Member, RotaSwap, Tell } from '@locutor/core/directory';
import { isSame, itemsBy, membersOf, merge, type Side } from '@locutor/core/merging';
import { useEffect, useSyncExternalStore } from 'react';
import { useSWRConfig, type Cache, type ScopedMutator } from 'swr';
import { api, ApiProblem } from '../api/client';
import type { Revised } from '../api/resources';
import { forgetUndo } from '../parts/notices';
import { askedFirst } from './askedFirst';
import { Backup, readFields } from './backups';
import { failureOf } from './failureOf';
import { laterBy } from './laterBy';
import { describeRowClashes, fieldsInWords } from './rowWords';
import { Saver, type Kept, type Saving, type SaverDoors } from './saver';
import { useSavers } from './savers';
import { takeUp, takeUpRest } from './takeUp';
import { tellMerged } from './tellMerged';
import { Undoable } from './undoable';

export interface RowDraft<Row> {
  readonly row: Row;
  readonly saving: Saving;
  readonly change: (changes: Partial<Row>) => void;
  /** Settles clashes with what another window made of the same fields. */
  readonly choose: (sides: readonly Side[]) => void;
}

type Fields = object;

/** What of a row is changed by itself: each field, and in a list of members or of those told each of them. */
const rowShape = membersOf({
  members: itemsBy<Member>(({ personId }) => personId, membersOf()),
  rota: membersOf({ swaps: itemsBy<RotaSwap>(({ date }) => date) }),
  tell: itemsBy<Tell>(({ personId, by }) => `${personId} ${by}`),
  patterns: itemsBy<string>((pattern) => pattern),
});

/** Where fields are read and saved. */
interface FieldsPlace {
  /** Where they are read: alone, or in a list. */
  readonly list: string;
  /** Which of the list they are; null where they are alone. */
  readonly id: string | null;
  /** What they are called where they have no name of their own. */
  readonly what?: string;
}

/** A row of a list, edited in place: see `useFieldsDraft`. */
export function useRowDraft<Row extends Revised & { readonly id: string }>(list: string, row: Row): RowDraft<Row> {
  return useFieldsDraft({ list, id: row.id }, row);
}

/**
 * Something with fields, edited in place: it saves itself, keeps what was typed when it cannot, and merges it with what
 * another window saved meanwhile.
 */
export function useFieldsDraft<Row extends Revised>(place: FieldsPlace, row: Row): RowDraft<Row> {
  const { mutate, cache } = useSWRConfig();
  const savers = useSavers();
  const path = pathOf(place);
  const { saver, history, touched } = savers.of(path, () => {
    const backup = new Backup<Fields>(path, readFields);
    const doors = { ...doorsOf<Row>(place, mutate, cache), ...backup.doors };
    const made = new Saver<Fields>(keptOf(row), doors, takeUp(backup));
    const what = (): string => nameOf(made.getPresent()) ?? place.what ?? 'What you changed';
    const history = new Undoable(made, {
      merge: doors.merge,
      kind: 'rows',
      describe: (before, after) => `${what()}: ${fieldsInWords(changedFields(before, after))}`,
      joins: (first, before, after) => areSameFields(changedFields(first, before), changedFields(before, after)),
    });
    tellMerged(made, { what, change: history.change });
    takeUpRest(made, backup, { merge: doors.merge, what, change: history.change });
    return { saver: made, what, history, touched: touchedIn(made) };
  });
  useEffect(() => saver.arrive(keptOf(row)), [saver, row]);
  useEffect(() => savers.showInPlace(path), [savers, path]);
  const present = useSyncExternalStore(saver.subscribe, saver.getPresent);
  const saving = useSyncExternalStore(saver.subscribe, saver.getSaving);
  // What was typed here stays as it was typed, though the server may have kept it trimmed; until something newer comes in.
  const shown = saver.revision < row.revision ? changedFields(saver.keptDocument, present) : pick(present, touched);
  return {
    row: { ...row, ...shown },
    saving,
    change: (changes) => history.change({ ...saver.getPresent(), ...changes }),
    choose: (sides) => saver.choose(sides),
  };
}

function pathOf({ list, id }: FieldsPlace): string {
  return id === null ? list : `${list}/${id}`;
}

function keptOf({ revision, ...document }: Revised & Fields): Kept<Fields> {
  return { revision, document };
}

function nameOf(present: Fields): string | undefined {
  const { name } = present as { readonly name?: string };
  return name?.trim() ? name : undefined;
}

function changedFields(before: Fields, after: Fields): Fields {
  const was = before as Readonly<Record<string, unknown>>;
  return Object.fromEntries(Object.entries(after).filter(([field, value]) => !isSame(was[field], value)));
}

/** Which fields were changed in this window, by this one or, as they came in, by another. */
function touchedIn(saver: Saver<Fields>): ReadonlySet<string> {
  let before = saver.getPresent();
  const touched = new Set(Object.keys(changedFields(saver.keptDocument, before)));
  saver.subscribe(() => {
    for (const name of Object.keys(changedFields(before, saver.getPresent()))) touched.add(name);
    before = saver.getPresent();
  });
  return touched;
}

function pick(fields: Fields, names: ReadonlySet<string>): Fields {
  return Object.fromEntries(Object.entries(fields).filter(([name]) => names.has(name)));
}

function areSameFields(one: Fields, other: Fields): boolean {
  return Object.keys(one).sort().join() === Object.keys(other).sort().join();
}

function doorsOf<Row extends Revised>(
  place: FieldsPlace,
  mutate: ScopedMutator,
  cache: Cache,
): Omit<SaverDoors<Fields>, 'backUp' | 'leaving'> {
  const { list, id } = place;
  type Listed = Row & { readonly id?: string };
  const put = (saved: Row): void => {
    const into = (all: readonly Listed[] | undefined) =>
      all?.map((each) => (each.id === id ? { ...each, ...saved } : each));
    if (id === null) void mutate(list, saved, { revalidate: false });
    else void mutate<readonly Listed[]>(list, into, { revalidate: true });
  };
  return {
    async save(base, document) {
      const body = { ...changedFields(base.document, document), revision: base.revision };
      const saved = await askedFirst<Row>(pathOf(place), { method: 'PATCH', body });
      put(saved);
      return saved;
    },
    async load() {
      if (id === null) return keptOf(await api<Row>(list));
      const all = await api<readonly Listed[]>(list);
      const row = all.find((each) => each.id === id);
      if (!row) throw new ApiProblem(404, 'It was deleted in another window.');
      put(row);
      return keptOf(row);
    },
    merge: (base, mine, theirs, choose) => merge(base, mine, theirs, rowShape, choose),
    tell: (_, clashes) => describeRowClashes(clashes, namesIn(cache)),
    failureOf,
    changed: forgetUndo,
    later: laterBy,
  };
}

/** What everything is called that was read so far, by id. */
function namesIn(cache: Cache): (id: string) => string | undefined {
  return (id) => {
    for (const key of cache.keys()) {
      const data = cache.get(key)?.data as unknown;
      if (!Array.isArray(data)) continue;
      const found = (data as readonly { id?: string; name?: string }[]).find((each) => each?.id === id);
      if (found) return found.name;
    }
    return undefined;
  };
}
