/** A size as people read it: “312 MB”, “1.4 GB”. */
export function showBytes(bytes: number): string {
  const units = ['byte', 'kilobyte', 'megabyte', 'gigabyte', 'terabyte'] as const;
  const step = Math.min(units.length - 1, Math.floor(Math.log10(Math.max(1, bytes)) / 3));
  const format = { style: 'unit', unit: units[step], unitDisplay: 'short', maximumSignificantDigits: 3 } as const;
  return new Intl.NumberFormat('en', format).format(bytes / 1000 ** step);
}
