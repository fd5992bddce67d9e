import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { operations } from '@/core/operations';
import { parse } from '@/core/base/schema/parse';
import { SEGMENTS } from '@/core/verdict/engine/segments';

const HELP = 'docs/help';
const SECTIONS = ['What you give it', 'What it works out', 'Where it ends', 'An example by hand'];

interface Example {
  operation: string;
  input: unknown;
  /** By paths of the output, as worked out by hand to four figures. */
  gives: Record<string, number | string>;
}

const textOf = (segment: string) => readFileSync(join(HELP, `${segment}.md`), 'utf8');
const exampleOf = (text: string) => JSON.parse(/```json\n([\s\S]*?)\n```/.exec(text)![1]!) as Example;
const at = (output: unknown, path: string): unknown =>
  path.split('.').reduce((value, key) => (value as Record<string, unknown>)[key], output);

it('every segment has its page, with its sections', () => {
  expect(readdirSync(HELP).sort()).toEqual(
    [...SEGMENTS, 'README', 'start', 'terms'].map((one) => `${one}.md`).sort(),
  );
  for (const segment of SEGMENTS)
    expect(textOf(segment).match(/^## (.*)$/gm)).toEqual(
      expect.arrayContaining(SECTIONS.map((section) => `## ${section}`)),
    );
});

it.each(SEGMENTS)('the figures of the hand on the page of %s are those of the program', (segment) => {
  const { operation, input, gives } = exampleOf(textOf(segment));
  const { schema, run } = operations[operation]!;
  const output = run(parse(schema, input) as never);
  for (const [path, figure] of Object.entries(gives))
    if (typeof figure === 'string') expect(at(output, path)).toBe(figure);
    else expect(Math.abs((at(output, path) as number) / figure - 1)).toBeLessThan(6e-4);
});
