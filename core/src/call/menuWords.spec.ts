import { runTrial, type CallerAct } from '../exchange';

import type { Key, Menu } from '../line';
import { attendant, everybody, openMoment, priya, withAttendant } from '../testing/boatyard';
import type { TranscriptEntry } from './transcript';

const keysAt = (...presses: readonly (readonly [number, Key])[]): CallerAct[] =>
  presses.map(([afterMs, key]) => ({ type: 'press', afterMs, key }));

const [welcome, ...others] = attendant.sheets as readonly [Menu, ...typeof attendant.sheets];

/** A call to the welcome menu with other settings, in which nobody answers. */
function callTo(changes: Partial<Menu>, caller: readonly CallerAct[]): readonly TranscriptEntry[] {
  const script = {
    ...withAttendant({ ...attendant, sheets: [{ ...welcome, ...changes }, ...others] }),
    people: everybody,
  };
  const staff = () => ({ type: 'noAnswer' as const });
  return runTrial(script, { atMs: openMoment, callerNumber: '+12075550178', caller: [...caller], staff }).transcript;
}
/** When something is said, in ms since the call began. */
const saidAt = (text: string, of: readonly TranscriptEntry[]): number => {
  const found = of.find((entry) => entry.type === 'said' && entry.text === text);
  if (!found) throw new Error(`“${text}” was not said`);
  return found.atMs - openMoment;
};
const key = (use: string) => expect.objectContaining({ type: 'key', use });

describe.each([
  ['a wrong key', welcome.wrongKeyWords, keysAt([500, '7']), 500],
  ['a silent round', welcome.silenceWords, [], null],
])('the words after %s', (_, words, before, atMs) => {
  const beginsMs = atMs ?? saidAt(words, callTo({}, before));

  it('are part of the menu: a right key counts while they are said', () => {
    const transcript = callTo({}, [...before, ...keysAt([beginsMs + 300, '1'])]);
    expect(transcript).toContainEqual(key('option'));
    const rung = transcript.find((entry) => entry.type === 'ringing');
    expect(rung).toMatchObject({ atMs: openMoment + beginsMs + 300, phone: { personId: priya.id } });
    // What was being said is not said to its end, and the menu not again.
    expect(transcript.filter((entry) => entry.type === 'said' && entry.text === welcome.openingWords)).toHaveLength(1);
  });

  it('let an extension be dialled, and a name be said', () => {
    const dialled = callTo({ extensions: { waitSeconds: 3 } }, [
      ...before,
      ...keysAt([beginsMs + 300, '2'], [beginsMs + 600, '0'], [beginsMs + 900, '4']),
    ]);
    expect(dialled).toContainEqual(expect.objectContaining({ type: 'dialledExtension', digits: '204', to: priya.id }));
    const spoken = callTo({ speech: true }, [
      ...before,
      { type: 'speak', afterMs: beginsMs + 300, words: 'moorings please' },
    ]);
    expect(spoken).toContainEqual(expect.objectContaining({ type: 'spoke', understood: true }));
  });

  it('are heard to their end where keys count only after the greeting', () => {
    const transcript = callTo({ keysDuringGreeting: false }, [
      ...(atMs === null ? [] : keysAt([60_000, '7'])),
      ...keysAt([(atMs === null ? beginsMs : 60_000) + 300, '1']),
    ]);
    expect(transcript).toContainEqual(key('ignored'));
  });
});
