import type { RungPhone, TranscriptEntry } from '@locutor/core/call';
import { contactId, groupId, personId, queueId, type E164, type GroupId, type QueueId } from '@locutor/core/directory';
import { callId } from '@locutor/core/exchange';
import { sheetId, type Key, type LineId, type SheetId } from '@locutor/core/line';
import type { CallEntity } from '../callLog/call.entity';

/** What was meant by a call as it was made up: the same told without looking at its transcript. */
export interface Meant {
  readonly id: string;
  readonly lineId: LineId;
  readonly zone: string;
  readonly startedAt: number;
  readonly counts: boolean;
  readonly outcome: string;
  readonly reachedAfterMs: number | null;
  readonly way: string | null;
  readonly lengthMs: number;
  readonly visits: readonly { readonly sheetId: SheetId; readonly choice: string; readonly second: number | null }[];
  readonly rings: readonly {
    readonly who: string;
    readonly end: string;
    readonly talkMs: number;
    readonly holdMs: number;
  }[];
  readonly outside: readonly { readonly number: E164; readonly forMs: number }[];
}

interface OddLine {
  readonly lineId: LineId;
  readonly zone: string;
}

/** Nobody of these is in the directory: they were deleted long ago. */
const people = ['ada', 'bo', 'cy'].map((name) => personId.create(name));
const [first, second] = [groupId.create('g'), queueId.create('q')];
const sheets = ['welcome', 'more', 'gone'].map((name) => sheetId.create(name));
const outsidePhones: readonly { readonly phone: RungPhone; readonly who: string }[] = [
  { phone: { type: 'outside', contactId: null, number: '+12075550161' as E164 }, who: '+12075550161' },
  {
    phone: { type: 'outside', contactId: contactId.create('tug'), number: '+12075550162' as E164 },
    who: 'contact:tug',
  },
];

/** Writes a call's transcript, and beside it what is meant by it. */
class OddCall {
  readonly transcript: TranscriptEntry[];
  private readonly visits: Meant['visits'][number][] = [];
  private readonly rings: { who: string; end: string; talkMs: number; holdMs: number }[] = [];
  private readonly outside: Meant['outside'][number][] = [];
  private nowMs: number;
  private reachedAfterMs: number | null = null;
  private way: string | null = null;
  private answeredBy: string | null = null;

  constructor(
    private readonly name: string,
    private readonly line: OddLine,
    private readonly startedAt: number,
    private readonly chance: () => number,
  ) {
    this.nowMs = startedAt;
    this.transcript = [
      { type: 'called', atMs: startedAt, callerNumber: '', lineId: line.lineId, answer: { type: 'otherwise' } },
    ];
  }

  one<Of>(...of: readonly Of[]): Of {
    return of[Math.floor(this.chance() * of.length)] as Of;
  }

  private pass(mostMs: number): number {
    const ms = Math.round(this.chance() * mostMs);
    this.nowMs += ms;
    return ms;
  }

  private tell(entry: object): void {
    this.transcript.push({ ...entry, atMs: this.nowMs } as TranscriptEntry);
  }

  /** The caller comes to a sheet and chooses a key there, perhaps after wrong ones. */
  menu(choice: Key | 'hungUp'): void {
    const at = this.one(...sheets);
    this.tell({ type: 'sheet', sheetId: at });
    let rounds = 0;
    for (;;) {
      this.pass(900);
      const saidMs = this.nowMs;
      this.tell({ type: 'said', text: 'Hello.', source: { type: 'words', sheetId: at, part: 'openingWords' } });
      this.pass(25_000);
      if (this.chance() > 0.25) {
        const seconds = Math.floor((this.nowMs - saidMs) / 1000);
        this.visits.push({ sheetId: at, choice, second: rounds === 0 ? seconds : null });
        break;
      }
      if (this.chance() > 0.5) this.tell({ type: 'key', key: '9', use: 'wrong' });
      else this.tell({ type: 'silence', sheetId: at, round: rounds + 1 });
      rounds += 1;
    }
    if (choice !== 'hungUp') this.tell({ type: 'key', key: choice, use: 'option' });
  }

