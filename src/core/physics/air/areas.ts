import type {
  AirBody,
  AirElement,
  AirFin,
  AirInput,
  AirWing,
  BodyShape,
  Three,
  WingProfile,
} from './definition';

/** What the air does at an element: drag area at a height, area that presses down and area of the side force at stations. */
export interface Areas {
  id: string;
  drag: Three;
  down: Three;
  xMm: number;
  zMm: number;
  side?: Three;
  /** Where the side force acts, mm; of a body it is not known exactly. */
  sideXMm?: Three;
  wing?: Pick<AirElement, 'liftCoefficient' | 'dragCoefficient' | 'aspectRatio' | 'stalled' | 'reynolds'>;
}

/** By judgement from full-size shapes at small Reynolds numbers. Source: Hoerner, Fluid-Dynamic Drag; Katz, Race Car Aerodynamics. */
const SHAPES: Readonly<Record<BodyShape, Record<'drag' | 'down' | 'side' | 'centre', Three>>> = {
  openFrame: {
    drag: [0.8, 1, 1.2],
    down: [-0.15, 0, 0.1],
    side: [0.5, 0.8, 1.1],
    centre: [0.35, 0.45, 0.55],
  },
  buggy: {
    drag: [0.65, 0.8, 0.95],
    down: [-0.25, -0.05, 0.1],
    side: [0.7, 1, 1.3],
    centre: [0.28, 0.38, 0.48],
  },
  saloon: {
    drag: [0.35, 0.45, 0.6],
    down: [-0.4, -0.25, -0.05],
    side: [0.8, 1.1, 1.4],
    centre: [0.28, 0.38, 0.48],
  },
  wedge: {
    drag: [0.3, 0.4, 0.52],
    down: [-0.1, 0.05, 0.2],
    side: [0.9, 1.2, 1.5],
    centre: [0.3, 0.4, 0.5],
  },
  streamliner: {
    drag: [0.14, 0.22, 0.32],
    down: [-0.3, -0.1, 0.05],
    side: [0.9, 1.3, 1.8],
    centre: [0.05, 0.2, 0.35],
  },
};
const OWN_DRAG: Three = [0.9, 1, 1.1];

const times = (three: Three, by: number): Three => [three[0] * by, three[1] * by, three[2] * by];
/** In order, whatever sign they have. */
const ordered = ([low, mid, high]: Three): Three => [Math.min(low, mid, high), mid, Math.max(low, mid, high)];

export function bodyAreas(body: AirBody, wheelbaseMm: number): Areas {
  const { shape, frontalAreaM2, lengthMm, xMm = -wheelbaseMm / 2, zMm, sideAreaM2, dragCoefficient } = body;
  const { drag, down, side, centre } = SHAPES[shape];
  const nose = xMm + lengthMm / 2;
  return {
    id: 'body',
    drag: times(dragCoefficient === undefined ? drag : times(OWN_DRAG, dragCoefficient), frontalAreaM2),
    down: times(down, frontalAreaM2),
    xMm,
    zMm,
    ...(sideAreaM2 === undefined
      ? {}
      : {
          side: times(side, sideAreaM2),
          sideXMm: [nose - centre[0] * lengthMm, nose - centre[1] * lengthMm, nose - centre[2] * lengthMm],
        }),
  };
}

/** Dynamic viscosity of air, Pa s. */
const VISCOSITY = 1.81e-5;
const [THICK_LOW_RE, THICK_HIGH_RE] = [50_000, 100_000];
const MOST_LIFT: Readonly<Record<Exclude<WingProfile, 'thick'>, Three>> = {
  flatPlate: [0.65, 0.75, 0.85],
  cambered: [0.95, 1.15, 1.35],
};
const THICK_LIFT: Readonly<Record<'slow' | 'fast', Three>> = { slow: [0.6, 0.8, 1], fast: [1, 1.2, 1.4] };
const LEAST_DRAG: Readonly<Record<Exclude<WingProfile, 'thick'>, number>> = {
  flatPlate: 0.03,
  cambered: 0.035,
};
const THICK_DRAG = { slow: 0.04, fast: 0.02 } as const;
const USUAL_CAMBER_PCT: Readonly<Record<WingProfile, number>> = { flatPlate: 0, cambered: 5, thick: 3 };
/** Slope, friction and end plates of the three variants. */
const SLOPES: Three = [0.85, 1, 1.05];
const FRICTION: Three = [0.7, 1, 1.5];
const SIDE_BAND: Three = [0.7, 1, 1.15];
const [PLATE_FRICTION, PLATE_GAIN, GROUND_GAIN, USUAL_SPAN_EFFICIENCY] = [0.02, 1.9, 1.3, 0.9];

/** Lift slope of a straight wing, per radian. Source: Helmbold; Hoerner, Fluid-Dynamic Lift, ch. 3. */
export const slopeOf = (aspect: number): number => (2 * Math.PI * aspect) / (2 + Math.sqrt(aspect ** 2 + 4));

/** What a profile bears at most and rubs at least: a thick one less well in slow air. */
function limitsOf(profile: WingProfile, reynolds: number): { most: Three; friction: number } {
  if (profile !== 'thick') return { most: MOST_LIFT[profile], friction: LEAST_DRAG[profile] };
  const share = Math.min(1, Math.max(0, (reynolds - THICK_LOW_RE) / (THICK_HIGH_RE - THICK_LOW_RE)));
  const between = (slow: number, fast: number) => slow + share * (fast - slow);
  const { slow, fast } = THICK_LIFT;
  return {
    most: [between(slow[0], fast[0]), between(slow[1], fast[1]), between(slow[2], fast[2])],
    friction: between(THICK_DRAG.slow, THICK_DRAG.fast),
  };
}

