import { findSheet, pathAt, sheetOfSlot, type RingStep, type SheetId, type Step } from '../line';
import { unreachable } from '../result';
import { sentencesOf } from '../speech';
import { callLimits } from './defaults';
import type { PlayItem } from './effect';
import { endCall } from './end';
import { sayMenu } from './menu';
import { greetForMessage } from './message';
import { newId, note, sayThen, setPhase, startTimer, type Run } from './run';
import type { Next, Place } from './state';
import { phraseItems, sheetItems, spokenItems } from './words';

/** What taking a step led to: the call now waits for an event, or the next step is to be taken. */
type Taken = 'waits' | 'goesOn';

/** Takes the steps of a path from a place on, until one of them waits for something or ends the call. */
export function takePath(run: Run, place: Place): void {
  const path = pathAt(run.script.attendant, place.slot) ?? [];
  for (let stepIndex = place.stepIndex; ; stepIndex += 1) {
    const next = path[stepIndex];
    if (!next) return sayThen(run, phraseItems(run.script, 'nothingMore'), { type: 'end', reason: 'pathRanOut' });
    if (takeStep(run, next, { slot: place.slot, stepIndex }) === 'waits') return;
  }
}

function takeStep(run: Run, step: Step, place: Place): Taken {
  const source = { type: 'step', ...place } as const;
  const after: Next = { type: 'path', place: { ...place, stepIndex: place.stepIndex + 1 } };
  switch (step.type) {
    case 'ring':
      return ring(run, step, place);
    case 'say': {
      const items = spokenItems(run.script, step.spoken, source);
      if (items.length === 0) return 'goesOn';
      sayThen(run, items, after);
      return 'waits';
    }
    case 'takeMessage': {
      const box = run.script.boxes.find((each) => each.id === step.boxId);
      if (!box) return 'goesOn';
      greetForMessage(run, box);
      return 'waits';
    }
    case 'goTo':
      return enterSheet(run, step.sheetId);
    case 'sayAgain': {
      const sheetId = sheetOfSlot(place.slot);
      return sheetId ? enterSheet(run, sheetId) : 'goesOn';
    }
    case 'hangUp':
      return sayGoodbye(run, sentencesOf(step.words, run.script.attendant.voice, source));
    default:
      return unreachable(step);
  }
}

function ring(run: Run, { personId, seconds }: RingStep, place: Place): Taken {
  if (!run.script.people.some((person) => person.id === personId)) {
    note(run, { type: 'notAnswered', personId, why: 'deleted' });
    return 'goesOn';
  }
  const ringId = newId(run, 'ring');
  run.effects.push({ type: 'ring', ringId, personId, seconds });
  note(run, { type: 'ringing', personId, seconds });
  setPhase(run, { type: 'ringing', personId, ringId, timerId: startTimer(run, seconds * 1000), place });
  return 'waits';
}

function sayGoodbye(run: Run, sentences: ReturnType<typeof sentencesOf>): Taken {
  const items = sentences.map((sentence): PlayItem => ({ type: 'sentence', sentence }));
  if (items.length > 0) sayThen(run, items, { type: 'end', reason: 'hungUp' });
  else endCall(run, 'hungUp');
  return 'waits';
}

function enterSheet(run: Run, sheetId: SheetId): Taken {
  const sheet = findSheet(run.script.attendant, sheetId);
  if (!sheet) return 'goesOn';
  run.state = { ...run.state, sheetsWithoutKey: run.state.sheetsWithoutKey + 1 };
  if (run.state.sheetsWithoutKey > callLimits.mostSheetsWithoutKey) {
    sayThen(run, phraseItems(run.script, 'nothingMore'), { type: 'end', reason: 'circle' });
    return 'waits';
  }
  note(run, { type: 'sheet', sheetId });
  if (sheet.type === 'menu') sayMenu(run, sheetId, { silentRounds: 0, wrongKeys: 0 });
  else announce(run, sheetId);
  return 'waits';
}

function announce(run: Run, sheetId: SheetId): void {
  const items = sheetItems(run.script, sheetId);
  const place: Place = { slot: { type: 'after', sheetId }, stepIndex: 0 };
  if (items.length === 0) takePath(run, place);
  else sayThen(run, items, { type: 'path', place });
}
