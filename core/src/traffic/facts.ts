import { outcomeOf, waitedMs, type Outcome, type TranscriptEntry } from '../call';
import type { GroupId, QueueId, QueueReason } from '../directory';
import { rungIn, type OutsideCall, type Ring } from './rings';
import { visitsIn, type Visit } from './visits';

/** A wait in a queue. */
export interface Wait {
  readonly queueId: QueueId;
  readonly atMs: number;
  readonly waitedMs: number;
  readonly end: QueueReason | 'answered' | 'hungUp';
}

/** What became of a call that is over, and who was rung for it; times in ms. */
export interface CallEnd {
  readonly outcome: Outcome;
  readonly toPersonMs: number | null;
  readonly waits: readonly Wait[];
  readonly rings: readonly Ring[];
  readonly outside: readonly OutsideCall[];
}

/** What Traffic knows of a call that is over (docs/traffic.md); times in ms. */
export interface CallFacts extends CallEnd {
  readonly through: GroupId | QueueId | null;
  readonly waitedMs: number;
  readonly talkMs: number;
  readonly holdMs: number;
  readonly wrongKeys: number;
  readonly silences: number;
  readonly visits: readonly Visit[];
}

/** @returns null while the call goes on */
export function factsOf(transcript: readonly TranscriptEntry[]): CallFacts | null {
  const end = callEnd(transcript);
  if (!end) return null;
  const visits = visitsIn(transcript);
  const { rings } = end;
  return {
    ...end,
    through: rings.find((ring) => ring.end === 'answered')?.through ?? null,
    waitedMs: waitedMs(transcript),
    talkMs: total(rings, 'talkMs'),
    holdMs: total(rings, 'holdMs'),
    wrongKeys: total(visits, 'wrongKeys'),
    silences: total(visits, 'silences'),
    visits,
  };
}

/** @returns null while the call goes on */
export function callEnd(transcript: readonly TranscriptEntry[]): CallEnd | null {
  const outcome = outcomeOf(transcript);
  const [first] = transcript;
  if (!outcome || !first) return null;
  const reached = transcript.find(({ type }) => type === 'answered' || type === 'handedOver');
  const toPersonMs = reached ? Math.max(0, reached.atMs - first.atMs) : null;
  return { outcome, toPersonMs, waits: waitsIn(transcript), ...rungIn(transcript) };
}

function waitsIn(transcript: readonly TranscriptEntry[]): readonly Wait[] {
  return transcript.flatMap((entry) =>
    entry.type === 'leftQueue'
      ? [{ queueId: entry.queueId, atMs: entry.atMs - entry.waitedMs, waitedMs: entry.waitedMs, end: entry.why }]
      : [],
  );
}

function total<Name extends string>(all: readonly Readonly<Record<Name, number>>[], name: Name): number {
  return all.reduce((sum, each) => sum + each[name], 0);
}
