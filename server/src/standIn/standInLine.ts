import { Injectable } from '@nestjs/common';
import { endsQuietly } from '@locutor/core/call';
import type { PersonId } from '@locutor/core/directory';
import type { BoardSays, CallId, HeardItem, LegActs, WantedLeg } from '@locutor/core/exchange';
import { Clock } from '../clock/clock';
import type { CallerEnd, IncomingCall, Leg, LegDoors, Line, LineDoors } from '../live/line';
import type { CallDisplay, Shown } from '../live/liveCall';
import { HandsetCall, type HandsetPage } from './handsetCall';

/** A page that plays what a phone of the stand-in hears. */
export interface PhoneEar {
  readonly play: (items: readonly HeardItem[]) => void;
  readonly stop: () => void;
  readonly sendVoice: (frame: Uint8Array) => void;
}

/** A phone on a desk, which also makes calls. */
export interface DeskEar extends PhoneEar {
  readonly tone: (tone: 'ringback' | 'busy' | null, country: string | null) => void;
}

/** An outside phone: somebody at the switchboard stands in for it. */
interface OutsidePhone {
  readonly legId: number;
  readonly doors: LegDoors;
  /** Who answered it, and hears and speaks on it. */
  ear: PhoneEar | null;
}

const actsOutside: Readonly<Record<BoardSays['act'], LegActs>> = {
  answer: { type: 'answered' },
  busy: { type: 'unreached', why: 'busy' },
  noSuchNumber: { type: 'unreached', why: 'noSuchNumber' },
  failed: { type: 'unreached', why: 'failed' },
  accept: { type: 'pressed', key: '1' },
  hangUp: { type: 'hungUp' },
};

/**
 * The stand-in for a hosted telephone line: callers have handsets in the browser, colleagues desk phones, and whoever looks
 * at the switchboard stands in for outside phones.
 */
@Injectable()
export class StandInLine implements Line {
  private doors: LineDoors | null = null;
  private readonly calls = new Map<CallId, HandsetCall>();
  private readonly desks = new Map<PersonId, Set<DeskEar>>();
  private readonly outside = new Map<CallId, OutsidePhone>();

  constructor(private readonly clock: Clock) {}

  start(doors: LineDoors): void {
    this.doors = doors;
  }

  stop(): void {
    this.doors = null;
  }

  /** The phone on a desk stands for the outside phones of whoever sits there, too. */
  open(wanted: WantedLeg, doors: LegDoors): Leg {
    if (wanted.phone.type === 'outside') return this.ringOutside(wanted, doors);
    const ear = this.deskOf(wanted.phone.personId);
    return { play: ear.play, stop: ear.stop, voice: ear.sendVoice, hangUp: ear.stop };
  }

  /** A handset dials. */
  dial(
    call: IncomingCall,
    page: HandsetPage,
    show: (callId: CallId, display: CallDisplay) => Shown | undefined,
  ): HandsetCall | undefined {
    if (!this.doors) return undefined;
    const made = new HandsetCall(
      page,
      {
        show,
        ring: (to, doors) => this.ringOutside(to, doors),
        answered: (answered) => answered.id && this.calls.set(answered.id, answered),
        over: ({ id }) => id && this.calls.delete(id),
      },
      this.clock,
    );
    made.connect(this.doors.arrives(call, made));
    return made;
  }

  /** The call of a handset that comes back to it; undefined when that is over, or the token is another one's. */
  callOf(id: CallId, token: string): HandsetCall | undefined {
    const call = this.calls.get(id);
    return call?.token === token ? call : undefined;
  }

  connectDesk(personId: PersonId, ear: DeskEar): () => void {
    const ears = this.desks.get(personId) ?? new Set();
    this.desks.set(personId, ears.add(ear));
    return () => {
      ears.delete(ear);
      if (ears.size === 0) this.desks.delete(personId);
    };
  }

  /** The phones on somebody's desk, which all do the same. */
  private deskOf(personId: PersonId): DeskEar {
    const each = (what: (ear: DeskEar) => void): void => this.desks.get(personId)?.forEach(what);
    return {
      play: (items) => each((ear) => ear.play(items)),
      stop: () => each((ear) => ear.stop()),
      sendVoice: (frame) => each((ear) => ear.sendVoice(frame)),
      tone: (tone, country) => each((ear) => ear.tone(tone, country)),
    };
  }

  /** The caller's end of a call that is made with the phone on a desk. */
  endAtDesk(personId: PersonId): CallerEnd {
    const desk = this.deskOf(personId);
    const nothing = (): void => undefined;
    let country: string | null = null;
    return {
      accept: (call) => (country = call.country),
      refuse: nothing,
      play: (_, items) => desk.play(items),
      stop: desk.stop,
      ringback: (items) => (items.length > 0 ? desk.play(items) : desk.tone('ringback', country)),
      stopRingback: () => desk.tone(null, country),
      voice: desk.sendVoice,
      handOver: (to, doors) => this.ringOutside(to, doors),
      hangUp: (reason) => {
        desk.stop();
        desk.tone(endsQuietly(reason) ? null : 'busy', country);
      },
    };
  }

  /** What an outside phone does, by somebody at the switchboard; who answers it, hears and speaks on it. */
  actOutside(callId: CallId, act: BoardSays['act'], ear: PhoneEar): void {
    const phone = this.outside.get(callId);
    if (!phone) return;
    if (act === 'answer') phone.ear = ear;
    phone.doors.happens(actsOutside[act]);
  }

  voiceOutside(ear: PhoneEar, frame: Uint8Array): void {
    for (const phone of this.outside.values()) if (phone.ear === ear) phone.doors.voice(frame);
  }

  /** Whoever stood in for outside phones is gone; somebody else may answer for them. */
  leaveOutside(ear: PhoneEar): void {
    for (const phone of this.outside.values()) if (phone.ear === ear) phone.ear = null;
  }

  private ringOutside({ id: legId, callId }: WantedLeg, doors: LegDoors): Leg {
    const phone: OutsidePhone = { legId, doors, ear: null };
    if (callId) this.outside.set(callId, phone);
    return {
      play: (items) => phone.ear?.play(items),
      stop: () => phone.ear?.stop(),
      voice: (frame) => phone.ear?.sendVoice(frame),
      hangUp: () => {
        phone.ear?.stop();
        if (callId && this.outside.get(callId)?.legId === legId) this.outside.delete(callId);
      },
    };
  }
}
