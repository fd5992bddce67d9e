import { formatNumber, formatText, type Reader } from '@/core/base/units/formatQuantity';
import type { BuildDocument } from '@/core/car/document/document';
import { overallRatio } from '@/core/car/document/drive';
import type { DescribedChange } from '@/words/labels/describe';
import { wiringOf } from '@/core/worked/power/wiring';
import { supplyOf } from '@/core/worked/power/supplyOfBuild';
import type { Block } from './definition';
import { POLARITY_WORDS } from '../labels/wiring';

export function gearing(
  document: BuildDocument,
  settings: readonly DescribedChange[],
  reader: Reader,
): (readonly [string, string])[] {
  const ratio = overallRatio(document.drive);
  const stages = document.drive.stages.map((stage, index): readonly [string, string] => [
    `Stage ${index + 1}`,
    [
      stage.ratio === undefined
        ? `${stage.kind} ${stage.pinionTeeth ?? '?'} to ${stage.wheelTeeth ?? '?'}`
        : `${stage.kind} ${formatNumber(stage.ratio, reader.locale)} to 1`,
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
export function wiring(
  document: BuildDocument,
  settings: readonly DescribedChange[],
  reader: Reader,
): Block[] {
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
      POLARITY_WORDS[polarity],
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
export const factsOf = (settings: readonly DescribedChange[], pick: (change: DescribedChange) => boolean) =>
  settings.filter(pick).map(({ label, after }): readonly [string, string] => [label, after]);
