import { existsSync, readFileSync } from 'node:fs';

interface Way {
  element: string;
  steps: { file: string; name?: string }[];
}

const WAY = /^\d+\. `([\w-]+)`, [^:]+: (.+)$/;

const ways: Way[] = readFileSync('docs/CONTRIBUTING.md', 'utf8')
  .split('\n')
  .flatMap((line) => {
    const [, element, way] = WAY.exec(line) ?? [];
    if (!element || !way) return [];
    const steps = way.split(' → ').map((step) => {
      const [file, name] = [...step.matchAll(/`([^`]+)`/g)].map(([, text]) => text!);
      return { file: file!, ...(name ? { name } : {}) };
    });
    return [{ element, steps }];
  });

it('tells the way to five numbers', () => expect(ways).toHaveLength(5));

it.each(ways)('the way to $element is as it is told', ({ element, steps }) => {
  const texts = steps.map(({ file }) => (existsSync(file) ? readFileSync(file, 'utf8') : ''));
  expect(texts[0]).toContain(`data-testid="${element}"`);
  expect(steps.at(-1)!.file).toMatch(/^src\/core\/physics\//);
  steps.forEach(({ file, name }, at) => {
    expect([file, texts[at] !== '']).toEqual([file, true]);
    if (!name) return;
    expect([name, texts[at]!.includes(`export function ${name}(`)]).toEqual([name, true]);
    const before = steps.slice(0, at);
    const uses = (text: string, used: string) => new RegExp(`\\b${used}\\b`).test(text);
    const tied =
      texts.slice(0, at).some((text) => uses(text, name)) ||
      before.some((step) => step.name !== undefined && uses(texts[at]!, step.name));
    expect([name, at === 0 || tied]).toEqual([name, true]);
  });
});
