import type { RungPhone, TranscriptEntry } from '../call';
import type { ContactId, E164, GroupId, PersonId, QueueId } from '../directory';

/** Who is rung: somebody of the staff, a contact, or a number that is neither's. */
export type Who = PersonId | ContactId | E164;

/** How somebody's phone stopped to ring; `stopped` is when another answered, or the caller hung up. */
export const ringEnds = ['answered', 'declined', 'letRing', 'stopped'] as const;
export type RingEnd = (typeof ringEnds)[number];

/** One time that somebody was rung for a call, on as many of their phones as it took. */
export interface Ring {
  readonly who: Who;
  /** The group or queue that rang them; null where they were rung themselves. */
  readonly through: GroupId | QueueId | null;
  readonly atMs: number;
  /** How long it rang, in ms. */
  readonly forMs: number;
  readonly end: RingEnd;
  /** How long they talked, time on hold included, in ms; 0 where they did not answer. */
  readonly talkMs: number;
  readonly holdMs: number;
}

/** A call out to an outside phone that was answered there. */
export interface OutsideCall {
  readonly number: E164;
  readonly atMs: number;
  /** How long it was connected, in ms. */
  readonly forMs: number;
}

export interface Rung {
  readonly rings: readonly Ring[];
  readonly outside: readonly OutsideCall[];
}

type Open = { -readonly [Name in keyof Ring]: Ring[Name] } & { isOpen: boolean };

function whoOf(phone: RungPhone): Who {
  return phone.type === 'person' ? phone.personId : (phone.contactId ?? phone.number);
}

/** Who was rung for a call, in order, and the calls out that came of it. */
export function rungIn(transcript: readonly TranscriptEntry[]): Rung {
  const reading = new Reading();
  for (const entry of transcript) reading.take(entry);
  return reading.result();
}

class Reading {
  private readonly rings: Open[] = [];
  private readonly outside: OutsideCall[] = [];
  /** Through which group or queue phones ring now. */
  private through: GroupId | QueueId | null = null;
  private talk: {
    readonly ring: Open;
    readonly number: E164 | null;
    readonly sinceMs: number;
    held: number | null;
  } | null = null;

  take(entry: TranscriptEntry): void {
    const { atMs } = entry;
    switch (entry.type) {
      case 'ringingGroup':
        this.stopAll(atMs, 'letRing');
        this.through = entry.groupId;
        return;
      case 'queued':
        this.stopAll(atMs, 'letRing');
        this.through = entry.queueId;
        return;
      case 'ringing':
        return this.ring(entry.phone, atMs);
      case 'rang':
        return this.stop(entry.phone, atMs, entry.why);
      case 'answered':
        return this.answer(entry.phone, atMs);
      case 'notAnswered':
        this.stopAll(atMs, entry.why === 'busy' ? 'declined' : 'letRing');
        this.through = null;
        return;
      case 'leftQueue':
        // Who answered is told next.
        if (entry.why === 'answered') return;
        this.stopAll(atMs, 'stopped');
        this.through = null;
        return;
      case 'held':
        return this.hold(entry.on, atMs);
      case 'transferred':
      case 'ended':
        this.hangUp(atMs);
        this.stopAll(atMs, 'stopped');
        this.through = null;
        return;
      default:
        return;
    }
  }

  result(): Rung {
    return { rings: this.rings.map(ringOf), outside: this.outside };
  }

  private ring(phone: RungPhone, atMs: number): void {
    const who = whoOf(phone);
    const same = this.rings.findLast((ring) => ring.isOpen && ring.who === who);
    if (same && same.through === this.through) return;
    // One after the other: whoever rang before has let it ring.
    if (this.through === null) this.stopAll(atMs, 'letRing');
    const none = { forMs: 0, talkMs: 0, holdMs: 0 };
    this.rings.push({ who, through: this.through, atMs, ...none, end: 'stopped', isOpen: true });
  }

  private answer(phone: RungPhone, atMs: number): void {
    this.hangUp(atMs);
    const who = whoOf(phone);
    let ring = this.rings.findLast((each) => each.isOpen && each.who === who);
    if (!ring) {
      // A member picked the call, or the exchange rang them without a word.
      ring = { ...{ who, through: this.through, atMs, forMs: 0, talkMs: 0, holdMs: 0 }, end: 'answered', isOpen: true };
      this.rings.push(ring);
    }
    close(ring, atMs, 'answered');
    this.stopAll(atMs, 'stopped');
    this.talk = { ring, number: phone.number, sinceMs: atMs, held: null };
    this.through = null;
  }

  private hold(on: boolean, atMs: number): void {
    const { talk } = this;
    if (!talk) return;
    if (on) talk.held ??= atMs;
    else if (talk.held !== null) {
      talk.ring.holdMs += atMs - talk.held;
      talk.held = null;
    }
  }

  private hangUp(atMs: number): void {
    const { talk } = this;
    if (!talk) return;
    this.hold(false, atMs);
    talk.ring.talkMs += Math.max(0, atMs - talk.sinceMs);
    if (talk.number)
      this.outside.push({ number: talk.number, atMs: talk.sinceMs, forMs: Math.max(0, atMs - talk.sinceMs) });
    this.talk = null;
  }

  private stop(phone: RungPhone, atMs: number, end: RingEnd): void {
    const ring = this.rings.findLast((each) => each.isOpen && each.who === whoOf(phone));
    if (ring) close(ring, atMs, end);
  }

  private stopAll(atMs: number, end: RingEnd): void {
    for (const ring of this.rings) if (ring.isOpen) close(ring, atMs, end);
  }
}

function ringOf({ who, through, atMs, forMs, end, talkMs, holdMs }: Open): Ring {
  return { who, through, atMs, forMs, end, talkMs, holdMs };
}

function close(ring: Open, atMs: number, end: RingEnd): void {
  ring.forMs = Math.max(0, atMs - ring.atMs);
  ring.end = end;
  ring.isOpen = false;
}
