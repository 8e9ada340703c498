/** A size as people read it: “312 MB”, “1.4 GB”. */
export function showBytes(bytes: number): string {
  if (bytes < 1000) return bytes === 1 ? '1 byte' : `${bytes} bytes`;
  const units = ['byte', 'kilobyte', 'megabyte', 'gigabyte', 'terabyte'] as const;
  const step = Math.min(units.length - 1, Math.floor(Math.log10(bytes) / 3));
  const format = { style: 'unit', unit: units[step], unitDisplay: 'short', maximumSignificantDigits: 3 } as const;
  return new Intl.NumberFormat('en', format).format(bytes / 1000 ** step);
}
