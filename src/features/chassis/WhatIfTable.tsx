'use client';

import { useMemo } from 'react';
import { applyPatch } from '@/core/base/patch';
import type { Standing } from '@/core/worked/standing/standingOfBuild';
import { chassisWhatIfs } from '@/core/advice/whatIfs';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { chassisWhatIfText } from '@/words/whatIfs';
import { useBuild } from '../session/BuildContext';

/** What another place of the heavy things or another track would do, beside the car as it is. */
export function WhatIfTable({ present }: { present: Standing }) {
  const { document, surface, edit, setGhost, closed } = useBuild();
  const { reader } = useReader();
  const tried = useMemo(() => (surface ? chassisWhatIfs(document, surface) : []), [document, surface]);
  const cells = ({ stability, weight }: Standing) => (
    <>
      <td className="num">{formatNumber(stability.staticStabilityFactor, reader.locale, 3)}</td>
      <td className="num">
        {formatText(1 + weight.cgMm[0] / document.chassis.wheelbaseMm!, 'share', reader)}
      </td>
      <td className="num">{formatText(weight.cgMm[2], 'lengthMm', reader)}</td>
      <td className="num">{formatText(stability.frontLiftsAtMps2, 'accelMps2', reader)}</td>
      <td className="num">{formatText(stability.brakingLimitMps2, 'accelMps2', reader)}</td>
    </>
  );
  return (
    <section className="gridbox" aria-label="What if" style={{ marginTop: 10 }}>
      <table className="grid tight">
        <thead>
          <tr>
            <th>What if</th>
            <th className="num">Stability factor</th>
            <th className="num">On the front</th>
            <th className="num">Weight sits at</th>
            <th className="num">Front lifts at</th>
            <th className="num">Brakes to</th>
            <th />
          </tr>
        </thead>
        <tbody>
          <tr>
            <td>
              <b>As it is</b>
            </td>
            {cells(present)}
            <td />
          </tr>
          {tried.map(({ id, by, patch, standing }) => {
            const text = chassisWhatIfText({ id, by }, reader);
            return (
              <tr key={id} data-whatif={id}>
                <td>{text}</td>
                {cells(standing)}
                <td style={{ whiteSpace: 'nowrap' }}>
                  <span className="remedy">
                    <button
                      type="button"
                      disabled={closed}
                      aria-label={`Take: ${text}`}
                      onClick={() => edit(patch)}
                    >
                      take
                    </button>
                    <button
                      type="button"
                      className="link quiet"
                      aria-label={`Compare: ${text}`}
                      style={{ border: 0, background: 'none', padding: 0, fontWeight: 400, color: 'inherit' }}
                      onClick={() =>
                        setGhost({ label: text.toLowerCase(), document: applyPatch(document, patch) })
                      }
                    >
                      compare
                    </button>
                  </span>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}
