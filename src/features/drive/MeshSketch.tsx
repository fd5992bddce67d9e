'use client';

import { useEffect, useMemo, useRef, useState } from 'react';
import type { GearBody, Stage } from '@/core/build/drive';
import { refusalInWords } from '@/core/build/labels';
import { CalcError } from '@/core/errors';
import { gearOutline } from '@/core/gears/outline';

const [WIDTH, HEIGHT] = [760, 270];
/** One pinion pitch in this long, s. */
const PITCH_S = 1.2;
/** Teeth of a pinion that the close-up shows across. */
const CLOSE_MODULES = 9;
/** Of the pitch circle. */
const PLAIN_BORE_SHARE = 0.25;

/** Both gears to scale from their true outlines, in mesh; turning on request. */
export function MeshSketch({ stage, centreMm }: { stage: Stage; centreMm: number }) {
  const [turning, setTurning] = useState(false);
  const [close, setClose] = useState(false);
  const { pinionTeeth: z1, wheelTeeth: z2, moduleMm, helixDeg = 0, backlashMm = 0 } = stage;
  const { pinion: one, wheel: two } = stage;
  const gears = useMemo(() => [drawn({ teeth: z1!, moduleMm: moduleMm!, helixDeg, backlashMm }, one, ['drive', 'stages', stage.id, 'pinion']), drawn({ teeth: z2!, moduleMm: moduleMm!, helixDeg, backlashMm }, two, ['drive', 'stages', stage.id, 'wheel'])], [stage.id, z1, z2, one, two, moduleMm, helixDeg, backlashMm]);
  const pinion = useRef<SVGGElement>(null);
  const wheel = useRef<SVGGElement>(null);
  useEffect(() => {
    const turn = (pitches: number) => {
      pinion.current?.setAttribute('transform', `rotate(${(360 / z1!) * pitches + 90})`);
      wheel.current?.setAttribute('transform', `translate(${centreMm} 0) rotate(${-(360 / z2!) * pitches - 90 + 180 / z2!})`);
    };
    turn(0);
    if (!turning) return;
    let frame = 0;
    const start = performance.now();
    const step = (now: number) => {
      turn(((now - start) / 1000 / PITCH_S) % (z1! * z2!));
      frame = requestAnimationFrame(step);
    };
    frame = requestAnimationFrame(step);
    return () => cancelAnimationFrame(frame);
  }, [turning, z1, z2, centreMm]);

  const size = moduleMm! / Math.cos((helixDeg * Math.PI) / 180);
  const [r1, r2] = [(size * z1!) / 2 + 1.5 * moduleMm!, (size * z2!) / 2 + 1.5 * moduleMm!];
  const whole = { x: -r1, width: r1 + centreMm + r2, height: 2 * Math.max(r1, r2) };
  const contact = (centreMm * z1!) / (z1! + z2!);
  const span = CLOSE_MODULES * size;
  const box = close ? `${contact - span} ${-span * (HEIGHT / WIDTH)} ${2 * span} ${2 * span * (HEIGHT / WIDTH)}` : `${whole.x} ${-whole.height / 2} ${whole.width} ${whole.height}`;
  const line = (close ? span / 260 : whole.width / 900);
  return (
    <figure className="chart" data-testid="mesh-sketch" style={{ width: `min(100%, ${WIDTH}px)`, marginTop: 8 }}>
      <figcaption><span>In mesh, to scale</span><span className="seg"><button type="button" className="small" aria-pressed={turning} onClick={() => setTurning(!turning)}>{turning ? 'stop' : 'turn it'}</button><button type="button" className="small" aria-pressed={close} onClick={() => setClose(!close)}>close up</button></span></figcaption>
      <svg viewBox={box} width={WIDTH} height={HEIGHT} preserveAspectRatio="xMidYMid meet" role="img" aria-label={`Pinion of ${z1} teeth and wheel of ${z2} teeth in mesh, seen along the shafts.`}>
        <g ref={pinion}><path d={gears[0]!.path} fillRule="evenodd" fill="var(--faint)" stroke="var(--ink)" strokeWidth={line} /></g>
        <g ref={wheel}><path d={gears[1]!.path} fillRule="evenodd" fill="var(--sheet)" stroke="var(--ink)" strokeWidth={line} /></g>
        <line x1={0} x2={centreMm} y1={0} y2={0} stroke="var(--moss)" strokeWidth={line} strokeDasharray={`${4 * line} ${3 * line}`} />
      </svg>
      {gears.map(({ refused }, index) => (refused ? <p key={index} className="note bad" role="alert">The {index === 0 ? 'pinion' : 'wheel'} is drawn with a small hole, because it cannot be made: {refused}.</p> : null))}
    </figure>
  );
}

/** A gear with the hole that it has, or a small round one where that is not said yet or meets the root. */
function drawn(gear: { teeth: number; moduleMm: number; helixDeg: number; backlashMm: number }, { boreMm, flatDepthMm, hexAcrossFlatsMm, shift = 0 }: GearBody = {}, place: readonly string[] = []): { path: string; refused?: string } {
  const common = { ...gear, shift, pointsPerFlank: 10 };
  const hole = hexAcrossFlatsMm !== undefined ? { hexAcrossFlatsMm } : flatDepthMm !== undefined ? { flatDepthMm } : {};
  try {
    const { outline, bore } = gearOutline(boreMm === undefined ? { ...common, boreMm: PLAIN_BORE_SHARE * gear.moduleMm * gear.teeth } : { ...common, boreMm, ...hole });
    return { path: pathOf(outline) + pathOf(bore) };
  } catch (error) {
    if (!(error instanceof CalcError)) throw error;
    const { outline, bore } = gearOutline({ ...common, boreMm: PLAIN_BORE_SHARE * gear.moduleMm * gear.teeth });
    return { path: pathOf(outline) + pathOf(bore), refused: refusalInWords(error, place) };
  }
}

/** Upward in the gear is downward on the screen. */
const pathOf = (points: readonly (readonly [number, number])[]) => `M${points.map(([x, y]) => `${x.toFixed(3)},${(-y).toFixed(3)}`).join('L')}Z`;
