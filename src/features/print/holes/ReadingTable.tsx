import type { HolePattern } from '@/core/car/document/print';
import type { SolvedPattern } from '@/core/physics/printing/holes/pattern';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { useBuild } from '../../session/BuildContext';

/** What was read against what fits, the reading that is wrong marked. */
export function ReadingTable({
  pattern: { id, readings },
  solved,
}: {
  pattern: HolePattern;
  solved: SolvedPattern | undefined;
}) {
  const { edit, closed } = useBuild();
  const { reader } = useReader();
  if (readings.length === 0) return null;
  const { residuals = [], suspect = [] } = solved?.result ?? {};
  // one wrong reading pulls at its neighbours: the first alone is named until it is out
  const wrong = (from: string, to: string) => suspect[0]?.from === from && suspect[0].to === to;
  const length = (value: number) => formatText(Number(value.toFixed(2)), 'lengthMm', reader, 6);
  return (
    <div className="gridbox" style={{ flex: 1, minWidth: 300 }}>
      <table className="grid tight slim" data-testid="readings">
        <thead>
          <tr>
            <th>Reading</th>
            <th className="minor">Jaws</th>
            <th className="num">Read</th>
            <th className="num">Fits</th>
            <th className="num">Off, in its errors</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {readings.map((reading, index) => {
            const fit = residuals[index];
            const known =
              fit && fit.from === reading.from && fit.to === reading.to && fit.readMm === reading.valueMm;
            const bad = wrong(reading.from, reading.to);
            return (
              <tr key={reading.id} data-wrong={bad} style={bad ? { color: 'var(--rust)' } : undefined}>
                <td>
                  {reading.from} to {reading.to}
                  {bad ? <b> wrong</b> : null}
                </td>
                <td className="minor">{reading.kind}</td>
                <td className="num">{length(reading.valueMm)}</td>
                <td className="num">{known ? length(fit.fitMm) : ''}</td>
                <td className="num">{known ? formatNumber(fit.offBySigma, reader.locale, 2) : ''}</td>
                <td>
                  {closed ? null : (
                    <button
                      type="button"
                      className="plain"
                      aria-label={`Take the reading ${reading.from} to ${reading.to} out`}
                      onClick={() =>
                        edit([
                          {
                            path: ['print', 'patterns', id, 'readings'],
                            value: readings.filter((one) => one.id !== reading.id),
                          },
                        ])
                      }
                    >
                      ×
                    </button>
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
