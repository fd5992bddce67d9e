import type { Refusals } from './refusals';

const AGAIN = 'export the part again';

export const MESH_FILE_REFUSALS: Refusals<'meshFile'> = {
  'meshFile.empty': () => ['holds no triangles', 'export the part as a solid'],
  'meshFile.triangles': ({ count, mostTriangles }) => [
    `holds ${count} triangles, more than ${mostTriangles}`,
    'export it coarser',
  ],
  'meshFile.notFinite': ({ corner, triangle }) => [
    `corner ${corner} of triangle ${triangle} is no finite number`,
    AGAIN,
  ],
  'meshFile.tooMany': ({ mostTriangles }) => [
    `holds more than ${mostTriangles} triangles`,
    'export it coarser',
  ],
  'meshFile.unknown': ({ name }) => [
    `is no mesh that is known here: ${name}`,
    'drop an STL, a 3MF or an OBJ',
  ],
  'meshFile.dropped': () => ['has to be read again', 'load the page again'],
};

export const THREE_MF_REFUSALS: Refusals<'threeMf'> = {
  'threeMf.unit': ({ unit }) => [`has a unit that 3MF does not know: ${unit}`, AGAIN],
  'threeMf.noArchive': () => ['is no 3MF: it does not begin as an archive', AGAIN],
  'threeMf.packed': () => ['is an archive that cannot be unpacked', AGAIN],
  'threeMf.large': ({ mostMb }) => [`unpacks to more than ${mostMb} MB`, 'export it coarser'],
  'threeMf.noModel': () => ['is cut off, or holds no 3D model', AGAIN],
  'threeMf.xml': () => ['holds a model that is no XML of 3MF', AGAIN],
  'threeMf.transform': () => ['has a transform that is no twelve numbers', AGAIN],
  'threeMf.objects': ({ mostPlaced }) => [
    `places more than ${mostPlaced} objects`,
    'export the part as one object',
  ],
  'threeMf.endless': () => ['holds objects inside one another without end', AGAIN],
  'threeMf.noObject': ({ id }) => [`names an object that is not there (${id})`, AGAIN],
  'threeMf.corner': () => ['has a triangle with a corner that is not there', AGAIN],
};

export const OBJ_REFUSALS: Refusals<'obj'> = {
  'obj.long': ({ line, most }) => [`line ${line} is longer than ${most} letters`, AGAIN],
  'obj.numbers': ({ line }) => [`line ${line} gives no three finite numbers`, AGAIN],
  'obj.face': ({ line }) => [`line ${line} is a face of fewer than three corners`, AGAIN],
  'obj.corner': ({ line, word }) => [`line ${line} names a corner that is not there (${word})`, AGAIN],
};

export const STL_REFUSALS: Refusals<'stl'> = {
  'stl.noTriangle': () => ['is cut off before its first triangle, or no STL at all', AGAIN],
  'stl.cutOff': ({ count, room }) => [`is cut off: it announces ${count} triangles and holds ${room}`, AGAIN],
  'stl.noEnd': () => ['is cut off: its last line is no endsolid', AGAIN],
  'stl.facet': ({ next }) => [`does not give three corners of three numbers for each facet (${next})`, AGAIN],
  'stl.facets': ({ facets }) => [`does not give three corners for each of its ${facets} facets`, AGAIN],
};

export const FEM_REFUSALS: Refusals<'fem'> = {
  'fem.material': ({ nu }) => [
    `gives a material that yields energy with a Poisson ratio of ${nu}`,
    'make it smaller',
  ],
  'fem.freedoms': ({ freedoms, most }) => [
    `gives ${freedoms} degrees of freedom, more than ${most}`,
    'choose larger voxels',
  ],
  'fem.holdsNothing': () => ['holds no part of the mesh', 'place the box so that it reaches into the part'],
  'fem.holdsLine': () => [
    'holds the part along one line only, so it could turn about it',
    'make the box wider, or hold a second place',
  ],
  'fem.loadMisses': ({ index }) => [
    `number ${index} meets no part of the mesh`,
    'place the box so that it reaches into the part',
  ],
  'fem.pullsNothing': () => [
    'pull at nothing that can move',
    'give a force to a part of the mesh that is not held',
  ],
  'fem.open': ({ unpaired }) => [
    `is open at ${unpaired} edges, so it has no inside`,
    'repair it, or export it as one closed solid',
  ],
  'fem.insideOut': () => ['is inside out or encloses nothing', 'repair it, or flip its faces'],
  'fem.cells': ({ cells, most }) => [
    `gives a grid of ${cells} cells, more than ${most}`,
    'choose larger voxels',
  ],
  'fem.coarse': () => ['is so coarse that no voxel lies in the part', 'choose smaller voxels'],
  'fem.pieces': ({ pieces }) => [
    `falls into ${pieces} pieces that are not joined by faces at this voxel size`,
    'choose smaller voxels, or join the bodies',
  ],
};

export const EXTRUDE_REFUSALS: Refusals<'extrude'> = {
  'extrude.crosses': () => ['crosses itself or its holes', 'draw it without'],
};

export const SECTIONS_REFUSALS: Refusals<'sections'> = {
  'sections.axis': () => ['runs across a part that has no length along it', 'choose another axis'],
};

export const SPLIT_REFUSALS: Refusals<'split'> = {
  'split.place': ({ from, to }) => [
    `does not cut it: it reaches from ${from} to ${to}`,
    'choose a place between',
  ],
  'split.open': () => ['is not closed, so it cannot be cut as a solid', 'mend it on its own page first'],
};
