import type { Components, Theme } from '@mui/material/styles';
import { HAIRLINE, INK, THUMB, THUMB_PX } from './tokens';

/** Fields: a hairline under the figure, or a box around words. */
export const fields: Components<Theme> = {
  MuiInputBase: {
    styleOverrides: {
      root: {
        fontSize: 14,
        lineHeight: 1.4,
        color: INK.ink,
        [THUMB]: { minHeight: THUMB_PX },
        '&.boxed': {
          border: HAIRLINE,
          background: INK.sheet,
          padding: '0 6px',
        },
        '&.boxed.Mui-focused': { borderColor: INK.moss },
        '&.pickbox': {
          border: HAIRLINE,
          background: `${INK.sheet} url("data:image/svg+xml,%3Csvg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 10 10'%3E%3Cpath d='M1 3l4 4 4-4' fill='none' stroke='%23807E72' stroke-width='1.6'/%3E%3C/svg%3E") no-repeat right 6px center / 9px`,
          padding: '0 22px 0 6px',
          fontWeight: 600,
          '.add > &, .add &': { fontWeight: 400 },
          '& input': { textOverflow: 'ellipsis', cursor: 'pointer' },
          '&& input:focus-visible': { outline: 'none' },
          '& input::placeholder': { color: INK.ink, opacity: 1 },
        },
        '&.pickbox.Mui-focused': { borderColor: INK.moss },
        '&.jump': { padding: '8px 10px', fontSize: 16 },
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
  MuiAutocomplete: {
    defaultProps: { forcePopupIcon: false, disableClearable: false },
    styleOverrides: {
      root: { flex: 1, minWidth: 0 },
      endAdornment: { display: 'none' },
      paper: { border: HAIRLINE, boxShadow: 'none', background: INK.sheet, marginTop: -1 },
      listbox: {
        padding: 0,
        maxHeight: '60vh',
        '&& .MuiAutocomplete-option': {
          minHeight: 32,
          padding: '4px 8px',
          columnGap: 12,
          flexWrap: 'wrap',
          borderBottom: `1px solid ${INK.faint}`,
          justifyContent: 'space-between',
          '& small': { color: INK.quiet, fontSize: 12 },
          '&.Mui-focused': { background: INK.faint },
          '&[aria-selected="true"]': { background: INK.paper, fontWeight: 600 },
        },
      },
      noOptions: { fontSize: 13, color: INK.quiet },
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
        [THUMB]: { padding: 14 },
        color: INK.quiet,
        '& svg': { width: 16, height: 16 },
      },
    },
  },
};
