import { JOINT_PLACES } from '../checks/chassis';
import { SCREW_TERMS } from '../terms';
import type { WorkingStep } from '../workingStep';
import type { Workings } from '../write';

const GILLESPIE = 'Gillespie, Fundamentals of Vehicle Dynamics';
const MILLIKEN = 'Milliken, Race Car Vehicle Dynamics';
const SHIGLEY = 'Shigley, Mechanical Engineering Design';

export const CHASSIS_WORKINGS: Workings<'chassis'> = {
  'chassis.tip': ({ offMm, heightMm, factor, slidesAtMm }, { q }) => [
    {
      label: 'Stability factor',
      formula: `(half the track − ${q(offMm, 'lengthMm')}) / ${q(heightMm, 'lengthMm')}`,
      value: factor,
      quantity: 'coefficient',
      source: `${GILLESPIE}, ch. 9`,
    },
    {
      label: 'Slides rather than rolls under',
      formula: 'half the track over the friction',
      value: slidesAtMm,
      quantity: 'lengthMm',
    },
  ],
  'chassis.lift': ({ frontLifts, drive, rearLifts, brake }) => [
    {
      label: 'Front lifts at',
      formula: 'g · distance ahead of the rear axle / height',
      value: frontLifts,
      quantity: 'accelMps2',
    },
    {
      label: 'The drive reaches',
      formula: 'the lower of motor and grip on the driven wheels, with the weight that moves back',
      value: drive,
      quantity: 'accelMps2',
      source: `${GILLESPIE}, ch. 2`,
    },
    {
      label: 'Rear lifts at',
      formula: 'g · distance behind the front axle / height',
      value: rearLifts,
      quantity: 'accelMps2',
    },
    {
      label: 'Braking reaches',
      formula: 'friction on the driven wheels, with the weight that moves forward',
      value: brake,
      quantity: 'accelMps2',
      source: `${GILLESPIE}, ch. 3`,
    },
  ],
  'chassis.side': ({ leftShare }) => [
    {
      label: 'Left share',
      formula: '(half the track + y of the centre of gravity) / track',
      value: leftShare,
      quantity: 'share',
    },
  ],
};

export const BRIEF_WORKINGS: Workings<'brief'> = {
  'brief.mass': ({ carG, payloadG }, { q }) => [
    {
      label: 'Mass with payload',
      formula: `${q(carG, 'massG', 4)} + ${q(payloadG, 'massG', 4)}`,
      value: carG + payloadG,
      quantity: 'massG',
    },
  ],
  'brief.charge.meanPower': (
    { capacityMah, cells, cellV, usableShare, energyWh, meanW, auxiliaryA, powerW, minutes },
    { q },
  ) => [
    {
      label: 'Energy that is driven',
      formula: `${q(usableShare, 'share')} · ${q(capacityMah, 'capacityMah')} · ${cells} · ${q(cellV, 'voltageV')}`,
      value: energyWh,
      quantity: 'energyWh',
    },
    {
      label: 'Mean power',
      formula: `resistance · speed / (driveline · motor efficiency) at the mean speed: ${q(meanW, 'powerW')}; and ${q(auxiliaryA, 'currentA')} beside`,
      value: powerW,
      quantity: 'powerW',
      source: `${GILLESPIE}, ch. 2`,
    },
    {
      label: 'Minutes',
      formula: `60 · ${q(energyWh, 'energyWh')} / ${q(powerW, 'powerW')}`,
      value: minutes,
      quantity: 'minutes',
    },
  ],
};

