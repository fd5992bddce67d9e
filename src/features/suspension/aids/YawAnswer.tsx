'use client';

import clsx from 'clsx';
import figuresCss from '@/ui/Figure.module.css';
import Typography from '@mui/material/Typography';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { soonestGain } from '@/core/physics/aids/yawAssist';
import type { YawResult } from '@/core/physics/aids/yawDefinition';
import { useReader } from '@/ui/reader';

export function Answer({
  study,
  gain,
  speedMps,
}: {
  study: { assisted: YawResult; bare: YawResult } | undefined;
  gain: number;
  speedMps: number;
}) {
  const { reader } = useReader();
  if (!study) return <Typography variant="answer">Being worked out…</Typography>;
  const { assisted, bare } = study;
  const { criticalGain: critical, sweep } = assisted;
  const best = soonestGain(sweep);
  const number = (value: number) => formatNumber(value, reader.locale, 2);
  const past = critical !== undefined && gain > critical;
  return (
    <Typography variant="answer">
      {assisted.stable ? (
        <>
          With a gain of {number(gain)} it{' '}
          {assisted.settleS === undefined ? (
            'does not settle within the run'
          ) : (
            <>
              settles in{' '}
              <span className={clsx(figuresCss.figure, figuresCss.plainfig)} data-testid="settles">
                {formatText(assisted.settleS, 'timeS', reader, 2)}
              </span>
            </>
          )}
        </>
      ) : (
        <>
          With a gain of {number(gain)} it{' '}
          <span className={clsx(figuresCss.figure, figuresCss.over)} data-testid="unstable">
            {past ? 'swings itself round' : 'does not recover'}
          </span>
        </>
      )}
      {bare.stable
        ? bare.settleS === undefined
          ? ''
          : `; without, in ${formatText(bare.settleS, 'timeS', reader, 2)}`
        : '; without it the car spins'}
      .{' '}
      {critical === undefined ? (
        ''
      ) : (
        <>
          It over-corrects above <span data-testid="critical">{number(critical)}</span> at{' '}
          {formatText(speedMps, 'speedMps', reader)} with this servo
        </>
      )}
      {best === undefined ? (
        critical === undefined ? (
          ''
        ) : (
          '.'
        )
      ) : (
        <>
          {critical === undefined ? '' : '; '}
          <span data-testid="best-gain">{number(best.gain)}</span> settles fastest.
        </>
      )}
    </Typography>
  );
}
