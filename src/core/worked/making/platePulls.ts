import { add, lengthOf, type Vec3 } from '../../base/vec3';
import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import { type End, ENDS } from '../../car/document/suspension';
import { forcesOfGroup } from '../../physics/fasteners/group';
import type { DrawnPart } from '../../physics/making/drawn/drawing';
import { bodiesOf } from '../chassis/bodiesOfBuild';
import { linkPulls, type LinkPull, wrenchOf } from './linkPulls';
import { bulkheadScrews } from './plateTop';

/** What tries a plate the most, by the names of what a wheel meets. */
const TRIED: ReadonlySet<string> = new Set(['landing', 'kerbAhead', 'kerbSide']);
/** A joint that carries part of everything that the wheel meets. */
const BY_LINK = 'lowerFront';
const USUAL_SCREW_MM = 3;

/** A plate held where the heaviest thing sits, pulled at the screws of the bulkheads by all that the links hand to the chassis. */
export function platePulls(
  document: BuildDocument,
  surface: ChosenSurface | undefined,
  { places }: DrawnPart,
): { held: string[]; links: LinkPull[] } {
  const heaviest = bodiesOf(document)
    .filter(({ id }) => places.has(id))
    .reduce<{ id: string; massG: number } | undefined>(
      (most, body) => (most && most.massG >= body.massG ? most : body),
      undefined,
    );
  return {
    held: heaviest ? [heaviest.id] : [],
    links: ENDS.flatMap((end) => pullsOfEnd(document, surface, end)),
  };
}

function pullsOfEnd(document: BuildDocument, surface: ChosenSurface | undefined, end: End): LinkPull[] {
  const screws = bulkheadScrews(document, end);
  const corner = document.suspension[end]?.corner;
  if (!corner || screws.length === 0) return [];
  const axle = end === 'front' ? 0 : -(document.chassis.wheelbaseMm ?? 0);
  const middle = screws.reduce<Vec3>(
    (sum, { at }) => add(sum, at.map((one) => one / screws.length) as never),
    [0, 0, 0],
  );
  const points: Readonly<Record<string, unknown>> = {
    ...corner,
    damperInner: corner.damper?.inner,
    rockerPivot: corner.rocker?.pivot,
    damperChassis: corner.rocker?.damperChassis,
  };
  const pointOf = (name: string): Vec3 | undefined => {
    const point = points[name] as Vec3 | undefined;
    return point && [point[0] + axle, point[1], point[2]];
  };
  const found = linkPulls(
    document,
    end,
    surface,
    undefined,
    ({ chassis }) => {
      const { forceN, momentNmm } = wrenchOf(chassis, pointOf, middle);
      const shared = forcesOfGroup(
        screws.map(({ at: [xMm, yMm] }) => ({ xMm, yMm, diameterMm: USUAL_SCREW_MM })),
        { forceN, atMm: [middle[0], middle[1], 0], momentNmm },
      );
      return screws.flatMap(({ id }, k) => {
        const one = shared?.forcesN[k];
        return one && lengthOf(one) > 0 ? [{ place: id, link: BY_LINK, forceN: one }] : [];
      });
    },
    TRIED,
  );
  return found.ok ? found.value : [];
}
