import type { HeardItem } from '@locutor/core/exchange';
import { playHeard } from './heardPlayer';

const mockSounds = { playing: [] as string[], skipped: 0 };

jest.mock('../handset/sounds', () => {
  const sound = (name: string) => {
    mockSounds.playing.push(name);
    return () => mockSounds.playing.splice(mockSounds.playing.indexOf(name), 1);
  };
  return {
    loadAudio: () => Promise.resolve({ samples: new Float32Array(8000), rateHz: 8000 }),
    playBeep: () => sound('beep'),
    playHoldMusic: () => sound('music'),
    playPcm: ({ samples }: { samples: Float32Array }) => {
      mockSounds.skipped = 8000 - samples.length;
      return sound('words');
    },
  };
});

const items: readonly HeardItem[] = [
  { type: 'sentence', audioId: 'a', ms: 1000, pauseMs: 500 },
  { type: 'music', piece: 'harbor', ms: 2000, fromMs: 0 },
  { type: 'beep', ms: 400 },
];
let begun: number[];
const play = (fromMs = 0) => playHeard(items, fromMs, (index) => begun.push(index));

beforeEach(() => {
  jest.useFakeTimers();
  begun = [];
  mockSounds.playing.length = 0;
});
afterEach(() => jest.useRealTimers());

describe('what the line lets be heard', () => {
  it('begins each thing in its time and ends it in its time', async () => {
    play();
    await jest.advanceTimersByTimeAsync(0);
    expect(mockSounds.playing).toEqual(['words']);
    await jest.advanceTimersByTimeAsync(1200);
    expect([begun, mockSounds.playing]).toEqual([[0], []]);
    await jest.advanceTimersByTimeAsync(400);
    expect(mockSounds.playing).toEqual(['music']);
    await jest.advanceTimersByTimeAsync(2000);
    expect(mockSounds.playing).toEqual(['beep']);
    await jest.advanceTimersByTimeAsync(400);
    expect([begun, mockSounds.playing]).toEqual([[0, 1, 2], []]);
  });

  it('is taken up in the middle, with what is over passed by', async () => {
    play(600);
    await jest.advanceTimersByTimeAsync(0);
    expect([begun, mockSounds.skipped]).toEqual([[0], 4800]);
    begun = [];
    play(1700);
    await jest.advanceTimersByTimeAsync(0);
    expect(begun).toEqual([1]);
  });

  it('stops at once, also what was still being loaded', async () => {
    const stop = play();
    stop();
    await jest.advanceTimersByTimeAsync(5000);
    expect(mockSounds.playing).toEqual([]);
    expect(begun).toEqual([]);
  });
});
