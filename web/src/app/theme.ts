import { createSystem, defaultBaseConfig, defineConfig } from '@chakra-ui/react';
import { defaultThemeConfig } from '@chakra-ui/react/theme';

/** Reading the whole theme costs more than the first screen itself; this is what the screens use. */
const { recipes, slotRecipes, tokens, semanticTokens, ...rest } = defaultThemeConfig.theme ?? {};
const pick = <Of>(from: Record<string, Of> | undefined, names: readonly string[]): Record<string, Of> =>
  Object.fromEntries(Object.entries(from ?? {}).filter(([name]) => names.includes(name)));
const used = defineConfig({
  ...defaultThemeConfig,
  theme: {
    ...rest,
    tokens: {
      ...tokens,
      colors: pick(tokens?.colors, [
        'transparent',
        'current',
        'black',
        'white',
        'whiteAlpha',
        'blackAlpha',
        'gray',
        'red',
      ]),
    },
    semanticTokens: {
      ...semanticTokens,
      colors: pick(semanticTokens?.colors, ['bg', 'fg', 'border', 'gray', 'red']),
    },
    recipes: pick(recipes, ['button', 'heading', 'input', 'link', 'textarea']),
    slotRecipes: pick(slotRecipes, ['dialog', 'menu', 'table', 'toast']),
  },
});

/** A colour for light and for dark. */
const both = (light: string, dark: string) => ({ value: { base: light, _dark: dark } });

const config = defineConfig({
  globalCss: {
    'html, body': { bg: 'paper', color: 'ink', fontSize: '14px', lineHeight: '1.45' },
    '*:focus-visible': { outline: '2px solid {colors.petrol.focusRing}', outlineOffset: '1px' },
    'html[data-handset]': { '@media (min-width: 48em)': { '--notices-right': '336px' } },
    '[data-scope=toast][data-part=group]': { pointerEvents: 'none' },
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
export const system = createSystem(defaultBaseConfig, used, config);
