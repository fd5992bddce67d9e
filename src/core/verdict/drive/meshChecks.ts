import type { CheckDefinition, Finding, Proposal, State } from '../engine/check';
import type { Stage } from '../../car/document/drive';
import { refusalInWords } from '../../car/labels/labels';
import { CalcError } from '../../base/errors';
import { plain } from '../../base/units/plain';
import type { MeshResult } from '../../physics/gears/mesh';
import { meshOf, spurStages } from '../../worked/drive/stageMesh';

const LEAST_CONTACT = 1.1;

interface Meshed {
  stage: Stage;
  mesh: MeshResult;
}

const mesh: CheckDefinition = {
  id: 'gears.mesh',
  segment: 'drive',
  title: 'Gear mesh',
  short: 'mesh',
  anySurface: true,
  quantity: 'coefficient',
  kind: 'floor',
  tightUnder: 1.1,
  evaluate: ({ document }) => {
    const stages = spurStages(document.drive);
    if (stages.length === 0) return { missing: ['spur gears with their teeth'] };
    if (stages.some(({ moduleMm }) => moduleMm === undefined))
      return { missing: ['module of the spur gears'] };
    const meshed: Meshed[] = [];
    for (const stage of stages) {
      const found = meshOrRefusal(stage);
      if ('refused' in found && found.path.startsWith('slot')) return { missing: [found.refused] };
      if ('refused' in found)
        return {
          state: 'over',
          margin: 0,
          why: `${stage.pinionTeeth} and ${stage.wheelTeeth} teeth do not mesh: ${found.refused}.`,
          working: [],
        };
      meshed.push({ stage, mesh: found.mesh });
    }
    return worstOf(meshed);
  },
  propose: ({ document }) =>
    spurStages(document.drive).flatMap((stage) => [...sameModule(stage), ...intoTheSlot(stage)]),
};

export const gearChecks: readonly CheckDefinition[] = [mesh];

function worstOf(meshed: readonly Meshed[]): Finding {
  const worst = meshed.reduce((a, b) => (rank(b) < rank(a) ? b : a));
  const { stage, mesh: found } = worst;
  const { contactRatioOpened, centreDistanceMm } = found;
  const state = verdictOf(found);
  return {
    value: contactRatioOpened,
    limit: LEAST_CONTACT,
    ...(state ? { state } : {}),
    why: whyOf(stage, found),
    working: [
      {
        label: 'Centre distance',
        formula: `${plain(stage.moduleMm!)} mm · (${stage.pinionTeeth} + ${stage.wheelTeeth})/2${stage.backlashMm ? `, opened by ${plain(stage.backlashMm)} mm of backlash along the line of action` : ''}`,
        value: centreDistanceMm,
        quantity: 'lengthMm',
        source: 'ISO 21771',
      },
      {
        label: 'Contact ratio',
        formula: 'length of the line of action between the tip circles over the base pitch',
        value: contactRatioOpened,
        quantity: 'coefficient',
        source: 'Shigley, Mechanical Engineering Design, ch. 13',
      },
    ],
  };
}

const rank = ({ mesh: found }: Meshed) =>
  ({ over: 0, tight: 1000, unknown: 2000, clear: 2000 })[verdictOf(found) ?? 'clear'] +
  found.contactRatioOpened;

/** Out of the slot is over, undercut is tight, whatever the contact ratio; a low ratio follows from its margin. */
function verdictOf(found: MeshResult): State | undefined {
  if (found.fitsSlot === false) return 'over';
  if (found.contactRatioOpened < LEAST_CONTACT) return undefined;
  return found.undercut[0] || found.undercut[1] ? 'tight' : undefined;
}

function whyOf(
  { pinionTeeth, wheelTeeth, slotMinMm, slotMaxMm }: Stage,
  { centreDistanceMm, undercut, minTeethNoUndercut, fitsSlot, pinionRange, contactRatioOpened }: MeshResult,
): string {
  const pair = `${pinionTeeth} and ${wheelTeeth} teeth`;
  if (fitsSlot === false)
    return `${pair} want ${plain(centreDistanceMm, 4)} mm between the shafts, and the slot goes from ${plain(slotMinMm!, 4)} to ${plain(slotMaxMm!, 4)} mm${pinionRange ? `: pinions of ${pinionRange.min} to ${pinionRange.max} teeth fit` : ''}.`;
  if (undercut[0] || undercut[1])
    return `The ${undercut[0] ? 'pinion' : 'wheel'} is undercut: under ${minTeethNoUndercut[undercut[0] ? 0 : 1]} teeth the root is thinner than it looks.`;
  return `${pair} mesh at ${plain(centreDistanceMm, 4)} mm with ${plain(contactRatioOpened)} pairs in touch on average.`;
}

/** Two gears as they mesh, or in words why they do not. */
export function meshOrRefusal(stage: Stage): { mesh: MeshResult } | { refused: string; path: string } {
  try {
    return { mesh: meshOf(stage)! };
  } catch (error) {
    if (!(error instanceof CalcError)) throw error;
    return { path: error.path, refused: refusalInWords(error, ['drive', 'stages', stage.id]) };
  }
}

function sameModule({ id, moduleMm, wheelModuleMm }: Stage): Proposal[] {
  if (wheelModuleMm === undefined || wheelModuleMm === moduleMm) return [];
  return [
    {
      text: `Wheel of module ${plain(moduleMm!)}`,
      patch: [{ path: ['drive', 'stages', id, 'wheelModuleMm'], value: undefined }],
      cost: 2,
    },
  ];
}

function intoTheSlot(stage: Stage): Proposal[] {
  const found = stage.moduleMm === undefined ? undefined : meshOrRefusal(stage);
  const range = found && 'mesh' in found ? found.mesh.pinionRange : undefined;
  const pinion = stage.pinionTeeth!;
  if (!range || (pinion >= range.min && pinion <= range.max)) return [];
  const teeth = pinion < range.min ? range.min : range.max;
  return [
    {
      text: `Pinion ${pinion} to ${teeth} teeth`,
      patch: [{ path: ['drive', 'stages', stage.id, 'pinionTeeth'], value: teeth }],
      cost: 1,
    },
  ];
}
