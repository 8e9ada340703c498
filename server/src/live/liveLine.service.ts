import { join } from 'node:path';
import { Inject, Injectable, type BeforeApplicationShutdown, type OnApplicationBootstrap } from '@nestjs/common';
import {
  type CallScript,
  type CallState,
  type DirectTo,
  type FinishedTake,
  type MessageToHear,
  type PinAnswer,
  type PlayItem,
  type PhoneTake,
} from '@locutor/core/call';
import { anonymousCaller, countryOf, readPhoneNumber, type BoxId, type PersonId } from '@locutor/core/directory';
import {
  boardOf,
  callId,
  deskView,
  emptyExchange,
  laterBy,
  legEvent,
  newStaff,
  stepExchange,
  type Board,
  type CallId,
  type DeskView,
  type Exchange,
  type ExchangeEffect,
  type ExchangeEvent,
  type LegActs,
  type WantedLeg,
} from '@locutor/core/exchange';
import type { LineId, TakeId } from '@locutor/core/line';
import { idKind } from '@locutor/core/id';
import { unreachable } from '@locutor/core/result';
import { AudioStore } from '../audio/audioStore';
import { BoxPinsService } from '../boxes/boxPins.service';
import { CallLog } from '../callLog/callLog.service';
import { Clock, type Stop } from '../clock/clock';
import { enclosed, unawaited } from '../log/enclosed';
import { log } from '../log/log';
import { MessagesService } from '../messages/messages.service';
import { PresencesService } from './presences.service';
import { conflict, Problem } from '../problems/problem';
import { Reckoning } from '../reckoning/reckoning.module';
import { newId } from '../rows/newId';
import { dataFolder } from '../storage/dataFolder';
import { noteAlive } from './alive';
import { HeardService } from './heard.service';
import { Keeping } from './keeping';
import { LeftTakes } from './leftTakes.service';
import { Legs } from './legs';
import {
  theLine,
  type AnsweredCall,
  type CallerDoors,
  type CallerEnd,
  type IncomingCall,
  type Leg,
  type Line,
} from './line';
import { LineClock } from './lineClock';
import { LiveCallRun, type CallDisplay, type CallDoors, type Shown, type UntimedCallEvent } from './liveCall';
import { LiveScripts } from './liveScripts.service';
import { SpeakingAhead } from './speakingAhead';
import { Take } from './take';

type Untimed<Event> = Event extends unknown ? Omit<Event, 'atMs'> : never;
export type UntimedEvent = Untimed<Exclude<ExchangeEvent, { type: 'ofCall' }>>;

/** What a desk phone shows besides its view. */
export interface DeskDisplay {
  readonly noSuchNumber: (digits: string) => void;
}

/** Who wants a greeting recorded with a desk phone. */
export interface TakeAsker {
  readonly phaseIs: (phase: CallState['phase']['type']) => void;
  /** Makes it good; null when nothing is heard on it. */
  readonly finish: (wav: Uint8Array) => Promise<FinishedTake | null>;
  readonly settle: (takeId: TakeId, keep: boolean) => Promise<void>;
  readonly unanswered: (why: 'inUse' | 'noAnswer') => void;
  /** The call is over; what was to be kept is. */
  readonly over: () => void;
}

const takeId = idKind('take');
const mostOnBoard = 100;
const directoryReadAfterMs = 80;
const tellAfterMs = 15;
const tickMs = 1000;

/**
 * Runs every call in real time on what is on air, over whatever line there is, through the same exchange as trials and
 * forecasts. It only keeps the clock and carries out effects; what happens is the exchange's to say.
 */
@Injectable()
export class LiveLine implements OnApplicationBootstrap, BeforeApplicationShutdown {
  private exchange: Exchange = emptyExchange;
  private world: CallScript | null = null;
  private readonly runs = new Map<CallId, LiveCallRun>();
  private readonly timers = new Map<number, Stop>();
  private readonly askers = new Map<CallId, TakeAsker>();
  private readonly desks = new Map<PersonId, Set<DeskDisplay>>();
  private readonly watchers = new Set<() => void>();
  private isTelling = false;
  private isStopping = false;
  private stopReading: Stop | null = null;
  private stopTicking: Stop | undefined;
  private readonly takes: string;
  private readonly keeping: Keeping;
  private readonly lineClock: LineClock;
  private readonly ahead: SpeakingAhead;
  private readonly legs = new Legs({
    open: (wanted, doors) => {
      const run = wanted.does === 'takesOver' && wanted.callId ? this.runs.get(wanted.callId) : undefined;
      return run ? run.caller.handOver(wanted, doors) : this.line.open(wanted, doors);
    },
    happens: (wanted, act) => this.actOnLeg(wanted, act),
    voice: (wanted, frame) => this.voiceOfLeg(wanted, frame),
  });

