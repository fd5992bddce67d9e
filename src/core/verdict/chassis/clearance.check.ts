import { finding } from '../../base/finding';
import { measure, type Measure } from '../../base/measure';
import type { BuildDocument } from '../../car/document/document';
import type { Found, Proposal } from '../engine/check';
import { defineCheck } from '../engine/check';
import { clearanceOf, freeTravelMm, type NearThings } from '../../worked/space/clearanceOfBuild';
import { saidThing, type SaidThing } from '../../worked/space/said';
import type { LinkThing } from '../../worked/space/thingsOfCar';
import { USUAL_ACROSS } from '../../worked/space/thingsOfCar';
import { clearanceFace } from './clearance.face';

declare module '../../base/finding' {
  interface FindingFacts {
    'fit.meets': {
      a: SaidThing;
      b: SaidThing;
      deep: Measure;
      at?: Measure;
      steered: boolean;
      freeTo?: Measure;
    };
    'fit.near': {
      a: SaidThing;
      b: SaidThing;
      apart: Measure;
      wanted: Measure;
      at?: Measure;
      steered: boolean;
      freeTo?: Measure;
    };
    'fit.free': { things: number };
    'fit.ground': { clearance: Measure; wish: Measure };
    'fit.step': { step: Measure; wish: Measure };
  }
}

/** What is apart by more than it wants by so much counts as free. */
const MOST_MARGIN = 9.99;
const marginOf = ({ signedMm, wantedMm, contact }: NearThings): number =>
  contact ? 0 : wantedMm > 0 ? signedMm / wantedMm : MOST_MARGIN;

/** The two things that are the nearest for what they want. */
export const worstPair = (document: BuildDocument): NearThings | undefined => {
  const found = clearanceOf(document);
  return found.ok
    ? found.value.near
        .filter(({ counts }) => counts)
        .reduce<NearThings | undefined>(
          (worst, one) => (worst && marginOf(worst) <= marginOf(one) ? worst : one),
          undefined,
        )
    : undefined;
};

type Judged = Exclude<Found, { missing: readonly string[] }> & { margin: number };

function pairFound(document: BuildDocument, near: NearThings): Judged {
  const { a, b, pose, signedMm, wantedMm, contact, moves } = near;
  const end = (a.of ?? b.of)?.end;
  const travel = end ? pose.travelMm[end] : 0;
  const freeTo = moves && travel !== 0 && signedMm < wantedMm ? freeTravelMm(document, near) : undefined;
  const where = {
    a: saidThing(a),
    b: saidThing(b),
    steered: moves && pose.rackMm !== 0,
    ...(moves && end ? { at: measure(travel, 'lengthMm', 2) } : {}),
    ...(freeTo === undefined ? {} : { freeTo: measure(freeTo, 'lengthMm', 2) }),
  };
  return {
    value: Math.max(0, signedMm),
    limit: wantedMm,
    margin: marginOf(near),
    finding: contact
      ? finding('fit.meets', { ...where, deep: measure(Math.max(0, -signedMm), 'lengthMm', 2) })
      : finding('fit.near', {
          ...where,
          apart: measure(signedMm, 'lengthMm', 2),
          wanted: measure(wantedMm, 'lengthMm', 2),
        }),
  };
}

/** What of the car comes near what, through all of its travel and from lock to lock. */
export const clearance = defineCheck({
  ...clearanceFace,
  applies: ({ suspension }) =>
    suspension.front?.corner !== undefined || suspension.rear?.corner !== undefined,
  find: ({ document }) => {
    const found = clearanceOf(document);
    if (!found.ok) return found;
    const { ground, things } = found.value;
    const { groundMm, stepMm } = document.chassis;
    const pair = worstPair(document);
    const judged: Judged[] = [
      ...(pair ? [pairFound(document, pair)] : []),
      ...(ground && groundMm !== undefined
        ? [
            {
              value: ground.clearanceMm,
              limit: groundMm,
              margin: Math.max(0, ground.clearanceMm) / groundMm,
              finding: finding('fit.ground', {
                clearance: measure(ground.clearanceMm, 'lengthMm'),
                wish: measure(groundMm, 'lengthMm'),
              }),
            },
          ]
        : []),
      ...(ground && stepMm !== undefined
        ? [
            {
              value: ground.highestStepMm,
              limit: stepMm,
              margin: ground.highestStepMm / stepMm,
              finding: finding('fit.step', {
                step: measure(ground.highestStepMm, 'lengthMm', 2),
                wish: measure(stepMm, 'lengthMm'),
              }),
            },
          ]
        : []),
    ];
    const worst = judged.reduce<Judged | undefined>(
      (least, one) => (least && least.margin <= one.margin ? least : one),
      undefined,
    );
    return worst ?? { state: 'clear', finding: finding('fit.free', { things: things.length }) };
  },
  remedies: ({ document }) => {
    const pair = worstPair(document);
    return pair ? remediesOf(document, pair) : [];
  },
});

/** What a thing is across by, in the document. */
const ACROSS: Readonly<Partial<Record<LinkThing, keyof typeof USUAL_ACROSS>>> = {
  lower: 'armMm',
  upper: 'linkMm',
  tie: 'linkMm',
  damper: 'damperMm',
};
const [ENOUGH, LEAST_ACROSS_MM] = [1.25, 3];

function remediesOf(document: BuildDocument, near: NearThings): Proposal[] {
  const shortMm = ENOUGH * near.wantedMm - near.signedMm;
  const thinner = [near.a, near.b].flatMap(({ of }): Proposal[] => {
    const key = of && ACROSS[of.thing];
    if (!of || !key) return [];
    const now = document.suspension[of.end]?.[key] ?? USUAL_ACROSS[key];
    const then = Math.floor(10 * (now - 2 * shortMm)) / 10;
    return then < LEAST_ACROSS_MM
      ? []
      : [{ patch: [{ path: ['suspension', of.end, key], value: then }], cost: 2 }];
  });
  const end = (near.a.of ?? near.b.of)?.end;
  const freeTo = near.moves && end && near.pose.travelMm[end] > 0 ? freeTravelMm(document, near) : undefined;
  const lessTravel: Proposal[] =
    end && freeTo !== undefined && freeTo >= 1
      ? [{ patch: [{ path: ['suspension', end, 'bumpMm'], value: Math.floor(freeTo) }], cost: 1 }]
      : [];
  return [...lessTravel, ...thinner];
}
