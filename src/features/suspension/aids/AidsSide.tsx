'use client';

import { Toggle, Toggles } from '@/ui/controls/Toggle';
import { useState } from 'react';
import type { SideProps } from '../side';
import { SlipAidSide } from './SlipAidSide';
import { YawAidSide } from './YawAidSide';

const AIDS = [
  ['gyro', 'Gyro on the steering'],
  ['slip', 'Slip control, throttle'],
  ['brake', 'Slip control, brake'],
] as const;
export type AidKind = (typeof AIDS)[number][0];

/** Driver aids tried before they are soldered: a gyro, and a throttle or a brake held back by slip. */
export function AidsSide({ tabs, foot }: SideProps) {
  const [kind, choose] = useState<AidKind>('gyro');
  const pick = (
    <Toggles label="Aid">
      {AIDS.map(([id, name]) => (
        <Toggle size="small" key={id} pressed={kind === id} onPress={() => choose(id)}>
          {name}
        </Toggle>
      ))}
    </Toggles>
  );
  return kind === 'gyro' ? (
    <YawAidSide tabs={tabs} foot={foot} pick={pick} />
  ) : (
    <SlipAidSide key={kind} tabs={tabs} foot={foot} pick={pick} brakes={kind === 'brake'} />
  );
}
