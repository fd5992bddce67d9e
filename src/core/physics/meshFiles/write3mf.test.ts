import { measureMesh } from '../solid/measure';
import { read3mf } from './read3mf';
import { boxCorners, meshOf, torusCorners } from '../solid/shapes';
import { write3mf } from './write3mf';

const ring = meshOf(torusCorners(20, 5, 24, 12));

test('a written 3MF is read back as it was', () => {
  const back = read3mf(write3mf([ring]), 'mesh');
  expect(Array.from(back.vertices).length).toBe(ring.vertices.length);
  expect(measureMesh(back, {}).volumeMm3).toBeCloseTo(measureMesh(ring, {}).volumeMm3, 9);
  expect(
    measureMesh(read3mf(write3mf([ring, meshOf(boxCorners([50, 0, 0], [60, 10, 10]))]), 'mesh'), {}),
  ).toMatchObject({ shells: 2, watertight: true });
});

describe('an archive that says it unpacks to gigabytes', () => {
  /** The size that the directory, and where asked the file's own header, claims. */
  const claiming = (bytes: Uint8Array, size: number, header: boolean): Uint8Array => {
    const forged = bytes.slice();
    const view = new DataView(forged.buffer);
    for (let at = 0; at + 46 < forged.length; at++) {
      const name = (from: number) => new TextDecoder().decode(forged.subarray(from, from + 3));
      if (view.getUint32(at, true) === 0x02014b50 && name(at + 46) === '3D/')
        view.setUint32(at + 24, size, true);
      if (header && view.getUint32(at, true) === 0x04034b50 && name(at + 30) === '3D/')
        view.setUint32(at + 22, size, true);
    }
    return forged;
  };
  const whole = write3mf([ring]);

  it('is refused by its directory alone, before it is unpacked', () => {
    for (const size of [3_000_000_000, 0xffffffff])
      expect(() => read3mf(claiming(whole, size, false), 'mesh')).toThrow('threeMf.large {"mostMb":200}');
    expect(() => read3mf(claiming(whole, 3_000_000_000, true), 'mesh')).toThrow(
      'threeMf.large {"mostMb":200}',
    );
  });

  it('is read where its claim is modest', () =>
    expect(read3mf(claiming(whole, 100_000_000, false), 'mesh')).toEqual(read3mf(whole, 'mesh')));
});
