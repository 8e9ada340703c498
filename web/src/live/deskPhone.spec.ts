import { personId } from '@locutor/core/directory';
import { callId, type DeskDoing, type DeskHears, type DeskSays } from '@locutor/core/exchange';
import { DeskPhone } from './deskPhone';

const mockLine = {
  path: '',
  hear: (() => undefined) as (message: DeskHears) => void,
  said: [] as DeskSays[],
  isRinging: false,
  isPlaying: false,
  tone: null as string | null,
};

jest.mock('./lineSocket', () => ({
  LineSocket: class {
    constructor(path: string, listener: { onMessage: (message: DeskHears) => void }) {
      Object.assign(mockLine, { path, hear: listener.onMessage });
    }
    open(): void {}
    close(): void {}
    say(message: DeskSays): void {
      mockLine.said.push(message);
    }
  },
}));
jest.mock('./heardPlayer', () => ({
  playHeard: () => {
    mockLine.isPlaying = true;
    return () => (mockLine.isPlaying = false);
  },
}));
jest.mock('../handset/sounds', () => ({
  playKeyTone: () => undefined,
  playBusy: (country?: string) => {
    mockLine.tone = `busy ${country}`;
    return () => (mockLine.tone = null);
  },
  playRingback: (country?: string) => {
    if (country) mockLine.tone = `ringback ${country}`;
    mockLine.isRinging = true;
    return () => (mockLine.isRinging = false);
  },
}));
jest.mock('./voice', () => ({
  Voice: class {
    close(): void {}
  },
}));

const noor = personId.create('noor');
const call = {
  callId: callId.create('one'),
  callerNumber: '+12075550178',
  staffCaller: null,
  sinceMs: 0,
  cameBy: null,
  transfer: null,
};
const rung: DeskDoing = { type: 'rung', call, of: null, number: null, sinceMs: 0, isAccepting: false };
const nothing: DeskDoing = { type: 'nothing', restUntilMs: 0 };
const shows = (doing: DeskDoing, nowMs = Date.now()): void =>
  mockLine.hear({ type: 'view', nowMs, view: { presence: 'here', doing, queues: [], hears: null } });

beforeEach(() => Object.assign(mockLine, { said: [], isRinging: false, isPlaying: false }));

describe('a desk phone on the live line', () => {
  it('rings as long as it is rung, and not while the call waits to be accepted', () => {
    const phone = new DeskPhone(noor, true);
    expect(mockLine.path).toBe('desk/person%3Anoor');
    shows(rung);
    expect(mockLine.isRinging).toBe(true);
    shows({ ...rung, isAccepting: true });
    expect(mockLine.isRinging).toBe(false);
    shows(rung);
    phone.close();
    expect(mockLine.isRinging).toBe(false);
  });

  it('is silent where it is only looked at', () => {
    const phone = new DeskPhone(noor, false);
    shows(rung);
    expect(mockLine.isRinging).toBe(false);
    phone.close();
  });

  it('shows times by the line’s clock', () => {
    const phone = new DeskPhone(noor, true);
    shows(nothing, Date.now() + 3_600_000);
    expect(Math.round(phone.getView().aheadMs / 60_000)).toBe(60);
    phone.close();
  });

  it('says what was dialled and means nothing, until something else is dialled', () => {
    const phone = new DeskPhone(noor, true);
    phone.say({ type: 'dial', digits: '999' });
    mockLine.hear({ type: 'noSuchNumber', digits: '999' });
    expect(phone.getView().wrongNumber).toBe('999');
    phone.say({ type: 'dial', digits: '204' });
    expect(phone.getView().wrongNumber).toBeNull();
    expect(mockLine.said).toHaveLength(2);
    phone.close();
  });

  it('hears how a call of its own goes, as in the line’s country', () => {
    const phone = new DeskPhone(noor, true);
    mockLine.hear({ type: 'tone', tone: 'ringback', country: 'IE' });
    expect(mockLine.tone).toBe('ringback IE');
    mockLine.hear({ type: 'tone', tone: 'busy', country: 'IE' });
    expect([mockLine.tone, mockLine.isRinging]).toEqual(['busy IE', false]);
    mockLine.hear({ type: 'tone', tone: null, country: 'IE' });
    expect(mockLine.tone).toBeNull();
    phone.close();
  });

  it('stops what it plays when the call is over', () => {
    const phone = new DeskPhone(noor, true);
    mockLine.hear({ type: 'play', items: [{ type: 'beep', ms: 400 }] });
    expect(mockLine.isPlaying).toBe(true);
    shows(nothing);
    expect(mockLine.isPlaying).toBe(false);
    phone.close();
  });
});
