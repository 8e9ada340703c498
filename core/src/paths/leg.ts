import {
  itemMs,
  type CallEffect,
  type CallEvent,
  type CallScript,
  type CallState,
  type EndReason,
  type Next,
  type Phase,
  type Place,
  type PlayItem,
  type StepTaken,
} from '../call';
import {
  callId,
  emptyExchange,
  newStaff,
  VirtualLine,
  type Exchange,
  type Happened,
  type LiveCall,
  type StaffAct,
} from '../exchange';
import type { BoxId, QueueId } from '../directory';
import type { Answer } from '../hours';
import { slotKey, type Key, type Menu, type SheetId } from '../line';
import type { Sentence } from '../speech';
import { keysToSomebody } from './keysToSomebody';
import type { RingTarget, SpanMs, Stretch, WayEnd } from './way';

/** What everybody who is rung does: lets it ring, picks up at once, or is busy. */
export const staffDoes = ['noAnswer', 'answers', 'busy'] as const;
export type StaffDoes = (typeof staffDoes)[number];

/** In what calls are tried out. */
export interface Trials {
  readonly script: CallScript;
  readonly atMs: number;
  readonly staff: StaffDoes;
  readonly sentenceMs: (sentence: Sentence) => number;
  /** Nobody on the line, and the staff as they are to be. */
  readonly exchange: Exchange;
}

export function trialsOf({ script, atMs, staff, sentenceMs }: Omit<Trials, 'exchange'>): Trials {
  const busy = script.people.map(({ id }) => [id, { ...newStaff, presence: 'busy' }] as const);
  const exchange: Exchange = staff === 'busy' ? { ...emptyExchange, staff: new Map(busy) } : emptyExchange;
  return { script, atMs, staff, sentenceMs, exchange };
}

/** A caller who has come to a menu, before any of it was heard. */
export interface AtMenu {
  readonly menu: Menu;
  readonly state: CallState;
  /** What it says, and how long that takes. */
  readonly items: readonly PlayItem[];
  readonly wholeMs: number;
}

/** A caller who has come to wait in a queue. */
export interface AtQueue {
  readonly queueId: QueueId;
  /** What leaves it; null for nothing. */
  readonly exitKey: Key | null;
  readonly waitId: number;
  readonly exchange: Exchange;
  /** Since the leg began, in ms. */
  readonly afterMs: number;
  /** How long the words on entry take, which say that there is such a key. */
  readonly entryMs: number;
}

/** What happens to a caller from one choice to the next; times in ms since it began. */
export interface Leg {
  readonly stretches: readonly Stretch[];
  readonly endMs: number;
  readonly end: WayEnd;
  /** Whether somebody is rung, or waited for in a queue. */
  readonly rings: boolean;
  /** When somebody can pick up; null when nobody is rung or all are busy. */
  readonly personMs: SpanMs | null;
  /** The queues that it waits in, where nobody picks up at once. */
  readonly queues: readonly AtQueue[];
  /** The steps taken, passed over or not; none unless the script asks to be told. */
  readonly steps: readonly StepTaken[];
  /** The sheets entered, in their order. */
  readonly sheets: readonly SheetId[];
  /** The sheets that it goes round in with nobody being rung, where it comes to one again. */
  readonly roundIn: readonly SheetId[];
  /** The menu in which it ends; null where it ends otherwise. */
  readonly menu: AtMenu | null;
  /** How long they were still in the menu they chose in: until their key counts, rounds of it, waits for further digits. */
  readonly inMenuMs: number;
}

/** What a caller does in the menu they are in: presses a key, or nothing, or the wrong ones, having listened first or not. */
export type Choice =
  | { readonly type: 'key'; readonly key: Key }
  | { readonly type: 'silence' }
  | { readonly type: 'wrongKey'; readonly key: Key; readonly listens: boolean };

