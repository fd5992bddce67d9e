import type { TypographyVariantsOptions } from '@mui/material/styles';
import type { CSSProperties } from 'react';
import { INK, MONO, SANS, WIDTH } from './tokens';

/** What a line of words is for: its size, weight and width. */
const ROLES = {
  /** The one sentence with the numbers, first on the page. */
  answer: {
    fontSize: 25,
    lineHeight: 1.25,
    fontWeight: 560,
    fontStretch: WIDTH.heading,
    maxWidth: 880,
    textWrap: 'pretty',
    '@media (max-width: 900px)': { fontSize: 21 },
  },
  /** An answer within a page: of one suspect, of one change. */
  finding: { fontSize: 19, lineHeight: 1.25, fontWeight: 560, fontStretch: WIDTH.heading },
  /** Of a sheet. */
  title: { fontSize: 19, fontWeight: 650, fontStretch: WIDTH.heading },
  /** Of a part of a page. */
  heading: { fontSize: 15, fontWeight: 700, fontStretch: WIDTH.heading, marginBottom: 2 },
  /** Of a thing among others. */
  subheading: { fontSize: 14, fontWeight: 650 },
  /** Above a picture, a table or a group of fields. */
  label: {
    fontSize: 12,
    fontWeight: 650,
    fontStretch: WIDTH.label,
    color: INK.quiet,
    display: 'flex',
    justifyContent: 'space-between',
    gap: 8,
    marginBottom: 4,
  },
  /** A figure that is compared with others. */
  reading: { fontFamily: MONO },
  unit: { fontSize: 12, color: INK.quiet, marginLeft: 3 },
  /** What explains. */
  note: { fontSize: 13 },
  /** Beside a title. */
  aside: { fontSize: 14, fontWeight: 500 },
  /** What stands beside a thing. */
  small: { fontSize: 12 },
  /** A word in a line that counts. */
  strong: { fontWeight: 650 },
} satisfies Record<string, CSSProperties & Record<`@media ${string}`, CSSProperties>>;

type Role = keyof typeof ROLES;

declare module '@mui/material/styles' {
  // eslint-disable-next-line @typescript-eslint/no-empty-object-type
  interface TypographyVariantsOptions extends Partial<Record<Role, CSSProperties>> {}
}
declare module '@mui/material/Typography' {
  // eslint-disable-next-line @typescript-eslint/no-empty-object-type
  interface TypographyPropsVariantOverrides extends Record<Role, true> {}
}

export const typography: TypographyVariantsOptions = {
  fontFamily: SANS,
  fontSize: 14,
  button: { textTransform: 'none', fontWeight: 600 },
  ...ROLES,
};

/** What a role is in the page, where nothing else is said. */
export const elementOf: Record<Role | 'inherit', string> = {
  answer: 'h1',
  finding: 'p',
  title: 'h2',
  heading: 'h3',
  subheading: 'h3',
  label: 'div',
  reading: 'span',
  unit: 'span',
  note: 'p',
  small: 'p',
  aside: 'span',
  strong: 'span',
  inherit: 'p',
};
