import type { ControllerFigures } from '../kinds/controller';

/** Speed controllers; the limit is the peak that they let through. */
export const STARTING_CONTROLLERS: readonly { id: string; data: ControllerFigures }[] = [
  {
    id: 'controller-10',
    data: {
      name: '10 A, one or two cells',
      kind: 'brushed',
      currentLimitA: 10,
      continuousA: 5,
      resistanceMilliOhm: 20,
      maxV: 8.5,
      massG: 6,
      cooling: 'bare',
    },
  },
  {
    id: 'controller-20',
    data: {
      name: '20 A brushed, two cells',
      kind: 'brushed',
      currentLimitA: 40,
      continuousA: 20,
      resistanceMilliOhm: 8,
      maxV: 8.5,
      massG: 18,
      cooling: 'bare',
    },
  },
  {
    id: 'controller-25',
    data: {
      name: '25 A brushless, 1:18',
      kind: 'sensorless',
      currentLimitA: 50,
      continuousA: 25,
      resistanceMilliOhm: 6,
      maxV: 12.6,
      massG: 22,
    },
  },
  {
    id: 'controller-40-brushed',
    data: {
      name: '40 A brushed, waterproof',
      kind: 'brushed',
      currentLimitA: 120,
      continuousA: 40,
      resistanceMilliOhm: 4,
      maxV: 12.6,
      massG: 39,
    },
  },
  {
    id: 'controller-45',
    data: {
      name: '45 A brushless, 1:14',
      kind: 'sensorless',
      currentLimitA: 120,
      continuousA: 45,
      resistanceMilliOhm: 3.5,
      maxV: 12.6,
      massG: 45,
    },
  },
  {
    id: 'controller-60',
    data: {
      name: '60 A sensored, 1:10',
      kind: 'sensored',
      currentLimitA: 180,
      continuousA: 60,
      resistanceMilliOhm: 2,
      maxV: 12.6,
      massG: 55,
    },
  },
  {
    id: 'controller-80',
    data: {
      name: '80 A sensored, 1:10',
      kind: 'sensored',
      currentLimitA: 240,
      continuousA: 80,
      resistanceMilliOhm: 1.4,
      maxV: 16.8,
      massG: 75,
    },
  },
  {
    id: 'controller-120',
    data: {
      name: '120 A brushless, 1:8',
      kind: 'sensorless',
      currentLimitA: 480,
      continuousA: 120,
      resistanceMilliOhm: 0.8,
      maxV: 16.8,
      massG: 105,
      cooling: 'fan',
    },
  },
  {
    id: 'controller-150',
    data: {
      name: '150 A brushless, 1:8',
      kind: 'sensorless',
      currentLimitA: 600,
      continuousA: 150,
      resistanceMilliOhm: 0.6,
      maxV: 25.2,
      massG: 120,
      cooling: 'fan',
    },
  },
];
