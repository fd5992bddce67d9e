'use client';

import Box from '@mui/material/Box';
import dynamic from 'next/dynamic';
import { useSearchParams } from 'next/navigation';
import type { ReactNode } from 'react';
import { Toggle, Toggles } from '@/ui/controls/Toggle';
import { useSide } from '../../frame/sides';
import { TracksSide } from '../tracks/TracksSide';

const LogsSide = dynamic(() => import('./LogsSide').then(({ LogsSide: Side }) => Side));

/** Satellite tracks, or logs of controllers and recorders. */
export function TracksAndLogs({ tabs }: { tabs: ReactNode }) {
  const { show } = useSide('field');
  const isLogs = useSearchParams().get('of') === 'logs';
  const both = (
    <>
      {tabs}
      <Box sx={{ my: 1.5 }}>
        <Toggles label="Tracks or logs">
          <Toggle pressed={!isLogs} onPress={() => show('tracks')}>
            Satellite tracks
          </Toggle>
          <Toggle pressed={isLogs} onPress={() => show('tracks', { of: 'logs' })}>
            Logs
          </Toggle>
        </Toggles>
      </Box>
    </>
  );
  return isLogs ? <LogsSide tabs={both} /> : <TracksSide tabs={both} />;
}
