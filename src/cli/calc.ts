import '@/words/later/bringIn';
import { readFileSync } from 'node:fs';
import { type Problem, CalcError, refusal } from '@/core/base/errors';
import { operations } from '@/core/operations';
import { jsonSchema } from '@/core/base/schema/jsonSchema';
import { parse } from '@/core/base/schema/parse';
import { OPERATION_SUMMARIES } from '@/words/labels/operations';
import { inWords } from '@/words/output';
import { plainProblemOf } from '@/words/refusals/problemOf';

declare module '@/core/base/errors' {
  interface RefusalFacts {
    'calc.meshFile': Record<never, never>;
    'calc.unreadable': { file: string };
  }
}

type Refusal = { operation: string } & Problem;
type Answer = { output: object } | { error: Refusal };

const USAGE =
  'calc OPERATION < input.json | calc OPERATION --schema | calc --list | calc --batch < requests.jsonl';

function compute(operation: string, input: unknown): Answer {
  const found = Object.hasOwn(operations, operation) ? operations[operation] : undefined;
  if (!found)
    return {
      error: { operation, path: '', message: 'is not a known operation', remedy: 'calc --list names them' },
    };
  try {
    return { output: inWords(found.run(parse(found.schema, withMesh(input)) as never)) };
  } catch (error) {
    if (error instanceof CalcError) return { error: { operation, ...plainProblemOf(error.refused) } };
    throw error;
  }
}

/** A mesh named by its file, as the field that its ending stands for. */
function withMesh(input: unknown): unknown {
  const mesh = typeof input === 'object' && input !== null ? (input as { mesh?: unknown }).mesh : undefined;
  if (typeof mesh !== 'object' || mesh === null || !('file' in mesh)) return input;
  const { file, ...others } = mesh as { file: unknown };
  const ending = typeof file === 'string' ? /\.(stl|3mf|obj)$/i.exec(file)?.[1]?.toLowerCase() : undefined;
  if (typeof file !== 'string' || !ending || Object.keys(others).length > 0)
    throw refusal('mesh.file', 'calc.meshFile');
  const bytes = readBytes(file);
  return {
    ...(input as object),
    mesh:
      ending === 'obj'
        ? { objText: bytes.toString('utf8') }
        : { [ending === 'stl' ? 'stlBase64' : 'threeMfBase64']: bytes.toString('base64') },
  };
}

function readBytes(file: string): Buffer {
  try {
    return readFileSync(file);
  } catch {
    throw refusal('mesh.file', 'calc.unreadable', { file });
  }
}

function computeText(operation: string, text: string): Answer {
  try {
    return compute(operation, JSON.parse(text));
  } catch (error) {
    if (error instanceof SyntaxError)
      return {
        error: {
          operation,
          path: '',
          message: `is not JSON: ${error.message}`,
          remedy: 'give one JSON object on standard input',
        },
      };
    throw error;
  }
}

function answerLine(line: string): object {
  let request: { id?: unknown; operation?: unknown; input?: unknown };
  try {
    request = JSON.parse(line) as typeof request;
  } catch (error) {
    return { error: { operation: '', path: '', message: `is not JSON: ${(error as Error).message}` } };
  }
  if (typeof request !== 'object' || request === null)
    return { error: { operation: '', path: '', message: 'must be an object with id, operation and input' } };
  return { id: request.id, ...compute(String(request.operation), request.input) };
}

const standardInput = () => readFileSync(0, 'utf8');
const print = (value: object) => process.stdout.write(`${JSON.stringify(value)}\n`);

function refuse(error: Refusal): number {
  process.stderr.write(`${JSON.stringify({ error })}\n`);
  return 2;
}

function main([first, second, ...rest]: string[]): number {
  if (first === '--list' && second === undefined) {
    for (const [name, summary] of Object.entries(OPERATION_SUMMARIES))
      process.stdout.write(`${name}  ${summary}\n`);
    return 0;
  }
  if (first === '--batch' && second === undefined) {
    for (const line of standardInput().split('\n')) if (line.trim() !== '') print(answerLine(line));
    return 0;
  }
  if (
    first === undefined ||
    first.startsWith('-') ||
    rest.length > 0 ||
    (second !== undefined && second !== '--schema')
  ) {
    return refuse({ operation: '', path: '', message: 'cannot read the command', remedy: USAGE });
  }
  if (second === '--schema') {
    const found = Object.hasOwn(operations, first) ? operations[first] : undefined;
    if (!found)
      return refuse({
        operation: first,
        path: '',
        message: 'is not a known operation',
        remedy: 'calc --list names them',
      });
    print(jsonSchema(found.schema, first));
    return 0;
  }
  const answer = computeText(first, standardInput());
  if ('error' in answer) return refuse(answer.error);
  print(answer.output);
  return 0;
}

process.exitCode = main(process.argv.slice(2));