export const SUSPENSION_WORKINGS: Workings<'suspension'> = {
  'suspension.bump': ({ degPerMm }, { q }) => [
    {
      label: 'Bump steer',
      formula: `toe at ${q(0.05, 'lengthMm')} up less ${q(0.05, 'lengthMm')} down, over the travel between`,
      value: degPerMm,
      quantity: 'degPerMm',
      source: `${MILLIKEN}, ch. 17`,
    },
  ],
  'suspension.lock': ({ bumpMm, droopMm, sought, reached, joint }, { q }) => [
    {
      label: 'Travel reached',
      formula: `of ${q(bumpMm, 'lengthMm')} up and ${q(droopMm, 'lengthMm')} down, looked for up to ${q(sought, 'share')}`,
      value: reached,
      quantity: 'share',
      source: `${MILLIKEN}, ch. 17`,
    },
    ...(joint
      ? [
          {
            label: `Joint ${JOINT_PLACES[joint.name]}`,
            formula: `limit over ${q(joint.deg, 'angleDeg')} at the worst place`,
            value: joint.share,
            quantity: 'share' as const,
          },
        ]
      : []),
  ],
  'suspension.damping': ({ damperNsPerM, motionRatio, ratio }, { q, n }) => [
    {
      label: 'Damping ratio',
      formula: `${q(damperNsPerM, 'damperNsPerM')} · ${n(motionRatio)}² / (2·√(rate at the wheel · m))`,
      value: ratio,
      quantity: 'coefficient',
      source: `${MILLIKEN}, ch. 22`,
    },
  ],
  'suspension.landing': (facts, { q }) => [
    {
      label: 'Speed at touch-down',
      formula: '√(2·g·drop)',
      value: facts.impactMps,
      quantity: 'speedMps',
    },
    {
      label: 'Travel used from the wished drop',
      formula: `${q(facts.massOverWheelG, 'massG')} over a wheel on ${q(facts.springRateNPerMm, 'rateNPerMm')}, ${q(facts.damperNsPerM, 'damperNsPerM')} and a tyre of ${q(facts.tyreNPerMm, 'rateNPerMm')}; ${q(facts.travelMm, 'lengthMm')} there`,
      value: facts.travelUsedMm,
      quantity: 'lengthMm',
      source: 'Gillespie, Fundamentals of Vehicle Dynamics, ch. 5 (quarter car)',
    },
    {
      label: 'Peak on the tyre',
      formula: 'of the wheel at this end',
      value: facts.peakTyreN,
      quantity: 'forceN',
    },
    {
      label: 'Drop that just uses up the travel',
      formula: 'sought along the speed at touch-down',
      value: facts.maxDropM,
      quantity: 'distanceM',
    },
  ],
  'suspension.sag': (facts, { q, n }) => [
    {
      label: 'Rate at the wheel',
      formula: `${q(facts.springRateNPerMm, 'rateNPerMm')} · ${n(facts.motionRatio)}²`,
      value: facts.wheelRateNPerMm,
      quantity: 'rateNPerMm',
      source: `${MILLIKEN}, ch. 16`,
    },
    {
      label: 'Sag',
      formula: `(${q(facts.cornerG, 'massG')} · g − preload) / rate at the wheel`,
      value: facts.sagMm,
      quantity: 'lengthMm',
    },
    {
      label: 'Ride frequency',
      formula: '√(rate at the wheel / sprung mass) / 2π',
      value: facts.rideHz,
      quantity: 'frequencyHz',
    },
  ],
};

export const FIT_WORKINGS: Workings<'fit'> = {
  'fit.play': ({ bearingRimMm, toeDeg, toeRimMm, camberDeg, camberRimMm }, { q }) => [
    {
      label: 'Bearings',
      formula: '2 · radius · (inboard + outboard play) / (2 · spacing)',
      value: bearingRimMm,
      quantity: 'lengthMm',
      source: 'by geometry',
    },
    {
      label: 'With the tie rod’s ends',
      formula: `2 · radius · tan ${q(toeDeg, 'angleDeg')} more`,
      value: toeRimMm,
      quantity: 'lengthMm',
    },
    {
      label: 'With the upper joint',
      formula: `2 · radius · tan ${q(camberDeg, 'angleDeg')} more`,
      value: camberRimMm,
      quantity: 'lengthMm',
    },
  ],
};

export const AID_WORKINGS: Workings<'aids'> = {
  'aids.yaw': ({ speedMps, lagS, least, critical }, { q }) => [
    ...(least === undefined
      ? []
      : [
          {
            label: 'Least gain',
            formula: 'where the loop stops drifting off by itself',
            value: least,
            quantity: 'coefficient' as const,
            source: 'Gillespie, ch. 6: over the critical speed of an oversteering car',
          },
        ]),
    {
      label: 'Critical gain',
      formula: `sampled loop at ${q(speedMps, 'speedMps')} with a lag of ${q(1000 * lagS, 'millis')}`,
      ...(critical === undefined ? {} : { value: critical, quantity: 'coefficient' as const }),
      source: 'Åström and Wittenmark, Computer-Controlled Systems, ch. 3',
    },
  ],
  'aids.traction': ({ speedMps, frameMs, magnets, radiusMm, edges }, { q }) => [
    {
      label: 'Edges per frame',
      formula: `${q(speedMps, 'speedMps')} · ${q(frameMs, 'millis')} · ${magnets} / (2π · ${q(radiusMm, 'lengthMm')})`,
      value: edges,
      quantity: 'coefficient',
      source: 'by geometry',
    },
  ],
};

