import { createSystem, defaultConfig, defineConfig } from '@chakra-ui/react';

/** A colour for light and for dark. */
const both = (light: string, dark: string) => ({ value: { base: light, _dark: dark } });

const config = defineConfig({
  globalCss: {
    'html, body': { bg: 'paper', color: 'ink', fontSize: '14px', lineHeight: '1.45' },
    '*:focus-visible': { outline: '2px solid {colors.petrol.focusRing}', outlineOffset: '1px' },
    'html :where(*)': {
      '@media (prefers-reduced-motion: reduce)': { animation: 'none !important', transition: 'none !important' },
    },
  },
  theme: {
    tokens: {
      fonts: {
        body: { value: '"IBM Plex Sans", sans-serif' },
        heading: { value: '"IBM Plex Sans", sans-serif' },
        spoken: { value: '"Source Serif 4 Variable", serif' },
        mono: { value: '"IBM Plex Mono", monospace' },
      },
    },
    semanticTokens: {
      colors: {
        paper: both('#faf7f1', '#171614'),
        sheet: both('#fffdf9', '#1f1e1b'),
        sunk: both('#f1ece2', '#272521'),
        ink: both('#1f1d1a', '#efeae1'),
        quiet: both('#5f5a51', '#a9a295'),
        hairline: both('#ddd5c7', '#3a3731'),
        lamp: both('#d9532f', '#f0805f'),
        bg: { DEFAULT: both('#fffdf9', '#1f1e1b') },
        fg: { DEFAULT: both('#1f1d1a', '#efeae1'), muted: both('#5f5a51', '#a9a295') },
        border: { DEFAULT: both('#ddd5c7', '#3a3731') },
        petrol: {
          solid: both('#0f5257', '#6fb7b9'),
          contrast: both('#ffffff', '#10201f'),
          fg: both('#0f5257', '#8cc9ca'),
          muted: both('#cfe2e1', '#24403f'),
          subtle: both('#e6efed', '#1e2f2e'),
          emphasized: both('#a9cbca', '#35605f'),
          focusRing: both('#16757c', '#8cc9ca'),
        },
      },
    },
  },
});

/** Paper, ink and one lamp: the application's look as tokens, light and dark. */
export const system = createSystem(defaultConfig, config);
