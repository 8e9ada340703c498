import {
  answering,
  closedMoment,
  line,
  message,
  office,
  openMoment,
  priya,
  ringFor,
  script,
} from '../testing/boatyard';
import { defaultVoice, greetingId } from '../line';
import { periodsAt } from '../hours';
import { runTrial, type Trial } from './trial';
import type { CallScript } from '../call';

const base: Trial = { atMs: closedMoment, callerNumber: 'anonymous', caller: [], staff: () => ({ type: 'noAnswer' }) };
const saidIn = (by: CallScript, trial: Partial<Trial> = {}): readonly string[] =>
  runTrial(by, { ...base, ...trial }).transcript.flatMap((entry) => (entry.type === 'said' ? [entry.text] : []));

describe('an answering path', () => {
  it('says typed words and greetings of the library in order, then goes on', () => {
    const regatta = {
      id: greetingId.create('regatta'),
      name: 'Regatta',
      words: 'It is regatta day.',
      voice: defaultVoice,
      take: null,
    };
    const by = {
      ...answering([
        { type: 'say', spoken: { type: 'typed', words: 'One moment. There will be a short silence.' } },
        { type: 'say', spoken: { type: 'greeting', greetingId: regatta.id } },
        { type: 'hangUp', words: 'Goodbye.' },
      ]),
      greetings: [regatta],
    };
    expect(saidIn(by)).toEqual(['One moment.', 'There will be a short silence.', 'It is regatta day.', 'Goodbye.']);
  });

  it('goes past a greeting that was deleted and past "say again" where there is no menu', () => {
    const by = answering([
      { type: 'say', spoken: { type: 'greeting', greetingId: greetingId.create('gone') } },
      { type: 'sayAgain' },
      { type: 'hangUp', words: '' },
    ]);
    expect(saidIn(by)).toEqual([]);
  });

  it('lets a caller who reaches its end hear that nobody can take the call', () => {
    const { transcript } = runTrial(answering([ringFor(priya.id, 12)]), base);
    expect(transcript.at(-2)).toMatchObject({ type: 'said', text: 'Goodbye.' });
    expect(transcript.at(-1)).toMatchObject({ type: 'ended', reason: 'pathRanOut' });
    expect((transcript.at(-1)?.atMs ?? 0) - closedMoment).toBeGreaterThan(12_000);
  });

  it('is the one of the hour at which the call comes', () => {
    expect(periodsAt(line.hours, line.timeZone, openMoment).size).toBe(1);
    expect(saidIn(script, { atMs: openMoment })[0]).toBe('Thank you for calling the boatyard.');
    expect(saidIn(script)[0]).toBe('We are closed.');
  });
});

describe('a box', () => {
  const greeting = {
    id: greetingId.create('office'),
    name: 'Office box',
    words: 'The office is at sea.',
    voice: defaultVoice,
    take: null,
  };
  const box = { ...office, greetingId: greeting.id, longestMessageSeconds: 10 };
  const toBox = answering(message);

  it('says its own greeting when it has one, else words made from its name', () => {
    expect(saidIn({ ...toBox, boxes: [box], greetings: [greeting] })[0]).toBe('The office is at sea.');
    expect(saidIn({ ...toBox, boxes: [box] })[0]).toBe('Please leave a message for Office after the tone.');
  });

  it('ends a message at its limit and thanks the caller', () => {
    const { transcript } = runTrial({ ...toBox, boxes: [box] }, base);
    expect(transcript).toContainEqual(expect.objectContaining({ type: 'message', lengthMs: 10_000, kept: true }));
    expect(transcript).toContainEqual(expect.objectContaining({ text: 'Your message has been left.' }));
    expect(transcript.at(-1)).toMatchObject({ reason: 'messageTaken' });
  });
});

describe('a trial', () => {
  it('ends a conversation when nobody hangs up for two hours', () => {
    const staff = () => ({ type: 'answer' as const, afterMs: 1000, talkMs: 10 * 3_600_000 });
    const { transcript } = runTrial(answering([ringFor(priya.id, 12)]), { ...base, staff });
    expect(transcript.at(-1)).toMatchObject({ reason: 'longestCall', atMs: closedMoment + 2 * 3_600_000 });
  });

  it('stops at the number of events allowed', () => {
    const { ended, events } = runTrial(script, { ...base, atMs: openMoment }, 3);
    expect(ended).toBe(false);
    expect(events).toHaveLength(3);
  });
});