export function wingAreas(wing: AirWing, speedMps: number, densityKgM3: number): Areas {
  const { id, profile, angleDeg, xMm, zMm, endPlateHeightMm = 0, flowShare = 1 } = wing;
  const { spanEfficiency = USUAL_SPAN_EFFICIENCY, camberPct = USUAL_CAMBER_PCT[profile] } = wing;
  const [span, chord, plate] = [wing.spanMm / 1000, wing.chordMm / 1000, endPlateHeightMm / 1000];
  const area = span * chord;
  // Hoerner, Fluid-Dynamic Drag, ch. 7
  const aspect = (span / chord) * (1 + (PLATE_GAIN * plate) / span);
  // thin aerofoil: camber is worth twice its share in radians
  const alpha = (angleDeg * Math.PI) / 180 + (2 * camberPct) / 100;
  const reynolds = (densityKgM3 * speedMps * chord) / VISCOSITY;
  const { most, friction } = limitsOf(profile, reynolds);
  const variants = ([0, 1, 2] as const).map((k) => {
    const asked = SLOPES[k] * slopeOf(aspect) * Math.abs(alpha);
    const stalled = asked > most[k];
    const lift = Math.sign(alpha) * Math.min(asked, most[k]);
    // a plate and a stalled wing have no suction at the nose
    const induced =
      profile === 'flatPlate' || stalled
        ? Math.abs(lift) * Math.tan(Math.abs(alpha))
        : lift ** 2 / (Math.PI * spanEfficiency * aspect);
    const drag = FRICTION[k] * friction + induced;
    const near = k === 2 && zMm < wing.chordMm ? GROUND_GAIN : 1;
    return {
      lift,
      drag,
      stalled,
      dragM2: flowShare * (drag * area + PLATE_FRICTION * 2 * plate * chord * FRICTION[k]),
      downM2: flowShare * lift * area * near,
    };
  });
  const [low, mid, high] = variants as [(typeof variants)[0], (typeof variants)[0], (typeof variants)[0]];
  return {
    id,
    drag: ordered([low.dragM2, mid.dragM2, high.dragM2]),
    down: ordered([low.downM2, mid.downM2, high.downM2]),
    xMm,
    zMm,
    ...(plate > 0
      ? {
          side: times(SIDE_BAND, flowShare * 2 * plate * chord * slopeOf(plate / chord)),
          sideXMm: [xMm, xMm, xMm],
        }
      : {}),
    wing: {
      liftCoefficient: mid.lift,
      dragCoefficient: mid.drag,
      aspectRatio: aspect,
      stalled: mid.stalled,
      reynolds,
    },
  };
}

const SPLITTER = { pressure: [0.2, 0.5, 1], drag: [0.05, 0.1, 0.2] } as const;
const UNDERTRAY_DRAG: Three = [0, 0.05, 0.1];
const [DIFFUSER_FROM_DEG, DIFFUSER_TO_DEG] = [3, 12];

function undertrayPressure(diffuserDeg: number): Three {
  if (diffuserDeg < DIFFUSER_FROM_DEG) return [0, 0.1, 0.25];
  return diffuserDeg <= DIFFUSER_TO_DEG ? [0.1, 0.3, 0.6] : [0, 0.15, 0.4];
}

/** A flat thing near the ground that presses down by the pressure over it, or under it. */
function floor(
  id: string,
  { widthMm, lengthMm, xMm }: NonNullable<AirInput['splitter']>,
  pressure: Three,
  drag: Three,
): Areas {
  const areaM2 = (widthMm * lengthMm) / 1e6;
  return { id, drag: times(drag, pressure[1] * areaM2), down: times(pressure, areaM2), xMm, zMm: 0 };
}

export const splitterAreas = (splitter: NonNullable<AirInput['splitter']>): Areas =>
  floor('splitter', splitter, SPLITTER.pressure, SPLITTER.drag);

export const undertrayAreas = ({ diffuserDeg = 0, ...tray }: NonNullable<AirInput['undertray']>): Areas =>
  floor('undertray', tray, undertrayPressure(diffuserDeg), UNDERTRAY_DRAG);

const SCOOPED: Three = [0.3, 0.6, 0.9];
const LEFT_AT_EXIT = 0.7;

/** By the momentum of the air that goes in and leaves turned. */
export function scoopAreas({ areaM2, xMm, zMm, turnDeg = 0 }: NonNullable<AirInput['noseScoop']>): Areas {
  const turn = (turnDeg * Math.PI) / 180;
  return {
    id: 'noseScoop',
    drag: ordered(times(SCOOPED, 2 * areaM2 * (1 - LEFT_AT_EXIT * Math.cos(turn)))),
    down: ordered(times(SCOOPED, 2 * areaM2 * LEFT_AT_EXIT * Math.sin(turn))),
    xMm,
    zMm,
  };
}

/** The body mirrors a fin in part. */
const MIRRORED = 1.5;

export function finAreas({ id, heightMm, chordMm, xMm, zMm, count = 1, flowShare = 1 }: AirFin): Areas {
  const areaM2 = (flowShare * count * heightMm * chordMm) / 1e6;
  return {
    id,
    drag: times(FRICTION, PLATE_FRICTION * areaM2),
    down: [0, 0, 0],
    xMm,
    zMm,
    side: times(SIDE_BAND, areaM2 * slopeOf((MIRRORED * heightMm) / chordMm)),
    sideXMm: [xMm, xMm, xMm],
  };
}
