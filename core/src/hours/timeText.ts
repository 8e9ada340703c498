import { right, wrong, type Result } from '../result';
import { minutesOfDay } from './week';

export type TimeProblem =
  { readonly type: 'notATime'; readonly text: string } | { readonly type: 'noSuchTime'; readonly text: string };

/**
 * Reads a time of day as people type it ("8", "8:30", "0830", "5.30 pm", "8h30", "17 Uhr", "noon") into minutes after
 * midnight, 0 to 1440; 24:00 is the midnight that ends the day.
 */
export function readTime(text: string): Result<number, TimeProblem> {
  const plain = plainTime(text);
  if (noonNames.has(plain)) return right(720);
  if (midnightNames.has(plain)) return right(0);
  const parts = /^(\d{1,2})(?:[:.h]?(\d{2}))?\s*(?:([ap])\.?\s?m?\.?)?$/.exec(plain);
  if (!parts) return wrong({ type: 'notATime', text });
  const minutes = minutesFrom(Number(parts[1]), Number(parts[2] ?? 0), parts[3]);
  return minutes === undefined ? wrong({ type: 'noSuchTime', text }) : right(minutes);
}

const noonNames: ReadonlySet<string> = new Set(['noon', '12 noon', 'midday', 'midi', 'mittag', 'mediodía', 'mediodia']);
const midnightNames: ReadonlySet<string> = new Set([
  ...['midnight', '12 midnight', 'minuit', 'mitternacht', 'medianoche'],
]);

/** Without what people write around a time in their language: "um 17 Uhr", "à 17 h", "las 17 horas", "5 o’clock". */
function plainTime(text: string): string {
  return text
    .toLowerCase()
    .replace(/[\s\u00a0\u202f]+/g, ' ')
    .trim()
    .replace(/^(?:at|um|à|a las|las|la|kl\.?) /, '')
    .replace(
      /(\d) (?:uhr|heures?|horas?|hrs?|hours?|o['’]clock)(?: (\d{2}))?$/,
      (_, digit: string, minutes?: string) => (minutes ? `${digit}:${minutes}` : digit),
    )
    .replace(/(\d) ?h(?:rs?)?$/, '$1')
    .replace(/(\d) ?h ?(\d{2})$/, '$1:$2');
}

function minutesFrom(hour: number, minute: number, half: string | undefined): number | undefined {
  if (minute > 59 || (half && (hour < 1 || hour > 12))) return undefined;
  const hour24 = half ? (hour % 12) + (half === 'p' ? 12 : 0) : hour;
  const total = hour24 * 60 + minute;
  return total <= minutesOfDay ? total : undefined;
}

/** Minutes after midnight as `8:30` or, for the day after, `2:00` again; 1440 is `24:00`. */
export function showTime(minutes: number): string {
  const ofDay = minutes > minutesOfDay ? minutes - minutesOfDay : minutes;
  return `${Math.floor(ofDay / 60)}:${String(ofDay % 60).padStart(2, '0')}`;
}

const dayNames = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];

/** The English name of an ISO 8601 day of the week, 1 to 7. */
export function weekdayName(day: number): string {
  return dayNames[day - 1] ?? `day ${day}`;
}
