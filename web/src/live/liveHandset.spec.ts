import type { TranscriptEntry } from '@locutor/core/call';
import { callId, type HandsetHears, type HandsetSays, type HeardItem } from '@locutor/core/exchange';
import { lineId, sheetId } from '@locutor/core/line';
import { LiveHandset } from './liveHandset';

/** The line at the other end, and what is audible here. */
const mockLine = {
  path: '',
  listener: null as null | {
    onMessage: (message: HandsetHears) => void;
    onOpen: () => void;
    onLost: () => void;
    onVoice: (frame: Uint8Array) => void;
  },
  said: [] as HandsetSays[],
  frames: 0,
  playing: new Map<number, (index: number) => void>(),
  started: 0,
  isRinging: false,
  ringsAsIn: undefined as string | undefined,
  busyAsIn: null as string | null | undefined,
  isMicrophoneRefused: false,
  heardFrames: 0,
};

jest.mock('./lineSocket', () => ({
  LineSocket: class {
    constructor(path: string, listener: never) {
      Object.assign(mockLine, { path, listener });
    }
    open(): void {}
    close(): void {}
    say(message: HandsetSays): void {
      mockLine.said.push(message);
    }
    sendVoice(): void {
      mockLine.frames += 1;
    }
  },
}));
jest.mock('./heardPlayer', () => ({
  playHeard: (_items: unknown, _fromMs: number, onItem: (index: number) => void) => {
    const id = (mockLine.started += 1);
    mockLine.playing.set(id, onItem);
    return () => mockLine.playing.delete(id);
  },
}));
jest.mock('../handset/sounds', () => ({
  playKeyTone: () => undefined,
  playBusy: (country?: string) => {
    mockLine.busyAsIn = country;
    return () => (mockLine.busyAsIn = null);
  },
  playRingback: (country?: string) => {
    mockLine.ringsAsIn = country;
    mockLine.isRinging = true;
    return () => (mockLine.isRinging = false);
  },
}));
jest.mock('./voice', () => ({
  Voice: class {
    turn(isOn: boolean): Promise<string> {
      return Promise.resolve(isOn ? (mockLine.isMicrophoneRefused ? 'refused' : 'on') : 'off');
    }
    hear(): void {
      mockLine.heardFrames += 1;
    }
    close(): void {}
  },
}));

const kept = new Map<string, string>();
const call = {
  type: 'call',
  callId: callId.create('one'),
  token: 'secret',
  lineName: 'Boatyard',
  country: 'GB',
  unheard: [],
} as const;
const said = (text: string): TranscriptEntry => ({
  type: 'said',
  atMs: 0,
  text,
  source: { type: 'words', sheetId: sheetId.create('welcome'), part: 'openingWords' },
});
const called: TranscriptEntry = {
  type: 'called',
  atMs: 0,
  callerNumber: 'x',
  lineId: lineId.create('main'),
  answer: { type: 'otherwise' },
};
const sentence: HeardItem = { type: 'sentence', audioId: 'a', ms: 1000, pauseMs: 200 };

let handset: LiveHandset;
const hear = (...messages: HandsetHears[]): void =>
  messages.forEach((message) => mockLine.listener?.onMessage(message));
const begins = (index: number): void => [...mockLine.playing.values()].at(-1)?.(index);

beforeEach(() => {
  jest.useFakeTimers();
  kept.clear();
  Object.defineProperty(globalThis, 'sessionStorage', {
    configurable: true,
    value: {
      getItem: (name: string) => kept.get(name) ?? null,
      setItem: (name: string, value: string) => kept.set(name, value),
      removeItem: (name: string) => kept.delete(name),
    },
  });
  Object.assign(mockLine, {
    said: [],
    playing: new Map(),
    isRinging: false,
    busyAsIn: null,
    isMicrophoneRefused: false,
    heardFrames: 0,
  });
  handset = new LiveHandset();
  handset.open();
});
afterEach(() => {
  handset.close();
  jest.useRealTimers();
});