const trialCall = callId.create('way');
/** How long somebody takes to press the keys of a name or an extension. */
const digitsMs = 3000;
/** How much of a message is drawn: callers speak for about so long. */
const messageMs = 20_000;
/** How much is drawn of what never ends. */
const endlessMs = 120_000;

const acts: Readonly<Record<StaffDoes, StaffAct>> = {
  noAnswer: { type: 'noAnswer' },
  answers: { type: 'answer', afterMs: 0, talkMs: endlessMs },
  busy: { type: 'busy' },
};

/** What a caller goes through from when the line answers. */
export function firstLeg(trials: Trials, answer: Answer): Leg {
  const { script, atMs } = trials;
  const line = lineOf(trials, trials.exchange);
  line.add({ type: 'callArrives', atMs, callId: trialCall, callerNumber: '', script, answer });
  return new Walk(trials, line, null).toEnd();
}

/** What a caller goes through who makes a choice in a menu. */
export function legFrom(trials: Trials, from: AtMenu, choice: Choice): Leg {
  const line = lineOf(trials, withCall(trials, from.state));
  return new Walk(trials, line, { from, choice }).toEnd();
}

/** What a caller goes through who leaves a queue by its key. */
export function legByExitKey(trials: Trials, { exchange }: AtQueue, key: Key): Leg {
  return legOnward(trials, exchange, { type: 'keyPressed', atMs: trials.atMs, key });
}

/** What a caller goes through for whom a queue has no place left. */
export function legFromFull(trials: Trials, { exchange, waitId }: AtQueue): Leg {
  return legOnward(trials, exchange, { type: 'queueRefused', atMs: trials.atMs, waitId, why: 'full' });
}

function legOnward(trials: Trials, exchange: Exchange, event: CallEvent): Leg {
  const line = lineOf(trials, exchange);
  line.add({ type: 'ofCall', callId: trialCall, event });
  return new Walk(trials, line, null).toEnd();
}

function lineOf({ script, staff, sentenceMs }: Trials, exchange: Exchange): VirtualLine {
  return new VirtualLine({ script, exchange, sentenceMs, staff: () => acts[staff] });
}

function withCall({ exchange, script, atMs }: Trials, state: CallState): Exchange {
  const { callerNumber } = state;
  const call: LiveCall = {
    ...{ id: trialCall, script, state, callerNumber, sinceMs: atMs },
    ...{ staffCaller: null, talkingTo: null, outside: null, broughtBy: null, transfer: null },
  };
  return { ...exchange, calls: new Map([[trialCall, call]]) };
}

/** Something that goes on for a while: somebody is rung, or the caller waits in a queue. */
interface GoingOn {
  readonly target: RingTarget;
  /** What tells it from another: the same step goes on with the next phone. */
  readonly is: unknown;
  readonly fromMs: number;
}

/** One call, followed from a choice of its caller to where the next is due. */
class Walk {
  private readonly stretches: Stretch[] = [];
  private nowMs: number;
  /** When the menu was left that the choice is made in. */
  private beganMs: number;
  private isInMenu: boolean;
  private goingOn: GoingOn | null = null;
  /** Who was rung last, or waited for. */
  private talksTo: RingTarget | null = null;
  private personMs: SpanMs | null = null;
  /** As it is up to where the call was handed over last. */
  private handedOver: Leg | null = null;
  /** Who was asked for, by name or extension: they stand for anybody. */
  private askedFor: readonly string[] = [];
  private readonly entered: SheetId[] = [];
  /** How many sheets were entered when somebody was rung last. */
  private enteredAtRing = 0;
  private roundIn: readonly SheetId[] = [];
  private readonly queues: AtQueue[] = [];
  private readonly steps: StepTaken[] = [];
  /** Where the call waited before: there once more, it goes round in a circle. */
  private readonly seen = new Set<string>();

