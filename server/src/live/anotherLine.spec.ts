import { ringDefaults, type Path } from '@locutor/core/line';
import type { PersonId } from '@locutor/core/directory';
import type { LegActs, WantedLeg } from '@locutor/core/exchange';
import { messagePath, peopleNamed, putOnAir as officeOnAir } from '../testing/office';
import { boatyardFacts, testServer, type TestServer } from '../testing/testServer';
import type { CallerDoors, CallerEnd, IncomingCall, Leg, LegDoors, Line, LineDoors } from './line';

const frame = Buffer.alloc(160, 0x55);
const number = '+12075550190';

/** A caller of another line: what the line is asked to do for them, in order. */
class Caller implements CallerEnd {
  readonly asked: string[] = [];
  doors: CallerDoors | null = null;

  constructor(private readonly line: AnotherLine) {}

  accept = (): unknown => this.asked.push('accept');
  refuse = (why: string): unknown => this.asked.push(`refuse ${why}`);
  play = (): unknown => this.asked.push('play');
  stop = (): unknown => this.asked.push('stop');
  ringback = (): unknown => this.asked.push('ringback');
  stopRingback = (): unknown => this.asked.push('stopRingback');
  voice = (): unknown => this.asked.push('voice');
  hangUp = (reason: string): unknown => this.asked.push(`hang up ${reason}`);
  handOver = (to: WantedLeg, doors: LegDoors): Leg => this.line.openAs(`refers to ${nameOf(to)}`, to, doors);
}

interface Opened {
  readonly wanted: WantedLeg;
  readonly doors: LegDoors;
}

/** A line that is not the stand-in: specs answer its phones by hand, as a network would. */
class AnotherLine implements Line {
  readonly did: string[] = [];
  /** What it finds out as soon as it is to ring a phone; null while it rings. */
  atOnce: LegActs | null = null;
  readonly open_ = new Map<number, Opened>();
  private doors: LineDoors | null = null;

  start(doors: LineDoors): void {
    this.doors = doors;
  }

  stop(): void {
    this.did.push('stop');
  }

  open(wanted: WantedLeg, doors: LegDoors): Leg {
    return this.openAs(`rings ${nameOf(wanted)}`, wanted, doors);
  }

  openAs(what: string, wanted: WantedLeg, doors: LegDoors): Leg {
    this.did.push(what);
    this.open_.set(wanted.id, { wanted, doors });
    if (this.atOnce) doors.happens(this.atOnce);
    return {
      play: () => this.did.push(`plays to ${nameOf(wanted)}`),
      stop: () => undefined,
      voice: () => this.did.push(`voice to ${nameOf(wanted)}`),
      hangUp: () => {
        this.did.push(`hangs up ${nameOf(wanted)}`);
        this.open_.delete(wanted.id);
      },
    };
  }

  phone(): LegDoors {
    const [only] = [...this.open_.values()];
    if (!only) throw new Error('No phone rings');
    return only.doors;
  }

  brings(call: IncomingCall): Caller {
    const caller = new Caller(this);
    caller.doors = this.doors?.arrives(call, caller) ?? null;
    return caller;
  }
}

const nameOf = ({ phone }: WantedLeg): string =>
  phone.type === 'outside' ? phone.number : phone.number ? `mobile ${phone.number}` : 'desk';

let line: AnotherLine;
let server: TestServer;
let noor: PersonId;
let lineId: string;

beforeEach(async () => {
  line = new AnotherLine();
  server = await testServer({ line });
  lineId = (await server.ask('post', '/api/start', boatyardFacts)).body.id;
  [noor] = await peopleNamed(server, 'Noor');
});
afterEach(() => server.stop());

const putOnAir = (path: Path) => officeOnAir(server, lineId, path);
const message = () => messagePath(server);
const calls = async (to = boatyardFacts.number): Promise<Caller> => {
  const caller = line.brings({ calledNumber: to, callerNumber: '+12075550178' });
  await server.clock.until(() => caller.asked[0], 5000);
  return caller;
};
const until = (what: () => boolean): Promise<unknown> => server.clock.until(() => what() || undefined, 20_000);

