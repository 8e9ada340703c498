import { randomBytes } from 'node:crypto';
import type { EndReason, TranscriptEntry } from '@locutor/core/call';
import type { CallId, HandsetHears, HeardItem, WantedLeg } from '@locutor/core/exchange';
import type { Clock, Stop } from '../clock/clock';
import type { AnsweredCall, CallerDoors, CallerEnd, Leg, LegDoors, Refusal } from '../live/line';
import type { CallDisplay, Shown, ShownState } from '../live/liveCall';

/** How long a handset that is gone may take to come back, as after its page was loaded again. */
const graceMs = 8000;

/** The page that a handset is in. */
export interface HandsetPage {
  readonly send: (message: HandsetHears) => void;
  readonly sendVoice: (frame: Uint8Array) => void;
}

interface Doors {
  /** Shows the call on its handset. */
  readonly show: (callId: CallId, display: CallDisplay) => Shown | undefined;
  /** Rings the outside phone that the call is handed over to. */
  readonly ring: (to: WantedLeg, doors: LegDoors) => Leg;
  /** The call can be found by its id from now on, or no longer. */
  readonly answered: (call: HandsetCall) => void;
  readonly over: (call: HandsetCall) => void;
}

/** A caller on a handset. It outlives the page it began in: another one that knows its token takes it up. */
export class HandsetCall implements CallerEnd, CallDisplay {
  readonly token = randomBytes(18).toString('base64url');
  status: 'dialling' | 'on' | 'over' = 'dialling';
  private call: AnsweredCall | null = null;
  private line: CallerDoors | null = null;
  private stopGrace: Stop = () => undefined;
  private playing: { readonly playId: number; readonly items: readonly HeardItem[]; readonly beganMs: number } | null =
    null;
  private ringing: readonly HeardItem[] | null = null;
  /** Where in the transcript the sentences begin that the newest play says. */
  private saying = { playId: -1, first: 0 };

  constructor(
    private page: HandsetPage | null,
    private readonly doors: Doors,
    private readonly clock: Clock,
  ) {}

  get id(): CallId | null {
    return this.call?.callId ?? null;
  }

  /** Whether it is in this page. */
  isIn(page: HandsetPage): boolean {
    return this.page === page;
  }

  /** What tells the line of the caller. */
  connect(line: CallerDoors): void {
    this.line = line;
  }

  get caller(): CallerDoors | null {
    return this.line;
  }

  /** A page takes the call up: it is told everything so far, and hears what plays from where it is. */
  takeUp(page: HandsetPage): void {
    this.stopGrace();
    this.page = page;
    const shown = this.call && this.doors.show(this.call.callId, this);
    if (!shown) return;
    this.greet(shown.unheard);
    if (shown.transcript.length > 0) page.send({ type: 'entries', entries: shown.transcript });
    page.send({ type: 'state', ...shown.state });
    if (this.ringing) page.send({ type: 'ringback', items: this.ringing });
    if (this.playing) this.send(this.playing, Math.round(this.clock.elapsedMs() - this.playing.beganMs));
  }

  /** The page is gone: unless one takes the call up in time, the caller has hung up. */
  lose(): void {
    this.page = null;
    this.stopGrace();
    this.stopGrace = this.clock.after(graceMs, () => this.line?.hungUp());
  }

  accept(call: AnsweredCall): void {
    this.status = 'on';
    this.call = call;
    this.doors.answered(this);
    this.doors.show(call.callId, this);
    this.greet([]);
  }

  refuse(_why: Refusal, says: string): void {
    this.status = 'over';
    this.stopGrace();
    this.page?.send({ type: 'refused', says });
  }

  play(playId: number, items: readonly HeardItem[]): void {
    this.playing = { playId, items, beganMs: this.clock.elapsedMs() };
    this.send(this.playing, 0);
  }

  stop(playId: number): void {
    if (this.playing?.playId === playId) this.playing = null;
    this.page?.send({ type: 'stop', playId });
  }

  ringback(items: readonly HeardItem[]): void {
    this.ringing = items;
    this.page?.send({ type: 'ringback', items });
  }

  stopRingback(): void {
    this.ringing = null;
    this.page?.send({ type: 'stopRingback' });
  }

  voice(frame: Uint8Array): void {
    this.page?.sendVoice(frame);
  }

  handOver(to: WantedLeg, doors: LegDoors): Leg {
    return this.doors.ring(to, doors);
  }

  hangUp(reason: EndReason): void {
    this.status = 'over';
    this.stopGrace();
    this.playing = null;
    this.ringing = null;
    this.doors.over(this);
    this.page?.send({ type: 'ended', reason });
  }

  entries(entries: readonly TranscriptEntry[]): void {
    this.page?.send({ type: 'entries', entries });
  }

  state(state: ShownState): void {
    this.page?.send({ type: 'state', ...state });
  }

  says(playId: number, first: number): void {
    this.saying = { playId, first };
  }

  recording(on: boolean): void {
    this.page?.send({ type: 'recording', on });
  }

  private greet(unheard: readonly number[]): void {
    const { call } = this;
    if (call) this.page?.send({ type: 'call', ...call, token: this.token, unheard });
  }

  private send({ playId, items }: { readonly playId: number; readonly items: readonly HeardItem[] }, fromMs: number) {
    const first = this.saying.playId === playId ? this.saying.first : 0;
    this.page?.send({ type: 'play', playId, items, first, fromMs });
  }
}
