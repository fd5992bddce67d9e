import { ThemeProvider } from '@mui/material/styles';
import { Writable } from 'node:stream';
import type { ReactNode } from 'react';
import { prerenderToNodeStream } from 'react-dom/static';
import type { BuildDocument } from '@/core/car/document/document';
import type { Segment } from '@/core/verdict/engine/segments';
import type { PrintSheet } from '@/core/car/records/prints';
import { STARTING_LIBRARY } from '@/core/car/library/starting';
import { BuildFrame } from '@/features/frame/BuildFrame';
import { packBuild } from '@/features/session/packedBuild';
import { SegmentPage } from '@/features/SegmentPage';
import { ReaderProvider } from '@/ui/reader';
import { theme } from '@/ui/theme';
import { address } from './address';

const READER = { locale: 'en-GB', units: 'metric' } as const;
const AT = '2026-05-01T10:00:00.000Z';

/** A side of a page with its build as the server draws it, and what went wrong on the way. */
export async function renderSide(
  document: BuildDocument,
  segment: Segment,
  view: string | undefined,
  finishedPrints: readonly PrintSheet[] = [],
): Promise<{ html: string; errors: Error[] }> {
  address.segment = segment;
  address.search = view === undefined ? '' : `view=${view}`;
  const errors: Error[] = [];
  const revision = { id: 'odd-a', buildId: 'odd', letter: 'A', version: 1, createdAt: AT, document };
  const whole = {
    build: { id: 'odd', name: 'Odd', createdAt: AT },
    revisions: [revision],
    runs: [],
    failures: [],
    prints: [],
    copies: [],
  };
  const packed = packBuild({
    whole,
    library: STARTING_LIBRARY,
    thresholds: {},
    finishedPrints,
    printAheadMinutes: undefined,
    builds: [],
  });
  const page: ReactNode = (
    <ThemeProvider theme={theme}>
      <ReaderProvider initial={READER} known>
        <BuildFrame packed={packed} revisionId="odd-a">
          <SegmentPage segment={segment} />
        </BuildFrame>
      </ReaderProvider>
    </ThemeProvider>
  );
  const { prelude } = await prerenderToNodeStream(page, {
    onError: (error) => void errors.push(error as Error),
  });
  const chunks: Buffer[] = [];
  await new Promise<void>((resolve, reject) =>
    prelude
      .pipe(
        new Writable({
          write: (chunk: Buffer, _, next) => {
            chunks.push(chunk);
            next();
          },
          final: (done) => {
            done();
            resolve();
          },
        }),
      )
      .on('error', reject),
  );
  return { html: Buffer.concat(chunks).toString('utf8'), errors };
}
