import { phonesRung, works, type Keeps, type Person, type PersonPhone } from '../directory';
import { isWorkingAt } from '../hours';
import type { RungPhone } from './target';
import { hearingItems } from './group';
import { callLimits } from './limits';
import { lineOf, newId, note, setPhase, startTimer, stopTimer, type Run } from './run';
import type { Accepting, BegunRing, Next, Ringing, RingPlan } from './state';
import type { Target } from './target';
import type { NotAnswered } from './reasons';
import { lineItems, phrases } from './words';

/** Rings the first phone of a plan. */
export function ring(run: Run, plan: RingPlan): void {
  const untilMs = plan.seconds === null ? null : run.atMs + plan.seconds * 1000;
  ringPhone(run, { ...plan, sinceMs: run.atMs }, 0, untilMs);
}

function ringPhone(run: Run, plan: BegunRing, phoneIndex: number, untilMs: number | null): void {
  const phones = phonesOf(run, plan);
  const phone = phones[phoneIndex];
  if (!phone) return;
  const ringId = newId(run);
  const leftMs = untilMs === null ? null : untilMs - run.atMs;
  const isLast = phoneIndex === phones.length - 1;
  // The last phone rings on until the step is over; one before it until the next is tried.
  const forMs = isLast ? leftMs : Math.min(leftMs ?? Infinity, phone.seconds * 1000);
  const rung = rungPhone(plan.target, phone);
  run.effects.push({ type: 'ring', ringId, phone: rung, forMs, hear: hearingItems(run, plan.hear) });
  note(run, { type: 'ringing', phone: rung, forMs });
  const timerId = forMs === null ? null : startTimer(run, forMs);
  setPhase(run, { type: 'ringing', ring: plan, ringId, timerId, untilMs, phoneIndex });
}

/** The phones of whoever is rung; an outside number is a phone of its own. */
function phonesOf(run: Run, { target, accept, onCall, sinceMs }: BegunRing): readonly PersonPhone[] {
  if (target.type === 'person') {
    const person = run.ready.people.get(target.personId);
    return person ? phonesRung(person, onCall, keepsAt(run, sinceMs)) : [];
  }
  return [{ type: 'outside', number: target.number, seconds: 0, accept }];
}

function rungPhone(target: Target, phone: PersonPhone): RungPhone {
  if (target.type === 'outside') return target;
  return { type: 'person', personId: target.personId, number: phone.type === 'outside' ? phone.number : null };
}

/** Somebody picked up: they are connected, or asked to press 1 first. */
export function answer(run: Run, ringing: Ringing): void {
  const { ring: plan, ringId, timerId, untilMs, phoneIndex } = ringing;
  const phone = phonesOf(run, plan)[phoneIndex];
  if (!phone) return;
  stopTimer(run, timerId);
  if (phone.type === 'desk' || !phone.accept) return connect(run, plan.target, phone, ringId);
  run.effects.push({ type: 'askToAccept', ringId, items: lineItems(run, phrases(run).acceptCall) });
  note(run, { type: 'askedToAccept', phone: rungPhone(plan.target, phone) });
  const acceptTimer = startTimer(run, callLimits.acceptWithinMs);
  setPhase(run, { type: 'accepting', ring: plan, ringId, timerId: acceptTimer, untilMs, phoneIndex });
}

/** The one asked to accept pressed 1. */
export function accept(run: Run, { ring: plan, ringId, timerId, phoneIndex }: Accepting): void {
  const phone = phonesOf(run, plan)[phoneIndex];
  stopTimer(run, timerId);
  if (phone) connect(run, plan.target, phone, ringId);
}

function connect(run: Run, target: Target, phone: PersonPhone, ringId: number): void {
  const rung = rungPhone(target, phone);
  // Connected first: the phone that rang goes on as the one that is talked on.
  run.effects.push({ type: 'connect', phone: rung }, { type: 'stopRinging', ringId });
  note(run, { type: 'answered', phone: rung });
  setPhase(run, { type: 'connected', target, holdGreetingId: null });
}

/** A phone was not answered: the next one is tried while there is time; what comes then is returned when there is none. */
export function tryNextPhone(
  run: Run,
  { ring: plan, ringId, timerId, untilMs, phoneIndex }: Ringing | Accepting,
  why: NotAnswered,
): Next | undefined {
  run.effects.push({ type: 'stopRinging', ringId });
  stopTimer(run, timerId);
  const isTimeLeft = untilMs === null || run.atMs < untilMs;
  if (isTimeLeft && phoneIndex + 1 < phonesOf(run, plan).length) {
    ringPhone(run, plan, phoneIndex + 1, untilMs);
    return undefined;
  }
  note(run, { type: 'notAnswered', target: plan.target, why });
  return plan.unanswered;
}

/** Why a person cannot be rung at all; undefined when they can. */
export function whyNotPerson(run: Run, person: Person | undefined, onCall = false): NotAnswered | undefined {
  if (!person) return 'deleted';
  if (person.phones.length === 0) return 'notAllowed';
  if (phonesRung(person, onCall).length === 0) return 'onCallOnly';
  const keeps = keepsAt(run, run.atMs);
  return works(person, keeps) && phonesRung(person, onCall, keeps).length > 0 ? undefined : 'notWorking';
}

/** Which hours run at a moment, by the clock of the line that the caller is with. */
function keepsAt(run: Run, atMs: number): Keeps {
  const { timeZone } = lineOf(run).script;
  return (hoursId) => {
    const hours = run.ready.hours.get(hoursId);
    return !hours || isWorkingAt(hours, timeZone, atMs);
  };
}
