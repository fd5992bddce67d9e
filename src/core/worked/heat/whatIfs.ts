import type { BuildDocument } from '../../car/document/document';
import type { Patch } from '../../base/patch';
import { bearsCells, otherPack } from '../exchange/otherPack';
import { rewound } from './rewind';

/** What is changed. */
export type HeatChange =
  | { readonly what: 'sinkOn' | 'sinkOff' | 'bodyOpen' | 'bodyClosed' }
  | { readonly what: 'cells'; readonly cells: number; readonly now: number }
  | { readonly what: 'motor'; readonly kvRpmPerV: number };

/** One change worth trying against heat. */
export interface WhatIf {
  readonly id: string;
  readonly is: HeatChange;
  readonly patch: Patch;
}

/** One click each: a heat sink, the other body, other constants of the same motor, a cell more or less where the voltage allows. */
export function heatWhatIfs(document: BuildDocument): WhatIf[] {
  const { motor, heat = {} } = document.drive;
  const { battery } = document.power;
  const sink = heat.housing === 'heatsink';
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
      is: { what: sink ? 'sinkOff' : 'sinkOn' },
      patch: [{ path: ['drive', 'heat', 'housing'], value: sink ? undefined : 'heatsink' }],
    },
    {
      id: 'body',
      is: { what: closed ? 'bodyOpen' : 'bodyClosed' },
      patch: [{ path: ['drive', 'heat', 'body'], value: closed ? 'open' : 'closed' }],
    },
    ...wound('slower', 0.8),
    ...wound('faster', 1.25),
    ...(battery ? [...cells(battery.cells - 1), ...cells(battery.cells + 1)] : []),
  ];
}
