'use client';

import { useBuild } from '../session/BuildContext';

/** Which of the brief's surfaces the page shows. */
export function SurfaceSwitch() {
  const { document, surface, chooseSurface } = useBuild();
  if (document.brief.surfaces.length < 2) return null;
  return (
    <div className="seg" role="group" aria-label="Surface" style={{ flex: 'none' }}>
      {document.brief.surfaces.map(({ id, name }) => (
        <button key={id} type="button" aria-pressed={surface?.id === id} onClick={() => chooseSurface(id)}>
          {name}
        </button>
      ))}
    </div>
  );
}
