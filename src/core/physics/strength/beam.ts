import { refusal } from '../../base/errors';
import { byLayers, type Layers, type PartState, type StrengthMaterial } from './allowable';
import { type Point2, type Section, type SectionProperties, sectionProperties } from './section';

declare module '../../base/errors' {
  interface RefusalFacts {
    'beam.beyond': Record<never, never>;
  }
}

export type BeamSupport = 'cantilever' | 'simple' | 'fixed';
export type BeamLoad = { forceN: number; atMm?: number } | { perMmN: number };

export interface BeamInput extends PartState {
  support: BeamSupport;
  lengthMm: number;
  load: BeamLoad;
  section: Section;
  bendingAbout: 'x' | 'y';
  material: StrengthMaterial;
  layers: Layers;
}

export interface BeamResult {
  momentNmm: number;
  shearN: number;
  stressMpa: number;
  allowableMpa: number;
  shearStressMpa: number;
  shearAllowableMpa: number;
  /** The lower of both; left out without a load, or where the material is soft. */
  margin?: number;
  failsBy: 'bending' | 'shear';
  deflectionMm: number;
  /** Overall size in the bending plane for a margin of 2; left out with the margin. */
  heightForMargin2Mm?: number;
  otherWay: { stressMpa: number; allowableMpa: number; margin?: number };
}

/** The same with a margin in every case: a very large one without a load, 0 of a soft material. */
export interface BeamStresses extends Omit<BeamResult, 'margin' | 'heightForMargin2Mm' | 'otherWay'> {
  /** What it bears over what it has to; a plain number. */
  margin: number;
  otherWay: { stressMpa: number; allowableMpa: number; margin: number };
}

const WANTED_MARGIN = 2;
const NOT_LOADED = 1e6;

/**
 * Bending, shear and sag of a printed beam with its layers along or across it.
 *
 * @returns stresses in MPa, moment in N mm, sizes in mm
 * @throws CalcError at `load.atMm` beyond the beam, and as `section.properties` does
 * @see Shigley, Mechanical Engineering Design, ch. 3 and table A-9 (Euler and Bernoulli)
 */
export function beamCheck(input: BeamInput): BeamResult {
  const { margin, otherWay, ...found } = beamStresses(input);
  const tells = (allowable: number) => allowable > 0 && found.stressMpa + found.shearStressMpa > 0;
  const { margin: otherMargin, ...other } = otherWay;
  return {
    ...found,
    ...(tells(found.allowableMpa) ? { margin, heightForMargin2Mm: heightForMargin2(input) } : {}),
    otherWay: { ...other, ...(tells(other.allowableMpa) ? { margin: otherMargin } : {}) },
  };
}

/** The same without the height that would bear it twice, which takes a search. */
export function beamStresses(input: BeamInput): BeamStresses {
  if ('atMm' in input.load && input.load.atMm !== undefined && input.load.atMm > input.lengthMm)
    throw refusal('load.atMm', 'beam.beyond');
  const { section, bendingAbout, material, layers } = input;
  const properties = sectionProperties({ section });
  const state = stateOf(input);
  const { allowable, shear, modulus } = byLayers(material, layers, state);
  const forces = bending(input);
  const stress = forces.momentNmm / leastModulus(properties, bendingAbout);
  const shearStress = (1.5 * forces.shearN) / properties.areaMm2;
  const [byBending, byShear] = [over(allowable, stress), over(shear, shearStress)];
  const other = byLayers(material, layers === 'along' ? 'across' : 'along', state).allowable;
  return {
    momentNmm: forces.momentNmm,
    shearN: forces.shearN,
    stressMpa: stress,
    allowableMpa: allowable,
    shearStressMpa: shearStress,
    shearAllowableMpa: shear,
    margin: Math.min(byBending, byShear),
    failsBy: byShear < byBending ? 'shear' : 'bending',
    deflectionMm: forces.sag / (modulus * (bendingAbout === 'x' ? properties.ixMm4 : properties.iyMm4)),
    otherWay: { stressMpa: stress, allowableMpa: other, margin: over(other, stress) },
  };
}

const stateOf = ({ fill, temperatureC }: BeamInput) => ({
  ...(fill === undefined ? {} : { fill }),
  ...(temperatureC === undefined ? {} : { temperatureC }),
});

/** Overall size in the bending plane at which a beam bears its load twice, mm. */
export function heightForMargin2(input: BeamInput): number {
  const { allowable, shear } = byLayers(input.material, input.layers, stateOf(input));
  const { momentNmm, shearN } = bending(input);
  return heightFor(input, (section) => {
    const properties = sectionProperties({ section });
    return Math.min(
      over(allowable, momentNmm / leastModulus(properties, input.bendingAbout)),
      over(shear, (1.5 * shearN) / properties.areaMm2),
    );
  });
}

