import { refusal } from '../../base/errors';
import { MOST_TRIANGLES } from './mesh';

declare module '../../base/errors' {
  interface RefusalFacts {
    'meshFile.tooMany': { mostTriangles: number };
  }
}

/** Refuses while it is being read what has more triangles than a mesh may have. @throws CalcError at the path */
export function refuseTooMany(count: number, path: string): void {
  if (count > MOST_TRIANGLES) throw refusal(path, 'meshFile.tooMany', { mostTriangles: MOST_TRIANGLES });
}
