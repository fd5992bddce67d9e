'use client';

import { Toggle, Toggles } from '@/ui/controls/Toggle';
import { useBuild } from '../session/BuildContext';

/** Which of the brief's surfaces the page shows. */
export function SurfaceSwitch() {
  'use memo';
  const { document, surface, chooseSurface } = useBuild();
  if (document.brief.surfaces.length < 2) return null;
  return (
    <Toggles label="Surface">
      {document.brief.surfaces.map(({ id, name }) => (
        <Toggle key={id} pressed={surface?.id === id} onPress={() => chooseSurface(id)}>
          {name}
        </Toggle>
      ))}
    </Toggles>
  );
}
