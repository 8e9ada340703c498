import type { Group, Member, PersonId, Rota } from '../directory';
import { readDate, showDate, wallInstant, wallTime, weekdayOf, type DayNumber, type TimeZone } from '../hours';

/** Somebody who is on call for some days in a row. */
export interface Duty {
  readonly personId: PersonId;
  /** Whose turn it would be; null where it is their own. */
  readonly insteadOf: PersonId | null;
  /** The days on which it begins and on which another's begins, each at the time of handover. */
  readonly from: DayNumber;
  /** Null where nothing is known to end it. */
  readonly until: DayNumber | null;
}

/** How far ahead, in days, the end of a duty is looked for. */
const farthest = 400;

/**
 * The day whose duty runs at an instant: before the time of handover it is the day before. A clock change that skips or
 * repeats that time moves it as it moves every other time of the day.
 */
export function dutyDay({ handoverMin }: Pick<Rota, 'handoverMin'>, zone: TimeZone, atMs: number): DayNumber {
  const { day } = wallTime(zone, atMs);
  return atMs < wallInstant(zone, day, handoverMin) ? day - 1 : day;
}

/** Who is on call on a day, from its time of handover on; null before the first turn, and where nobody takes one. */
export function onCallOn(rota: Rota, day: DayNumber): Pick<Duty, 'personId' | 'insteadOf'> | null {
  const personId = turnOn(rota, day);
  if (personId === undefined) return null;
  const instead = swapOn(rota, day);
  if (instead === undefined || instead === personId) return { personId, insteadOf: null };
  return { personId: instead, insteadOf: personId };
}

/** The duties of a stretch of days, both in it, in their order; the first from its true beginning, the last to its end. */
export function dutiesBetween(rota: Rota, from: DayNumber, to: DayNumber): readonly Duty[] {
  const duties: Duty[] = [];
  let day = Math.max(from, firstDayOf(rota));
  while (day <= to) {
    const duty = dutyOn(rota, day);
    if (!duty) break;
    duties.push(duty);
    if (duty.until === null) break;
    day = duty.until;
  }
  return duties;
}

/** The duty that runs at an instant; null where there is none. */
export function dutyAt(rota: Rota, zone: TimeZone, atMs: number): Duty | null {
  return dutyOn(rota, dutyDay(rota, zone, atMs));
}

function dutyOn(rota: Rota, day: DayNumber): Duty | null {
  const on = onCallOn(rota, day);
  if (!on) return null;
  const isSame = (other: DayNumber): boolean => {
    const there = onCallOn(rota, other);
    return there?.personId === on.personId && there.insteadOf === on.insteadOf;
  };
  let from = day;
  while (day - from < farthest && isSame(from - 1)) from -= 1;
  let until = day + 1;
  while (until - day < farthest && isSame(until)) until += 1;
  return { ...on, from, until: until - day < farthest ? until : null };
}

/**
 * The members of a group as they are rung at a moment: where whoever is on call is rung, they come first, then the others
 * by their turns, and last whoever asked to be replaced; or they alone. In any other group, and while nobody is on call,
 * all in their order.
 */
export function membersAt(
  { members, order, rota }: Pick<Group, 'members' | 'order' | 'rota'>,
  zone: TimeZone,
  atMs: number,
): readonly Member[] {
  if (order !== 'onCall' || !rota) return members;
  const day = dutyDay(rota, zone, atMs);
  const on = onCallOn(rota, day);
  if (!on) return members;
  const index = turnIndex(rota, day) ?? 0;
  const turns = [...rota.turns.slice(index), ...rota.turns.slice(0, index)];
  const byTurn = [on.personId, ...turns, ...members.map(({ personId }) => personId)];
  const asked = [...new Set(byTurn)].filter((personId) => personId !== on.insteadOf);
  const ids = on.insteadOf === null ? asked : [...asked, on.insteadOf];
  const inOrder = ids.flatMap((id) => members.find(({ personId }) => personId === id) ?? []);
  return rota.thenOthers ? inOrder : inOrder.slice(0, 1);
}

export function firstDayOf({ from }: Pick<Rota, 'from'>): DayNumber {
  return readDate(from) ?? Infinity;
}

/** The day on which the turn that runs on a day began, swaps aside. */
export function turnBegan(rota: Rota, day: DayNumber): DayNumber {
  const first = firstDayOf(rota);
  let began = day;
  while (began > first && !isHandover(rota, began)) began -= 1;
  return began;
}

/** Which turn runs on a day; undefined before the first and where there is none. */
export function turnIndex(rota: Rota, day: DayNumber): number | undefined {
  const first = firstDayOf(rota);
  const { length } = rota.turns;
  if (length === 0 || !(day >= first)) return undefined;
  const weeks = Math.floor((day - first) / 7);
  let handovers = weeks * new Set(rota.handoverOn).size;
  for (let each = first + weeks * 7 + 1; each <= day; each += 1) if (isHandover(rota, each)) handovers += 1;
  return handovers % length;
}

function turnOn(rota: Rota, day: DayNumber): PersonId | undefined {
  const index = turnIndex(rota, day);
  return index === undefined ? undefined : rota.turns[index];
}

function isHandover({ handoverOn }: Rota, day: DayNumber): boolean {
  return handoverOn.includes(weekdayOf(day));
}

function swapOn({ swaps }: Rota, day: DayNumber): PersonId | undefined {
  if (swaps.length === 0) return undefined;
  const date = showDate(day);
  return swaps.find((swap) => swap.date === date)?.personId;
}
