import { joinPcm, lengthMs, type Pcm } from './pcm';
import { trimEnds } from './trim';
import { silence, sine } from '../testing/tones';

const rateHz = 8000;
const whole = { startMs: 0, endMs: 0 };

/** A tone of a level (mean square, dB relative to full scale) that lasts so many ms; -Infinity is silence. */
function tone(db: number, ms: number, rate = rateHz): Pcm {
  if (db === -Infinity) return silence(rate, ms / 1000);
  return sine(400, rate, ms / 1000, Math.SQRT2 * 10 ** (db / 20));
}
const sound = (...parts: readonly (readonly [number, number])[]): Pcm =>
  joinPcm(
    parts.map(([db, ms]) => tone(db, ms)),
    rateHz,
  );
const none = -Infinity;

describe('the ends of a recording', () => {
  it('lose their silence but for a breath: 60 ms before the words and 140 ms after', () => {
    const { pcm, startMs, endMs } = trimEnds(sound([none, 500], [-20, 400], [none, 700]));
    expect([startMs, endMs, lengthMs(pcm)]).toEqual([440, 560, 600]);
    expect(pcm.samples.subarray(60 * 8, 460 * 8)).toEqual(tone(-20, 400).samples);
  });

  it('are cut as close as is asked for', () => {
    const recording = sound([none, 500], [-20, 400], [none, 700]);
    expect(trimEnds(recording, whole)).toMatchObject({ startMs: 500, endMs: 700 });
    expect(trimEnds(recording, { startMs: 100, endMs: 0 })).toMatchObject({ startMs: 400, endMs: 700 });
    expect(trimEnds(recording, { startMs: 0, endMs: 100 })).toMatchObject({ startMs: 500, endMs: 600 });
  });

  it('are left where there is no more silence than a breath', () => {
    const recording = sound([none, 30], [-20, 400], [none, 90]);
    const { pcm, startMs, endMs } = trimEnds(recording);
    expect([startMs, endMs]).toEqual([0, 0]);
    expect(pcm.samples).toEqual(recording.samples);
  });

  it('are cut at the one where it is silent, also when the other begins or ends with words', () => {
    expect(trimEnds(sound([-20, 400], [none, 700]))).toMatchObject({ startMs: 0, endMs: 560 });
    expect(trimEnds(sound([none, 500], [-20, 400]))).toMatchObject({ startMs: 440, endMs: 0 });
  });

  it('are told in ms at any rate, also where the last piece is a part of a window only', () => {
    const recording = joinPcm([silence(44_100, 0.3), tone(-20, 200, 44_100), silence(44_100, 0.2037)], 44_100);
    const { pcm, startMs, endMs } = trimEnds(recording, whole);
    expect([startMs, endMs]).toEqual([300, 204]);
    expect([pcm.rateHz, Math.round(lengthMs(pcm))]).toEqual([44_100, 200]);
  });

  it('stay as they are where nothing is heard at all', () => {
    for (const nothing of [sound([none, 800]), { samples: new Float32Array(0), rateHz }]) {
      expect(trimEnds(nothing)).toEqual({ pcm: nothing, startMs: 0, endMs: 0 });
    }
  });
});

describe('what is taken for speech', () => {
  it('lasts 30 ms at least: a click before or after the words is cut off with the silence', () => {
    const around = (clickMs: number) =>
      trimEnds(
        sound([none, 300], [-10, clickMs], [none, 300], [-20, 600], [none, 200], [-10, clickMs], [none, 300]),
        whole,
      );
    expect(around(20)).toMatchObject({ startMs: 620, endMs: 520 });
    expect(around(30)).toMatchObject({ startMs: 300, endMs: 300 });
  });

  it('begins with the first of three loud windows and ends with the last of three', () => {
    expect(trimEnds(sound([none, 300], [-20, 30], [none, 300]), whole)).toMatchObject({ startMs: 300, endMs: 300 });
    expect(trimEnds(sound([none, 200], [-20, 50], [none, 100]), whole)).toMatchObject({ startMs: 200, endMs: 100 });
  });

  it('is louder than the room by 8 dB', () => {
    const inRoom = (room: number) => trimEnds(sound([room, 500], [-15, 600], [room, 500]), whole);
    expect(inRoom(-40)).toMatchObject({ startMs: 500, endMs: 500 });
    const murmur = (db: number) => trimEnds(sound([-40, 400], [db, 200], [-15, 600], [-40, 400]), whole).startMs;
    expect(murmur(-33)).toBe(600);
    expect(murmur(-31)).toBe(400);
  });

  it('is told from the room even in a very loud one', () => {
    expect(trimEnds(sound([-24, 500], [-15, 600], [-24, 500]), whole)).toMatchObject({ startMs: 500, endMs: 500 });
  });

  it('reaches 38 dB down from its loudest parts', () => {
    const murmur = (db: number) => trimEnds(sound([none, 400], [db, 200], [-5, 600], [none, 400]), whole).startMs;
    expect(murmur(-44)).toBe(600);
    expect(murmur(-42)).toBe(400);
  });

  it('is never under -50 dB where there is louder speech', () => {
    const murmur = (db: number) => trimEnds(sound([none, 400], [db, 200], [-20, 600], [none, 400]), whole).startMs;
    expect(murmur(-51)).toBe(600);
    expect(murmur(-49)).toBe(400);
  });

  it('may be very quiet all through', () => {
    expect(trimEnds(sound([none, 300], [-58, 600], [none, 300]), whole)).toMatchObject({ startMs: 300, endMs: 300 });
  });

  it('is not measured by a knock louder than all of it, nor the room by a dropout', () => {
    const knocked = sound([none, 300], [-45, 600], [none, 300], [0, 20], [none, 300]);
    expect(trimEnds(knocked, whole)).toMatchObject({ startMs: 300, endMs: 620 });
    const droppedOut = sound([-40, 300], [none, 20], [-40, 180], [-15, 600], [-40, 500]);
    expect(trimEnds(droppedOut, whole)).toMatchObject({ startMs: 500, endMs: 500 });
  });

  it('is all of a steady sound', () => {
    const hum = sound([-30, 900]);
    expect(trimEnds(hum)).toMatchObject({ startMs: 0, endMs: 0 });
  });
});
