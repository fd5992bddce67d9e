import { hurtCopies } from './hurtCopies';

it('a copy is damaged until it is mended after its last failure, and stays a mended one then', () => {
  const failed = (copyId: string, occurredAt: string) => ({ ledger: { copyId }, occurredAt });
  const mended = (id: string, ...days: string[]) => ({
    id,
    repairs: days.map((at, k) => ({ id: `${id}${k}`, at, what: 'glued' })),
  });
  const found = hurtCopies(
    [mended('whole'), mended('mended', '2026-05-02'), mended('again', '2026-05-02'), mended('broken')],
    [
      failed('mended', '2026-05-01'),
      failed('again', '2026-05-01'),
      failed('again', '2026-05-03'),
      failed('broken', '2026-05-01'),
    ],
  );
  expect([...found]).toEqual([
    ['mended', 'repaired'],
    ['again', 'damaged'],
    ['broken', 'damaged'],
  ]);
});
