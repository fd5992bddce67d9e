import { Note } from '@/ui/controls/Note';
import { timingLaunch } from '@/core/physics/timing/timingLaunch';
import { timingSpeed } from '@/core/physics/timing/timingSpeed';
import { formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { say } from '@/words/findings';
import { useBuild } from '../../session/BuildContext';
import type { Sheet } from '../sheet';

/** What a launch says of the car, and whether that can be. */
export function LaunchNote({ sheet, mu }: { sheet: Sheet; mu: number | undefined }) {
  const { document } = useBuild();
  const { reader } = useReader();
  const { drive, chassis } = document;
  const { id: _, setting: __, ...last } = sheet.attempts.at(-1)!;
  const { timeS, timeErrorS } = timingSpeed({ distanceM: sheet.distanceM!, ...last });
  if (
    drive.drivenAxles === undefined ||
    (drive.drivenAxles !== 'all' && chassis.frontLoadShare === undefined)
  )
    return null;
  const launch = timingLaunch({
    distanceM: sheet.distanceM!,
    timeS,
    timeErrorS,
    drivenAxles: drive.drivenAxles,
    ...(mu === undefined ? {} : { mu }),
    ...(chassis.frontLoadShare === undefined ? {} : { frontLoadShare: chassis.frontLoadShare }),
    ...(chassis.cgHeightMm === undefined || chassis.wheelbaseMm === undefined
      ? {}
      : { cgHeightMm: chassis.cgHeightMm, wheelbaseMm: chassis.wheelbaseMm }),
  });
  return (
    <Note tone={launch.plausible ? 'caution' : 'bad'} data-testid="launch-note">
      At the end of {formatText(sheet.distanceM!, 'distanceM', reader)} it does{' '}
      {formatText(launch.endSpeedMps, 'speedMps', reader)},{' '}
      {formatText(launch.meanSpeedMps, 'speedMps', reader)} on the way. Mean{' '}
      {formatText(launch.accelMps2, 'accelMps2', reader)} ±{' '}
      {formatText(launch.accelErrorMps2, 'accelMps2', reader, 2)}
      {launch.muNeeded === undefined
        ? ''
        : `, which takes a friction of ${formatText(launch.muNeeded, 'coefficient', reader, 2)}`}
      . {launch.plausible ? '' : say(launch.notes.at(-1)!, reader)}
    </Note>
  );
}
