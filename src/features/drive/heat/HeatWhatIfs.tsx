'use client';

import { applyPatch } from '@/core/base/patch';
import { formatText } from '@/core/base/units/formatQuantity';
import type { HeatOfBuild, TriedWhatIf } from '@/core/worked/heat/heatOf';
import { useReader } from '@/ui/reader';
import { heatWhatIfText } from '@/words/whatIfs';
import { useBuild } from '../../session/BuildContext';
import { END_NAMES } from '../words';

export function WhatIfs({
  present,
  tried,
  stale,
}: {
  present: HeatOfBuild;
  tried: readonly TriedWhatIf[];
  stale: boolean;
}) {
  const { document, edit, setGhost, closed } = useBuild();
  const { reader } = useReader();
  const { pack, topSpeedMps } = present;
  const row = {
    minutes: pack.durationS / 60,
    endedBy: pack.endedBy,
    peakCaseC: pack.peakCaseC,
    peakWindingC: pack.peakWindingC,
    topSpeedMps,
  };
  const cells = (one: typeof row) => (
    <>
      <td className="num">{formatText(one.minutes, 'minutes', reader)}</td>
      <td className="num">{formatText(one.peakCaseC, 'temperatureC', reader)}</td>
      <td className="num">{formatText(one.peakWindingC, 'temperatureC', reader)}</td>
      <td className="num">
        {one.topSpeedMps === undefined ? '' : formatText(one.topSpeedMps, 'speedMps', reader)}
      </td>
      <td className="quiet">{END_NAMES[one.endedBy]}</td>
    </>
  );
  return (
    <section className="gridbox" aria-label="What if" style={{ marginTop: 10, opacity: stale ? 0.55 : 1 }}>
      <table className="grid tight">
        <thead>
          <tr>
            <th>What if</th>
            <th className="num">Runs</th>
            <th className="num">Case peak</th>
            <th className="num">Winding peak</th>
            <th className="num">Top speed</th>
            <th>Ended by</th>
            <th />
          </tr>
        </thead>
        <tbody>
          <tr>
            <td>
              <b>As it is</b>
            </td>
            {cells(row)}
            <td />
          </tr>
          {tried.map((one) => {
            const text = heatWhatIfText(one.is, reader);
            return (
              <tr key={one.id} data-whatif={one.id}>
                <td>{text}</td>
                {cells({ ...one, topSpeedMps: one.topSpeedMps })}
                <td style={{ whiteSpace: 'nowrap' }}>
                  <span className="remedy">
                    <button
                      type="button"
                      disabled={closed}
                      aria-label={`Take: ${text}`}
                      onClick={() => edit(one.patch)}
                    >
                      take
                    </button>
                    <button
                      type="button"
                      className="link quiet"
                      aria-label={`Compare: ${text}`}
                      style={{ border: 0, background: 'none', padding: 0, fontWeight: 400, color: 'inherit' }}
                      onClick={() =>
                        setGhost({ label: text.toLowerCase(), document: applyPatch(document, one.patch) })
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
