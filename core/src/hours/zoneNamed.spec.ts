import { zoneNamed } from '.';

const zones = ['America/New_York', 'America/Sao_Paulo', 'America/Indiana/Knox', 'Europe/Madrid', 'Asia/Knox', 'UTC'];

describe('the zone that is meant', () => {
  it.each([
    ['Europe/Madrid', 'Europe/Madrid'],
    ['europe/madrid', 'Europe/Madrid'],
    [' Madrid ', 'Europe/Madrid'],
    ['new york', 'America/New_York'],
    ['New_York', 'America/New_York'],
    ['São Paulo', 'America/Sao_Paulo'],
    ['utc', 'UTC'],
  ])('by %s is %s', (typed, zone) => expect(zoneNamed(typed, zones)).toBe(zone));

  it('is none where two places are called so, or none is', () => {
    for (const typed of ['Knox', 'Barcelona', '', '/', 'Europe']) expect(zoneNamed(typed, zones)).toBeUndefined();
  });
});
