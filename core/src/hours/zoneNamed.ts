import type { TimeZone } from './timeZone';

/**
 * The zone that somebody means who types its name or only its place, capitals and accents aside: "madrid" and "Europe/Madrid"
 * are `Europe/Madrid`. Undefined where no zone, or more than one, is so called.
 */
export function zoneNamed(typed: string, zones: readonly TimeZone[]): TimeZone | undefined {
  const wanted = plain(typed);
  const whole = zones.find((zone) => plain(zone) === wanted);
  const placed = zones.filter((zone) => plain(zone.slice(zone.lastIndexOf('/') + 1)) === wanted);
  return whole ?? (placed.length === 1 ? placed[0] : undefined);
}

function plain(text: string): string {
  return text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .replace(/[\s_]+/g, ' ')
    .trim()
    .toLowerCase();
}
