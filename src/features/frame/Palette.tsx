'use client';

import { Over } from '@/ui/controls/Over';
import { TextInput } from '@/ui/controls/TextInput';
import { useMemo, useState } from 'react';

export interface Jump {
  label: string;
  hint: string;
  go(): void;
}

/** Quick jump: type, arrow keys, Enter. */
export function Palette({ jumps, onClose }: { jumps: readonly Jump[]; onClose(): void }) {
  const [text, setText] = useState('');
  const [at, setAt] = useState(0);
  const found = useMemo(() => {
    const words = text.toLowerCase().split(/\s+/).filter(Boolean);
    return jumps
      .filter(({ label, hint }) => words.every((word) => `${label} ${hint}`.toLowerCase().includes(word)))
      .slice(0, 30);
  }, [jumps, text]);
  const choose = (jump: Jump | undefined) => {
    if (!jump) return;
    onClose();
    jump.go();
  };
  return (
    <Over label="Jump" onClose={onClose}>
      <TextInput
        className="jump"
        autoFocus
        role="combobox"
        aria-expanded="true"
        aria-controls="jumps"
        aria-activedescendant={found[at] ? `jump-${at}` : undefined}
        aria-label="Jump to"
        placeholder="Jump to a page, a build or an act"
        value={text}
        onChange={(event) => {
          setText(event.target.value);
          setAt(0);
        }}
        onKeyDown={(event) => {
          if (event.key === 'Enter') choose(found[at]);
          const step = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
          if (step !== 0) {
            event.preventDefault();
            setAt((value) => Math.max(0, Math.min(found.length - 1, value + step)));
          }
        }}
      />
      <ul id="jumps" role="listbox" aria-label="Places">
        {found.map((jump, index) => (
          <li
            key={`${jump.label}-${jump.hint}`}
            id={`jump-${index}`}
            role="option"
            aria-selected={index === at}
            onMouseEnter={() => setAt(index)}
            onClick={() => choose(jump)}
          >
            {jump.label}
            <span className="quiet">{jump.hint}</span>
          </li>
        ))}
        {found.length === 0 ? (
          <li role="option" aria-selected="false">
            Nothing of that name
          </li>
        ) : null}
      </ul>
    </Over>
  );
}
