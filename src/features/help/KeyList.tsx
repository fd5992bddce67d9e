import Typography from '@mui/material/Typography';
import helpCss from './help.module.css';

const KEYS: readonly (readonly [string, string])[] = [
  ['1 … 9', 'the segments, Brief to Learn'],
  [', and .', 'previous and next revision'],
  ['r', 'record a run'],
  ['f', 'note a failure'],
  ['p', 'pin a ghost to compare with, or take it off'],
  ['w', 'working of the page'],
  ['g', 'garage'],
  ['/', 'jump'],
  ['Ctrl+Z, Ctrl+Shift+Z', 'undo, redo'],
  ['?', 'this help'],
];

export const KeyList = () => (
  <>
    <dl className={helpCss.keys}>
      {KEYS.map(([key, does]) => [
        <dt key={key}>
          <kbd>{key}</kbd>
        </dt>,
        <dd key={`${key}-does`}>{does}</dd>,
      ])}
    </dl>
    <Typography color="textSecondary" sx={{ mt: 1 }}>
      None works while you type in a field.
    </Typography>
  </>
);
