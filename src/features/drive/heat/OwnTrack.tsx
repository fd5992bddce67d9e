'use client';

import { workerOf } from '@/workers/clients';
import { TrackPick } from '../../fields/TrackPick';
import { useBuild } from '../../session/BuildContext';

const TRACE = ['drive', 'heat', 'trace'];

/** A track of the build's runs, or a file, as what the pack is driven with. */
export function OwnTrack() {
  const { document, edit } = useBuild();
  return (
    <div data-path={TRACE.join('.')}>
      <TrackPick
        name={document.drive.heat?.trace?.name}
        label="File of a track to drive"
        onTake={async (name, bytes) => {
          const found = await workerOf('field').driven(bytes);
          if ('refused' in found) return found.refused;
          edit([{ path: TRACE, value: { name, ...found } }]);
          return undefined;
        }}
      />
    </div>
  );
}