  constructor(
    @Inject(dataFolder) folder: string,
    @Inject(theLine) private readonly line: Line,
    private readonly left: LeftTakes,
    private readonly scripts: LiveScripts,
    private readonly heard: HeardService,
    private readonly callLog: CallLog,
    private readonly messages: MessagesService,
    private readonly pins: BoxPinsService,
    private readonly audio: AudioStore,
    private readonly presences: PresencesService,
    private readonly clock: Clock,
    private readonly reckoning: Reckoning,
  ) {
    this.takes = join(folder, 'takes');
    this.keeping = new Keeping(clock);
    this.lineClock = new LineClock(clock);
    this.ahead = new SpeakingAhead({
      clock,
      world: () => this.world,
      now: () => this.now(),
      speak: (items) => this.heard.ready(items),
    });
  }

  async onApplicationBootstrap(): Promise<void> {
    await this.left.finish();
    this.stopTicking = this.clock.every(tickMs, () => this.tick());
    const staff = new Map([...(await this.presences.all())].map(([id, presence]) => [id, { ...newStaff, presence }]));
    this.exchange = { ...emptyExchange, staff };
    this.world = (await this.scripts.world()) ?? null;
    this.ahead.start();
    this.line.start({ arrives: (call, end) => this.arrives(call, end) });
  }

  async beforeApplicationShutdown(): Promise<void> {
    this.isStopping = true;
    for (const run of [...this.runs.values()]) {
      run.carryOut({ type: 'note', entry: { type: 'ended', atMs: this.now(), reason: 'cut' } }, this.now());
      run.carryOut({ type: 'hangUp' }, this.now());
    }
    this.world = null;
    for (const stop of this.timers.values()) stop();
    this.ahead.stop();
    this.stopTicking?.();
    this.stopReading?.();
    this.line.stop();
    for (const asker of this.askers.values()) asker.over();
    await this.keeping.stop();
    await this.callLog.write();
  }

  /** The line's clock, in ms since 1970. */
  now(): number {
    return this.lineClock.now();
  }

  private followWall(): void {
    const jumpMs = this.lineClock.followWall();
    if (jumpMs === 0) return;
    this.exchange = laterBy(this.exchange, jumpMs);
    for (const run of this.runs.values()) run.laterBy(jumpMs);
    this.changed();
  }

  /** Every second: what happened to calls is written down, and that the line still runs. */
  private tick(): void {
    this.followWall();
    if (this.runs.size === 0) return;
    for (const run of this.runs.values()) run.log(false);
    noteAlive(this.takes, this.now());
  }

  get isPretended(): boolean {
    return this.lineClock.isPretended;
  }

  /** Sets the line's clock to a pretended moment by the clock on its wall, or back to the real one. */
  setClock(reading: string | null): void {
    if (this.exchange.calls.size > 0 || this.askers.size > 0) {
      throw conflict('The clock can be set only while nobody is on the line. Hang up the calls first.');
    }
    const zone = this.world?.lines.find(({ id }) => id === this.world?.lineId)?.timeZone ?? 'UTC';
    this.followWall();
    this.lineClock.set(reading, zone);
    // Rests and offers are over with the time they were in.
    for (const stop of this.timers.values()) stop();
    this.timers.clear();
    const staff = [...this.exchange.staff].map(([id, { presence }]) => [id, { ...newStaff, presence }] as const);
    this.exchange = { ...emptyExchange, legsGiven: this.exchange.legsGiven, staff: new Map(staff) };
    this.legs.follow(this.exchange);
    this.ahead.soon(0);
    this.changed();
  }

  /** Words are said otherwise from now on. */
  dictionaryChanged(): void {
    this.heard.forget();
    this.ahead.soon();
  }

  /** Something of the directory or on air is other than before. */
  directoryChanged(): void {
    this.scripts.forget();
    this.stopReading ??= this.clock.after(directoryReadAfterMs, () => {
      this.stopReading = null;
      this.scripts.world().then(
        (world) => {
          this.world = world ?? null;
          this.changed();
          this.ahead.soon();
        },
        (err: unknown) => {
          if (!this.isStopping) log.error({ err }, 'The directory could not be read');
        },
      );
    });
  }

