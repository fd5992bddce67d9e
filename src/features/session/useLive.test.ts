import { touchedBy } from './useLive';

const page = {
  revision: { id: 'b' },
  revisions: [{ id: 'a' }, { id: 'b' }],
  runs: [{ id: 'run' }],
  failures: [],
  prints: [],
  copies: [{ id: 'copy' }],
};
const touched = (method: string, path: string) => touchedBy({ method, path: `/api/${path}` }, page);

test('a page looks again where its own document or a record of its build was written, and nowhere else', () => {
  expect(touched('PUT', 'revisions/b')).toBe('document');
  expect(touched('POST', 'revisions/a/runs')).toBe('records');
  expect(touched('DELETE', 'runs/run')).toBe('records');
  expect(touched('PUT', 'copies/copy')).toBe('records');
  // what comes back is not known to the page
  expect(touched('POST', 'failures/gone/restore')).toBe('records');
  for (const [method, path] of [
    ['PUT', 'revisions/a'],
    ['PATCH', 'revisions/b'],
    ['PUT', 'revisions/of-another'],
    ['POST', 'revisions/of-another/runs'],
    ['PUT', 'failures/of-another'],
    ['PUT', 'settings'],
    ['POST', 'photos'],
    ['POST', 'builds'],
  ] as const)
    expect(touched(method, path)).toBeUndefined();
});
