import {
  defaultVoice,
  describeAttendantClashes,
  differencesInWords,
  mergeAttendants,
  readAttendant,
  schemaVersion,
  type Attendant,
  type LineId,
  type Names,
} from '@locutor/core/line';
import { api, ApiProblem } from '../api/client';
import type { Draft, KeptLine } from '../api/resources';
import { forgetUndo } from '../parts/notices';
import { Backup } from '../saving/backups';
import { failureOf } from '../saving/failureOf';
import { laterBy } from '../saving/laterBy';
import { Saver, type Kept, type SaverDoors } from '../saving/saver';
import type { Held, Savers } from '../saving/savers';
import { takeUp, takeUpRest } from '../saving/takeUp';
import { tellMerged } from '../saving/tellMerged';
import { DraftStore } from './draftStore';
import { recallHistory, rememberHistory } from './historyMemory';

export const draftPath = (lineId: LineId): string => `/api/lines/${lineId}/draft`;

export interface HeldDraft extends Held {
  readonly saver: Saver<Attendant>;
  readonly store: DraftStore;
  /** Says what everything is called by now. */
  readonly know: (names: Names) => void;
}

/** The draft of a line as it is edited in this window; opened when it is asked for first. */
export function openDraft(savers: Savers, line: KeptLine, draft: Draft): HeldDraft {
  const path = draftPath(line.id);
  return savers.of(path, () => {
    let names: Names = {};
    const backup = new Backup<Attendant>(path, readAttendant);
    const doors = { ...doorsOf(line.id, () => names), ...backup.doors };
    const saver = new Saver(keptOf(draft), doors, takeUp(backup));
    const store = new DraftStore(saver, recallHistory(path, saver.getPresent()));
    window.addEventListener('pagehide', () => rememberHistory(path, store.getSnapshot().history));
    const what = (): string => `The script of ${line.name}`;
    tellMerged(saver, {
      what,
      where: ({ base, theirs }) => differencesInWords(base, theirs, names).map(({ where }) => where),
      change: (attendant) => store.edit({ type: 'replace', attendant, why: 'take back what the other window changed' }),
    });
    takeUpRest(saver, backup, {
      what,
      merge: doors.merge,
      change: (attendant) => store.edit({ type: 'replace', attendant, why: 'put in what a closed window had' }),
    });
    const know = (known: Names): void => {
      names = known;
      store.know(known);
    };
    return { saver, store, history: store, what, know };
  });
}

/**
 * Stands in for a draft that cannot be read: what is on air, so that all else can be seen and done. Nothing of it is
 * saved until the draft is begun anew.
 */
export function standInDraft(attendant: Attendant | undefined, problem: ApiProblem): DraftStore {
  const refused = (): Promise<never> => Promise.reject(new ApiProblem(422, problem.detail));
  const empty: Attendant = {
    schemaVersion,
    voice: defaultVoice,
    sheets: [],
    paths: [],
    answering: { rules: [], otherwise: [] },
    fallbacks: [],
  };
  const saver = new Saver<Attendant>(
    { revision: problem.revision ?? 1, document: attendant ?? empty },
    {
      save: refused,
      load: refused,
      backUp: () => undefined,
      merge: mergeAttendants,
      tell: () => [],
      failureOf,
      later: laterBy,
    },
  );
  return new DraftStore(saver);
}

export function keptOf({ revision, attendant }: Draft): Kept<Attendant> {
  return { revision, document: attendant };
}

function doorsOf(lineId: LineId, names: () => Names): Omit<SaverDoors<Attendant>, 'backUp' | 'leaving'> {
  const path = draftPath(lineId);
  return {
    save: ({ revision }, attendant) => api<Draft>(path, { method: 'PUT', body: { revision, attendant } }),
    load: async () => keptOf(await api<Draft>(path)),
    merge: mergeAttendants,
    tell: (versions, clashes) => describeAttendantClashes(versions, clashes, names()),
    failureOf,
    changed: forgetUndo,
    later: laterBy,
  };
}
