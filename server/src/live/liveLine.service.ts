import { join } from 'node:path';
import { Inject, Injectable, type BeforeApplicationShutdown, type OnApplicationBootstrap } from '@nestjs/common';
import { lengthMs, writeMuLawWav, type Pcm } from '@locutor/core/audio';
import {
  outcomeOf,
  spokenFacts,
  type CallEffect,
  type CallScript,
  type CallState,
  type DirectTo,
  type FinishedTake,
  type MessageToHear,
  type PinAnswer,
  type PlayItem,
  type TranscriptEntry,
  type PhoneTake,
} from '@locutor/core/call';
import { countryOf, type BoxId, type PersonId } from '@locutor/core/directory';
import { instantOf } from '@locutor/core/hours';
import {
  boardOf,
  callId,
  deskView,
  emptyExchange,
  laterBy,
  newStaff,
  outsidePhoneOf,
  stepExchange,
  type Board,
  type CallId,
  type DeskView,
  type Exchange,
  type ExchangeEffect,
  type ExchangeEvent,
  type HeardItem,
} from '@locutor/core/exchange';
import type { LineId, TakeId } from '@locutor/core/line';
import { sheetSentences } from '@locutor/core/speech';
import { idKind } from '@locutor/core/id';
import { unreachable } from '@locutor/core/result';
import { AudioStore } from '../audio/audioStore';
import { BoxPinsService } from '../boxes/boxPins.service';
import type { CallEntity } from '../callLog/call.entity';
import { CallLog } from '../callLog/callLog.service';
import { Clock, type Stop } from '../clock/clock';
import { enclosed, unawaited } from '../log/enclosed';
import { log } from '../log/log';
import { MessagesService } from '../messages/messages.service';
import { PresencesService } from './presences.service';
import { conflict } from '../problems/problem';
import { newId } from '../rows/newId';
import { dataFolder } from '../storage/dataFolder';
import { storageTroubleOf } from '../storage/storageTrouble';
import { lastAlive, noteAlive } from './alive';
import { HeardService } from './heard.service';
import { LiveCallRun, type CallDoors, type CallerEar, type UntimedCallEvent } from './liveCall';
import { LiveScripts, type Reached } from './liveScripts.service';
import { readTake, removeTake, Take, takesLeft, type TakeHeader } from './take';

type Untimed<Event> = Event extends unknown ? Omit<Event, 'atMs'> : never;
export type UntimedEvent = Untimed<Exclude<ExchangeEvent, { type: 'ofCall' }>>;

/** What a desk phone hears besides what it shows. */
export interface DeskEar {
  readonly play: (items: readonly HeardItem[]) => void;
  readonly stop: () => void;
  readonly noSuchNumber: (digits: string) => void;
  readonly sendVoice: (frame: Uint8Array) => void;
}

/** Who wants a greeting recorded with a desk phone. */
export interface TakeAsker {
  readonly phaseIs: (phase: CallState['phase']['type']) => void;
  /** Makes it good; null when nothing is heard on it. */
  readonly finish: (sound: Pcm) => Promise<FinishedTake | null>;
  readonly settle: (takeId: TakeId, keep: boolean) => Promise<void>;
  readonly unanswered: (why: 'inUse' | 'noAnswer') => void;
  /** The call is over; what was to be kept is. */
  readonly over: () => void;
}

const takeId = idKind('take');
const mostOnBoard = 100;
const directoryReadAfterMs = 80;
const tellAfterMs = 15;
const speakAheadAfterMs = 3000;
/** What live parts say changes with the clock: it is spoken before callers can hear it. */
const speakAheadEveryMs = 600_000;
const shortestTakeMs = 1000;
const tickMs = 1000;
/** The clocks of a machine part by less than this as they are kept right. */
const smallestJumpMs = 1000;
const keepAgainMs = 5000;

