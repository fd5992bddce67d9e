import type { StepPicture as Pictured } from '@/core/worked/space/apart';
import type { Thing } from '@/core/worked/space/thingsOfCar';
import { FlatCar } from '@/ui/charts/FlatCar';
import type { InkName } from '@/ui/space';

const WIDTH = 190;
const NONE = new Map<string, never>();
const NO_MARKS: ReadonlySet<string> = new Set();

/** The car from above at a step of its assembly; none where what is joined has no place in it. */
export function StepPicture({ things, step: { now, later } }: { things: readonly Thing[]; step: Pictured }) {
  if (now.size === 0) return null;
  const inks = new Map(
    things.map(({ id }): [string, InkName] => [id, now.has(id) ? 'moss' : later.has(id) ? 'rule' : 'ink']),
  );
  return (
    <FlatCar
      view="above"
      widthPx={WIDTH}
      things={things}
      bodies={NONE}
      marked={NO_MARKS}
      inks={inks}
      offsets={NONE}
    />
  );
}
