import { useMemo } from 'react';
import { bendWhatIfs } from '@/core/advice/bendWhatIfs';
import { steadyWhatIfs } from '@/core/advice/steadyWhatIfs';
import { GRAVITY } from '@/core/base/constants';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import type { SteadyResult } from '@/core/physics/handling/steady/definition';
import type { Bend } from '@/core/physics/handling/steady/inBend';
import { ChangeTable } from '@/features/fields/ChangeTable';
import { useReader } from '@/ui/reader';
import { bendWhatIfText, SLIDES_FIRST, steadyWhatIfText } from '@/words/whatIfs';
import { useBuild } from '../../session/BuildContext';

/** What single changes do to the balance straight ahead. */
export function SteadyWhatIfs({ speedMps, present }: { speedMps: number; present: SteadyResult }) {
  const { document, surface } = useBuild();
  const { reader } = useReader();
  const tried = useMemo(
    () => (surface ? steadyWhatIfs(document, surface, speedMps) : []),
    [document, surface, speedMps],
  );
  const number = (value: number | undefined, unit = '') =>
    value === undefined ? '–' : `${formatNumber(value, reader.locale, 2)}${unit}`;
  return (
    <ChangeTable<SteadyResult>
      title={`What if, at ${formatText(speedMps, 'speedMps', reader)}`}
      columns={[
        { name: 'Understeer', of: ({ understeerDegPerGee }) => number(understeerDegPerGee, '°/g') },
        { name: 'Damping', of: ({ dampingRatio }) => number(dampingRatio) },
        {
          name: 'Steady to',
          of: ({ lowestUnstableMps }) =>
            lowestUnstableMps === undefined ? 'always' : formatText(lowestUnstableMps, 'speedMps', reader),
        },
        { name: 'Grip across', of: ({ maxLateralMps2 }) => formatText(maxLateralMps2, 'accelMps2', reader) },
        { name: 'Slides first', text: true, of: ({ letsGoFirst }) => SLIDES_FIRST[letsGoFirst] },
      ]}
      present={present}
      tried={tried.map(({ id, by, patch, steady }) => ({
        id,
        text: steadyWhatIfText({ id, by }, reader),
        row: steady,
        ...(patch ? { patch } : {}),
      }))}
    />
  );
}

/** What toe and track do in a bend, where load moves to the outer wheels. */
export function BendWhatIfs({ speedMps }: { speedMps: number }) {
  const { document, surface } = useBuild();
  const { reader } = useReader();
  const found = useMemo(
    () => (surface ? bendWhatIfs(document, surface, speedMps) : undefined),
    [document, surface, speedMps],
  );
  if (!found) return null;
  return (
    <ChangeTable<Bend>
      title={`In a bend of ${formatText(found.present.lateralMps2, 'accelMps2', reader)}`}
      columns={[
        {
          name: 'Understeer',
          of: ({ understeerDegPerMps2 }) =>
            `${formatNumber(understeerDegPerMps2 * GRAVITY, reader.locale, 2)}°/g`,
        },
        {
          name: 'Grip across',
          of: ({ maxLateralMps2 }) => formatText(maxLateralMps2, 'accelMps2', reader, 3),
        },
        {
          name: 'Load moved, front and rear',
          of: ({ movedShare: { front, rear } }) =>
            `${formatText(front, 'share', reader, 2)}, ${formatText(rear, 'share', reader, 2)}`,
        },
        { name: 'Slides first', text: true, of: ({ letsGoFirst }) => SLIDES_FIRST[letsGoFirst] },
      ]}
      present={found.present}
      tried={found.tried.map(({ id, by, patch, bend }) => ({
        id,
        text: bendWhatIfText({ id, by }, reader),
        row: bend,
        patch,
      }))}
    />
  );
}
