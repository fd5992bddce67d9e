'use client';

import { applyPatch } from '@/core/base/patch';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { rideOf, type RideOfBuild } from '@/core/worked/suspension/rideOfBuild';
import type { SpringChoice, SpringChoiceId } from '@/core/worked/suspension/springChoices';
import { useReader } from '@/ui/reader';
import { useBuild } from '../session/BuildContext';

export const USUAL_SAG_PCT = 30;

/** The spring by the sag aimed at, by the height it lands from, and as it is; each worked out again. */
export function SpringChoices({
  end,
  found,
  choices,
}: {
  end: 'front' | 'rear';
  found: RideOfBuild;
  choices: readonly SpringChoice[];
}) {
  const { document, edit, closed, setGhost } = useBuild();
  const { reader } = useReader();
  const { input } = found;
  const { dropHeightM } = document.brief;
  const text: Readonly<Record<SpringChoiceId, string>> = {
    asItIs: 'As it is',
    sag: `By the sag aimed at, ${formatText(input.targetSagPct ?? USUAL_SAG_PCT, 'percent', reader, 2)}`,
    drop: `By the height it lands from, ${dropHeightM === undefined ? '' : formatText(dropHeightM, 'distanceM', reader, 2)}`,
    damper: 'Damper for 0.6 of critical',
  };
  const cells = ({ ride: one, input: given }: RideOfBuild, maxDropM: number | undefined) => (
    <>
      <td className="num">{formatText(given.springRateNPerMm, 'rateNPerMm', reader)}</td>
      <td className="num">
        {given.damperNsPerM === undefined ? '' : formatText(given.damperNsPerM, 'damperNsPerM', reader)}
      </td>
      <td className="num">{formatText(one.sagPct, 'percent', reader, 2)}</td>
      <td className="num">{formatText(one.rideHz, 'frequencyHz', reader, 2)}</td>
      <td className="num">
        {one.dampingRatio === undefined ? '' : formatNumber(one.dampingRatio, reader.locale, 2)}
      </td>
      <td className="num">{maxDropM === undefined ? '' : formatText(maxDropM, 'distanceM', reader, 2)}</td>
    </>
  );
  return (
    <section className="gridbox" aria-label="Choose the spring" style={{ marginTop: 10 }}>
      <table className="grid tight">
        <thead>
          <tr>
            <th>Choose the spring</th>
            <th className="num">Spring</th>
            <th className="num">Damper</th>
            <th className="num">Sag</th>
            <th className="num">Swings at</th>
            <th className="num">Of critical</th>
            <th className="num">Lands from</th>
            <th />
          </tr>
        </thead>
        <tbody>
          <tr>
            <td>
              <b>As it is</b>
            </td>
            {cells(found, choices.find(({ id }) => id === 'asItIs')?.maxDropM)}
            <td />
          </tr>
          {choices
            .filter(({ id }) => id !== 'asItIs')
            .map(({ id, patch, maxDropM }) => {
              const then = rideOf(applyPatch(document, patch), end);
              return then.ok ? (
                <tr key={id} data-choice={id}>
                  <td>{text[id]}</td>
                  {cells(then.value, maxDropM)}
                  <td style={{ whiteSpace: 'nowrap' }}>
                    <span className="remedy">
                      <button
                        type="button"
                        disabled={closed}
                        aria-label={`Take: ${text[id]}`}
                        onClick={() => edit(patch)}
                      >
                        take
                      </button>
                      <button
                        type="button"
                        className="link quiet"
                        aria-label={`Compare: ${text[id]}`}
                        style={{
                          border: 0,
                          background: 'none',
                          padding: 0,
                          fontWeight: 400,
                          color: 'inherit',
                        }}
                        onClick={() =>
                          setGhost({ label: text[id].toLowerCase(), document: applyPatch(document, patch) })
                        }
                      >
                        compare
                      </button>
                    </span>
                  </td>
                </tr>
              ) : null;
            })}
        </tbody>
      </table>
    </section>
  );
}
