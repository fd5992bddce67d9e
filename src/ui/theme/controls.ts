import type { Components, Theme } from '@mui/material/styles';
import { MONO, WIDTH } from './tokens';

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

const hairline = (theme: Theme) => `1px solid ${theme.vars!.palette.divider}`;

/** Buttons, toggles and tabs: square, flat, with a hairline. */
export const controls: Components<Theme> = {
  MuiButtonBase: {
    defaultProps: { disableRipple: true },
    styleOverrides: { root: { font: 'inherit', color: 'inherit' } },
  },
  MuiButton: {
    defaultProps: { disableElevation: true, size: 'small', variant: 'outlined' },
    styleOverrides: {
      root: ({ theme }) => ({
        minWidth: 0,
        minHeight: 30,
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
              border: hairline(theme),
              background: theme.vars!.palette.background.paper,
              color: theme.vars!.palette.text.primary,
              '&:hover': {
                borderColor: theme.vars!.palette.text.primary,
                background: theme.vars!.palette.background.paper,
              },
              '&[aria-pressed="true"]': {
                background: theme.vars!.palette.text.primary,
                color: theme.vars!.palette.background.default,
              },
            },
          },
          {
            props: { variant: 'outlined', color: 'success' },
            style: {
              minHeight: 24,
              padding: '1px 8px',
              fontSize: 13,
              borderColor: theme.vars!.palette.primary.main,
              background: theme.vars!.palette.background.paper,
              '&:hover': {
                background: theme.vars!.palette.primary.main,
                color: theme.vars!.palette.primary.contrastText,
              },
            },
          },
          {
            props: { variant: 'contained', color: 'primary' },
            style: {
              '&:hover': { background: theme.vars!.palette.primary.main, filter: 'brightness(1.12)' },
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
              color: theme.vars!.palette.text.secondary,
              '&:hover': { background: 'none', color: theme.vars!.palette.text.primary },
              '&[aria-pressed="true"]': { color: theme.vars!.palette.text.primary, fontWeight: 600 },
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
            style: { color: theme.vars!.palette.text.secondary },
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
              color: theme.vars!.palette.background.default,
              background:
                variant === 'go' ? theme.vars!.palette.primary.main : theme.vars!.palette.error.main,
              '&:hover': {
                background:
                  variant === 'go' ? theme.vars!.palette.primary.main : theme.vars!.palette.error.main,
                filter: 'brightness(1.12)',
              },
              '&.Mui-disabled': { opacity: 0.5, color: theme.vars!.palette.background.default },
            },
          })),
        ],
      }),
    },
  },
  MuiIconButton: {
    defaultProps: { size: 'small' },
    styleOverrides: {
      root: ({ theme }) => ({
        minWidth: 24,
        minHeight: 24,
        padding: 2,
        borderRadius: 0,
        fontSize: 16,
        lineHeight: 1,
        transition: 'none',
        color: theme.vars!.palette.text.secondary,
        '&:hover': { background: theme.vars!.palette.faint, color: theme.vars!.palette.text.primary },
      }),
    },
  },
  MuiListItemButton: {
    styleOverrides: {
      root: ({ theme }) => ({
        justifyContent: 'space-between',
        padding: '5px 8px',
        fontSize: 14,
        borderBottom: `1px solid ${theme.vars!.palette.faint}`,
        transition: 'none',
        '&:hover': { background: theme.vars!.palette.faint },
        '&.Mui-selected, &.Mui-selected:hover': {
          background: theme.vars!.palette.text.primary,
          color: theme.vars!.palette.background.default,
          '& .quiet': { color: 'inherit' },
        },
      }),
    },
  },
  MuiTableSortLabel: {
    styleOverrides: {
      root: { '&.Mui-active': { fontWeight: 700 } },
      icon: { width: 14, height: 14, margin: '0 2px' },
    },
  },
  MuiDialog: {
    styleOverrides: {
      paper: ({ theme }) => ({ border: hairline(theme), boxShadow: 'none', backgroundImage: 'none' }),
    },
  },
  MuiToggleButtonGroup: {
    styleOverrides: {
      root: ({ theme }) => ({
        border: hairline(theme),
        flexWrap: 'wrap',
        flex: 'none',
        maxWidth: '100%',
        verticalAlign: 'middle',
      }),
    },
  },
  MuiToggleButton: {
    defaultProps: { size: 'medium' },
    styleOverrides: {
      root: ({ theme }) => ({
        border: 0,
        margin: 0,
        minHeight: 28,
        padding: '4px 12px',
        whiteSpace: 'nowrap',
        fontSize: 14,
        fontWeight: 400,
        lineHeight: 1.35,
        letterSpacing: 0,
        textTransform: 'none',
        transition: 'none',
        color: theme.vars!.palette.text.primary,
        background: theme.vars!.palette.background.paper,
        '&:hover': { background: theme.vars!.palette.faint },
        '&.Mui-selected, &.Mui-selected:hover': {
          background: theme.vars!.palette.text.primary,
          color: theme.vars!.palette.background.default,
          fontWeight: 600,
        },
        '&.Mui-disabled': { border: 0, opacity: 0.6 },
        '& + &': { borderLeft: hairline(theme) },
        variants: [{ props: { size: 'small' }, style: { minHeight: 24, padding: '2px 8px', fontSize: 12 } }],
      }),
    },
  },
  MuiTabs: {
    styleOverrides: {
      root: ({ theme }) => ({
        minHeight: 0,
        overflow: 'visible',
        borderBottom: hairline(theme),
        marginBottom: 10,
      }),
      scroller: { overflow: 'visible !important' },
      list: { flexWrap: 'wrap', columnGap: 18 },
      indicator: { display: 'none' },
    },
  },
  MuiTab: {
    styleOverrides: {
      root: ({ theme }) => ({
        minWidth: 0,
        minHeight: 28,
        padding: '2px 0 6px',
        marginBottom: -1,
        flexDirection: 'row',
        fontSize: 14,
        fontWeight: 600,
        fontStretch: WIDTH.label,
        letterSpacing: 0,
        textTransform: 'none',
        color: theme.vars!.palette.text.secondary,
        borderBottom: '3px solid transparent',
        '&:hover': { color: theme.vars!.palette.text.primary },
        '&.Mui-selected': {
          color: theme.vars!.palette.text.primary,
          borderColor: theme.vars!.palette.text.primary,
        },
      }),
    },
  },
  MuiChip: {
    defaultProps: { variant: 'outlined', size: 'small' },
    styleOverrides: {
      root: ({ theme }) => ({
        height: 'auto',
        minHeight: 26,
        borderRadius: 0,
        borderColor: theme.vars!.palette.divider,
        background: theme.vars!.palette.background.paper,
        fontSize: 13,
        '&[aria-pressed="true"], &[aria-pressed="true"]:hover': {
          background: theme.vars!.palette.text.primary,
          color: theme.vars!.palette.background.default,
          borderColor: theme.vars!.palette.text.primary,
        },
      }),
      label: { padding: '2px 9px', whiteSpace: 'normal' },
    },
  },
  MuiSlider: {
    defaultProps: { size: 'small' },
    styleOverrides: {
      // the thumb stays inside at either end
      root: { borderRadius: 0, padding: '10px 0', height: 3, width: 'calc(100% - 10px)', margin: '0 5px' },
      rail: ({ theme }) => ({ background: theme.vars!.palette.text.secondary, opacity: 0.35 }),
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
  MuiLinearProgress: {
    styleOverrides: {
      root: ({ theme }) => ({ height: 7, background: theme.vars!.palette.faint }),
      bar: ({ theme }) => ({ background: theme.vars!.palette.text.primary }),
    },
  },
  MuiAccordion: {
    defaultProps: { disableGutters: true, elevation: 0, square: true },
    styleOverrides: { root: { background: 'none', '&::before': { display: 'none' } } },
  },
  MuiAccordionSummary: {
    styleOverrides: {
      root: ({ theme }) => ({
        minHeight: 28,
        padding: '2px 0',
        flexDirection: 'row-reverse',
        justifyContent: 'flex-end',
        gap: 6,
        fontSize: 13,
        color: theme.vars!.palette.text.secondary,
        '&:hover': { color: theme.vars!.palette.text.primary },
      }),
      content: { display: 'block', margin: 0, flexGrow: 0 },
      expandIconWrapper: { color: 'inherit', '& svg': { width: 9, height: 9 } },
    },
  },
  MuiAccordionDetails: { styleOverrides: { root: { padding: 0 } } },
  MuiAlert: {
    defaultProps: { icon: false },
    styleOverrides: {
      root: ({ theme }) => ({
        padding: '6px 12px',
        margin: '10px 0',
        maxWidth: 880,
        fontSize: 13,
        background: theme.vars!.palette.background.paper,
        color: theme.vars!.palette.text.primary,
        border: 0,
        borderLeft: `3px solid ${theme.vars!.palette.warning.main}`,
        variants: [
          { props: { severity: 'error' }, style: { borderColor: theme.vars!.palette.error.main } },
          { props: { severity: 'info' }, style: { borderColor: theme.vars!.palette.info.main } },
          { props: { severity: 'success' }, style: { borderColor: theme.vars!.palette.primary.main } },
        ],
      }),
      message: { padding: 0 },
    },
  },
  MuiTooltip: {
    defaultProps: { enterDelay: 400 },
    styleOverrides: {
      tooltip: ({ theme }) => ({
        background: theme.vars!.palette.text.primary,
        color: theme.vars!.palette.background.default,
        fontSize: 12,
        fontWeight: 400,
      }),
    },
  },
};

/** Fields: a hairline under the figure, or a box around words. */
export const fields: Components<Theme> = {
  MuiInputBase: {
    styleOverrides: {
      root: ({ theme }) => ({
        fontSize: 14,
        lineHeight: 1.4,
        color: theme.vars!.palette.text.primary,
        '&.boxed': {
          border: hairline(theme),
          background: theme.vars!.palette.background.paper,
          padding: '0 6px',
        },
        '&.boxed.Mui-focused': { borderColor: theme.vars!.palette.primary.main },
        '&.large': { minHeight: 44, fontSize: 16 },
        '&.MuiNativeSelect-root': {
          border: hairline(theme),
          background: theme.vars!.palette.background.paper,
          maxWidth: '100%',
          minWidth: 0,
          '&.bare': { border: 0, background: 'none' },
          '&.strong': { flex: 1, fontWeight: 600 },
          '&.small': { fontSize: 13 },
          '&:focus-within': { borderColor: theme.vars!.palette.primary.main },
        },
      }),
      input: { height: 'auto', padding: '4px 0', font: 'inherit' },
    },
  },
  MuiNativeSelect: {
    styleOverrides: {
      select: ({ theme }) => ({
        font: 'inherit',
        height: 'auto',
        minWidth: 0,
        textOverflow: 'ellipsis',
        padding: '4px 22px 4px 6px !important',
        '&:focus': { background: 'none' },
        '& option': { background: theme.vars!.palette.background.paper },
      }),
      icon: ({ theme }) => ({
        right: 6,
        width: 9,
        height: 9,
        top: 'calc(50% - 4px)',
        color: theme.vars!.palette.text.secondary,
      }),
    },
  },
  MuiCheckbox: {
    defaultProps: { size: 'small' },
    styleOverrides: {
      root: ({ theme }) => ({
        padding: 5,
        color: theme.vars!.palette.text.secondary,
        '& svg': { width: 16, height: 16 },
      }),
    },
  },
};

/** Tables: hairlines between rows, condensed heads, readings in monospace. */
export const tables: Components<Theme> = {
  MuiTable: { styleOverrides: { root: { width: '100%' } } },
  MuiTableRow: { styleOverrides: { root: { verticalAlign: 'baseline' } } },
  MuiTableCell: {
    styleOverrides: {
      root: ({ theme }) => ({
        padding: '6px 12px 6px 0',
        fontSize: 13.5,
        lineHeight: 1.4,
        verticalAlign: 'baseline',
        color: theme.vars!.palette.text.primary,
        borderBottom: `1px solid ${theme.vars!.palette.faint}`,
        variants: [
          { props: { size: 'small' }, style: { paddingTop: 3, paddingBottom: 3 } },
          { props: { align: 'right' }, style: { fontFamily: MONO, whiteSpace: 'nowrap' } },
        ],
      }),
      head: ({ theme }) => ({
        padding: '4px 12px 4px 0',
        fontSize: 12,
        fontWeight: 650,
        fontStretch: WIDTH.label,
        fontFamily: theme.typography.fontFamily!,
        lineHeight: 1.4,
        color: theme.vars!.palette.text.secondary,
        borderBottom: hairline(theme),
      }),
    },
  },
};
