import { countryOf, exampleNumber, hasLostZero, readPhoneNumber, type Country } from '.';

describe('the country of a line', () => {
  it.each<[string, string, Country | undefined]>([
    ['+442079460123', 'America/New_York', 'GB'],
    ['+33199000161', 'UTC', 'FR'],
    ['+4930231250161', 'Europe/Berlin', 'DE'],
    // Many countries share +1; the number or else the zone tells which.
    ['+12075550140', 'America/New_York', 'US'],
    ['+14165550140', 'America/Toronto', 'CA'],
    ['', 'Europe/London', 'GB'],
    ['', 'Australia/Sydney', 'AU'],
    ['', 'UTC', undefined],
    ['020 7946 0123', 'Europe/London', 'GB'],
  ])('of %s in %s is %s', (number, timeZone, country) => {
    expect(countryOf({ number, timeZone })).toBe(country);
  });
});

describe('a number typed in a country', () => {
  const read = (text: string, country?: Country): string | null => {
    const number = readPhoneNumber(text, country);
    return number.ok ? number.value : null;
  };

  it('is read as people there write it', () => {
    expect(read('020 7946 0123', 'GB')).toBe('+442079460123');
    expect(read('(207) 555-0140', 'US')).toBe('+12075550140');
    expect(read('030 23125 161', 'DE')).toBe('+493023125161');
    expect(read('01 99 00 01 61', 'FR')).toBe('+33199000161');
  });

  it('is of no country unless one is known or said', () => {
    expect(read('020 7946 0123')).toBeNull();
    expect(read('7912345678')).toBeNull();
    expect(read('+44 20 7946 0123')).toBe('+442079460123');
    expect(read('+44 20 7946 0123', 'US')).toBe('+442079460123');
  });

  it('that lost its leading zero in a spreadsheet is read, and noticed', () => {
    expect(read('7912345678', 'GB')).toBe('+447912345678');
    expect([hasLostZero('7912345678', 'GB'), hasLostZero('07912 345678', 'GB')]).toEqual([true, false]);
    expect(hasLostZero('+44 7912 345678', 'GB')).toBe(false);
    expect(hasLostZero('2075550140', 'US')).toBe(false);
    expect(hasLostZero('7912345678', undefined)).toBe(false);
  });

  it('can be shown by an example that is read there', () => {
    for (const country of ['US', 'GB', 'DE', 'FR', 'AU', 'JP', 'BR'] as const) {
      const example = exampleNumber(country);
      expect(countryOf({ number: example, timeZone: 'UTC' })).toBe(country);
    }
    expect(exampleNumber(undefined)).toMatch(/^\+/);
  });
});
