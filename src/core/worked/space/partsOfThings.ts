import type { BuildDocument } from '../../car/document/document';
import type { PartKind } from '../../car/parts/partKinds';
import { type End, ENDS } from '../../car/document/suspension';
import { bodyName, SIDES } from './sides';
import type { LinkThing, Thing } from './thingsOfCar';

/** The drawn things that a member or joint of a corner belongs to. */
const THINGS_OF_LINK = new Map<string, readonly LinkThing[]>([
  ['tie', ['tie']],
  ['tieOuter', ['tie']],
  ['upper', ['upper']],
  ['damper', ['damper', 'damperRod']],
  ['damperOuter', ['damperRod']],
  ...(['lowerFront', 'lowerRear', 'lowerOuter', 'outerFront', 'outerRear'] as const).map(
    (id): [string, readonly LinkThing[]] => [id, ['lower']],
  ),
  ...(['upperFront', 'upperRear', 'upperOuter'] as const).map((id): [string, readonly LinkThing[]] => [
    id,
    ['upper'],
  ]),
]);

/** Names by which checks call a thing: its own id, what it is, the links that it is, and the parts of the build. */
export function namesOfThings(
  document: BuildDocument,
  things: readonly Thing[],
): ReadonlyMap<string, readonly string[]> {
  const names = new Map<string, string[]>(things.map((thing) => [thing.id, kindsOf(document, thing)]));
  const give = (end: End, thing: LinkThing, name: string) =>
    SIDES.forEach((side) => names.get(bodyName(end, side, thing))?.push(name));
  for (const end of ENDS)
    for (const { id, partId } of document.suspension[end]?.held ?? [])
      for (const thing of THINGS_OF_LINK.get(id) ?? []) {
        give(end, thing, `${end}.${id}`);
        if (partId !== undefined) give(end, thing, partName(partId));
      }
  for (const { id, made, kind } of document.parts.items) {
    if (made?.as === 'arm') give(made.end ?? 'front', made.arm ?? 'lower', partName(id));
    if (made?.as === 'upright') give(made.end ?? 'front', 'upright', partName(id));
    const is = IS.get(kind);
    if (is) for (const own of names.values()) if (own.includes(is)) own.push(partName(id));
  }
  return names;
}

/** Parts of which the car has a thing without being told. */
const IS = new Map<PartKind, string>([
  ['motor', 'motor'],
  ['battery', 'pack'],
  ['controller', 'controller'],
  ['servo', 'servo'],
  ['wheel', 'wheel'],
  ['tyre', 'wheel'],
  ['knuckle', 'front.upright'],
  ['carrier', 'rear.upright'],
  ['shaft', 'shaft'],
]);

export const partName = (partId: string): string => `part-${partId}`;

/** Components of which a car may have several are called by what they are. */
const SEVERAL = ['wheel', 'motor', 'pack', 'controller'] as const;

/** Components that a thing of a corner is drawn in place of, without its corner. */
const BODY_OF: Partial<Readonly<Record<LinkThing, string>>> = { wheel: 'wheel', upright: 'hub' };

function kindsOf({ power }: BuildDocument, { id, of, train }: Thing): string[] {
  if (train) return train.role === 'shaft' && !train.motor ? [id, 'longShaft'] : [id];
  if (of) {
    const component = BODY_OF[of.thing];
    return [
      id,
      of.thing,
      `${of.end}.${of.thing}`,
      ...(component ? [`${component}-${of.end[0]}${of.side[0]}`] : []),
    ];
  }
  const several = SEVERAL.filter((kind) => id.startsWith(`${kind}-`));
  const load = power.loads?.find((one) => `load-${one.id}` === id);
  return [id, ...several, ...(load?.servo ? ['servo'] : [])];
}
