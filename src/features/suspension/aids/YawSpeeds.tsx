'use client';

import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import type { YawInput } from '@/core/physics/aids/yawDefinition';
import { usefulSteerDeg } from '@/core/worked/aids/yawOfBuild';
import { useReader } from '@/ui/reader';
import type { SpeedRow } from '@/workers/aids.worker';
import { workerOf } from '@/workers/clients';
import { useStudy } from './useStudy';

export const SPEEDS = 10;

export const GAINS_A_SPEED = 24;

/** How the gyro and the steering should be scaled with speed. */
export function Speeds({ input, top }: { input: YawInput; top: number }) {
  const { reader } = useReader();
  const study = useStudy<SpeedRow[]>();
  const speeds = Array.from({ length: SPEEDS }, (_, index) => (1.3 * top * (index + 1)) / SPEEDS);
  const of = SPEEDS * GAINS_A_SPEED;
  return (
    <section aria-label="Scaled with speed" style={{ marginTop: 12 }}>
      <div className="row">
        {study.done === undefined ? (
          <button
            type="button"
            className="btn"
            onClick={() =>
              study.start((report) => workerOf('aids').speeds(input, speeds, GAINS_A_SPEED, report))
            }
          >
            Sweep over speeds
          </button>
        ) : (
          <>
            <button type="button" className="btn" onClick={study.cancel}>
              Cancel
            </button>
            <p role="status" className="quiet">
              {study.done} of {of} runs
            </p>
          </>
        )}
        <span className="quiet" style={{ fontSize: 13 }}>
          How gain and steering should shrink as it goes faster.
        </span>
      </div>
      {study.found ? (
        <div className="gridbox">
          <table
            className="grid tight"
            aria-label="Gains over speed"
            style={study.done === undefined ? undefined : { opacity: 0.5 }}
          >
            <thead>
              <tr>
                <th className="num">Speed</th>
                <th className="num">Over-corrects above</th>
                <th className="num">Settles fastest at</th>
                <th className="num">Settles in</th>
                <th className="num">Steering that the ground answers</th>
              </tr>
            </thead>
            <tbody>
              {study.found.map(({ speedMps, criticalGain, fastest }) => (
                <tr key={speedMps}>
                  <td className="num">{formatText(speedMps, 'speedMps', reader)}</td>
                  <td className="num">
                    {criticalGain === undefined ? '—' : formatNumber(criticalGain, reader.locale, 2)}
                  </td>
                  <td className="num">{fastest ? formatNumber(fastest.gain, reader.locale, 2) : '—'}</td>
                  <td className="num">{fastest ? formatText(fastest.settleS!, 'timeS', reader, 2) : ''}</td>
                  <td className="num">
                    {formatText(
                      Math.min(input.servo.maxDeg, usefulSteerDeg(input, speedMps)),
                      'angleDeg',
                      reader,
                      2,
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      ) : null}
    </section>
  );
}
