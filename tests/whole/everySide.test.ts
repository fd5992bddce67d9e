import type { ComponentType } from 'react';
import type { BuildDocument } from '@/core/car/document/document';
import { type Check, type Thresholds } from '@/core/verdict/engine/check';
import { SEGMENTS, type Segment, SIDES } from '@/core/verdict/engine/segments';
import { evaluateBuild } from '@/core/verdict/evaluate';
import { garageCarOrAilment } from '@/core/advice/garage';
import type { PrintSheet } from '@/core/car/records/prints';
import { marshHareDocuments } from '@/db/seed/marshHareRevisions';
import { address } from './address';
import { comlink, HereWorker, workedHere } from './inOneThread';
import { oddBuild } from './oddBuilds';
import { renderSide } from './renderSide';

jest.mock('next/navigation', () => ({
  useSearchParams: () => new URLSearchParams(address.search),
  usePathname: () => `/builds/odd/A/${address.segment}`,
  useRouter: () => ({
    push: () => undefined,
    replace: () => undefined,
    refresh: () => undefined,
    prefetch: () => undefined,
  }),
}));

jest.mock('comlink', () => comlink);
jest.mock('@/features/session/useWorked', () => ({ useWorked: workedHere }));
jest.mock('@/features/session/useChecks', () => ({
  useChecks: (document: BuildDocument, _: unknown, thresholds: Thresholds) => checksOf(document, thresholds),
}));

/** With remedies over all surfaces, once for all sides. */
let known: { document: BuildDocument; checks: Check[] } | undefined;
function checksOf(document: BuildDocument, thresholds: Thresholds): Check[] {
  if (known?.document !== document) known = { document, checks: evaluateBuild(document, thresholds) };
  return known.checks;
}

jest.mock('next/dynamic', () => {
  const { createElement, lazy, Suspense } = jest.requireActual<typeof import('react')>('react');
  return (load: () => Promise<ComponentType>, options?: { ssr?: boolean }) => {
    if (options?.ssr === false) return () => null;
    const Side = lazy(async () => ({ default: await load() }));
    return (props: object) => createElement(Suspense, null, createElement(Side, props));
  };
});

const viewsOf = (segment: Segment): readonly (string | undefined)[] =>
  SIDES[segment].length > 1 ? SIDES[segment] : [undefined];

Object.assign(globalThis, { Worker: HereWorker });

const BUILDS = Number(process.env.ODD_BUILDS ?? 12);

describe('every side of every page', () => {
  it.each(Array.from({ length: BUILDS }, (_, number) => oddBuild(number)))(
    'shows the odd build $name',
    async ({ document }) => {
      const failed: string[] = [];
      for (const segment of SEGMENTS) {
        for (const view of viewsOf(segment)) {
          const { html, errors } = await renderSide(document, segment, view).catch((error: Error) => ({
            html: '',
            errors: [error],
          }));
          if (errors.length > 0 || !html.includes('<main'))
            failed.push(
              `${segment} ${view ?? ''}: ${errors.map(({ stack }) => stack?.split('\n').slice(0, 4).join(' | ')).join('; ') || 'nothing shown'}`,
            );
          else if (/NaN|Infinity/.test(html))
            failed.push(`${segment} ${view ?? ''}: ${/.{60}(NaN|Infinity).{40}/.exec(html)?.[0]}`);
        }
      }
      const faults = checksOf(document, {}).flatMap(({ id, fault }) =>
        fault ? [`${id}: ${fault.stack?.split('\n').slice(0, 4).join(' | ')}`] : [],
      );
      const revision = {
        id: 'a',
        buildId: 'b',
        letter: 'A',
        version: 1,
        createdAt: '2026-05-01T10:00:00.000Z',
        document,
      };
      const ails = garageCarOrAilment(
        {
          build: { id: 'b', name: 'B', createdAt: '' },
          revisions: [revision],
          runs: [],
          failures: [],
          prints: [],
          copies: [],
        },
        {},
      ).ails;
      expect([...failed, ...faults, ...(ails ? [`garage: ${ails}`] : [])]).toEqual([]);
    },
  );
});

test('a part takes as long to print among the spares as on the plates of tonight', async () => {
  const { D } = marshHareDocuments();
  const printer = D.print.printers![0]!.name;
  // a printer that takes twice as long as it is reckoned to
  const finished: PrintSheet[] = [
    {
      id: 'p',
      state: 'finished',
      how: 'final',
      printer,
      items: [{ copyId: 'c', partName: 'Plate' }],
      estimateS: 1000,
      actualS: 2000,
      queuedAt: '2026-05-01T10:00:00.000Z',
    },
  ];
  const shown = async (view: string) =>
    (await renderSide(D, 'print', view, finished)).html
      .replace(/<!-- -->|<style.*?<\/style>/gs, '')
      .replace(/<[^>]*>/g, '|');
  const long = /none failed yet: (.*?)\.\|/
    .exec(await shown('list'))![1]!
    .split('), ')
    .map((one) => /^(.*) \((.*?)\)?$/.exec(one)!);
  expect(long.length).toBeGreaterThan(0);
  const tonight = (await shown('tonight')).toLowerCase();
  for (const [, name, time] of long) expect(tonight).toMatch(new RegExp(`${name}.{0,400}${time}`));
});
