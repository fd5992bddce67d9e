import { useBuild } from '../../session/BuildContext';
import { QuantitySlider } from '@/ui/QuantitySlider';
import type { CarPose } from '@/core/worked/space/posesOfCar';
import spaceCss from './space.module.css';

/** Travel of both ends, lean and rack by hand; the rear goes as far along its way as the front along its own. */
export function PoseBar({ pose, onPose }: { pose: CarPose; onPose(pose: CarPose): void }) {
  const { document } = useBuild();
  const { front, rear = {}, steering } = document.suspension;
  const { bumpMm = 0, droopMm = 0 } = front ?? rear;
  const lockMm = steering?.lockMm ?? 0;
  const along = (mm: number, own: number, other: number) => (mm / (own || 1)) * other;
  const toTravel = (mm: number): CarPose => ({
    ...pose,
    travelMm: {
      front: mm,
      rear: mm >= 0 ? along(mm, bumpMm, rear.bumpMm ?? 0) : along(mm, droopMm, rear.droopMm ?? 0),
    },
  });
  return (
    <div className={spaceCss.sliders}>
      <QuantitySlider
        label="Wheels at"
        quantity="lengthMm"
        value={pose.travelMm.front}
        min={-droopMm}
        max={Math.max(bumpMm, 1)}
        step={0.5}
        onChange={(value) => onPose(toTravel(value))}
      />
      <QuantitySlider
        label="Leans by, left side in"
        quantity="lengthMm"
        value={pose.leanMm ?? 0}
        min={-(bumpMm + droopMm)}
        max={Math.max(bumpMm + droopMm, 1)}
        step={1}
        onChange={(leanMm) => onPose({ ...pose, leanMm })}
      />
      {lockMm > 0 ? (
        <QuantitySlider
          label="Rack at"
          quantity="lengthMm"
          value={pose.rackMm}
          min={-lockMm}
          max={lockMm}
          step={0.5}
          onChange={(rackMm) => onPose({ ...pose, rackMm })}
        />
      ) : null}
    </div>
  );
}
