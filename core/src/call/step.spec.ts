import fc from 'fast-check';
import { anyScript } from '../testing/anyScript';
import {
  attendant,
  closedMoment,
  fuelId,
  noor,
  office,
  openMoment,
  priya,
  script,
  welcomeId,
  withAttendant,
} from '../testing/boatyard';
import type { Person } from '../directory';
import { keys, type Attendant, type Menu } from '../line';
import type { CallEffect } from './effect';
import { runTrial, type CallerAct, type StaffAct, type Trial } from '../exchange';
import type { CallScript } from './script';
import { idleCall } from './state';
import { step } from './step';
import { type TranscriptEntry } from './transcript';
import { transcriptOf } from './transcriptOf';

const trial = (changes: Partial<Trial> = {}): Trial => ({
  atMs: openMoment,
  callerNumber: '+12075550178',
  caller: [],
  staff: () => ({ type: 'noAnswer' }),
  ...changes,
});

const desk = ({ id }: Person) => ({ type: 'person', personId: id, number: null });

const press = (key: (typeof keys)[number], afterMs: number): CallerAct => ({ type: 'press', key, afterMs });

function call(changes: Partial<Trial> = {}, by: CallScript = script) {
  const { transcript } = runTrial(by, trial(changes));
  const said = transcript.flatMap((entry) => (entry.type === 'said' ? [entry.text] : []));
  const last = transcript.at(-1);
  return { transcript, said, ended: last?.type === 'ended' ? last.reason : 'not at all' };
}

function withWelcome(changes: Partial<Menu>): CallScript {
  const sheets = attendant.sheets.map((sheet) => (sheet.id === welcomeId ? { ...sheet, ...changes } : sheet));
  return withAttendant({ ...attendant, sheets: sheets as Attendant['sheets'] });
}

describe('a call', () => {
  it('hears the menu of the hour: opening words, an option per key, closing words', () => {
    const { said } = call({ caller: [{ type: 'hangUp', afterMs: 1000 }] });
    expect(said).toEqual([
      'Thank you for calling the boatyard.',
      'For moorings, press 1.',
      'For the fuel dock, press 2.',
      'To hear this again, press 9.',
      'Or stay on the line.',
    ]);
    expect(call({ atMs: closedMoment }).said[0]).toBe('We are closed.');
  });

  it('rings the person of the key pressed, and connects when they answer', () => {
    const staff = (): StaffAct => ({ type: 'answer', afterMs: 4000, talkMs: 60_000 });
    const { transcript, ended } = call({ caller: [press('1', 2000)], staff });
    expect(transcript).toContainEqual(expect.objectContaining({ type: 'ringing', phone: desk(priya), forMs: 24_000 }));
    expect(transcript).toContainEqual(
      expect.objectContaining({ type: 'answered', phone: desk(priya), atMs: openMoment + 6000 }),
    );
    expect(ended).toBe('staffHungUp');
  });

  it('takes a message when nobody answers in time', () => {
    const { transcript, said, ended } = call({ caller: [press('1', 2000)] });
    expect(transcript).toContainEqual(
      expect.objectContaining({ type: 'notAnswered', why: 'noAnswer', atMs: openMoment + 26_000 }),
    );
    expect(said).toContain('Please leave a message for Office after the tone.');
    expect(transcript).toContainEqual(expect.objectContaining({ type: 'message', lengthMs: 60_000, kept: true }));
    expect(ended).toBe('messageTaken');
  });

  it('goes on at once when the person is busy', () => {
    const { transcript } = call({ caller: [press('1', 2000)], staff: () => ({ type: 'busy' }) });
    expect(transcript).toContainEqual(
      expect.objectContaining({ type: 'notAnswered', why: 'busy', atMs: openMoment + 2000 }),
    );
  });

  it('ends the message at #, and throws away one that is too short', () => {
    const long = call({ caller: [press('1', 2000), press('#', 42_000)] });
    expect(long.transcript).toContainEqual(expect.objectContaining({ type: 'message', kept: true }));
    const recording = long.transcript.find((entry) => entry.type === 'recording');
    const atBeep = (recording?.atMs ?? 0) - openMoment;
    const short = call({ caller: [press('1', 2000), { type: 'hangUp', afterMs: atBeep + 500 }] });
    expect(short.transcript).toContainEqual(expect.objectContaining({ type: 'message', lengthMs: 500, kept: false }));
  });

  it('says the menu again after a silent round, and takes the silence path after the last', () => {
    const { transcript, said } = call();
    expect(said.filter((text) => text === 'Thank you for calling the boatyard.')).toHaveLength(2);
    expect(said).toContain('Are you still there?');
    expect(transcript.filter((entry) => entry.type === 'silence')).toHaveLength(2);
    expect(transcript).toContainEqual(expect.objectContaining({ type: 'ringing', phone: desk(noor) }));
  });

  it('counts wrong keys, says so, and takes the wrong-key path at the last', () => {
    const { transcript, said } = call({ caller: [press('7', 1000), press('8', 9000), press('6', 20_000)] });
    expect(transcript.filter((entry) => entry.type === 'key' && entry.use === 'wrong')).toHaveLength(3);
    expect(said.filter((text) => text === 'Sorry, that key has no use here.')).toHaveLength(2);
    expect(transcript).toContainEqual(expect.objectContaining({ type: 'recording', boxId: office.id }));
  });

  it('lets keys count only after the menu where it says so', () => {
    const patient = withWelcome({ keysDuringGreeting: false });
    const { transcript } = call({ caller: [press('1', 2000)] }, patient);
    expect(transcript).toContainEqual(expect.objectContaining({ type: 'key', key: '1', use: 'ignored' }));
    expect(transcript.find((entry) => entry.type === 'ringing')).toMatchObject({ phone: desk(noor) });
  });

  it('lets no key interrupt an announcement, and goes on after it', () => {
    const { transcript } = call({ caller: [press('2', 1000), press('1', 2000), { type: 'hangUp', afterMs: 8000 }] });
    const sheets = transcript.flatMap((entry) => (entry.type === 'sheet' ? [entry.sheetId] : []));
    expect(sheets).toEqual([welcomeId, fuelId, welcomeId]);
    expect(transcript).toContainEqual(expect.objectContaining({ type: 'key', key: '1', use: 'ignored' }));
  });

  it('says a menu again from its key, with the tries forgotten', () => {
    const { said } = call({ caller: [press('9', 1000), { type: 'hangUp', afterMs: 3000 }] });
    expect(said.filter((text) => text === 'Thank you for calling the boatyard.')).toHaveLength(2);
  });

  it('says goodbye before it hangs up', () => {
    const { said, ended } = call({ caller: [press('#', 1000)] });
    expect(said.at(-1)).toBe('Goodbye.');
    expect(ended).toBe('hungUp');
  });

  it('goes past a person and a box that were deleted', () => {
    const { transcript, said, ended } = call({ caller: [press('1', 1000)] }, { ...script, people: [], boxes: [] });
    expect(transcript).toContainEqual(expect.objectContaining({ type: 'notAnswered', why: 'deleted' }));
    expect(said.slice(-2)).toEqual(['Sorry, nobody can take your call now.', 'Goodbye.']);
    expect(ended).toBe('pathRanOut');
  });

  it('lets a caller out of a circle of announcements', () => {
    const round = { ...attendant.sheets[1], words: '', afterPath: [{ type: 'goTo', sheetId: fuelId }] };
    const sheets = [attendant.sheets[0], round] as Attendant['sheets'];
    expect(call({ caller: [press('2', 1000)] }, withAttendant({ ...attendant, sheets })).ended).toBe('circle');
  });

  it('changes nothing on events that mean nothing now', () => {
    expect(step(script, idleCall, { type: 'callerHungUp', atMs: 0 })).toEqual({ state: idleCall, effects: [] });
    const dialled = step(script, idleCall, { type: 'dialled', atMs: openMoment, callerNumber: 'anonymous' }).state;
    const late = { type: 'timePassed', timerId: 99, atMs: openMoment } as const;
    expect(step(script, dialled, late)).toEqual({ state: dialled, effects: [] });
  });
});

