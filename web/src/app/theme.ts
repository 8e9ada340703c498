import { createSystem, defaultBaseConfig, defineConfig } from '@chakra-ui/react';
import {
  animationStyles,
  breakpoints,
  buttonRecipe,
  cssVarsPrefix,
  cssVarsRoot,
  datePickerSlotRecipe,
  dialogSlotRecipe,
  globalCss,
  headingRecipe,
  inputRecipe,
  keyframes,
  layerStyles,
  linkRecipe,
  menuSlotRecipe,
  semanticTokens,
  tableSlotRecipe,
  textareaRecipe,
  textStyles,
  toastSlotRecipe,
  tokens,
} from '@chakra-ui/react/theme';

const { transparent, current, black, white, whiteAlpha, blackAlpha, gray, red } = tokens.colors;
const { colors, ...otherSemanticTokens } = semanticTokens;

/** What the screens use of the theme, named part by part: the rest is neither loaded nor read. */
const used = defineConfig({
  preflight: true,
  cssVarsPrefix,
  cssVarsRoot,
  globalCss,
  theme: {
    ...{ breakpoints, keyframes, textStyles, layerStyles, animationStyles },
    tokens: { ...tokens, colors: { transparent, current, black, white, whiteAlpha, blackAlpha, gray, red } },
    semanticTokens: {
      ...otherSemanticTokens,
      colors: { bg: colors.bg, fg: colors.fg, border: colors.border, gray: colors.gray, red: colors.red },
    },
    recipes: {
      button: buttonRecipe,
      heading: headingRecipe,
      input: inputRecipe,
      link: linkRecipe,
      textarea: textareaRecipe,
    },
    slotRecipes: {
      datePicker: datePickerSlotRecipe,
      dialog: dialogSlotRecipe,
      menu: menuSlotRecipe,
      table: tableSlotRecipe,
      toast: toastSlotRecipe,
    },
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
