import type { PrinterTimes } from '@/core/worked/print/printerTimes';
import { checkSentence } from '../checkWords';
import { checkTitle } from '../checks/names';
import { type DescribedChange, describeChanges } from '@/core/car/labels/describe';
import { type BuildDocument, emptyDocument } from '@/core/car/document/document';
import { overallRatio } from '@/core/car/document/drive';
import { type Check } from '@/core/verdict/engine/check';
import type { RevisionRecord, WholeBuild } from '@/core/car/records/records';
import { assemblyOrder } from '@/core/worked/print/assembly';
import { makeList, totalsOf } from '@/core/worked/print/makeList';
import { estimateOfPart } from '@/core/worked/print/printed';
import { listedAs, quantityOf } from '@/core/worked/print/sources';
import { supplyOf } from '@/core/worked/power/supplyOfBuild';
import { wiringOf } from '@/core/worked/power/wiring';
import { restOf } from '@/core/worked/suspension/restOfBuild';
import { rideOf } from '@/core/worked/suspension/rideOfBuild';
import { ENDS } from '@/core/car/document/suspension';
import { durationText } from '@/core/base/units/duration';
import { formatNumber, formatText, type Reader } from '@/core/base/units/formatQuantity';
import { CAUTIONS } from './cautions';
import type { Block, Report } from './definition';
import { planPicture } from './pictures';

/** What a paper for the bench is made from. */
export interface BuildSheetInput extends Pick<WholeBuild, 'build'> {
  revision: Pick<RevisionRecord, 'letter' | 'why'>;
  document: BuildDocument;
  checks: readonly Check[];
  /** Of the printer's time. */
  times?: PrinterTimes;
}

/** Everything that is needed to build a revision again: parts with how they are printed, gearing, wiring, suspension, what is bought, the order, cautions. */
export function buildSheet(
  { build, revision, document, checks, times = [] }: BuildSheetInput,
  reader: Reader,
): Report {
  const settings = describeChanges(emptyDocument(), document, reader);
  const plan = planPicture(document);
  return {
    title: `${build.name} ${revision.letter}: build sheet`,
    subtitle: revision.why ?? 'The first revision.',
    blocks: [
      ...(plan ? [{ kind: 'picture' as const, picture: plan }] : []),
      { kind: 'heading', level: 1, text: 'At a glance' },
      { kind: 'facts', rows: glance(document, checks, reader) },
      ...toHeed(checks, reader),
      ...printed(document, times, reader),
      { kind: 'heading', level: 1, text: 'Gearing and drive' },
      { kind: 'facts', rows: gearing(document, settings, reader) },
      ...wiring(document, settings, reader),
      ...suspension(document, settings, reader),
      ...bought(document, times, reader),
      ...order(document),
      { kind: 'heading', level: 1, text: 'Before it moves' },
      ...[CAUTIONS.pack, CAUTIONS.bench, CAUTIONS.spin, CAUTIONS.field, CAUTIONS.make, CAUTIONS.rules].map(
        (text): Block => ({ kind: 'caution', text }),
      ),
    ],
  };
}

const factsOf = (settings: readonly DescribedChange[], pick: (change: DescribedChange) => boolean) =>
  settings.filter(pick).map(({ label, after }): readonly [string, string] => [label, after]);

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

function printed(document: BuildDocument, times: PrinterTimes, reader: Reader): Block[] {
  const parts = document.parts.items.filter((part) => listedAs(document, part).source === 'printed');
  if (parts.length === 0) return [];
  const rows = parts.map((part) => {
    const found = estimateOfPart(document, part, 'final', times);
    const { perimeters, infill } = part;
    return [
      part.name,
      formatNumber(quantityOf(document, part), reader.locale),
      part.material?.name ?? 'not said',
      part.layers === undefined ? '' : `${part.layers} the part`,
      [
        perimeters === undefined ? '' : `${perimeters} walls`,
        infill === undefined ? '' : `${formatText(infill, 'share', reader, 3)} infill`,
      ]
        .filter(Boolean)
        .join(', '),
      found.ok ? durationText(found.value.timeS) : '',
      found.ok
        ? formatText(found.value.massG, 'massG', reader, 3)
        : part.massG === undefined
          ? ''
          : formatText(part.massG, 'massG', reader),
    ];
  });
  const printers = (document.print.printers ?? []).map(
    ({ name, bedWidthMm, bedDepthMm, bedHeightMm }) =>
      `${name}: bed ${[bedWidthMm, bedDepthMm, bedHeightMm].map((side) => formatText(side, 'lengthMm', reader)).join(' × ')}`,
  );
  const profile = describeChanges(emptyDocument(), document, reader).filter(
    ({ path }) => path[0] === 'print' && (path[1] === 'final' || path[1] === 'spacingMm'),
  );
  return [
    { kind: 'heading', level: 1, text: 'Printed parts' },
    ...(printers.length > 0
      ? [
          {
            kind: 'text' as const,
            text: `${printers.join('; ')}${profile.length > 0 ? `; ${profile.map(({ label, after }) => `${label.toLowerCase()} ${after}`).join(', ')}` : ''}. Time and mass are of one copy.`,
          },
        ]
      : []),
    {
      kind: 'table',
      head: ['Part', 'Times', 'Material', 'Layers', 'Settings', 'Time', 'Mass'],
      rows,
      numbers: [1, 5, 6],
      widths: [3, 1, 3, 2, 2.4, 1.5, 1.4],
    },
  ];
}

