import type { CallScript, Outcome, TranscriptEntry } from '@locutor/core/call';
import type { CallId } from '@locutor/core/exchange';
import type {
  Box,
  BoxId,
  CallerList,
  Contact,
  Group,
  OutgoingLimits,
  Person,
  PersonId,
  Queue,
} from '@locutor/core/directory';
import type { FirstCall, FirstCallState } from '@locutor/core/firstCalls';
import type { Hours } from '@locutor/core/hours';
import type { Finding } from '@locutor/core/proof';
import type { Rehearsal, Rehearsed } from '@locutor/core/rehearsals';
import type { Budget, Cost, Rates } from '@locutor/core/cost';
import type {
  AnsweredFigures,
  DayHourSum,
  QuietHours,
  Recent,
  ReportPlan,
  RingSum,
  SavedSpan,
  SheetPresses,
  WhenSums,
} from '@locutor/core/traffic';
import type { Unpressed } from '@locutor/core/line';
import type {
  Attendant,
  Greeting,
  HoldMusic,
  Line,
  LineId,
  Names,
  RecordedTake,
  TextRecording,
  VoiceId,
} from '@locutor/core/line';
import type { LoggedCaller } from '@locutor/core/whatIf';
import { useEffect, useMemo } from 'react';
import useSWR from 'swr';
import { api } from './client';

export interface Revised {
  readonly revision: number;
}

export type KeptLine = Line & Revised & { readonly onAirVersionId: string | null };
export type KeptHours = Hours & Revised;
export type KeptPerson = Person & Revised;
export type KeptGroup = Group & Revised;
export type KeptQueue = Queue & Revised;
export type KeptBox = Box & Revised;
export type KeptContact = Contact & Revised;
export type KeptCallerList = CallerList & Revised;
export type KeptGreeting = Greeting & Revised;

export interface Draft extends Revised {
  readonly savedAt: number;
  readonly attendant: Attendant;
}

/** One time at which a version went on air. */
export interface Airing {
  readonly at: number;
  readonly by: string;
  readonly note: string;
  readonly how: 'now' | 'planned' | 'putBack' | 'putBackPlanned';
}

export interface Version {
  readonly id: string;
  readonly number: number;
  readonly onAirAt: number;
  readonly onAir: boolean;
  /** The last one first. */
  readonly airings: readonly Airing[];
}

export interface WholeVersion extends Version {
  readonly attendant: Attendant;
  readonly greetings: readonly Greeting[];
  readonly takes: readonly RecordedTake[];
  /** What it referred to, as it was; null for versions of earlier releases. */
  readonly directory:
    | (Pick<
        CallScript,
        'people' | 'groups' | 'queues' | 'boxes' | 'contacts' | 'callerLists' | 'hours' | 'holdMusic'
      > & {
        readonly names: Names;
        readonly lineHours: Hours;
        /** The recordings of texts; left out by versions of earlier releases. */
        readonly recordings?: readonly TextRecording[];
      })
    | null;
}

/** Somebody's yes to a caution, or a tip that was silenced. */
export interface AcceptedFinding {
  readonly key: string;
  readonly reason: string;
  readonly by: string;
  readonly at: number;
}

export type KeptRehearsal = Rehearsal & Revised;

/** What is to go on air later. */
export interface Planned extends Revised {
  /** The earlier version that goes back on air; null where it is the draft. */
  readonly versionId: string | null;
  readonly at: number;
  readonly by: string;
  readonly note: string;
  readonly madeAt: number;
  readonly draftRevision: number;
  readonly problem: string | null;
}

/** What an earlier version needs before it goes back on air: findings and rehearsals that nobody has said yes to. */
export interface Standing {
  readonly findings: readonly (Finding & { readonly says: string; readonly why: string; readonly advice: string })[];
  readonly broken: readonly { readonly rehearsal: KeptRehearsal; readonly run: Rehearsed }[];
  /** How many rehearsals there are. */
  readonly rehearsals: number;
}

/** A line of a version's checklist, and how it went. */
export interface TickedFirstCall extends FirstCall {
  readonly tick: {
    readonly state: FirstCallState;
    readonly note: string;
    readonly by: string;
    readonly at: number;
  } | null;
}

