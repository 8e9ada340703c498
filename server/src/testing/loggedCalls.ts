import type { TranscriptEntry } from '@locutor/core/call';
import { personId } from '@locutor/core/directory';
import { callId } from '@locutor/core/exchange';
import { instantOf, type TimeZone } from '@locutor/core/hours';
import type { LineId } from '@locutor/core/line';
import type { CallEntity } from '../callLog/call.entity';

export const noor = personId.create('noor');
export const rungPhone = { type: 'person', personId: noor, number: null } as const;
export type LoggedEnd = 'answered' | 'gaveUp' | 'message';
export type CallMaker = (name: string, reading: string, end?: LoggedEnd, more?: Partial<CallEntity>) => CallEntity;

/** Makes calls of a log, each at a time by the line's clock, in which somebody is rung after 10 s. */
export function callsOf(line: LineId, zone: TimeZone): CallMaker {
  return (name, reading, end = 'answered', more = {}) => {
    const startedAt = instantOf(reading, zone);
    const after = (seconds: number) => startedAt + seconds * 1000;
    const ends: Record<LoggedEnd, TranscriptEntry[]> = {
      answered: [
        { type: 'answered', atMs: after(18), phone: rungPhone },
        { type: 'ended', atMs: after(78), reason: 'callerHungUp' },
      ],
      gaveUp: [{ type: 'ended', atMs: after(25), reason: 'callerHungUp' }],
      message: [
        { type: 'notAnswered', atMs: after(28), target: { type: 'person', personId: noor }, why: 'noAnswer' },
        { type: 'message', atMs: after(50), boxId: 'box:office' as never, lengthMs: 9000, kept: true },
        { type: 'ended', atMs: after(51), reason: 'messageTaken' },
      ],
    };
    const transcript: TranscriptEntry[] = [
      { type: 'called', atMs: startedAt, callerNumber: '', lineId: line, answer: { type: 'otherwise' } },
      { type: 'ringing', atMs: after(10), phone: rungPhone, forMs: 18_000 },
      ...ends[end],
    ];
    return {
      ...{ id: callId.create(name), lineId: line, versionId: null, callerNumber: '+12075550162', staffCaller: null },
      ...{
        startedAt,
        endedAt: transcript.at(-1)?.atMs ?? startedAt,
        pretended: false,
        outcome: null,
        answeredBy: null,
        transcript,
      },
      ...{ messageId: null, recordingId: null, recordingMs: 0 },
      ...more,
    };
  };
}
