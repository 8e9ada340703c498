import { runTrial, type CallerAct } from '../exchange';

import type { QueueReason } from '../directory';
import type { Fallback, Key, Path } from '../line';
import { answering, attendant, everybody, launchQueue, openMoment } from '../testing/boatyard';
import type { CallScript } from './script';

const keysAt = (...presses: readonly (readonly [number, Key])[]): CallerAct[] =>
  presses.map(([afterMs, key]) => ({ type: 'press', afterMs, key }));

const wait: Path = [{ type: 'waitInQueue', queueId: launchQueue.id }];
const silently: Path = [{ type: 'hangUp', words: '' }];
const over: Path = [{ type: 'handOver', to: { type: 'number', number: '+12075550191' }, before: '' }];

function left(
  reason: QueueReason,
  path: Path,
  changes: Partial<typeof launchQueue>,
  caller: readonly CallerAct[] = [],
) {
  const fallbacks: readonly Fallback[] = [{ type: 'queue', queueId: launchQueue.id, reason, path }];
  const of = answering(wait, { people: everybody, queues: [{ ...launchQueue, ...changes }] });
  const script: CallScript = {
    ...of,
    lines: of.lines.map((line) => ({ ...line, attendant: { ...(line.attendant ?? attendant), fallbacks } })),
  };
  const staff = () => ({ type: 'noAnswer' as const });
  const { transcript } = runTrial(script, {
    atMs: openMoment,
    callerNumber: '+12075550178',
    caller: [...caller],
    staff,
  });
  return transcript.filter((entry) => entry.type === 'leftQueue');
}

describe.each([
  ['hangs up without a word', silently],
  ['hands over without a word', over],
])('a caller whom a queue lets go on a path that %s', (_, path) => {
  it('is told once, with the true reason and the true wait', () => {
    const entries = left('tooLong', path, { longestWaitSeconds: 30 });
    expect(entries).toEqual([expect.objectContaining({ why: 'tooLong', waitedMs: 30_000 })]);
  });

  it('is told once when a key left the queue', () => {
    const entries = left('exitKey', path, { exitKey: '*' }, keysAt([12_000, '*']));
    expect(entries).toEqual([expect.objectContaining({ why: 'exitKey', waitedMs: 12_000 })]);
  });

  it('is told once when the queue was paused', () => {
    expect(left('nobodyWorking', path, { paused: true }).map(({ why }) => why)).toEqual(['nobodyWorking']);
  });
});
