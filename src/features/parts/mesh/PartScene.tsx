'use client';

import { Row } from '@/ui/layout/Row';
import chartsCss from '@/ui/charts/charts.module.css';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import Slider from '@mui/material/Slider';
import { Note } from '@/ui/controls/Note';
import { Toggle, Toggles } from '@/ui/controls/Toggle';
import { Tick } from '@/ui/controls/Tick';
import { Canvas } from '@react-three/fiber';
import { useState } from 'react';
import { Plane, Vector3 } from 'three';
import type { PartBox, PartMesh } from '@/core/car/parts/parts';
import { FAILS_BY } from '@/core/physics/fem/stresses';
import { unit, type Vec3 } from '@/core/base/vec3';
import { formatNumber } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { hasWebGl, inkOf, Orbit } from '@/ui/space';
import type { SeenMesh, Solved } from '@/workers/parts.worker';
import { type Shows, SHOWS, SHOW_WORDS, marginState, MeshBody, SolvedBody, DRAWN_MOVE } from '../PartBodies';
import { Arrow, Box as Cuboid, centreOf, MarginSign } from '../PartMarks';

interface PartSceneProps {
  seen: SeenMesh;
  mesh: PartMesh;
  solved: Solved | undefined;
  mode: 'hold' | 'pull';
  onMode: ((mode: 'hold' | 'pull') => void) | undefined;
  onFace(face: number): void;
}

const HEIGHT_PX = 380;