  /** Somebody outside rings a number: whether it is one that is answered takes a moment to find out. */
  private arrives(call: IncomingCall, end: CallerEnd): CallerDoors {
    let run: LiveCallRun | undefined;
    let isGone = false;
    const failed = (): void => end.refuse('failed', 'The call did not get through.');
    const answered = this.answer(call, end, () => isGone).then((begun) => (run = begun));
    unawaited('a call that arrives', answered, failed);
    const happen = (event: UntimedCallEvent): void => {
      if (run) this.happenTo(run.id, event);
    };
    return {
      pressed: (key) => happen({ type: 'keyPressed', key }),
      voice: (frame) => run && this.voiceOfCaller(run.id, frame),
      hungUp: () => {
        isGone = true;
        if (run) happen({ type: 'callerHungUp' });
        else end.hangUp('callerHungUp');
      },
    };
  }

  private async answer(
    { calledNumber, callerNumber }: IncomingCall,
    end: CallerEnd,
    isGone: () => boolean,
  ): Promise<LiveCallRun | undefined> {
    const country = await this.scripts.country();
    const read = readPhoneNumber(calledNumber, country);
    const reached = read.ok ? await this.scripts.reached(read.value) : undefined;
    // Whoever has hung up meanwhile is told nothing more.
    if (isGone()) return undefined;
    if (!reached) {
      end.refuse('noSuchNumber', 'That is not a number of this business.');
      return undefined;
    }
    const script = await this.onAir(reached.lineId, end);
    if (!script || isGone()) return undefined;
    this.world ??= script;
    const caller = readPhoneNumber(callerNumber, country);
    const from = caller.ok ? caller.value : anonymousCaller;
    const { lineId, lineName, versionId, groupId } = reached;
    const run = this.begin(newId(callId), lineId, versionId, from, null, end);
    end.accept({ ...answeredOn(script, run.id), lineName });
    const to: DirectTo | undefined = groupId ? { type: 'group', groupId } : undefined;
    this.happen({ type: 'callArrives', callId: run.id, callerNumber: from, script, ...(to ? { to } : {}) });
    return run;
  }

  /** What is on air on a line; where nothing is, the caller is told so. */
  private async onAir(lineId: LineId, end: CallerEnd): Promise<CallScript | undefined> {
    try {
      return await this.scripts.of(lineId);
    } catch (err) {
      if (!(err instanceof Problem)) throw err;
      end.refuse('notOnAir', err.message);
      return undefined;
    }
  }

  /** Shows a call from now on; gives what was shown so far, or undefined when it is over. */
  show(id: CallId, display: CallDisplay): Shown | undefined {
    return this.runs.get(id)?.showOn(display, this.exchange.calls.get(id)?.state, this.now());
  }

  /** What is said to a handset that asks for a call which is not on the line any more. */
  async whatBecameOf(id: CallId): Promise<string> {
    const call = await this.callLog.get(id);
    const wasCut = call?.transcript.some((entry) => entry.type === 'ended' && entry.reason === 'cut');
    if (!call || !wasCut) return 'That call is over.';
    const kept = call.messageId ? ' What you had said until then was kept as a message.' : '';
    return `The line was stopped during your call.${kept} Call again.`;
  }

  happen(event: UntimedEvent): void {
    this.step((atMs) => ({ ...event, atMs }) as ExchangeEvent);
  }

  happenTo(id: CallId, event: UntimedCallEvent): void {
    this.step((atMs) => ({ type: 'ofCall', callId: id, event: { ...event, atMs } }) as ExchangeEvent);
  }

  /** Somebody of the staff dials on the phone on their desk. */
  dial(personId: PersonId, digits: string, end: CallerEnd): void {
    this.beginOwn(personId, end, (id, script) =>
      this.happen({ type: 'staffDials', personId, digits, callId: id, script }),
    );
  }

  /** Calls a colleague while the caller somebody talks to is on hold. */
  consult(personId: PersonId, colleague: PersonId, end: CallerEnd): void {
    this.beginOwn(personId, end, (id, script) =>
      this.happen({ type: 'staffConsults', personId, colleague, callId: id, script }),
    );
  }

