import { isMonthDay, readDate } from './calendar';
import { minutesOfDay, timesAreRight, type Period } from './week';
import { specialLimits, type SpecialDate, type When } from './specialDate';
import { specialDateId } from './ids';

/** What is wrong with a special date, by the name it has. */
export interface SpecialProblem {
  readonly type: 'special';
  readonly name: string;
  readonly what: 'name' | 'nameTwice' | 'id' | 'noSuchDate' | 'endsFirst' | 'tooLong' | 'plusDays' | 'times' | 'words';
}

/** What must hold for special dates to be kept. */
export function specialProblems(special: readonly SpecialDate[], periods: readonly Period[]): SpecialProblem[] {
  const known = new Set<string>(periods.map(({ id }) => id));
  const seen = new Set<string>();
  return special.flatMap((date): SpecialProblem[] => {
    const name = date.name.trim();
    const wrong = (what: SpecialProblem['what']): SpecialProblem[] => [{ type: 'special', name, what }];
    if (name === '' || name.length > specialLimits.name) return wrong('name');
    if (!specialDateId.is(date.id) || seen.has(date.id)) return wrong('id');
    seen.add(date.id);
    // The same day of several years, entered one by one, has one name.
    const key = `${name.toLowerCase()} ${date.when.type === 'once' ? date.when.from : ''}`;
    if (seen.has(key)) return wrong('nameTwice');
    seen.add(key);
    if (date.words.length > specialLimits.words) return wrong('words');
    const what = whenProblem(date.when) ?? timesProblem(date, known);
    return what ? wrong(what) : [];
  });
}

function whenProblem(when: When): SpecialProblem['what'] | undefined {
  if (when.type === 'once') {
    const [from, to] = [readDate(when.from), readDate(when.to)];
    if (from === undefined || to === undefined) return 'noSuchDate';
    if (to < from) return 'endsFirst';
    return to - from < 366 ? undefined : 'tooLong';
  }
  if (!Number.isInteger(when.days) || when.days < 1 || when.days > specialLimits.days) return 'tooLong';
  if (when.type === 'yearly') return isMonthDay(when) ? undefined : 'noSuchDate';
  if (!Number.isInteger(when.plusDays) || Math.abs(when.plusDays) > specialLimits.plusDays) return 'plusDays';
  return when.type === 'nthWeekday' && !isMonthDay({ month: when.month, day: 1 }) ? 'noSuchDate' : undefined;
}

function timesProblem({ hours }: SpecialDate, known: ReadonlySet<string>): SpecialProblem['what'] | undefined {
  if (hours.type === 'closed') return timesAreRight(hours) && hours.endMin <= minutesOfDay ? undefined : 'times';
  const areRight = hours.spans.every((span) => known.has(span.periodId) && timesAreRight(span));
  return areRight && hours.spans.length <= specialLimits.times ? undefined : 'times';
}
