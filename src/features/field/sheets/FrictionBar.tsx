import { formatText } from '@/core/base/units/formatQuantity';
import type { FrictionPart } from '@/core/physics/transmissions/friction';
import { ShareBar } from '@/ui/charts/ShareBar';
import { useReader } from '@/ui/reader';

const ROOM = 0.12;

/** What each part takes of the pull that starts the drive, as one bar. */
export function FrictionBar({ parts }: { parts: readonly FrictionPart[] }) {
  const { reader } = useReader();
  const whole = parts.reduce((sum, { startNm }) => sum + Math.max(0, startNm), 0);
  if (!(whole > 0)) return null;
  const torque = (nm: number) => formatText(nm, 'torqueNm', reader, 2);
  return (
    <ShareBar
      caption={`What starting takes, ${torque(whole)} at the motor`}
      testId="friction-bar"
      room={ROOM}
      pieces={parts.map(({ part, startNm, clear }) => ({
        name: part,
        share: Math.max(0, startNm) / whole,
        said: `${torque(startNm)}${clear ? '' : ', within the error,'}`,
      }))}
    />
  );
}