  constructor(
    private readonly trials: Trials,
    private readonly line: VirtualLine,
    private readonly chosen: { readonly from: AtMenu; readonly choice: Choice } | null,
  ) {
    this.nowMs = this.beganMs = trials.atMs;
    this.isInMenu = chosen !== null;
    if (chosen) this.hearMenu(chosen.from);
  }

  toEnd(): Leg {
    for (;;) {
      const happened = this.line.next();
      if (!happened) return this.leg({ type: 'ranOut' });
      const leg = this.follow(happened);
      if (leg) return leg;
    }
  }

  private follow({ before, result }: Happened): Leg | undefined {
    this.nowMs = result.atMs;
    const state = result.exchange.calls.get(trialCall)?.state ?? null;
    if (state && state.phase === before.calls.get(trialCall)?.state.phase) return undefined;
    const effects = result.effects.flatMap((effect) => (effect.type === 'forCall' ? [effect.effect] : []));
    this.steps.push(...stepsIn(effects));
    const phase = state?.phase ?? endIn(effects);
    if (this.handedOver && isHandingOver(before.calls.get(trialCall)) && hasNothingAfter(phase)) return this.handedOver;
    if (this.isInMenu) {
      if (isOfMenu(phase) && sheetsIn(effects).length === 0) return this.choose(phase);
      this.isInMenu = false;
      this.beganMs = this.nowMs;
    }
    this.endWhatWentOn(phase);
    this.askedFor = [...this.askedFor, ...effects.flatMap(meantBy)];
    const end = this.endBy(effects);
    if (end) return this.leg(end);
    const items = effects.flatMap((effect) => (effect.type === 'play' ? effect.items : []));
    return this.arrive(phase, state, items);
  }

  /** What ends a way whatever phase the call is in then. */
  private endBy(effects: readonly CallEffect[]): WayEnd | undefined {
    for (const effect of effects) {
      if (effect.type === 'note' && effect.entry.type === 'line') return { type: 'line', lineId: effect.entry.lineId };
    }
    for (const sheetId of sheetsIn(effects)) {
      const before = this.entered.indexOf(sheetId);
      if (before >= 0) {
        this.roundIn = before >= this.enteredAtRing ? this.entered.slice(before) : [];
        return { type: 'again', sheetId };
      }
      this.entered.push(sheetId);
    }
    return undefined;
  }

  private arrive(phase: Phase, state: CallState | null, items: readonly PlayItem[]): Leg | undefined {
    if (state && this.isRound(phase, state)) return this.leg({ type: 'circle' });
    switch (phase.type) {
      case 'menuSpeaking':
      case 'menuWaiting':
        return this.endInMenu(phase.sheetId, state, items);
      case 'saying':
      case 'boxGreeting':
      case 'askSpeaking':
        return this.say(items, state?.sheetId ?? null);
      case 'askWaiting':
        return this.dial(phase);
      case 'ringing':
        return this.beginRinging(phase);
      case 'ringingGroup':
        return this.begin({ type: 'group', groupId: phase.ring.groupId }, phase.ringId);
      case 'inQueue':
        return this.waitInQueue(phase, items);
      case 'handingOver':
        return this.handOver(phase);
      case 'recording':
        return this.speakMessage(phase.boxId);
      case 'connected':
        return this.talk();
      case 'ended':
        return this.leg(ends[phase.reason] ?? { type: 'hungUp' });
      default:
        return undefined;
    }
  }

  private endInMenu(sheetId: SheetId, state: CallState | null, items: readonly PlayItem[]): Leg {
    const { script } = this.trials;
    const line = script.lines.find(({ id }) => id === state?.lineId);
    const menu = line?.attendant.sheets.find(({ id }) => id === sheetId);
    const at = state && menu?.type === 'menu' ? { menu, state, items, wholeMs: this.msOf(items) } : null;
    return this.leg({ type: 'menu', sheetId }, at);
  }

