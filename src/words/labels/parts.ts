import type { FieldLabel, Limits } from '@/core/car/fields/fieldLabel';

const length = (label: string, to: number): FieldLabel => ({
  label,
  quantity: 'lengthMm',
  limits: { above: 0, to },
});
const number = (label: string, quantity: FieldLabel['quantity'], limits: Limits): FieldLabel => ({
  label,
  quantity,
  limits,
});

const OF_A_PART: Readonly<Record<string, FieldLabel>> = {
  '': { label: 'Part' },
  '.name': { label: 'Part' },
  '.kind': { label: 'Kind of part' },
  '.massG': number('Mass of the part', 'massG', { above: 0, to: 100_000 }),
  '.material': { label: 'Made of' },
  '.layers': { label: 'Layers lie' },
  '.perimeters': number('Perimeters', 'count', { from: 1, to: 100 }),
  '.lineMm': length('Line width', 5),
  '.infill': number('Infill', 'share', { above: 0, to: 1 }),
  '.temperatureC': number('Gets as warm as', 'temperatureC', { from: -50, to: 400 }),
  '.shape': { label: 'Shape' },
  '.shape.as': { label: 'Modelled as' },
  '.shape.profile': { label: 'Section' },
  '.shape.support': { label: 'Held' },
  '.shape.ends': { label: 'Ends' },
  '.shape.lengthMm': length('Length to the load', 2000),
  '.shape.widthMm': length('Width', 2000),
  '.shape.heightMm': length('Thickness', 2000),
  '.shape.wallMm': length('Wall', 2000),
  '.shape.flangeMm': length('Flange height', 2000),
  '.shape.rootMm': length('Body it grows out of', 2000),
  '.shape.filletMm': length('Fillet at its root', 200),
  '.shape.screwMm': length('Screw', 20),
  '.shape.engagementMm': length('Thread, deep', 200),
  '.shape.screws': number('Screws', 'count', { from: 1, to: 100 }),
  '.shape.screwKind': { label: 'Screws held by' },
  '.loads': { label: 'What acts on it' },
  '.loads.*': { label: 'Load' },
  '.loads.*.from': { label: 'Comes from' },
  '.loads.*.end': { label: 'End' },
  '.loads.*.link': { label: 'Link' },
  '.loads.*.share': number('Share of it', 'coefficient', { above: 0, to: 10 }),
  '.loads.*.forceN': number('Force', 'forceN', { from: 0, to: 1e6 }),
  '.loads.*.bends': { label: 'Bends it' },
  '.mesh': { label: 'Mesh' },
  '.mesh.name': { label: 'Mesh' },
  '.mesh.up': { label: 'Up on the bed' },
  '.mesh.voxelMm': length('Voxel', 50),
};

/** What the fields of the parts are called. */
export const PARTS_LABELS: Readonly<Record<string, FieldLabel>> = {
  'parts.crushMm': length('Nose crushes by', 1000),
  ...Object.fromEntries(Object.entries(OF_A_PART).map(([key, label]) => [`parts.items.*${key}`, label])),
};