describe('a line beside the stand-in', () => {
  it('is told to refuse what is no number of the business', async () => {
    expect((await calls('+12075550111')).asked).toEqual(['refuse noSuchNumber']);
    expect(line.did).toEqual([]);
  });

  it('goes on at once when it cannot reach a phone', async () => {
    const to = { type: 'number', number } as const;
    const rings = { ...ringDefaults, type: 'ringOutside', to, accept: false, seconds: 60 } as const;
    await putOnAir([rings, ...(await message())]);
    line.atOnce = { type: 'unreached', why: 'failed' };
    const caller = await calls();
    await until(() => caller.asked.at(-1) === 'play');
    expect(line.open_.size).toBe(0);
  });

  it('is told nothing of a caller who hangs up before the call is answered', async () => {
    await putOnAir([...(await message())]);
    const caller = line.brings({ calledNumber: boatyardFacts.number, callerNumber: '' });
    caller.doors?.hungUp();
    await server.clock.pass(1000);
    expect(caller.asked).toEqual(['hang up callerHungUp']);
    expect((await server.ask('get', '/api/live/board')).body.callsInAll).toBe(0);
  });

  it('rings a phone on a desk, carries both voices, and hangs up when the caller does', async () => {
    await putOnAir([{ ...ringDefaults, type: 'ring', personId: noor, seconds: 18 }, ...(await message())]);
    const caller = await calls();
    expect(caller.asked).toEqual(['accept', 'ringback']);
    expect(line.did).toEqual(['rings desk']);
    line.phone().happens({ type: 'answered' });
    expect(caller.asked.at(-1)).toBe('stopRingback');
    line.phone().voice(frame);
    caller.doors?.voice(frame);
    expect([caller.asked.at(-1), line.did.at(-1)]).toEqual(['voice', 'voice to desk']);
    caller.doors?.hungUp();
    expect([caller.asked.at(-1), line.did.at(-1)]).toEqual(['hang up callerHungUp', 'hangs up desk']);
  });

  it('asks who answers outside to press 1, and goes on where nothing is reached', async () => {
    const to = { type: 'number', number } as const;
    const rings = { ...ringDefaults, type: 'ringOutside', to, accept: true, seconds: 18 } as const;
    await putOnAir([rings, ...(await message())]);
    const first = await calls();
    line.phone().happens({ type: 'answered' });
    await until(() => line.did.includes(`plays to ${number}`));
    line.phone().happens({ type: 'pressed', key: '1' });
    line.phone().voice(frame);
    expect(first.asked.at(-1)).toBe('voice');
    line.phone().happens({ type: 'hungUp' });
    expect([first.asked.at(-1), line.did.at(-1)]).toEqual(['hang up staffHungUp', `hangs up ${number}`]);
    const second = await calls();
    line.phone().happens({ type: 'unreached', why: 'noSuchNumber' });
    await until(() => second.asked.at(-1) === 'play');
  });

  it('refers a caller who is handed over, and takes them back where that fails', async () => {
    await putOnAir([{ type: 'handOver', to: { type: 'number', number }, before: '' }, ...(await message())]);
    const failed = await calls();
    expect(line.did).toEqual([`refers to ${number}`]);
    line.phone().happens({ type: 'unreached', why: 'failed' });
    await until(() => failed.asked.at(-1) === 'play');
    const taken = await calls();
    line.phone().happens({ type: 'answered' });
    expect(taken.asked.at(-1)).toBe('hang up handedOver');
    expect(line.open_.size).toBe(0);
  });

  it('hears nothing of what comes late on a phone that was hung up', async () => {
    await putOnAir([{ ...ringDefaults, type: 'ring', personId: noor, seconds: 18 }, ...(await message())]);
    const caller = await calls();
    const late = line.phone();
    caller.doors?.hungUp();
    late.happens({ type: 'answered' });
    late.voice(frame);
    expect(caller.asked.at(-1)).toBe('hang up callerHungUp');
    await server.stop(true);
    expect(line.did.at(-1)).toBe('stop');
    server = await testServer();
  });
});
