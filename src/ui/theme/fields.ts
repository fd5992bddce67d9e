import type { Components, Theme } from '@mui/material/styles';
import { HAIRLINE, INK } from './tokens';

/** Fields: a hairline under the figure, or a box around words. */
export const fields: Components<Theme> = {
  MuiInputBase: {
    styleOverrides: {
      root: {
        fontSize: 14,
        lineHeight: 1.4,
        color: INK.ink,
        '&.boxed': {
          border: HAIRLINE,
          background: INK.sheet,
          padding: '0 6px',
        },
        '&.boxed.Mui-focused': { borderColor: INK.moss },
        '&.large': { minHeight: 44, fontSize: 16 },
        '&.MuiNativeSelect-root': {
          border: HAIRLINE,
          background: INK.sheet,
          maxWidth: '100%',
          minWidth: 0,
          '&.bare': { border: 0, background: 'none' },
          '&.strong': { flex: 1, fontWeight: 600 },
          '&.small': { fontSize: 13 },
          '&:focus-within': { borderColor: INK.moss },
        },
      },
      input: { height: 'auto', padding: '4px 0', font: 'inherit' },
    },
  },
  MuiNativeSelect: {
    styleOverrides: {
      select: {
        font: 'inherit',
        height: 'auto',
        minWidth: 0,
        textOverflow: 'ellipsis',
        padding: '4px 22px 4px 6px !important',
        '&:focus': { background: 'none' },
        '& option': { background: INK.sheet },
      },
      icon: {
        right: 6,
        width: 9,
        height: 9,
        top: 'calc(50% - 4px)',
        color: INK.quiet,
      },
    },
  },
  MuiCheckbox: {
    defaultProps: { size: 'small' },
    styleOverrides: {
      root: {
        padding: 5,
        color: INK.quiet,
        '& svg': { width: 16, height: 16 },
      },
    },
  },
};
