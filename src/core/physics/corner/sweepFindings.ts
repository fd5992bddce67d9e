import { plain } from '../../base/units/plain';
import type { Corner } from './corner';
import type { Station } from './station';
import type { OperationFinding } from '../../base/operationFinding';

/** What was found, with where in the travel. */
export interface SweepFinding extends OperationFinding {
  travelMm?: number;
  rackMm?: number;
}

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
          why: `The tyre stands ${plain(Math.abs(off))} mm ${off > 0 ? 'over' : 'in'} the ground at rest.`,
          remedy: `Put the wheel centre ${plain(height)} mm over the ground.`,
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
                    why: `The joint ${joint} turns ${plain(past.articulationDeg[joint]!)}° at ${plain(past.travelMm)} mm of travel; it goes to ${plain(jointLimitDeg)}°.`,
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
            why: `The damper is shorter than its closed ${plain(closed!)} mm at ${plain(bottomed.travelMm)} mm of travel.`,
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
  why: `The linkage locks at ${plain(at.travelMm)} mm of travel${at.rackMm === 0 ? '' : ` and ${plain(at.rackMm)} mm of rack`}, before it reaches ${plain(travelMm)} mm${rackMm === 0 ? '' : ` at ${plain(rackMm)} mm of rack`}.`,
  travelMm: at.travelMm,
  rackMm: at.rackMm,
});
