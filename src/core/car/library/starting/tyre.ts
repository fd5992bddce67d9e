import type { TyreFigures } from '../kinds/tyre';

/** Wheels with tyres, masses each. */
export const STARTING_TYRES: readonly { id: string; data: TyreFigures }[] = [
  {
    id: 'tyre-24-slick',
    data: {
      name: '1:24 soft slick',
      compound: 'compound-soft',
      radiusMm: 14,
      massG: 5,
      ring: 'solid rubber',
    },
  },
  {
    id: 'tyre-18-block',
    data: {
      name: '1:18 block',
      compound: 'compound-soft',
      radiusMm: 22,
      massG: 14,
      ring: 'hollow rubber with insert',
    },
  },
  {
    id: 'tyre-14-block',
    data: {
      name: '1:14 block',
      compound: 'compound-soft',
      radiusMm: 31,
      massG: 27,
      ring: 'hollow rubber with insert',
    },
  },
  {
    id: 'tyre-10-road',
    data: { name: '1:10 road, belted', compound: 'compound-belted', radiusMm: 32, massG: 36, ring: 'belted' },
  },
  {
    id: 'tyre-10-foam',
    data: { name: '1:10 foam', compound: 'compound-foam', radiusMm: 31, massG: 24, ring: 'foam' },
  },
  {
    id: 'tyre-10-pin',
    data: {
      name: '1:10 grass pin',
      compound: 'compound-soft',
      radiusMm: 42,
      massG: 52,
      ring: 'hollow rubber with insert',
    },
  },
  {
    id: 'tyre-10-hard',
    data: {
      name: '1:10 hard all-ground',
      compound: 'compound-hard',
      radiusMm: 45,
      massG: 60,
      ring: 'hollow rubber with insert',
    },
  },
  {
    id: 'tyre-10-printed',
    data: {
      name: '1:10 printed flexible',
      compound: 'compound-printed',
      radiusMm: 40,
      massG: 58,
      ring: 'printed flexible',
    },
  },
  {
    id: 'tyre-8-block',
    data: {
      name: '1:8 block, belted',
      compound: 'compound-belted',
      radiusMm: 58,
      massG: 115,
      ring: 'belted',
    },
  },
  {
    id: 'tyre-5-block',
    data: {
      name: '1:5 block',
      compound: 'compound-soft',
      radiusMm: 85,
      massG: 420,
      ring: 'hollow rubber with insert',
    },
  },
];