  /** Somebody is rung by themselves, who lets it ring. */
  letRing(): void {
    const who = this.one(...people);
    this.tell({ type: 'ringing', phone: { type: 'person', personId: who, number: null }, forMs: 18_000 });
    this.pass(18_000);
    this.tell({ type: 'notAnswered', target: { type: 'person', personId: who }, why: 'noAnswer' });
    this.rings.push({ who, end: 'letRing', talkMs: 0, holdMs: 0 });
  }

  /** The line is cut, or the caller hangs up, while a phone rings. */
  ringStopped(): void {
    const who = this.one(...people);
    this.tell({ type: 'ringing', phone: { type: 'person', personId: who, number: null }, forMs: 18_000 });
    this.pass(18_000);
    this.rings.push({ who, end: 'stopped', talkMs: 0, holdMs: 0 });
  }

  /** Two members of a group ring, one of whom may decline; the other answers. */
  groupAnswers(): void {
    const [one, other] = [people[0], people[1]].map(
      (who) => ({ type: 'person', personId: who, number: null }) as RungPhone,
    );
    const isDeclined = this.chance() > 0.5;
    this.tell({ type: 'ringingGroup', groupId: first });
    this.tell({ type: 'ringing', phone: one, forMs: 20_000 });
    this.tell({ type: 'ringing', phone: other, forMs: 20_000 });
    this.pass(9000);
    if (isDeclined) this.tell({ type: 'rang', phone: one, forMs: 9000, why: 'declined' });
    this.pass(4000);
    this.answer(other as RungPhone, String(people[1]), first);
    this.rings.push({ who: String(people[0]), end: isDeclined ? 'declined' : 'stopped', talkMs: 0, holdMs: 0 });
  }

  /** They wait in a queue, until a member answers, or they hang up. */
  queue(isAnswered: boolean): void {
    const who = this.one(...people);
    const phone: RungPhone = { type: 'person', personId: who, number: null };
    this.tell({ type: 'queued', queueId: second });
    const waited = this.pass(90_000);
    if (!isAnswered) {
      this.tell({ type: 'leftQueue', queueId: second, why: 'hungUp', waitedMs: waited });
      return;
    }
    this.tell({ type: 'ringing', phone, forMs: 20_000 });
    const rang = this.pass(9000);
    this.tell({ type: 'leftQueue', queueId: second, why: 'answered', waitedMs: waited + rang });
    this.answer(phone, who, second);
  }

  /** Somebody is rung by themselves, and answers. */
  personAnswers(): void {
    const away = this.chance() > 0.7;
    const own = this.one(...people);
    const { phone, who } = away
      ? this.one(...outsidePhones)
      : { phone: { type: 'person', personId: own, number: null } as RungPhone, who: String(own) };
    this.tell({ type: 'ringing', phone, forMs: 20_000 });
    this.pass(15_000);
    this.answer(phone, who, null);
  }

  private answer(phone: RungPhone, who: string, through: GroupId | QueueId | null): void {
    this.tell({ type: 'answered', phone });
    this.reachedAfterMs ??= this.nowMs - this.startedAt;
    this.way ??= through ?? null;
    this.answeredBy = who;
    const sinceMs = this.nowMs;
    this.pass(60_000);
    let holdMs = 0;
    if (this.chance() > 0.5) {
      this.tell({ type: 'held', on: true });
      holdMs = this.pass(30_000);
      this.tell({ type: 'held', on: false });
      this.pass(5000);
    }
    this.rings.push({ who, end: 'answered', talkMs: this.nowMs - sinceMs, holdMs });
    if (phone.number) this.outside.push({ number: phone.number, forMs: this.nowMs - sinceMs });
  }

  /** Whoever talks to them puts them through to somebody else. */
  transfer(): void {
    const to = this.one(...people);
    this.tell({ type: 'transferred', to: { type: 'person', personId: to }, by: null });
    const phone: RungPhone = { type: 'person', personId: to, number: null };
    this.tell({ type: 'ringing', phone, forMs: 20_000 });
    this.pass(8000);
    this.answer(phone, to, null);
  }

