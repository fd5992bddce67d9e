'use client';

import { useBuild } from '../session/BuildContext';

/** Choose what every figure is compared with. */
export function GhostPicker() {
  const { ghost, setGhost, document, revisions, revision } = useBuild();
  const others = revisions.filter(({ id }) => id !== revision.id);
  if (ghost)
    return (
      <button type="button" className="plain" onClick={() => setGhost(undefined)}>
        compared with {ghost.label} <kbd>p</kbd> off
      </button>
    );
  return (
    <span className="row" style={{ gap: 2, flexWrap: 'nowrap' }}>
      <button
        type="button"
        className="plain"
        onClick={() => setGhost({ label: 'the pinned build', document })}
      >
        pin <kbd>p</kbd>
      </button>
      {others.map((other) => (
        <button
          key={other.id}
          type="button"
          className="plain wide"
          onClick={() => setGhost({ label: `revision ${other.letter}`, document: other.document })}
        >
          vs {other.letter}
        </button>
      ))}
    </span>
  );
}
