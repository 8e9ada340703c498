import type { Weekday } from '../../hours';
import { languageOf, type Language, type VoiceId } from '../../line';

/** That the business is open or closed, as words say it. */
export interface StateSaid {
  readonly state: 'open' | 'closed';
  /** The weekdays it is said of; empty where it is said of the moment at which it is heard. */
  readonly days: readonly Weekday[];
  readonly words: string;
}

const places =
  'office|offices|store|shop|clinic|business|showroom|practice|surgery|pharmacy|salon|studio|restaurant|library|school|firm|company|lines|phone\\s+lines|phones|doors?|yard|premises';
const us = `(?:we|(?:our|the)\\s+(?:${places}))(?:\\s+(?:are|is)|['’](?:re|s))`;
const adverb =
  '(?:\\s+(?:now|currently|presently|also|sorry|afraid|unfortunately|temporarily|always|normally|usually|only|still|already))*';
const state = new RegExp(`\\b${us}${adverb}\\s+(open|closed|shut)\\b([^.!?;\\n]*)`, 'giu');
const outside =
  /\b(?:outside(?:\s+of)?\s+(?:our\s+|of\s+)?(?:(?:regular|normal|usual)\s+)?(?:office|business|opening|working)\s+hours|after\s+(?:office|business|regular)\s+hours|reached\s+us\s+after\s+hours|(?:everyone|everybody)\s+has\s+gone\s+home)\b/iu;

const others: Readonly<Record<Exclude<Language, 'en'>, { readonly open: RegExp; readonly closed: RegExp }>> = {
  fr: {
    open: /\b(?:nous\s+sommes|(?:nos|les)\s+(?:bureaux|magasins)\s+sont|(?:notre|le|la)\s+(?:bureau|cabinet|magasin|boutique|agence|garage|salon)\s+est)\s+(?:actuellement\s+|maintenant\s+)?ouverte?s?(?=\s*(?:[.!,]|$|maintenant|actuellement))/iu,
    closed:
      /\b(?:nous\s+sommes|(?:nos|les)\s+(?:bureaux|magasins)\s+sont|(?:notre|le|la)\s+(?:bureau|cabinet|magasin|boutique|agence|garage|salon)\s+est)\s+(?:actuellement\s+|maintenant\s+)?ferm[ée]e?s?(?=\s*(?:[.!,]|$|maintenant|actuellement|aujourd))/iu,
  },
  es: {
    open: /\b(?:estamos|(?:nuestra|la)\s+(?:oficina|cl[íi]nica|tienda|consulta)\s+est[áa])\s+(?:ahora\s+|actualmente\s+)?abiert[oa]s?(?=\s*(?:[.!,]|$|ahora))/iu,
    closed:
      /\b(?:estamos|(?:nuestra|la)\s+(?:oficina|cl[íi]nica|tienda|consulta)\s+est[áa])\s+(?:ahora\s+|actualmente\s+)?cerrad[oa]s?(?=\s*(?:[.!,]|$|ahora|hoy|en\s+este\s+momento))/iu,
  },
  de: {
    open: /\b(?:wir\s+haben|(?:unser|das|unsere|die)\s+(?:B[üu]ro|Gesch[äa]ft|Praxis|Kanzlei|Werkstatt|Laden)\s+(?:ist|hat))\s+(?:jetzt\s+|derzeit\s+|gerade\s+)?ge[öo]ffnet(?=\s*(?:[.!,]|$))/iu,
    closed:
      /\b(?:wir\s+haben|(?:unser|das|unsere|die)\s+(?:B[üu]ro|Gesch[äa]ft|Praxis|Kanzlei|Werkstatt|Laden)\s+(?:ist|hat))\s+(?:jetzt\s+|derzeit\s+|zurzeit\s+|heute\s+|leider\s+)*geschlossen(?=\s*(?:[.!,]|$))/iu,
  },
};

/** What words say of being open and closed; what is said of a time of day is no matter of days. */
export function statesSaid(words: string, voice: VoiceId): readonly StateSaid[] {
  const language = languageOf(voice);
  if (language !== 'en') return statesIn(words, language);
  const said = [...words.matchAll(state)].flatMap((found): StateSaid[] => {
    const [all, what = '', rest = ''] = found;
    const is = what.toLowerCase() === 'open' ? 'open' : 'closed';
    const days = daysIn(rest);
    const whole = all.trim();
    if (days.length > 0) return [{ state: is, days, words: whole }];
    return isOfNow(is, rest) ? [{ state: is, days: [], words: whole.replace(rest, '').trim() }] : [];
  });
  const after = outside.exec(words);
  if (after) return [...said, { state: 'closed', days: [], words: after[0] }];
  return said.length > 0 ? said : (['fr', 'es', 'de'] as const).flatMap((other) => statesIn(words, other));
}

function statesIn(words: string, language: keyof typeof others): readonly StateSaid[] {
  return (['open', 'closed'] as const).flatMap((each): StateSaid[] => {
    const found = others[language][each].exec(words);
    return found ? [{ state: each, days: [], words: found[0] }] : [];
  });
}

/** Said of the moment: not of a time, of somebody else's case, or of a thing that is open or closed for something. */
function isOfNow(is: StateSaid['state'], rest: string): boolean {
  const tail = rest.trim().toLowerCase();
  if (/\b(?:from|between)\b/u.test(tail)) return false;
  if (
    /^(?:$|,|and\b|but\b|now\b|right now\b|at (?:the moment|this time|present)\b|today\b|for (?:the (?:day|evening|night|weekend|holidays?)|today|lunch|now)\b|until\b|because\b|due to\b)/u.test(
      tail,
    )
  )
    return true;
  return is === 'closed' && /^(?:for (?:the )?\p{L}+|on account)\b/u.test(tail) && !/\bon\b/u.test(tail);
}

const names = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'];
const day = '(mon|tues|wednes|thurs|fri|satur|sun)day';
const range = new RegExp(`${day}s?\\s*(?:to|through|thru|till|until|[-–])\\s*${day}s?`, 'iu');

/** Weekdays in the plural, or a range of them: a single day is that of a date. */
function daysIn(rest: string): readonly Weekday[] {
  if (/\d|\bnoon\b|\bmidnight\b|\bfrom\s+(?:six|seven|eight|nine|ten|eleven|twelve)\b/iu.test(rest)) return [];
  const [, from, to] = range.exec(rest) ?? [];
  if (from && to) {
    const [first, last] = [numberOf(from), numberOf(to)];
    const length = ((last - first + 7) % 7) + 1;
    return Array.from({ length }, (_, index) => (((first - 1 + index) % 7) + 1) as Weekday);
  }
  if (/\bweekends\b/iu.test(rest)) return [6, 7];
  if (/\bweekdays\b/iu.test(rest)) return [1, 2, 3, 4, 5];
  return [...rest.matchAll(new RegExp(`\\b${day}s\\b`, 'giu'))].map(([, name = '']) => numberOf(name) as Weekday);
}

function numberOf(name: string): number {
  return names.indexOf(name.slice(0, 3).toLowerCase()) + 1;
}
