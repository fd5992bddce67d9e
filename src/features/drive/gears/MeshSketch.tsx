'use client';

import gearsCss from '@/features/drive/gears/gears.module.css';
import { Toggle } from '@/ui/controls/Toggle';
import { Note } from '@/ui/controls/Note';
import { useMemo, useState } from 'react';
import type { GearBody, Stage } from '@/core/car/stages/stage';
import { refusalInWords } from '@/words/labels/labels';
import { CalcError, type Refused } from '@/core/base/errors';
import { gearOutline } from '@/core/physics/gears/outline';
import { useReader } from '@/ui/reader';
import { pathOf, SKETCH_HEIGHT, SKETCH_WIDTH, StageFigure, TurningLayer } from './GearLayers';

/** One pinion pitch in this long, s. */
const PITCH_S = 1.2;
/** Teeth of a pinion that the close-up shows across. */
const CLOSE_MODULES = 9;
/** Of the pitch circle. */
const PLAIN_BORE_SHARE = 0.25;

/** Both gears to scale from their true outlines, in mesh; on request each turns as a layer of its own, which costs no painting. */
export function MeshSketch({ stage, centreMm }: { stage: Stage; centreMm: number }) {
  const { reader } = useReader();
  const [turning, setTurning] = useState(false);
  const [close, setClose] = useState(false);
  const { pinionTeeth: z1, wheelTeeth: z2, moduleMm, helixDeg = 0 } = stage;
  const { pinion: one, wheel: two } = stage;
  const gears = useMemo(
    () => [
      drawn({ teeth: z1!, moduleMm: moduleMm!, helixDeg }, one),
      drawn({ teeth: z2!, moduleMm: moduleMm!, helixDeg }, two),
    ],
    [z1, z2, one, two, moduleMm, helixDeg],
  );
  const size = moduleMm! / Math.cos((helixDeg * Math.PI) / 180);
  const [r1, r2] = [(size * z1!) / 2 + 1.5 * moduleMm!, (size * z2!) / 2 + 1.5 * moduleMm!];
  const contact = (centreMm * z1!) / (z1! + z2!);
  const scale = close
    ? SKETCH_WIDTH / (2 * CLOSE_MODULES * size)
    : Math.min(SKETCH_WIDTH / (r1 + centreMm + r2), SKETCH_HEIGHT / (2 * Math.max(r1, r2)));
  const left = close
    ? SKETCH_WIDTH / 2 - scale * contact
    : (SKETCH_WIDTH - scale * (r1 + centreMm + r2)) / 2 + scale * r1;
  const places = [
    { x: left, r: r1, from: 90, teeth: z1!, fill: 'var(--faint)' },
    { x: left + scale * centreMm, r: r2, from: -90 + 180 / z2!, teeth: z2!, fill: 'var(--sheet)' },
  ];
  return (
    <>
      <StageFigure
        caption="In mesh, to scale"
        says={`Pinion of ${z1} teeth and wheel of ${z2} teeth in mesh, seen along the shafts.`}
        turning={turning}
        onTurn={setTurning}
        testId="mesh-sketch"
        acts={
          <Toggle size="small" pressed={close} onPress={() => setClose(!close)}>
            close up
          </Toggle>
        }
      >
        {places.map(({ x, r, from, teeth, fill }, index) => (
          <TurningLayer
            key={index}
            scale={scale}
            turning={turning}
            part={{
              path: gears[index]!.path,
              x,
              y: SKETCH_HEIGHT / 2,
              reachMm: r,
              fromDeg: from,
              turnS: teeth * PITCH_S,
              way: index === 0 ? 'normal' : 'reverse',
              fill,
            }}
          />
        ))}
        <i
          className={gearsCss.centreline}
          style={{ left, width: scale * centreMm, top: SKETCH_HEIGHT / 2 }}
        />
      </StageFigure>
      {gears.map(({ path, refused }, index) =>
        refused ? (
          <Note tone="bad" key={index} role="alert">
            The {index === 0 ? 'pinion' : 'wheel'}{' '}
            {path === '' ? 'is not drawn' : 'is drawn with a small hole'}, because it cannot be made:{' '}
            {refusalInWords(refused, ['drive', 'stages', stage.id, index === 0 ? 'pinion' : 'wheel'], reader)}
            .
          </Note>
        ) : null,
      )}
    </>
  );
}

/** A gear with the hole that it has, or a small round one where that is not said yet or meets the root. */
function drawn(
  gear: { teeth: number; moduleMm: number; helixDeg: number },
  { boreMm, flatDepthMm, hexAcrossFlatsMm, shift = 0 }: GearBody = {},
): { path: string; refused?: Refused } {
  const common = { ...gear, shift, pointsPerFlank: 10 };
  const hole =
    hexAcrossFlatsMm !== undefined ? { hexAcrossFlatsMm } : flatDepthMm !== undefined ? { flatDepthMm } : {};
  try {
    const { outline, bore } = gearOutline(
      boreMm === undefined
        ? { ...common, boreMm: PLAIN_BORE_SHARE * gear.moduleMm * gear.teeth }
        : { ...common, boreMm, ...hole },
    );
    return { path: pathOf(outline) + pathOf(bore) };
  } catch (error) {
    if (!(error instanceof CalcError)) throw error;
    return { path: withSmallHole(common), refused: error.refused };
  }
}

/** Nothing where the tooth itself cannot be drawn. */
function withSmallHole(gear: {
  teeth: number;
  moduleMm: number;
  helixDeg: number;
  shift: number;
  pointsPerFlank: number;
}): string {
  try {
    const { outline, bore } = gearOutline({ ...gear, boreMm: PLAIN_BORE_SHARE * gear.moduleMm * gear.teeth });
    return pathOf(outline) + pathOf(bore);
  } catch (error) {
    if (!(error instanceof CalcError)) throw error;
    return '';
  }
}
