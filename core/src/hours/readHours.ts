import { z } from 'zod';
import { right, wrong, type Result } from '../result';
import { longestWeekName, mostDatedWeeks, type DatedWeek } from './datedWeek';
import { datedWeekId, hoursId, periodId, seasonId, specialDateId } from './ids';
import { longestSeasonName, type Season } from './season';
import { moves, specialLimits, type SpecialDate } from './specialDate';
import { longestPeriodName, mostPeriods, mostSeasons, mostWeekSpans, type Hours } from './hours';
import { plainName, plainText } from '../text';

/** What came is not made as hours, seasons or special dates are. */
export interface NotHours {
  readonly type: 'notHours';
  /** Where in it, such as `0.when.month`. */
  readonly at: string;
}

const id = <Kind extends { readonly pattern: RegExp }>({ pattern }: Kind) => z.string().max(60).regex(pattern);
const whole = z.int();
const span = { periodId: id(periodId), startMin: whole, endMin: whole };
const monthDay = { month: whole, day: whole };
const weekday = z.literal([1, 2, 3, 4, 5, 6, 7]);

const season = z.strictObject({
  id: id(seasonId),
  // One more than allowed is let through, so that core can say in words what is wrong.
  name: z
    .string()
    .overwrite(plainName)
    .max(longestSeasonName + 1),
  from: z.strictObject(monthDay),
  to: z.strictObject(monthDay),
  years: z.strictObject({ first: whole.nullable(), last: whole.nullable() }).optional(),
  week: z.array(z.strictObject({ ...span, day: weekday })).max(mostWeekSpans + 1),
});

const datedWeek = z.strictObject({
  id: id(datedWeekId),
  name: z
    .string()
    .overwrite(plainName)
    .max(longestWeekName + 1),
  from: z.string().max(10),
  week: season.shape.week,
});

const when = z.discriminatedUnion('type', [
  z.strictObject({ type: z.literal('once'), from: z.string().max(10), to: z.string().max(10) }),
  z.strictObject({ type: z.literal('yearly'), ...monthDay, days: whole }),
  z.strictObject({
    type: z.literal('nthWeekday'),
    nth: z.literal([1, 2, 3, 4, 5, -1]),
    weekday,
    month: whole,
    plusDays: whole,
    days: whole,
  }),
  z.strictObject({
    type: z.literal('easter'),
    church: z.enum(['western', 'eastern']),
    plusDays: whole,
    days: whole,
  }),
]);

const special = z.strictObject({
  id: id(specialDateId),
  name: z
    .string()
    .overwrite(plainName)
    .max(specialLimits.name + 1),
  when,
  moved: z.enum(moves),
  hours: z.discriminatedUnion('type', [
    z.strictObject({ type: z.literal('closed'), startMin: whole, endMin: whole }),
    z.strictObject({ type: z.literal('times'), spans: z.array(z.strictObject(span)).max(specialLimits.times + 1) }),
  ]),
  words: z
    .string()
    .overwrite(plainText)
    .max(specialLimits.words + 1),
});

const hours = z.object({
  id: id(hoursId),
  name: z
    .string()
    .overwrite(plainName)
    .max(longestPeriodName + 1),
  periods: z
    .array(
      z.object({
        id: id(periodId),
        name: z
          .string()
          .overwrite(plainName)
          .max(longestPeriodName + 1),
      }),
    )
    .max(mostPeriods + 1),
  week: season.shape.week,
  // Those of earlier releases have none.
  datedWeeks: z
    .array(datedWeek)
    .max(mostDatedWeeks + 1)
    .default([]),
  seasons: z.array(season).max(mostSeasons + 1),
  special: z.array(special).max(specialLimits.most + 1),
  breaksSaid: z.boolean().optional(),
});

/** Whole hours as they come from outside, checked for their shape only. */
export function readHours(raw: unknown): Result<Hours, NotHours> {
  return read(hours, raw);
}

/** Seasons as they come from outside, checked for their shape only. */
export function readSeasons(raw: unknown): Result<readonly Season[], NotHours> {
  return read(z.array(season).max(mostSeasons + 1), raw);
}

/** Dated weeks as they come from outside, checked for their shape only. */
export function readDatedWeeks(raw: unknown): Result<readonly DatedWeek[], NotHours> {
  return read(z.array(datedWeek).max(mostDatedWeeks + 1), raw);
}

/** Special dates as they come from outside, checked for their shape only. */
export function readSpecialDates(raw: unknown): Result<readonly SpecialDate[], NotHours> {
  return read(z.array(special).max(specialLimits.most + 1), raw);
}

function read<Value>(schema: z.ZodType, raw: unknown): Result<Value, NotHours> {
  const result = schema.safeParse(raw);
  if (result.success) return right(result.data as Value);
  return wrong({ type: 'notHours', at: result.error.issues[0]?.path.join('.') ?? '' });
}
