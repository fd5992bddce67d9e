'use client';

import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import type { SteadyInput } from '@/core/physics/handling/steady/definition';
import { wanderOf } from '@/core/worked/stability/wander';
import { formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { Group } from '../../fields/fields';
import { useBuild } from '../../session/BuildContext';

const TRIED = { distanceM: 20, bumpMm: 5 };

/** What play in the steering and a bump under one wheel do to a straight line at the speed that is looked at. */
export function Wanders({ input }: { input: SteadyInput }) {
  const { document } = useBuild();
  const { reader } = useReader();
  const { play, bump } = useMemo(() => wanderOf(document, input, TRIED), [document, input]);
  const m = (value: number) => formatText(value, 'distanceM', reader, 2);
  const over = m(TRIED.distanceM);
  return (
    <Group title="Steering that nobody gave">
      {play ? (
        <Typography data-testid="wander-play">
          Play of {formatText(play.steerDeg, 'angleDeg', reader, 2)} to either side lets it wander{' '}
          {m(play.driftM)} over {over}.
        </Typography>
      ) : null}
      {bump ? (
        <Typography data-testid="wander-bump">
          A bump of {formatText(TRIED.bumpMm, 'lengthMm', reader, 2)} under one front wheel steers by{' '}
          {formatText(bump.steerDeg, 'angleDeg', reader, 2)}; held, that is {m(bump.driftM)} over {over}.
        </Typography>
      ) : null}
      {play || bump ? null : (
        <Typography color="textSecondary">
          What play and bumps do is known once the front corner is drawn, and its play said, under Suspension.
        </Typography>
      )}
    </Group>
  );
}
