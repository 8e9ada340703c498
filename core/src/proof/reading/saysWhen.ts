import { timesSaid } from './timesSaid';

/** Whether words tell when somebody is there: by live hours, a time of day, a weekday, or another way to reach somebody. */
export function saysWhen(typed: string): boolean {
  if (/\{(?:week|today|opens|special)\b/u.test(typed)) return true;
  return timesSaid(typed).length > 0 || dayOrTime.test(typed);
}

const dayOrTime =
  /\b(?:mon|tues|wednes|thurs|fri|satur|sun)days?\b|\b(?:tomorrow|weekdays?|next week)\b|\b\d{1,2}(?::\d{2})?\s*(?:[ap]\.?m\b|h\b|uhr\b)|\b(?:lundi|mardi|mercredi|jeudi|vendredi|samedi|dimanche|demain)s?\b|\b(?:lunes|martes|mi[ée]rcoles|jueves|viernes|s[áa]bados?|domingos?|mañana)\b|\b(?:montag|dienstag|mittwoch|donnerstag|freitag|samstag|sonntag)s?\b|\bwww\.|\.(?:com|org|net|example)\b/iu;