  private beginOwn(personId: PersonId, end: CallerEnd, call: (id: CallId, script: CallScript) => void): void {
    const script = this.world;
    if (!script) return;
    const id = newId(callId);
    const run = this.begin(id, script.lineId, null, this.extensionOf(personId), personId, end);
    end.accept(answeredOn(script, id));
    call(id, script);
    if (!this.exchange.calls.has(id) && run.transcript.length === 0) this.runs.delete(id);
  }

  private extensionOf(personId: PersonId): string {
    return this.world?.people.find((person) => person.id === personId)?.extension ?? '';
  }

  /** Rings somebody's desk phone to record a greeting with it. Gives back how to give it up. */
  askForTake(personId: PersonId, of: PhoneTake, asker: TakeAsker): () => void {
    const script = this.world;
    if (!script) {
      asker.unanswered('noAnswer');
      return () => undefined;
    }
    const id = newId(callId);
    const end = endOfLeg(() => this.legs.ofPerson(personId));
    this.begin(id, script.lineId, null, this.extensionOf(personId), personId, end);
    this.askers.set(id, asker);
    this.happen({ type: 'takeAsked', personId, of, callId: id, script });
    return () => {
      this.happen({ type: 'takeGivenUp', personId, callId: id });
      this.forgetTake(id);
    };
  }

  private forgetTake(id: CallId): void {
    this.askers.delete(id);
    if (!this.exchange.calls.has(id)) this.runs.delete(id);
  }

  setPresence(personId: PersonId, presence: DeskView['presence']): void {
    this.happen({ type: 'presenceSet', personId, presence });
    unawaited('what somebody says of themselves', this.presences.keep(personId, presence));
  }

  /** What somebody does with a phone that is rung, or the line finds out about it. */
  private actOnLeg(wanted: WantedLeg, act: LegActs): void {
    this.step((atMs) => legEvent(this.exchange, wanted, act, atMs));
  }

  deskView(personId: PersonId): DeskView | null {
    return this.world && deskView(this.world, this.exchange, personId, this.cameBy);
  }

  /** Whether it is known who there is. */
  get hasWorld(): boolean {
    return this.world !== null;
  }

  isPerson(personId: PersonId): boolean {
    return this.world?.people.some(({ id }) => id === personId) ?? false;
  }

  board(): Board {
    const people = this.world?.people.map(({ id }) => id) ?? [];
    return boardOf(this.exchange, people, this.cameBy, mostOnBoard);
  }

  isOn(id: CallId): boolean {
    return this.exchange.calls.has(id);
  }

  /** Told, soon after, whenever anything on the line is other than before. Gives back how to stop. */
  watch(watcher: () => void): () => void {
    this.watchers.add(watcher);
    return () => this.watchers.delete(watcher);
  }

  /** A desk phone of somebody is there. Gives back how to take it away. */
  connectDesk(personId: PersonId, display: DeskDisplay): () => void {
    const displays = this.desks.get(personId) ?? new Set();
    this.desks.set(personId, displays.add(display));
    return () => {
      displays.delete(display);
      if (displays.size === 0) this.desks.delete(personId);
    };
  }

  hasDesk(personId: PersonId): boolean {
    return this.desks.has(personId);
  }

  /** What the caller says goes to whoever talks to them. */
  private voiceOfCaller(id: CallId, frame: Uint8Array): void {
    this.runs.get(id)?.hearCaller(frame);
    const call = this.exchange.calls.get(id);
    if (call?.state.phase.type !== 'connected') return;
    const leg = call.talkingTo ? this.legs.ofPerson(call.talkingTo) : call.outside && this.legs.withId(call.outside.id);
    leg?.voice(frame);
  }

  /** What somebody of the staff says goes to their caller, to whom they called, or to a speaker group. */
  voiceOfStaff(personId: PersonId, frame: Uint8Array): void {
    const { doing } = this.exchange.staff.get(personId) ?? newStaff;
    if (doing.type === 'speaking') return doing.to.forEach(({ id }) => this.legs.withId(id)?.voice(frame));
    if (doing.type === 'calling') return this.voiceOfCaller(doing.callId, frame);
    if (doing.type === 'talking') this.voiceToCaller(doing.callId, frame);
  }

  private voiceOfLeg({ phone, callId: id }: WantedLeg, frame: Uint8Array): void {
    if (phone.type === 'person') this.voiceOfStaff(phone.personId, frame);
    else if (id) this.voiceToCaller(id, frame);
  }

