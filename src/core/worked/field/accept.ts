import type { BuildDocument } from '../../car/document/document';
import type { Patch } from '../../base/patch';
import { shaftEfficiencyOf } from '../../car/document/drive';
import type { CalibrateResult } from './calibrate';

const rounded = (value: number) => Number(value.toPrecision(3));
const LEAST_SPREAD = 0.001;

/** The edits by which a build takes over what its runs say: figures, and what is still unknown of them. */
export function acceptCalibration(
  document: BuildDocument,
  surfaceIds: readonly string[],
  { figures, runs }: CalibrateResult,
  letter: string,
  at: string,
): Patch {
  const of = (knob: string) => figures.find((figure) => figure.knob === knob);
  const [grip, rolling, drag, efficiency] = ['grip', 'rolling', 'drag', 'efficiency'].map(of);
  const { brief, chassis, drive } = document;
  const spread = (figure: (typeof figures)[number]) =>
    Math.max(LEAST_SPREAD, Math.min(1, rounded(figure.error / figure.factor)));
  const surfaces = brief.surfaces
    .filter(({ id }) => surfaceIds.includes(id))
    .flatMap(({ id, mu, rollingResistance }): Patch => [
      ...(grip
        ? [
            { path: ['brief', 'surfaces', id, 'mu'], value: rounded(mu * grip.factor) },
            { path: ['brief', 'surfaces', id, 'muError'], value: rounded(mu * grip.error) },
          ]
        : []),
      ...(rolling
        ? [
            {
              path: ['brief', 'surfaces', id, 'rollingResistance'],
              value: rounded(rollingResistance * rolling.factor),
            },
            {
              path: ['brief', 'surfaces', id, 'rollingResistanceError'],
              value: rounded(rollingResistance * rolling.error),
            },
          ]
        : []),
    ]);
  const before = brief.calibration;
  const dragSpread = drag ? spread(drag) : before?.dragSpread;
  const efficiencySpread = efficiency ? spread(efficiency) : before?.efficiencySpread;
  return [
    ...surfaces,
    ...(drag && chassis.cdaM2 !== undefined
      ? [{ path: ['chassis', 'cdaM2'], value: rounded(chassis.cdaM2 * drag.factor) }]
      : []),
    ...(efficiency
      ? [
          {
            path: ['drive', 'shaftEfficiency'],
            value: Math.min(1, rounded(shaftEfficiencyOf(drive) * efficiency.factor)),
          },
        ]
      : []),
    {
      path: ['brief', 'calibration'],
      value: {
        letter,
        runs: runs.length,
        at,
        ...(dragSpread === undefined ? {} : { dragSpread }),
        ...(efficiencySpread === undefined ? {} : { efficiencySpread }),
      },
    },
  ];
}
