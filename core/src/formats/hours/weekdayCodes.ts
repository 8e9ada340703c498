/** The days of the week as calendars have them (RFC 5545, section 3.3.10), Monday first. */
export const weekdayCodes = ['MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU'] as const;