const ENDS_HELD = { simple: 'resting at both ends', fixed: 'held at both ends' } as const;

export const PART_WORKINGS: Workings<'parts'> = {
  'parts.part': (facts, { q, n }) => {
    const own = ((): WorkingStep[] => {
      switch (facts.as) {
        case 'beam':
          return [
            {
              label: 'Moment',
              formula:
                facts.support === 'cantilever'
                  ? `${q(facts.forceN, 'forceN')} · ${q(facts.lengthMm, 'lengthMm')}`
                  : `${q(facts.forceN, 'forceN')} over ${q(facts.lengthMm, 'lengthMm')}, ${ENDS_HELD[facts.support]}`,
              value: facts.momentNm,
              quantity: 'torqueNm',
            },
            {
              label: facts.bending ? 'Bending stress' : 'Shear stress',
              formula: facts.bending ? 'moment over the section modulus' : '1.5 · force over area',
              value: facts.stressMpa,
              quantity: 'stressMpa',
              source: `${SHIGLEY}, ch. 3`,
            },
            ...(facts.root
              ? [
                  {
                    label: 'Raised at its root',
                    formula: `out of a body of ${q(facts.root.rootMm, 'lengthMm')} with a fillet of ${q(facts.root.filletMm, 'lengthMm')}`,
                    value: facts.root.raised,
                    quantity: 'coefficient' as const,
                    source: 'Peterson’s Stress Concentration Factors, ch. 3',
                  },
                ]
              : []),
            {
              label: 'Allowed',
              formula: `${facts.layers ? `layers ${facts.layers} it, ` : ''}${facts.kept === 1 ? 'solid' : `walls and infill keep ${q(facts.kept, 'share')} of a solid section`}${facts.warmShare === undefined ? '' : `, ${q(facts.warmShare, 'share')} left of it in the warmth`}`,
              value: facts.allowableMpa,
              quantity: 'stressMpa',
              source: 'Hankinson',
            },
          ];
        case 'column':
          return [
            {
              label: 'Buckles at',
              formula: `${q(facts.lengthMm, 'lengthMm')} between ${facts.ends} ends, ${facts.formula}`,
              value: facts.bucklingN,
              quantity: 'forceN',
              source: `${SHIGLEY}, ch. 4`,
            },
          ];
        case 'boss':
          return [
            {
              label: 'On each screw',
              formula: `${q(facts.forceN, 'forceN')} over ${facts.screws}`,
              value: facts.forceN / facts.screws,
              quantity: 'forceN',
            },
            {
              label: 'Pulls out at',
              formula: `M${n(facts.screwMm)}, ${q(facts.engagementMm, 'fitMm')} deep, ${SCREW_TERMS[facts.screwKind]}`,
              value: facts.pullOutN,
              quantity: 'forceN',
              source: `${SHIGLEY}, ch. 8; ISO 4032, ISO 7089`,
            },
          ];
        case 'solid':
          return [
            {
              label: 'Solid analysis',
              formula: `${facts.voxels} voxels of ${q(facts.voxelMm, 'lengthMm')}, weakest at ${facts.atMm.map((one) => q(one, 'lengthMm')).join(', ')}`,
              value: facts.margin,
              quantity: 'coefficient',
              source: 'Zienkiewicz and Taylor, The Finite Element Method',
            },
          ];
      }
    })();
    const { corners } = facts;
    return corners
      ? [
          ...own,
          {
            label: 'Corners and holes',
            formula: `margin of the last solid analysis ${n(corners.solidMargin)} over the beam’s ${n(corners.beamMargin)}`,
            value: corners.share,
            quantity: 'coefficient',
          },
        ]
      : own;
  },
};

export const PRINT_WORKINGS: Workings<'print' | 'working'> = {
  'print.bed': (printers, { q }) =>
    printers.map(({ name, bedWidthMm, bedDepthMm, bedHeightMm }) => ({
      label: name,
      formula: `bed ${q(bedWidthMm, 'lengthMm')} × ${q(bedDepthMm, 'lengthMm')}, ${q(bedHeightMm, 'lengthMm')} high`,
      source: 'Packing by maximal rectangles, Jylänki 2010',
    })),
  'working.list': ({ lines }, { q }) =>
    lines.map(({ name, count, each, value }) => ({
      label: name,
      formula: each && count !== undefined ? `${count} × ${q(each.value, each.quantity, 4)}` : '',
      value: value.value,
      quantity: value.quantity,
    })),
};
