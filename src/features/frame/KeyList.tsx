'use client';

import { useEffect, useRef } from 'react';

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
  const close = useRef<HTMLButtonElement>(null);
  useEffect(() => close.current?.focus(), []);
  return (
    <div className="veil" onClick={onClose}>
      <div
        className="palette keys"
        role="dialog"
        aria-label="Keys"
        onClick={(event) => event.stopPropagation()}
        onKeyDown={(event) => event.key === 'Escape' && onClose()}
      >
        <div className="row">
          <h2 style={{ fontSize: 18 }}>Keys</h2>
          <button
            ref={close}
            type="button"
            className="plain"
            style={{ marginLeft: 'auto' }}
            onClick={onClose}
          >
            close
          </button>
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
    </div>
  );
}
