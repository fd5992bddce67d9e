'use client';

import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { SteadyInput } from '@/core/physics/handling/steady/definition';
import { gustAside } from '@/core/physics/handling/steady/gust';
import { formatText } from '@/core/base/units/formatQuantity';
import { QuantitySlider } from '@/ui/QuantitySlider';
import { useReader } from '@/ui/reader';
import { Group } from '../../fields/fields';

const [USUAL_GUST_MPS, MOST_GUST_MPS, GUST_S] = [5, 15, 0.5];

/** A gust from the side: how far it pushes the car aside before anybody steers. */
export function SideWind({ input }: { input: SteadyInput }) {
  const { reader } = useReader();
  const [gustMps, blow] = useState<number>(USUAL_GUST_MPS);
  if (!input.air?.sideForceSlopeM2)
    return (
      <Typography color="textSecondary">
        What side wind does is known once the kind of body is said under Air.
      </Typography>
    );
  const { asideM, headingDeg } = gustAside(input, gustMps, GUST_S);
  return (
    <Group title="A gust from the side">
      <QuantitySlider
        label="Gust"
        quantity="speedMps"
        value={gustMps}
        min={0}
        max={MOST_GUST_MPS}
        step={0.5}
        onChange={blow}
      />
      <Typography data-testid="gust">
        In half a second it is {formatText(Math.abs(asideM), 'distanceM', reader, 2)}{' '}
        {asideM >= 0 ? 'to lee' : 'to windward'} and points{' '}
        {formatText(Math.abs(headingDeg), 'angleDeg', reader, 2)}{' '}
        {headingDeg >= 0 ? 'away from the wind' : 'into the wind'}, the steering held.
      </Typography>
    </Group>
  );
}
