import { DoubleSide, type Plane } from 'three';

/** How a thing is drawn. */
export interface Skin {
  colour: string;
  /** Seen through. */
  clear: boolean;
  /** What lies behind them is left away. */
  planes: readonly Plane[];
}

/** How much of what lies behind a thing that is seen through, and behind a tyre, it hides. */
const CLEAR = 0.16;
export const ROLLER = 0.35;

export function Surface({
  skin: { colour, clear, planes },
  flat = false,
  opacity = 1,
}: {
  skin: Skin;
  flat?: boolean;
  opacity?: number;
}) {
  const shown = clear ? Math.min(CLEAR, opacity) : opacity;
  return (
    <meshStandardMaterial
      // a material learns of planes and of glass only when it is made
      key={`${planes.length} ${shown}`}
      color={colour}
      roughness={0.8}
      flatShading={flat}
      side={DoubleSide}
      transparent={shown < 1}
      opacity={shown}
      depthWrite={shown === 1}
      clippingPlanes={[...planes]}
    />
  );
}
