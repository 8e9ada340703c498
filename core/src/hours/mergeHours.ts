import { groupsBy, itemsBy, merge, membersOf, type Clash, type Merged, type Side } from '../merging';
import type { Hours, HoursContent } from './hours';
import type { DatedWeek } from './datedWeek';
import type { Season } from './season';
import { allWeeks } from './weekOn';
import type { SpecialDate } from './specialDate';
import type { Period, WeekSpan } from './week';

/** What of a set of hours can be edited. */
export type EditedHours = HoursContent & Pick<Hours, 'name' | 'breaksSaid'>;

/** What of a set of hours can be edited, without its id and revision. */
export function editedOf(hours: EditedHours): EditedHours {
  const { name, periods, week, datedWeeks, seasons, special, breaksSaid = true } = hours;
  return { name, periods, week, datedWeeks, seasons, special, breaksSaid };
}

const week = groupsBy<WeekSpan>(({ periodId, day }) => `${periodId} ${day}`);

/** What of hours is changed by itself: each period on each day of a week, each special date in its parts. */
const shape = membersOf({
  periods: itemsBy<Period>(({ id }) => id, membersOf()),
  week,
  datedWeeks: itemsBy<DatedWeek>(({ id }) => id, membersOf({ week })),
  seasons: itemsBy<Season>(({ id }) => id, membersOf({ week })),
  special: itemsBy<SpecialDate>(({ id }) => id, membersOf()),
});

/**
 * Puts what was changed here on top of what another window made of the same hours. A period that the one took out while
 * the other gave it times stays.
 */
export function mergeHours<Edited extends EditedHours>(
  base: Edited,
  mine: Edited,
  theirs: Edited,
  choose?: (clash: Clash) => Side,
): Merged<Edited> {
  const { document, clashes } = merge(base, mine, theirs, shape, choose);
  const times = [
    ...allWeeks(document).flat(),
    ...document.special.flatMap(({ hours }) => (hours.type === 'times' ? hours.spans : [])),
  ];
  const gone = base.periods.filter(
    ({ id }) => !document.periods.some((period) => period.id === id) && times.some(({ periodId }) => periodId === id),
  );
  return { document: gone.length === 0 ? document : { ...document, periods: [...document.periods, ...gone] }, clashes };
}
