import type { BuildDocument } from '@/core/car/document/document';
import type { drawnJoints } from '@/core/worked/print/joints';
import { formatText } from '@/core/base/units/formatQuantity';
import { inSentence } from '@/core/base/units/words';
import { useReader } from '@/ui/reader';

/** The size to draw for every hole, seat and gap of the build's joints. */
export function DrawnSizes({
  drawn,
  document,
}: {
  drawn: ReturnType<typeof drawnJoints>;
  document: BuildDocument;
}) {
  const { reader } = useReader();
  const length = (value: number) => formatText(value, 'lengthMm', reader, 4);
  const nameOf = (id: string | undefined) =>
    document.parts.items.find((part) => part.id === id)?.name ?? 'the car';
  return (
    <div className="gridbox">
      <table className="grid tight" data-testid="drawn-sizes" style={{ marginTop: 10 }}>
        <thead>
          <tr>
            <th>Joint</th>
            <th>What</th>
            <th className="num">Draw it</th>
            <th className="num">Should be</th>
            <th>In</th>
            <th>By</th>
          </tr>
        </thead>
        <tbody>
          {drawn.flatMap(({ joint, sizes, missing, coupon }) => [
            ...sizes.map(({ kind, called, targetMm, drawMm, errorMm }, index) => (
              <tr key={`${joint.id}${called}`}>
                <td>{index === 0 ? <b>{joint.name}</b> : ''}</td>
                <td>{called}</td>
                <td className="num">
                  <b>{length(drawMm)}</b>
                  {errorMm === undefined ? (
                    ''
                  ) : (
                    <span className="quiet"> ± {formatText(errorMm, 'lengthMm', reader, 1)}</span>
                  )}
                </td>
                <td className="num">{length(targetMm)}</td>
                <td>{index === 0 ? nameOf(joint.part) : ''}</td>
                <td className="quiet">
                  {kind === 'gap'
                    ? coupon
                      ? 'the gaps of the test piece'
                      : 'a usual gap; print the test piece'
                    : coupon
                      ? `test piece, ${inSentence(coupon.material)}`
                      : 'not corrected: no test piece of its material'}
                </td>
              </tr>
            )),
            ...(missing.length > 0
              ? [
                  <tr key={`${joint.id}missing`}>
                    <td>{sizes.length === 0 ? <b>{joint.name}</b> : ''}</td>
                    <td colSpan={5} className="quiet">
                      Needs {missing.join(', ')}.
                    </td>
                  </tr>,
                ]
              : []),
          ])}
        </tbody>
      </table>
    </div>
  );
}