export interface Message {
  readonly id: string;
  readonly boxId: BoxId;
  readonly callerNumber: string;
  readonly leftAt: number;
  readonly trial: boolean;
  readonly lengthMs: number;
  readonly audioId: string;
  /** Whether nobody spoke into it. */
  readonly silent: boolean;
  /** What was typed in place of speaking; empty for nothing. */
  readonly words: string;
  readonly heard: boolean;
}

export interface OutboxItem {
  readonly id: string;
  readonly kind: 'email' | 'text';
  readonly to: string;
  readonly toName: string;
  readonly subject: string;
  readonly text: string;
  readonly hasAudio: boolean;
  readonly madeAt: number;
  readonly state: 'kept' | 'waiting' | 'sent' | 'failed';
  readonly problem: string;
  readonly nextTryAt: number | null;
}

export interface LoggedCall {
  readonly id: CallId;
  readonly lineId: LineId;
  readonly versionId: string | null;
  readonly callerNumber: string;
  readonly staffCaller: PersonId | null;
  readonly startedAt: number;
  readonly endedAt: number | null;
  readonly pretended: boolean;
  readonly outcome: Outcome | null;
  readonly answeredBy: string | null;
  readonly messageId: string | null;
  readonly recordingId: string | null;
  readonly recordingMs: number;
}

export interface WholeCall extends LoggedCall {
  readonly transcript: readonly TranscriptEntry[];
}

/** Which calls are wanted, as the address asks for them. */
export type CallsWanted = Readonly<Record<string, string>>;

export interface Settings extends Revised {
  readonly mailHost: string;
  readonly mailPort: number;
  readonly mailSecure: boolean;
  readonly mailUser: string;
  readonly mailFrom: string;
  readonly keepCallsDays: number;
  readonly keepDeletedDays: number;
  readonly keepSpokenDays: number;
  readonly mostSpokenMegabytes: number;
  readonly mostAloneSeconds: number;
  readonly holdMusic: HoldMusic;
  readonly outgoing: OutgoingLimits;
  readonly rates: Rates;
  readonly budget: Budget | null;
  readonly savedSpans: readonly SavedSpan[];
  readonly report: ReportPlan;
}

/** What Today tells of traffic. */
export interface TodayTraffic {
  readonly days: readonly DayHourSum[];
  /** The first day of the log; null where it is empty. */
  readonly firstDay: number | null;
  readonly recent: Recent;
}

/** What is kept, and what room there is for more. */
export interface Storage {
  readonly folder: string;
  readonly freeBytes: number;
  readonly isLow: boolean;
  readonly spokenSentences: number;
  readonly spokenBytes: number;
}

export interface SpokenSentence {
  readonly text: string;
  readonly audioId: string;
  readonly lengthMs: number;
}

const none: readonly never[] = [];

export const useLines = () => useSWR<readonly KeptLine[]>('/api/lines', api);
export const useHours = (line: Line | undefined) => useSWR<KeptHours>(line ? `/api/hours/${line.hoursId}` : null, api);
export const useAllHours = () => useSWR<readonly KeptHours[]>('/api/hours', api);
/** What a call to a line goes by, other lines included, as the server has it. */
export const useServerScript = (lineId: LineId) => useSWR<CallScript>(`/api/lines/${lineId}/script`, api);
/** Every line as callers find it. */
export function useServerScripts(): CallScript['lines'] {
  const first = useLines().data?.find(({ onAirVersionId }) => onAirVersionId);
  return useSWR<CallScript>(first ? `/api/lines/${first.id}/script?of=onAir` : null, api).data?.lines ?? none;
}
export const useVersions = (lineId: LineId) => useSWR<readonly Version[]>(`/api/lines/${lineId}/versions`, api);
export const useVersion = (lineId: LineId, id: string | null | undefined): WholeVersion | undefined =>
  useSWR<WholeVersion>(id ? `/api/lines/${lineId}/versions/${id}` : null, api).data;
