'use client';

import '@/words/later/bringIn';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { airInputOf, airOfBuild, isStarting, shapesOf } from '@/core/worked/air/airOfBuild';
import { formatText } from '@/core/base/units/formatQuantity';
import { say } from '@/words/findings';
import { Note } from '@/ui/controls/Note';
import { useReader } from '@/ui/reader';
import { useBuild } from '../../session/BuildContext';
import { Apart, Charts } from '../../frame/Guarded';
import { SegmentChecks } from '../../frame/SegmentChecks';
import { AirDrawing } from './AirDrawing';
import { AxleForces } from './AxleForces';
import { ElementTable } from './ElementTable';
import { GripAgainstDrag } from './GripAgainstDrag';
import { placedOf } from './elements';
import { renamed } from '@/core/base/finding';

interface AirSideProps {
  chosen: string | undefined;
  onChoose(id: string): void;
}

/** What the air does: grip against drag, the shapes that it meets, and what each of them brings. */
export function AirSide({ chosen, onChoose }: AirSideProps) {
  const { document } = useBuild();
  const { reader } = useReader();
  const input = airInputOf(document);
  const found = shapesOf(document);
  const names = new Map(placedOf(document.chassis.air).map(({ id, name }) => [id, name]));
  return (
    <Apart>
      <GripAgainstDrag />
      {input.ok && found.ok ? (
        <>
          <TypedFirst />
          <Charts>
            <AirDrawing input={input.value} found={found.value} chosen={chosen} onChoose={onChoose} />
            <AxleForces input={input.value} found={found.value} />
          </Charts>
          {found.value.findings.map(({ about, why, severity }) => (
            <Note key={`${about}-${why.code}`} tone={severity === 'note' ? 'ask' : 'caution'}>
              {say(
                renamed(why, (word) => (word === about ? (names.get(about) ?? about) : word)),
                reader,
              )}
            </Note>
          ))}
          <ElementTable found={found.value} />
        </>
      ) : (
        <Note tone="ask">
          Say what kind of body it has, at the left, and drag and lift follow from its shapes; wings, fins and
          a splitter can then be put on and moved here.
        </Note>
      )}
      <SegmentChecks segment="chassis" side="air" />
    </Apart>
  );
}

const TYPED = ['cdaM2', 'claFrontM2', 'claRearM2'] as const;

/** Figures that were typed or measured and count before the shapes. */
function TypedFirst() {
  const { document, edit, closed } = useBuild();
  const { reader } = useReader();
  const shapes = shapesOf(document);
  const typed = TYPED.filter(
    (key) => document.chassis[key] !== undefined && !(key === 'cdaM2' && isStarting(document)),
  );
  if (typed.length === 0 || !shapes.ok) return null;
  const counts = airOfBuild(document);
  const area = (value: number) => formatText(value, 'areaM2', reader, 2);
  const names = { cdaM2: 'drag', claFrontM2: 'downforce in front', claRearM2: 'downforce behind' };
  return (
    <Note tone="caution" data-testid="typed-first">
      <Typography component="span">
        Measured or typed figures count before the shapes:{' '}
        {typed
          .map((key) => `${names[key]} ${area(counts[key]!)} (shapes ${area(shapes.value[key])})`)
          .join(', ')}
        .{' '}
      </Typography>
      {closed ? null : (
        <Button
          variant="link"
          onClick={() =>
            edit([...TYPED, 'cdaMeasured'].map((key) => ({ path: ['chassis', key], value: undefined })))
          }
        >
          Let the shapes count
        </Button>
      )}
    </Note>
  );
}
