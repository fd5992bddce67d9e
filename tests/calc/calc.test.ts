import { spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const BUNDLE = join('.data', `calc-test-${process.pid}.mjs`);

/** Runs it in one file, made once, because every start from its sources reads them all. */
const calc = (args: string[], input = '') => run([BUNDLE, ...args], input);

function run(args: string[], input: string) {
  const { status, stdout, stderr } = spawnSync(process.execPath, args, { input, encoding: 'utf8' });
  return { status, stdout, stderr };
}

beforeAll(() => {
  mkdirSync('.data', { recursive: true });
  const options = {
    entryPoints: ['src/cli/calc.ts'],
    bundle: true,
    platform: 'node',
    format: 'esm',
    packages: 'external',
    outfile: BUNDLE,
    logLevel: 'error',
  };
  const { status, stderr } = run(
    [
      '--input-type=module',
      '--eval',
      `import { buildSync } from 'esbuild'; buildSync(${JSON.stringify(options)})`,
    ],
    '',
  );
  if (status !== 0) throw new Error(stderr);
});
afterAll(() => rmSync(BUNDLE, { force: true }));

describe('calc', () => {
  it('computes one operation from standard input, as a person starts it', () => {
    const { status, stdout } = run(
      ['--import', 'tsx', 'src/cli/calc.ts', 'timing.launch'],
      '{"distanceM": 9, "timeS": 2}',
    );
    expect(status).toBe(0);
    expect(JSON.parse(stdout)).toMatchObject({ accelMps2: 4.5, endSpeedMps: 9 });
  });

  it('refuses with code 2, one object on stderr and nothing on stdout', () => {
    const { status, stdout, stderr } = calc(['drive.run'], '{"car": {"massKg": "2"}}');
    expect(status).toBe(2);
    expect(stdout).toBe('');
    expect(JSON.parse(stderr).error).toMatchObject({
      operation: 'drive.run',
      path: 'car.massKg',
      message: 'must be a number',
    });
    expect(JSON.parse(calc(['drive.fly'], '{}').stderr).error).toMatchObject({
      operation: 'drive.fly',
      message: 'is not a known operation',
    });
    expect(JSON.parse(calc(['drive.run'], '{').stderr).error.message).toContain('is not JSON');
  });

  it('answers a batch in order, good and bad, with code 0', () => {
    const lines = [
      { id: 'a', operation: 'runs.summary', input: { values: [1, 3] } },
      { id: 'b', operation: 'runs.summary', input: { values: [] } },
      { id: 'c', operation: 'nothing', input: {} },
      { id: 'd', operation: 'timing.speed', input: { distanceM: 20, timeS: 2 } },
    ];
    const { status, stdout } = calc(
      ['--batch'],
      `${lines.map((line) => JSON.stringify(line)).join('\n')}\nnot json\n`,
    );
    const answers = stdout
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line));
    expect(status).toBe(0);
    expect(answers.map(({ id }) => id)).toEqual(['a', 'b', 'c', 'd', undefined]);
    expect(answers[0].output.mean).toBe(2);
    expect(answers[1].error).toMatchObject({ operation: 'runs.summary', path: 'values' });
    expect(answers[3].output.speedMps).toBe(10);
    expect(answers[4].error.message).toContain('is not JSON');
  });

  it('takes a mesh from a file, and says where there is none', () => {
    const folder = mkdtempSync(join(tmpdir(), 'badger-'));
    const file = join(folder, 'corner.obj');
    // a tetrahedron of 1/6 of a cube of 6 mm
    writeFileSync(file, 'v 0 0 0\nv 6 0 0\nv 0 6 0\nv 0 0 6\nf 1 3 2\nf 1 2 4\nf 1 4 3\nf 2 3 4\n');
    const { stdout } = calc(['mesh.measure'], JSON.stringify({ mesh: { file } }));
    expect(JSON.parse(stdout)).toMatchObject({ volumeMm3: 36, watertight: true });
    const missing = JSON.parse(
      calc(['mesh.measure'], JSON.stringify({ mesh: { file: join(folder, 'none.stl') } })).stderr,
    ).error;
    expect(missing).toMatchObject({
      operation: 'mesh.measure',
      path: 'mesh.file',
      message: expect.stringContaining('cannot be read'),
    });
    expect(
      JSON.parse(calc(['mesh.measure'], JSON.stringify({ mesh: { file: join(folder, 'part.txt') } })).stderr)
        .error.path,
    ).toBe('mesh.file');
    rmSync(folder, { recursive: true });
  });

  it('lists the operations and prints a schema', () => {
    expect(
      calc(['--list'])
        .stdout.split('\n')
        .map((line) => line.split(' ')[0]),
    ).toEqual([
      'air.coastDown',
      'air.estimate',
      'beam.check',
      'belt.drive',
      'boss.check',
      'brief.demand',
      'chain.length',
      'chassis.balance',
      'chassis.stability',
      'clearance.check',
      'column.check',
      'drive.brake',
      'drive.endurance',
      'drive.friction',
      'drive.lap',
      'drive.run',
      'drive.site',
      'drive.standstill',
      'drive.sweep',
      'drivetrain.differential',
      'drivetrain.rotation',
      'failure.diagnose',
      'fastener.share',
      'fit.coupon',
      'fit.stack',
      'gear.bevel',
      'gear.helical',
      'gear.mesh',
      'gear.opening',
      'gear.outline',
      'gear.planetary',
      'gear.planetarySearch',
      'gear.search',
      'gear.strength',
      'gpx.speed',
      'grip.measure',
      'gyro.log',
      'handling.circle',
      'handling.steady',
      'handling.straight',
      'holes.solve',
      'impact.staircase',
      'joint.capacity',
      'life.estimate',
      'landing.impact',
      'links.forces',
      'load.cases',
      'log.motor',
      'log.read',
      'mesh.fem',
      'mesh.measure',
      'mesh.orient',
      'mesh.sections',
      'motor.calibrate',
      'motor.thermalDefaults',
      'part.lightest',
      'power.budget',
      'print.calibrate',
      'print.estimate',
      'print.plates',
      'runs.compare',
      'runs.summary',
      'section.printed',
      'section.properties',
      'servo.steer',
      'servo.torque',
      'series.fit',
      'shaft.check',
      'spares.stock',
      'spring.rate',
      'steering.geometry',
      'suspension.ride',
      'suspension.sweep',
      'timing.launch',
      'timing.speed',
      'traction.assist',
      'tyre.fit',
      'tyre.spin',
      'wheel.balance',
      'wheel.balanceRun',
      'yaw.assist',
      '',
    ]);
    const schema = JSON.parse(calc(['drive.run', '--schema']).stdout);
    expect(schema).toMatchObject({
      $schema: 'https://json-schema.org/draft/2020-12/schema',
      title: 'drive.run',
      additionalProperties: false,
    });
    expect(schema.properties.motor.properties.kvRpmPerV).toEqual({ type: 'number', exclusiveMinimum: 0 });
  });
});
