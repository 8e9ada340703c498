import { afterWrongPin, noTries, pauseLeft } from './pinTries';

it('lets somebody mistype four times, then makes them wait longer each time, to an hour', () => {
  const pauses: number[] = [];
  let [tries, nowMs] = [noTries, 1000];
  for (let wrong = 1; wrong <= 13; wrong += 1) {
    tries = afterWrongPin(tries, nowMs);
    pauses.push(pauseLeft(tries, nowMs) / 60_000);
    nowMs += pauseLeft(tries, nowMs);
    expect(pauseLeft(tries, nowMs)).toBe(0);
  }
  expect(pauses).toEqual([0, 0, 0, 0, 1, 2, 4, 8, 16, 32, 60, 60, 60]);
});

it('takes months to try the ten thousand PINs of four digits', () => {
  let [tries, nowMs] = [noTries, 0];
  for (let wrong = 0; wrong < 10_000; wrong += 1) {
    tries = afterWrongPin(tries, nowMs);
    nowMs += pauseLeft(tries, nowMs);
  }
  expect(nowMs / 86_400_000).toBeGreaterThan(365);
});