  /** What was under way as the caller came to the menu goes on: it is said, or a key is waited for. */
  private hearMenu({ menu, state, wholeMs }: AtMenu): void {
    const { phase } = state;
    if (phase.type === 'menuSpeaking') {
      this.happens({ type: 'playEnded', atMs: this.nowMs + wholeMs, playId: phase.playId });
    } else if (phase.type === 'menuWaiting') {
      this.happens({ type: 'timePassed', atMs: this.nowMs + menu.waitSeconds * 1000, timerId: phase.timerId });
    }
    this.choose(phase);
  }

  /** Presses the key that was chosen, once it counts or the menu was heard. */
  private choose(phase: Phase): undefined {
    if (!this.chosen || this.chosen.choice.type === 'silence') return;
    const { from, choice } = this.chosen;
    const listens = choice.type === 'wrongKey' && choice.listens;
    const isTime =
      phase.type === 'menuWaiting' || (phase.type === 'menuSpeaking' && !listens && from.menu.keysDuringGreeting);
    if (isTime) this.happens({ type: 'keyPressed', atMs: this.nowMs, key: choice.key });
  }

  private beginRinging(phase: Extract<Phase, { type: 'ringing' }>): Leg | undefined {
    const { ring, timerId } = phase;
    const isMeant = ring.target.type === 'person' && this.askedFor.includes(ring.target.personId);
    this.begin(isMeant ? { type: 'anybody' } : ring.target, ring);
    if (timerId !== null || this.trials.staff !== 'noAnswer') return undefined;
    this.nowMs += endlessMs;
    this.endWhatWentOn({ type: 'onward' });
    return this.leg({ type: 'forEver' });
  }

  private handOver({ target, handOverId }: Extract<Phase, { type: 'handingOver' }>): undefined {
    const reached = this.personMs;
    this.reach(this.nowMs);
    this.handedOver = this.leg({ type: 'handedOver', target });
    if (this.trials.staff === 'busy') this.personMs = reached;
    this.begin(target, handOverId);
  }

  private waitInQueue(phase: Extract<Phase, { type: 'inQueue' }>, items: readonly PlayItem[]): undefined {
    const { queueId, waitId } = phase;
    if (this.goingOn?.is === waitId) return;
    this.begin({ type: 'queue', queueId }, waitId);
    const queue = this.trials.script.queues.find(({ id }) => id === queueId);
    if (this.trials.staff !== 'answers') {
      const { exchange } = this.line;
      const entryMs = phase.hears === 'entry' ? this.msOf(items) : 0;
      const exitKey = queue?.exitKey ?? null;
      this.queues.push({ queueId, exitKey, waitId, exchange, afterMs: this.sinceMs(this.nowMs), entryMs });
    }
    if (this.trials.staff !== 'answers' || queue?.order !== 'pick') return;
    for (const { personId } of queue.members) {
      this.line.add({ type: 'staffPicks', atMs: this.nowMs, personId, callId: trialCall });
    }
  }

  private talk(): Leg {
    const target = this.talksTo;
    this.reach(this.nowMs);
    return this.leg(target ? { type: 'talks', target } : { type: 'hungUp' });
  }

  private begin(target: RingTarget, is: unknown): undefined {
    if (this.goingOn?.is === is) return;
    this.askedFor = [];
    this.enteredAtRing = this.entered.length;
    this.goingOn = { target, is, fromMs: this.nowMs };
  }

  /** Nobody is rung any more, or the caller waits no longer: so long it was. */
  private endWhatWentOn(phase: Phase): void {
    const was = this.goingOn;
    if (!was || isStill(was, phase)) return;
    this.goingOn = null;
    this.talksTo = was.target;
    if (this.nowMs === was.fromMs) return;
    this.stretches.push({ ...stretchOf(was.target), fromMs: this.sinceMs(was.fromMs), toMs: this.sinceMs(this.nowMs) });
    if (this.trials.staff === 'busy') return;
    this.reach(was.fromMs);
    this.reach(this.nowMs);
  }

