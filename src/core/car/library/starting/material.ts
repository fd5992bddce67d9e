import { TYPICAL_MATERIALS } from '../../material/typicalMaterials';
import type { LibraryMaterial, RangedFigure } from '../kinds/material';

/** Lowest and highest that data sheets of a class give, as shares of the figure taken. */
interface Spread {
  plane: readonly [number, number];
  across?: readonly [number, number];
  stiff: readonly [number, number];
}

const PRINTED: Spread = { plane: [0.75, 1.25], across: [0.45, 1.35], stiff: [0.85, 1.15] };
const FILLED: Spread = { plane: [0.65, 1.3], across: [0.5, 1.4], stiff: [0.6, 1.4] };
const POWDER: Spread = { plane: [0.9, 1.1], across: [0.8, 1.1], stiff: [0.9, 1.1] };
const MOULDED: Spread = { plane: [0.85, 1.15], stiff: [0.85, 1.15] };
const METAL: Spread = { plane: [0.7, 1.3], stiff: [0.97, 1.03] };

const SPREADS: Readonly<Partial<Record<keyof typeof TYPICAL_MATERIALS, Spread>>> = {
  nylonCarbon: FILLED,
  petgCarbon: FILLED,
  resinTough: POWDER,
  nylonSintered: POWDER,
  acetal: MOULDED,
  nylonMoulded: MOULDED,
  aluminium: METAL,
  aluminiumCast: METAL,
  brass: METAL,
  steelSintered: METAL,
  steel: METAL,
  hardSteel: METAL,
};

const SOURCE = 'Typical of data sheets; test your own';

const range = (value: number, [low, high]: readonly [number, number]): [number, number] => [
  Number((value * low).toPrecision(2)),
  Number((value * high).toPrecision(2)),
];

function ranged(data: LibraryMaterial, { plane, across, stiff }: Spread): LibraryMaterial {
  const ranges: Partial<Record<RangedFigure, [number, number]>> = {
    modulusMpa: range(data.modulusMpa, stiff),
    inPlaneStrengthMpa: range(data.inPlaneStrengthMpa, plane),
    ...(across && data.interlayerStrengthMpa !== undefined
      ? { interlayerStrengthMpa: range(data.interlayerStrengthMpa, across) }
      : {}),
  };
  return { ...data, ranges, source: SOURCE };
}

/** Typical of data sheets with the range of each; test your own. */
export const STARTING_MATERIALS: readonly { id: string; data: LibraryMaterial }[] = (
  Object.keys(TYPICAL_MATERIALS) as (keyof typeof TYPICAL_MATERIALS)[]
).map((id) => ({
  id: `material-${id}`,
  data: ranged(TYPICAL_MATERIALS[id], SPREADS[id] ?? PRINTED),
}));
