'use client';

import { type MeshFace, sideOf } from '@/core/physics/solid/faces';
import { formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';

const MOST_FACES = 10;

/** The largest faces by name, for who works without a pointer or without 3D. */
export function Faces({
  faces,
  locked,
  onPlace,
}: {
  faces: readonly MeshFace[];
  locked: boolean;
  onPlace(face: MeshFace, as: 'hold' | 'pull'): void;
}) {
  const { reader } = useReader();
  const at = ({ centre }: MeshFace) =>
    centre.map((one) => formatText(one, 'lengthMm', reader, 2).replace(/\s*\D+$/, '')).join(', ');
  return (
    <section aria-label="Faces of the mesh" style={{ flex: 1, minWidth: 300 }}>
      <div className="gridbox">
        <table className="grid tight slim">
          <thead>
            <tr>
              <th>Face</th>
              <th className="num">Area</th>
              <th className="minor">At x, y, z</th>
              <th />
            </tr>
          </thead>
          <tbody>
            {faces.slice(0, MOST_FACES).map((face, index) => (
              <tr key={index}>
                <td>looks {sideOf(face)}</td>
                <td className="num">{formatText(face.areaMm2, 'surfaceMm2', reader)}</td>
                <td className="minor">{at(face)}</td>
                <td>
                  {locked ? null : (
                    <>
                      <button
                        type="button"
                        className="plain"
                        aria-label={`Hold face ${index + 1}, looks ${sideOf(face)}`}
                        onClick={() => onPlace(face, 'hold')}
                      >
                        hold
                      </button>{' '}
                      <button
                        type="button"
                        className="plain"
                        aria-label={`Pull face ${index + 1}, looks ${sideOf(face)}`}
                        onClick={() => onPlace(face, 'pull')}
                      >
                        pull
                      </button>
                    </>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}
