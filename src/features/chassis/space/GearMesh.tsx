import { useEffect, useMemo } from 'react';
import { ExtrudeGeometry, Matrix4, Shape, Vector3 } from 'three';
import type { PlacedGear, TrainThing } from '@/core/worked/train/trainOfCar';
import { Surface, type Skin } from './Surface';

/** Of a tooth's pitch: where its flank begins at the root, where it ends at the tip. */
const FLANKS = [0, 0.2, 0.35, 0.55] as const;
const HOLE_SHARE = 0.3;

/** A gear with straight flanks, about its own line through nothing, as the car's axes have it. */
function toothed({ teeth, tipMm, rootMm, widthMm, taper, taperShare = 1 }: PlacedGear, along: 0 | 1) {
  const shape = new Shape();
  const pitch = (2 * Math.PI) / teeth;
  for (let tooth = 0; tooth < teeth; tooth++)
    FLANKS.forEach((share, k) => {
      const radius = k === 1 || k === 2 ? tipMm : rootMm;
      const angle = pitch * (tooth + share - FLANKS[3] / 2);
      const [u, v] = [radius * Math.cos(angle), radius * Math.sin(angle)];
      if (tooth === 0 && k === 0) shape.moveTo(u, v);
      else shape.lineTo(u, v);
    });
  const bore = new Shape();
  bore.absarc(0, 0, HOLE_SHARE * rootMm, 0, 2 * Math.PI, false);
  if (tipMm > rootMm) shape.holes.push(bore);
  const made = new ExtrudeGeometry(shape, { depth: widthMm, bevelEnabled: false });
  made.translate(0, 0, -widthMm / 2);
  if (taper !== 0) {
    const place = made.getAttribute('position');
    const at = new Vector3();
    for (let k = 0; k < place.count; k++) {
      at.fromBufferAttribute(place, k);
      // the small end looks the way of the taper
      const share = Math.sign(at.z) === taper ? taperShare : 1;
      place.setXYZ(k, share * at.x, share * at.y, at.z);
    }
    made.computeVertexNormals();
  }
  // its own x, y, z become y, z, x along the car, and x, z, y across it, as its line lies
  const turn = new Matrix4();
  if (along === 0) turn.set(0, 0, 1, 0, 1, 0, 0, 0, 0, 1, 0, 0, 0, 0, 0, 1);
  else turn.set(0, 1, 0, 0, 0, 0, 1, 0, 1, 0, 0, 0, 0, 0, 0, 1);
  made.applyMatrix4(turn);
  return made;
}

/** A gear of the drive train with its teeth, turned as far as the wheels are. */
export function GearMesh({ train, turnDeg, skin }: { train: TrainThing; turnDeg: number; skin: Skin }) {
  const { axis } = train;
  const gear = train.gear!;
  const { teeth, tipMm, rootMm, widthMm, taper, taperShare, centreMm, phaseRad = 0 } = gear;
  const geometry = useMemo(
    () => toothed({ teeth, tipMm, rootMm, widthMm, taper, taperShare, centreMm } as PlacedGear, axis.along),
    [teeth, tipMm, rootMm, widthMm, taper, taperShare, centreMm, axis.along],
  );
  useEffect(() => () => geometry.dispose(), [geometry]);
  const angle = phaseRad + ((axis.turns * turnDeg) % 360) * (Math.PI / 180);
  return (
    <mesh
      geometry={geometry}
      position={[...centreMm]}
      rotation={axis.along === 0 ? [angle, 0, 0] : [0, angle, 0]}
    >
      <Surface skin={skin} flat />
    </mesh>
  );
}
