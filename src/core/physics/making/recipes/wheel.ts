import { type Box, boxAround, disc, type DrawnPart, prism, type Step, taken } from '../drawn/drawing';
import { needRoom } from './onEdge';

/** A wheel for a tyre that is glued on, or held by a bead. */
export interface WheelInput {
  /** Of the seat of the tyre. */
  seatRadiusMm: number;
  widthMm: number;
  /** Of the rim. */
  wallMm: number;
  /** Lips on both sides over the seat; a smooth face to bond to at 0. */
  lipMm: number;
  /** Across the flats of the drive, as drawn, and how deep it sits. */
  hexMm: number;
  hexDepthMm: number;
  axleHoleMm: number;
  /** Spokes; a full disc at 0. */
  spokes: number;
  spokeWidthMm: number;
  /** Of spokes or disc, along the axle. */
  thicknessMm: number;
}

const LIP_WIDTH_MM = 1.5;
const HUB_WALL_MM = 3;

/**
 * In the drawing z runs along the axle towards the car, the outer face lies on z = 0: layers lie across the axle.
 *
 * @throws CalcError at `wallMm` for a rim that meets the hub, at `hexMm` or `boreMm` for a drive without wall
 */
export function wheelDrawing(input: WheelInput): DrawnPart {
  const { seatRadiusMm, widthMm, wallMm, lipMm, hexMm, hexDepthMm, axleHoleMm, spokes } = input;
  const { spokeWidthMm, thicknessMm } = input;
  const corner = hexMm / Math.sqrt(3);
  const [inside, hub] = [seatRadiusMm - wallMm, corner + HUB_WALL_MM];
  needRoom(inside - hub, 'wallMm');
  needRoom(hexMm / 2 - axleHoleMm / 2, 'boreMm');
  const hubMm = Math.min(widthMm, thicknessMm + hexDepthMm);
  const round = (radius: number, from: number, to: number) => prism('z', [disc(0, 0, radius)], from, to);
  const rim: Step[] = [
    round(seatRadiusMm, 0, widthMm),
    ...(lipMm > 0
      ? [
          round(seatRadiusMm + lipMm, 0, LIP_WIDTH_MM),
          round(seatRadiusMm + lipMm, widthMm - LIP_WIDTH_MM, widthMm),
        ]
      : []),
    taken(round(inside, -1, widthMm + 1)),
  ];
  const across = inside + wallMm / 2;
  const arms: Step[] =
    spokes === 0
      ? [round(across, 0, thicknessMm)]
      : Array.from({ length: spokes }, (_, k) => {
          const angle = (2 * Math.PI * k) / spokes;
          const r = spokeWidthMm / 2;
          const far = across - r;
          return prism(
            'z',
            [disc(0, 0, r), disc(far * Math.cos(angle), far * Math.sin(angle), r)],
            0,
            thicknessMm,
          );
        });
  const hex = Array.from({ length: 6 }, (_, k) =>
    disc(corner * Math.cos((Math.PI / 3) * k), corner * Math.sin((Math.PI / 3) * k)),
  );
  return {
    drawing: {
      steps: [
        ...rim,
        ...arms,
        round(hub, 0, hubMm),
        taken(round(axleHoleMm / 2, -1, widthMm + 1)),
        taken(prism('z', hex, hubMm - hexDepthMm, widthMm + 1)),
      ],
    },
    places: new Map<string, Box>([
      ['hex', { min: [-corner - 1, -corner - 1, hubMm - hexDepthMm], max: [corner + 1, corner + 1, hubMm] }],
      ['tread', boxAround([0, -seatRadiusMm, widthMm / 2], [seatRadiusMm / 4, wallMm, widthMm / 2])],
    ]),
    // lying on its outer face: the left wheel's axle points up, the car's up is the drawing's y
    rows: [
      [1, 0, 0],
      [0, 0, 1],
      [0, -1, 0],
    ],
  };
}
