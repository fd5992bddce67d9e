'use client';

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
      <div className="keys">
        <div className="row">
          <h2 style={{ fontSize: 18 }}>Keys</h2>
          <Button variant="text" autoFocus style={{ marginLeft: 'auto' }} onClick={onClose}>
            close
          </Button>
        </div>
        <dl>
          {KEYS.map(([key, does]) => [
            <dt key={key}>
              <kbd>{key}</kbd>
            </dt>,
            <dd key={`${key}-does`}>{does}</dd>,
          ])}
        </dl>
        <p className="quiet" style={{ marginTop: 8 }}>
          None works while you type in a field.
        </p>
      </div>
    </Over>
  );
}
