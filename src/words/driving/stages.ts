import type { Stage } from '@/core/car/stages/stage';
import type { Cones } from '@/core/physics/bevels/bevelGeometry';
import type { PlanetaryResult } from '@/core/physics/planetary/definition';
import type { BeltResult } from '@/core/physics/transmissions/beltDefinition';
import type { ChainResult } from '@/core/physics/transmissions/chain';
import { formatNumber, formatText, type Reader } from '@/core/base/units/formatQuantity';
import type { QuantityName } from '@/core/base/units/quantities';
import type { StageSeen } from '@/core/worked/transmissions/stageSeen';
import { planetTeethOf } from '@/core/worked/drive/stageTeeth';
import { counted, firstUp } from '../lists';
import { gearName } from '../terms';

/** A figure of a stage, what it is held against, and what would help. */
export interface StageFigureLine {
  name: string;
  value: string;
  against?: string;
  tone?: 'over' | 'tight';
}

const inUnits =
  (reader: Reader) =>
  (value: number, quantity: QuantityName, digits = 3) =>
    formatText(value, quantity, reader, digits);

/** What a stage does, in a sentence. */
export function stageAnswer(stage: Stage, seen: StageSeen, reader: Reader): string {
  const q = inUnits(reader);
  const teeth = `${stage.pinionTeeth} and ${stage.wheelTeeth} teeth`;
  switch (seen.by) {
    case 'bevel':
      if (stage.kind === 'differential')
        return `Planets of ${stage.pinionTeeth} and side gears of ${stage.wheelTeeth} teeth, cones of ${q(seen.cones.pinion.coneAngleDeg, 'angleDeg')} and ${q(seen.cones.wheel.coneAngleDeg, 'angleDeg')}.`;
      return `${teeth} on cones of ${q(seen.cones.pinion.coneAngleDeg, 'angleDeg')} and ${q(seen.cones.wheel.coneAngleDeg, 'angleDeg')} that meet in one point, ${q(seen.cones.coneDistanceMm, 'lengthMm')} from the large end.`;
    case 'planetary':
      return `${counted(stage.planets!, 'planet', 'planets')} of ${planetTeethOf(stage)} teeth ${seen.set.assembles && seen.set.planetsClear ? 'go in' : 'do not go in'} between sun ${stage.pinionTeeth} and ring ${stage.wheelTeeth}: ${formatNumber(seen.set.ratio, reader.locale, 3)} : 1.`;
    case 'belt':
      return `A belt of ${seen.belt.beltTeeth} teeth puts the shafts ${q(seen.belt.centreDistanceMm, 'lengthMm', 4)} apart${seen.belt.fitsSlot === undefined ? '' : seen.belt.fitsSlot ? ', inside the slot' : ', outside the slot'}.`;
    case 'chain':
      return `A chain of ${seen.chain.links} links puts the shafts ${q(seen.chain.centreDistanceMm, 'lengthMm', 4)} apart.`;
    case 'internal':
      return `${teeth}, the pinion inside the ring, shafts ${q(seen.centreMm, 'lengthMm', 4)} apart.`;
    default:
      return teeth;
  }
}

/** Figures of a stage that is no spur pair, with their limits. */
export function stageLines(stage: Stage, seen: StageSeen, reader: Reader): StageFigureLine[] {
  switch (seen.by) {
    case 'bevel':
      return bevelLines(stage, seen.cones, reader);
    case 'planetary':
      return setLines(stage, seen.set, reader);
    case 'belt':
      return beltLines(seen.belt, reader);
    case 'chain':
      return chainLines(seen.chain, reader);
    default:
      return [];
  }
}

function bevelLines(stage: Stage, cones: Cones, reader: Reader): StageFigureLine[] {
  const q = inUnits(reader);
  const wide = stage.faceWidthMm! > cones.faceWidthLimitMm * (1 + 1e-9);
  const cut = (['pinion', 'wheel'] as const).filter((gear) => cones[gear].undercut);
  return [
    {
      name: 'Face',
      value: q(stage.faceWidthMm!, 'lengthMm'),
      against: `${q(cones.faceWidthLimitMm, 'lengthMm')} at most: beyond, the narrow end bends away`,
      ...(wide ? { tone: 'tight' as const } : {}),
    },
    {
      name: 'Pairs in touch',
      value: formatNumber(cones.contactRatio, reader.locale, 3),
      against: 'needs 1.1',
      ...(cones.contactRatio < 1.1 ? { tone: 'over' as const } : {}),
    },
    ...(['pinion', 'wheel'] as const).map((gear) => ({
      name: `${firstUp(gearName(stage.kind, gear))}, over the tips`,
      value: q(cones[gear].tipDiameterMm, 'lengthMm', 4),
      against: `its tips stand ${q(cones[gear].crownToApexMm, 'lengthMm', 4)} from the point of the cones`,
    })),
    ...cut.map((gear) => ({
      name: `${firstUp(gearName(stage.kind, gear))} undercut`,
      value: formatNumber(stage[gear === 'pinion' ? 'pinionTeeth' : 'wheelTeeth']!, reader.locale, 3),
      against: `${cones[gear].minTeethNoUndercut} teeth would be whole, or shift the pinion out`,
      tone: 'tight' as const,
    })),
  ];
}