export const useAccepted = (lineId: LineId): readonly AcceptedFinding[] =>
  useSWR<readonly AcceptedFinding[]>(`/api/lines/${lineId}/proof/accepted`, api).data ?? none;
/** What stands between an earlier version and going back on air, as things are now; read again when somebody says yes. */
export function useStanding(lineId: LineId, versionId: string | undefined) {
  const accepted = useAccepted(lineId);
  const path = `/api/lines/${lineId}/versions/${versionId}/standing`;
  const standing = useSWR<Standing, Error>(versionId ? path : null, api);
  const { mutate } = standing;
  useEffect(() => void mutate(), [accepted, mutate]);
  return standing;
}
/** Names of people who have left. */
export const useLeavers = (): readonly string[] => useSWR<readonly string[]>('/api/leavers', api).data ?? none;
/** Of no line there are none. */
export const useRehearsals = (lineId: LineId | null) =>
  useSWR<readonly KeptRehearsal[]>(lineId && `/api/lines/${lineId}/rehearsals`, api);
export const usePlanned = (lineId: LineId): Planned | null =>
  useSWR<{ readonly planned: Planned | null }>(`/api/lines/${lineId}/planned`, api).data?.planned ?? null;
export const useQuietHours = (lineId: LineId) => useSWR<QuietHours>(`/api/lines/${lineId}/quietest`, api).data;
export const useFirstCalls = (lineId: LineId, versionId: string | null | undefined) =>
  useSWR<readonly TickedFirstCall[]>(versionId ? `/api/lines/${lineId}/versions/${versionId}/first-calls` : null, api);
export const useDeletedMessages = (wanted: boolean) =>
  useSWR<readonly Message[]>(wanted ? '/api/messages?deleted=true' : null, api);
export const useOutbox = () => useSWR<readonly OutboxItem[]>('/api/outbox', api);
export const useSettings = () => useSWR<Settings>('/api/settings', api);
export const useStorage = () => useSWR<Storage>('/api/storage', api, { refreshInterval: 60_000 });
export const useCall = (id: string) => useSWR<WholeCall>(`/api/calls/${id}`, api);
export const useCalls = (wanted: CallsWanted) =>
  useSWR<{ readonly calls: readonly LoggedCall[]; readonly inAll: number }, Error>(
    `/api/calls?${new URLSearchParams(wanted).toString()}`,
    api,
    { keepPreviousData: true },
  );
/** When people called, of a span and line. */
export const useWhen = (asked: CallsWanted | null) =>
  useSWR<WhenSums, Error>(asked && `/api/traffic/when?${new URLSearchParams(asked).toString()}`, api, {
    keepPreviousData: true,
  });
/** How long it took until somebody answered, of a span and line. */
export const useAnswered = (asked: CallsWanted) =>
  useSWR<AnsweredFigures, Error>(`/api/traffic/answered?${new URLSearchParams(asked).toString()}`, api, {
    keepPreviousData: true,
  });
/** What callers did in each menu and announcement, of a span and line. */
export const usePressed = (asked: CallsWanted) =>
  useSWR<readonly SheetPresses[], Error>(`/api/traffic/pressed?${new URLSearchParams(asked).toString()}`, api, {
    keepPreviousData: true,
  });
/** How often each was rung, and how that ended, of a span and line. */
export const useWork = (asked: CallsWanted) =>
  useSWR<readonly RingSum[], Error>(`/api/traffic/work?${new URLSearchParams(asked).toString()}`, api, {
    keepPreviousData: true,
  });
/** The day so far of a line, and its last four weeks. */
export const useTraffic = (lineId: LineId) =>
  useSWR<TodayTraffic, Error>(`/api/traffic/today?lineId=${lineId}`, api, { refreshInterval: 300_000 });
/** Keys of what is on air that nobody pressed for long; undefined until that is known. */
export const useUnpressed = (lineId: LineId) =>
  useSWR<Unpressed, Error>(`/api/traffic/unpressed?lineId=${lineId}`, api, { revalidateOnFocus: false }).data;
/** The report that would be mailed now. */
export const useReport = (every: 'week' | 'month', lineId: LineId | null) =>
  useSWR<{ readonly subject: string; readonly text: string; readonly html: string }, Error>(
    `/api/traffic/report?every=${every}${lineId ? `&lineId=${lineId}` : ''}`,
    api,
  );
