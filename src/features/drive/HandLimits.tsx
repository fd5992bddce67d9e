'use client';

import Button from '@mui/material/Button';
import { useMemo } from 'react';
import type { DriveRunInput } from '@/core/physics/motion/definition';
import { breakawayCurrentA, throttleForSpeed } from '@/core/physics/motion/handLimits';
import { driveRun, type DriveRunResult } from '@/core/physics/motion/run';
import { formatText } from '@/core/base/units/formatQuantity';
import { QuantitySlider } from '@/ui/QuantitySlider';
import { useReader } from '@/ui/reader';
import type { BuildDocument } from '@/core/car/document/document';
import { launchHeldBy, type LaunchHeldBy } from '@/core/worked/motion/runOfBuild';
import { useBuild } from '../session/BuildContext';
import { Group } from '../fields/fields';
import type { DriveView } from './useDriveView';

const CURRENT = ['drive', 'currentLimitA'];
const THROTTLE = ['drive', 'throttleLimit'];
const LEAST_A = 2;
const LEAST_THROTTLE = 0.1;

/** A current limit to tame wheelspin and a throttle limit for a top speed, each with its effect beside the open car. */
export function HandLimits({ view }: { view: DriveView }) {
  'use memo';
  const { document, surface, edit, closed, session } = useBuild();
  const { reader } = useReader();
  const { input, run } = view;
  const { currentLimitA, throttleLimit } = document.drive;
  const ownA = document.power.controller?.currentLimitA;
  const open = useMemo(
    () => (input && ownA ? openFigures(input, ownA, document.brief.targetMps) : undefined),
    [input, ownA, document.brief.targetMps],
  );
  if (!input || !run || !open || !ownA || !surface) return null;
  const on = surface.name.toLowerCase();
  const set = (path: readonly string[], value: number | undefined, key: string) =>
    edit([{ path, value }], key);
  const amps = (value: number) => formatText(value, 'currentA', reader);
  const set0 = currentLimitA !== undefined || throttleLimit !== undefined;
  return (
    <Group
      title="Limits by hand"
      aside={
        set0 && !closed ? (
          <Button
            variant="link"
            onClick={() =>
              edit([
                { path: CURRENT, value: undefined },
                { path: THROTTLE, value: undefined },
              ])
            }
          >
            none
          </Button>
        ) : (
          'none set'
        )
      }
    >
      <QuantitySlider
        label="Motor current"
        quantity="currentA"
        value={Math.min(ownA, currentLimitA ?? ownA)}
        min={LEAST_A}
        max={ownA}
        step={0.5}
        disabled={closed}
        effect={effectOfCurrent(document, run, open.run, (value) =>
          formatText(value / 9.81, 'coefficient', reader, 2),
        )}
        mark={
          open.breakawayA === undefined || open.breakawayA > ownA
            ? undefined
            : {
                value: Math.floor(open.breakawayA * 10) / 10,
                label: `just short of wheelspin on ${on}: ${amps(Math.floor(open.breakawayA * 10) / 10)}`,
              }
        }
        onChange={(value) => set(CURRENT, value >= ownA ? undefined : value, 'hand-current')}
        onEnd={() => session.endStep()}
      />
      <QuantitySlider
        label="Throttle"
        quantity="share"
        value={throttleLimit ?? 1}
        min={LEAST_THROTTLE}
        max={1}
        step={0.005}
        disabled={closed}
        effect={
          run.topSpeedMps === undefined
            ? 'It stands still.'
            : `Top speed ${formatText(run.topSpeedMps, 'speedMps', reader)}${throttleLimit === undefined || open.run.topSpeedMps === undefined ? '' : `, unlimited ${formatText(open.run.topSpeedMps, 'speedMps', reader)}`}.`
        }
        mark={
          open.throttle === undefined
            ? undefined
            : {
                value: Math.ceil(open.throttle * 1000) / 1000,
                label: `for the wished speed: ${formatText(Math.ceil(open.throttle * 1000) / 1000, 'share', reader)}`,
              }
        }
        onChange={(value) => set(THROTTLE, value >= 1 ? undefined : value, 'hand-throttle')}
        onEnd={() => session.endStep()}
      />
    </Group>
  );
}

/** The same car without limits by hand, and where they would bite. */
function openFigures(input: DriveRunInput, ownA: number, targetMps: number | undefined) {
  const open = { ...input, esc: { ...input.esc, currentLimitA: ownA }, throttle: 1 };
  return {
    run: driveRun(open),
    breakawayA: breakawayCurrentA(open),
    throttle: targetMps === undefined ? undefined : throttleForSpeed(open, targetMps),
  };
}

const HELD: Readonly<Record<LaunchHeldBy, string>> = {
  grip: 'the tyres: they slip',
  lift: 'the front lifting',
  controller: 'the controller',
  ownLimit: 'this limit: no wheelspin',
  clutch: 'the slip clutch',
  voltage: 'the pack',
};

function effectOfCurrent(
  document: BuildDocument,
  run: DriveRunResult,
  open: DriveRunResult,
  inG: (mps2: number) => string,
): string {
  const launch = `Launch ${inG(run.peakAccelMps2)} g, held by ${HELD[launchHeldBy(document, run)]}`;
  return run.peakAccelMps2 === open.peakAccelMps2
    ? `${launch}.`
    : `${launch}; without it ${inG(open.peakAccelMps2)} g.`;
}
