import type { Edit, Patch } from '../../base/patch';
import { isAssumed } from '../../car/assumed/assumed';
import { controllersInAll, motorsInAll } from '../../car/document/motors';
import type { BuildDocument } from '../../car/document/document';
import { type Drive } from '../../car/document/drive';
import { forgetMeasured, tyreAt } from '../../car/tyres/tyres';
import type { Power } from '../../car/document/power';

/** What a car has of each thing that is chosen whole, with its mass. */
const EXCHANGED = {
  motor: { at: ['drive', 'motor'], countOf: ({ drive }: BuildDocument) => motorsInAll(drive) },
  battery: { at: ['power', 'battery'], countOf: ({ power }: BuildDocument) => power.packs ?? 1 },
  controller: { at: ['power', 'controller'], countOf: controllersInAll },
  tyre: { at: ['drive', 'tyre'], countOf: ({ drive }: BuildDocument) => (drive.frontTyre ? 2 : 4) },
  frontTyre: { at: ['drive', 'frontTyre'], countOf: () => 2 },
} as const;
export type Exchanged = keyof typeof EXCHANGED;
const KINDS = Object.keys(EXCHANGED) as Exchanged[];

type Things = Pick<Drive, 'motor' | 'tyre' | 'frontTyre'> & Pick<Power, 'battery' | 'controller'>;

const chosenIn = ({ drive, power }: BuildDocument, what: Exchanged) =>
  what === 'frontTyre'
    ? tyreAt(drive, 'front')
    : what === 'motor' || what === 'tyre'
      ? drive[what]
      : power[what];

/** Whether the car's mass goes along with such a thing. */
export const isExchanged = (what: string): what is Exchanged => Object.hasOwn(EXCHANGED, what);

/** How much heavier a car is with other things in place of the present ones, g; nothing for one that it has not yet. */
export function heavierByG(document: BuildDocument, things: Things): number {
  return KINDS.reduce((sum, what) => {
    const [value, present] = [things[what], chosenIn(document, what)];
    return value && present ? sum + EXCHANGED[what].countOf(document) * (value.massG - present.massG) : sum;
  }, 0);
}

/**
 * Another motor, pack, controller or tyre in place of the present one, and the weighed car as much heavier; a mass that is
 * only assumed, or was weighed without any, stays as it is.
 */
export function exchanged(document: BuildDocument, things: Things): Patch {
  const { massG } = document.chassis;
  const patch = [
    ...KINDS.flatMap((what): Edit[] =>
      things[what] ? [{ path: [...EXCHANGED[what].at], value: things[what] }] : [],
    ),
    ...(things.motor ? withoutOldFigures(document.drive) : []),
    ...(['tyre', 'frontTyre'] as const).flatMap((what) =>
      things[what] ? forgetMeasured(document.drive, what === 'tyre' ? 'tyreHold' : 'frontTyreHold') : [],
    ),
  ];
  const carG = Number(((massG ?? 0) + heavierByG(document, things)).toFixed(1));
  const follows = massG !== undefined && carG > 0 && carG !== massG;
  return follows && !isAssumed(document, ['chassis', 'massG'])
    ? [...patch, { path: ['chassis', 'massG'], value: carG }]
    : patch;
}

/** Figures measured on single motors of the kind that goes; a motor with a name of its own stays what it is. */
function withoutOldFigures({ ownMotors = [] }: Drive): Edit[] {
  const kept = ownMotors.map((own) => {
    const { kvRpmPerV: _, resistanceMilliOhm: __, noLoadCurrentA: ___, massG: ____, ...rest } = own;
    return own.name === undefined ? rest : own;
  });
  const changed = kept.some((own, at) => Object.keys(own).length < Object.keys(ownMotors[at]!).length);
  return changed ? [{ path: ['drive', 'ownMotors'], value: kept }] : [];
}
