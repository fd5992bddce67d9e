'use client';

import { startingDragArea } from '@/core/build/chassis';
import { formatText } from '@/core/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { PlanSketch } from '@/ui/PlanSketch';
import { useBuild } from '../shell/BuildContext';
import { DocumentField, Group } from '../shell/fields';

const path = (key: string) => ['chassis', key];
/** Overall height over the height of the centre of gravity of a usual car, for a first drag area. */
const HEIGHT_OVER_CG = 2.4;

/** The first chassis: the figures that drive and brief stand on. */
export function ChassisPage() {
  const { document, edit, closed } = useBuild();
  const { reader } = useReader();
  const { chassis, brief } = document;
  const missing = (['wheelbaseMm', 'trackFrontMm', 'trackRearMm', 'massG', 'cgHeightMm', 'frontLoadShare', 'cdaM2'] as const).filter((key) => chassis[key] === undefined);
  const track = Math.max(chassis.trackFrontMm ?? 0, chassis.trackRearMm ?? 0);
  const suggested = track > 0 && chassis.cgHeightMm !== undefined ? startingDragArea(track, HEIGHT_OVER_CG * chassis.cgHeightMm) : undefined;
  const mass = chassis.massG === undefined ? undefined : chassis.massG + (brief.payloadG ?? 0);
  return (
    <main className="page">
      <div className="bench">
        <Group title="Size">
          <DocumentField path={path('wheelbaseMm')} example={285} />
          <DocumentField path={path('trackFrontMm')} example={215} />
          <DocumentField path={path('trackRearMm')} example={215} />
        </Group>
        <Group title="Weight">
          <DocumentField path={path('massG')} example={1600} />
          <DocumentField path={path('frontLoadShare')} example={0.49} />
          <DocumentField path={path('cgHeightMm')} example={62} />
        </Group>
        <Group title="Air">
          <DocumentField path={path('cdaM2')} example={0.026} />
          {suggested !== undefined && chassis.cdaM2 === undefined && !closed ? <p className="quiet" style={{ fontSize: 12 }}>To start with, 0.55 × track × height: <button type="button" className="link" onClick={() => edit([{ path: path('cdaM2'), value: Number(suggested.toPrecision(2)) }])}>take {formatText(suggested, 'areaM2', reader, 2)}</button></p> : null}
          <DocumentField path={path('claFrontM2')} example={0} />
          <DocumentField path={path('claRearM2')} example={0} />
        </Group>
      </div>
      <div className="readings">
        <h1 className="answer">
          {missing.length > 0 ? `Type what you can measure: ${missing.length} of 7 figures are missing.` : `${formatText(mass!, 'massG', reader, 4)} with payload, ${formatText(chassis.frontLoadShare!, 'share', reader)} of it on the front axle.`}
        </h1>
        <p className="quiet" style={{ marginTop: 6, maxWidth: 640 }}>Weigh the car ready to run, then with its front wheels on the scale alone: the second over the first is the weight on the front axle. Whether it slides or rolls is not worked out yet; it will need the components with their places and masses.</p>
        <PlanSketch chassis={chassis} tyreRadiusMm={document.drive.tyre?.radiusMm} driven={document.drive.drivenAxles} width={560} />
      </div>
    </main>
  );
}
