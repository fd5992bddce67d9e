// Writes src/core/physics/fem/kernel/kernelCode.ts: the kernel of the solver of solids, compiled from the sources beside it.
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import asc from 'assemblyscript/asc';

const FOLDER = 'src/core/physics/fem/kernel';
const FLAGS = ['-O3', '--noAssert', '--runtime', 'stub', '--enable', 'simd', '--initialMemory', '1'];

/** The text of the compiled kernel, from the sources as they stand. */
export async function compiledKernel() {
  const folder = mkdtempSync(join(tmpdir(), 'kernel-'));
  const file = join(folder, 'kernel.wasm');
  const { error, stderr } = await asc.main([join(FOLDER, 'kernel.as.ts'), ...FLAGS, '--outFile', file]);
  if (error) throw new Error(`The kernel does not compile: ${stderr.toString()}`);
  const code = readFileSync(file).toString('base64');
  rmSync(folder, { recursive: true });
  const lines = code.match(/.{1,100}/g).map((line) => `  '${line}',`);
  return `// Written by npm run kernel from the sources named *.as.ts.

/** WebAssembly with four lanes, in base64. */
export const KERNEL = [
${lines.join('\n')}
].join('');
`;
}

if (process.argv[1]?.endsWith('kernel.mjs'))
  writeFileSync(join(FOLDER, 'kernelCode.ts'), await compiledKernel());
