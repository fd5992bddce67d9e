import { originsOf, strangerIn } from './origins';

const asked = (host: string | null, origin: string | null, method = 'POST', site: string | null = null) => ({
  method,
  host,
  origin,
  site,
});

describe('without a list, this machine alone', () => {
  it.each([
    ['localhost:3117', 'http://localhost:3117'],
    ['127.0.0.1:3117', 'http://127.0.0.1:3117'],
    ['[::1]:3117', 'http://[::1]:3117'],
    ['localhost', 'http://localhost'],
    ['localhost:3117', null],
  ])('answers %s from %s', (host, origin) =>
    expect(strangerIn(asked(host, origin), undefined)).toBeUndefined(),
  );

  it.each([
    ['a name that was pointed here', asked('evil.example:3117', null, 'GET'), 'host'],
    ['a name that begins like ours', asked('localhost.evil.example', null), 'host'],
    ['a user before the name', asked('evil@localhost', null), 'host'],
    ['no host', asked(null, null), 'host'],
    ['a page of another site', asked('localhost:3117', 'http://evil.example'), 'origin'],
    ['a page of another port', asked('localhost:3117', 'http://localhost:8000'), 'origin'],
    ['another name of this machine', asked('localhost:3117', 'http://127.0.0.1:3117'), 'origin'],
    ['a page without an address', asked('localhost:3117', 'null'), 'origin'],
    ['a page of another site that reads', asked('localhost:3117', 'http://evil.example', 'GET'), 'origin'],
    ['a form of another site', asked('localhost:3117', null, 'POST', 'cross-site'), 'origin'],
    ['a form of a sister site', asked('localhost:3117', null, 'DELETE', 'same-site'), 'origin'],
  ])('refuses %s', (_, request, what) => expect(strangerIn(request, undefined)).toBe(what));

  it('lets a link from another site open a page', () =>
    expect(strangerIn(asked('localhost:3117', null, 'GET', 'cross-site'), undefined)).toBeUndefined());
});

describe('with a list', () => {
  const allowed = originsOf('https://cars.example, http://192.168.1.5:3117');
  it('answers these alone', () => {
    expect(strangerIn(asked('cars.example', 'https://cars.example'), allowed)).toBeUndefined();
    expect(strangerIn(asked('192.168.1.5:3117', 'http://192.168.1.5:3117'), allowed)).toBeUndefined();
    expect(strangerIn(asked('localhost:3117', null), allowed)).toBe('host');
    expect(strangerIn(asked('cars.example', 'http://cars.example'), allowed)).toBe('origin');
  });
});
