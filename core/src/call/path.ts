import {
  slotOfAnswer,
  type LineId,
  type RecordStep,
  type RingOperatorStep,
  type RingGroupStep,
  type RingOutsideStep,
  type RingStep,
  type SheetId,
  type Slot,
  type Step,
} from '../line';
import { personId } from '../directory';
import type { Answer } from '../hours';
import { unreachable } from '../result';
import { ask } from './ask';
import { endCall, startCallRecording, stopCallRecording } from './end';
import { callLimits } from './limits';
import { sayMenu } from './menu';
import { planOfStep, ringGroup } from './group';
import { greetForMessage } from './message';
import { answerFor, stepsAt, type ReadyLine } from './ready';
import { outsideTargetOf } from './outside';
import { enterQueue } from './queue';
import { handOver } from './handOver';
import { ring, whyNotPerson } from './ringing';
import { lineOf, mayTurn, newId, note, sayThen, type Run } from './run';
import type { Place, RingPlan } from './state';
import type { Target } from './target';
import type { NotAnswered } from './reasons';
import { lineItems, phrases, sheetItems, spokenItems, wordsItems } from './words';
import { wordsFirst } from './wordsFirst';

/**
 * What taking a step led to: the call now waits for an event, the next step is to be taken, or a path with a name of
 * its own comes first.
 */
type Taken = 'waits' | 'goesOn' | { readonly follow: Slot };

/** Takes the steps of a path from a place on, until one of them waits for something or ends the call. */
export function takePath(run: Run, from: Place): void {
  let place = from;
  for (;;) {
    const steps = stepsAt(lineOf(run), place.slot);
    const step = steps[place.stepIndex];
    if (!step) {
      if (!place.then) return giveUp(run, 'pathRanOut');
      place = place.then;
      continue;
    }
    const after: Place = { slot: place.slot, stepIndex: place.stepIndex + 1, then: place.then };
    if (run.script.tellsSteps) {
      run.effects.push({ type: 'stepTaken', slot: place.slot, stepIndex: place.stepIndex, step });
    }
    const taken = takeStep(run, step, place, after);
    if (taken === 'waits') return;
    if (taken === 'goesOn') place = after;
    else if (mayTurn(run, callLimits.mostTurnsWithoutKey)) place = { slot: taken.follow, stepIndex: 0, then: after };
    else return giveUp(run, 'circle');
  }
}

function giveUp(run: Run, reason: 'pathRanOut' | 'circle'): void {
  sayThen(run, lineItems(run, phrases(run).nothingMore), { type: 'end', reason });
}

function takeStep(run: Run, step: Step, place: Place, after: Place): Taken {
  const source = { type: 'step', slot: place.slot, stepIndex: place.stepIndex } as const;
  switch (step.type) {
    case 'ring':
      return ringPerson(run, step, place, after);
    case 'ringOperator':
      return ringOperator(run, step, place, after);
    case 'ringOutside':
      return ringOutside(run, step, place, after);
    case 'ringGroup':
      return ringGroupOf(run, step, place, after);
    case 'waitInQueue':
      if (!run.ready.queues.has(step.queueId)) return 'goesOn';
      enterQueue(run, step.queueId, after);
      return 'waits';
    case 'handOver': {
      const target = outsideTargetOf(run.script, lineOf(run).script, step.to, run.atMs);
      if ('why' in target) return skip(run, target);
      const items = wordsItems(run, step.before, source);
      if (items.length > 0) sayThen(run, items, { type: 'handOver', target, place: after });
      else handOver(run, target, after);
      return 'waits';
    }
    case 'toLine':
      return enterLine(run, step.lineId);
    case 'say': {
      const items = spokenItems(run, step.spoken, source);
      if (items.length === 0) return 'goesOn';
      sayThen(run, items, { type: 'path', place: after });
      return 'waits';
    }
    case 'takeMessage': {
      const box = run.ready.boxes.get(step.boxId);
      if (!box) return 'goesOn';
      greetForMessage(run, box, step);
      return 'waits';
    }
    case 'goTo':
      return enterSheet(run, step.sheetId);
    case 'back':
      return goBack(run);
    case 'sayAgain':
      return run.state.sheetId ? enterSheet(run, run.state.sheetId) : 'goesOn';
    case 'searchByName':
      ask(run, { what: 'name', by: step.by, seconds: step.seconds, asked: 0, place: after });
      return 'waits';
    case 'askExtension':
      ask(run, { what: 'extension', seconds: step.seconds, asked: 0, place: after });
      return 'waits';
    case 'followPath':
      return lineOf(run).named.has(step.pathId) ? { follow: { type: 'named', pathId: step.pathId } } : 'goesOn';
    case 'record':
      return record(run, step, after);
    case 'hangUp': {
      const items = wordsItems(run, step.words, source);
      if (items.length > 0) sayThen(run, items, { type: 'end', reason: 'hungUp' });
      else endCall(run, 'hungUp');
      return 'waits';
    }
    default:
      return unreachable(step);
  }
}

function ringPerson(run: Run, step: RingStep, place: Place, after: Place): Taken {
  const { personId, seconds, hear, before, onCall = false } = step;
  const target = { type: 'person', personId } as const;
  const why = whyNotPerson(run, run.ready.people.get(personId), onCall);
  if (why) return skip(run, { target, why });
  return ringAfterWords(run, before, place, {
    target,
    seconds,
    hear,
    accept: false,
    onCall,
    unanswered: { type: 'path', place: after },
  });
}