  private voiceToCaller(id: CallId, frame: Uint8Array): void {
    if (this.exchange.calls.get(id)?.state.phase.type === 'connected') this.runs.get(id)?.hearStaff(frame);
  }

  private begin(
    id: CallId,
    lineId: LineId,
    versionId: string | null,
    callerNumber: string,
    staffCaller: PersonId | null,
    end: CallerEnd,
  ): LiveCallRun {
    const row = {
      id,
      lineId,
      versionId,
      callerNumber,
      staffCaller,
      startedAt: this.now(),
      endedAt: null,
      pretended: this.isPretended,
      outcome: null,
      answeredBy: null,
      transcript: [],
      messageId: null,
      recordingId: null,
      recordingMs: 0,
    };
    const run = new LiveCallRun(row, end, this.doors, this.clock);
    this.runs.set(id, run);
    return run;
  }

  /** What goes wrong in one step must not end everybody's calls. */
  private step(eventAt: (atMs: number) => ExchangeEvent | undefined): void {
    this.followWall();
    const event = eventAt(this.now());
    if (!event) return;
    try {
      this.take(event);
    } catch (error) {
      log.error({ err: error, event: event.type }, 'The line could not take an event');
    }
  }

  private take(event: ExchangeEvent): void {
    if (!this.world) return;
    const before = this.exchange;
    const { exchange, effects, told, atMs } = stepExchange(this.world, before, event);
    this.exchange = exchange;
    // Only what calls were told changes them; looking at all of a thousand at each step would take longer than the step.
    const changed = new Set(told.map((each) => each.callId));
    if (exchange !== before) this.legs.follow(exchange);
    for (const id of changed) {
      const call = exchange.calls.get(id);
      if (!call || call.state.phase === before.calls.get(id)?.state.phase) continue;
      enclosed('a call that is shown', () => {
        this.runs.get(id)?.show(call.state);
        this.askers.get(id)?.phaseIs(call.state.phase.type);
      })();
    }
    for (const effect of effects) this.carryOutAlone(effect, atMs);
    // Also of a call that was over in its first step, such as of a blocked caller.
    for (const id of changed) if (!exchange.calls.has(id)) this.end(id);
    if (exchange !== before) this.changed();
  }

  private end(id: CallId): void {
    if (!this.runs.delete(id)) return;
    const asker = this.askers.get(id);
    this.askers.delete(id);
    if (asker) unawaited('the end of a recording by phone', this.keeping.done().then(asker.over));
  }

  private carryOut(effect: ExchangeEffect, atMs: number): void {
    switch (effect.type) {
      case 'forCall':
        if (effect.effect.type === 'askToAccept') this.playTo(this.legs.askedFor(effect.callId), effect.effect.items);
        return this.runs.get(effect.callId)?.carryOut(effect.effect, atMs);
      case 'startTimer': {
        const { timerId, afterMs } = effect;
        const over = (): void => {
          this.timers.delete(timerId);
          this.happen({ type: 'timerOver', timerId });
        };
        this.timers.set(timerId, this.clock.after(afterMs, over));
        return;
      }
      case 'stopTimer':
        this.timers.get(effect.timerId)?.();
        this.timers.delete(effect.timerId);
        return;
      case 'askMember':
        return this.playTo([this.legs.ofPerson(effect.personId)], effect.items);
      case 'takeUnanswered':
        this.askers.get(effect.callId)?.unanswered(effect.why);
        return this.forgetTake(effect.callId);
      case 'noSuchNumber':
        this.desks.get(effect.personId)?.forEach((display) => display.noSuchNumber(effect.digits));
        return;
      default:
        return unreachable(effect);
    }
  }

  /** One effect that fails does not take the others of its step with it. */
  private carryOutAlone(effect: ExchangeEffect, atMs: number): void {
    try {
      this.carryOut(effect, atMs);
    } catch (error) {
      const what = effect.type === 'forCall' ? effect.effect.type : effect.type;
      log.error({ err: error, effect: what }, 'The line could not carry out an effect');
    }
  }

  private playTo(legs: readonly (Leg | undefined)[], items: readonly PlayItem[]): void {
    unawaited(
      'what a phone that is answered hears',
      Promise.resolve(this.heard.ready(items)).then((heard) => legs.forEach((leg) => leg?.play(heard))),
    );
  }

