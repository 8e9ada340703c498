import type { Weekday } from '../../hours';
import type { Language } from '../../line';
import type { ClockTime, TimesSaid } from './timesSaid';

interface Spelt {
  /** Two times of the day, the hours and minutes in four groups. */
  readonly times: string;
  /** Says that somebody is there then. */
  readonly open: RegExp;
  readonly days: readonly string[];
  /** Between the first and the last of several days. */
  readonly to: string;
}

const spelt: Readonly<Record<Exclude<Language, 'en'>, Spelt>> = {
  fr: {
    times:
      '(?:de\\s+)?(\\d{1,2})\\s*h(?:eures?)?\\s*(\\d{2})?\\s*(?:à|a|[-–])\\s*(\\d{1,2})\\s*h(?:eures?)?\\s*(\\d{2})?',
    open: /ouver|horaires|joignable|nous\s+sommes|accueill|répond/iu,
    days: ['lundi', 'mardi', 'mercredi', 'jeudi', 'vendredi', 'samedi', 'dimanche'],
    to: 'au',
  },
  es: {
    times:
      '(?:de|desde)\\s+(?:las\\s+)?(\\d{1,2})(?:[:.](\\d{2}))?\\s*(?:h(?:oras)?\\.?)?\\s*(?:a|hasta)\\s+(?:las\\s+)?(\\d{1,2})(?:[:.](\\d{2}))?',
    open: /abiert|abrimos|horario|atende|atenci[óo]n|estamos/iu,
    days: ['lunes', 'martes', 'mi[ée]rcoles', 'jueves', 'viernes', 's[áa]bados?', 'domingos?'],
    to: 'a',
  },
  de: {
    times: '(?:von\\s+)?(\\d{1,2})(?:[:.](\\d{2}))?\\s*(?:Uhr\\s*)?(?:bis|[-–])\\s*(\\d{1,2})(?:[:.](\\d{2}))?\\s*Uhr',
    open: /ge[öo]ffnet|zeiten|erreichbar|f[üu]r\s+sie\s+da|sind\s+wir|haben\s+wir/iu,
    days: [
      'montags?',
      'dienstags?',
      'mittwochs?',
      'donnerstags?',
      'freitags?',
      '(?:samstags?|sonnabends?)',
      'sonntags?',
    ],
    to: 'bis',
  },
};

/** What French, Spanish or German words say of opening hours, by the clock of 24 hours. */
export function timesSaidElsewhere(words: string, language: Exclude<Language, 'en'>): readonly TimesSaid[] {
  const { times, open, days, to } = spelt[language];
  const day = `(${days.join('|')})`;
  const named = new RegExp(`(?<!\\p{L})${day}(?:\\s+${to}\\s+${day})?(?!\\p{L})`, 'giu');
  return words.split(/[!?\n]+|\.(?!\d)/u).flatMap((sentence): TimesSaid[] => {
    if (!open.test(sentence)) return [];
    return [...sentence.matchAll(new RegExp(`(?<![\\d:.])${times}`, 'giu'))].flatMap((found): TimesSaid[] => {
      const [all, fromHour, fromMinute, toHour, toMinute] = found;
      const [start, end] = [clock(fromHour, fromMinute), clock(toHour, toMinute)];
      if (!start || !end) return [];
      const before = [...sentence.slice(0, found.index).matchAll(named)].at(-1);
      return [{ start, end, days: before ? daysOf(days, before[1], before[2]) : [], words: all.trim() }];
    });
  });
}

function clock(hour: string | undefined, minute: string | undefined): ClockTime | undefined {
  const [h, m] = [Number(hour), Number(minute ?? 0)];
  return h <= 24 && m < 60 ? { minute: h * 60 + m, isEither: false } : undefined;
}

function daysOf(names: readonly string[], from: string | undefined, to: string | undefined): readonly Weekday[] {
  const numberOf = (name: string): number => names.findIndex((each) => new RegExp(`^${each}$`, 'iu').test(name)) + 1;
  const first = numberOf(from ?? '');
  const last = to === undefined ? first : numberOf(to);
  const length = ((last - first + 7) % 7) + 1;
  return Array.from({ length }, (_, index) => (((first - 1 + index) % 7) + 1) as Weekday);
}
