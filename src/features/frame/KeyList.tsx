'use client';

import frameCss from '@/ui/layout/frame.module.css';
import { Row } from '@/ui/layout/Row';
import Typography from '@mui/material/Typography';
import { Over } from '@/ui/controls/Over';
import Button from '@mui/material/Button';

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
  ['?', 'this list'],
];

export function KeyList({ onClose }: { onClose(): void }) {
  return (
    <Over label="Keys" onClose={onClose}>
      <div className={frameCss.keys}>
        <Row>
          <Typography variant="title">Keys</Typography>
          <Button variant="text" autoFocus sx={{ ml: 'auto' }} onClick={onClose}>
            close
          </Button>
        </Row>
        <dl>
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
      </div>
    </Over>
  );
}
