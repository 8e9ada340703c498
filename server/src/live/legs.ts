import type { PersonId } from '@locutor/core/directory';
import { wantedLegs, type Exchange, type LegActs, type WantedLeg } from '@locutor/core/exchange';
import { enclosed } from '../log/enclosed';
import type { Leg, LegDoors } from './line';

interface OpenLeg {
  wanted: WantedLeg;
  readonly leg: Leg;
}

interface Opener {
  readonly open: (wanted: WantedLeg, doors: LegDoors) => Leg;
  readonly happens: (wanted: WantedLeg, act: LegActs) => void;
  readonly voice: (wanted: WantedLeg, frame: Uint8Array) => void;
}

/** Keeps the phones of a line as they are wanted: rings those that are and are not open, hangs up the others. */
export class Legs {
  private readonly opened = new Map<number, OpenLeg>();

  constructor(private readonly opener: Opener) {}

  /** Follows what the exchange wants now. */
  follow(exchange: Exchange): void {
    const wanted = new Map(wantedLegs(exchange).map((leg) => [leg.id, leg]));
    for (const [id, { leg }] of this.opened) {
      if (wanted.has(id)) continue;
      this.opened.delete(id);
      enclosed('a phone that is hung up', () => leg.hangUp())();
    }
    for (const [id, leg] of wanted) {
      const open = this.opened.get(id);
      if (open) open.wanted = leg;
      else enclosed('a phone that is rung', () => this.open(leg))();
    }
  }

  /** The phone on which somebody of the staff is rung or talks; undefined while there is none. */
  ofPerson(personId: PersonId): Leg | undefined {
    for (const { wanted, leg } of this.opened.values()) {
      if (wanted.phone.type === 'person' && wanted.phone.personId === personId) return leg;
    }
    return undefined;
  }

  withId(id: number): Leg | undefined {
    return this.opened.get(id)?.leg;
  }

  /** Those that answered and are asked to press 1 for a call. */
  askedFor(callId: WantedLeg['callId']): readonly Leg[] {
    return [...this.opened.values()]
      .filter(({ wanted }) => wanted.callId === callId && wanted.does === 'isAsked')
      .map(({ leg }) => leg);
  }

  private open(wanted: WantedLeg): void {
    const now = (): WantedLeg => this.opened.get(wanted.id)?.wanted ?? wanted;
    let isOpening = true;
    const doors: LegDoors = {
      // A line may know at once that it does not get through: that is told once this step is over, when the phone is open.
      happens: (act) => {
        if (this.opened.has(wanted.id)) this.opener.happens(now(), act);
        else if (isOpening) queueMicrotask(enclosed('a phone that answers at once', () => doors.happens(act)));
      },
      voice: (frame) => this.opened.has(wanted.id) && this.opener.voice(now(), frame),
    };
    const leg = this.opener.open(wanted, doors);
    isOpening = false;
    this.opened.set(wanted.id, { wanted, leg });
  }
}
