import type { BuildDocument } from '../../car/document/document';
import type { Patch } from '../../base/patch';
import { bearsCells, otherPack } from '../exchange/otherPack';
import { rewound } from './rewind';
import { sinkOf } from './smallestSink';

/** What is changed. */
export type HeatChange =
  | { readonly what: 'sinkOff' | 'fanOff' | 'bodyOpen' | 'bodyClosed' | 'bodyDuct' }
  | { readonly what: 'sinkOn'; readonly finMm: number }
  | { readonly what: 'fanOn'; readonly flowM3PerH: number }
  | { readonly what: 'cells'; readonly cells: number; readonly now: number }
  | { readonly what: 'motor'; readonly kvRpmPerV: number };

/** One change worth trying against heat. */
export interface WhatIf {
  readonly id: string;
  readonly is: HeatChange;
  readonly patch: Patch;
}

/** A common sink, and a common fan. */
const [TRIED_FIN_MM, TRIED_FAN_M3_PER_H] = [10, 10];

const at = (key: string, value: unknown): Patch => [{ path: ['drive', 'heat', key], value }];

/** One click each: a heat sink, a fan, the other body, a duct, other constants of the same motor, a cell more or less where the voltage allows. */
export function heatWhatIfs(document: BuildDocument): WhatIf[] {
  const { motor, heat = {} } = document.drive;
  const { battery } = document.power;
  const sink = heat.housing === 'heatsink' || heat.sinkFinMm !== undefined;
  const fan = heat.fanM3PerH !== undefined;
  const closed = heat.body === 'closed';
  const cells = (count: number): WhatIf[] => {
    const pack =
      count < 1 || !bearsCells(document, count) ? undefined : otherPack(document, { cells: count });
    return battery && pack
      ? [
          {
            id: `cells-${count > battery.cells ? 'more' : 'less'}`,
            is: { what: 'cells', cells: count, now: battery.cells },
            patch: pack.patch,
          },
        ]
      : [];
  };
  const wound = (id: string, factor: number): WhatIf[] => {
    if (!motor) return [];
    const other = rewound(motor, factor);
    return [
      {
        id,
        is: { what: 'motor', kvRpmPerV: other.kvRpmPerV },
        patch: [{ path: ['drive', 'motor'], value: other }],
      },
    ];
  };
  return [
    {
      id: 'sink',
      is: sink ? { what: 'sinkOff' } : { what: 'sinkOn', finMm: TRIED_FIN_MM },
      patch: sink
        ? [...sinkOf(undefined), ...(heat.housing === 'heatsink' ? at('housing', undefined) : [])]
        : sinkOf(TRIED_FIN_MM),
    },
    {
      id: 'fan',
      is: fan ? { what: 'fanOff' } : { what: 'fanOn', flowM3PerH: TRIED_FAN_M3_PER_H },
      patch: at('fanM3PerH', fan ? undefined : TRIED_FAN_M3_PER_H),
    },
    {
      id: 'body',
      is: { what: closed ? 'bodyOpen' : 'bodyClosed' },
      patch: at('body', closed ? 'open' : 'closed'),
    },
    ...(heat.body === 'duct'
      ? []
      : [{ id: 'duct', is: { what: 'bodyDuct' }, patch: at('body', 'duct') } satisfies WhatIf]),
    ...wound('slower', 0.8),
    ...wound('faster', 1.25),
    ...(battery ? [...cells(battery.cells - 1), ...cells(battery.cells + 1)] : []),
  ];
}
