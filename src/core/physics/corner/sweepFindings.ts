import type { Corner } from './corner';
import type { Station } from './station';
import type { OperationFinding } from '../../base/operationFinding';
import { finding } from '../../base/finding';
import { type Measure, measure } from '../../base/measure';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.linkage.offGround': { off: Measure; over: boolean };
    'note.linkage.centreHeight': { height: Measure };
    'note.linkage.joint': { joint: string; turns: Measure; travel: Measure; limit: Measure };
    'note.linkage.damperClosed': { closed: Measure; travel: Measure };
    'note.linkage.locks': { at: LinkagePlace; reached: LinkagePlace };
  }
}

/** What was found, with where in the travel. */
export interface SweepFinding extends OperationFinding {
  travelMm?: number;
  rackMm?: number;
}

/** Where a linkage stands: its travel, and the rack where it is not in the middle. */
export interface LinkagePlace {
  travel: Measure;
  rack?: Measure;
}

const placeOf = (travelMm: number, rackMm: number): LinkagePlace => ({
  travel: measure(travelMm, 'lengthMm'),
  ...(rackMm === 0 ? {} : { rack: measure(rackMm, 'lengthMm') }),
});

export const GROUND_OFF_MM = 0.5;

export function groundFindings({ wheelCentre, tyreRadiusMm, staticCamberDeg }: Corner): SweepFinding[] {
  const height = tyreRadiusMm * Math.cos((staticCamberDeg * Math.PI) / 180);
  const off = wheelCentre[2] - height;
  return Math.abs(off) <= GROUND_OFF_MM
    ? []
    : [
        {
          severity: 'tight',
          about: 'wheelCentre',
          why: finding('note.linkage.offGround', { off: measure(Math.abs(off), 'lengthMm'), over: off > 0 }),
          remedy: finding('note.linkage.centreHeight', { height: measure(height, 'lengthMm') }),
        },
      ];
}

export function limitFindings(
  { jointLimitDeg, damper, rocker }: Corner,
  stations: readonly Station[],
): SweepFinding[] {
  const closed = damper?.closedLengthMm ?? rocker?.closedLengthMm;
  const bottomed =
    closed === undefined
      ? undefined
      : stations.find(({ damperLengthMm = Infinity }) => damperLengthMm < closed);
  const joints =
    jointLimitDeg === undefined
      ? []
      : (['lower', 'upper', 'upperInner', 'tieInner', 'tieOuter'] as const).flatMap(
          (joint): SweepFinding[] => {
            const past = stations
              .filter(({ articulationDeg }) => (articulationDeg[joint] ?? 0) > jointLimitDeg)
              .sort((a, b) => Math.abs(a.travelMm) - Math.abs(b.travelMm))[0];
            return past
              ? [
                  {
                    severity: 'over',
                    about: joint,
                    why: finding('note.linkage.joint', {
                      joint,
                      turns: measure(past.articulationDeg[joint]!, 'angleDeg'),
                      travel: measure(past.travelMm, 'lengthMm'),
                      limit: measure(jointLimitDeg, 'angleDeg'),
                    }),
                    travelMm: past.travelMm,
                    rackMm: past.rackMm,
                  },
                ]
              : [];
          },
        );
  return [
    ...(bottomed
      ? [
          {
            severity: 'over' as const,
            about: damper ? 'damper' : 'rocker',
            why: finding('note.linkage.damperClosed', {
              closed: measure(closed!, 'lengthMm'),
              travel: measure(bottomed.travelMm, 'lengthMm'),
            }),
            travelMm: bottomed.travelMm,
            rackMm: bottomed.rackMm,
          },
        ]
      : []),
    ...joints,
  ];
}
export const locked = (
  travelMm: number,
  rackMm: number,
  at: { travelMm: number; rackMm: number },
): SweepFinding => ({
  severity: 'over',
  about: 'travelMm',
  why: finding('note.linkage.locks', {
    at: placeOf(at.travelMm, at.rackMm),
    reached: placeOf(travelMm, rackMm),
  }),
  travelMm: at.travelMm,
  rackMm: at.rackMm,
});
