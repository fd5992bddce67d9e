import { JOINT_PLACES } from '../checks/chassis';
import type { Workings } from '../write';
import { MILLIKEN } from './car';

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
