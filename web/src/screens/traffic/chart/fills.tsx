export const ink = 'var(--chakra-colors-ink)';
export const quiet = 'var(--chakra-colors-quiet)';
const sheet = 'var(--chakra-colors-sheet)';
export const petrol = 'var(--chakra-colors-petrol-solid)';

/** What bars are filled with: told apart by lightness and texture of one hue, so that they are on paper too. */
export const fills = {
  solid: petrol,
  pale: 'var(--chakra-colors-petrol-emphasized)',
  dots: 'url(#chart-dots)',
  stripes: 'url(#chart-stripes)',
  darkStripes: 'url(#chart-dark-stripes)',
} as const;
export type Fill = keyof typeof fills;

/** The textures; in each drawing that uses them. */
export function Textures() {
  const across = { width: 6, height: 6, patternUnits: 'userSpaceOnUse', patternTransform: 'rotate(45)' } as const;
  return (
    <defs>
      <pattern id="chart-dots" width="6" height="6" patternUnits="userSpaceOnUse">
        <rect width="6" height="6" fill={sheet} />
        <circle cx="3" cy="3" r="1.3" fill={petrol} />
      </pattern>
      <pattern id="chart-stripes" {...across}>
        <rect width="6" height="6" fill={sheet} />
        <rect width="1.2" height="6" fill={petrol} />
      </pattern>
      <pattern id="chart-dark-stripes" {...across}>
        <rect width="6" height="6" fill={sheet} />
        <rect width="2.4" height="6" fill={ink} />
      </pattern>
    </defs>
  );
}
