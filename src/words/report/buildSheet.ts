import type { PrinterTimes } from '@/core/worked/print/printerTimes';
import { checkSentence } from '../checkWords';
import { checkTitle } from '../checks/names';
import { describeChanges, type DescribedChange } from '@/words/labels/describe';
import { type BuildDocument, emptyDocument } from '@/core/car/document/document';
import type { Check } from '@/core/verdict/engine/check';
import type { RevisionRecord, WholeBuild } from '@/core/car/records/records';
import { assemblyOrder } from '@/core/worked/print/assembly';
import { restOf } from '@/core/worked/suspension/restOfBuild';
import { rideOf } from '@/core/worked/suspension/rideOfBuild';
import { ENDS } from '@/core/car/document/suspension';
import { say } from '../findings';
import { formatNumber, formatText, type Reader } from '@/core/base/units/formatQuantity';
import { CAUTIONS } from './cautions';
import type { Block, Report } from './definition';
import { apartPicture, stepsPicture } from './carPictures';
import { planPicture } from './pictures';
import { bought, printed } from './sheetOfParts';
import { factsOf, gearing, wiring } from './sheetOfDrive';

/** What a paper for the bench is made from. */
export interface BuildSheetInput extends Pick<WholeBuild, 'build'> {
  revision: Pick<RevisionRecord, 'letter' | 'why'>;
  document: BuildDocument;
  checks: readonly Check[];
  /** Of the printer's time. */
  times?: PrinterTimes;
}

/**
 * Everything that is needed to build a revision again: parts with how they are printed, gearing, wiring,
 * suspension, what is bought, the order, cautions.
 */
export function buildSheet(
  { build, revision, document, checks, times = [] }: BuildSheetInput,
  reader: Reader,
): Report {
  const settings = describeChanges(emptyDocument(), document, reader);
  const plan = planPicture(document);
  const apart = apartPicture(document);
  return {
    title: `${build.name} ${revision.letter}: build sheet`,
    subtitle: revision.why ?? 'The first revision.',
    blocks: [
      ...(plan ? [{ kind: 'picture' as const, picture: plan }] : []),
      { kind: 'heading', level: 1, text: 'At a glance' },
      { kind: 'facts', rows: glance(document, checks, reader) },
      ...(apart ? [{ kind: 'picture' as const, picture: apart }] : []),
      ...toHeed(checks, reader),
      ...printed(document, times, reader),
      { kind: 'heading', level: 1, text: 'Gearing and drive' },
      { kind: 'facts', rows: gearing(document, settings, reader) },
      ...wiring(document, settings, reader),
      ...suspension(document, settings, reader),
      ...bought(document, times, reader),
      ...order(document, reader),
      { kind: 'heading', level: 1, text: 'Before it moves' },
      ...[CAUTIONS.pack, CAUTIONS.bench, CAUTIONS.spin, CAUTIONS.field, CAUTIONS.make, CAUTIONS.rules].map(
        (text): Block => ({ kind: 'caution', text }),
      ),
    ],
  };
}

/** Figures that are looked for first, where they are known. */
function glance(
  document: BuildDocument,
  checks: readonly Check[],
  reader: Reader,
): (readonly [string, string])[] {
  const { chassis, brief } = document;
  const length = (label: string, value: number | undefined) =>
    value === undefined ? [] : [[label, formatText(value, 'lengthMm', reader)] as const];
  const known = ['drive.speed', 'brief.charge', 'drive.heat'].flatMap((id) => {
    const check = checks.find((one) => one.id === id);
    return check?.value === undefined
      ? []
      : [
          [
            `${checkTitle(check)}, predicted`,
            `${formatText(check.value, check.quantity, reader)}${check.surface ? `, ${check.surface.toLowerCase()}` : ''}`,
          ] as const,
        ];
  });
  return [
    ...(brief.targetMps === undefined
      ? []
      : [
          [
            'Wished',
            `${formatText(brief.targetMps, 'speedMps', reader)} on ${brief.surfaces.map(({ name }) => name.toLowerCase()).join(', ') || 'no surface named'}`,
          ] as const,
        ]),
    ...known,
    ...(chassis.massG === undefined
      ? []
      : [['Ready to run', formatText(chassis.massG, 'massG', reader)] as const]),
    ...length('Wheelbase', chassis.wheelbaseMm),
    ...length('Front track', chassis.trackFrontMm),
    ...length('Rear track', chassis.trackRearMm),
  ];
}

/** What is not clear when it is built. */
function toHeed(checks: readonly Check[], reader: Reader): Block[] {
  const bad = checks.filter(
    ({ state, segment }) =>
      (state === 'over' || state === 'tight') && segment !== 'field' && segment !== 'learn',
  );
  return bad.length === 0
    ? []
    : [
        { kind: 'heading', level: 1, text: 'Heed while building' },
        { kind: 'list', items: bad.map((check) => checkSentence(check, reader)) },
      ];
}

function suspension(document: BuildDocument, settings: readonly DescribedChange[], reader: Reader): Block[] {
  const set = factsOf(
    settings,
    ({ path }) =>
      path[0] === 'suspension' && path[1] !== 'bench' && path[2] !== 'points' && path[2] !== 'play',
  );
  if (set.length === 0) return [];
  const degrees = (value: number | undefined) =>
    value === undefined ? 'not known' : formatText(value, 'angleDeg', reader, 2);
  const rows = ENDS.flatMap((end) => {
    const ride = rideOf(document, end);
    const station = restOf(document, end)?.station;
    return station
      ? [
          [
            end,
            degrees(station.camberDeg),
            degrees(station.toeDeg),
            degrees(station.casterDeg),
            station.motionRatio === undefined ? '' : formatNumber(station.motionRatio, reader.locale, 3),
            ride.ok ? formatText(ride.value.ride.sagMm, 'lengthMm', reader, 2) : '',
          ],
        ]
      : [];
  });
  return [
    { kind: 'heading', level: 1, text: 'Suspension' },
    ...(rows.length === 0
      ? []
      : [
          {
            kind: 'table' as const,
            head: ['At rest', 'Camber', 'Toe', 'Caster', 'Motion ratio', 'Sag'],
            rows,
            numbers: [1, 2, 3, 4, 5],
          },
        ]),
    { kind: 'facts', rows: set },
  ];
}

function order(document: BuildDocument, reader: Reader): Block[] {
  const steps = assemblyOrder(document);
  const pictured = stepsPicture(document);
  return steps.length === 0
    ? []
    : [
        { kind: 'heading', level: 1, text: 'Order of building' },
        {
          kind: 'list',
          items: steps.map(
            ({ says, count }, k) => `${k + 1}. ${say(says, reader)}${count > 1 ? ` (${count} times)` : ''}`,
          ),
        },
        ...(pictured ? [{ kind: 'picture' as const, picture: pictured }] : []),
      ];
}