/** How many calls are still to be counted. */
export const useUncounted = () =>
  useSWR<{ readonly left: number }, Error>('/api/traffic/uncounted', api, { refreshInterval: 1500 });
/** What callers did, one by one, of a span and line. */
export const useCallers = (asked: CallsWanted) =>
  useSWR<readonly LoggedCaller[], Error>(`/api/traffic/callers?${new URLSearchParams(asked).toString()}`, api, {
    revalidateOnFocus: false,
  });
/** What calls of a span and line cost; null while no rate card is typed in. */
export const useCost = (asked: CallsWanted | null) =>
  useSWR<{ readonly cost: Cost | null }, Error>(
    asked && `/api/traffic/cost?${new URLSearchParams(asked).toString()}`,
    api,
    { keepPreviousData: true },
  );
export const useMessages = () => useSWR<readonly Message[]>('/api/messages', api);

export function useOnAir({ id, onAirVersionId }: KeptLine): WholeVersion | undefined {
  return useVersion(id, onAirVersionId);
}

export function usePeople(): readonly KeptPerson[] {
  return byName(useSWR<readonly KeptPerson[]>('/api/people', api).data);
}

export function useGroups(): readonly KeptGroup[] {
  return byName(useSWR<readonly KeptGroup[]>('/api/groups', api).data);
}

export function useQueues(): readonly KeptQueue[] {
  return byName(useSWR<readonly KeptQueue[]>('/api/queues', api).data);
}

export function useBoxes(): readonly KeptBox[] {
  return byName(useSWR<readonly KeptBox[]>('/api/boxes', api).data);
}

export function useContacts(): readonly KeptContact[] {
  return byName(useSWR<readonly KeptContact[]>('/api/contacts', api).data);
}

export function useCallerLists(): readonly KeptCallerList[] {
  return byName(useSWR<readonly KeptCallerList[]>('/api/caller-lists', api).data);
}

/** The texts that are heard from a recording, but for sheets and greetings of the library. */
export function useTextRecordings(): readonly TextRecording[] {
  return useSWR<readonly TextRecording[]>('/api/recordings', api).data ?? none;
}

export function useGreetings(): readonly KeptGreeting[] {
  return byName(useSWR<readonly KeptGreeting[]>('/api/greetings', api).data);
}

/** Everything that steps refer to, as it is now. */
export function useDirectory() {
  const [people, groups, queues] = [usePeople(), useGroups(), useQueues()];
  const [boxes, contacts] = [useBoxes(), useContacts()];
  const [callerLists, greetings, lines = none] = [useCallerLists(), useGreetings(), useLines().data];
  return useMemo(
    () => ({ people, groups, queues, boxes, contacts, callerLists, greetings, lines }),
    [people, groups, queues, boxes, contacts, callerLists, greetings, lines],
  );
}

/** What everything that steps and rules refer to is called, by id. */
export function useNames(hours: Hours | undefined): Names {
  const directory = useDirectory();
  return useMemo(() => {
    const named = [...Object.values(directory).flat(), ...(hours?.periods ?? []), ...(hours?.special ?? [])];
    return Object.fromEntries(named.map(({ id, name }) => [id, name]));
  }, [directory, hours]);
}

/** Has sentences spoken; each is spoken only once by the server and kept. */
export function speak(voice: VoiceId, texts: readonly string[]): Promise<readonly SpokenSentence[]> {
  return api('/api/speech', { method: 'POST', body: { voice, texts } });
}

export const audioUrl = (audioId: string): string => `/api/audio/${audioId}`;

const sorted = new WeakMap<readonly { name: string }[], readonly { name: string }[]>();

function byName<Item extends { readonly name: string }>(items: readonly Item[] | undefined): readonly Item[] {
  if (!items) return none;
  let list = sorted.get(items) as readonly Item[] | undefined;
  if (!list) {
    list = [...items].sort((one, other) => one.name.localeCompare(other.name));
    sorted.set(items, list);
  }
  return list;
}
