import { existsSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { encodeMuLaw, lengthMs, peakOf } from '@locutor/core/audio';
import { callId } from '@locutor/core/exchange';
import { lineId } from '@locutor/core/line';
import { mixTracks } from '../reckoning/spoken';
import { HandClock } from '../testing/handClock';
import { readTake, removeTake, Take, takesLeft, type TakeHeader } from './take';

const header: TakeHeader = {
  id: 'take:one',
  callId: callId.create('one'),
  lineId: lineId.create('main'),
  callerNumber: '+12075550162',
  startedAt: 1000,
  isPretended: false,
  of: { type: 'call' },
};
const frame = (loud: number): Uint8Array => encodeMuLaw(new Float32Array(160).fill(loud));

let clock: HandClock;
let folder: string;
beforeEach(() => {
  folder = join(mkdtempSync(join(tmpdir(), 'locutor-take-')), 'takes');
  clock = new HandClock();
});
afterEach(() => {
  rmSync(join(folder, '..'), { recursive: true, force: true });
});

describe('a recording under way', () => {
  it('is as long as it took, with silence where nothing came', async () => {
    const take = new Take(folder, header, clock);
    await clock.pass(1000);
    take.add('caller', frame(0.3));
    await clock.pass(500);
    const sound = mixTracks(take.finish());
    expect(lengthMs(sound)).toBe(1500);
    expect(peakOf({ ...sound, samples: sound.samples.slice(0, 7500) })).toBeLessThan(0.001);
    expect(peakOf({ ...sound, samples: sound.samples.slice(7840, 8000) })).toBeCloseTo(0.3, 1);
  });

  it('is no longer for being asked again later, as when it could not be kept at once', async () => {
    const take = new Take(folder, header, clock);
    await clock.pass(1000);
    take.finish();
    await clock.pass(5000);
    expect(lengthMs(mixTracks(take.finish()))).toBe(1000);
  });

  it('has both sides in one, and never louder than can be', async () => {
    const take = new Take(folder, header, clock);
    await clock.pass(20);
    take.add('caller', frame(0.8));
    take.add('staff', frame(0.8));
    expect(peakOf(mixTracks(take.finish()))).toBeLessThanOrEqual(1);
  });

  it('is there after the server was killed, with what it is for', async () => {
    const take = new Take(folder, header, clock);
    await clock.pass(20);
    take.add('caller', frame(0.3));
    expect(takesLeft(folder)).toEqual([header]);
    expect(lengthMs(mixTracks(readTake(folder, header.id)))).toBe(20);
    removeTake(folder, header.id);
    expect(readdirSync(folder)).toEqual([]);
  });

  it('of which not even the first line was written is forgotten', () => {
    new Take(folder, header, clock).discard();
    writeFileSync(join(folder, 'half.json'), '{"id":"ta');
    expect(takesLeft(folder)).toEqual([]);
    expect(existsSync(join(folder, 'half.json'))).toBe(false);
    expect(takesLeft(join(folder, 'nowhere'))).toEqual([]);
  });
});
