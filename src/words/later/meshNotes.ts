import type { Sentences } from '../write';

const FEM_NOTES: Sentences<'note.fem'> = {
  'note.fem.corners': () =>
    'The stress at a clamp and at an inner corner grows the finer the voxels are: look at it beside a second size.',
  'note.fem.residual': ({ iterations, residual }) =>
    `After ${iterations} iterations a residual of ${residual} is left.`,
  'note.fem.heldToo': ({ nodes }) =>
    `${nodes} loaded nodes are also held: their share goes straight into the clamp.`,
};

const SECTIONS_NOTES: Sentences<'note.sections'> = {
  'note.sections.torsion': ({ torsion }) => `Torsion of up to ${torsion} is left out.`,
  'note.sections.gaps': ({ gaps, stations }) =>
    `${gaps} of ${stations} cuts meet no material: the part does not reach along this axis everywhere.`,
};

const SPLIT_NOTES: Sentences<'note.split'> = {
  'note.split.narrow': ({ pin }) => `The cut is too narrow for a pin of ${pin}: glue it over a strip.`,
  'note.split.room': ({ room, pins }) => `There is room for ${room} of ${pins} pins.`,
};

const SOLID_NOTES: Sentences<'note.solid'> = {
  'note.solid.open': () => 'The mesh is open, so volume, mass and inertia are no more than a guess.',
};

const MESH_NOTES: Sentences<'note.mesh'> = {
  'note.mesh.open': ({ edges }) =>
    `It is open: ${edges} edges have no face on their other side, so it has no inside.`,
  'note.mesh.flat': () => 'It has no thickness: its faces enclose nothing.',
  'note.mesh.insideOut': () => 'It is inside out: its faces look inwards.',
  'note.mesh.crossing': () =>
    'It crosses itself: some places lie inside two of its surfaces, or inside one that looks inwards. Join the bodies in your CAD program.',
  'note.mesh.large': ({ longest }) => `It measures ${longest}, which no part of such a car does.`,
  'note.mesh.small': ({ longest }) => `It measures only ${longest}.`,
  'note.mesh.turned': ({ faces, all }) =>
    all ? 'Turned it the right way out.' : `Turned ${faces} faces the way of their neighbours.`,
  'note.mesh.joined': ({ corners }) => `Joined ${corners} corners that nearly met.`,
  'note.mesh.droppedFlat': ({ triangles }) => `Dropped ${triangles} triangles without area.`,
  'note.mesh.droppedTwins': ({ triangles }) => `Dropped ${triangles} triangles that were there twice.`,
  'note.mesh.closed': ({ holes }) =>
    `Closed ${holes} ${holes === 1 ? 'hole' : 'holes'} from the middle of the rim.`,
};

const BOSS_NOTES: Sentences<'note.boss'> = {
  'note.boss.noNut': ({ thread }) =>
    `No standard nut has a thread of ${thread}: give its width across flats.`,
  'note.boss.noWasher': ({ thread }) => `No standard washer has a hole for ${thread}: give its diameter.`,
};

const PRINTED_BAR_NOTES: Sentences<'note.printedBar'> = {
  'note.printedBar.noLoad': () => 'Nothing acts, so there is no margin to tell.',
};

const PRINTED_SEARCH_NOTES: Sentences<'note.printedSearch'> = {
  'note.printedSearch.none': () => 'No combination holds the load with the margin wanted.',
};

const HOLES_NOTES: Sentences<'note.holes'> = {
  'note.holes.mirror': () => 'It may be the view from below: a mirror image has the same distances.',
  'note.holes.loose': () => 'The readings leave it loose: this is one possible shape.',
  'note.holes.others': ({ others }) =>
    `${others} other ${others === 1 ? 'shape fits' : 'shapes fit'} the readings about as well: measure across it.`,
  'note.holes.oneWrong': () =>
    'Some reading is wrong, and none can be named: measure one more distance across.',
};

/** Sentences of what is noted of meshes, bosses, printed bars and hole patterns. */
export const ALL_MESH_NOTES = {
  ...BOSS_NOTES,
  ...PRINTED_BAR_NOTES,
  ...PRINTED_SEARCH_NOTES,
  ...HOLES_NOTES,
  ...FEM_NOTES,
  ...SECTIONS_NOTES,
  ...SPLIT_NOTES,
  ...SOLID_NOTES,
  ...MESH_NOTES,
};
