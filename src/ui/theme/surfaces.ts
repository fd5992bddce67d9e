import type { Components, Theme } from '@mui/material/styles';
import { HAIRLINE, INK, THUMB, THUMB_PX } from './tokens';

/** What holds words and other things: lists, folds, notes, dialogs. */
export const surfaces: Components<Theme> = {
  MuiListItemButton: {
    styleOverrides: {
      root: {
        justifyContent: 'space-between',
        padding: '5px 8px',
        fontSize: 14,
        borderBottom: `1px solid ${INK.faint}`,
        transition: 'none',
        '&:hover': { background: INK.faint },
        '&.Mui-selected, &.Mui-selected:hover': {
          background: INK.ink,
          color: INK.paper,
          '& .MuiTypography-root': { color: 'inherit' },
        },
      },
    },
  },
  MuiListItem: {
    styleOverrides: {
      root: {
        justifyContent: 'space-between',
        gap: 12,
        padding: '4px 0',
        maxWidth: 760,
        borderBottom: `1px solid ${INK.faint}`,
      },
    },
  },
  MuiDialog: {
    styleOverrides: {
      paper: { border: HAIRLINE, boxShadow: 'none', backgroundImage: 'none' },
    },
  },
  MuiLinearProgress: {
    styleOverrides: {
      root: { height: 7, background: INK.faint },
      bar: { background: INK.ink },
    },
  },
  MuiAccordion: {
    defaultProps: { disableGutters: true, elevation: 0, square: true },
    styleOverrides: { root: { background: 'none', '&::before': { display: 'none' } } },
  },
  MuiAccordionSummary: {
    styleOverrides: {
      root: {
        minHeight: 28,
        [THUMB]: { minHeight: THUMB_PX },
        padding: '2px 0',
        flexDirection: 'row-reverse',
        justifyContent: 'flex-end',
        gap: 6,
        fontSize: 13,
        color: INK.quiet,
        '&:hover': { color: INK.ink },
      },
      content: { display: 'block', margin: 0, flexGrow: 0 },
      expandIconWrapper: { color: 'inherit', '& svg': { width: 9, height: 9 } },
    },
  },
  MuiAccordionDetails: { styleOverrides: { root: { padding: 0 } } },
  MuiAlert: {
    defaultProps: { icon: false },
    styleOverrides: {
      root: {
        padding: '6px 12px',
        margin: '10px 0',
        maxWidth: 880,
        fontSize: 13,
        background: INK.sheet,
        color: INK.ink,
        border: 0,
        borderLeft: `3px solid ${INK.ochre}`,
        variants: [
          { props: { severity: 'error' }, style: { borderColor: INK.rust } },
          { props: { severity: 'info' }, style: { borderColor: INK.slate } },
          { props: { severity: 'success' }, style: { borderColor: INK.moss } },
        ],
      },
      message: { padding: 0 },
    },
  },
  MuiTooltip: {
    defaultProps: { enterDelay: 400 },
    styleOverrides: {
      tooltip: {
        background: INK.ink,
        color: INK.paper,
        fontSize: 12,
        fontWeight: 400,
      },
    },
  },
};
