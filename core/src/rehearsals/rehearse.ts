import {
  transcriptOf,
  withoutSwitch,
  type CallScript,
  type CallState,
  type RungPhone,
  type TranscriptEntry,
} from '../call';
import { simulate, callId, type CallerAct, type StaffAct } from '../exchange';
import { instantOf } from '../hours';
import { isKey, type Key, type SheetId } from '../line';
import type { Expectation, Reached, Rehearsal, Scene, SceneAct, SceneEnd, TracedEntry } from './rehearsal';
import { partingOf, traceOf } from './trace';

/** How a rehearsal went. */
export interface Rehearsed {
  readonly id: Rehearsal['id'];
  /** The expectations that were not met, by their places. */
  readonly failed: readonly number[];
  readonly trace: readonly TracedEntry[];
  /** Where the call went another way than when it last went as it should; null where it did not. */
  readonly partsAt: number | null;
}

export const isBroken = ({ failed }: Pick<Rehearsed, 'failed'>): boolean => failed.length > 0;

/** Under which somebody can say yes to a broken rehearsal: the same one, failing in the same things. */
export const brokenKey = ({ id, failed }: Rehearsed): string => `rehearsal | ${id} | ${failed.join(',')}`;

/** Runs a rehearsal and looks whether everything happened that must. */
export function rehearse(script: CallScript, rehearsal: Rehearsal): Rehearsed {
  const transcript = play(script, rehearsal.scene);
  const trace = traceOf(transcript);
  const failed = rehearsal.expects.flatMap((expected, index) => (isMet(expected, transcript) ? [] : [index]));
  const partsAt = rehearsal.was ? partingOf(rehearsal.was, trace) : null;
  return { id: rehearsal.id, failed, trace, partsAt };
}

const caller = callId.create('rehearsal');
/** How long a caller needs to press a key once it counts, and between keys. */
const pressAfterMs = 800;
const betweenKeysMs = 300;
const answerAfterMs = 4000;
const talkMs = 30_000;
/** A voicemail of a mobile picks up after about so long. */
const voicemailAfterMs = 22_000;
const messageMs = 6000;
const mostEvents = 5000;

/** Makes the call of a scene on a clock of its own, as if no switch were set: that is for now, a rehearsal for good. */
export function play(now: CallScript, scene: Scene): readonly TranscriptEntry[] {
  const script = withoutSwitch(now);
  const line = script.lines.find(({ id }) => id === script.lineId);
  const atMs = instantOf(scene.reading, line?.timeZone ?? 'UTC');
  const transcript: TranscriptEntry[] = [];
  const acting = new Acting(script, scene.acts);
  simulate({
    script,
    callers: [{ callId: caller, atMs, callerNumber: scene.callerNumber, acts: [] }],
    staff: (phone) => staffAct(scene, phone),
    // What is handed over is taken there, unless the scene says otherwise of that very number.
    handedOver: (target) => staffAct({ ...scene, others: 'answers' }, target),
    reacts: (_, state) => acting.reactTo(state),
    mostEvents,
    watch: (_, { effects, atMs: now }) => {
      for (const effect of effects)
        if (effect.type === 'forCall') transcript.push(...transcriptOf([effect.effect], now));
    },
  });
  return transcript;
}

/** A caller who takes one act after the other as soon as they can. */
class Acting {
  private next = 0;
  /** Whether they have acted in the round of the menu, question or queue that goes on. */
  private hasActed = false;
  private queue: number | null = null;

  constructor(
    private readonly script: CallScript,
    private readonly acts: readonly SceneAct[],
  ) {}

  reactTo(state: CallState): readonly CallerAct[] {
    const act = this.acts[this.next];
    if (state.phase.type === 'recording') {
      return [{ type: 'hangUp', afterMs: act?.type === 'hangUp' ? act.afterSeconds * 1000 : messageMs }];
    }
    if (act?.type === 'hangUp') {
      this.next += 1;
      return [{ type: 'hangUp', afterMs: act.afterSeconds * 1000 }];
    }
    if (!this.isNewRound(state) || !act) return [];
    this.next += 1;
    this.hasActed = true;
    if (act.type === 'wait') return [];
    if (act.type === 'say') return [{ type: 'speak', words: act.words, afterMs: pressAfterMs }];
    return [...act.keys].filter(isKey).map((key: Key, index) => ({
      type: 'press' as const,
      key,
      afterMs: pressAfterMs + index * betweenKeysMs,
    }));
  }