function gearing(
  document: BuildDocument,
  settings: readonly DescribedChange[],
  reader: Reader,
): (readonly [string, string])[] {
  const ratio = overallRatio(document.drive);
  const stages = document.drive.stages.map((stage, index): readonly [string, string] => [
    `Stage ${index + 1}`,
    [
      `${stage.kind} ${stage.pinionTeeth ?? '?'} to ${stage.wheelTeeth ?? '?'}`,
      stage.moduleMm === undefined ? '' : `module ${formatNumber(stage.moduleMm, reader.locale)}`,
      stage.faceWidthMm === undefined ? '' : `face ${formatText(stage.faceWidthMm, 'lengthMm', reader)}`,
      stage.backlashMm === undefined ? '' : `backlash ${formatText(stage.backlashMm, 'lengthMm', reader)}`,
      stage.pinion?.material ? `pinion in ${stage.pinion.material.name.toLowerCase()}` : '',
      stage.wheel?.material ? `wheel in ${stage.wheel.material.name.toLowerCase()}` : '',
    ]
      .filter(Boolean)
      .join(', '),
  ]);
  return [
    ...(ratio === undefined
      ? []
      : [['Motor turns a wheel turn', formatNumber(ratio, reader.locale, 4)] as const]),
    ...stages,
    ...factsOf(
      settings,
      ({ path }) =>
        path[0] === 'drive' && path[1] !== 'stages' && path[2] !== 'readings' && path[2] !== 'calibration',
    ),
  ];
}

function wiring(document: BuildDocument, settings: readonly DescribedChange[], reader: Reader): Block[] {
  const { power } = document;
  const amps = (value: number | undefined) =>
    value === undefined ? '' : formatText(value, 'currentA', reader, 2);
  const rows = wiringOf(document, supplyOf(document, 0), {}).map(
    ({ from, to, typicalA, peakA, wire, wantedMm2, polarity }) => [
      `${from} to ${to}`,
      amps(typicalA),
      amps(peakA),
      wire.areaMm2 === undefined
        ? wantedMm2 === undefined
          ? ''
          : `${wantedMm2} mm² wanted`
        : `${wire.areaMm2} mm²`,
      [wire.plug, wire.socket].filter(Boolean).join(' into '),
      polarity,
    ],
  );
  const facts = factsOf(
    settings,
    ({ path }) => path[0] === 'power' && !['rails', 'loads', 'wires', 'failsafe'].includes(path[1] ?? ''),
  );
  const rails = (power.rails ?? []).map(
    ({ name, from, setV, continuousA, peakA }): readonly [string, string] => [
      name,
      [
        `fed by ${from === 'battery' ? 'the pack' : ((power.rails ?? []).find(({ id }) => id === from)?.name ?? from)}`,
        setV === undefined ? '' : formatText(setV, 'voltageV', reader),
        continuousA === undefined ? '' : `${amps(continuousA)} for long`,
        peakA === undefined ? '' : `${amps(peakA)} at the peak`,
      ]
        .filter(Boolean)
        .join(', '),
    ],
  );
  if (facts.length + rails.length + rows.length === 0) return [];
  return [
    { kind: 'heading', level: 1, text: 'Wiring' },
    { kind: 'facts', rows: [...facts, ...rails] },
    ...(rows.length === 0
      ? []
      : [
          {
            kind: 'table' as const,
            head: ['Wire', 'As a rule', 'Peak', 'Copper', 'Plug', 'Polarity'],
            rows,
            numbers: [1, 2],
            widths: [3, 1.2, 1.2, 1.6, 2.2, 2.4],
          },
        ]),
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

function bought(document: BuildDocument, times: PrinterTimes, reader: Reader): Block[] {
  const lines = makeList(document, times).filter(({ quantity }) => quantity > 0);
  const others = lines.filter(({ source }) => source !== 'printed');
  if (others.length === 0) return [];
  const totals = totalsOf(lines);
  const price = (value: number | undefined) =>
    value === undefined ? '' : formatText(value, 'price', reader);
  const rows = others.map(({ name, source, quantity, price: one }) => [
    name,
    source,
    formatNumber(quantity, reader.locale),
    price(one),
    price(one === undefined ? undefined : one * quantity),
  ]);
  return [
    { kind: 'heading', level: 1, text: 'Bought and found' },
    {
      kind: 'table',
      head: ['Thing', 'From', 'Times', 'Each', 'Together'],
      rows,
      numbers: [2, 3, 4],
      widths: [5, 1.5, 1, 1.6, 1.6],
    },
    {
      kind: 'text',
      text: `Everything with the printed parts: ${price(totals.price)}${totals.unpriced > 0 ? `, ${totals.unpriced} things without a price` : ''}${document.brief.budget === undefined ? '' : `; ${price(document.brief.budget)} is the budget`}.`,
    },
  ];
}

function order(document: BuildDocument): Block[] {
  const steps = assemblyOrder(document);
  return steps.length === 0
    ? []
    : [
        { kind: 'heading', level: 1, text: 'Order of building' },
        {
          kind: 'list',
          items: steps.map(({ text, count }) => `${text}${count > 1 ? ` (${count} times)` : ''}`),
        },
      ];
}
