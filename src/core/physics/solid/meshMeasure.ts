import { readMesh } from '../meshFiles/readMesh';
import { type MeasureInput, measureMesh, type MeasureResult } from './measure';

/**
 * Volume, mass, inertia, edges and what a printer sees of a mesh.
 *
 * @returns mm, mm², mm³, g and g mm²; products of inertia as +∫
 * @throws CalcError at the mesh's field where it is broken
 * @see Mirtich, Journal of Graphics Tools 1 (1996): solids by their surface
 */
export function meshMeasure({ mesh, ...how }: MeasureInput): MeasureResult {
  return measureMesh(readMesh(mesh), how);
}
