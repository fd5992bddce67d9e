import type { GarageCar } from '@/core/advice/garage';
import { foundCars } from './foundCars';

const car = (name: string, more: object = {}): GarageCar => ({ id: name, name, ...more }) as GarageCar;
const cars = [
  car('Hare 10', { predictedMps: 9, tightest: { state: 'clear', margin: 1.2 } }),
  car('Hare 2', { predictedMps: 5, measured: { speedMps: 12 }, tightest: { state: 'over', margin: 0.9 } }),
  car('Étang wren', { ails: 'damaged' }),
  car('Blank'),
  car('Tight', { predictedMps: 7, tightest: { state: 'over', margin: 0.4 } }),
];
const names = (text: string, sort: Parameters<typeof foundCars>[2]) =>
  foundCars(cars, text, sort).map(({ name }) => name);

describe('cars in a full garage', () => {
  it('are found by words of their names, whatever the case, the accents and the order', () => {
    expect(names('wren ETANG', 'oldest')).toEqual(['Étang wren']);
    expect(names('hare', 'oldest')).toEqual(['Hare 10', 'Hare 2']);
    expect(names('hare', 'newest')).toEqual(['Hare 2', 'Hare 10']);
    expect(names('hare 3', 'name')).toEqual([]);
  });

  it('stand by name with their numbers counted, by speed with what was measured first, and worst first', () => {
    expect(names('', 'name')).toEqual(['Blank', 'Étang wren', 'Hare 2', 'Hare 10', 'Tight']);
    expect(names('', 'speed')).toEqual(['Hare 2', 'Hare 10', 'Tight', 'Étang wren', 'Blank']);
    expect(names('', 'worst')).toEqual(['Étang wren', 'Tight', 'Hare 2', 'Hare 10', 'Blank']);
  });
});