/**
 * The stand-in for the hosted line: runs every call in real time on what is on air, through the same exchange as trials
 * and forecasts. It only keeps the clock and carries out effects; what happens is the exchange's to say.
 */
@Injectable()
export class LiveLine implements OnApplicationBootstrap, BeforeApplicationShutdown {
  private exchange: Exchange = emptyExchange;
  private world: CallScript | null = null;
  private readonly runs = new Map<CallId, LiveCallRun>();
  private readonly timers = new Map<number, Stop>();
  private readonly askers = new Map<CallId, TakeAsker>();
  private readonly desks = new Map<PersonId, Set<DeskEar>>();
  private readonly watchers = new Set<() => void>();
  private isTelling = false;
  private stopReading: Stop | null = null;
  private stopSpeaking: Stop | undefined;
  private speakingTurn = 0;
  private stopSpeakingAgain: Stop | undefined;
  private stopTicking: Stop | undefined;
  private isStopping = false;
  private readonly pauses = new Set<() => void>();
  private aheadMs = 0;
  /** The clock on the wall and the one that never jumps, at the same moment. */
  private wallAtStartMs: number;
  private readonly elapsedAtStartMs: number;
  private readonly takes: string;
  private readonly keeping = new Set<Promise<unknown>>();

  constructor(
    @Inject(dataFolder) folder: string,
    private readonly scripts: LiveScripts,
    private readonly heard: HeardService,
    private readonly callLog: CallLog,
    private readonly messages: MessagesService,
    private readonly pins: BoxPinsService,
    private readonly audio: AudioStore,
    private readonly presences: PresencesService,
    private readonly clock: Clock,
  ) {
    this.takes = join(folder, 'takes');
    this.wallAtStartMs = clock.now();
    this.elapsedAtStartMs = clock.elapsedMs();
  }

  /** Ends cleanly what a killed server left: calls as cut off, and what was recorded is kept. */
  async onApplicationBootstrap(): Promise<void> {
    await this.callLog.endCut(lastAlive(this.takes));
    for (const header of takesLeft(this.takes)) {
      // One that cannot be kept now stays for the next start, and keeps nobody from calling.
      await this.finishLeft(header).catch((err: unknown) =>
        log.error({ err }, 'A recording that was left was not kept'),
      );
    }
    await this.callLog.write();
    this.stopTicking = this.clock.every(tickMs, () => this.tick());
    const staff = new Map([...(await this.presences.all())].map(([id, presence]) => [id, { ...newStaff, presence }]));
    this.exchange = { ...emptyExchange, staff };
    this.world = (await this.scripts.world()) ?? null;
    this.speakAhead();
    this.stopSpeakingAgain = this.clock.every(speakAheadEveryMs, () => this.speakAhead());
  }

  async beforeApplicationShutdown(): Promise<void> {
    for (const run of [...this.runs.values()]) {
      run.carryOut({ type: 'note', entry: { type: 'ended', atMs: this.now(), reason: 'cut' } }, this.now());
      run.carryOut({ type: 'hangUp' }, this.now());
    }
    this.world = null;
    for (const stop of this.timers.values()) stop();
    this.stopSpeaking?.();
    this.stopSpeakingAgain?.();
    this.stopTicking?.();
    this.isStopping = true;
    for (const end of this.pauses) end();
    this.speakingTurn += 1;
    this.stopReading?.();
    for (const asker of this.askers.values()) asker.over();
    await Promise.all(this.keeping);
    await this.callLog.write();
  }

  /**
   * The line's clock, in ms since 1970: the real one, or a pretended one. It never jumps by itself; when the clock on the wall is
   * set, all that is on the line moves with it (`followWall`).
   */
  now(): number {
    return this.wallAtStartMs + Math.round(this.clock.elapsedMs() - this.elapsedAtStartMs) + this.aheadMs;
  }

