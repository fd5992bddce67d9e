import Joi from 'joi';
import sharp from 'sharp';
import { USUAL_CURRENCY } from '@/core/car/document/brief';
import type { Photo } from '@/core/car/records/report';
import { flat, type Report, REPORT_KINDS, type ReportKind } from '@/words/report/definition';
import { type Images, UNREADABLE } from '@/words/report/paper';
import { parse } from '@/core/base/schema/parse';
import { wholeBuild } from '@/db/queries/builds';
import { fileContent } from '@/db/queries/files';
import { finishedPrints } from '@/db/queries/prints';
import { revisionById } from '@/db/queries/revisions';
import { settingsOf } from '@/db/queries/workshops';
import { readerOfHeaders } from '../../../../readerOfRequest';
import { door } from '../../../door';
import { inThread } from '../../../threads';

const REPORT_MS = 30_000;

const querySchema = Joi.object<{ kind: ReportKind }>({
  kind: Joi.valid(...REPORT_KINDS).required(),
}).required();

export const GET = door(async ({ request, db, workshopId, id }) => {
  const { kind } = parse(querySchema, Object.fromEntries(new URL(request.url).searchParams));
  const { buildId } = await revisionById(db, workshopId, id);
  const [whole, { thresholds = {} }, finished] = await Promise.all([
    wholeBuild(db, workshopId, buildId),
    settingsOf(db, workshopId),
    finishedPrints(db, workshopId),
  ]);
  const { letter, document } = whole.revisions.find((one) => one.id === id)!;
  const reader = { ...readerOfHeaders(request.headers), currency: document.brief.currency ?? USUAL_CURRENCY };
  const report = await inThread(
    'report',
    { kind, whole, revisionId: id, thresholds, finishedPrints: finished, reader },
    REPORT_MS,
  );
  const images = await imagesOf(report, (hash) => fileContent(db, workshopId, hash));
  const pdf = await inThread(
    'reportOnPaper',
    { report, images, paper: reader.units === 'imperial' ? 'LETTER' : 'A4' },
    REPORT_MS,
  );
  const name = `${whole.build.name}-${letter}-${kind === 'build' ? 'build-sheet' : 'test-report'}.pdf`
    .toLowerCase()
    .replace(/[^a-z0-9.]+/g, '-');
  return new Response(new Uint8Array(pdf), {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': `attachment; filename="${name}"`,
      'cache-control': 'no-store',
    },
  });
});

/** The photographs of a report as a PDF takes them; one that the workshop does not hold is left out. */
async function imagesOf(
  { blocks }: Report,
  read: (hash: string) => Promise<{ type: string; content: Buffer }>,
): Promise<Images> {
  const photos: Photo[] = flat(blocks).flatMap((block) => (block.kind === 'photos' ? block.photos : []));
  const found = await Promise.all(
    [...new Set(photos.map(({ hash }) => hash))].map(async (hash) => {
      const kept = await read(hash).catch(() => undefined);
      if (!kept || kept.type !== 'image/jpeg') return [];
      return [
        [
          hash,
          (await isReadable(kept.content))
            ? `data:image/jpeg;base64,${kept.content.toString('base64')}`
            : UNREADABLE,
        ] as const,
      ];
    }),
  );
  return Object.fromEntries(found.flat());
}

const isReadable = (content: Buffer): Promise<boolean> =>
  sharp(content, { failOn: 'error' })
    .stats()
    .then(
      () => true,
      () => false,
    );
