import type { Components, Theme } from '@mui/material/styles';
import { HAIRLINE, INK, WIDTH, THUMB, THUMB_PX } from './tokens';

declare module '@mui/material/Button' {
  interface ButtonPropsVariantOverrides {
    /** Underlined, in a line of text. */
    link: true;
    /** Under the thumb in the field: start, count, hold. */
    go: true;
    /** The same for stop and for what failed. */
    stop: true;
  }
}

/** Buttons, toggles and tabs: square, flat, with a hairline. */
export const controls: Components<Theme> = {
  MuiButtonBase: {
    defaultProps: { disableRipple: true },
    styleOverrides: { root: { font: 'inherit', color: 'inherit' } },
  },
  MuiButton: {
    defaultProps: { disableElevation: true, size: 'small', variant: 'outlined' },
    styleOverrides: {
      root: {
        minWidth: 0,
        minHeight: 30,
        [THUMB]: {
          '&:where(:not(.MuiButton-link, .MuiButton-go, .MuiButton-stop))': { minHeight: THUMB_PX },
        },
        padding: '5px 12px',
        fontSize: 14,
        lineHeight: 1.35,
        fontWeight: 600,
        letterSpacing: 0,
        transition: 'none',
        variants: [
          {
            props: { variant: 'outlined', color: 'primary' },
            style: {
              border: HAIRLINE,
              background: INK.sheet,
              color: INK.ink,
              '&:hover': {
                borderColor: INK.ink,
                background: INK.sheet,
              },
              '&[aria-pressed="true"]': {
                background: INK.ink,
                color: INK.paper,
              },
            },
          },
          {
            props: { variant: 'outlined', color: 'success' },
            style: {
              minHeight: 24,
              padding: '1px 8px',
              fontSize: 13,
              borderColor: INK.moss,
              background: INK.sheet,
              '&:hover': {
                background: INK.moss,
                color: INK.onMoss,
              },
            },
          },
          {
            props: { variant: 'contained', color: 'primary' },
            style: {
              '&:hover': { background: INK.moss, filter: 'brightness(1.12)' },
            },
          },
          {
            props: { variant: 'text' },
            style: {
              minHeight: 24,
              padding: '3px 6px',
              fontSize: 13,
              fontWeight: 400,
              whiteSpace: 'nowrap',
              color: INK.quiet,
              '&:hover': { background: 'none', color: INK.ink },
              '&[aria-pressed="true"]': { color: INK.ink, fontWeight: 600 },
            },
          },
          {
            props: { variant: 'link' },
            style: {
              display: 'inline',
              minHeight: 0,
              padding: 0,
              font: 'inherit',
              fontWeight: 'inherit',
              color: 'inherit',
              textAlign: 'left',
              verticalAlign: 'baseline',
              textDecoration: 'underline',
              textUnderlineOffset: 2,
              '&:hover': { background: 'none', textDecoration: 'underline', textDecorationThickness: 2 },
              '&.Mui-disabled': { textDecoration: 'none', opacity: 0.5 },
            },
          },
          {
            props: { variant: 'link', color: 'secondary' },
            style: { color: INK.quiet },
          },
          { props: { size: 'large' }, style: { minHeight: 52, fontSize: 17, padding: '10px 16px' } },
          ...(['go', 'stop'] as const).map((variant) => ({
            props: { variant },
            style: {
              display: 'block',
              width: '100%',
              minHeight: 84,
              fontSize: 20,
              fontWeight: 650,
              color: INK.paper,
              background: variant === 'go' ? INK.moss : INK.rust,
              '&:hover': {
                background: variant === 'go' ? INK.moss : INK.rust,
                filter: 'brightness(1.12)',
              },
              '&.Mui-disabled': { opacity: 0.5, color: INK.paper },
            },
          })),
        ],
      },
    },
  },
  MuiIconButton: {
    defaultProps: { size: 'small' },
    styleOverrides: {
      root: {
        minWidth: 24,
        minHeight: 24,
        [THUMB]: { minWidth: 32, minHeight: THUMB_PX },
        padding: 2,
        borderRadius: 0,
        fontSize: 16,
        lineHeight: 1,
        transition: 'none',
        color: INK.quiet,
        '&:hover': { background: INK.faint, color: INK.ink },
      },
    },
  },
  MuiToggleButtonGroup: {
    styleOverrides: {
      root: {
        border: HAIRLINE,
        flexWrap: 'wrap',
        flex: 'none',
        maxWidth: '100%',
        verticalAlign: 'middle',
      },
    },
  },
  MuiToggleButton: {
    defaultProps: { size: 'medium' },
    styleOverrides: {
      root: {
        border: 0,
        margin: 0,
        flexGrow: 1,
        minHeight: 28,
        padding: '4px 12px',
        whiteSpace: 'nowrap',
        fontSize: 14,
        fontWeight: 400,
        lineHeight: 1.35,
        letterSpacing: 0,
        textTransform: 'none',
        transition: 'none',
        color: INK.ink,
        background: INK.sheet,
        '&:hover': { background: INK.faint },
        '&.Mui-selected, &.Mui-selected:hover': {
          background: INK.ink,
          color: INK.paper,
          fontWeight: 600,
        },
        '&.Mui-disabled': { border: 0, opacity: 0.6 },
        '& + &': { borderLeft: HAIRLINE },
        variants: [{ props: { size: 'small' }, style: { minHeight: 24, padding: '2px 8px', fontSize: 12 } }],
        [THUMB]: { '&&': { minHeight: THUMB_PX } },
      },
    },
  },
  MuiTabs: {
    styleOverrides: {
      root: {
        minHeight: 0,
        overflow: 'visible',
        borderBottom: HAIRLINE,
        marginBottom: 10,
      },
      scroller: { overflow: 'visible !important' },
      list: { flexWrap: 'wrap', columnGap: 18 },
      indicator: { display: 'none' },
    },
  },
  MuiTab: {
    styleOverrides: {
      root: {
        minWidth: 0,
        minHeight: 28,
        [THUMB]: { minHeight: THUMB_PX },
        padding: '2px 0 6px',
        marginBottom: -1,
        flexDirection: 'row',
        fontSize: 14,
        fontWeight: 600,
        fontStretch: WIDTH.label,
        letterSpacing: 0,
        textTransform: 'none',
        color: INK.quiet,
        borderBottom: '3px solid transparent',
        '&:hover': { color: INK.ink },
        '&.Mui-selected': {
          color: INK.ink,
          borderColor: INK.ink,
        },
      },
    },
  },
  MuiChip: {
    defaultProps: { variant: 'outlined', size: 'small' },
    styleOverrides: {
      root: {
        height: 'auto',
        minHeight: 26,
        borderRadius: 0,
        borderColor: INK.rule,
        background: INK.sheet,
        fontSize: 13,
        '&[aria-pressed="true"], &[aria-pressed="true"]:hover': {
          background: INK.ink,
          color: INK.paper,
          borderColor: INK.ink,
        },
      },
      label: { padding: '2px 9px', whiteSpace: 'normal' },
    },
  },
  MuiSlider: {
    defaultProps: { size: 'small' },
    styleOverrides: {
      // the thumb stays inside at either end
      root: { borderRadius: 0, padding: '10px 0', height: 3, width: 'calc(100% - 10px)', margin: '0 5px' },
      rail: { background: INK.quiet, opacity: 0.35 },
      thumb: {
        borderRadius: 0,
        width: 10,
        height: 18,
        transition: 'none',
        '&:hover, &.Mui-focusVisible, &.Mui-active': { boxShadow: 'none' },
        '&::before': { boxShadow: 'none' },
      },
      track: { transition: 'none' },
    },
  },
};
