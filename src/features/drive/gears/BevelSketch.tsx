'use client';

import gearsCss from '@/features/drive/gears/gears.module.css';
import { useEffect, useRef, useState } from 'react';
import type { ConeOf, Cones } from '@/core/physics/bevels/bevelGeometry';
import { SKETCH_HEIGHT, SKETCH_WIDTH, StageFigure } from './GearLayers';

const RAD = Math.PI / 180;
/** Turns of the pinion a second while it turns. */
const PER_S = 0.25;

interface Seen {
  gear: ConeOf;
  teeth: number;
  /** From the apex along the gear's axis, and across it, on the sketch. */
  place(along: number, across: number): readonly [number, number];
  spin: 1 | -1;
}

/** Both cones from the side to scale, their teeth running to the apex that they share. */
export function BevelSketch({
  cones,
  teeth,
  faceWidthMm,
}: {
  cones: Cones;
  teeth: readonly [number, number];
  faceWidthMm: number;
}) {
  const [turning, setTurning] = useState(false);
  const paths = useRef<(SVGPathElement | null)[]>([]);
  const { pinion, wheel, coneDistanceMm: cone } = cones;
  const hub = 0.25 * cone;
  const [wide, high] = [
    pinion.crownToApexMm + hub + wheel.tipDiameterMm / 2,
    wheel.crownToApexMm + hub + pinion.tipDiameterMm / 2,
  ];
  const scale = Math.min((SKETCH_WIDTH - 40) / (wheel.tipDiameterMm / 2 + wide), (SKETCH_HEIGHT - 12) / high);
  // the wheel's axis goes down from the apex, the pinion's to the right
  const apex = [
    (SKETCH_WIDTH - scale * (pinion.crownToApexMm + hub - wheel.tipDiameterMm / 2)) / 2,
    6 + (scale * pinion.tipDiameterMm) / 2,
  ] as const;
  const seen: Seen[] = [
    {
      gear: pinion,
      teeth: teeth[0],
      spin: 1,
      place: (along, across) => [apex[0] + scale * along, apex[1] + scale * across],
    },
    {
      gear: wheel,
      teeth: teeth[1],
      spin: 1,
      place: (along, across) => [apex[0] + scale * across, apex[1] + scale * along],
    },
  ];
  const lines = (turns: number) =>
    seen.map((one, index) =>
      teethLines(one, cone, faceWidthMm, index === 0 ? turns : (turns * teeth[0]) / teeth[1]),
    );
  useEffect(() => {
    if (!turning) return;
    let frame = 0;
    const start = performance.now();
    const draw = (now: number) => {
      lines(((now - start) / 1000) * PER_S).forEach((d, index) => paths.current[index]?.setAttribute('d', d));
      frame = requestAnimationFrame(draw);
    };
    frame = requestAnimationFrame(draw);
    return () => cancelAnimationFrame(frame);
  });
  return (
    <StageFigure
      caption="Both cones from the side, to scale"
      says={`Bevel pinion of ${teeth[0]} teeth on a cone of ${pinion.coneAngleDeg.toFixed(1)} degrees and wheel of ${teeth[1]} teeth on ${wheel.coneAngleDeg.toFixed(1)}, their apexes at one point.`}
      turning={turning}
      onTurn={setTurning}
      testId="bevel-sketch"
    >
      <svg
        className={gearsCss.flat}
        viewBox={`0 0 ${SKETCH_WIDTH} ${SKETCH_HEIGHT}`}
        width={SKETCH_WIDTH}
        height={SKETCH_HEIGHT}
      >
        {[...seen].reverse().map((one) => (
          <path
            key={one.teeth + (one.gear === pinion ? 'p' : 'w')}
            d={bodyPath(one, cone, faceWidthMm, hub)}
            fill={one.gear === pinion ? 'var(--faint)' : 'var(--sheet)'}
            stroke="var(--ink)"
            strokeWidth={1.2}
          />
        ))}
        {lines(0).map((d, index) => (
          <path
            key={index}
            ref={(element) => {
              paths.current[index] = element;
            }}
            d={d}
            fill="none"
            stroke="var(--ink)"
            strokeWidth={1}
          />
        ))}
        <path
          d={`M${apex[0]},${apex[1]}h${scale * (pinion.crownToApexMm + hub)}M${apex[0]},${apex[1]}v${scale * (wheel.crownToApexMm + hub)}`}
          stroke="var(--moss)"
          strokeDasharray="5 4"
          fill="none"
        />
      </svg>
    </StageFigure>
  );
}

/** Outline of a gear's body from the side: the tip cone along the face, and a hub behind it. */
function bodyPath({ gear, place }: Seen, cone: number, face: number, hub: number): string {
  const tip = gear.tipConeDeg * RAD;
  const reach = (gear.tipDiameterMm / 2 / Math.sin(tip)) * ((cone - face) / cone);
  const [small, large] = [
    { along: reach * Math.cos(tip), across: reach * Math.sin(tip) },
    { along: gear.crownToApexMm, across: gear.tipDiameterMm / 2 },
  ];
  const back = large.along + 0.35 * hub;
  const shoulder = 0.45 * large.across;
  const side = (sign: 1 | -1) => [
    place(small.along, sign * small.across),
    place(large.along, sign * large.across),
    place(back, sign * gear.rootDiameterMm * 0.48),
    place(back, sign * shoulder),
    place(large.along + hub, sign * shoulder),
  ];
  return `M${[...side(1), ...side(-1).reverse()].map((at) => at.map((one) => one.toFixed(1)).join()).join('L')}Z`;
}

/** The edges of the teeth on the near half of the cone. */
function teethLines({ gear, teeth, place, spin }: Seen, cone: number, face: number, turns: number): string {
  const tip = gear.tipConeDeg * RAD;
  const large = gear.tipDiameterMm / 2 / Math.sin(tip);
  const small = large * ((cone - face) / cone);
  let path = '';
  for (let tooth = 0; tooth < teeth; tooth++)
    for (const edge of [-0.18, 0.18]) {
      const turn = 2 * Math.PI * (spin * turns + (tooth + edge) / teeth);
      if (Math.cos(turn) < 0.02) continue;
      const at = (reach: number) =>
        place(reach * Math.cos(tip), reach * Math.sin(tip) * Math.sin(turn))
          .map((one) => one.toFixed(1))
          .join();
      path += `M${at(small)}L${at(large)}`;
    }
  return path;
}
