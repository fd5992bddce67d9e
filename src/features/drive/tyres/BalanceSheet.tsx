'use client';

import Box from '@mui/material/Box';
import { useState } from 'react';
import { wheelBalance } from '@/core/physics/tyres/balance';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { QuantityField } from '@/ui/QuantityField';
import { useReader } from '@/ui/reader';
import { Group } from '../../fields/fields';

/** How much an off-centre wheel pulls, and what to stick on opposite the heavy side. */
export function BalanceSheet({
  massG,
  radiusMm,
  rpm: ownRpm,
}: {
  massG: number | undefined;
  radiusMm: number | undefined;
  rpm: number | undefined;
}) {
  const { reader } = useReader();
  const [eccentricity, setEccentricity] = useState<number>();
  const [mass, setMass] = useState<number>();
  const [rpm, setRpm] = useState<number>();
  const [radius, setRadius] = useState<number>();
  const usual = {
    mass: massG ?? 50,
    rpm: Math.round((ownRpm ?? 2000) / 10) * 10,
    radius: radiusMm ?? 25,
    eccentricity: 0.3,
  };
  const at = {
    massG: mass ?? usual.mass,
    eccentricityMm: eccentricity ?? usual.eccentricity,
    rpm: rpm ?? usual.rpm,
    correctionRadiusMm: radius ?? usual.radius,
  };
  const found = wheelBalance(at);
  return (
    <Box sx={{ width: 350 }}>
      <Group title="Balance">
        <QuantityField
          label="Wheel with tyre"
          quantity="massG"
          value={mass}
          usual={usual.mass}
          limits={{ above: 0, to: 100_000 }}
          onChange={setMass}
        />
        <QuantityField
          label="Centre of mass off the axle"
          quantity="lengthMm"
          value={eccentricity}
          usual={usual.eccentricity}
          limits={{ from: 0, to: 500 }}
          onChange={setEccentricity}
        />
        <QuantityField
          label="Wheel turns, for balance"
          quantity="rpm"
          value={rpm}
          usual={usual.rpm}
          digits={5}
          limits={{ above: 0, to: 200_000 }}
          onChange={setRpm}
        />
        <QuantityField
          label="Putty goes on at radius"
          quantity="lengthMm"
          value={radius}
          usual={usual.radius}
          limits={{ above: 0, to: 1000 }}
          onChange={setRadius}
        />
        <Box component="p" sx={{ mt: 0.75 }} data-testid="balance-answer">
          It shakes the axle with <b>{formatText(found.forceN, 'forceN', reader)}</b>. Let the wheel come to
          rest on its axle: the heavy side hangs down. Stick{' '}
          <b>{formatText(found.correctionG, 'massG', reader)}</b> on the rim at{' '}
          {formatText(at.correctionRadiusMm, 'lengthMm', reader)}, straight up, and let it settle again.
          Balance quality {formatNumber(found.balanceQualityMmps, reader.locale, 3)} mm/s.
        </Box>
      </Group>
    </Box>
  );
}