/** Rings whoever operates the line that the caller is with; goes on where nobody is named. */
function ringOperator(run: Run, step: RingOperatorStep, place: Place, after: Place): Taken {
  const { operatorId } = lineOf(run).script;
  if (!operatorId) return 'goesOn';
  if (personId.is(operatorId)) return ringPerson(run, { ...step, type: 'ring', personId: operatorId }, place, after);
  return ringGroupOf(run, { ...step, type: 'ringGroup', groupId: operatorId }, place, after);
}

function ringOutside(run: Run, step: RingOutsideStep, place: Place, after: Place): Taken {
  const { seconds, hear, before, accept } = step;
  const target = outsideTargetOf(run.script, lineOf(run).script, step.to, run.atMs);
  if ('why' in target) return skip(run, target);
  return ringAfterWords(run, before, place, {
    target,
    seconds,
    hear,
    accept,
    unanswered: { type: 'path', place: after },
  });
}

function ringGroupOf(run: Run, step: RingGroupStep, { slot, stepIndex }: Place, after: Place): Taken {
  if (!run.ready.groups.has(step.groupId)) return 'goesOn';
  const plan = planOfStep(step, after, !hasStep(run, after));
  const items = wordsItems(run, step.before, { type: 'step', slot, stepIndex });
  if (items.length > 0) sayThen(run, items, { type: 'ringGroup', ring: plan });
  else ringGroup(run, plan);
  return 'waits';
}

/** Whether there is a step at a place, or further up where it goes on. */
function hasStep(run: Run, { slot, stepIndex, then }: Place): boolean {
  return stepIndex < stepsAt(lineOf(run), slot).length || (then !== null && hasStep(run, then));
}

/** Recording starts once the caller was told, unless the step says not to tell. */
function record(run: Run, { on, tells }: RecordStep, after: Place): Taken {
  const isOn = run.state.callRecordingId !== null;
  if (isOn === on) return 'goesOn';
  if (!on) stopCallRecording(run);
  else if (!tells) startCallRecording(run, newId(run));
  else {
    sayThen(run, lineItems(run, phrases(run).recorded), { type: 'record', place: after });
    return 'waits';
  }
  return 'goesOn';
}

function ringAfterWords(run: Run, before: string, { slot, stepIndex }: Place, plan: RingPlan): Taken {
  const items = wordsItems(run, before, { type: 'step', slot, stepIndex });
  if (items.length > 0) sayThen(run, items, { type: 'ring', ring: plan });
  else ring(run, plan);
  return 'waits';
}

function skip(run: Run, { target, why }: { readonly target: Target; readonly why: NotAnswered }): Taken {
  note(run, { type: 'notAnswered', target, why });
  return 'goesOn';
}

/** Goes to a sheet; goes on when it is not there any more. */
export function enterSheet(run: Run, sheetId: SheetId): Taken {
  const ready = lineOf(run).sheets.get(sheetId);
  if (!ready) return 'goesOn';
  if (!mayTurn(run, callLimits.mostTurnsWithoutKey)) {
    giveUp(run, 'circle');
    return 'waits';
  }
  note(run, { type: 'sheet', sheetId });
  const { state } = run;
  state.sheetId = sheetId;
  if (ready.sheet.type === 'announcement') {
    announce(run, sheetId);
    return 'waits';
  }
  if (state.menus.at(-1) !== sheetId) state.menus = [...state.menus, sheetId].slice(-callLimits.mostMenusBack);
  sayMenu(run, sheetId, { silentRounds: 0, wrongKeys: 0 });
  return 'waits';
}

/** From a menu to the one before it, or to its own beginning; from an announcement to the menu it was reached from. */
function goBack(run: Run): Taken {
  const { state } = run;
  const isInMenu = state.menus.at(-1) === state.sheetId;
  const menus = isInMenu && state.menus.length > 1 ? state.menus.slice(0, -1) : state.menus;
  const previous = menus.at(-1);
  if (!previous || !lineOf(run).sheets.has(previous)) return 'goesOn';
  state.menus = menus;
  return enterSheet(run, previous);
}

function announce(run: Run, sheetId: SheetId): void {
  const items = sheetItems(run, sheetId);
  const place: Place = { slot: { type: 'after', sheetId }, stepIndex: 0, then: null };
  if (items.length === 0) takePath(run, place);
  else sayThen(run, items, { type: 'path', place });
}

/** What the caller of a line hears before anything else, then what answers. */
export function beginLine(run: Run, { script }: ReadyLine, answer: Answer): void {
  const place: Place = { slot: slotOfAnswer(answer), stepIndex: 0, then: null };
  const words = wordsFirst(script, answer, run.atMs);
  if (words === '') takePath(run, place);
  else sayThen(run, wordsItems(run, words, { type: 'line' }), { type: 'path', place });
}

function enterLine(run: Run, lineId: LineId): Taken {
  const line = run.ready.lines.get(lineId);
  if (!line) return 'goesOn';
  if (!mayTurn(run, callLimits.mostTurnsWithoutKey)) {
    giveUp(run, 'circle');
    return 'waits';
  }
  const { state } = run;
  state.lineId = lineId;
  state.sheetId = null;
  state.menus = [];
  const winner = answerFor(line, run.script, state.callerNumber, run.atMs);
  note(run, { type: 'line', lineId, answer: winner });
  beginLine(run, line, winner);
  return 'waits';
}

const fallbackTypes: readonly Slot['type'][] = ['group', 'groupClosed', 'queue'];

/** Takes a path that a caller came to past the attendant or by a queue; counted, since it may lead round in a circle. */
export function followPath(run: Run, place: Place): void {
  const { slot, stepIndex } = place;
  const isCounted = stepIndex === 0 && fallbackTypes.includes(slot.type);
  if (isCounted && !mayTurn(run, callLimits.mostTurnsWithoutKey)) giveUp(run, 'circle');
  else takePath(run, place);
}
