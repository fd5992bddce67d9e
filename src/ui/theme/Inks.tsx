import GlobalStyles from '@mui/material/GlobalStyles';
import { DARK, LIGHT, MONO, ON_STRIPE, SANS } from './tokens';

type InkName = keyof typeof LIGHT;

const named = (inks: Readonly<Record<string, string>>) =>
  Object.fromEntries(Object.entries(inks).map(([name, colour]) => [`--${name}`, colour]));

/** Where the reader's system chooses the colours: words and lines in one, quiet ones in another, nothing by hue. */
const FORCED: Readonly<Record<InkName, string>> = {
  paper: 'Canvas',
  sheet: 'Canvas',
  ink: 'CanvasText',
  quiet: 'CanvasText',
  rule: 'GrayText',
  faint: 'GrayText',
  moss: 'CanvasText',
  rust: 'CanvasText',
  ochre: 'CanvasText',
  slate: 'CanvasText',
  ghost: 'GrayText',
  wash: 'GrayText',
  stripe: 'Canvas',
};

const { cream, ...states } = ON_STRIPE;
const onStripe = Object.fromEntries(
  Object.entries(states).map(([state, colour]) => [`--on-${state}`, colour]),
);
const forcedOnStripe = Object.fromEntries(
  Object.keys(states).map((state) => [`--on-${state}`, 'CanvasText']),
);

/** The tokens as words of CSS, for drawings and what no component owns. */
const inks = (
  <GlobalStyles
    styles={{
      ':root': { ...named(LIGHT), '--cream': cream, ...onStripe, '--sans': SANS, '--mono': MONO },
      '[data-dark]': named(DARK),
      '@media (forced-colors: active)': {
        ':root, [data-dark]': { ...named(FORCED), '--cream': 'CanvasText', ...forcedOnStripe },
        // a ground is not seen there: what is chosen takes the system's own
        '[aria-current], [aria-pressed="true"], [role="tab"][aria-selected="true"]': {
          forcedColorAdjust: 'none',
          backgroundColor: 'Highlight !important',
          color: 'HighlightText !important',
        },
        '[aria-current] *': { color: 'inherit !important' },
        '[role="tab"]': { borderColor: 'Canvas' },
      },
    }}
  />
);

export const Inks = () => inks;
