/** Colours of paper, ink and the four states, as DESIGN.md names them. */
export const LIGHT = {
  paper: '#F6F3EC',
  sheet: '#FFFDF8',
  ink: '#20241F',
  quiet: '#5B6158',
  rule: '#DAD5C8',
  faint: '#E9E4D8',
  moss: '#46633A',
  rust: '#A3412A',
  ochre: '#8A6212',
  slate: '#3A5D75',
  ghost: '#77756A',
  wash: '#C9D3BD',
  stripe: '#1B1D1A',
} as const;

export const DARK: Readonly<Record<keyof typeof LIGHT, string>> = {
  paper: '#161916',
  sheet: '#1E221E',
  ink: '#ECE9E0',
  quiet: '#A9ADA2',
  rule: '#34372F',
  faint: '#2A2E29',
  moss: '#9DB886',
  rust: '#E58B6E',
  ochre: '#E0B45A',
  slate: '#8FB4CC',
  ghost: '#95968A',
  wash: '#3A4534',
  stripe: '#0E100E',
};

/** On the stripe, in both schemes. */
export const ON_STRIPE = {
  cream: '#FBFAF6',
  clear: '#A9BF93',
  tight: '#E0B45A',
  over: '#E58B6E',
  unknown: '#B9B6AA',
} as const;

export const SANS = "'Archivo Variable', 'Archivo', sans-serif";
export const MONO = "'Spline Sans Mono Variable', monospace";
/** Widths of the grotesque: labels and headings are narrower than what is read. */
export const WIDTH = { label: '88%', heading: '92%', narrow: '85%' } as const;

/** Under a thumb everything that is pressed is at least 44 px high. */
export const THUMB = '@media (pointer: coarse), (max-width: 600px)';
export const THUMB_PX = 44;

/** The colours as the scheme of the reader sets them: plain words of CSS, so that no style is made anew with each render. */
export const INK = {
  paper: 'var(--mui-palette-background-default)',
  sheet: 'var(--mui-palette-background-paper)',
  ink: 'var(--mui-palette-text-primary)',
  quiet: 'var(--mui-palette-text-secondary)',
  rule: 'var(--mui-palette-divider)',
  faint: 'var(--mui-palette-faint)',
  moss: 'var(--mui-palette-primary-main)',
  onMoss: 'var(--mui-palette-primary-contrastText)',
  rust: 'var(--mui-palette-error-main)',
  ochre: 'var(--mui-palette-warning-main)',
  slate: 'var(--mui-palette-info-main)',
} as const;

/** Of what stands until the new is there, and of what is out of use: still 4.5 to 1 in both schemes. */
export const DIMMED = 0.78;

/** The line around a thing. */
export const HAIRLINE = `1px solid ${INK.rule}`;
