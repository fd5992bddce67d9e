import { markOf } from '../../base/mark';
import type { BuildDocument } from '../../car/document/document';
import type { PartKind } from '../../car/parts/partKinds';
import type { Part } from '../../car/parts/parts';
import { designMark } from '../print/log';

/** What the document says elsewhere of parts that are not drawn as parts: teeth, and what is bought. */
const ELSEWHERE: Readonly<Partial<Record<PartKind, (document: BuildDocument) => unknown>>> = {
  gear: ({ drive }) =>
    drive.stages.map(({ id, kind, moduleMm, wheelModuleMm, wheelTeeth, faceWidthMm, helixDeg, wheel }) => [
      id,
      kind,
      moduleMm,
      wheelModuleMm,
      wheelTeeth,
      faceWidthMm,
      helixDeg,
      wheel,
    ]),
  pinion: ({ drive }) => [
    drive.heat?.pinionJoint,
    drive.stages.map(({ id, kind, moduleMm, pinionTeeth, faceWidthMm, helixDeg, pinion }) => [
      id,
      kind,
      moduleMm,
      pinionTeeth,
      faceWidthMm,
      helixDeg,
      pinion,
    ]),
  ],
  motor: ({ drive }) => drive.motor?.name,
  tyre: ({ drive }) => drive.tyre?.name,
  battery: ({ power }) => power.battery?.name,
  controller: ({ power }) => power.controller?.name,
};

/** Mark of all that makes a part of a build another thing than it was in an earlier revision: whatever it lasted counts for it alone. */
export const designIn = (document: BuildDocument, part: Part): string =>
  markOf([designMark(part), part.mesh ? undefined : ELSEWHERE[part.kind]?.(document)]);

/** Design of a part in a build, where it has it. */
export function designOfPart(document: BuildDocument | undefined, partId: string): string | undefined {
  const part = document?.parts.items.find(({ id }) => id === partId);
  return document && part && designIn(document, part);
}
