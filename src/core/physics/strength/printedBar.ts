import { refusal } from '../../base/errors';
import { allowableMpa, derate, fillFactor, inPlaneShearMpa } from './allowable';
import { rectangleTorsion } from './section';
import type {
  PrintedMargin,
  PrintedSectionInput,
  PrintedSectionResult,
  SectionLoad,
} from './printedSectionDefinition';
import { finding } from '../../base/finding';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.printedBar.noLoad': Record<never, never>;
  }
}

declare module '../../base/errors' {
  interface RefusalFacts {
    'printedSection.noFill': Record<never, never>;
  }
}

const USUAL_POISSON = 0.35;
const USUAL_EXPONENT = 1.5;
const [USUAL_LINE_MM, USUAL_LAYER_MM, USUAL_TOP_LAYERS] = [0.4, 0.2, 4];

interface Walls {
  /** On the two sides, and on top and bottom, mm. */
  x: number;
  y: number;
}

function wallsOf({ settings, layers, buildAxis = 'y' }: PrintedSectionInput): Walls {
  const {
    lineWidthMm = USUAL_LINE_MM,
    layerMm = USUAL_LAYER_MM,
    topBottomLayers = USUAL_TOP_LAYERS,
  } = settings;
  const around = settings.perimeters * lineWidthMm;
  const capped = topBottomLayers * layerMm;
  if (layers === 'across') return { x: around, y: around };
  return buildAxis === 'y' ? { x: around, y: capped } : { x: capped, y: around };
}

/** A core that carries less of the solid than this is none. */
const NO_CORE = 1e-9;

/**
 * Everything about one bar; the margin is left out where nothing acts.
 *
 * @throws CalcError at `settings.infillPct` where nothing joins the faces
 */
export function printedBar(input: PrintedSectionInput): PrintedSectionResult {
  const { widthMm: b, heightMm: h, lengthMm, settings, layers, material, load } = input;
  const wall = wallsOf(input);
  const [bc, hc] = [b - 2 * wall.x, h - 2 * wall.y];
  const solid = bc <= 0 || hc <= 0;
  const phi = solid ? 0 : settings.infillPct / 100;
  const { modulusExponent = USUAL_EXPONENT, strengthExponent = USUAL_EXPONENT } = input.core ?? {};
  const cored = phi ** Math.max(modulusExponent, strengthExponent) > NO_CORE;
  if (!solid && !cored && (wall.x === 0 || wall.y === 0))
    throw refusal('settings.infillPct', 'printedSection.noFill');
  const E = material.modulusMpa * (layers === 'across' ? (material.modulusRatio ?? 1) : 1);
  const n = cored ? phi ** modulusExponent : 0;
  const coreStrength = phi ** strengthExponent;
  const coreMm2 = solid ? 0 : bc * hc;
  const shellMm2 = b * h - coreMm2;
  const [ixCore, iyCore] = solid ? [0, 0] : [(bc * hc ** 3) / 12, (hc * bc ** 3) / 12];
  const eiX = E * ((b * h ** 3) / 12 - ixCore) + n * E * ixCore;
  const eiY = E * ((h * b ** 3) / 12 - iyCore) + n * E * iyCore;
  const ea = E * shellMm2 + n * E * coreMm2;
  const { momentXNmm = 0, momentYNmm = 0, axialN = 0 } = load;
  const direct = (halfHeight: number, halfWidth: number) =>
    E *
    ((Math.abs(momentXNmm) * halfHeight) / eiX +
      (Math.abs(momentYNmm) * halfWidth) / eiY +
      Math.abs(axialN) / ea);
  const shellStress = direct(h / 2, b / 2);
  const coreStress = n * direct(hc / 2, bc / 2);
  const sheared = shearIn(load, { b, h, bc, hc, wall, n, solid });
  const limits = limitsOf(input);
  const margins: Partial<Record<PrintedMargin, number>> = {
    ...overStress('shellDirect', limits.directMpa, shellStress),
    ...(cored ? overStress('coreDirect', coreStrength * limits.directMpa, coreStress) : {}),
    ...overQuotient('shellShear', quotient(sheared.shell, limits)),
    ...(cored ? overQuotient('coreShear', quotient(sheared.core, limits) / coreStrength) : {}),
  };
  const worst = leastOf(margins);
  const density = material.densityGPerCm3 ?? 0;
  const massGPerM = density * (shellMm2 + phi * coreMm2);
  const fill = (shellMm2 + phi * coreMm2) / (b * h);
  const smeared = smear(input, fill, E, limits);
  const sum = ({ x, y, torsion }: Shears) => x + y + torsion;
  return {
    wallXMm: wall.x,
    wallYMm: wall.y,
    shellMm2,
    coreMm2,
    ...(cored ? { modularRatio: n } : {}),
    eiXNmm2: eiX,
    eiYNmm2: eiY,
    eaN: ea,
    gjNmm2: (E / (2 * (1 + (material.poisson ?? USUAL_POISSON)))) * sheared.jMm4,
    shellStressMpa: shellStress,
    ...(cored ? { coreStressMpa: coreStress } : {}),
    shellShearMpa: sum(sheared.shell),
    ...(cored ? { coreShearMpa: sum(sheared.core) } : {}),
    allowable: {
      directMpa: limits.directMpa,
      ...(cored ? { coreDirectMpa: coreStrength * limits.directMpa } : {}),
    },
    margins,
    ...(worst ? { margin: worst.margin, limitedBy: worst.by } : {}),
    massGPerM,
    ...(lengthMm === undefined ? {} : { massG: (massGPerM * lengthMm) / 1000 }),
    smear: {
      fill,
      eiXNmm2: smeared.eiX,
      ...(smeared.margin === undefined ? {} : { margin: smeared.margin }),
      ...(smeared.margin === undefined || !worst || worst.margin === 0
        ? {}
        : { marginRatio: smeared.margin / worst.margin }),
    },
    notes: worst ? [] : [finding('note.printedBar.noLoad', {})],
  };
}

