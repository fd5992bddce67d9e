import { durationText } from '@/core/base/units/duration';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import type { PlannedPart } from './usePlates';

/** Every printed part, the longest first: what a draft and a final copy take, and what strength a draft gives away. */
export function PartTimes({
  parts,
  problems,
  limitMinutes,
}: {
  parts: readonly PlannedPart[];
  problems: ReadonlyMap<string, string>;
  limitMinutes: number;
}) {
  const { reader } = useReader();
  if (parts.length === 0) return null;
  const sorted = [...parts].sort((a, b) => (b.times.final?.timeS ?? -1) - (a.times.final?.timeS ?? -1));
  const mass = (value: number | undefined) => (value === undefined ? '' : formatText(value, 'massG', reader));
  const margin = (value: number | undefined) =>
    value === undefined ? '' : formatNumber(value, reader.locale, 3);
  return (
    <>
      <div className="cap" style={{ marginTop: 18 }}>
        <span>One copy of each part: a draft to hold against the car, and the final print</span>
      </div>
      <div className="gridbox">
        <table className="grid tight" data-testid="part-times">
          <thead>
            <tr>
              <th rowSpan={2}>Part</th>
              <th className="num" colSpan={2}>
                Time
              </th>
              <th className="num" colSpan={2}>
                Plastic
              </th>
              <th className="num">Cost</th>
              <th className="num" colSpan={2}>
                Strength, times its load
              </th>
              <th className="num" rowSpan={2}>
                Height
              </th>
            </tr>
            <tr>
              {['draft', 'final', 'draft', 'final', 'final', 'draft', 'final'].map((how, at) => (
                <th key={at} className="num">
                  {how}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {sorted.map(({ part, times: { draft, final }, margins, missing }) => (
              <tr key={part.id}>
                <td>
                  <b>{part.name}</b>
                </td>
                {final && draft ? (
                  <>
                    <td className="num">{durationText(draft.timeS)}</td>
                    <td className="num">
                      <b>{durationText(final.timeS)}</b>
                      {final.timeS > limitMinutes * 60 ? (
                        <span title="longer than the workshop's limit"> ▲</span>
                      ) : null}
                    </td>
                    <td className="num">{mass(draft.massG)}</td>
                    <td className="num">{mass(final.massG)}</td>
                    <td className="num">
                      {final.cost === undefined ? 'no price' : formatText(final.cost, 'price', reader)}
                    </td>
                    <td className="num">{margin(margins.draft)}</td>
                    <td className="num">{margin(margins.final)}</td>
                    <td className="num">{formatText(part.mesh!.lies!.sizeMm[2], 'lengthMm', reader)}</td>
                  </>
                ) : (
                  <td colSpan={8} className="quiet">
                    {problems.get(part.id) ??
                      `Needs ${missing.join(', ')}${missing.includes('a mesh') ? ': drop its file on the Parts page, under its own mesh' : ''}.`}
                  </td>
                )}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="quiet" style={{ fontSize: 12.5, marginTop: 4 }}>
        ▲ takes longer than {limitMinutes} min, the limit of this workshop: print a spare before it breaks.
      </p>
    </>
  );
}
