'use client';

import chartsCss from '@/ui/charts/charts.module.css';
import gearsCss from '@/features/drive/gears/gears.module.css';
import Box from '@mui/material/Box';
import { Toggle, Toggles } from '@/ui/controls/Toggle';
import { Note } from '@/ui/controls/Note';
import { type CSSProperties, useMemo, useState } from 'react';
import type { GearBody, Stage } from '@/core/car/stages/stage';
import { refusalInWords } from '@/words/labels/labels';
import { CalcError, type Refused } from '@/core/base/errors';
import { gearOutline } from '@/core/physics/gears/outline';
import { useReader } from '@/ui/reader';

const [WIDTH, HEIGHT] = [760, 270];
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
  const { pinionTeeth: z1, wheelTeeth: z2, moduleMm, helixDeg = 0, backlashMm = 0 } = stage;
  const { pinion: one, wheel: two } = stage;
  const gears = useMemo(
    () => [
      drawn({ teeth: z1!, moduleMm: moduleMm!, helixDeg, backlashMm }, one),
      drawn({ teeth: z2!, moduleMm: moduleMm!, helixDeg, backlashMm }, two),
    ],
    [z1, z2, one, two, moduleMm, helixDeg, backlashMm],
  );
  const size = moduleMm! / Math.cos((helixDeg * Math.PI) / 180);
  const [r1, r2] = [(size * z1!) / 2 + 1.5 * moduleMm!, (size * z2!) / 2 + 1.5 * moduleMm!];
  const contact = (centreMm * z1!) / (z1! + z2!);
  const scale = close
    ? WIDTH / (2 * CLOSE_MODULES * size)
    : Math.min(WIDTH / (r1 + centreMm + r2), HEIGHT / (2 * Math.max(r1, r2)));
  const left = close ? WIDTH / 2 - scale * contact : (WIDTH - scale * (r1 + centreMm + r2)) / 2 + scale * r1;
  const places = [
    { x: left, r: r1, from: 90, teeth: z1!, fill: 'var(--faint)' },
    { x: left + scale * centreMm, r: r2, from: -90 + 180 / z2!, teeth: z2!, fill: 'var(--sheet)' },
  ];
  return (
    <Box
      component="figure"
      className={chartsCss.chart}
      style={{ width: `min(100%, ${WIDTH}px)` }}
      sx={{ mt: 1 }}
      data-testid="mesh-sketch"
    >
      <figcaption>
        <span>In mesh, to scale</span>
        <Toggles>
          <Toggle size="small" pressed={turning} onPress={() => setTurning(!turning)}>
            {turning ? 'stop' : 'turn it'}
          </Toggle>
          <Toggle size="small" pressed={close} onPress={() => setClose(!close)}>
            close up
          </Toggle>
        </Toggles>
      </figcaption>
      <div
        className={gearsCss.mesh}
        role="img"
        aria-label={`Pinion of ${z1} teeth and wheel of ${z2} teeth in mesh, seen along the shafts.`}
        style={{ height: HEIGHT }}
      >
        <div className={gearsCss.meshmid} style={{ width: WIDTH, height: HEIGHT }}>
          {places.map(({ x, r, from, teeth, fill }, index) => (
            <svg
              key={index}
              className={turning ? gearsCss.turning : undefined}
              viewBox={`${-r} ${-r} ${2 * r} ${2 * r}`}
              width={2 * r * scale}
              height={2 * r * scale}
              style={
                {
                  left: x - r * scale,
                  top: HEIGHT / 2 - r * scale,
                  '--from': `${from}deg`,
                  '--turn': `${teeth * PITCH_S}s`,
                  '--way': index === 0 ? 'normal' : 'reverse',
                } as CSSProperties
              }
            >
              <path
                d={gears[index]!.path}
                fillRule="evenodd"
                fill={fill}
                stroke="var(--ink)"
                strokeWidth={1.2 / scale}
              />
            </svg>
          ))}
          <i className={gearsCss.centreline} style={{ left, width: scale * centreMm, top: HEIGHT / 2 }} />
        </div>
      </div>
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
    </Box>
  );
}

/** A gear with the hole that it has, or a small round one where that is not said yet or meets the root. */
function drawn(
  gear: { teeth: number; moduleMm: number; helixDeg: number; backlashMm: number },
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
  backlashMm: number;
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

/** Upward in the gear is downward on the screen. */
const pathOf = (points: readonly (readonly [number, number])[]) =>
  `M${points.map(([x, y]) => `${x.toFixed(3)},${(-y).toFixed(3)}`).join('L')}Z`;