/** Shear stresses by their causes, MPa. */
interface Shears {
  x: number;
  y: number;
  torsion: number;
}

interface Shape {
  b: number;
  h: number;
  bc: number;
  hc: number;
  wall: Walls;
  n: number;
  solid: boolean;
}

function shearIn(
  { shearXN = 0, shearYN = 0, torqueNmm = 0 }: SectionLoad,
  shape: Shape,
): { shell: Shears; core: Shears; jMm4: number } {
  const { b, h, bc, hc, wall, n, solid } = shape;
  const [vx, vy, torque] = [Math.abs(shearXN), Math.abs(shearYN), Math.abs(torqueNmm)];
  if (solid) {
    const shell = { x: (1.5 * vx) / (b * h), y: (1.5 * vy) / (b * h), torsion: rectangleShear(torque, b, h) };
    return { shell, core: { x: 0, y: 0, torsion: 0 }, jMm4: rectangleTorsion(b, h) };
  }
  /** Flow at the neutral axis of a force along `tall`, over the modulus, N/mm. */
  const flow = (force: number, wide: number, tall: number, wideCore: number, tallCore: number) => {
    const [outer, inner] = [wide * tall ** 2, wideCore * tallCore ** 2];
    const stiffness = (wide * tall ** 3 - (1 - n) * wideCore * tallCore ** 3) / 12;
    return (force * ((outer - inner) / 8 + (n * inner) / 8)) / stiffness;
  };
  const alongY = flow(vy, b, h, bc, hc) / (2 * wall.x + n * bc);
  const alongX = flow(vx, h, b, hc, bc) / (2 * wall.y + n * hc);
  const shellJ = shellTorsion(shape);
  const coreJ = n > 0 ? rectangleTorsion(bc, hc) : 0;
  const jMm4 = shellJ.jMm4 + n * coreJ;
  const ofShell = (torque * shellJ.jMm4) / jMm4;
  const ofCore = torque - ofShell;
  return {
    shell: {
      x: wall.y === 0 ? 0 : alongX,
      y: wall.x === 0 ? 0 : alongY,
      torsion: shellJ.jMm4 === 0 ? 0 : ofShell * shellJ.perTorque,
    },
    core: {
      x: n * alongX,
      y: n * alongY,
      torsion: n > 0 ? rectangleShear(ofCore, bc, hc) : 0,
    },
    jMm4,
  };
}

