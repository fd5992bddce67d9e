import type { Components, Theme } from '@mui/material/styles';
import { HAIRLINE, INK, MONO, SANS, WIDTH } from './tokens';

/** What a cell says besides its figure. */
const TONES = {
  quiet: { color: INK.quiet },
  measured: { color: INK.slate },
  tight: { color: INK.ochre, fontWeight: 650 },
  fails: { color: INK.rust, fontWeight: 650 },
};

/** Tables: hairlines between rows, condensed heads, readings in monospace. */
export const tables: Components<Theme> = {
  MuiTable: {
    styleOverrides: {
      root: {
        width: '100%',
        '@media (max-width: 900px)': { '.MuiTableContainer-root > &': { minWidth: 620 } },
      },
    },
  },
  MuiTableRow: { styleOverrides: { root: { verticalAlign: 'baseline' } } },
  MuiTableCell: {
    styleOverrides: {
      root: {
        padding: '6px 12px 6px 0',
        fontSize: 13.5,
        lineHeight: 1.4,
        verticalAlign: 'baseline',
        color: INK.ink,
        borderBottom: `1px solid ${INK.faint}`,
        variants: [
          { props: { size: 'small' }, style: { paddingTop: 3, paddingBottom: 3 } },
          ...Object.entries(TONES).map(([tone, style]) => ({
            props: (props: object) => 'data-tone' in props && props['data-tone'] === tone,
            style,
          })),
          { props: { align: 'right' }, style: { fontFamily: MONO, whiteSpace: 'nowrap' } },
        ],
      },
      head: {
        padding: '4px 12px 4px 0',
        fontSize: 12,
        fontWeight: 650,
        fontStretch: WIDTH.label,
        fontFamily: SANS,
        whiteSpace: 'normal',
        verticalAlign: 'bottom',
        lineHeight: 1.25,
        color: INK.quiet,
        borderBottom: HAIRLINE,
      },
    },
  },
  MuiTableSortLabel: {
    styleOverrides: {
      root: {
        '&.Mui-active': { fontWeight: 700 },
        '&:not(.Mui-active) .MuiTableSortLabel-icon': { display: 'none' },
      },
      icon: { width: 14, height: 14, margin: '0 2px' },
    },
  },
};