describe('any call of any attendant', () => {
  const acts = fc.array(
    fc.record({
      type: fc.constant('press' as const),
      key: fc.constantFrom(...keys),
      afterMs: fc.integer({ min: 0, max: 90_000 }),
    }),
    { maxLength: 6 },
  );
  const staffActs = fc.constantFrom<StaffAct>(
    { type: 'noAnswer' },
    { type: 'busy' },
    { type: 'voicemail', afterMs: 4000 },
    { type: 'answer', afterMs: 3000, talkMs: 20_000 },
  );

  it('ends within a bounded number of events once the caller goes silent', () => {
    fc.assert(
      fc.property(anyScript, acts, staffActs, (any, caller, act) => {
        const { ended, events } = runTrial(any, trial({ caller, staff: () => act }), 2000);
        expect(ended).toBe(true);
        expect(events.length).toBeLessThan(2000);
      }),
    );
  });

  it('gives the same transcript for the same events', () => {
    fc.assert(
      fc.property(anyScript, acts, staffActs, (any, caller, act) => {
        const { events, transcript } = runTrial(any, trial({ caller, staff: () => act }));
        const again: TranscriptEntry[] = [];
        let state = idleCall;
        for (const event of events) {
          const result = step(any, state, event);
          state = JSON.parse(JSON.stringify(result.state)) as typeof state;
          again.push(...transcriptOf(result.effects, event.atMs));
        }
        expect(again.filter(isOfCall)).toEqual(transcript.filter(isOfCall));
      }),
    );
  });

  it('leaves nothing playing, ringing, timed or recorded when the caller hangs up at any instant', () => {
    fc.assert(
      fc.property(anyScript, acts, fc.integer({ min: 0, max: 200_000 }), (any, caller, afterMs) => {
        const { effects, events } = runTrial(any, trial({ caller: [...caller, { type: 'hangUp', afterMs }] }));
        expect(
          stillGoing(
            effects,
            events.flatMap((event) => ('playId' in event ? [event.playId] : 'timerId' in event ? [event.timerId] : [])),
          ),
        ).toEqual([]);
      }),
    );
  });
});

/** Ids of what was begun but neither stopped nor over by itself. */
function stillGoing(effects: readonly CallEffect[], over: readonly number[]): readonly number[] {
  const going = new Set<number>();
  for (const effect of effects) {
    if (effect.type === 'play') going.add(effect.playId);
    if (effect.type === 'ring') going.add(effect.ringId);
    if (effect.type === 'startTimer') going.add(effect.timerId);
    if (effect.type === 'startRecording' || effect.type === 'startCallRecording') going.add(effect.recordingId);
    if (effect.type === 'stopPlaying') going.delete(effect.playId);
    if (effect.type === 'stopRinging') going.delete(effect.ringId);
    if (effect.type === 'stopTimer') going.delete(effect.timerId);
    if (effect.type === 'stopRecording' || effect.type === 'stopCallRecording') going.delete(effect.recordingId);
  }
  return [...going].filter((id) => !over.includes(id));
}

/** Whose phones of a group ring is noted by the exchange, not by the call. */
function isOfCall({ type }: TranscriptEntry): boolean {
  return type !== 'ringing' && type !== 'rang' && type !== 'askedToAccept';
}
