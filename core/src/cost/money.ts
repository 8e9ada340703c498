/** An amount of money: a whole number of millionths of the currency, so that sums are exact. */
export type Amount = number;

export const one: Amount = 1_000_000;
/** More than any price or budget of a telephone line. */
export const mostAmount: Amount = 10_000_000 * one;

/** Currencies by their three letters (ISO 4217). */
export type Currency = string;
export const currencyPattern = /^[A-Z]{3}$/;

/** Every currency that can be chosen (ECMA-402), by its letters. */
export function currencies(): readonly Currency[] {
  return Intl.supportedValuesOf('currency');
}

/** As people write it: "$1,234.50". Prices of a minute keep all their decimals. */
export function showAmount(amount: Amount, currency: Currency, locale?: string): string {
  return formatted(amount, currency, locale);
}

/** A price, which may be of parts of the smallest coin: "$0.0085". */
export function showPrice(price: Amount, currency: Currency, locale?: string): string {
  return formatted(price, currency, locale, 6);
}

/** Without its currency, as it can be typed again: "4.00", "0.0085". */
export function showPlainAmount(amount: Amount, locale?: string): string {
  const decimals = { minimumFractionDigits: 2, maximumFractionDigits: 6, useGrouping: false } as const;
  return new Intl.NumberFormat(locale, decimals).format(amount / one);
}

function formatted(amount: Amount, currency: Currency, locale?: string, most?: number): string {
  const parts = { style: 'currency', currency, ...(most !== undefined && { maximumFractionDigits: most }) } as const;
  return new Intl.NumberFormat(locale, parts).format(amount / one);
}

/** Reads an amount as people type it, "0.0085", "1,234.50", "1 234,5"; undefined where it is none. */
export function readAmount(text: string): Amount | undefined {
  const plain = text.trim().replace(/[\s\u00a0\u202f']/g, '');
  const decimal = Math.max(plain.lastIndexOf('.'), plain.lastIndexOf(','));
  if (!/^\d*(?:[.,]\d+)*[.,]?\d*$/.test(plain) || !/\d/.test(plain)) return undefined;
  const separators = plain.replace(/\d/g, '');
  // "1,234" is more than a thousand, "0,085" and "1,5" are not; one kind of mark more than once parts thousands.
  const last = separators.at(-1) ?? '';
  const isThousands =
    separators.length > 0 &&
    (separators.length > 1 ? separators.split('').every((mark) => mark === last) : /^[1-9]\d{0,2},\d{3}$/.test(plain));
  const whole = isThousands || decimal < 0 ? plain.replace(/[.,]/g, '') : plain.slice(0, decimal).replace(/[.,]/g, '');
  const fraction = isThousands || decimal < 0 ? '' : plain.slice(decimal + 1);
  if (fraction.length > 6) return undefined;
  const amount = Number(whole || '0') * one + Number(fraction.padEnd(6, '0') || '0');
  return amount <= mostAmount ? amount : undefined;
}