  message(): void {
    this.tell({ type: 'recording', boxId: 'box:office' });
    const lengthMs = this.pass(20_000);
    this.tell({ type: 'message', boxId: 'box:office', lengthMs, kept: true });
  }

  end(reason: string, outcome: string, more: Partial<CallEntity> = {}): OddEnd {
    this.tell({ type: 'ended', reason });
    const { name, line, startedAt, transcript, answeredBy } = this;
    const isCounted = more.pretended !== true && !more.staffCaller;
    const entity: CallEntity = {
      ...{
        id: callId.create(name),
        lineId: line.lineId,
        versionId: null,
        callerNumber: '+12075550162',
        staffCaller: null,
      },
      ...{ startedAt, endedAt: this.nowMs, pretended: false, outcome: null, transcript },
      ...{ answeredBy: answeredBy as CallEntity['answeredBy'], messageId: null, recordingId: null, recordingMs: 0 },
      ...more,
    };
    const meant: Meant = {
      ...{ id: entity.id, ...line, startedAt, counts: isCounted, outcome, reachedAfterMs: this.reachedAfterMs },
      ...{ way: this.way ?? answeredBy, lengthMs: this.nowMs - startedAt },
      ...{ visits: this.visits, rings: this.rings, outside: this.outside },
    };
    return { entity, meant };
  }
}

export interface OddEnd {
  readonly entity: CallEntity;
  readonly meant: Meant;
}

/**
 * A log of calls as they rarely come: of several lines in odd zones, over midnight and over the hour that comes twice, cut, blocked,
 * pretended, of colleagues, transferred twice, to people who are gone.
 *
 * @param moments between which they begin, in ms
 */
export function oddLog(
  lines: readonly OddLine[],
  moments: readonly (readonly [fromMs: number, toMs: number])[],
  count: number,
  chance: () => number,
): readonly OddEnd[] {
  return Array.from({ length: count }, (_, index) => {
    const [fromMs, toMs] = moments[index % moments.length] ?? [0, 0];
    const line = lines[Math.floor(chance() * lines.length)] ?? lines[0];
    if (!line) throw new Error('An odd log is of some lines.');
    const call = new OddCall(`odd${String(index)}`, line, Math.round(fromMs + chance() * (toMs - fromMs)), chance);
    return played(call, chance);
  });
}

function played(call: OddCall, chance: () => number): OddEnd {
  if (chance() < 0.04) return call.end('blocked', 'blocked');
  while (chance() < 0.6) call.menu(call.one<Key>('1', '2', '0', '*'));
  const kind = Math.floor(chance() * 9);
  const more = { pretended: chance() < 0.07, staffCaller: chance() < 0.07 ? (people[0] ?? null) : null };
  switch (kind) {
    case 0:
      call.menu('hungUp');
      return call.end('callerHungUp', 'gaveUpInMenu', more);
    case 1:
      call.letRing();
      call.message();
      return call.end('messageTaken', 'message', more);
    case 2:
      call.letRing();
      return call.end('hungUp', 'missed', more);
    case 3:
      call.ringStopped();
      return call.end('callerHungUp', 'gaveUpRinging', more);
    case 4:
      call.queue(false);
      return call.end('callerHungUp', 'gaveUpInQueue', more);
    case 5:
      call.groupAnswers();
      return call.end('staffHungUp', 'answered', more);
    case 6:
      call.queue(true);
      while (chance() < 0.5) call.transfer();
      return call.end('callerHungUp', 'answered', more);
    case 7:
      call.personAnswers();
      // The line went down while they talked: it is told as cut, but somebody did talk.
      return chance() < 0.3 ? call.end('cut', 'cut', more) : call.end('callerHungUp', 'answered', more);
    default:
      call.ringStopped();
      return call.end('cut', 'cut', more);
  }
}
