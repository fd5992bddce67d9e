import type { BuildDocument } from '../../car/document/document';
import { changesBetween, type Path } from '../../base/patch';
import { TABLES } from '../../physics/diagnosis/tables';

/** What a changed path of a build is called among the changes of the tables, the most particular first; `*` stands for one key. */
const CALLED: readonly (readonly [pattern: string, change: string])[] = [
  ['drive.stages', 'gearing'],
  ['drive.motor', 'motor'],
  ['drive.motorCount', 'motor'],
  ['drive.tyreHold', 'glue'],
  ['drive.tyre', 'tyres'],
  ['drive.wheelHex', 'wheels'],
  ['drive.heat.pinionJoint', 'glue'],
  ['drive.heat.housing', 'cooling'],
  ['drive.heat.body', 'body'],
  ['power.battery', 'pack'],
  ['power.controller', 'controller'],
  ['power.rails', 'regulator'],
  ['power.wires', 'wiring'],
  ['power.radio', 'radio'],
  ['suspension.aids', 'gyro'],
  ['print.joints', 'fasteners'],
  ['parts.items.*.material', 'material'],
  ['parts.items.*.infill', 'printSettings'],
  ['parts.items.*.perimeters', 'printSettings'],
  ['parts.items.*.lineMm', 'printSettings'],
  ['parts.items.*.layers', 'printOrientation'],
  ['parts.items.*.mesh.up', 'printOrientation'],
  ['parts.items.*.shape', 'partShape'],
  ['parts.items.*.mesh', 'partShape'],
  ['suspension.*.rateNPerMm', 'springs'],
  ['suspension.*.damperNsPerM', 'springs'],
  ['suspension.*.preloadMm', 'springs'],
  ['suspension.*.corner', 'links'],
  ['suspension.*.links', 'links'],
  ['chassis.massG', 'weight'],
  ['chassis.bodies', 'weight'],
  ['brief.payloadG', 'weight'],
  ['chassis.air', 'body'],
  ['chassis.cdaM2', 'body'],
  ['chassis.claFrontM2', 'body'],
  ['chassis.claRearM2', 'body'],
];

const LOADS: Readonly<Record<string, string>> = { servo: 'servo', receiver: 'radio', gyro: 'gyro' };

const under = (path: Path, pattern: string) =>
  pattern.split('.').every((key, at) => key === '*' || path[at] === key);

/** What was changed from one build to the next, as the diagnosis calls it. */
export function changesOf(before: BuildDocument, after: BuildDocument): string[] {
  const found = changesBetween(before, after).flatMap(({ path }) => {
    if (path[0] === 'power' && path[1] === 'loads') {
      const own = [after, before]
        .flatMap(({ power }) => power.loads ?? [])
        .filter(({ id }) => path[2] === undefined || path[2] === id);
      return own.flatMap(({ kind }) => LOADS[kind] ?? []);
    }
    return CALLED.find(([pattern]) => under(path, pattern))?.[1] ?? [];
  });
  return [...new Set(found)].filter((id) => TABLES.changes[id] !== undefined);
}