const over = (allowable: number, stress: number) =>
  stress === 0 ? NOT_LOADED : Math.min(NOT_LOADED, allowable / stress);

const leastModulus = ({ sTopMm3, sBottomMm3, sLeftMm3, sRightMm3 }: SectionProperties, about: 'x' | 'y') =>
  about === 'x' ? Math.min(sTopMm3, sBottomMm3) : Math.min(sLeftMm3, sRightMm3);

interface Bending {
  momentNmm: number;
  shearN: number;
  /** Largest deflection times E·I. */
  sag: number;
}

/** Largest moment, shear and sag times E·I of a beam under its load. */
export function bending({
  support,
  lengthMm: L,
  load,
}: Pick<BeamInput, 'support' | 'lengthMm' | 'load'>): Bending {
  if ('perMmN' in load) {
    const w = load.perMmN;
    if (support === 'cantilever')
      return { momentNmm: (w * L ** 2) / 2, shearN: w * L, sag: (w * L ** 4) / 8 };
    if (support === 'simple')
      return { momentNmm: (w * L ** 2) / 8, shearN: (w * L) / 2, sag: (5 * w * L ** 4) / 384 };
    return { momentNmm: (w * L ** 2) / 12, shearN: (w * L) / 2, sag: (w * L ** 4) / 384 };
  }
  const { forceN: F, atMm = support === 'cantilever' ? L : L / 2 } = load;
  const [a, b] = [atMm, L - atMm];
  if (support === 'cantilever') return { momentNmm: F * a, shearN: F, sag: (F * a ** 2 * (3 * L - a)) / 6 };
  if (support === 'simple') {
    const short = Math.min(a, b);
    return {
      momentNmm: (F * a * b) / L,
      shearN: (F * Math.max(a, b)) / L,
      sag: (F * short * (L ** 2 - short ** 2) ** 1.5) / (9 * Math.sqrt(3) * L),
    };
  }
  const [far, near] = [Math.max(a, b), Math.min(a, b)];
  const ends = (F * far ** 2 * near) / L ** 2;
  const under = (2 * F * a ** 2 * b ** 2) / L ** 3;
  return {
    momentNmm: Math.max(ends, under),
    shearN: (F * far ** 2 * (far + 3 * near)) / L ** 3,
    sag: (2 * F * far ** 3 * near ** 2) / (3 * (3 * far + near) ** 2),
  };
}

/** Height in the bending plane at which the margin is 2, walls kept, by halving; the overall size. */
function heightFor({ section, bendingAbout }: BeamInput, marginOf: (section: Section) => number): number {
  const now = heightOf(section, bendingAbout);
  const enough = (height: number) => {
    const scaled = withHeight(section, bendingAbout, height, now);
    return scaled !== undefined && marginOf(scaled) >= WANTED_MARGIN;
  };
  let [low, high] = [0, now];
  while (!enough(high)) {
    low = high;
    high *= 2;
    if (high > now * 1e6) return high;
  }
  for (let i = 0; i < 100; i++) {
    const middle = (low + high) / 2;
    if (enough(middle)) high = middle;
    else low = middle;
  }
  return high;
}

function heightOf(section: Section, about: 'x' | 'y'): number {
  if ('diameterMm' in section) return section.diameterMm;
  if (section.shape !== 'polygon') return about === 'x' ? section.heightMm : section.widthMm;
  const values = section.outerMm.map((point) => point[about === 'x' ? 1 : 0]);
  return Math.max(...values) - Math.min(...values);
}

/** The section at another height; undefined where its walls no longer fit. */
function withHeight(section: Section, about: 'x' | 'y', height: number, now: number): Section | undefined {
  if (section.shape === 'round') return { ...section, diameterMm: height };
  if (section.shape === 'tube') {
    const bore = height - (section.diameterMm - section.boreMm);
    return bore < 0 ? undefined : { ...section, diameterMm: height, boreMm: bore };
  }
  if (section.shape === 'polygon') {
    const stretch = ([x, y]: Point2): Point2 =>
      about === 'x' ? [x, (y * height) / now] : [(x * height) / now, y];
    return {
      ...section,
      outerMm: section.outerMm.map(stretch),
      ...(section.holesMm ? { holesMm: section.holesMm.map((hole) => hole.map(stretch)) } : {}),
    };
  }
  const sized = about === 'x' ? { ...section, heightMm: height } : { ...section, widthMm: height };
  return fits(sized) ? sized : undefined;
}

function fits(section: Section): boolean {
  if (section.shape === 'box') return 2 * section.wallMm < Math.min(section.widthMm, section.heightMm);
  if (section.shape === 'channel' || section.shape === 'iBeam')
    return section.webMm <= section.widthMm && 2 * section.flangeMm < section.heightMm;
  if (section.shape === 'tee') return section.webMm <= section.widthMm && section.flangeMm < section.heightMm;
  return true;
}
