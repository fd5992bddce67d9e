'use client';

import { createTheme } from '@mui/material/styles';
import { controls } from './controls';
import { fields } from './fields';
import { surfaces } from './surfaces';
import { tables } from './tables';
import { elementOf, typography } from './type';
import { DARK, LIGHT, ON_STRIPE } from './tokens';

declare module '@mui/material/styles' {
  interface Palette {
    /** Ground of what lies under the pointer, and the hairline between rows. */
    faint: string;
  }
  interface PaletteOptions {
    faint: string;
  }
}

const palette = (of: Readonly<Record<keyof typeof LIGHT, string>>, onMoss: string) => ({
  primary: { main: of.moss, contrastText: onMoss },
  secondary: { main: of.quiet },
  error: { main: of.rust },
  warning: { main: of.ochre },
  info: { main: of.slate },
  success: { main: of.moss },
  background: { default: of.paper, paper: of.sheet },
  text: { primary: of.ink, secondary: of.quiet },
  divider: of.rule,
  faint: of.faint,
});

export const theme = createTheme({
  cssVariables: { colorSchemeSelector: 'data' },
  colorSchemes: {
    light: { palette: palette(LIGHT, ON_STRIPE.cream) },
    dark: { palette: palette(DARK, DARK.paper) },
  },
  shape: { borderRadius: 0 },
  typography,
  components: {
    ...controls,
    ...fields,
    ...surfaces,
    ...tables,
    MuiTypography: { defaultProps: { variant: 'inherit', variantMapping: elementOf } },
  },
});