  private followWall(): void {
    const jumpMs = this.clock.now() + this.aheadMs - this.now();
    if (Math.abs(jumpMs) < smallestJumpMs) return;
    this.wallAtStartMs += jumpMs;
    log.warn({ jumpMs }, 'The clock of this machine was set');
    // A pretended moment stays what it is.
    if (this.isPretended) {
      this.aheadMs -= jumpMs;
      return;
    }
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
    return this.aheadMs !== 0;
  }

  /** Sets the line's clock to a pretended moment by the clock on its wall, or back to the real one. */
  setClock(reading: string | null): void {
    if (this.exchange.calls.size > 0 || this.askers.size > 0) {
      throw conflict('The clock can be set only while nobody is on the line. Hang up the calls first.');
    }
    const zone = this.world?.lines.find(({ id }) => id === this.world?.lineId)?.timeZone ?? 'UTC';
    this.followWall();
    this.aheadMs = 0;
    if (reading) this.aheadMs = instantOf(reading, zone) - this.now();
    // Rests and offers are over with the time they were in.
    for (const stop of this.timers.values()) stop();
    this.timers.clear();
    const staff = [...this.exchange.staff].map(([id, { presence }]) => [id, { ...newStaff, presence }] as const);
    this.exchange = { ...emptyExchange, staff: new Map(staff) };
    this.speakAhead(0);
    this.changed();
  }