function setLines(stage: Stage, set: PlanetaryResult, reader: Reader): StageFigureLine[] {
  const q = inUnits(reader);
  const n = (value: number) => formatNumber(value, reader.locale, 3);
  return [
    {
      name: 'Places',
      value: n(stage.pinionTeeth! + stage.wheelTeeth!),
      against: `evenly for ${counted(stage.planets!, 'planet', 'planets')} where they divide by it`,
      ...(set.assembles ? {} : { tone: 'over' as const }),
    },
    ...(set.planetGapMm === undefined
      ? []
      : [
          {
            name: 'From tip to tip of two planets',
            value: q(set.planetGapMm, 'lengthMm'),
            against: 'over nothing',
            ...(set.planetsClear ? {} : { tone: 'over' as const }),
          },
        ]),
    {
      name: 'Sun’s shaft to a planet’s pin',
      value: q(set.centreDistanceMm, 'lengthMm', 4),
    },
    {
      name: 'Height of the ring’s teeth',
      value: `${n(stage.ringAddendum ?? 1)} modules`,
      against: `${n(set.ringAddendumLimit)} at most`,
      ...(set.involuteInterference ? { tone: 'over' as const } : {}),
    },
    {
      name: 'Pairs in touch',
      value: `${n(set.contactRatios.sun)} at the sun, ${n(set.contactRatios.ring)} at the ring`,
    },
    {
      name: 'What the teeth let through',
      value: q(set.efficiency, 'share'),
      against: 'at 95 % a mesh with the sun and 96 % one with the ring, of the power that rolls',
    },
  ];
}

function beltLines(belt: BeltResult, reader: Reader): StageFigureLine[] {
  const q = inUnits(reader);
  return [
    { name: 'Length of the belt', value: q(belt.beltLengthMm, 'lengthMm', 4) },
    {
      name: 'Teeth in mesh',
      value: formatNumber(belt.teethInMesh, reader.locale, 2),
      against: 'all that it can from 6 on',
      ...(belt.teethInMesh < 6 ? { tone: 'tight' as const } : {}),
    },
    {
      name: 'Round the small pulley',
      value: q(belt.wrapSmallDeg, 'angleDeg'),
      against: `a tooth more or less moves the shafts ${q(belt.travelPerToothMm, 'lengthMm')}`,
    },
    { name: 'Free span', value: q(belt.spanMm, 'lengthMm') },
    ...(belt.choices && belt.choices.length > 0
      ? [
          {
            name: 'Belts for the slot',
            value:
              belt.choices.length === 1
                ? `${belt.choices[0]!.beltTeeth} teeth`
                : `${belt.choices[0]!.beltTeeth} to ${belt.choices.at(-1)!.beltTeeth} teeth`,
          },
        ]
      : []),
    ...(belt.spanFrequencyHz === undefined
      ? []
      : [
          {
            name: 'A plucked span sounds at',
            value: q(belt.spanFrequencyHz, 'frequencyHz'),
            against: `with ${q(belt.pretensionN!, 'forceN')} in it, the wheels still`,
          },
          { name: 'Pulls the shafts together', value: q(belt.shaftLoadRestN!, 'forceN'), against: 'at rest' },
        ]),
  ];
}

function chainLines(chain: ChainResult, reader: Reader): StageFigureLine[] {
  const q = inUnits(reader);
  const [small, large] = chain.speedVariationPct;
  return [
    {
      name: 'Runs unevenly by',
      value: `${formatNumber(small, reader.locale, 2)} % on the small sprocket, ${formatNumber(large, reader.locale, 2)} % on the large`,
      against: 'under 2 % from 17 teeth on',
      ...(small > 4 ? { tone: 'tight' as const } : {}),
    },
    {
      name: 'Pitch circles',
      value: chain.pitchDiametersMm.map((mm) => q(mm, 'lengthMm', 4)).join(' and '),
    },
  ];
}
