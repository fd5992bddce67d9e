import {
  LIBRARY_KIND_RECORDS,
  LIBRARY_KINDS,
  type LibraryItem,
  type LibraryKind,
} from '@/core/car/library/kinds';
import { STARTING } from '@/core/car/library/starting';
import { libraryTells } from './libraryTells';

const METRIC = { locale: 'en-GB', units: 'metric' } as const;
const plain = (text: string) => text.replace(/\s/g, ' ');
const firstOf = (kind: LibraryKind) => {
  const { id, data } = STARTING[kind][0]!;
  return { id, kind, data } as unknown as LibraryItem;
};

describe('what a thing of the library is chosen by', () => {
  it('is constant and mass of a motor, cells and charge of a pack', () => {
    const motor = { id: 'm', kind: 'motor', data: { name: 'M', kvRpmPerV: 2200, massG: 170 } };
    expect(plain(libraryTells(motor as unknown as LibraryItem, METRIC))).toBe('2,200 rpm/V · 170 g');
    const pack = { id: 'p', kind: 'battery', data: { name: 'P', cells: 2, capacityMah: 5000, massG: 265 } };
    expect(plain(libraryTells(pack as unknown as LibraryItem, METRIC))).toBe(
      '2 cells in series · 5,000 mAh · 265 g',
    );
  });
  it('is in the reader’s units', () => {
    const tyre = { id: 't', kind: 'tyre', data: { name: 'T', radiusMm: 50.8, ring: 'solid rubber' } };
    expect(plain(libraryTells(tyre as unknown as LibraryItem, { locale: 'en-US', units: 'imperial' }))).toBe(
      '2 in · solid rubber',
    );
  });
  it('names only figures that each kind has', () => {
    for (const kind of LIBRARY_KINDS) {
      const { tells, figures } = LIBRARY_KIND_RECORDS[kind];
      expect(Object.keys(figures)).toEqual(expect.arrayContaining([...(tells as readonly string[])]));
      if (tells.length > 0) expect(libraryTells(firstOf(kind), METRIC)).not.toBe('');
    }
  });
});
