import {
  type CallEffect,
  type CallEvent,
  type CallScript,
  type CallState,
  type RungPhone,
  type TranscriptEntry,
} from '../call';
import type { PersonId, QueueId } from '../directory';
import { callId, VirtualLine, type CallId, type Happened, type StaffAct } from '../exchange';
import { wallInstant, type DayNumber, type TimeZone } from '../hours';
import type { Key, Option, SheetId } from '../line';
import { callEnd, isKeyChoice, type CallEnd, type Visit, type Who } from '../traffic';
import { chanceOf } from './chance';
import type { DayPlan } from './change';
import { drawAnswer, drawTalk, rangFor, type Habits } from './habits';
import type { LoggedCaller } from './loggedCaller';
import { meantKey } from './meantKey';
import { drawPatience } from './waiting';

/** A caller of a day that is tried out. */
export interface DayCaller {
  readonly callId: CallId;
  readonly atMs: number;
  readonly minute: number;
  readonly like: LoggedCaller;
  /** What everything that is left to chance of them follows from. */
  readonly seed: number;
}

/** What became of one of them. */
export interface PlayedCall {
  readonly caller: DayCaller;
  readonly facts: CallEnd;
  readonly lengthMs: number;
}

/** When hours of days begin in a zone; asked for again and again, run after run. */
export class DayClock {
  private readonly known = new Map<number, number>();

  constructor(private readonly zone: TimeZone) {}

  beginOf(day: DayNumber, hour: number): number {
    const key = day * 24 + hour;
    let atMs = this.known.get(key);
    if (atMs === undefined) this.known.set(key, (atMs = wallInstant(this.zone, day, hour * 60)));
    return atMs;
  }
}

/**
 * The callers of a day: those who called on another day of that weekday, each within the hour in which they did. A plan with
 * more calls has the same ones and some twice, one with fewer leaves some out.
 */
export function callersOf(
  day: DayNumber,
  like: readonly LoggedCaller[],
  clock: DayClock,
  seed: number,
  share = 1,
): readonly DayCaller[] {
  return like.flatMap((caller, index) => {
    const times = Math.floor(share) + (chanceOf(seed, index, 'times') < share - Math.floor(share) ? 1 : 0);
    return Array.from({ length: times }, (_, again): DayCaller => {
      const own = Math.floor(chanceOf(seed, index, again, 'self') * 0xffff_ffff);
      const hour = Math.floor(caller.minute / 60);
      const within = chanceOf(own, 'minute');
      return {
        callId: callId.create(`${day}-${index}-${again}`),
        atMs: Math.round(clock.beginOf(day, hour) + within * hourMs),
        minute: hour * 60 + Math.floor(within * 60),
        like: caller,
        seed: own,
      };
    });
  });
}

const hourMs = 3_600_000;
/** How soon a key is pressed again that had no use while the menu was said. */
const againMs = 1500;
/** A wrong key, and one where nothing is known of when they press. */
const usualPressMs = 6000;
const spokenMs = { least: 8000, more: 30_000 } as const;
/** Nobody waits for ever: two hours is longer than any call. */
const forEverMs = 3 * 3_600_000;
const mostEvents = 2_000_000;

/**
 * Lets a day's calls happen on the call machine and the exchange. Those who are on the line at midnight stay till they are done.
 *
 * @param logged the script that the calls of the log went by, so that keys are known by what they were for
 */
export function playDay(
  plan: DayPlan,
  callers: readonly DayCaller[],
  habits: Habits,
  logged: CallScript,
): readonly PlayedCall[] {
  return new Day(plan, callers, habits, logged).play();
}

/** A caller on the line, and what they have still to do. */
interface OnLine {
  readonly caller: DayCaller;
  readonly transcript: TranscriptEntry[];
  /** How many of the visits of the log they have made again. */
  visited: number;
  visit: Visit | null;
  /** Wrong keys and silences that are still to come in this sheet. */
  wrongKeys: number;
  silences: number;
  /** What they pressed in this round, and when. */
  pressed: { readonly key: Key; readonly atMs: number } | null;
  /** They hang up in an announcement, whatever it says. */
  isLeaving: boolean;
  /** What they want is not offered in this sheet. */
  isLost: boolean;
  isOver: boolean;
}