/** The closed shell by Bredt, or two strips where a pair of walls is missing; its stress for each N mm of torque. */
function shellTorsion({ b, h, wall: { x, y } }: Shape): { jMm4: number; perTorque: number } {
  if (x > 0 && y > 0) {
    const [across, tall] = [b - x, h - y];
    return {
      jMm4: (2 * across ** 2 * tall ** 2) / (tall / x + across / y),
      perTorque: 1 / (2 * across * tall * Math.min(x, y)),
    };
  }
  const [side, thick] = x > 0 ? [h, x] : [b, y];
  const jMm4 = (2 / 3) * side * thick ** 3;
  return { jMm4, perTorque: jMm4 === 0 ? 0 : thick / jMm4 };
}

function rectangleShear(torqueNmm: number, width: number, height: number): number {
  const [a, c] = [Math.max(width, height), Math.min(width, height)];
  return (torqueNmm * (3 + (1.8 * c) / a)) / (a * c ** 2);
}

interface Limits {
  directMpa: number;
  /** Allowable shear by what causes it. */
  shear: Shears;
}

function limitsOf({ material, layers, buildAxis = 'y', temperatureC }: PrintedSectionInput): Limits {
  const state = temperatureC === undefined ? {} : { temperatureC };
  const left = derate(material, temperatureC);
  const [between, plane] = [material.interlayerShearMpa * left, inPlaneShearMpa(material) * left];
  return {
    directMpa: allowableMpa(material, layers === 'across' ? 0 : Math.PI / 2, state),
    shear: {
      torsion: between,
      x: layers === 'across' || buildAxis === 'x' ? between : plane,
      y: layers === 'across' || buildAxis === 'y' ? between : plane,
    },
  };
}

/** Each stress over its own allowable, added up. */
function quotient(stress: Shears, { shear }: Limits): number {
  const over = (key: keyof Shears) => (stress[key] === 0 ? 0 : stress[key] / shear[key]);
  return over('x') + over('y') + over('torsion');
}

const overStress = (key: PrintedMargin, allowable: number, stress: number) =>
  stress === 0 ? {} : { [key]: allowable / stress };
const overQuotient = (key: PrintedMargin, used: number) => (used === 0 ? {} : { [key]: 1 / used });

const ORDER: readonly PrintedMargin[] = ['shellDirect', 'coreDirect', 'shellShear', 'coreShear'];
/** Figures that differ by less than this tie. */
const TIE = 1e-9;

function leastOf(margins: Partial<Record<PrintedMargin, number>>) {
  let least: { by: PrintedMargin; margin: number } | undefined;
  for (const by of ORDER) {
    const margin = margins[by];
    if (margin !== undefined && (!least || margin < least.margin * (1 - TIE))) least = { by, margin };
  }
  return least;
}

/** The crude way: a solid bar with everything times a power of its mean fill. */
function smear(
  { widthMm: b, heightMm: h, load }: PrintedSectionInput,
  fill: number,
  E: number,
  { directMpa, shear }: Limits,
): { eiX: number; margin?: number } {
  const { momentXNmm = 0, momentYNmm = 0, shearXN = 0, shearYN = 0, torqueNmm = 0, axialN = 0 } = load;
  const left = fillFactor(fill);
  const stress =
    (Math.abs(momentXNmm) * 6) / (b * h ** 2) +
    (Math.abs(momentYNmm) * 6) / (h * b ** 2) +
    Math.abs(axialN) / (b * h);
  const used = quotient(
    {
      x: (1.5 * Math.abs(shearXN)) / (b * h),
      y: (1.5 * Math.abs(shearYN)) / (b * h),
      torsion: rectangleShear(Math.abs(torqueNmm), b, h),
    },
    { directMpa, shear },
  );
  const margins = [
    ...(stress === 0 ? [] : [(left * directMpa) / stress]),
    ...(used === 0 ? [] : [left / used]),
  ];
  return {
    eiX: (left * E * b * h ** 3) / 12,
    ...(margins.length === 0 ? {} : { margin: Math.min(...margins) }),
  };
}
