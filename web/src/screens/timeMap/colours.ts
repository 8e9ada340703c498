/** The colours of the drawing: the application's own on the screen, fixed ones where it is saved or printed. */
export interface MapColours {
  readonly paper: string;
  readonly ink: string;
  readonly quiet: string;
  readonly hairline: string;
  readonly sunk: string;
  readonly solid: string;
  readonly contrast: string;
  readonly subtle: string;
  readonly line: string;
}

export const screenColours: MapColours = {
  paper: 'var(--chakra-colors-sheet)',
  ink: 'var(--chakra-colors-ink)',
  quiet: 'var(--chakra-colors-quiet)',
  hairline: 'var(--chakra-colors-hairline)',
  sunk: 'var(--chakra-colors-sunk)',
  solid: 'var(--chakra-colors-petrol-solid)',
  contrast: 'var(--chakra-colors-petrol-contrast)',
  subtle: 'var(--chakra-colors-petrol-subtle)',
  line: 'var(--chakra-colors-petrol-emphasized)',
};

export const paperColours: MapColours = {
  paper: '#ffffff',
  ink: '#1f1d1a',
  quiet: '#5f5a51',
  hairline: '#ddd5c7',
  sunk: '#f1ece2',
  solid: '#0f5257',
  contrast: '#ffffff',
  subtle: '#e6efed',
  line: '#a9cbca',
};