class Day {
  private readonly line: VirtualLine;
  private readonly calls = new Map<CallId, OnLine>();
  private readonly rung = new Map<string, number>();
  private readonly played: PlayedCall[] = [];

  constructor(
    private readonly plan: DayPlan,
    private readonly callers: readonly DayCaller[],
    private readonly habits: Habits,
    private readonly logged: CallScript,
  ) {
    this.line = new VirtualLine({
      script: plan.script,
      staff: (phone, _, id) => this.staff(phone, id),
      handedOver: () => ({ type: 'answer', afterMs: usualPressMs, talkMs: 0 }),
    });
  }

  play(): readonly PlayedCall[] {
    const { script, away } = this.plan;
    const [first] = this.callers;
    if (first) for (const personId of away) this.line.add({ type: 'presenceSet', atMs: 0, personId, presence: 'busy' });
    for (const caller of this.callers) {
      const { callId: id, atMs, like } = caller;
      const none = {
        visited: 0,
        visit: null,
        wrongKeys: 0,
        silences: 0,
        pressed: null,
        isLeaving: false,
        isLost: false,
        isOver: false,
      };
      this.calls.set(id, { caller, transcript: [], ...none });
      this.line.add({ type: 'callArrives', atMs, callId: id, callerNumber: like.number, script });
    }
    for (let count = 0; count < mostEvents; count += 1) {
      const happened = this.line.next();
      if (!happened) break;
      this.see(happened);
    }
    return this.played;
  }

  private see({ before, result }: Happened): void {
    const seen: CallId[] = [];
    for (const effect of result.effects) {
      if (effect.type !== 'forCall') continue;
      const on = this.calls.get(effect.callId);
      if (!on) continue;
      const entry = entryOf(effect.effect, result.atMs);
      if (!entry) continue;
      on.transcript.push(entry);
      if (entry.type === 'sheet') this.enterSheet(on, entry.sheetId, result.atMs);
      if (entry.type === 'ended') this.end(on, result.atMs);
    }
    // Whatever changes in a call comes of something that it was told.
    for (const { callId: id } of result.told) {
      if (seen.includes(id)) continue;
      seen.push(id);
      const on = this.calls.get(id);
      const state = this.line.exchange.calls.get(id)?.state;
      const was = before.calls.get(id)?.state;
      if (on && state && !on.isOver && state.phase !== was?.phase) this.react(on, state, was, result.atMs);
    }
  }

  private end(on: OnLine, atMs: number): void {
    if (on.isOver) return;
    on.isOver = true;
    this.line.takeBack(on.caller.callId);
    const facts = callEnd(on.transcript);
    if (facts) this.played.push({ caller: on.caller, facts, lengthMs: atMs - on.caller.atMs });
  }

  /** What they did there by the log, the next time they came to it; else what others do. */
  private enterSheet(on: OnLine, sheetId: SheetId, atMs: number): void {
    const { visits } = on.caller.like;
    const next = visits.findIndex((visit, index) => index >= on.visited && visit.sheetId === sheetId);
    if (next >= 0) on.visited = next + 1;
    const others = this.habits.visits.get(sheetId) ?? [];
    const drawn = Math.floor(chanceOf(on.caller.seed, 'visit', sheetId, on.transcript.length) * others.length);
    on.visit = visits[next] ?? others[drawn] ?? null;
    on.wrongKeys = on.visit?.wrongKeys ?? 0;
    on.silences = on.visit?.silences ?? 0;
    on.pressed = null;
    on.isLeaving = false;
    on.isLost = false;
    // In an announcement there is nothing to do but to hang up.
    if (on.visit?.choice === 'hungUp' && on.visit.isFirstRound && !this.optionsOf(sheetId)) {
      this.hangUp(on, atMs + on.visit.afterMs);
      on.isLeaving = true;
    } else this.line.takeBack(on.caller.callId);
  }