  /** Tells whoever watches, once for all that happens in the same moment. */
  private changed(): void {
    if (this.isTelling || this.watchers.size === 0) return;
    this.isTelling = true;
    this.clock.after(tellAfterMs, () => {
      this.isTelling = false;
      for (const watcher of this.watchers) enclosed('a window that is told of the line', watcher)();
    });
  }

  private readonly cameBy = (id: CallId) => this.runs.get(id)?.cameBy ?? null;

  private readonly doors: CallDoors = {
    happen: (id, event) => this.happenTo(id, event),
    ready: (items) => this.heard.ready(items),
    log: (row) => this.callLog.put(row),
    startTake: ({ row }, of) => {
      const { id, lineId, callerNumber } = row;
      const header = { id: newId(takeId), callId: id, lineId, callerNumber, startedAt: this.now() };
      return new Take(this.takes, { ...header, isPretended: this.isPretended, of }, this.clock);
    },
    keepMessage: (run, take, spoken) =>
      this.keeping.keepSurely(async () => {
        const sound = await this.reckoning.of('spoken', take.finish());
        const message = { ...spoken, callerNumber: run.row.callerNumber, leftAt: take.header.startedAt };
        run.row.messageId = (await this.messages.keep(take.header.id, message, sound)).id;
        this.callLog.put({ ...run.row });
        enclosed('a recording that is not needed any more', () => take.discard())();
      }),
    keepRecording: (run, take) =>
      this.keeping.keepSurely(async () => {
        const { wav, lengthMs } = await this.reckoning.of('spoken', take.finish());
        run.row.recordingId = await this.audio.keep(wav);
        run.row.recordingMs = lengthMs;
        this.callLog.put({ ...run.row });
        enclosed('a recording that is not needed any more', () => take.discard())();
      }),
    finishTake: ({ id }, take, recordingId) => this.keeping.keep(() => this.finishTake(id, take, recordingId)),
    settleTake: (id, of, keep) => {
      const asker = this.askers.get(id);
      if (asker) this.keeping.keep(() => asker.settle(of, keep));
    },
    checkPin: ({ id, row }, boxId, pin) =>
      this.keeping.keep(() => this.openBox(id, boxId, row.staffCaller ?? row.callerNumber, pin)),
    markMessage: (messageId, as) =>
      this.keeping.keep(() =>
        as === 'heard' ? this.messages.mark(messageId as never, true) : this.messages.remove(messageId as never),
      ),
  };

  /** What was spoken by phone is made good; who spoke it may have hung up meanwhile. */
  private async finishTake(id: CallId, recording: Take, recordingId: number): Promise<void> {
    const asker = this.askers.get(id);
    const { wav } = await this.reckoning.of('spoken', recording.finish());
    recording.discard();
    const take = (await asker?.finish(wav)) ?? null;
    if (take && !this.isOn(id)) return asker?.settle(take.takeId, false);
    this.happenTo(id, { type: 'takeFinished', recordingId, take });
  }

  private async openBox(id: CallId, boxId: BoxId, caller: string, pin: string): Promise<void> {
    const tried = await this.pins.check(boxId, caller, pin);
    const answer: PinAnswer =
      tried.type === 'right' ? { type: 'right', messages: (await this.messages.inBox(boxId)).map(toHear) } : tried;
    this.happenTo(id, { type: 'pinChecked', answer });
  }
}

function toHear(message: { id: string; callerNumber: string; audioId: string; lengthMs: number }): MessageToHear {
  return { messageId: message.id, from: message.callerNumber, audioId: message.audioId, lengthMs: message.lengthMs };
}

/** What a caller's phone is told of a call on the line that a script is of. */
function answeredOn({ lines, lineId }: CallScript, id: CallId): AnsweredCall {
  const line = lines.find((each) => each.id === lineId);
  return { callId: id, lineName: line?.name ?? '', country: (line && countryOf(line)) ?? null };
}

/** The caller's end of a call that is made over a phone which was rung. */
function endOfLeg(leg: () => Leg | undefined): CallerEnd {
  const nothing = (): void => undefined;
  return {
    accept: nothing,
    refuse: nothing,
    play: (_, items) => leg()?.play(items),
    stop: () => leg()?.stop(),
    ringback: nothing,
    stopRingback: nothing,
    voice: (frame) => leg()?.voice(frame),
    handOver: () => ({ play: nothing, stop: nothing, voice: nothing, hangUp: nothing }),
    hangUp: () => leg()?.stop(),
  };
}
