/** A day as somebody types it, in parts. */
export interface TypedDay {
  readonly year: number;
  /** From 1 to 12. */
  readonly month: number;
  readonly day: number;
}

/**
 * A day as people type it: numbers in the order of their own format ("1/4/2027" or "4.1.2027"), with the month's name in any
 * place ("4 Jan 2027"), or as in 2027-01-04. A year of two digits is one of this century; one that is left out is this year.
 *
 * @param locale whose order and months, as the browser has it unless said otherwise
 * @returns undefined where it is no day
 */
export function readTypedDay(text: string, thisYear: number, locale?: string): TypedDay | undefined {
  const iso = /^\s*(\d{4})-(\d{1,2})-(\d{1,2})\s*$/.exec(text);
  if (iso) return real({ year: Number(iso[1]), month: Number(iso[2]), day: Number(iso[3]) });
  const numbers = (text.match(/\d+/g) ?? []).map(Number);
  const named = monthNamed(text, locale);
  const order = named === undefined ? orderOf(locale) : orderOf(locale).filter((part) => part !== 'month');
  const typed: Partial<Record<Part, number>> = named === undefined ? {} : { month: named };
  // "2027" stands where it is written, whatever the order.
  const year = numbers.find((number) => number > 31);
  const parts = year === undefined && numbers.length === order.length ? order : order.filter((part) => part !== 'year');
  const others = year === undefined ? numbers : numbers.filter((number) => number !== year);
  if (others.length !== parts.length) return undefined;
  parts.forEach((part, at) => (typed[part] = others[at]));
  const { month, day } = typed;
  if (month === undefined || day === undefined) return undefined;
  return real({ year: fullYear(year ?? typed.year ?? thisYear), month, day });
}

type Part = 'year' | 'month' | 'day';

function orderOf(locale: string | undefined): readonly Part[] {
  const format = new Intl.DateTimeFormat(locale, { year: 'numeric', month: 'numeric', day: 'numeric' });
  return format
    .formatToParts(0)
    .flatMap(({ type }) => (type === 'year' || type === 'month' || type === 'day' ? [type] : []));
}

/** By three letters or more of its name, there or in English. */
function monthNamed(text: string, locale: string | undefined): number | undefined {
  const words = (text.match(/\p{L}{3,}/gu) ?? []).map((word) => word.toLowerCase());
  const isNamed = (month: number): boolean =>
    [locale, 'en'].some((each) => {
      const name = new Intl.DateTimeFormat(each, { month: 'long', timeZone: 'UTC' }).format(Date.UTC(2000, month - 1));
      return words.some((word) => name.toLowerCase().startsWith(word));
    });
  return [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12].find(isNamed);
}

function fullYear(year: number): number {
  return year < 100 ? 2000 + year : year;
}

function real({ year, month, day }: TypedDay): TypedDay | undefined {
  const date = new Date(Date.UTC(year, month - 1, day));
  const isReal = date.getUTCFullYear() === year && date.getUTCMonth() === month - 1 && date.getUTCDate() === day;
  return isReal && year >= 1900 && year <= 9999 ? { year, month, day } : undefined;
}
