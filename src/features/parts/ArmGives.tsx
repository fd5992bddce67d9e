import { Note } from '@/ui/controls/Note';
import { useMemo } from 'react';
import type { Part } from '@/core/car/parts/parts';
import { ENDS } from '@/core/car/document/suspension';
import { armGive } from '@/core/worked/parts/armGive';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { useBuild } from '../session/BuildContext';

/** What a flexible arm gives away in a corner, at the end where it may stand. */
export function ArmGives({ part }: { part: Part }) {
  const { document, surface } = useBuild();
  const { reader } = useReader();
  const found = useMemo(
    () => ENDS.map((end) => [end, armGive(document, surface, end, part)] as const),
    [document, surface, part],
  );
  const known = found.flatMap(([end, one]) => (one.ok ? [[end, one.value] as const] : []));
  if (known.length === 0) return null;
  const deg = (value: number) => `${formatNumber(value, reader.locale, 2)}\u00a0°`;
  return (
    <Note data-testid="arm-gives">
      {known.map(
        ([end, { lateralN, armN, camberDeg, toeDeg }]) =>
          `As the lower arm in ${end === 'front' ? 'front' : 'the rear'}, a corner at the limit puts ${formatText(lateralN, 'forceN', reader)} on the ground and ${formatText(armN, 'forceN', reader)} along it: it gives away ${deg(camberDeg)} of camber and at most ${deg(toeDeg)} of toe. `,
      )}
      An arm that gives saves the parts behind it, and steers where you did not.
    </Note>
  );
}
