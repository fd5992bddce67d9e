'use client';

import waysCss from '@/features/parts/mesh/ways.module.css';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import Button from '@mui/material/Button';
import { polygonHull } from 'd3-polygon';
import { useMemo } from 'react';
import type { Part } from '@/core/car/parts/parts';
import { femOfPart } from '@/core/worked/parts/solidOfPart';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { cross, dot, unit, type Vec3 } from '@/core/base/vec3';
import { say } from '@/words/findings';
import { useReader } from '@/ui/reader';
import type { SeenMesh } from '@/workers/parts.worker';
import { useBuild } from '../../session/BuildContext';
import { useWorked } from '../../session/useWorked';
import { cutOf } from './cut';
import { workerOf } from '@/workers/clients';

const [SHOWN, ACROSS, SAME] = [6, 0.7, 0.9999];

/** Ways up on the bed, the strongest first, each with its outline and layers; taking one turns the part's layers everywhere. */
export function Orientations({ part, seen, meshReady }: { part: Part; seen: SeenMesh; meshReady: string }) {
  const { document, surface, edit, closed } = useBuild();
  const { reader } = useReader();
  const bounds = seen.measure.boundsMm;
  const cut = useMemo(
    () => cutOf(part, femOfPart(document, surface, part), bounds),
    [document, surface, part, bounds],
  );
  const { load, material, axis, heldEnd, holdAtMm } = cut ?? {};
  const how = useMemo(
    () =>
      load && material
        ? {
            load,
            material,
            ...(axis ? { axis } : {}),
            ...(heldEnd ? { heldEnd } : {}),
            ...(holdAtMm === undefined ? {} : { holdAtMm }),
          }
        : {},
    [load, material, axis, heldEnd, holdAtMm],
  );
  const key = JSON.stringify(how);
  const found = useWorked(async () => {
    const answer = await workerOf('parts').orient(meshReady, how);
    return 'refused' in answer ? answer : { list: answer };
  }, [key, meshReady]);
  if (!found.value) return null;
  const { up } = part.mesh!;
  const sizes = ([0, 1, 2] as const).map((one) => bounds.max[one] - bounds.min[one]);
  const long = sizes.indexOf(Math.max(...sizes));
  const take = (direction: Vec3) =>
    edit([
      { path: ['parts', 'items', part.id, 'mesh', 'up'], value: direction },
      {
        path: ['parts', 'items', part.id, 'layers'],
        value: Math.abs(unit(direction)[long]!) > ACROSS ? 'across' : 'along',
      },
    ]);
  const present = found.value.list.find(({ direction }) => dot(unit(direction), unit(up)) > SAME);
  const shown = found.value.list.slice(0, SHOWN);
  const listed = present && !shown.includes(present) ? [...shown.slice(0, SHOWN - 1), present] : shown;
  return (
    <Box component="section" sx={{ mt: 1.5 }} aria-label="Ways up on the bed">
      <Typography component="p" variant="label">
        <span>
          Ways up on the bed{load ? ', the strongest first' : ': give it a load to know the strongest'}
        </span>
      </Typography>
      <div className={waysCss.ways}>
        {listed.map((one, index) => {
          const now = one === present;
          return (
            <div key={one.direction.join()} className={waysCss.way} data-now={now} data-testid="way">
              <Outline positions={seen.positions} up={one.direction} />
              <div>
                <b>{index + 1}.</b>{' '}
                {one.weakestMargin === undefined ? null : (
                  <b>margin {formatNumber(one.weakestMargin, reader.locale, 3)}</b>
                )}{' '}
                {formatText(one.heightMm, 'lengthMm', reader)} high,{' '}
                {formatText(one.overhangAreaMm2, 'surfaceMm2', reader)} to support.{' '}
                <Typography component="span" color="textSecondary">
                  {say(one.why, reader)}
                </Typography>{' '}
                {now ? (
                  <b>as it is</b>
                ) : closed ? null : (
                  <Button
                    variant="link"
                    aria-label={`Take way ${index + 1}`}
                    onClick={() => take(one.direction)}
                  >
                    take it
                  </Button>
                )}
              </div>
            </div>
          );
        })}
      </div>
    </Box>
  );
}

const [SIDE, PAD, LAYERS, MOST_POINTS] = [84, 6, 9, 3000];
const TURNS = 12;

/** The level direction along which a part that stands on its bed is widest. */
function widestOf(corners: readonly Vec3[], up: Vec3): Vec3 {
  const across = unit(cross(up, Math.abs(up[0]) < 0.9 ? [1, 0, 0] : [0, 1, 0]));
  const along = cross(up, across);
  const widthAt = (side: Vec3) => {
    const reach = corners.map((p) => dot(p, side));
    return Math.max(...reach) - Math.min(...reach);
  };
  return Array.from({ length: TURNS }, (_, turn): Vec3 => {
    const [c, s] = [Math.cos((Math.PI * turn) / TURNS), Math.sin((Math.PI * turn) / TURNS)];
    return [0, 1, 2].map((k) => c * across[k]! + s * along[k]!) as unknown as Vec3;
  })
    .map((side) => ({ side, width: widthAt(side) }))
    .reduce((a, b) => (b.width > a.width ? b : a)).side;
}

/** The outline from the side that shows most, with lines for the layers. */
function Outline({ positions, up }: { positions: Float32Array; up: Vec3 }) {
  const hull = useMemo(() => {
    const b = unit(up);
    const step = 3 * Math.max(1, Math.floor(positions.length / 3 / MOST_POINTS));
    const corners: Vec3[] = [];
    for (let at = 0; at < positions.length; at += step)
      corners.push([positions[at]!, positions[at + 1]!, positions[at + 2]!]);
    const side = widestOf(corners, b);
    return polygonHull(corners.map((p): [number, number] => [dot(p, side), -dot(p, b)])) ?? [];
  }, [positions, up]);
  if (hull.length === 0) return null;
  const [xs, ys] = [hull.map(([x]) => x), hull.map(([, y]) => y)];
  const [left, top] = [Math.min(...xs), Math.min(...ys)];
  const most = Math.max(Math.max(...xs) - left, Math.max(...ys) - top, 1e-9);
  const k = (SIDE - 2 * PAD) / most;
  const bottom = PAD + (Math.max(...ys) - top) * k;
  const drop = SIDE - PAD - bottom;
  const path = `M${hull.map(([x, y]) => `${PAD + (x - left) * k},${PAD + (y - top) * k + drop}`).join('L')}Z`;
  const id = `outline-${path.length}-${Math.round(hull[0]![0] * 1000)}-${Math.round(hull[0]![1] * 1000)}`;
  const high = bottom - PAD;
  return (
    <svg width={SIDE} height={SIDE} viewBox={`0 0 ${SIDE} ${SIDE}`} aria-hidden="true">
      <defs>
        <clipPath id={id}>
          <path d={path} />
        </clipPath>
      </defs>
      <path d={path} fill="var(--sheet)" stroke="var(--ink)" strokeWidth="1.4" />
      <g clipPath={`url(#${id})`}>
        {Array.from({ length: LAYERS }, (_, at) => (
          <line
            key={at}
            x1={0}
            x2={SIDE}
            y1={SIDE - PAD - ((at + 0.5) * high) / LAYERS}
            y2={SIDE - PAD - ((at + 0.5) * high) / LAYERS}
            stroke="var(--moss)"
            strokeWidth="0.8"
          />
        ))}
      </g>
      <line x1={2} x2={SIDE - 2} y1={SIDE - PAD} y2={SIDE - PAD} stroke="var(--ink)" strokeWidth="2" />
    </svg>
  );
}