describe('a handset on the live line', () => {
  it('dials, and shows each sentence once it is heard', () => {
    handset.dial('+12075550140', '+12075550178');
    expect(mockLine.said).toEqual([{ type: 'dial', number: '+12075550140', callerNumber: '+12075550178' }]);
    hear(call, { type: 'entries', entries: [called, said('Welcome.'), said('Please choose.')] });
    hear({ type: 'play', playId: 1, items: [sentence, sentence], first: 1, fromMs: 0 });
    expect([...handset.getView().unheard]).toEqual([1, 2]);
    begins(0);
    expect(handset.getView()).toMatchObject({ status: 'on', lineName: 'Boatyard', speaking: { index: 1 } });
    begins(1);
    expect(handset.getView().speaking?.index).toBe(2);
    expect(handset.getView().unheard.size).toBe(0);
  });

  it('stops what is played when the line says so, and never shows what was cut', () => {
    hear(call, { type: 'entries', entries: [called, said('Welcome.'), said('Please choose.')] });
    hear({ type: 'play', playId: 1, items: [sentence, sentence], first: 1, fromMs: 0 });
    begins(0);
    hear({ type: 'stop', playId: 1 });
    expect(mockLine.playing.size).toBe(0);
    expect(handset.getView().speaking).toBeNull();
    expect([...handset.getView().unheard]).toEqual([2]);
  });

  it('hears the ringback tone, or what there is instead of it, over and over', () => {
    hear(call, { type: 'ringback', items: [] });
    expect(mockLine.ringsAsIn).toBe('GB');
    expect(mockLine.isRinging).toBe(true);
    hear({ type: 'stopRingback' });
    expect(mockLine.isRinging).toBe(false);
    const before = mockLine.started;
    hear({ type: 'ringback', items: [sentence] });
    jest.advanceTimersByTime(1200 * 3);
    expect(mockLine.started - before).toBe(4);
    hear({ type: 'stopRingback' });
    jest.advanceTimersByTime(5000);
    expect(mockLine.started - before).toBe(4);
  });

  it('takes its call up again when it is loaded anew, and is idle when that is over', () => {
    hear(call);
    const again = new LiveHandset();
    again.open();
    mockLine.listener?.onOpen();
    expect(mockLine.said.at(-1)).toEqual({ type: 'resume', callId: call.callId, token: 'secret' });
    hear({ type: 'refused', says: 'That call is over.' });
    expect(again.getView()).toMatchObject({ status: 'idle', problem: 'That call is over.' });
    expect(kept.size).toBe(0);
    again.close();
  });

  it.each(['callerHungUp', 'handedOver'] as const)('hears no busy tone when the call ends by %s', (reason) => {
    hear(call, { type: 'ended', reason });
    expect(mockLine.busyAsIn).toBeNull();
  });

  it('does not show again as new what was heard before it was loaded anew', () => {
    hear({ ...call, unheard: [2] }, { type: 'entries', entries: [called, said('Welcome.'), said('Cut short.')] });
    hear({ type: 'play', playId: 1, items: [sentence], first: 1, fromMs: 400 });
    expect([...handset.getView().unheard]).toEqual([2]);
  });

  it('says that the line is lost, and that it is back', () => {
    hear(call);
    mockLine.listener?.onLost();
    expect(handset.getView().isLost).toBe(true);
    mockLine.listener?.onOpen();
    expect(handset.getView().isLost).toBe(false);
  });

  it('is silent once the call is over, and can call again', () => {
    hear(call, { type: 'ringback', items: [] }, { type: 'recording', on: true });
    hear({ type: 'ended', reason: 'staffHungUp' });
    expect(handset.getView()).toMatchObject({ status: 'over', isRecording: false, talksTo: null });
    expect([mockLine.isRinging, mockLine.busyAsIn]).toEqual([false, 'GB']);
    handset.again();
    expect(mockLine.busyAsIn).toBeNull();
    expect(handset.getView()).toMatchObject({ status: 'idle', transcript: [] });
  });

  it('passes keys, words and hanging up on, and hears voices', () => {
    hear(call);
    handset.press('5');
    handset.speak('moorings');
    handset.hangUp();
    expect(mockLine.said).toEqual([
      { type: 'key', key: '5' },
      { type: 'speak', words: 'moorings' },
      { type: 'hangUp' },
    ]);
    mockLine.listener?.onVoice(new Uint8Array(160));
    expect(mockLine.heardFrames).toBe(1);
  });

  it('says when no microphone can be used', async () => {
    await handset.setMicrophone(true);
    expect(handset.getView().microphone).toBe('on');
    await handset.setMicrophone(false);
    expect(handset.getView().microphone).toBe('off');
    mockLine.isMicrophoneRefused = true;
    await handset.setMicrophone(true);
    expect(handset.getView().microphone).toBe('refused');
  });
});
