import { POST as compute } from '@/app/api/operations/[id]/route';
import { GET as health } from '@/app/api/health/route';
import { inThread } from '@/app/api/threads';
import { call, withOwnDatabase } from './workshop';

withOwnDatabase();

const yaw = {
  massKg: 2,
  yawInertiaKgM2: 0.02,
  cgToFrontMm: 130,
  cgToRearMm: 140,
  corneringFrontNPerRad: 60,
  corneringRearNPerRad: 70,
  mu: 0.8,
  speedMps: 8,
  servo: { lagS: 0.03, rateDegPerS: 300, maxDeg: 25 },
  gyro: { gain: 0.05, maxCorrectionDeg: 12, sampleS: 0.005 },
  scenario: { kind: 'kick', yawRateDegPerS: 90 },
};
/** A minute of a car, five hundred times over. */
const endless = {
  ...yaw,
  durationS: 60,
  gains: Array.from({ length: 500 }, (_, at) => at / 1000),
  gyro: { ...yaw.gyro, sampleS: 0.0005 },
};

it('ends work that takes longer than a request may, answers others meanwhile, and works on', async () => {
  let answered = 0;
  const wild = inThread('operation', { name: 'yaw.assist', input: endless }, 700).then(
    () => 'done',
    (error: Error & { code?: string; more?: { remedy?: string } }) =>
      `${error.code}: ${error.message} ${error.more?.remedy}`,
  );
  for (let at = 0; at < 20; at++) {
    expect((await call(health)).status).toBe(200);
    answered += 1;
  }
  const after = await Promise.race([
    wild,
    new Promise((resolve) => setImmediate(() => resolve('still at work'))),
  ]);
  expect([answered, after]).toEqual([20, 'still at work']);
  expect(await wild).toBe(
    'tooLong: It takes longer than the 0.7 s of one request. ask for less, or run it on the page or with npm run calc',
  );
  expect((await call(compute, { method: 'POST', id: 'yaw.assist', body: yaw })).status).toBe(200);
});

it('refuses by field what a thread refuses, and a result that is no number', async () => {
  expect(await call(compute, { method: 'POST', id: 'yaw.assist', body: { ...yaw, mu: -1 } })).toMatchObject({
    status: 422,
    json: { error: { code: 'invalid', path: 'mu' } },
  });
  const answer = await call(compute, {
    method: 'POST',
    id: 'spring.rate',
    body: { wireMm: 1e200, meanDiameterMm: 1e201, activeCoils: 1e-300 },
  });
  expect(answer).toMatchObject({
    status: 422,
    json: { error: { message: expect.stringContaining('no number') } },
  });
});
