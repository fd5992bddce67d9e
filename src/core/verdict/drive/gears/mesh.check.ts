import type { Refused } from '../../../base/errors';
import { type Measure, measure } from '../../../base/measure';
import { mayHave } from '../../../worked/drive/stageKinds';
import type { Stage } from '../../../car/stages/stage';
import type { MeshResult } from '../../../physics/gears/mesh';
import { meshOrRefusal, spurStages } from '../../../worked/drive/stageMesh';
import { defineCheck, type Found, type Proposal, type State } from '../../engine/check';
import { type Finding, finding, working } from '../../../base/finding';

interface Pair {
  pinion: number;
  wheel: number;
}

declare module '../../../base/finding' {
  interface FindingFacts {
    'gears.mesh.refused': Pair & { refused: Refused };
    'gears.mesh.slot': Pair & {
      apart: Measure;
      from: Measure;
      to: Measure;
      fits?: { min: number; max: number };
    };
    'gears.mesh.undercut': { role: 'pinion' | 'wheel'; under: number };
    'gears.mesh.meshes': Pair & { apart: Measure; contact: Measure };
    'remedy.oneModule': { module: Measure };
  }
  interface WorkingFacts {
    'gears.mesh': Pair & {
      moduleMm: number;
      backlashMm?: number;
      centreDistanceMm: number;
      contactRatio: number;
    };
  }
}

const LEAST_CONTACT = 1.1;

interface Meshed {
  stage: Stage;
  mesh: MeshResult;
  /** With the overlap of slanted teeth along the face. */
  contactRatio: number;
}

/** Pairs that slanted teeth add along the face, or along one half of a double one. */
const overlapOf = ({ helixDeg = 0, faceWidthMm = 0, moduleMm = 1, doubleHelix }: Stage): number =>
  ((doubleHelix ? faceWidthMm / 2 : faceWidthMm) * Math.sin((Math.abs(helixDeg) * Math.PI) / 180)) /
  (Math.PI * moduleMm);

/** Whether the spur gears mesh: contact, undercut, and the slot of the motor. */
export const mesh = defineCheck({
  id: 'gears.mesh',
  at: { segment: 'drive', side: 'gears' },
  anySurface: true,
  quantity: 'coefficient',
  kind: 'floor',
  tightUnder: 1.1,
  applies: ({ drive }) => mayHave(drive, ({ kind }) => kind === 'spur'),
  find: ({ document }): Found => {
    const stages = spurStages(document.drive);
    if (stages.length === 0) return { missing: ['drive.stages:spur'] };
    const open = stages.filter(({ moduleMm }) => moduleMm === undefined);
    if (open.length > 0) return { missing: open.map(({ id }) => `drive.stages.${id}.moduleMm`) };
    const meshed: Meshed[] = [];
    for (const stage of stages) {
      const found = meshOrRefusal(stage);
      if ('refused' in found) {
        const { path } = found.refused;
        if (path.startsWith('slot')) return { missing: [`drive.stages.${stage.id}.${path}:range`] };
        return {
          state: 'over',
          margin: 0,
          finding: finding('gears.mesh.refused', { ...pairOf(stage), refused: found.refused.refused }),
        };
      }
      meshed.push({
        stage,
        mesh: found.mesh,
        contactRatio: found.mesh.contactRatioOpened + overlapOf(stage),
      });
    }
    return worstOf(meshed);
  },
  remedies: ({ document }) =>
    spurStages(document.drive).flatMap((stage) => [...sameModule(stage), ...intoTheSlot(stage)]),
  provenBy: { run: 'drop', how: 'landThenTeeth' },
  supports: ['meshTooLoose'],
});

const pairOf = ({ pinionTeeth, wheelTeeth }: Stage): Pair => ({ pinion: pinionTeeth!, wheel: wheelTeeth! });

function worstOf(meshed: readonly Meshed[]): Found {
  const worst = meshed.reduce((a, b) => (rank(b) < rank(a) ? b : a));
  const { stage, contactRatio } = worst;
  const { centreDistanceMm } = worst.mesh;
  const state = stateOf(worst);
  return {
    value: contactRatio,
    limit: LEAST_CONTACT,
    ...(state ? { state } : {}),
    finding: tell(worst),
    working: working('gears.mesh', {
      ...pairOf(stage),
      moduleMm: stage.moduleMm!,
      ...(stage.backlashMm ? { backlashMm: stage.backlashMm } : {}),
      centreDistanceMm,
      contactRatio,
    }),
  };
}

const rank = (meshed: Meshed) =>
  ({ over: 0, tight: 1000, unknown: 2000, clear: 2000 })[stateOf(meshed) ?? 'clear'] + meshed.contactRatio;

/** Out of the slot is over, undercut is tight, whatever the contact ratio; a low ratio follows from its margin. */
function stateOf({ mesh: found, contactRatio }: Meshed): State | undefined {
  if (found.fitsSlot === false) return 'over';
  if (contactRatio < LEAST_CONTACT) return undefined;
  return found.undercut[0] || found.undercut[1] ? 'tight' : undefined;
}

function tell({ stage, mesh: found, contactRatio }: Meshed): Finding {
  const { centreDistanceMm, undercut, minTeethNoUndercut, fitsSlot, pinionRange } = found;
  const apart = measure(centreDistanceMm, 'fitMm', 4);
  if (fitsSlot === false)
    return finding('gears.mesh.slot', {
      ...pairOf(stage),
      apart,
      from: measure(stage.slotMinMm!, 'fitMm', 4),
      to: measure(stage.slotMaxMm!, 'fitMm', 4),
      ...(pinionRange ? { fits: pinionRange } : {}),
    });
  if (undercut[0] || undercut[1])
    return finding('gears.mesh.undercut', {
      role: undercut[0] ? 'pinion' : 'wheel',
      under: minTeethNoUndercut[undercut[0] ? 0 : 1],
    });
  return finding('gears.mesh.meshes', {
    ...pairOf(stage),
    apart,
    contact: measure(contactRatio, 'coefficient'),
  });
}

function sameModule({ id, moduleMm, wheelModuleMm }: Stage): Proposal[] {
  if (moduleMm === undefined || wheelModuleMm === undefined || wheelModuleMm === moduleMm) return [];
  return [
    {
      patch: [{ path: ['drive', 'stages', id, 'wheelModuleMm'], value: undefined }],
      cost: 2,
      says: finding('remedy.oneModule', { module: measure(moduleMm, 'fitMm') }),
    },
  ];
}

function intoTheSlot(stage: Stage): Proposal[] {
  const found = stage.moduleMm === undefined ? undefined : meshOrRefusal(stage);
  const range = found && 'mesh' in found ? found.mesh.pinionRange : undefined;
  const pinion = stage.pinionTeeth!;
  if (!range || (pinion >= range.min && pinion <= range.max)) return [];
  const teeth = pinion < range.min ? range.min : range.max;
  return [{ patch: [{ path: ['drive', 'stages', stage.id, 'pinionTeeth'], value: teeth }], cost: 1 }];
}
