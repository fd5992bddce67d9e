import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';

test('the kernel of the solver is what its sources compile to', () => {
  const written = execFileSync(
    process.execPath,
    [
      '--input-type=module',
      '-e',
      "import { compiledKernel } from './scripts/kernel.mjs'; process.stdout.write(await compiledKernel())",
    ],
    { encoding: 'utf8' },
  );
  expect(readFileSync('src/core/physics/fem/kernel/kernelCode.ts', 'utf8')).toBe(written);
});
