import { kindOfNumber, mayCall, usualOutgoing, whyDisallowed, type NumberKind, type OutgoingLimits } from '.';

describe('an outside number', () => {
  it.each<[string, NumberKind]>([
    ['+12075550178', 'ordinary'],
    ['+447700900123', 'ordinary'],
    ['+18005550199', 'ordinary'],
    ['+19005550199', 'premium'],
    ['+4490987 65432', 'premium'],
    ['+499001234567', 'premium'],
    ['+33899123456', 'premium'],
    ['+979123456789', 'premium'],
    ['+491805123456', 'sharedCost'],
    ['+881612345678', 'satellite'],
    ['+870772001899', 'satellite'],
    ['+88213300655', 'satellite'],
  ])('%s is of the kind %s', (number, kind) => {
    expect(kindOfNumber(number.replace(/ /g, ''))).toBe(kind);
  });

  it('that costs much is called only where that is allowed', () => {
    expect(mayCall('+12075550178', usualOutgoing)).toBe(true);
    expect(whyDisallowed('+19005550199', usualOutgoing)).toEqual({ type: 'kind', kind: 'premium' });
    expect(whyDisallowed('+881612345678', usualOutgoing)).toEqual({ type: 'kind', kind: 'satellite' });
    expect(mayCall('+881612345678', { ...usualOutgoing, kinds: ['satellite'] })).toBe(true);
  });

  it('is called only in the countries that are allowed', () => {
    const atHome: OutgoingLimits = { ...usualOutgoing, countries: ['US', 'IE'] };
    expect(mayCall('+12075550178', atHome)).toBe(true);
    expect(mayCall('+353209100161', atHome)).toBe(true);
    expect(mayCall('+18005550199', atHome)).toBe(true);
    expect(whyDisallowed('+442079460161', atHome)).toEqual({ type: 'country', country: 'GB' });
    expect(mayCall('+442079460161', { ...usualOutgoing, countries: [] })).toBe(false);
  });
});
