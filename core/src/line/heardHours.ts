import { hoursWithSwitch, removePeriod, type Hours, type Switch, type TimeZone } from '../hours';
import type { AnsweringOrder, AnsweringRule, Attendant } from './attendant';
import { usableSwitch } from './slotOfAnswer';

/** What greetings say of a line's hours at a moment: as its callers find them, and as the switch that is on has them. */
export function saidHours(
  {
    hours,
    timeZone,
    switched,
  }: { readonly hours: Hours; readonly timeZone: TimeZone; readonly switched: Switch | null },
  attendant: Attendant,
): Hours {
  return hoursWithSwitch(heardHours(hours, attendant.answering), timeZone, usableSwitch(attendant, switched));
}

const heard = new WeakMap<Hours, { readonly rules: readonly AnsweringRule[]; readonly hours: Hours }>();

/**
 * The hours of a line as callers find them, for what is said of them: a further period, such as lunch, is no part of the
 * first one only where it answers in its place. One that answers nothing, such as the time until which orders are taken,
 * does not make the office closed.
 */
export function heardHours(hours: Hours, { rules }: AnsweringOrder): Hours {
  const known = heard.get(hours);
  if (known?.rules === rules) return known.hours;
  const placeOf = (periodId: string): number =>
    rules.findIndex((rule) => rule.type === 'period' && rule.periodId === periodId);
  const [first, ...others] = hours.periods;
  const openPlace = first ? placeOf(first.id) : -1;
  const answersInstead = (periodId: string): boolean => {
    const place = placeOf(periodId);
    return place >= 0 && (openPlace < 0 || place < openPlace);
  };
  const made = others.filter(({ id }) => !answersInstead(id)).reduce((left, { id }) => removePeriod(left, id), hours);
  heard.set(hours, { rules, hours: made });
  return made;
}