  /** Whether keys count from now on, and the caller has not had this chance yet. */
  private isNewRound(state: CallState): boolean {
    const { phase } = state;
    switch (phase.type) {
      case 'menuSpeaking':
        this.hasActed = false;
        return keysCountIn(this.script, state, phase.sheetId);
      case 'askSpeaking':
        this.hasActed = false;
        return true;
      case 'menuWaiting':
      case 'askWaiting':
        return !this.hasActed;
      case 'inQueue': {
        const isNew = this.queue !== phase.waitId;
        this.queue = phase.waitId;
        return isNew;
      }
      case 'menuDialling':
        return false;
      default:
        this.hasActed = false;
        return false;
    }
  }
}

/** Whether keys count while a menu is being said. */
function keysCountIn({ lines }: CallScript, { lineId }: CallState, sheetId: SheetId): boolean {
  const sheets = lines.find(({ id }) => id === lineId)?.attendant.sheets;
  const sheet = sheets?.find(({ id }) => id === sheetId);
  return sheet?.type === 'menu' && sheet.keysDuringGreeting;
}

function staffAct({ staff, others }: Scene, phone: RungPhone): StaffAct {
  const id = phone.type === 'person' ? phone.personId : phone.contactId;
  switch (staff.find(({ who }) => who === id)?.does ?? others) {
    case 'answers':
      return { type: 'answer', afterMs: answerAfterMs, talkMs };
    case 'voicemail':
      return { type: 'voicemail', afterMs: voicemailAfterMs };
    case 'busy':
      return { type: 'busy' };
    case 'noAnswer':
      return { type: 'noAnswer' };
  }
}

/** Whether something happened in a call that must. */
function isMet(expected: Expectation, transcript: readonly TranscriptEntry[]): boolean {
  switch (expected.type) {
    case 'reaches':
      return transcript.some((entry) => reachedBy(entry).includes(expected.who));
    case 'hears':
      return plain(transcript.flatMap((entry) => (entry.type === 'said' ? [entry.text] : [])).join(' ')).includes(
        plain(expected.words),
      );
    case 'within': {
      const ms = msToSomebody(transcript);
      return ms !== null && ms <= expected.seconds * 1000;
    }
    case 'ends':
      return endOf(transcript) === expected.how;
  }
}

/** Whom or what a call has reached by something that happened in it. */
export function reachedBy(entry: TranscriptEntry): readonly (Reached | null)[] {
  switch (entry.type) {
    case 'answered':
      return [entry.phone.type === 'person' ? entry.phone.personId : entry.phone.contactId];
    case 'ringingGroup':
      return [entry.groupId];
    case 'queued':
      return [entry.queueId];
    case 'recording':
      return [entry.boxId];
    case 'handedOver':
      return [entry.target.contactId];
    case 'line':
      return [entry.lineId];
    case 'sheet':
      return [entry.sheetId];
    default:
      return [];
  }
}

/** How long until somebody picks up or a message is recorded; null where neither comes. */
export function msToSomebody(transcript: readonly TranscriptEntry[]): number | null {
  const began = transcript[0]?.atMs ?? 0;
  const reached = transcript.find(({ type }) => type === 'answered' || type === 'recording' || type === 'handedOver');
  return reached ? reached.atMs - began : null;
}

/** How a call ended; null where it never did. */
export function endOf(transcript: readonly TranscriptEntry[]): SceneEnd | null {
  const end = transcript.findLast((entry) => entry.type === 'ended');
  if (end?.type !== 'ended') return null;
  if (transcript.some(({ type }) => type === 'answered')) return 'talk';
  if (transcript.some(({ type }) => type === 'recording')) return 'message';
  switch (end.reason) {
    case 'handedOver':
      return 'handedOver';
    case 'callerHungUp':
      return 'callerHangsUp';
    case 'blocked':
      return 'blocked';
    default:
      return 'lineHangsUp';
  }
}

/** Letters and digits count, not marks, capitals and spaces. */
function plain(text: string): string {
  return text
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();
}