  /** Words are said otherwise from now on. */
  dictionaryChanged(): void {
    this.heard.forget();
    this.speakAhead();
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
          this.speakAhead();
        },
        (err: unknown) => log.error({ err }, 'The directory could not be read'),
      );
    });
  }

  /** Somebody outside rings a number. @throws Problem 409 when nothing is on air there. */
  async arrive(reached: Reached, callerNumber: string, ear: CallerEar): Promise<LiveCallRun> {
    const script = await this.scripts.of(reached.lineId);
    this.world ??= script;
    const to: DirectTo | undefined = reached.groupId ? { type: 'group', groupId: reached.groupId } : undefined;
    const run = this.begin(newId(callId), reached.lineId, reached.lineName, reached.versionId, callerNumber, null);
    run.greet(ear);
    this.happen({ type: 'callArrives', callId: run.id, callerNumber, script, ...(to ? { to } : {}) });
    return run;
  }

  /** A handset comes back to its call; undefined when that is over, or the token is another one's. */
  resume(id: CallId, token: string, ear: CallerEar): LiveCallRun | undefined {
    const run = this.runs.get(id);
    const state = this.exchange.calls.get(id)?.state;
    if (!run || !state || run.token !== token) return undefined;
    run.takeUp(ear, state, this.now());
    return run;
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
  dial(personId: PersonId, digits: string): void {
    const script = this.world;
    if (!script) return;
    const id = newId(callId);
    const extension = script.people.find((person) => person.id === personId)?.extension ?? '';
    const run = this.begin(id, script.lineId, digits, null, extension, personId);
    run.ear = this.earOfDesk(personId);
    this.happen({ type: 'staffDials', personId, digits, callId: id, script });
    if (!this.exchange.calls.has(id) && run.transcript.length === 0) this.runs.delete(id);
  }

  /** Calls a colleague while the caller somebody talks to is on hold. */
  consult(personId: PersonId, colleague: PersonId): void {
    const script = this.world;
    if (!script) return;
    const extensionOf = (id: PersonId): string => script.people.find((person) => person.id === id)?.extension ?? '';
    const id = newId(callId);
    const run = this.begin(id, script.lineId, extensionOf(colleague), null, extensionOf(personId), personId);
    run.ear = this.earOfDesk(personId);
    this.happen({ type: 'staffConsults', personId, colleague, callId: id, script });
    if (!this.exchange.calls.has(id) && run.transcript.length === 0) this.runs.delete(id);
  }

  /** Rings somebody's desk phone to record a greeting with it. Gives back how to give it up. */
  askForTake(personId: PersonId, of: PhoneTake, asker: TakeAsker): () => void {
    const script = this.world;
    if (!script) {
      asker.unanswered('noAnswer');
      return () => undefined;
    }
    const id = newId(callId);
    const extension = script.people.find((person) => person.id === personId)?.extension ?? '';
    const run = this.begin(id, script.lineId, of.name, null, extension, personId);
    run.ear = this.earOfDesk(personId);
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

  /** What an outside phone that is rung does, by somebody who stands in for it. */
  actOutside(id: CallId, act: 'answer' | 'busy' | 'accept' | 'hangUp'): void {
    const call = this.exchange.calls.get(id);
    // Whoever has a desk answers there.
    if (!call || !outsidePhoneOf(call)) return;
    const { phase } = call.state;
    if (act === 'accept') return this.happenTo(id, { type: 'staffPressed', key: '1' });
    if (act === 'hangUp') return this.happenTo(id, { type: 'staffHungUp' });
    if (phase.type !== 'ringing') return;
    const { ringId } = phase;
    this.happenTo(id, act === 'answer' ? { type: 'staffAnswered', ringId } : { type: 'staffBusy', ringId });
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

  connectDesk(personId: PersonId, ear: DeskEar): () => void {
    const ears = this.desks.get(personId) ?? new Set();
    this.desks.set(personId, ears.add(ear));
    return () => {
      ears.delete(ear);
      if (ears.size === 0) this.desks.delete(personId);
    };
  }

  hasDesk(personId: PersonId): boolean {
    return this.desks.has(personId);
  }

  /** What the caller says goes to whoever talks to them. */
  voiceOfCaller(id: CallId, frame: Uint8Array): void {
    this.runs.get(id)?.hearCaller(frame);
    const call = this.exchange.calls.get(id);
    if (call?.state.phase.type === 'connected' && call.talkingTo) this.toDesk(call.talkingTo, frame);
  }

  /** What somebody of the staff says goes to their caller, to whom they called, or to a speaker group. */
  voiceOfStaff(personId: PersonId, frame: Uint8Array): void {
    const { doing } = this.exchange.staff.get(personId) ?? newStaff;
    // Who takes a call meanwhile does not hear the announcement any more.
    const isIdle = (id: PersonId): boolean => (this.exchange.staff.get(id) ?? newStaff).doing.type === 'nothing';
    if (doing.type === 'speaking') return doing.to.filter(isIdle).forEach((each) => this.toDesk(each, frame));
    if (doing.type === 'calling') return this.voiceOfCaller(doing.callId, frame);
    if (doing.type !== 'talking') return;
    if (this.exchange.calls.get(doing.callId)?.state.phase.type !== 'connected') return;
    this.runs.get(doing.callId)?.hearStaff(frame);
  }

  private toDesk(personId: PersonId, frame: Uint8Array): void {
    for (const ear of this.desks.get(personId) ?? []) ear.sendVoice(frame);
  }

  private begin(
    id: CallId,
    lineId: LineId,
    lineName: string,
    versionId: string | null,
    callerNumber: string,
    staffCaller: PersonId | null,
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
    const line = this.world?.lines.find((each) => each.id === lineId);
    const country = (line && countryOf(line)) ?? null;
    const run = new LiveCallRun(row, { name: lineName, country }, this.doors, this.clock);
    this.runs.set(id, run);
    return run;
  }

  /** What goes wrong in one step must not end everybody's calls. */
  private step(eventAt: (atMs: number) => ExchangeEvent): void {
    this.followWall();
    const event = eventAt(this.now());
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
    if (asker) unawaited('the end of a recording by phone', Promise.all(this.keeping).then(asker.over));
  }

  private carryOut(effect: ExchangeEffect, atMs: number): void {
    switch (effect.type) {
      case 'forCall':
        if (effect.effect.type === 'askToAccept') this.askToAccept(effect.callId, effect.effect);
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
        return this.playAtDesk(effect.personId, effect.items);
      case 'takeUnanswered':
        this.askers.get(effect.callId)?.unanswered(effect.why);
        return this.forgetTake(effect.callId);
      case 'noSuchNumber':
        this.desks.get(effect.personId)?.forEach((ear) => ear.noSuchNumber(effect.digits));
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

  /** Whoever answered an outside phone of theirs is told to press 1; the phone on their desk stands for it. */
  private askToAccept(id: CallId, { ringId, items }: Extract<CallEffect, { type: 'askToAccept' }>): void {
    for (const [personId, { doing }] of this.exchange.staff) {
      if (doing.type !== 'rung' || doing.by.type !== 'call') continue;
      if (doing.by.callId === id && doing.by.ringId === ringId) this.playAtDesk(personId, items);
    }
  }

  private playAtDesk(personId: PersonId, items: readonly PlayItem[]): void {
    unawaited(
      'what a phone that is answered hears',
      Promise.resolve(this.heard.ready(items)).then((heard) =>
        this.desks.get(personId)?.forEach((ear) => ear.play(heard)),
      ),
    );
  }

  /** Has what is on air spoken before anybody calls, so that the first one does not wait for it. */
  private speakAhead(afterMs = speakAheadAfterMs): void {
    this.stopSpeaking?.();
    this.stopSpeaking = this.clock.after(afterMs, () => this.speakNow());
  }

  /** One sentence after the other: what a caller is to hear meanwhile waits for one at most. */
  private async speakNow(): Promise<void> {
    const turn = (this.speakingTurn += 1);
    const { world } = this;
    for (const line of world?.lines ?? []) {
      const { attendant } = line;
      for (const atMs of [this.now(), this.now() + speakAheadEveryMs]) {
        const facts = spokenFacts(world as CallScript, line, atMs);
        for (const sheet of attendant.sheets) {
          for (const sentence of sheetSentences(sheet, attendant.voice, facts)) {
            if (turn !== this.speakingTurn) return;
            await this.heard.ready([{ type: 'sentence', sentence }]);
          }
        }
      }
    }
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

  /** What a colleague who calls hears on the phone on their desk. */
  private earOfDesk(personId: PersonId): CallerEar {
    return {
      send: (message) => {
        if (message.type === 'play') this.desks.get(personId)?.forEach((ear) => ear.play(message.items));
        if (message.type === 'stop' || message.type === 'ended') this.desks.get(personId)?.forEach((ear) => ear.stop());
      },
      sendVoice: (frame) => this.toDesk(personId, frame),
    };
  }

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
      this.keepSurely(async () => {
        const sound = take.finish();
        const message = { ...spoken, callerNumber: run.row.callerNumber, leftAt: take.header.startedAt };
        run.row.messageId = (await this.messages.keep(take.header.id, message, sound)).id;
        this.callLog.put({ ...run.row });
        enclosed('a recording that is not needed any more', () => take.discard())();
      }),
    keepRecording: (run, take) =>
      this.keepSurely(async () => {
        const sound = take.finish();
        run.row.recordingId = await this.audio.keep(writeMuLawWav(sound));
        run.row.recordingMs = lengthMs(sound);
        this.callLog.put({ ...run.row });
        enclosed('a recording that is not needed any more', () => take.discard())();
      }),
    finishTake: ({ id }, take, recordingId) => this.keep(() => this.finishTake(id, take, recordingId)),
    settleTake: (id, of, keep) => {
      const asker = this.askers.get(id);
      if (asker) this.keep(() => asker.settle(of, keep));
    },
    checkPin: ({ id, row }, boxId, pin) =>
      this.keep(() => this.openBox(id, boxId, row.staffCaller ?? row.callerNumber, pin)),
    markMessage: (messageId, as) =>
      this.keep(() =>
        as === 'heard' ? this.messages.mark(messageId as never, true) : this.messages.remove(messageId as never),
      ),
  };

  /** What was spoken by phone is made good; who spoke it may have hung up meanwhile. */
  private async finishTake(id: CallId, recording: Take, recordingId: number): Promise<void> {
    const asker = this.askers.get(id);
    const sound = recording.finish();
    recording.discard();
    const take = (await asker?.finish(sound)) ?? null;
    if (take && !this.isOn(id)) return asker?.settle(take.takeId, false);
    this.happenTo(id, { type: 'takeFinished', recordingId, take });
  }

  private async openBox(id: CallId, boxId: BoxId, caller: string, pin: string): Promise<void> {
    const tried = await this.pins.check(boxId, caller, pin);
    const answer: PinAnswer =
      tried.type === 'right' ? { type: 'right', messages: (await this.messages.inBox(boxId)).map(toHear) } : tried;
    this.happenTo(id, { type: 'pinChecked', answer });
  }

  /** Work beside the calls that must be done before the server ends. */
  private keep(work: () => Promise<unknown>): void {
    const done = work()
      .catch((error: unknown) => log.error({ err: error }, 'Something of a call could not be kept'))
      .finally(() => this.keeping.delete(done));
    this.keeping.add(done);
  }

  /** The same for what must not be lost: while the disk or the database does not let it be kept, it is tried again. */
  private keepSurely(work: () => Promise<unknown>): void {
    this.keep(async () => {
      for (;;) {
        try {
          return await work();
        } catch (err) {
          if (!storageTroubleOf(err) || this.isStopping) throw err;
          log.error({ err }, 'A message or recording cannot be kept now; it is tried again');
          await this.pause(keepAgainMs);
        }
      }
    });
  }

  /** Is over at once when the server stops. */
  private pause(ms: number): Promise<void> {
    return new Promise((resolve) => {
      const end = (): void => {
        stop();
        this.pauses.delete(end);
        resolve();
      };
      const stop = this.clock.after(ms, end);
      this.pauses.add(end);
    });
  }

  private async finishLeft(header: TakeHeader): Promise<void> {
    const sound = readTake(this.takes, header.id);
    const call = await this.callLog.get(header.callId);
    if (lengthMs(sound) >= shortestTakeMs) {
      if (header.of.type === 'message') {
        const { boxId, tell } = header.of;
        const { callerNumber, startedAt } = header;
        const kept = await this.messages.keep(
          header.id,
          { boxId, tell, callerNumber, leftAt: startedAt, words: '' },
          sound,
        );
        if (call) this.callLog.put(withMessage(call, kept.id, header));
      } else if (header.of.type === 'call' && call) {
        const recordingId = await this.audio.keep(writeMuLawWav(sound));
        this.callLog.put({ ...call, recordingId, recordingMs: lengthMs(sound) });
      }
    }
    removeTake(this.takes, header.id);
  }
}

function toHear(message: { id: string; callerNumber: string; audioId: string; lengthMs: number }): MessageToHear {
  return { messageId: message.id, from: message.callerNumber, audioId: message.audioId, lengthMs: message.lengthMs };
}

/** A call that was cut while a message was spoken: the message was kept, and that is what came of the call. */
function withMessage(call: CallEntity, messageId: string, { of, startedAt }: TakeHeader): CallEntity {
  if (of.type !== 'message') return call;
  const cut = call.transcript.findLastIndex(({ type }) => type === 'ended');
  const at = cut < 0 ? call.transcript.length : cut;
  const atMs = call.transcript[at]?.atMs ?? startedAt;
  const kept: TranscriptEntry = { type: 'message', atMs, boxId: of.boxId, lengthMs: atMs - startedAt, kept: true };
  const transcript = [...call.transcript.slice(0, at), kept, ...call.transcript.slice(at)];
  return { ...call, messageId: messageId as CallEntity['messageId'], transcript, outcome: outcomeOf(transcript) };
}
