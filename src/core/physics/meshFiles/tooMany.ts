import { CalcError } from '../../base/errors';
import { MOST_TRIANGLES } from './mesh';

/** Refuses while it is being read what has more triangles than a mesh may have. @throws CalcError at the path */
export function refuseTooMany(count: number, path: string): void {
  if (count > MOST_TRIANGLES)
    throw new CalcError(path, `holds more than ${MOST_TRIANGLES} triangles`, 'export it coarser');
}
