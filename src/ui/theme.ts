'use client';

import { createTheme } from '@mui/material/styles';

const sans = "'Archivo Variable', 'Archivo', sans-serif";

export const theme = createTheme({
  cssVariables: { colorSchemeSelector: 'data' },
  colorSchemes: {
    light: {
      palette: {
        primary: { main: '#46633A', contrastText: '#FBFAF6' },
        error: { main: '#A3412A' },
        warning: { main: '#8A6212' },
        info: { main: '#3A5D75' },
        background: { default: '#F6F3EC', paper: '#FFFDF8' },
        text: { primary: '#20241F', secondary: '#5B6158' },
        divider: '#DAD5C8',
      },
    },
    dark: {
      palette: {
        primary: { main: '#9DB886', contrastText: '#161916' },
        error: { main: '#E58B6E' },
        warning: { main: '#E0B45A' },
        info: { main: '#8FB4CC' },
        background: { default: '#161916', paper: '#1E221E' },
        text: { primary: '#ECE9E0', secondary: '#A9ADA2' },
        divider: '#34372F',
      },
    },
  },
  shape: { borderRadius: 0 },
  typography: { fontFamily: sans, fontSize: 14, button: { textTransform: 'none', fontWeight: 600 } },
  components: {
    MuiButton: {
      defaultProps: { disableElevation: true, size: 'small' },
      styleOverrides: { root: { whiteSpace: 'nowrap', fontSize: 14 } },
    },
    MuiButtonBase: { defaultProps: { disableRipple: true } },
    MuiSlider: {
      styleOverrides: { root: { borderRadius: 0 }, thumb: { borderRadius: 0, width: 12, height: 18 } },
    },
  },
});