  /** Somebody can pick up at a moment. */
  private reach(atMs: number): void {
    const ms = this.sinceMs(atMs);
    this.personMs = { soonestMs: this.personMs?.soonestMs ?? ms, latestMs: ms };
  }

  private say(items: readonly PlayItem[], sheetId: SheetId | null): undefined {
    let atMs = this.sinceMs(this.nowMs);
    for (const item of items) {
      if (item.type === 'sentence') {
        const toMs = atMs + this.trials.sentenceMs(item.sentence);
        this.stretches.push({ type: 'words', text: item.sentence.text, sheetId, fromMs: atMs, toMs });
      }
      atMs += this.msOf([item]);
    }
  }

  /** Asks for somebody who is there, by all the keys that takes; where nobody is, nothing is pressed. */
  private dial({ ask, digits }: Extract<Phase, { type: 'askWaiting' }>): undefined {
    if (digits !== '') return;
    const keys = keysToSomebody(this.trials.script, ask, this.trials.atMs);
    if (!keys) return;
    this.stretches.push({
      type: 'digits',
      fromMs: this.sinceMs(this.nowMs),
      toMs: this.sinceMs(this.nowMs) + digitsMs,
    });
    keys.forEach((key, index) => {
      this.happens({ type: 'keyPressed', atMs: this.nowMs + Math.round((digitsMs * (index + 1)) / keys.length), key });
    });
  }

  private happens(event: CallEvent): undefined {
    this.line.add({ type: 'ofCall', callId: trialCall, event });
  }

  /** Whether the call waits where it waited before, or followed a path from within itself. */
  private isRound(phase: Phase, state: CallState): boolean {
    if (!waits.has(phase.type) || ('waitId' in phase && phase.waitId === this.goingOn?.is)) return false;
    if ('ring' in phase && phase.ring === this.goingOn?.is) return false;
    if ('ask' in phase && phase.ask.asked > 0) return false;
    const slots = slotsOf(placeIn(phase));
    if (new Set(slots.map(({ slot }) => slot)).size < slots.length) return true;
    const at = slots.map(({ slot, stepIndex }) => `${slot} ${stepIndex}`).join();
    const next = phase.type === 'saying' ? phase.next.type : '';
    const is = [phase.type, next, state.sheetId, state.callRecordingId === null, at].join(' ');
    const isSeen = this.seen.has(is);
    this.seen.add(is);
    return isSeen;
  }

  private speakMessage(boxId: BoxId): Leg {
    const box = this.trials.script.boxes.find(({ id }) => id === boxId);
    const fromMs = this.sinceMs(this.nowMs);
    this.nowMs += Math.min(messageMs, (box?.longestMessageSeconds ?? 0) * 1000);
    this.stretches.push({ type: 'message', boxId, fromMs, toMs: this.sinceMs(this.nowMs) });
    return this.leg({ type: 'message', boxId });
  }

  private msOf(items: readonly PlayItem[]): number {
    return items.reduce((sum, item) => sum + itemMs(item, this.trials.sentenceMs), 0);
  }

  private sinceMs(atMs: number): number {
    return atMs - this.beganMs;
  }

  private leg(end: WayEnd, menu: AtMenu | null = null): Leg {
    const { personMs, roundIn } = this;
    const [stretches, queues, steps, sheets] = [
      [...this.stretches],
      [...this.queues],
      [...this.steps],
      [...this.entered],
    ];
    const inMenuMs = this.beganMs - this.trials.atMs;
    const rings = stretches.some(({ type }) => type === 'ring' || type === 'queue');
    const endMs = this.sinceMs(this.nowMs);
    return { stretches, endMs, end, rings, personMs, queues, steps, sheets, roundIn, menu, inMenuMs };
  }
}

const ends: Readonly<Partial<Record<EndReason, WayEnd>>> = {
  hungUp: { type: 'hungUp' },
  pathRanOut: { type: 'ranOut' },
  circle: { type: 'circle' },
};

