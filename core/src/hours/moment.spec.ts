import { isReading, momentLimits } from './moment';
import { clockReading, instantOf } from './timeZone';

describe('what a clock on a wall reads', () => {
  it.each(['2026-11-23T09:30', '2028-02-29T00:00', '1970-01-01T00:00', '2199-12-31T23:59'])('can be %s', (text) => {
    expect(isReading(text)).toBe(true);
  });

  it.each([
    '2026-02-30T10:00',
    '2027-02-29T10:00',
    '2026-13-01T10:00',
    '2026-11-23T24:00',
    '2026-11-23T10:60',
    '1969-12-31T23:59',
    '2200-01-01T00:00',
    '9999-12-31T23:59',
    '2026-11-23 10:00',
    '2026-11-23T10:00Z',
    '',
  ])('is never %s', (text) => {
    expect(isReading(text)).toBe(false);
  });

  it('is a moment that every zone can tell, and those are all that are reckoned with', () => {
    for (const zone of ['Pacific/Kiritimati', 'Etc/GMT+12', 'Asia/Kathmandu']) {
      for (const text of ['1970-01-01T00:00', '2199-12-31T23:59']) {
        expect(clockReading(instantOf(text, zone), zone)).toBe(text);
      }
    }
    expect(new Date(momentLimits.least).toISOString()).toBe('1970-01-01T00:00:00.000Z');
    expect(new Date(momentLimits.most).toISOString()).toBe('2199-12-31T23:59:59.999Z');
  });
});
