/** The library of exact solids, once it is loaded and given its engine. */
export type Kernel = typeof import('replicad');
export type { Edge, Face, Shape3D, Solid, Wire } from 'replicad';