/** The part in space: faces to click, boxes that hold and pull, supports, and after a run its margins. */
export function PartScene({ seen, mesh, solved, mode, onMode, onFace }: PartSceneProps) {
  const { reader } = useReader();
  const [able] = useState(hasWebGl);
  const [ink] = useState(inkOf);
  const [asked, setShows] = useState<Shows>('margin');
  const [bent, setBent] = useState(false);
  const [cut, setCut] = useState(1);
  const { min, max } = seen.measure.boundsMm;
  const middle: Vec3 = [(min[0] + max[0]) / 2, (min[1] + max[1]) / 2, (min[2] + max[2]) / 2];
  const size = Math.max(max[0] - min[0], max[1] - min[1], max[2] - min[2]);
  const sides = [0, 1, 2].map((axis) => max[axis]! - min[axis]!);
  const long = sides.indexOf(Math.max(...sides)) as 0 | 1 | 2;
  const shows = solved ? asked : 'mesh';
  if (!able)
    return (
      <Note>
        This browser draws nothing in space here; choose faces from the list. Results stand below in words.
      </Note>
    );
  const normal = [0, 0, 0];
  normal[long] = -1;
  const plane = new Plane(new Vector3(...normal), min[long] + cut * sides[long]! + 1e-3 * size);
  return (
    <Box
      component="figure"
      className={chartsCss.chart}
      sx={{ width: '100%', mt: 0.75 }}
      data-testid="part-space"
    >
      <figcaption>
        <span>
          Drag to turn, wheel to come nearer{onMode ? '; click a face to' : ''}
          {onMode ? (
            <Toggles label="A click on a face">
              {(['hold', 'pull'] as const).map((one) => (
                <Toggle size="small" key={one} pressed={mode === one} onPress={() => onMode(one)}>
                  {one} it
                </Toggle>
              ))}
            </Toggles>
          ) : null}
        </span>
        <Row as="span">
          {solved ? (
            <Toggles label="Colour by">
              {SHOWS.map((one) => (
                <Toggle size="small" key={one} pressed={shows === one} onPress={() => setShows(one)}>
                  {SHOW_WORDS[one]}
                </Toggle>
              ))}
            </Toggles>
          ) : null}
          {solved && shows !== 'mesh' ? (
            <label>
              <Tick checked={bent} onChange={(event) => setBent(event.target.checked)} /> bent
            </label>
          ) : null}
          <label>
            cut{' '}
            <Slider
              aria-label="Section plane"
              min={0.02}
              max={1}
              step={0.01}
              value={cut}
              onChange={(_, value) => setCut(value as number)}
              sx={{ width: 90, verticalAlign: 'middle', ml: 1 }}
            />
          </label>
        </Row>
      </figcaption>
      <Box
        style={{ height: HEIGHT_PX }}
        className={chartsCss.scene}
        role="img"
        aria-label={`The part in space, ${(mesh.held ?? []).length} holds, ${(mesh.pulls ?? []).length} pulls${solved ? `, margin ${formatNumber(solved.result.margin, reader.locale, 3)}` : ''}`}
      >
        <Canvas
          frameloop="demand"
          gl={{ localClippingEnabled: true }}
          onCreated={({ gl }) => {
            gl.localClippingEnabled = true;
          }}
          camera={{
            position: [middle[0] + size, middle[1] - 1.45 * size, middle[2] + size],
            up: [0, 0, 1],
            fov: 32,
            near: size / 100,
            far: 20 * size,
          }}
        >
          <ambientLight intensity={1.5} />
          <directionalLight
            position={[middle[0] + size, middle[1] - 2 * size, middle[2] + 2 * size]}
            intensity={1.8}
          />
          <directionalLight
            position={[middle[0] - 2 * size, middle[1] + size, middle[2] - size]}
            intensity={0.6}
          />
          <Orbit target={middle} pan />
          {shows === 'mesh' || !solved ? (
            <MeshBody seen={seen} up={mesh.up} ink={ink} plane={plane} onFace={onFace} />
          ) : (
            <SolvedBody solved={solved} by={shows} size={size} bent={bent} ink={ink} plane={plane} />
          )}
          {(mesh.held ?? []).map((box) => (
            <Cuboid key={box.id} box={box} colour={ink.ink} size={size} hatched />
          ))}
          {(mesh.pulls ?? []).map((pull) => (
            <group key={pull.id}>
              <Cuboid box={pull} colour={ink.ink} size={size} />
              <Arrow from={outOf(pull)} direction={pull.direction} length={0.28 * size} colour={ink.ink} />
            </group>
          ))}
          {solved ? (
            <MarginSign
              at={solved.result.atMm}
              text={formatNumber(solved.result.margin, reader.locale, 3)}
              state={marginState(solved.result.margin)}
              ink={ink}
            />
          ) : null}
          <Arrow
            from={[min[0] - 0.12 * size, min[1] - 0.12 * size, min[2]]}
            direction={mesh.up}
            length={0.3 * size}
            colour={ink.moss}
          />
        </Canvas>
      </Box>
      <Typography variant="small" color="textSecondary">
        Green arrow: up on the bed. Hatched: held. Arrow out of an outline: pulled.{' '}
        {shows === 'mesh'
          ? 'Ochre: faces to support.'
          : shows === 'margin'
            ? 'Red breaks, ochre under 1.5 times, green holds.'
            : `Grey: ${FAILS_BY[0]}; red: ${FAILS_BY[1]}; ochre: ${FAILS_BY[2]}.`}
        {solved && bent && shows !== 'mesh'
          ? ` Movement drawn ${formatNumber((DRAWN_MOVE * size) / solved.result.maxDisplacementMm, reader.locale, 2)} times as large.`
          : ''}
      </Typography>
    </Box>
  );
}

/** Where a line from a box's middle leaves it in the direction of its pull. */
function outOf({ direction, ...box }: PartBox & { direction: Vec3 }): Vec3 {
  const d = unit(direction);
  const reach = Math.min(
    ...[0, 1, 2].flatMap((axis) =>
      Math.abs(d[axis]!) > 1e-6 ? [(box.max[axis]! - box.min[axis]!) / 2 / Math.abs(d[axis]!)] : [],
    ),
  );
  return centreOf(box).map((one, axis) => one + reach * d[axis]!) as unknown as Vec3;
}