function endIn(effects: readonly CallEffect[]): Phase {
  const reasons = effects.flatMap((effect) =>
    effect.type === 'note' && effect.entry.type === 'ended' ? [effect.entry.reason] : [],
  );
  return { type: 'ended', reason: reasons[0] ?? 'hungUp' };
}

/** Whom digits mean that a caller pressed when asked for somebody. */
function meantBy(effect: CallEffect): readonly string[] {
  if (effect.type !== 'note') return [];
  const { entry } = effect;
  if (entry.type === 'spelled') return entry.matches;
  return entry.type === 'dialledExtension' && entry.to ? [entry.to] : [];
}

function sheetsIn(effects: readonly CallEffect[]): readonly SheetId[] {
  return effects.flatMap((effect) =>
    effect.type === 'note' && effect.entry.type === 'sheet' ? [effect.entry.sheetId] : [],
  );
}

/** The steps taken on the line that was dialled: those of one that it hands over to are not its own. */
function stepsIn(effects: readonly CallEffect[]): readonly StepTaken[] {
  const handedOver = effects.findIndex((effect) => effect.type === 'note' && effect.entry.type === 'line');
  const own = handedOver < 0 ? effects : effects.slice(0, handedOver);
  return own.filter((effect) => effect.type === 'stepTaken');
}

function isHandingOver(call: LiveCall | undefined): boolean {
  return call?.state.phase.type === 'handingOver';
}

/** It was taken, or nothing is written for when it is not: then it is held to be taken. */
function hasNothingAfter(phase: Phase): boolean {
  if (phase.type === 'saying') return phase.next.type === 'end' && phase.next.reason === 'pathRanOut';
  return phase.type === 'ended' && (phase.reason === 'handedOver' || phase.reason === 'pathRanOut');
}

function isOfMenu({ type }: Phase): boolean {
  return type === 'menuSpeaking' || type === 'menuWaiting' || type === 'menuDialling';
}

function isStill({ is }: GoingOn, phase: Phase): boolean {
  if (phase.type === 'ringing' || phase.type === 'accepting') return phase.ring === is;
  if (phase.type === 'ringingGroup') return phase.ringId === is;
  if (phase.type === 'handingOver') return phase.handOverId === is;
  return (phase.type === 'queuing' || phase.type === 'inQueue') && phase.waitId === is;
}

function stretchOf(
  target: RingTarget,
): { readonly type: 'queue'; readonly queueId: QueueId } | { readonly type: 'ring'; readonly target: RingTarget } {
  return target.type === 'queue' ? target : { type: 'ring', target };
}

/** Phases in which a call waits for something that is not the caller's choice. */
const waits: ReadonlySet<Phase['type']> = new Set([
  'saying',
  'ringing',
  'ringingGroup',
  'handingOver',
  'inQueue',
  'boxGreeting',
  'askSpeaking',
]);
/** Where a call goes on from what it waits for. */
function placeIn(phase: Phase): Place | null {
  switch (phase.type) {
    case 'saying':
      return placeOf(phase.next);
    case 'ringing':
    case 'ringingGroup':
      return placeOf(phase.ring.unanswered);
    case 'inQueue':
    case 'handingOver':
      return phase.place;
    case 'askSpeaking':
      return phase.ask.place;
    default:
      return null;
  }
}

function placeOf(next: Next): Place | null {
  switch (next.type) {
    case 'path':
    case 'queue':
    case 'record':
      return next.place;
    case 'ring':
    case 'ringGroup':
      return placeOf(next.ring.unanswered);
    case 'ask':
      return next.ask.place;
    default:
      return null;
  }
}

/** The paths a place is in, the innermost first, and where in them. */
function slotsOf(place: Place | null): readonly { readonly slot: string; readonly stepIndex: number }[] {
  return place ? [{ slot: slotKey(place.slot), stepIndex: place.stepIndex }, ...slotsOf(place.then)] : [];
}