  private react(on: OnLine, state: CallState, before: CallState | undefined, atMs: number): void {
    const { phase } = state;
    const { caller } = on;
    const was = before?.phase.type;
    switch (phase.type) {
      case 'menuSpeaking':
        if (phase.then === 'key') this.hearMenu(on, phase.sheetId, atMs);
        return;
      case 'menuWaiting':
        // It was pressed while keys did not count.
        if (on.pressed && was === 'menuSpeaking' && on.pressed.atMs <= atMs)
          this.press(on, on.pressed.key, atMs + againMs);
        return;
      case 'askWaiting':
        return this.dial(on, atMs);
      case 'ringing':
      case 'ringingGroup':
      case 'handingOver':
        if (was === phase.type && phase.type === 'ringing') return;
        return this.hangUp(on, atMs + this.patience(on, 'ring', this.habits.whileRinging, rangFor(caller.like)));
      case 'inQueue':
        if (was === 'inQueue') return;
        return this.wait(on, phase.queueId, atMs);
      case 'connected':
        if (was === 'onHold' || was === 'connected') return;
        return this.hangUp(on, atMs + this.talkMs(on, before, phase.target));
      case 'boxGreeting':
        if (chanceOf(caller.seed, 'message') < this.leavesMessage(caller)) return this.line.takeBack(caller.callId);
        return this.hangUp(on, atMs + 2000 + Math.round(4000 * chanceOf(caller.seed, 'box')));
      case 'recording':
        return this.hangUp(on, atMs + Math.round(spokenMs.least + spokenMs.more * chanceOf(caller.seed, 'spoken')));
      case 'saying':
        if (!on.isLeaving) this.line.takeBack(caller.callId);
        return;
      case 'accepting':
      case 'onHold':
      case 'menuDialling':
        return;
      default:
        this.line.takeBack(caller.callId);
    }
  }

  /** A round of a menu begins to be said. */
  private hearMenu(on: OnLine, sheetId: SheetId, atMs: number): void {
    this.line.takeBack(on.caller.callId);
    const options = this.optionsOf(sheetId) ?? [];
    const { visit } = on;
    if (on.isLost) return;
    if (!visit) return this.pressAny(on, options, atMs);
    if (on.wrongKeys > 0) {
      on.wrongKeys -= 1;
      return this.press(on, unusedKey(options), atMs + usualPressMs);
    }
    if (on.silences > 0) {
      on.silences -= 1;
      return;
    }
    if (visit.choice === 'hungUp') return this.hangUp(on, atMs + visit.afterMs);
    if (isKeyChoice(visit.choice)) return this.choose(on, visit.choice, sheetId, atMs + visit.afterMs);
    if (visit.choice === 'digits' || visit.choice === 'spoke') return this.dial(on, atMs + visit.afterMs);
    if (visit.choice === 'wrongKeys') this.press(on, unusedKey(options), atMs + usualPressMs);
  }

  /** What they wanted is not offered any more: they try a key once, then wait. */
  private choose(on: OnLine, key: Key, sheetId: SheetId, atMs: number): void {
    const options = this.optionsOf(sheetId) ?? [];
    const meant = meantKey(key, optionsIn(this.logged, sheetId), options);
    if (meant) return this.press(on, meant, atMs);
    on.visit = null;
    on.isLost = true;
    this.press(on, unusedKey(options), atMs);
  }

  /** Nobody has been to this menu yet: its keys are taken to be chosen alike. */
  private pressAny(on: OnLine, options: readonly Option[], atMs: number): void {
    const option = options[Math.floor(chanceOf(on.caller.seed, 'any') * options.length)];
    if (option) this.press(on, option.key, atMs + usualPressMs);
  }

  private optionsOf(sheetId: SheetId): readonly Option[] | null {
    return optionsIn(this.plan.script, sheetId);
  }

  /** The extension of whom they reached by the log, else of anybody who is in the directory. */
  private dial(on: OnLine, atMs: number): void {
    const { people } = this.plan.script;
    const reached = on.caller.like.rings.at(-1)?.who;
    const listed = people.filter(({ extension }) => extension !== '');
    const person =
      listed.find(({ id }) => id === reached) ?? listed[Math.floor(chanceOf(on.caller.seed, 'dial') * listed.length)];
    [...(person?.extension ?? '0')].forEach((digit, index) => {
      this.tellAt(on, { type: 'keyPressed', atMs: atMs + 700 * (index + 1), key: digit as Key }, `${index}`);
    });
  }

