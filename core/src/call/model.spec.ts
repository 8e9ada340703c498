import fc from 'fast-check';
import { anyScript } from '../testing/anyScript';
import { closedMoment, openMoment } from '../testing/boatyard';
import { answersAt } from '../hours';
import { findSheet, keys, pathAt, sheetOfSlot, type Key, type Slot } from '../line';
import { sheetSentences, splitSentences } from '../speech';
import { callLimits } from './defaults';
import { idleCall, type CallState } from './state';
import { step } from './step';
import type { CallEvent } from './event';
import type { CallScript } from './script';

/**
 * The rules of a call told a second time, as plainly as can be: no plays, no timers, only what a caller does whenever
 * the call waits for them. The machine, driven the same way, must tell the same story.
 */
type Turn = { readonly type: 'key'; readonly key: Key } | { readonly type: 'silence' };
type Staff = 'answers' | 'isBusy' | 'doesNotAnswer';

interface Told {
  readonly story: string[];
  readonly turns: Turn[];
  readonly staff: Staff;
  sheetsWithoutKey: number;
}

function tell(script: CallScript, atMs: number, turns: readonly Turn[], staff: Staff): readonly string[] {
  const told: Told = { story: [], turns: [...turns], staff, sheetsWithoutKey: 0 };
  const answer = answersAt(script.attendant.answering.rules, script.hours, script.timeZone, atMs);
  const slot: Slot = answer.type === 'period' ? { type: 'period', periodId: answer.periodId } : answer;
  tellPath(script, slot, told);
  return told.story;
}

function tellPath(script: CallScript, slot: Slot, told: Told): void {
  const { attendant, people, boxes } = script;
  for (const each of pathAt(attendant, slot) ?? []) {
    switch (each.type) {
      case 'ring': {
        if (!people.some((person) => person.id === each.personId)) break;
        told.story.push(`ring ${each.personId} ${each.seconds}`);
        if (told.staff === 'answers') return void told.story.push('talk');
        break;
      }
      case 'say':
        if (each.spoken.type === 'typed') told.story.push(...said(each.spoken.words));
        break;
      case 'takeMessage':
        if (boxes.some((box) => box.id === each.boxId)) return void told.story.push(`message ${each.boxId}`);
        break;
      case 'goTo':
        if (findSheet(attendant, each.sheetId)) return tellSheet(script, each.sheetId, told);
        break;
      case 'sayAgain': {
        const sheetId = sheetOfSlot(slot);
        if (sheetId) return tellSheet(script, sheetId, told);
        break;
      }
      case 'hangUp':
        return void told.story.push(...said(each.words), 'hang up');
    }
  }
  told.story.push('nothing more');
}

function tellSheet(script: CallScript, sheetId: Parameters<typeof findSheet>[1], told: Told): void {
  const sheet = findSheet(script.attendant, sheetId);
  if (!sheet) throw new Error('a sheet that is not there was entered');
  told.sheetsWithoutKey += 1;
  if (told.sheetsWithoutKey > callLimits.mostSheetsWithoutKey) return void told.story.push('circle');
  const words = sheetSentences(sheet, 'slt').map(({ text }) => `say ${text}`);
  if (sheet.type === 'announcement') {
    told.story.push(...words);
    return tellPath(script, { type: 'after', sheetId }, told);
  }
  let [silent, wrong] = [0, 0];
  for (;;) {
    told.story.push(...words);
    const turn = told.turns.shift() ?? { type: 'silence' };
    if (turn.type === 'silence') {
      silent += 1;
      if (silent >= sheet.silentRounds) return tellPath(script, { type: 'silence', sheetId }, told);
      told.story.push(...said(sheet.silenceWords));
    } else {
      told.sheetsWithoutKey = 0;
      if (sheet.options.some((option) => option.key === turn.key)) {
        return tellPath(script, { type: 'key', sheetId, key: turn.key }, told);
      }
      wrong += 1;
      if (wrong >= sheet.wrongKeys) return tellPath(script, { type: 'wrongKey', sheetId }, told);
      told.story.push(...said(sheet.wrongKeyWords));
    }
  }
}

const said = (words: string): readonly string[] => splitSentences(words).map((text) => `say ${text}`);

/** Drives the machine: whatever it waits for happens, and the caller takes their next turn when a key is waited for. */
function drive(script: CallScript, atMs: number, turns: readonly Turn[], staff: Staff): readonly string[] {
  const story: string[] = [];
  const left = [...turns];
  let state: CallState = idleCall;
  let event: CallEvent | null = { type: 'dialled', atMs, callerNumber: 'anonymous' };
  while (event) {
    const result = step(script, state, event);
    state = result.state;
    for (const effect of result.effects) {
      if (effect.type !== 'note') continue;
      const { entry } = effect;
      if (entry.type === 'said' && entry.source.type !== 'box' && entry.source.type !== 'line')
        story.push(`say ${entry.text}`);
      if (entry.type === 'ringing') story.push(`ring ${entry.personId} ${entry.seconds}`);
      if (entry.type === 'answered') story.push('talk');
    }
    event = nextEvent(state, atMs, left, staff, story);
  }
  return story;
}

function nextEvent({ phase }: CallState, atMs: number, left: Turn[], staff: Staff, story: string[]): CallEvent | null {
  switch (phase.type) {
    case 'saying':
      if (phase.next.type === 'end' && phase.next.reason === 'circle') return endWith(story, 'circle');
      if (phase.next.type === 'end' && phase.next.reason === 'pathRanOut') return endWith(story, 'nothing more');
      return { type: 'playEnded', atMs, playId: phase.playId };
    case 'menuSpeaking':
      return { type: 'playEnded', atMs, playId: phase.playId };
    case 'menuWaiting': {
      const turn = left.shift() ?? { type: 'silence' };
      return turn.type === 'silence'
        ? { type: 'timePassed', atMs, timerId: phase.timerId }
        : { type: 'keyPressed', atMs, key: turn.key };
    }
    case 'ringing':
      if (staff === 'answers') return { type: 'staffAnswered', atMs, ringId: phase.ringId };
      if (staff === 'isBusy') return { type: 'staffBusy', atMs, ringId: phase.ringId };
      return { type: 'timePassed', atMs, timerId: phase.timerId };
    case 'boxGreeting':
      return endWith(story, `message ${phase.boxId}`);
    case 'ended':
      return phase.reason === 'hungUp' ? endWith(story, 'hang up') : null;
    case 'idle':
    case 'connected':
    case 'recording':
      return null;
  }
}

function endWith(story: string[], last: string): null {
  story.push(last);
  return null;
}

describe('the call machine and the rules told a second time', () => {
  const turn: fc.Arbitrary<Turn> = fc.oneof(
    fc.constantFrom(...keys).map((key) => ({ type: 'key' as const, key })),
    fc.constant({ type: 'silence' as const }),
  );

  it('agree on any attendant, for any caller, whoever answers', () => {
    fc.assert(
      fc.property(
        anyScript,
        fc.constantFrom(openMoment, closedMoment),
        fc.array(turn, { maxLength: 8 }),
        fc.constantFrom<Staff>('answers', 'isBusy', 'doesNotAnswer'),
        (script, atMs, turns, staff) => {
          expect(drive(script, atMs, turns, staff)).toEqual(tell(script, atMs, turns, staff));
        },
      ),
      { numRuns: 500 },
    );
  });
});
