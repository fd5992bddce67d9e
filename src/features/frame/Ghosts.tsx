'use client';

import frameCss from '@/ui/layout/frame.module.css';
import { Row } from '@/ui/layout/Row';
import Button from '@mui/material/Button';
import { useBuild } from '../session/BuildContext';

/** Choose what every figure is compared with. */
export function GhostPicker() {
  'use memo';
  const { ghost, setGhost, document, revisions, revision } = useBuild();
  const others = revisions.filter(({ id }) => id !== revision.id);
  if (ghost)
    return (
      <Button variant="text" onClick={() => setGhost(undefined)}>
        compared with {ghost.label} <kbd>p</kbd> off
      </Button>
    );
  return (
    <Row as="span" sx={{ gap: 0.25, flexWrap: 'nowrap' }}>
      <Button variant="text" onClick={() => setGhost({ label: 'the pinned build', document })}>
        pin <kbd>p</kbd>
      </Button>
      {others.map((other) => (
        <Button
          variant="text"
          className={frameCss.wide}
          key={other.id}
          onClick={() => setGhost({ label: `revision ${other.letter}`, document: other.document })}
        >
          vs {other.letter}
        </Button>
      ))}
    </Row>
  );
}