  private wait(on: OnLine, queueId: QueueId, atMs: number): void {
    const { habits } = this;
    const known = on.caller.like.waits.find((wait) => wait.queueId === queueId);
    const own = habits.inQueue.get(queueId);
    const model = own?.weibull ? own : habits.inAnyQueue;
    if (known?.end === 'exitKey') {
      const exitKey = this.plan.script.queues.find(({ id }) => id === queueId)?.exitKey;
      if (exitKey) return this.press(on, exitKey, atMs + known.waitedMs);
    }
    const seen = known && { waitedMs: known.waitedMs, gaveUp: known.end === 'hungUp' };
    this.hangUp(on, atMs + this.patience(on, 'queue', model, seen));
  }

  /** Whoever gave up has just that patience; whoever was answered has more than they needed. */
  private patience(
    on: OnLine,
    what: 'queue' | 'ring',
    model: Parameters<typeof drawPatience>[0],
    seen: { readonly waitedMs: number; readonly gaveUp: boolean } | undefined,
  ): number {
    if (seen?.gaveUp) return Math.max(1, seen.waitedMs);
    return Math.min(forEverMs, Math.round(drawPatience(model, seen?.waitedMs ?? 0, chanceOf(on.caller.seed, what))));
  }

  private talkMs(on: OnLine, before: CallState | undefined, target: { readonly type: string }): number {
    const { like, seed } = on.caller;
    if (like.talkMs > 0) return like.talkMs;
    const phase = before?.phase;
    const through =
      phase?.type === 'inQueue' ? phase.queueId : phase?.type === 'ringingGroup' ? phase.ring.groupId : undefined;
    const who = target.type === 'person' ? (target as { readonly personId?: PersonId }).personId : undefined;
    return drawTalk(this.habits, [...(through ? [through] : []), ...(who ? [who] : [])], chanceOf(seed, 'talk'));
  }

  private leavesMessage({ like }: DayCaller): number {
    if (like.outcome === 'message') return 1;
    return like.outcome === 'noMessage' ? 0 : this.habits.leaveMessage;
  }

  private staff(phone: RungPhone, id: CallId | null): StaffAct {
    const who: Who = phone.type === 'person' ? phone.personId : (phone.contactId ?? phone.number);
    const key = `${id ?? ''} ${who}`;
    const nth = this.rung.get(key) ?? 0;
    this.rung.set(key, nth + 1);
    const seed = (id && this.calls.get(id)?.caller.seed) ?? 0;
    const habit = this.habits.answering.get(who) ?? this.habits.anybody;
    const act = drawAnswer(habit, chanceOf(seed, who, nth, 'declines'), chanceOf(seed, who, nth, 'answers'));
    if (act === 'declines') return { type: 'busy' };
    // The caller hangs up when they have talked: nobody is talked to for ever.
    return act === null ? { type: 'noAnswer' } : { type: 'answer', afterMs: act, talkMs: forEverMs };
  }

  private press(on: OnLine, key: Key, atMs: number): void {
    on.pressed = { key, atMs };
    this.tellAt(on, { type: 'keyPressed', atMs, key });
  }

  private hangUp(on: OnLine, atMs: number): void {
    this.tellAt(on, { type: 'callerHungUp', atMs: Math.round(atMs) });
  }

  private tellAt(on: OnLine, event: CallEvent, part = ''): void {
    const { callId: id } = on.caller;
    this.line.add({ type: 'ofCall', callId: id, event }, part ? `${id} ${part}` : id);
  }
}

/** Of what is said one sentence is enough to tell what became of the call. */
function entryOf(effect: CallEffect, atMs: number): TranscriptEntry | null {
  if (effect.type === 'note') return effect.entry;
  if (effect.type !== 'play') return null;
  const said = effect.items.find((item) => item.type === 'sentence');
  return said ? { type: 'said', atMs, text: '', source: said.sentence.source } : null;
}

function optionsIn({ lines }: CallScript, sheetId: SheetId): readonly Option[] | null {
  for (const { attendant } of lines) {
    const sheet = attendant.sheets.find(({ id }) => id === sheetId);
    if (sheet) return sheet.type === 'menu' ? sheet.options : null;
  }
  return null;
}

const allKeys: readonly Key[] = ['9', '8', '7', '#', '*', '6', '5', '4', '3', '2', '1', '0'];

function unusedKey(options: readonly Option[]): Key {
  return allKeys.find((key) => options.every((option) => option.key !== key)) ?? '#';
}
