import { clientOf, Rates } from './rates';

const from = (forwarded?: string) =>
  clientOf(
    new Request('http://localhost/', {
      headers: forwarded === undefined ? {} : { 'x-forwarded-for': forwarded },
    }),
  );

it('counts each client by itself, and begins anew with the next minute', () => {
  let now = 0;
  const rates = new Rates(3, () => now);
  expect(['a', 'a', 'a', 'a', 'b'].map((client) => rates.take(client))).toEqual([
    true,
    true,
    true,
    false,
    true,
  ]);
  now = 59_999;
  expect(rates.take('a')).toBe(false);
  now = 60_000;
  expect(rates.take('a')).toBe(true);
});

it('forgets who was longest away before it remembers without end', () => {
  const rates = new Rates(1, () => 0);
  rates.take('first');
  for (let at = 0; at < 10_000; at++) rates.take(`flood ${at}`);
  expect([rates.take('first'), rates.take('flood 9999')]).toEqual([true, false]);
});

it('knows a client by what the nearest server wrote', () => {
  expect([from('10.0.0.7'), from('1.2.3.4, 10.0.0.7'), from(''), from()]).toEqual([
    '10.0.0.7',
    '10.0.0.7',
    'here',
    'here',
  ]);
});
