import { GET as list } from '@/app/api/operations/route';
import { POST as compute } from '@/app/api/operations/[id]/route';
import { toBase64 } from '@/core/base/base64';
import { driveRun } from '@/core/physics/motion/run';
import { boxCorners, meshOf } from '@/core/physics/solid/shapes';
import { writeStl } from '@/core/physics/meshFiles/writeStl';
import { call, withOwnDatabase } from './workshop';

withOwnDatabase();

const run = {
  car: {
    massKg: 2,
    cdaM2: 0.03,
    rollingResistance: 0.05,
    frontLoadShare: 0.5,
    cgHeightMm: 50,
    wheelbaseMm: 270,
    drivenAxles: 'rear' as const,
  },
  tyre: { radiusMm: 40, mu: 0.8 },
  drive: { ratio: 9, efficiency: 0.85 },
  motor: { kvRpmPerV: 3000, resistanceMilliOhm: 22, noLoadCurrentA: 2 },
  esc: { currentLimitA: 60 },
  battery: { cells: 2, cellResistanceMilliOhm: 4, capacityMah: 4000 },
};
const thermal = {
  windingHeatCapacityJPerK: 15,
  caseHeatCapacityJPerK: 50,
  windingToCaseKPerW: 0.9,
  caseToAmbientKPerW: 6,
  ambientC: 25,
};
const ask = (id: string, body: unknown) => call(compute, { method: 'POST', id, body });
const refusal = async (id: string, body: unknown) => {
  const { status, json } = await ask(id, body);
  return { status, ...json.error };
};

it('lists what it can compute, and computes it as core does', async () => {
  expect((await call(list)).json.operations.map(({ name }: { name: string }) => name)).toEqual(
    expect.arrayContaining(['drive.run', 'drive.endurance', 'drive.sweep', 'drivetrain.rotation']),
  );
  const { status, json } = await ask('drive.run', run);
  expect(status).toBe(200);
  expect(json).toEqual(JSON.parse(JSON.stringify(driveRun(run))));
});

it('says of a cruise out of reach what it holds instead', async () => {
  const { json } = await ask('drive.endurance', { ...run, thermal, cycle: { cruiseMps: 90, cruiseS: 10 } });
  expect(json.notes[0]).toMatch(/324.km\/h is out of reach: it holds \d/);
});

it('refuses a limit below the air, an empty range, and too many combinations, each by its field', async () => {
  expect(
    await refusal('drive.endurance', {
      ...run,
      thermal: { ...thermal, caseLimitC: 20 },
      cycle: { cruiseMps: 5, cruiseS: 10 },
    }),
  ).toMatchObject({
    status: 422,
    path: 'thermal.ambientC',
    remedy: expect.stringContaining('above the temperature of the air'),
  });
  const { motor, battery } = run;
  const sweep = { base: run, motors: [{ id: 'm', ...motor }], batteries: [{ id: 'b', ...battery }] };
  expect(await refusal('drive.sweep', { ...sweep, ratios: { from: 9, to: 4, step: 1 } })).toMatchObject({
    status: 422,
    path: 'ratios.from',
    message: expect.stringContaining('empty'),
  });
  expect(
    await refusal('drive.sweep', { ...sweep, ratios: { from: 1, to: 11, step: 0.000001 } }),
  ).toMatchObject({ status: 422, path: 'motors', message: expect.stringContaining('10000001 combinations') });
  expect(await refusal('drive.run', { ...run, motor: { ...motor, kvRpmPerV: -1 } })).toMatchObject({
    status: 422,
    path: 'motor.kvRpmPerV',
  });
  expect((await ask('constructor', {})).status).toBe(404);
});

it('solves a small part as a solid, and leaves a fine grid to the page and calc', async () => {
  const mesh = { stlBase64: toBase64(writeStl(meshOf(boxCorners([0, 0, 0], [20, 4, 4])))) };
  const part = {
    mesh,
    voxelMm: 1,
    material: { modulusMpa: 2000, inPlaneStrengthMpa: 50, interlayerStrengthMpa: 25, interlayerShearMpa: 20 },
    buildDirection: [0, 0, 1],
    fixed: [{ min: [0, 0, 0], max: [0, 4, 4] }],
    loads: [{ min: [20, 0, 0], max: [20, 4, 4], forceN: [0, 0, -1] }],
  };
  const { status, json } = await ask('mesh.fem', part);
  expect(status).toBe(200);
  expect(json.reactionN[2]).toBeCloseTo(1, 6);
  expect(await refusal('mesh.fem', { ...part, voxelMm: 0.2 })).toMatchObject({
    status: 422,
    path: 'voxelMm',
    message: expect.stringContaining('about 40000 voxels'),
  });
});
